package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PrePersist;
import java.time.Instant;
import java.util.UUID;

/** A picture of something, always a JPEG. */
@MappedSuperclass
abstract class PictureEntity {
    @Id
    private UUID id;

    @Column(nullable = false)
    private UUID owner;

    @Column(nullable = false)
    private byte[] data;

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    /** Account of whoever wrote it; null where nobody signs in. */
    @Column(name = "written_by")
    private UUID writtenBy;

    protected PictureEntity() {}

    PictureEntity(UUID id, UUID owner, byte[] data) {
        this.id = id;
        this.owner = owner;
        this.data = data;
        this.createdAt = Instant.now();
    }

    UUID owner() {
        return owner;
    }

    byte[] data() {
        return data;
    }

    @PrePersist
    void sign() {
        this.writtenBy = Author.account();
    }
}
