package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word that shows one car to whoever has it, and changes nothing. What is kept of it does not tell it. */
@Entity
@Table(name = "car_link")
class CarLinkEntity {
    @Id
    private UUID id;

    @Column(name = "car_id", nullable = false)
    private UUID carId;

    @Column(name = "word_hash", nullable = false)
    private String wordHash;

    @Column(name = "made_by")
    private UUID madeBy;

    @Column(name = "made_at", nullable = false)
    private Instant madeAt;

    @Column(name = "expires_at", nullable = false)
    private Instant expiresAt;

    protected CarLinkEntity() {}

    CarLinkEntity(UUID id, UUID carId, String wordHash, UUID madeBy, Instant expiresAt) {
        this.id = id;
        this.carId = carId;
        this.wordHash = wordHash;
        this.madeBy = madeBy;
        this.madeAt = Instant.now();
        this.expiresAt = expiresAt;
    }

    UUID id() {
        return id;
    }

    UUID carId() {
        return carId;
    }

    Instant madeAt() {
        return madeAt;
    }

    Instant expiresAt() {
        return expiresAt;
    }
}
