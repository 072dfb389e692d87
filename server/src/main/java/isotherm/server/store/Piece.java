package isotherm.server.store;

import java.io.Serializable;
import java.util.Objects;
import java.util.UUID;

/** Identity of one piece of something large. */
class Piece implements Serializable {
    private static final long serialVersionUID = 1L;

    private UUID owner;
    private int ordinal;

    protected Piece() {}

    Piece(UUID owner, int ordinal) {
        this.owner = owner;
        this.ordinal = ordinal;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Piece p && p.owner.equals(owner) && p.ordinal == ordinal;
    }

    @Override
    public int hashCode() {
        return Objects.hash(owner, ordinal);
    }
}
