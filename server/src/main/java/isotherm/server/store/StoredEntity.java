package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PrePersist;
import jakarta.persistence.PreUpdate;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** What cars, duties and designs have in common: a JSON document under optimistic locking. */
@MappedSuperclass
abstract class StoredEntity {
    @Id
    private UUID id;

    @Version
    private int version;

    @Column(nullable = false)
    private String document;

    @Column(name = "schema_number", nullable = false)
    private int schemaNumber;

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    /** Account of whoever wrote it last; null where nobody signs in. */
    @Column(name = "changed_by")
    private UUID changedBy;

    @Column(name = "changed_at")
    private Instant changedAt;

    protected StoredEntity() {}

    protected StoredEntity(UUID id, String document) {
        this.id = id;
        this.document = document;
        this.schemaNumber = Schema.NEWEST;
        this.createdAt = Instant.now();
    }

    UUID id() {
        return id;
    }

    int version() {
        return version;
    }

    abstract Shelf shelf();

    /** In today's schema, whatever it was written by. */
    String document() {
        return Schema.lift(shelf(), schemaNumber, document);
    }

    void replace(String newDocument) {
        this.document = newDocument;
        this.schemaNumber = Schema.NEWEST;
    }

    @PrePersist
    @PreUpdate
    void sign() {
        this.changedBy = Author.account();
        this.changedAt = Instant.now();
    }
}
