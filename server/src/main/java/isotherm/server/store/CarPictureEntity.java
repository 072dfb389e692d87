package isotherm.server.store;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A picture of a car, beside any build. */
@Entity
@Table(name = "car_picture")
@AttributeOverride(name = "owner", column = @Column(name = "car_id", nullable = false))
class CarPictureEntity extends PictureEntity {
    protected CarPictureEntity() {}

    CarPictureEntity(UUID id, UUID owner, byte[] data) {
        super(id, owner, data);
    }
}
