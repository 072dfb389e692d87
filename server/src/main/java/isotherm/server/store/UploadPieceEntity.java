package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.util.UUID;

/** A piece of a file on its way in. */
@Entity
@Table(name = "upload_piece")
@IdClass(Piece.class)
class UploadPieceEntity {
    @Id
    private UUID owner;

    @Id
    private int ordinal;

    @Column(nullable = false)
    private byte[] data;

    protected UploadPieceEntity() {}

    UploadPieceEntity(UUID owner, int ordinal, byte[] data) {
        this.owner = owner;
        this.ordinal = ordinal;
        this.data = data;
    }

    byte[] data() {
        return data;
    }
}
