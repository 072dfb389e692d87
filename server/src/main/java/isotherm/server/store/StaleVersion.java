package isotherm.server.store;

/** A write that was based on a version which is no longer the newest. */
public final class StaleVersion extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Stored current;

    StaleVersion(Stored current) {
        super("Version " + current.version() + " is the newest");
        this.current = current;
    }

    /** @return what is stored now */
    public Stored current() {
        return current;
    }
}
