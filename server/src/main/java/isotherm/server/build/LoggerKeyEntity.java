package isotherm.server.build;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word by which a logger is let in to one build. What is kept of it does not tell it. */
@Entity
@Table(name = "logger_key")
class LoggerKeyEntity {
    @Id
    private UUID id;

    @Column(name = "build_id", nullable = false)
    private UUID buildId;

    @Column(name = "word_hash", nullable = false)
    private String wordHash;

    @Column(name = "expires_at", nullable = false)
    private Instant expiresAt;

    protected LoggerKeyEntity() {}

    LoggerKeyEntity(UUID id, UUID buildId, String wordHash, Instant expiresAt) {
        this.id = id;
        this.buildId = buildId;
        this.wordHash = wordHash;
        this.expiresAt = expiresAt;
    }

    UUID buildId() {
        return buildId;
    }
}
