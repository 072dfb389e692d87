package isotherm.core.nose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rectangles against counting on a fine grid. */
class RectTest {
    private static final Rect UNIT = new Rect(0, 0, 1, 1);

    private static Rect random(Random r) {
        return new Rect(
                -0.5 + 1.2 * r.nextDouble(),
                -0.5 + 1.2 * r.nextDouble(),
                0.05 + 0.6 * r.nextDouble(),
                0.05 + 0.6 * r.nextDouble());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void coveredAreaIsWhatAGridCounts(int seed) {
        Random r = new Random(seed);
        List<Rect> covers = new ArrayList<>();
        for (int i = 0; i < 1 + seed; i++) {
            covers.add(random(r));
        }
        int n = 400;
        int hits = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = (i + 0.5) / n;
                double y = (j + 0.5) / n;
                if (covers.stream().anyMatch(c -> c.left() < x && x < c.right() && c.bottom() < y && y < c.top())) {
                    hits++;
                }
            }
        }
        assertThat(Rect.covered(UNIT, covers)).isEqualTo((double) hits / n / n, within(0.01));
    }

    @Test
    void coveringTwiceCountsOnce() {
        Rect half = new Rect(0, 0, 0.5, 1);
        assertThat(Rect.covered(UNIT, List.of(half, half))).isEqualTo(0.5, within(1e-12));
        assertThat(Rect.covered(UNIT, List.of())).isZero();
        assertThat(Rect.covered(UNIT, List.of(UNIT.grown(3)))).isEqualTo(1, within(1e-12));
    }

    @Test
    void commonPartIsTheSameBothWaysAndMissingWhenTheyOnlyTouch() {
        Random r = new Random(9);
        for (int n = 0; n < 300; n++) {
            Rect a = random(r);
            Rect b = random(r);
            assertThat(a.common(b)).isEqualTo(b.common(a));
            a.common(b).ifPresent(c -> assertThat(c.area()).isLessThanOrEqualTo(Math.min(a.area(), b.area()) + 1e-12));
            assertThat(a.common(b).isPresent()).isEqualTo(a.distance(b) == 0);
            assertThat(a.distance(b)).isEqualTo(b.distance(a), within(1e-12));
        }
        assertThat(UNIT.common(new Rect(1, 0, 1, 1))).isEmpty();
    }

    @Test
    void distanceRunsToTheNearestCorner() {
        assertThat(UNIT.distance(new Rect(4, 5, 1, 1))).isEqualTo(5, within(1e-12));
        assertThat(UNIT.distance(new Rect(0.2, 3, 0.1, 1))).isEqualTo(2, within(1e-12));
        assertThat(UNIT.distance(new Rect(0.5, 0.5, 2, 2))).isZero();
        assertThat(Rect.around(2, 3, 1, 0.5)).isEqualTo(new Rect(1.5, 2.75, 1, 0.5));
    }
}
