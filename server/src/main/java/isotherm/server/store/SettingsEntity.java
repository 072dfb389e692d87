package isotherm.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What holds for the garage as a whole. */
@Entity
@Table(name = "settings")
class SettingsEntity extends StoredEntity {
    /** There is one garage in a database. */
    static final UUID ONLY = new UUID(0, 1);

    protected SettingsEntity() {}

    SettingsEntity(String document) {
        super(ONLY, document);
    }

    @Override
    Shelf shelf() {
        return Shelf.SETTINGS;
    }
}
