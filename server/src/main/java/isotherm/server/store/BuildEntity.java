package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A design of one car as it is put together. */
@Entity
@Table(name = "build")
class BuildEntity extends PartEntity {
    protected BuildEntity() {}

    BuildEntity(UUID id, UUID carId, String document) {
        super(id, carId, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.BUILD;
    }
}
