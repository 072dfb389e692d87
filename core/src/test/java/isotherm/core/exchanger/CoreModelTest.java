package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class CoreModelTest {
    private static final Oil OIL = Oil.grade("5W-40").orElseThrow();
    private static final double PASCAL = 101_325;

    private static CoreRating rate(Core core, double litresPerMinute, double faceSpeed, double efficacy) {
        double oilIn = Units.kelvin(120);
        double airIn = Units.kelvin(25);
        return new CoreModel(core)
                .rate(
                        OIL,
                        litresPerMinute / 6e4 * OIL.density(oilIn),
                        oilIn,
                        faceSpeed * core.faceArea() * Air.density(airIn, PASCAL),
                        airIn,
                        PASCAL,
                        1,
                        efficacy);
    }

    @Test
    void nineteenRowsComeOutAtTheSizeThatSuchACoreHas() {
        Core core = Core.stackedPlate(19, 0.28, 0.05);
        CoreRating bare = rate(core, 30, 8, 1);
        assertThat(bare.heat()).isBetween(17_000.0, 20_000.0);
        assertThat(rate(core, 30, 8, CoreModel.EFFICACY).heat()).isBetween(14_500.0, 16_500.0);
        assertThat(bare.oilPressureDrop()).isBetween(0.13e5, 0.21e5);
        assertThat(bare.airPressureDrop()).isBetween(700.0, 1100.0);
        assertThat(core.holdUp()).isBetween(0.5e-3, 1.0e-3);
        assertThat(core.mass()).isBetween(1.0, 2.5);
    }

    @ParameterizedTest
    @EnumSource(Construction.class)
    void heatLeavingTheOilArrivesInTheAir(Construction construction) {
        Core core = Core.of(construction, 12, 0.3, 0.05);
        CoreRating r = rate(core, 25, 6, 0.8);
        double airRate = 6 * core.faceArea() * Air.density(Units.kelvin(25), PASCAL) * Air.SPECIFIC_HEAT;
        assertThat(airRate * (r.airOutK() - Units.kelvin(25))).isCloseTo(r.heat(), within(0.2));
        assertThat(r.oilOutK()).isBetween(Units.kelvin(25), Units.kelvin(120));
        assertThat(r.wallK()).isBetween(r.airOutK() < r.oilOutK() ? Units.kelvin(25) : 0, Units.kelvin(120));
    }

    @Test
    void barAndPlateIsHeavierAndLeavesLessOpenFaceThanStackedPlate() {
        Core stacked = Core.of(Construction.STACKED_PLATE, 19, 0.28, 0.05);
        Core bar = Core.of(Construction.BAR_AND_PLATE, 19, 0.28, 0.05);
        assertThat(bar.mass()).isGreaterThan(1.3 * stacked.mass());
        double open = new AirSurface(bar).freeArea() / new AirSurface(stacked).freeArea();
        assertThat(open).isBetween(0.82, 0.90);
    }

    @Test
    void aDoublePassTakesMoreHeatPerRowForSeveralTimesTheLoss() {
        Core single = Core.stackedPlate(19, 0.28, 0.05);
        CoreRating one = rate(single, 30, 8, 0.8);
        CoreRating two = rate(single.withPasses(2), 30, 8, 0.8);
        assertThat(two.heat()).isGreaterThan(one.heat());
        assertThat(two.oilPressureDrop()).isGreaterThan(2.5 * one.oilPressureDrop());
    }

    @Test
    void aShadedShareTakesThatShareOfTheFaceAway() {
        Core core = Core.stackedPlate(19, 0.28, 0.05);
        double flow = 0.4;
        double air = 0.4;
        CoreModel model = new CoreModel(core);
        double half = model.rate(OIL, flow, 393, air / 2, 298, PASCAL, 0.5, 0.8).heat();
        double whole = model.rate(OIL, flow, 393, air, 298, PASCAL, 1, 0.8).heat();
        assertThat(half / whole).isBetween(0.5, 0.62);
    }

    @Test
    void withoutFlowThereIsNoHeatAndNoLoss() {
        CoreModel model = new CoreModel(Core.stackedPlate(10, 0.2, 0.05));
        CoreRating noOil = model.rate(OIL, 0, 393, 0.5, 298, PASCAL, 1, 0.8);
        CoreRating noAir = model.rate(OIL, 0.4, 393, 0, 298, PASCAL, 1, 0.8);
        assertThat(noOil.heat()).isZero();
        assertThat(noOil.oilPressureDrop()).isZero();
        assertThat(noAir.heat()).isZero();
        assertThat(noAir.oilOutK()).isEqualTo(393);
        assertThat(noAir.oilPressureDrop()).isPositive();
    }

    @Test
    void aCorrelationOutsideItsRangeSaysSo() {
        CoreRating r = rate(Core.stackedPlate(19, 0.28, 0.05), 30, 8, 0.8);
        assertThat(r.validity())
                .anySatisfy(v -> assertThat(v.quantity()).isEqualTo("oil-side Reynolds number"))
                .noneSatisfy(v -> assertThat(v.quantity()).startsWith("air-side"));
        assertThat(rate(Core.stackedPlate(19, 0.28, 0.05), 30, 0.05, 0.8).validity())
                .anySatisfy(v -> assertThat(v.quantity()).startsWith("air-side"));
    }

    @Test
    void everyRangeOfACorrelationIsLookedAtAndNotOnlyTheFlow() {
        Core deep = Core.stackedPlate(19, 0.28, 0.11);
        assertThat(rate(deep, 30, 8, 0.8).validity()).anySatisfy(v -> {
            assertThat(v.quantity()).isEqualTo("depth");
            assertThat(v.value()).isCloseTo(110, org.assertj.core.api.Assertions.within(1e-9));
            assertThat(v.high()).isEqualTo(57.4);
        });
        assertThat(rate(Core.stackedPlate(19, 0.28, 0.05), 30, 8, 0.8).validity())
                .noneSatisfy(v -> assertThat(v.quantity()).isEqualTo("depth"));
    }

    @Test
    void coresThatCannotExistAreRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> Core.stackedPlate(0, 0.2, 0.05));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Core.stackedPlate(10, 0.2, 0.05).withPasses(3));
    }

    /** Any core at any point of the input range, by seed. */
    static Stream<Random> samples() {
        return IntStream.range(0, 150).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("samples")
    void anywhereInRangeIsFiniteAndMoreAirOrOilOrRowsNeverCoolsLess(Random random) {
        Core core = Core.of(
                        Construction.values()[random.nextInt(3)],
                        2 + random.nextInt(40),
                        0.1 + 0.5 * random.nextDouble(),
                        0.03 + 0.06 * random.nextDouble())
                .withPasses(1 + random.nextInt(2));
        double oilFlow = Math.exp(-6 + 6 * random.nextDouble());
        double airFlow = Math.exp(-5 + 6 * random.nextDouble());
        double oilIn = 253 + 170 * random.nextDouble();
        double airIn = 243 + 80 * random.nextDouble();
        double open = 0.1 + 0.9 * random.nextDouble();
        CoreModel model = new CoreModel(core);
        CoreRating r = model.rate(OIL, oilFlow, oilIn, airFlow, airIn, PASCAL, open, 0.8);
        assertThat(new double[] {
                    r.heat(),
                    r.oilOutK(),
                    r.airOutK(),
                    r.wallK(),
                    r.conductance(),
                    r.oilPressureDrop(),
                    r.airPressureDrop()
                })
                .doesNotContain(Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY);
        assertThat(r.effectiveness()).isBetween(0.0, 1.0);
        assertThat(r.oilPressureDrop()).isPositive();
        assertThat(r.airPressureDrop()).isPositive();
        double sign = Math.signum(oilIn - airIn);
        // A colder wall thickens the oil on it (Sieder–Tate), which may take back a little of what more air brings.
        double tolerance = 0.3 + 0.005 * Math.abs(r.heat());
        double moreAir = model.rate(OIL, oilFlow, oilIn, airFlow * 1.2, airIn, PASCAL, open, 0.8)
                .heat();
        assertThat(sign * moreAir).isGreaterThanOrEqualTo(sign * r.heat() - tolerance);
        CoreModel larger = new CoreModel(core.withRows(core.rows() + 4));
        double moreRows = larger.rate(OIL, oilFlow, oilIn, airFlow, airIn, PASCAL, open, 0.8)
                .heat();
        // At equal mass flow more rows are more area at lower speed; the correlations' exponents decide, within 4 %.
        assertThat(sign * moreRows).isGreaterThanOrEqualTo(sign * r.heat() * 0.96 - tolerance);
    }
}
