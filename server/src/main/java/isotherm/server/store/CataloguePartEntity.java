package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A part that the garage has entered or imported itself. */
@Entity
@Table(name = "catalogue_part")
class CataloguePartEntity extends StoredEntity {
    @Column(nullable = false)
    private String family;

    protected CataloguePartEntity() {}

    CataloguePartEntity(UUID id, String family, String document) {
        super(id, document);
        this.family = family;
    }

    String family() {
        return family;
    }

    @Override
    Shelf shelf() {
        return Shelf.PART;
    }
}
