package isotherm.core.takeoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.message.Value;
import isotherm.core.parts.Takeoff;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every way in which a takeoff may not fit, and its remedy. */
class TakeoffFitTest {
    private static final FilterStand.Filter FILTER =
            new FilterStand.Filter(0.066, 0.09, 0.076, true, false, true, false);

    private static FilterStand stand(
            String thread,
            double stud,
            double room,
            double exchanger,
            FilterStand.Filter filter,
            FilterStand.Neighbour... n) {
        return new FilterStand(
                thread,
                0.058,
                0.074,
                stud,
                new Vector3D(0, 0.4, 0.7),
                Vector3D.MINUS_J,
                room,
                exchanger,
                filter,
                List.of(n));
    }

    private static Takeoff part(String number) {
        return PlumbingParts.shipped().takeoffs().stream()
                .filter(t -> t.number().equals(number))
                .findFirst()
                .orElseThrow();
    }

    private static List<Misfit.Kind> misfits(FilterStand stand, String part, double clock, boolean exchanger) {
        return TakeoffFit.of(stand, part(part), clock, exchanger).misfits().stream()
                .map(Misfit::kind)
                .toList();
    }

    @Test
    void plateThatFitsHasNoMisfit() {
        TakeoffFit fit = TakeoffFit.of(stand("M20x1.5", 0.024, 0.2, 0, FILTER), part("HP-M20"), 0, false);
        assertThat(fit.misfits()).isEmpty();
        assertThat(fit.stack()).isEqualTo(0.026 + 0.09, within(1e-9));
        assertThat(fit.engagement()).isEqualTo(0.024, within(1e-9));
    }

    @Test
    void wrongThreadNamesTheRightOne() {
        TakeoffFit fit = TakeoffFit.of(stand("M22x1.5", 0.024, 0.2, 0, FILTER), part("HP-M20"), 0, false);
        assertThat(fit.misfits()).singleElement().satisfies(m -> {
            assertThat(m.kind()).isEqualTo(Misfit.Kind.THREAD);
            assertThat(m.what().values()).containsEntry("has", new Value.Name("M20x1.5"));
            assertThat(m.remedy().values()).containsEntry("wanted", new Value.Name("M22x1.5"));
        });
    }

    @Test
    void lowRoomIsToldWithWhatIsMissing() {
        TakeoffFit fit = TakeoffFit.of(stand("M20x1.5", 0.024, 0.12, 0, FILTER), part("HPG-M20"), 0, false);
        // 38 and 90 mm in 120 less 15 for the hand.
        assertThat(fit.misfits()).singleElement().satisfies(m -> {
            assertThat(m.kind()).isEqualTo(Misfit.Kind.FILTER_ROOM);
            assertThat(m.what().figure("needs")).isEqualTo(0.128, within(1e-9));
            assertThat(m.what().figure("has")).isEqualTo(0.105, within(1e-9));
            assertThat(m.remedy().figure("shorter")).isEqualTo(0.023, within(1e-9));
        });
        assertThat(misfits(stand("M20x1.5", 0.024, 0.12, 0, FILTER), "HR-M20", 0, false))
                .as("a remote filter takes the filter away")
                .isEmpty();
    }

    @Test
    void exchangerThatStaysTakesThreadAndAnExtensionGivesItBack() {
        FilterStand stand = stand("M20x1.5", 0.024, 0.3, 0.018, FILTER);
        assertThat(misfits(stand, "HP-M20", 0, true)).containsExactly(Misfit.Kind.ENGAGEMENT);
        assertThat(misfits(stand, "HP-M20", 0, false)).isEmpty();
        TakeoffFit fit = TakeoffFit.of(stand, part("HP-M20"), 0, true);
        // 16 mm are wanted in M20, 6 are left.
        assertThat(fit.misfits().get(0).remedy().figure("longer")).isEqualTo(0.010, within(1e-9));
    }

    @Test
    void gasketHasToLieOnTheFace() {
        FilterStand small = new FilterStand(
                "M20x1.5", 0.058, 0.068, 0.024, Vector3D.ZERO, Vector3D.MINUS_J, 0.3, 0, FILTER, List.of());
        assertThat(misfits(small, "HP-M20", 0, false)).containsExactly(Misfit.Kind.FACE_GASKET);
    }

    @Test
    void filterNeedsItsValves() {
        FilterStand.Filter dry = new FilterStand.Filter(0.066, 0.09, 0.076, false, true, false, false);
        assertThat(misfits(stand("M20x1.5", 0.024, 0.2, 0, dry), "HP-M20", 0, false))
                .containsExactly(Misfit.Kind.NO_ANTI_DRAIN_BACK, Misfit.Kind.NO_BYPASS);
        FilterStand.Filter inEngine = new FilterStand.Filter(0.066, 0.09, 0.076, false, false, false, true);
        assertThat(misfits(stand("M20x1.5", 0.024, 0.2, 0, inEngine), "HP-M20", 0, false))
                .isEmpty();
    }

    @Test
    void portTowardsANeighbourIsTurnedAwayAndThenFits() {
        FilterStand stand = stand(
                "M20x1.5",
                0.024,
                0.2,
                0,
                FILTER,
                new FilterStand.Neighbour("block", Math.toRadians(-40), Math.toRadians(50), 0.07));
        TakeoffFit fit = TakeoffFit.of(stand, part("HP-M20"), 0, false);
        assertThat(fit.misfits()).singleElement().satisfies(m -> {
            assertThat(m.kind()).isEqualTo(Misfit.Kind.PORT_TOWARDS);
            assertThat(m.what().values()).containsEntry("neighbour", new Value.Name("block"));
        });
        double free = fit.freeClock().orElseThrow();
        assertThat(misfits(stand, "HP-M20", free, false)).isEmpty();
        assertThat(fit.misfits().get(0).remedy().figure("clock")).isEqualTo(free);
    }

    @Test
    void neighbourNearerThanThePlateItselfNeedsASpacer() {
        FilterStand stand = stand("M20x1.5", 0.024, 0.2, 0, FILTER, new FilterStand.Neighbour("mount", 3, 4, 0.03));
        assertThat(TakeoffFit.of(stand, part("HP-M20"), 0, false).misfits())
                .singleElement()
                .satisfies(m -> assertThat(m.kind()).isEqualTo(Misfit.Kind.PLATE_BESIDE));
    }

    @Test
    void noFreeAngleIsSaid() {
        FilterStand stand =
                stand("M20x1.5", 0.024, 0.2, 0, FILTER, new FilterStand.Neighbour("well", 0, 2 * Math.PI, 0.06));
        TakeoffFit fit = TakeoffFit.of(stand, part("HP-M20"), 0, false);
        assertThat(fit.freeClock()).isEmpty();
        assertThat(fit.misfits().get(0).remedy().values()).containsEntry("free", new Value.Choice("no"));
    }

    @ParameterizedTest
    @CsvSource({"M20x1.5, 0.020", "3/4-16, 0.01905", "13/16-16, 0.0206375", "nonsense, 0"})
    void majorDiameterIsRead(String thread, double metres) {
        assertThat(Takeoff.majorDiameter(thread)).isEqualTo(metres, within(1e-9));
    }

    @Test
    void clockRunsClockwiseSeenAlongTheFilterAndStartsForward() {
        FilterStand stand = stand("M20x1.5", 0.024, 0.2, 0, FILTER);
        assertThat(Vector3D.angle(stand.outward(0), Vector3D.MINUS_K)).isLessThan(1e-9);
        // Seen from above, along the axis: forward is up, a quarter turn clockwise is to the right.
        assertThat(Vector3D.angle(stand.outward(Math.PI / 2), Vector3D.PLUS_I)).isLessThan(1e-9);
    }

    @Test
    void aFilterWhoseGasketMissesThePlateIsNamed() {
        FilterStand.Filter wide = new FilterStand.Filter(0.092, 0.09, 0.1, true, false, true, false);
        assertThat(misfits(stand("M20x1.5", 0.024, 0.2, 0, wide), "HP-M20", 0, false))
                .containsExactly(Misfit.Kind.FILTER_GASKET);
        assertThat(misfits(stand("M20x1.5", 0.024, 0.2, 0, wide), "HR-M20", 0, false))
                .as("no filter sits on a remote head's adaptor")
                .isEmpty();
    }

    @Test
    void aRemoteHeadsAdaptorNeedsRoomForItselfAlone() {
        TakeoffFit fit = TakeoffFit.of(stand("M20x1.5", 0.024, 0.02, 0, FILTER), part("HR-M20"), 0, false);
        assertThat(fit.misfits()).singleElement().satisfies(m -> {
            assertThat(m.kind()).isEqualTo(Misfit.Kind.PLATE_ROOM);
            assertThat(m.what().figure("needs")).isEqualTo(0.024, within(1e-9));
            assertThat(m.what().figure("has")).isEqualTo(0.020, within(1e-9));
        });
    }

    @Test
    void aShortStudIsToldWithWhatItLacks() {
        // M20 wants 16 mm of thread; 11 are there.
        TakeoffFit fit = TakeoffFit.of(stand("M20x1.5", 0.011, 0.2, 0, FILTER), part("HP-M20"), 0, false);
        assertThat(fit.misfits()).singleElement().satisfies(m -> {
            assertThat(m.what().figure("has")).isEqualTo(0.011, within(1e-9));
            assertThat(m.what().figure("needs")).isEqualTo(0.016, within(1e-9));
            assertThat(m.why().values()).containsEntry("exchanger", new Value.Choice("no"));
            assertThat(m.remedy().figure("longer")).isEqualTo(0.005, within(1e-9));
        });
    }

    @Test
    void whatIsNotOnTheStudMindsNeitherItsNeighboursNorItsThreadLength() {
        FilterStand crowded =
                stand("M22x1.5", 0.001, 0.2, 0, FILTER, new FilterStand.Neighbour("mount", 0, 2 * Math.PI, 0.03));
        assertThat(misfits(crowded, "HD-M22", 0, false)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "359, 359", "361, 1", "-90, 270", "720, 0"})
    void aFreeClockAngleLiesInOneTurn(double asked, double free) {
        TakeoffFit fit =
                TakeoffFit.of(stand("M20x1.5", 0.024, 0.2, 0, FILTER), part("HP-M20"), Math.toRadians(asked), false);
        assertThat(Math.toDegrees(fit.freeClock().orElseThrow())).isEqualTo(free, within(1e-6));
    }
}
