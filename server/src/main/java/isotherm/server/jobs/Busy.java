package isotherm.server.jobs;

/** Too much is asked for at once. */
public final class Busy extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param words the same for a person */
    public Busy(String words) {
        super(words);
    }
}
