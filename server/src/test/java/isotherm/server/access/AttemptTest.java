package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

/** How long wrong ones in a row have to wait. */
class AttemptTest {
    private static final int FREE = 5;
    private static final Instant NOW = Instant.parse("2026-05-01T09:00:00Z");

    private final AttemptEntity attempt = new AttemptEntity("somebody");

    private Duration failed(Instant at) {
        attempt.failed(FREE, at);
        return attempt.waits(at);
    }

    @Test
    void theFirstOnesDoNotWaitAndEachFurtherOneWaitsTwiceAsLong() {
        for (int i = 1; i < FREE; i++) {
            assertThat(failed(NOW)).isZero();
        }
        assertThat(failed(NOW)).hasSeconds(2);
        assertThat(failed(NOW)).hasSeconds(4);
        assertThat(failed(NOW)).hasSeconds(8);
    }

    @Test
    void nobodyWaitsForMoreThanAQuarterOfAnHour() {
        for (int i = 0; i < 100; i++) {
            failed(NOW);
        }
        assertThat(failed(NOW)).isEqualTo(Duration.ofMinutes(15));
    }

    @Test
    void aRowIsOverWhenNoneHasComeForAnHour() {
        for (int i = 0; i < 10; i++) {
            failed(NOW);
        }
        assertThat(failed(NOW.plus(Duration.ofMinutes(61)))).isZero();
    }

    @Test
    void aClockThatWasSetBackLetsNobodyWaitForIt() {
        for (int i = 0; i < 100; i++) {
            failed(NOW);
        }
        assertThat(attempt.waits(NOW.minus(Duration.ofDays(400)))).isZero();
        assertThat(attempt.waits(NOW)).isEqualTo(Duration.ofMinutes(15));
    }
}
