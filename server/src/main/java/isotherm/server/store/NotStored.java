package isotherm.server.store;

import java.util.UUID;

/** Nothing is stored under an identity. */
public final class NotStored extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotStored(Kind kind, UUID id) {
        super("There is no " + kind.name().toLowerCase(java.util.Locale.ROOT) + " " + id);
    }
}
