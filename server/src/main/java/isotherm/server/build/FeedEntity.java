package isotherm.server.build;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A logger that is listened to, and by which server. */
@Entity
@Table(name = "feed")
class FeedEntity {
    @Id
    @Column(name = "build_id")
    private UUID buildId;

    @Column(nullable = false)
    private UUID server;

    /** What was chosen, as JSON: another server attaches by it. */
    @Column(nullable = false)
    private String source;

    @Column(name = "seen_at", nullable = false)
    private Instant seenAt;

    protected FeedEntity() {}

    UUID buildId() {
        return buildId;
    }

    String source() {
        return source;
    }
}
