package isotherm.server.store;

import java.util.Locale;
import java.util.UUID;

/** Nothing is stored under an identity. */
public final class NotStored extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotStored(Kind kind, UUID id) {
        this(kind.name().toLowerCase(Locale.ROOT), id);
    }

    /**
     * @param what kind of thing that is looked for
     * @param id its identity
     */
    public NotStored(String what, UUID id) {
        this("There is no " + what + " " + id);
    }

    private NotStored(String words) {
        super(words);
    }

    /**
     * @param words what is not there, and why it may have gone
     * @return the same to be thrown
     */
    public static NotStored told(String words) {
        return new NotStored(words);
    }
}
