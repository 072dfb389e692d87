package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Areas, volumes and masses worked out by hand for one double-pass core of each construction, in SI units. */
class GeometryTest {
    private record Worked(
            double airFree,
            double airTotal,
            double finShare,
            double finLength,
            double oilFree,
            double oilTotal,
            double oilDiameter,
            double holdUp,
            double mass) {}

    static List<Arguments> cores() {
        return List.of(
                Arguments.of(
                        Core.of(Construction.STACKED_PLATE, 10, 0.28, 0.05),
                        new Worked(
                                0.01234772,
                                1.12035,
                                0.73883162,
                                0.00215,
                                0.000525,
                                0.35058333,
                                0.0016772047,
                                0.00041606,
                                0.7191607)),
                Arguments.of(
                        Core.of(Construction.BAR_AND_PLATE, 10, 0.28, 0.05),
                        new Worked(
                                0.010302188,
                                0.9838125,
                                0.71698113,
                                0.0019,
                                0.00055555556,
                                0.33493056,
                                0.0018577649,
                                0.00043296,
                                1.1935536)),
                Arguments.of(
                        Core.of(Construction.TUBE_AND_FIN, 8, 0.28, 0.04),
                        new Worked(
                                0.021998256,
                                1.6038594,
                                0.91965693,
                                0.0082098968,
                                0.00045396014,
                                0.059815924,
                                8.5e-3,
                                0.00040925768,
                                0.6638326)));
    }

    @ParameterizedTest
    @MethodSource("cores")
    void isAsWorkedOutByHand(Core single, Worked worked) {
        Core core = single.withPasses(2);
        CoreGeometry g = CoreGeometry.of(core);
        same(g.airFreeArea(), worked.airFree());
        same(g.airTotalArea(), worked.airTotal());
        same(g.airFinShare(), worked.finShare());
        same(g.finLength(2) / 2, worked.finLength());
        same(g.oilFreeArea(), worked.oilFree());
        same(g.oilTotalArea(), worked.oilTotal());
        same(g.oilHydraulicDiameter(), worked.oilDiameter());
        same(core.holdUp(), worked.holdUp());
        same(core.mass(), worked.mass());
        assertThat(g.turbulator().isPresent()).isEqualTo(core.construction() != Construction.TUBE_AND_FIN);
        // One pass has all rows side by side.
        CoreGeometry one = CoreGeometry.of(single);
        same(one.oilFreeArea(), 2 * worked.oilFree());
        same(one.oilTotalArea(), 2 * worked.oilTotal());
        same(one.airTotalArea(), worked.airTotal());
    }

    @ParameterizedTest
    @MethodSource("cores")
    void outsideIsTheFinnedFaceWithTanksAndEndPlates(Core core, Worked worked) {
        assertThat(core.outsideWidth() - core.width()).isCloseTo(0.04, within(1e-12));
        assertThat(core.outsideHeight() - core.height()).isCloseTo(0.006, within(1e-12));
        assertThat(core.withRows(3).rows()).isEqualTo(3);
        Core turned = core.orientedLike(
                new Core(core.construction(), 5, 0.2, 0.05, 1, Finish.POWDER_COAT, Ports.DOWN, core.detail()));
        assertThat(turned.ports()).isEqualTo(Ports.DOWN);
        assertThat(turned.finish()).isEqualTo(Finish.POWDER_COAT);
        assertThat(turned.rows()).isEqualTo(core.rows());
    }

    private static void same(double is, double worked) {
        assertThat(is).isCloseTo(worked, within(1e-6 * worked));
    }
}
