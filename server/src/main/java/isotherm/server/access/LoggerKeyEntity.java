package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word by which a logger is let in to one build. */
@Entity
@Table(name = "logger_key")
class LoggerKeyEntity extends WordEntity {
    @Column(name = "build_id", nullable = false)
    private UUID buildId;

    protected LoggerKeyEntity() {}

    LoggerKeyEntity(UUID id, String word, Instant expiresAt, UUID buildId) {
        super(id, word, expiresAt);
        this.buildId = buildId;
    }

    UUID buildId() {
        return buildId;
    }
}
