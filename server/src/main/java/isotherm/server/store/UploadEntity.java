package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A file on its way in. */
@Entity
@Table(name = "upload")
class UploadEntity {
    @Id
    private UUID id;

    @Column(name = "car_id", nullable = false)
    private UUID carId;

    @Column(nullable = false)
    private String name;

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    protected UploadEntity() {}

    UploadEntity(UUID id, UUID carId, String name) {
        this.id = id;
        this.carId = carId;
        this.name = name;
        this.createdAt = Instant.now();
    }

    UUID id() {
        return id;
    }

    UUID carId() {
        return carId;
    }

    String name() {
        return name;
    }
}
