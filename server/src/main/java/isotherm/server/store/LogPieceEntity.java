package isotherm.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.util.UUID;

/** A piece of a log: some thousand rows, column by column. */
@Entity
@Table(name = "log_piece")
@IdClass(Piece.class)
class LogPieceEntity {
    @Id
    private UUID owner;

    @Id
    private int ordinal;

    @Column(nullable = false)
    private byte[] data;

    protected LogPieceEntity() {}

    LogPieceEntity(UUID owner, int ordinal, byte[] data) {
        this.owner = owner;
        this.ordinal = ordinal;
        this.data = data;
    }

    byte[] data() {
        return data;
    }
}
