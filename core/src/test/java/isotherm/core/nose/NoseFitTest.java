package isotherm.core.nose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.exchanger.Core;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NoseFitTest {
    private static final Core CORE = Core.stackedPlate(19, 0.28, 0.05);
    private static final Nose.Opening GRILLE = new Nose.Opening("grille", new Rect(-0.4, 0.45, 0.8, 0.15), 0.2);
    private static final Nose.Opening LOWER = new Nose.Opening("lower grille", new Rect(-0.35, 0.20, 0.7, 0.16), 0.1);
    private static final Nose.Part BEAM =
            new Nose.Part("crash beam", Nose.Kind.BEAM, new Rect(-0.6, 0.38, 1.2, 0.06), 0.08, 0.07);
    private static final Nose.Part RADIATOR =
            new Nose.Part("radiator", Nose.Kind.RADIATOR, new Rect(-0.31, 0.22, 0.62, 0.40), 0.32, 0.035);
    private static final Nose NOSE = new Nose(List.of(GRILLE, LOWER), List.of(BEAM, RADIATOR), 0.06, 0.17, true);

    private static Placement at(double x, double y, double z) {
        return new Placement(x, y, z, 0, false, false, false, List.of());
    }

    private static NoseFit fit(Placement p) {
        return NoseFit.of(NOSE, CORE, p);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theAreaThatRectanglesCoverIsCountedOnce(long seed) {
        Random random = new Random(seed);
        Rect face = new Rect(0, 0, 1, 1);
        List<Rect> covers = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            covers.add(new Rect(
                    random.nextDouble() - 0.2,
                    random.nextDouble() - 0.2,
                    random.nextDouble() / 2,
                    random.nextDouble() / 2));
        }
        int hits = 0;
        int n = 40_000;
        for (int i = 0; i < n; i++) {
            double x = random.nextDouble();
            double y = random.nextDouble();
            if (covers.stream().anyMatch(r -> r.left() < x && x < r.right() && r.bottom() < y && y < r.top())) {
                hits++;
            }
        }
        assertThat(Rect.covered(face, covers)).isCloseTo((double) hits / n, within(0.012));
    }

    @Test
    void aBeamShadesTheShareOfTheFaceThatItCovers() {
        // Shrouded from both openings, so that only the beam takes air away.
        NoseFit f = fit(new Placement(0, 0.41, 0.2, 0, true, true, false, List.of()));
        double covered = 0.06 / CORE.height();
        assertThat(f.shadedShare()).isCloseTo(covered, within(1e-9));
        assertThat(f.sealing()).isEqualTo(NoseFit.SEALED);
        assertThat(f.shades()).hasSize(1);
    }

    @Test
    void withoutAShroudAFaceHigherThanItsOpeningIsPartlyInTheDark() {
        NoseFit open = fit(at(0, 0.28, 0.2));
        NoseFit led = fit(new Placement(0, 0.28, 0.2, 0, true, false, false, List.of()));
        assertThat(open.shadedShare()).isGreaterThanOrEqualTo(led.shadedShare());
        assertThat(open.sealing()).isLessThan(led.sealing());
        assertThat(led.sealing()).isEqualTo(NoseFit.SHROUDED);
        assertThat(led.openingArea()).isCloseTo(LOWER.free(), within(1e-9));
        assertThat(open.openingArea()).isLessThan(led.openingArea());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0.28, 0.2, LOWER_GRILLE_AHEAD",
        "0, 0.53, 0.2, GRILLE_AHEAD",
        "0, 0.42, 0.37, BEHIND_RADIATOR",
        "0.62, 0.30, 0.2, FRONT_CORNER_VENTED",
        "0, 0.08, 0.6, UNDER_FLOOR",
    })
    void thePlaceFollowsFromThePosition(double x, double y, double z, Place place) {
        assertThat(fit(at(x, y, z)).place()).isEqualTo(place);
    }

    @Test
    void aClosedArchHasNoWayOut() {
        Nose closed = new Nose(NOSE.openings(), NOSE.parts(), 0.06, 0.17, false);
        assertThat(NoseFit.of(closed, CORE, at(0.62, 0.3, 0.2)).place()).isEqualTo(Place.FRONT_CORNER_CLOSED);
    }

    @Test
    void gapsAndClearancesAreWhatATapeWouldRead() {
        NoseFit f = fit(at(0, 0.29, 0.2));
        double half = CORE.outsideHeight() / 2;
        assertThat(f.gaps().orElseThrow().left()).isCloseTo(0.35 - CORE.outsideWidth() / 2, within(1e-9));
        assertThat(f.gaps().orElseThrow().above()).isCloseTo(0.36 - (0.29 + half), within(1e-9));
        assertThat(f.groundClearance()).isCloseTo(0.29 - half, within(1e-9));
        assertThat(f.crushClearance()).isCloseTo(0.2 - 0.06, within(1e-9));
        double toRadiator = 0.32 - 0.25;
        assertThat(f.clearances().get(0).distance()).isLessThanOrEqualTo(toRadiator + 1e-9);
        assertThat(f.clearances())
                .filteredOn(c -> c.name().equals("radiator"))
                .singleElement()
                .satisfies(c -> assertThat(c.distance()).isCloseTo(toRadiator, within(1e-9)));
        assertThat(f.problems()).isEmpty();
    }

    @Test
    void aTiltedCoreIsLowerAndDeeperByItsSideSection() {
        double a = Math.toRadians(30);
        NoseFit f = fit(new Placement(0, 0.3, 0.2, a, false, false, false, List.of()));
        double h = CORE.outsideHeight();
        assertThat(f.outline().height()).isCloseTo(h * Math.cos(a) + CORE.depth() * Math.sin(a), within(1e-9));
        assertThat(f.back() - f.front()).isCloseTo(h * Math.sin(a) + CORE.depth() * Math.cos(a), within(1e-9));
        assertThat(f.face().height()).isCloseTo(CORE.height() * Math.cos(a), within(1e-9));
    }

    @Test
    void whatCannotStaySoIsSaidWithItsFigure() {
        assertThat(fit(at(0, 0.29, 0.03)).problems())
                .anyMatch(w -> says(w, NoseProblem.CRUSHED) && near(w.figure("distance"), 30e-3));
        assertThat(fit(at(0, 0.29, -0.02)).problems())
                .anyMatch(w -> says(w, NoseProblem.OUT_OF_SKIN) && near(w.figure("distance"), 20e-3));
        assertThat(fit(at(0, 0.40, 0.1)).problems())
                .contains(NoseProblem.TAKEN.say("problem").name("part", "crash beam"));
        assertThat(fit(at(0, 0.29, 0.265)).problems())
                .anyMatch(w -> says(w, NoseProblem.RUBS) && near(w.figure("distance"), 5e-3));
        assertThat(fit(at(0, 0.22, 0.2)).problems()).anyMatch(w -> says(w, NoseProblem.NO_SKID_PLATE));
    }

    private static boolean says(Message w, NoseProblem problem) {
        return w.key().equals(problem.key("problem"));
    }

    private static boolean near(double value, double expected) {
        return Math.abs(value - expected) < 1e-9;
    }

    @Test
    void mountsAreCounted() {
        List<Placement.Mount> two = List.of(
                new Placement.Mount(-0.15, 0, 6.5e-3, Placement.Method.RIVET_NUT, false),
                new Placement.Mount(0.4, 0, 6.5e-3, Placement.Method.CLAMP, false));
        NoseFit f = fit(new Placement(0, 0.41, 0.2, 0, false, false, false, two));
        assertThat(f.problems())
                .anyMatch(w -> says(w, NoseProblem.FEW_MOUNTS))
                .anyMatch(w -> says(w, NoseProblem.NO_RUBBER))
                .anyMatch(w -> says(w, NoseProblem.NO_TOOL_ROOM)
                        && w.values().get("mount").equals(new Value.Count(1))
                        && near(w.figure("room"), 50e-3))
                .anyMatch(w -> says(w, NoseProblem.MOUNT_OUTSIDE)
                        && w.values().get("mount").equals(new Value.Count(2)));
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void sharesStaySharesAnywhere(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++) {
            NoseFit f = fit(new Placement(
                    1.6 * random.nextDouble() - 0.8,
                    0.8 * random.nextDouble(),
                    random.nextDouble() - 0.1,
                    random.nextDouble() - 0.5,
                    random.nextBoolean(),
                    random.nextBoolean(),
                    random.nextBoolean(),
                    List.of()));
            assertThat(f.shadedShare()).isBetween(0.0, 1.0);
            assertThat(f.sealing()).isBetween(0.0, 1.0);
            assertThat(f.openingArea()).isGreaterThanOrEqualTo(0);
        }
    }
}
