package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;

/** A word that opens something until it runs out. What is kept of it does not tell it. */
@MappedSuperclass
abstract class WordEntity {
    @Id
    private UUID id;

    @Column(name = "word_hash", nullable = false)
    private String wordHash;

    @Column(name = "expires_at", nullable = false)
    private Instant expiresAt;

    protected WordEntity() {}

    WordEntity(UUID id, String word, Instant expiresAt) {
        this.id = id;
        this.wordHash = Word.digest(word);
        this.expiresAt = expiresAt;
    }

    UUID id() {
        return id;
    }

    Instant expiresAt() {
        return expiresAt;
    }
}
