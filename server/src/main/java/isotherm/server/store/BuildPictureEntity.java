package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A picture on a run sheet, always a JPEG. */
@Entity
@Table(name = "build_picture")
class BuildPictureEntity {
    @Id
    private UUID id;

    @Column(name = "build_id", nullable = false)
    private UUID buildId;

    @Column(nullable = false)
    private byte[] data;

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    protected BuildPictureEntity() {}

    BuildPictureEntity(UUID id, UUID buildId, byte[] data) {
        this.id = id;
        this.buildId = buildId;
        this.data = data;
        this.createdAt = Instant.now();
    }

    UUID buildId() {
        return buildId;
    }

    byte[] data() {
        return data;
    }
}
