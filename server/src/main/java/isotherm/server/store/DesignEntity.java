package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A design of one car. */
@Entity
@Table(name = "design")
class DesignEntity extends PartEntity {
    protected DesignEntity() {}

    DesignEntity(UUID id, UUID carId, String document) {
        super(id, carId, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.DESIGN;
    }
}
