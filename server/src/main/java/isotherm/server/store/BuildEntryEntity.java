package isotherm.server.store;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What somebody wrote on a run sheet. */
@Entity
@Table(name = "build_entry")
@AttributeOverride(name = "owner", column = @Column(name = "build_id", nullable = false))
class BuildEntryEntity extends EntryEntity {
    protected BuildEntryEntity() {}

    BuildEntryEntity(UUID id, UUID owner, int ordinal, String document) {
        super(id, owner, ordinal, document);
    }
}
