package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** Something that belongs to a car. */
@MappedSuperclass
abstract class PartEntity extends StoredEntity {
    @Column(name = "car_id", nullable = false)
    private UUID carId;

    protected PartEntity() {}

    protected PartEntity(UUID id, UUID carId, String document) {
        super(id, document);
        this.carId = carId;
    }

    UUID carId() {
        return carId;
    }
}
