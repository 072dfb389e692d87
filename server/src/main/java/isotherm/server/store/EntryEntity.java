package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** What somebody wrote in a book that is only ever added to. */
@MappedSuperclass
abstract class EntryEntity {
    @Id
    private UUID id;

    @Column(nullable = false)
    private UUID owner;

    @Column(nullable = false)
    private int ordinal;

    @Column(nullable = false)
    private String document;

    protected EntryEntity() {}

    protected EntryEntity(UUID id, UUID owner, int ordinal, String document) {
        this.id = id;
        this.owner = owner;
        this.ordinal = ordinal;
        this.document = document;
    }

    UUID owner() {
        return owner;
    }

    String document() {
        return document;
    }
}
