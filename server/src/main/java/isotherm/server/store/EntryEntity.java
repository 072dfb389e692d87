package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PrePersist;
import java.time.Instant;
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

    @Column(name = "schema_number", nullable = false)
    private int schemaNumber;

    /** Account of whoever wrote it; null where nobody signs in. */
    @Column(name = "written_by")
    private UUID writtenBy;

    @Column(name = "written_at")
    private Instant writtenAt;

    protected EntryEntity() {}

    protected EntryEntity(UUID id, UUID owner, int ordinal, String document) {
        this.id = id;
        this.owner = owner;
        this.ordinal = ordinal;
        this.document = document;
        this.schemaNumber = Schema.NEWEST;
    }

    UUID owner() {
        return owner;
    }

    @PrePersist
    void sign() {
        this.writtenBy = Author.account();
        this.writtenAt = Instant.now();
    }
}
