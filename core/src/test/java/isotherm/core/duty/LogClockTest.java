package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.duty.LogClock.Verdict;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LogClockTest {
    private final LogClock clock = new LogClock();

    private List<Verdict> feed(double... raw) {
        List<Verdict> verdicts = new ArrayList<>();
        for (double t : raw) {
            verdicts.add(clock.accept(t));
        }
        return verdicts;
    }

    @Test
    void timesThatRiseAreKeptFromTheFirstOn() {
        assertThat(feed(100, 100.1, 100.2)).containsOnly(Verdict.KEPT);
        assertThat(clock.last()).isEqualTo(0.2, within(1e-9));
        assertThat(clock.jumps()).isZero();
    }

    @Test
    void aClockThatIsSetToTheCalendarGoesOnFromWhereItWas() {
        double unix = 1.79e9;
        assertThat(feed(0, 0.1, 0.2, unix, unix + 0.1, unix + 0.2))
                .containsExactly(Verdict.KEPT, Verdict.KEPT, Verdict.KEPT, Verdict.DOUBTFUL, Verdict.SET, Verdict.KEPT);
        assertThat(clock.jumps()).isEqualTo(1);
        assertThat(clock.time(unix)).isEqualTo(0.3, within(1e-6));
        assertThat(clock.last()).isEqualTo(0.5, within(1e-6));
    }

    @Test
    void aClockThatIsSetBackGoesOnToo() {
        assertThat(feed(5000, 5000.5, 5001, 3, 3.5, 4))
                .containsExactly(Verdict.KEPT, Verdict.KEPT, Verdict.KEPT, Verdict.DOUBTFUL, Verdict.SET, Verdict.KEPT);
        assertThat(clock.last()).isBetween(2.0, 2.6);
    }

    @Test
    void oneWrongTimeCostsOneRow() {
        assertThat(feed(10, 10.1, 99_999_999, 10.2, 10.3))
                .containsExactly(Verdict.KEPT, Verdict.KEPT, Verdict.DOUBTFUL, Verdict.KEPT, Verdict.KEPT);
        assertThat(clock.jumps()).isZero();
        assertThat(clock.last()).isEqualTo(0.3, within(1e-9));
    }

    @Test
    void rowsOutOfOrderAndRepeatedRowsAreWrong() {
        assertThat(feed(10, 10.2, 10.1, 10.2, 10.3))
                .containsExactly(Verdict.KEPT, Verdict.KEPT, Verdict.WRONG, Verdict.WRONG, Verdict.KEPT);
    }

    @Test
    void aPauseInThePitsIsAPause() {
        assertThat(feed(0, 1, 3601, 3602)).containsOnly(Verdict.KEPT);
        assertThat(clock.last()).isEqualTo(3602);
    }

    @Test
    void aDoubtfulRowAtTheEndStaysDoubtful() {
        assertThat(feed(0, 1, 1e9)).containsExactly(Verdict.KEPT, Verdict.KEPT, Verdict.DOUBTFUL);
        assertThat(clock.last()).isEqualTo(1);
        assertThat(clock.jumps()).isZero();
    }

    @Test
    void timesThatWereKeptWithAJumpAreEvened() {
        double[] even = LogClock.evened(new double[] {0, 0.5, 1, 1.7e9, 1.7e9 + 0.5, 1.7e9 + 1});
        assertThat(even).containsExactly(new double[] {0, 0.5, 1, 1.5, 2, 2.5}, within(1e-6));
        assertThat(LogClock.evened(new double[] {0, 1, 600, 601})).containsExactly(0, 1, 600, 601);
    }
}
