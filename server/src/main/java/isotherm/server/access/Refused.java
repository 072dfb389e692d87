package isotherm.server.access;

import java.time.Duration;

/** Somebody is not let in. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** Why. */
    public enum Why {
        /** The name or the password is wrong, or nobody has signed in. */
        UNKNOWN,
        /** Too many tries. */
        WAIT
    }

    private final Why why;
    private final long seconds;

    Refused(Why why, String words) {
        super(words);
        this.why = why;
        this.seconds = 0;
    }

    Refused(Duration wait) {
        super("Too many wrong tries. Try again in " + (wait.toSeconds() + 1) + " s.");
        this.why = Why.WAIT;
        this.seconds = wait.toSeconds() + 1;
    }

    /** @return why */
    public Why why() {
        return why;
    }

    /** @return how long to wait, s; 0 when waiting does not help */
    public long seconds() {
        return seconds;
    }
}
