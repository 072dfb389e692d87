package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word that lets one person in. What is kept of it does not tell it. */
@Entity
@Table(name = "invitation")
class InvitationEntity {
    @Id
    private UUID id;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false)
    private Role role;

    @Column(name = "word_hash", nullable = false)
    private String wordHash;

    @Column(name = "made_by")
    private UUID madeBy;

    @Column(name = "expires_at", nullable = false)
    private Instant expiresAt;

    protected InvitationEntity() {}

    InvitationEntity(UUID id, Role role, String wordHash, UUID madeBy, Instant expiresAt) {
        this.id = id;
        this.role = role;
        this.wordHash = wordHash;
        this.madeBy = madeBy;
        this.expiresAt = expiresAt;
    }

    UUID id() {
        return id;
    }

    Role role() {
        return role;
    }

    Instant expiresAt() {
        return expiresAt;
    }
}
