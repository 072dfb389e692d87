package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A duty of one car. */
@Entity
@Table(name = "duty")
class DutyEntity extends PartEntity {
    protected DutyEntity() {}

    DutyEntity(UUID id, UUID carId, String document) {
        super(id, carId, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.DUTY;
    }
}
