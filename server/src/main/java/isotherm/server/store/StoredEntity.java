package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
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

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    protected StoredEntity() {}

    protected StoredEntity(UUID id, String document) {
        this.id = id;
        this.document = document;
        this.createdAt = Instant.now();
    }

    UUID id() {
        return id;
    }

    int version() {
        return version;
    }

    String document() {
        return document;
    }

    void replace(String newDocument) {
        this.document = newDocument;
    }
}
