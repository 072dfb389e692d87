package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laps out of lap numbers and out of positions on a circle whose lap time is known. */
class LapFinderTest {
    private static final double LAP = 80;
    private static final double RADIUS = 400;
    private static final double LATITUDE = 52;

    /** A circular circuit, fastest at one place, with positions that are off by some metres. */
    private static double[][] circle(int laps, double stepSeconds, double noise, long seed) {
        Random r = new Random(seed);
        int n = (int) (laps * LAP / stepSeconds);
        double[][] rows = new double[4][n];
        for (int i = 0; i < n; i++) {
            double t = i * stepSeconds;
            double angle = 2 * Math.PI * t / LAP;
            rows[0][i] = t;
            rows[1][i] = LATITUDE + (RADIUS * Math.sin(angle) + noise * r.nextGaussian()) / 111_195;
            rows[2][i] = (RADIUS * Math.cos(angle) + noise * r.nextGaussian())
                    / (111_195 * Math.cos(Math.toRadians(LATITUDE)));
            rows[3][i] = 100 + 40 * Math.cos(angle - 1);
        }
        return rows;
    }

    private static double[] laps(double[][] rows) {
        return LapFinder.byPosition(rows[0], rows[1], rows[2], rows[3]);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void lapsOfACircleAreOneLapTimeApart(long seed) {
        double[] starts = laps(circle(9, 0.5, 1, seed));
        assertThat(starts.length).isBetween(8, 9);
        for (int i = 1; i < starts.length; i++) {
            assertThat(starts[i] - starts[i - 1]).isEqualTo(LAP, within(1.5));
        }
    }

    @Test
    void gapsInThePositionsDoNotMakeLaps() {
        double[][] rows = circle(6, 0.5, 0, 1);
        for (int i = 300; i < 330; i++) {
            rows[1][i] = Double.NaN;
            rows[2][i] = Double.NaN;
        }
        double[] starts = laps(rows);
        assertThat(starts.length).isBetween(4, 6);
        for (int i = 1; i < starts.length; i++) {
            assertThat((starts[i] - starts[i - 1]) / LAP)
                    .isEqualTo(Math.rint((starts[i] - starts[i - 1]) / LAP), within(0.03));
        }
    }

    @Test
    void roadThatDoesNotComeBackHasNoLaps() {
        int n = 600;
        double[][] rows = new double[4][n];
        for (int i = 0; i < n; i++) {
            rows[0][i] = i;
            rows[1][i] = LATITUDE + i * 25.0 / 111_195;
            rows[2][i] = 0;
            rows[3][i] = 90;
        }
        assertThat(laps(rows)).isEmpty();
    }

    @Test
    void theOtherDirectionIsNoPassing() {
        // Out and back along one road: the line is met twice, once the wrong way.
        int n = 400;
        double[][] rows = new double[4][n];
        for (int i = 0; i < n; i++) {
            double along = i < n / 2 ? i * 10.0 : (n - i) * 10.0;
            rows[0][i] = i;
            rows[1][i] = LATITUDE + along / 111_195;
            rows[3][i] = i == 150 ? 200 : 100;
        }
        assertThat(laps(rows)).isEmpty();
    }

    @Test
    void nothingKnownGivesNothing() {
        double[] unknown = {Double.NaN, Double.NaN, Double.NaN, Double.NaN};
        assertThat(LapFinder.byPosition(new double[] {0, 1, 2, 3}, unknown, unknown, unknown))
                .isEmpty();
        assertThat(LapFinder.byNumber(new double[] {0, 1}, new double[] {Double.NaN, Double.NaN}))
                .isEmpty();
    }

    @Test
    void numbersBeginALapWhereTheyChange() {
        double[] time = {0, 1, 2, 3, 4, 5};
        double[] lap = {1, 1, Double.NaN, 2, 2, 3};
        assertThat(LapFinder.byNumber(time, lap)).containsExactly(0, 3, 5);
    }
}
