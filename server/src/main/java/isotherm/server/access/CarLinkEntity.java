package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word that shows one car to whoever has it, and changes nothing. */
@Entity
@Table(name = "car_link")
class CarLinkEntity extends WordEntity {
    @Column(name = "car_id", nullable = false)
    private UUID carId;

    @Column(name = "made_by")
    private UUID madeBy;

    @Column(name = "made_at", nullable = false)
    private Instant madeAt;

    protected CarLinkEntity() {}

    CarLinkEntity(UUID id, String word, Instant expiresAt, UUID carId, UUID madeBy) {
        super(id, word, expiresAt);
        this.carId = carId;
        this.madeBy = madeBy;
        this.madeAt = Instant.now();
    }

    UUID carId() {
        return carId;
    }

    Instant madeAt() {
        return madeAt;
    }
}
