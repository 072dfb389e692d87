package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A car. */
@Entity
@Table(name = "car")
class CarEntity extends StoredEntity {
    protected CarEntity() {}

    CarEntity(UUID id, String document) {
        super(id, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.CAR;
    }
}
