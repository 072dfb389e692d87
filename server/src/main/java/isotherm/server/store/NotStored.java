package isotherm.server.store;

import java.util.Locale;
import java.util.UUID;

/** Nothing is stored under an identity. */
public final class NotStored extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotStored(Kind kind, UUID id) {
        this(kind.name().toLowerCase(Locale.ROOT), id);
    }

    NotStored(String what, UUID id) {
        super("There is no " + what + " " + id);
    }
}
