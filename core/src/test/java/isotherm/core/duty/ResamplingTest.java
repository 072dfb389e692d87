package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class ResamplingTest {
    private static double[] even(int n, double step) {
        double[] t = new double[n];
        Arrays.setAll(t, i -> 5 + i * step);
        return t;
    }

    @Test
    void cellsBeginAtTheFirstRow() {
        assertThat(Resampling.cells(even(11, 0.5), 1)).containsExactly(5.5, 6.5, 7.5, 8.5, 9.5);
        assertThat(Resampling.cells(new double[] {3, 3.2}, 1)).isEmpty();
    }

    @Test
    void aCellHoldsTheMeanOfItsRows() {
        double[] t = even(100, 0.1);
        double[] v = new double[100];
        Arrays.setAll(v, i -> i % 2 == 0 ? 10 : 20);
        double[] means = Resampling.means(t, v, Resampling.cells(t, 1));
        assertThat(means).hasSize(9);
        for (double m : means) {
            assertThat(m).isCloseTo(15, within(1e-9));
        }
    }

    @Test
    void theMeanOfALineIsTheLine() {
        double[] t = even(200, 0.25);
        double[] v = new double[200];
        Arrays.setAll(v, i -> 3 * t[i] - 7);
        double[] cells = Resampling.cells(t, 2);
        double[] means = Resampling.means(t, v, cells);
        for (int i = 0; i < cells.length; i++) {
            // Rows at the edges of a cell stand for the time after them.
            assertThat(means[i]).isCloseTo(3 * cells[i] - 7, within(0.5));
        }
    }

    @Test
    void slowLogsAreJoinedByLinesAndLongGapsStayOpen() {
        double[] t = {0, 4, 8, 20, 24};
        double[] v = {10, 18, 26, 50, 58};
        double[] cells = Resampling.cells(t, 1);
        double[] means = Resampling.means(t, v, cells);
        assertThat(means[2]).isCloseTo(10 + 2 * 2.5, within(1e-9));
        assertThat(means[12]).isNaN();
        double[] bridged = Resampling.bridged(means);
        assertThat(bridged[12]).isFinite().isBetween(26.0, 50.0);
    }

    @Test
    void missingValuesDoNotCount() {
        double[] t = even(20, 0.5);
        double[] v = new double[20];
        Arrays.fill(v, Double.NaN);
        v[4] = 7;
        v[5] = 9;
        double[] means = Resampling.means(t, v, Resampling.cells(t, 1));
        assertThat(means[2]).isEqualTo(8);
        assertThat(means[8]).isNaN();
        assertThat(Resampling.bridged(means)).contains(8.0).doesNotContain(Double.NaN);
        assertThat(Resampling.bridged(new double[] {Double.NaN, Double.NaN})).containsExactly(0, 0);
    }

    @Test
    void lapsBeginWhereTheirNumberChanges() {
        double[] t = even(12, 1);
        double[] lap = {1, 1, 1, 2, 2, Double.NaN, 2, 3, 3, 3, 4, 4};
        assertThat(LapFinder.byNumber(t, lap)).containsExactly(5, 8, 12, 15);
    }

    @Test
    void lapsOfACircuitAreFoundFromPositionsAlone() {
        int perLap = 90;
        int n = 5 * perLap;
        double[] t = new double[n];
        double[] lat = new double[n];
        double[] lon = new double[n];
        double[] speed = new double[n];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / perLap;
            t[i] = i;
            lat[i] = 50 + 0.004 * Math.sin(a);
            lon[i] = 8 + 0.006 * Math.cos(a);
            speed[i] = 30 + 10 * Math.cos(a - 1);
        }
        double[] laps = LapFinder.byPosition(t, lat, lon, speed);
        assertThat(laps.length).isBetween(4, 5);
        for (int i = 1; i < laps.length; i++) {
            assertThat(laps[i] - laps[i - 1]).isCloseTo(perLap, within(1.5));
        }
    }

    @Test
    void aRoadThatNeverReturnsHasNoLaps() {
        int n = 300;
        double[] t = new double[n];
        double[] lat = new double[n];
        double[] lon = new double[n];
        double[] speed = new double[n];
        for (int i = 0; i < n; i++) {
            t[i] = i;
            lat[i] = 50 + i * 2e-4;
            lon[i] = 8;
            speed[i] = 20;
        }
        assertThat(LapFinder.byPosition(t, lat, lon, speed)).isEmpty();
        Arrays.fill(lat, Double.NaN);
        assertThat(LapFinder.byPosition(t, lat, lon, speed)).isEmpty();
    }
}
