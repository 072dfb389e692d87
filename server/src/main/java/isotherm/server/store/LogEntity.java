package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A log of one car. */
@Entity
@Table(name = "log")
class LogEntity extends PartEntity {
    protected LogEntity() {}

    LogEntity(UUID id, UUID carId, String document) {
        super(id, carId, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.LOG;
    }
}
