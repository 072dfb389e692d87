package isotherm.core.takeoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.parts.Takeoff;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** How far a wrench swings beside what stands round a filter, and when a stud is too long. */
class WrenchArcTest {
    private static final Takeoff PLATE = PlumbingParts.shipped().takeoffs().stream()
            .filter(t -> t.number().equals("HP-M20"))
            .findFirst()
            .orElseThrow();

    private static FilterStand stand(double stud, FilterStand.Neighbour... n) {
        return new FilterStand(
                "M20x1.5",
                0.058,
                0.074,
                stud,
                new Vector3D(0, 0.4, 0.7),
                Vector3D.MINUS_J,
                0.3,
                0,
                new FilterStand.Filter(0.066, 0.09, 0.076, true, false, true, false),
                List.of(n));
    }

    private static FilterStand.Neighbour wall(double fromDeg, double toDeg, double distance) {
        return new FilterStand.Neighbour("wall", Math.toRadians(fromDeg), Math.toRadians(toDeg), distance);
    }

    private static WrenchArc gives(FilterStand stand, double clockDeg) {
        return WrenchArc.of(stand, PLATE, Math.toRadians(clockDeg)).get(0);
    }

    @Test
    void withNothingAboutItSwingsHalfATurn() {
        assertThat(WrenchArc.of(stand(0.024), PLATE, 0)).hasSize(2).allSatisfy(a -> {
            assertThat(a.arc()).isEqualTo(Math.PI, within(1e-9));
            assertThat(a.reachable()).isTrue();
        });
    }

    @Test
    void aWallOnOneSideLeavesTheOther() {
        // From a sixth of a turn on to a third: the wrench still goes the other way, and straight along the filter.
        WrenchArc a = gives(stand(0.024, wall(20, 120, 0.09)), 0);
        assertThat(a.arc()).isLessThan(Math.PI).isGreaterThan(Math.PI / 2 - 0.2);
        assertThat(a.reachable()).isTrue();
    }

    @Test
    void wallsOnBothSidesCloseIt() {
        WrenchArc near = gives(stand(0.024, wall(12, 120, 0.06), wall(240, 348, 0.06)), 0);
        assertThat(near.reachable()).isFalse();
        assertThat(near.arc()).isLessThan(WrenchArc.LEAST);
        WrenchArc far = gives(stand(0.024, wall(12, 120, 0.6), wall(240, 348, 0.6)), 0);
        assertThat(far.arc()).isEqualTo(Math.PI, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.05, 0.08, 0.12, 0.2, 0.3})
    void whatStandsFurtherAwayLeavesNoLess(double distance) {
        double here = gives(stand(0.024, wall(15, 90, distance)), 0).arc();
        double further = gives(stand(0.024, wall(15, 90, distance + 0.03)), 0).arc();
        assertThat(further).isGreaterThanOrEqualTo(here - 1e-12);
    }

    @Test
    void whatStandsRoundTheStandTurnsWithIt() {
        double here = gives(stand(0.024, wall(15, 90, 0.1)), 0).arc();
        assertThat(gives(stand(0.024, wall(115, 190, 0.1)), 100).arc()).isEqualTo(here, within(1e-9));
    }

    @Test
    void aFitKnowsWhichPortIsOutOfReach() {
        TakeoffFit fit = TakeoffFit.of(stand(0.024, wall(12, 40, 0.06), wall(240, 348, 0.06)), PLATE, 0, false);
        assertThat(fit.reachable(true)).isFalse();
        assertThat(fit.reachable(false)).isEqualTo(fit.arcs().get(1).reachable());
    }

    @Test
    void aStudLongerThanTheThreadIsDeepBottomsOut() {
        double deep = PLATE.threadDepth().orElseThrow();
        assertThat(kinds(stand(deep), PLATE)).doesNotContain(Misfit.Kind.BOTTOMS_OUT);
        assertThat(kinds(stand(deep + 0.5e-3), PLATE)).containsExactly(Misfit.Kind.BOTTOMS_OUT);
        Takeoff unknown = new Takeoff(
                PLATE.maker(),
                PLATE.number(),
                PLATE.kind(),
                PLATE.thread(),
                PLATE.sealInner(),
                PLATE.sealOuter(),
                PLATE.height(),
                PLATE.diameter(),
                PLATE.port(),
                PLATE.spacing(),
                PLATE.gaugePorts(),
                PLATE.thermostat(),
                PLATE.heads(),
                PLATE.price(),
                PLATE.mass(),
                Optional.empty(),
                OptionalDouble.empty());
        assertThat(kinds(stand(0.2), unknown)).doesNotContain(Misfit.Kind.BOTTOMS_OUT);
    }

    private static List<Misfit.Kind> kinds(FilterStand stand, Takeoff takeoff) {
        return TakeoffFit.of(stand, takeoff, 0, false).misfits().stream()
                .map(Misfit::kind)
                .toList();
    }
}
