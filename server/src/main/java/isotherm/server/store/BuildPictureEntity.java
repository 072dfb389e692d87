package isotherm.server.store;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A picture on a run sheet. */
@Entity
@Table(name = "build_picture")
@AttributeOverride(name = "owner", column = @Column(name = "build_id", nullable = false))
class BuildPictureEntity extends PictureEntity {
    protected BuildPictureEntity() {}

    BuildPictureEntity(UUID id, UUID owner, byte[] data) {
        super(id, owner, data);
    }
}
