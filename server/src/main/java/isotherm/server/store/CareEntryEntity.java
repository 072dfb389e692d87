package isotherm.server.store;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What somebody wrote in a car's care book. */
@Entity
@Table(name = "care_entry")
@AttributeOverride(name = "owner", column = @Column(name = "car_id", nullable = false))
class CareEntryEntity extends EntryEntity {
    protected CareEntryEntity() {}

    CareEntryEntity(UUID id, UUID owner, int ordinal, String document) {
        super(id, owner, ordinal, document);
    }
}
