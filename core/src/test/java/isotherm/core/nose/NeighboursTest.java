package isotherm.core.nose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.nose.Nose.Kind;
import isotherm.core.nose.Nose.Part;
import isotherm.core.route.Bay;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Who warms whose air in a nose, what a core must not touch, and what is moved out of its way. */
class NeighboursTest {
    private static final Core CORE = new Core(
            Construction.STACKED_PLATE,
            13,
            0.28,
            0.05,
            1,
            Finish.BARE,
            Ports.UP,
            CoreDetail.typical(Construction.STACKED_PLATE));
    private static final Rect WIDE = new Rect(-0.5, 0.1, 1, 0.6);

    private static Placement at(boolean skidPlate, boolean baffle) {
        Placement p = new Placement(0, 0.4, 0.3, 0, false, false, skidPlate, List.of());
        return new Placement(
                p.x(), p.y(), p.z(), p.tilt(), p.shroud(), p.foam(), p.skidPlate(), p.mounts(), p.turned(), baffle);
    }

    private static Nose nose(Part... parts) {
        return new Nose(List.of(new Nose.Opening("mouth", WIDE, 0)), List.of(parts), 0.05, 0.1, false);
    }

    private static NoseFit fit(Nose nose, List<Standing> bay, String... moved) {
        return NoseFit.of(nose, CORE, at(false, false), bay, Set.of(moved));
    }

    private static Part part(Kind kind, double front) {
        return new Part("it", kind, WIDE, front, 0.04);
    }

    @Test
    void aCondenserBeforeTheFaceGivesTheShareThatStandsBeforeIt() {
        NoseFit f = fit(nose(part(Kind.CONDENSER, 0.2)), List.of());
        double share = f.face().area() / WIDE.area();
        assertThat(f.warmth().ahead()).isEqualTo(6e3 * share, within(1e-6));
        assertThat(f.warmth().behind()).isEmpty();
    }

    @Test
    void itsOwnHeatComesBeforeWhatItsKindUsuallyGives() {
        Part own = new Part("it", Kind.GEARBOX_COOLER, WIDE, 0.2, 0.04, OptionalDouble.of(1e3));
        NoseFit f = fit(nose(own), List.of());
        assertThat(f.warmth().ahead()).isEqualTo(1e3 * f.face().area() / WIDE.area(), within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void whatStandsBehindIsNeverWarmthAhead(Kind kind) {
        Part small = new Part("it", kind, new Rect(-0.25, 0.2, 0.5, 0.4), 0.5, 0.04);
        NoseFit f = fit(nose(small), List.of());
        assertThat(f.warmth().ahead()).isZero();
        assertThat(f.warmth().behind().contains("it"))
                .isEqualTo(kind == Kind.RADIATOR || new Part("", kind, WIDE, 0, 1).warms() > 0);
        assertThat(f.warmth().intakeBehind()).isEqualTo(kind == Kind.INTERCOOLER);
    }

    @Test
    void whatStandsBesideWarmsNothing() {
        Part beside = new Part("it", Kind.CONDENSER, new Rect(0.6, 0.1, 0.3, 0.5), 0.2, 0.04);
        assertThat(fit(nose(beside), List.of()).warmth().ahead()).isZero();
    }

    @Test
    void theBayCountsAndTheEngineComesNearer() {
        double back = 0.3 + CORE.depth();
        Bay bay = Bay.free(List.of(Vector3D.ZERO), 2)
                .with(List.of(new Bay.Box(
                        "manifold",
                        Bay.Kind.HOT,
                        new Vector3D(-0.2, 0.3, back + 0.08),
                        new Vector3D(0.2, 0.6, back + 0.4))));
        NoseFit still = fit(nose(), bay.standing(0));
        assertThat(still.clearances().get(0).distance()).isEqualTo(0.08, within(1e-9));
        assertThat(keys(still)).doesNotContain("place.RUBS.problem", "place.TAKEN.problem");
        NoseFit moves = fit(nose(), bay.standing(0.02));
        assertThat(moves.clearances().get(0).distance()).isEqualTo(0.06, within(1e-9));
        assertThat(keys(moves)).as("hot parts are kept 75 mm away").contains("place.RUBS.problem");
        assertThat(keys(fit(nose(), bay.standing(0.09)))).contains("place.TAKEN.problem");
    }

    @Test
    void whatIsMovedIsInNobodysWay() {
        Part horn = new Part("horn", Kind.HORN, new Rect(-0.1, 0.35, 0.1, 0.1), 0.28, 0.1);
        NoseFit inTheWay = fit(nose(horn), List.of());
        assertThat(keys(inTheWay)).contains("place.TAKEN.problem");
        assertThat(inTheWay.shadedShare()).isPositive();
        NoseFit moved = fit(nose(horn), List.of(), "horn");
        assertThat(keys(moved)).doesNotContain("place.TAKEN.problem");
        assertThat(moved.clearances()).isEmpty();
        assertThat(moved.shadedShare()).isEqualTo(0, within(1e-9));
    }

    @Test
    void platesCostAir() {
        assertThat(at(false, false).plateHeads()).isZero();
        assertThat(at(true, false).plateHeads()).isEqualTo(Placement.SKID_PLATE_HEADS);
        assertThat(at(true, true).plateHeads())
                .isEqualTo(Placement.SKID_PLATE_HEADS + Placement.BAFFLE_HEADS, within(1e-12));
    }

    private static List<String> keys(NoseFit f) {
        return f.problems().stream().map(m -> m.key()).toList();
    }
}
