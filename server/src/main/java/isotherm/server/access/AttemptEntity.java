package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;

/** Wrong passwords and words in a row, of a name or from an address. */
@Entity
@Table(name = "sign_in_attempt")
class AttemptEntity {
    /** A row of wrong ones is over when none has come for so long. */
    static final Duration FORGOTTEN = Duration.ofHours(1);

    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final int MOST_DOUBLINGS = 10;

    @Id
    private String source;

    @Column(nullable = false)
    private int failures;

    @Column(name = "last_at", nullable = false)
    private Instant lastAt;

    @Column(name = "wait_until", nullable = false)
    private Instant waitUntil;

    protected AttemptEntity() {}

    AttemptEntity(String source) {
        this.source = source;
        this.lastAt = Instant.EPOCH;
        this.waitUntil = Instant.EPOCH;
    }

    /**
     * @param now this moment
     * @return how long the next one has to wait; nothing where the clock was set back since the last one
     */
    Duration waits(Instant now) {
        return now.isBefore(lastAt) || !waitUntil.isAfter(now) ? Duration.ZERO : Duration.between(now, waitUntil);
    }

    /**
     * After so many in a row each further one has to wait twice as long as the one before.
     *
     * @param free failures without a wait
     * @param now this moment
     */
    void failed(int free, Instant now) {
        failures = lastAt.isBefore(now.minus(FORGOTTEN)) ? 1 : failures + 1;
        lastAt = now;
        if (failures >= free) {
            Duration wait = Duration.ofSeconds(2L << Math.min(failures - free, MOST_DOUBLINGS));
            waitUntil = now.plus(wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT);
        }
    }
}
