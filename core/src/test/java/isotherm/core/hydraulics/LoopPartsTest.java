package isotherm.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.exchanger.TubeFlow;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pump, hoses, thermostat and the loop that they make, by themselves. */
class LoopPartsTest {
    private static final Oil OIL = Oil.grade("5W-40").orElseThrow();
    private static final OilState HOT = OilState.of(OIL, Units.kelvin(110));
    private static final OilState COLD = OilState.of(OIL, Units.kelvin(0));
    private static final CoreModel CORE = new CoreModel(Core.stackedPlate(16, 0.28, 0.05));
    private static final Hose FEED = new Hose(14.2e-3, 1.1, 2);
    private static final Hose BACK = new Hose(14.2e-3, 1.4, 3);

    private static CoolerLoop loop(OilThermostat.Site site) {
        return new CoolerLoop(
                FEED,
                BACK,
                CoolerLoop.PLATE_HEADS,
                Optional.of(new OilThermostat(Units.kelvin(85), Units.kelvin(96), 0.08, site)),
                0.3e-3);
    }

    @Test
    void aPumpMovesItsDisplacementOncePerTurnLessItsSlip() {
        OilPump pump = new OilPump(10e-6, 0.8, 5e5);
        assertThat(pump.flow(6000)).isCloseTo(10e-6 * 100 * 0.8, within(1e-12));
        assertThat(pump.flow(0)).isZero();
        assertThat(pump.flow(3000)).isCloseTo(pump.flow(6000) / 2, within(1e-12));
    }

    @Test
    void aHoseHoldsItsCylinder() {
        // 14.2 mm, one metre: 158.4 cm³.
        assertThat(new Hose(14.2e-3, 1, 4).volume() * 1e6).isCloseTo(158.37, within(0.01));
    }

    @Test
    void theLoopIsTheSumOfItsPartsAndNamesThemInTheOrderOfTheFlow() {
        CoolerLoop loop = loop(OilThermostat.Site.PLATE);
        for (double m : new double[] {0.05, 0.3, 0.8}) {
            var losses = loop.losses(CORE, m, CoolerLoop.LoopOil.even(HOT));
            assertThat(losses)
                    .extracting(CoolerLoop.Loss::what)
                    .containsExactly("plate", "feed hose", "core", "return hose");
            assertThat(losses.stream().mapToDouble(CoolerLoop.Loss::pascal).sum())
                    .isCloseTo(loop.pressureDrop(CORE, m, CoolerLoop.LoopOil.even(HOT)), within(1e-6));
            assertThat(losses).allSatisfy(l -> assertThat(l.pascal()).isPositive());
            assertThat(losses.get(1).pascal()).isEqualTo(FEED.pressureDrop(m, HOT));
            assertThat(losses.get(2).pascal()).isEqualTo(CORE.oilPressureDrop(m, HOT));
        }
    }

    @Test
    void eachPartOfTheLoopHasItsOwnOil() {
        CoolerLoop loop = loop(OilThermostat.Site.PLATE);
        var oil = isotherm.core.fluid.Oil.grade("5W-40").orElseThrow();
        var cooled = CoolerLoop.LoopOil.cooled(oil, 390, 370, 300);
        var losses = loop.losses(CORE, 0.3, cooled);
        OilState back = OilState.of(oil, 370);
        assertThat(losses.get(3).pascal()).isEqualTo(loop.back().pressureDrop(0.3, back));
        // The film lies a quarter of the way from the mean, 380 K, to the air.
        assertThat(losses.get(2).pascal()).isEqualTo(CORE.oilPressureDrop(0.3, OilState.of(oil, 360)));
        assertThat(loop.pressureDrop(CORE, 0.3, cooled))
                .isGreaterThan(loop.pressureDrop(CORE, 0.3, CoolerLoop.LoopOil.even(OilState.of(oil, 390))));
        // Oil at the temperature of the air is not cooled on its way.
        assertThat(CoolerLoop.LoopOil.usual(oil, 300)).isEqualTo(CoolerLoop.LoopOil.even(OilState.of(oil, 300)));
    }

    @Test
    void thePlateCostsItsHeadsOnTheFeedBore() {
        double m = 0.5;
        double speed = m / HOT.density() / (Math.PI / 4 * 14.2e-3 * 14.2e-3);
        double head = HOT.density() * speed * speed / 2;
        assertThat(loop(OilThermostat.Site.PLATE)
                        .losses(CORE, m, CoolerLoop.LoopOil.even(HOT))
                        .get(0)
                        .pascal())
                .isCloseTo(3.5 * head, within(1e-6 * head));
        assertThat(loop(OilThermostat.Site.IN_LINE)
                        .losses(CORE, m, CoolerLoop.LoopOil.even(HOT))
                        .get(0)
                        .pascal())
                .as("in line it costs its own joints as well")
                .isCloseTo(5.5 * head, within(1e-6 * head));
    }

    @ParameterizedTest
    @EnumSource(OilThermostat.Site.class)
    void theVolumeHoldsHosesCoreAndExtras(OilThermostat.Site site) {
        double volume = loop(site).volume(CORE);
        assertThat(volume).isCloseTo(FEED.volume() + BACK.volume() + CORE.core().holdUp() + 0.3e-3, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"0, 0.08", "0.5, 0.54", "1, 1"})
    void aThermostatSendsItsLeakAtLeastAndAllAtMost(double lift, double share) {
        assertThat(loop(OilThermostat.Site.PLATE).share(lift)).isCloseTo(share, within(1e-12));
        assertThat(new CoolerLoop(FEED, BACK, 3.5, Optional.empty(), 0).share(lift))
                .as("without one the oil always goes through the core")
                .isEqualTo(1);
    }

    @Test
    void liftRunsStraightFromOpeningToFullAndStaysInItsRange() {
        OilThermostat t = OilThermostat.opening(Units.kelvin(85));
        assertThat(t.fullK() - t.opensK()).isEqualTo(OilThermostat.SPAN);
        double before = -1;
        for (double c = 40; c <= 160; c += 0.25) {
            double up = t.liftWarming(Units.kelvin(c));
            assertThat(up).isBetween(0.0, 1.0).isGreaterThanOrEqualTo(before);
            assertThat(t.liftCooling(Units.kelvin(c))).isBetween(0.0, 1.0);
            before = up;
        }
        assertThat(t.liftWarming(Units.kelvin(85 + OilThermostat.SPAN / 2))).isCloseTo(0.5, within(1e-9));
    }

    /** Twice the flow of a laminar hose costs twice as much, of a turbulent one nearly four times. */
    @Test
    void coldOilIsLaminarAndHotOilIsNot() {
        Hose straight = new Hose(14.2e-3, 50, 0);
        double cold = straight.pressureDrop(0.2, COLD) / straight.pressureDrop(0.1, COLD);
        assertThat(cold).isBetween(1.99, 2.05);
        double hot = straight.pressureDrop(3.0, HOT) / straight.pressureDrop(1.5, HOT);
        assertThat(hot).isBetween(3.2, 4.0);
    }

    @Test
    void everyBendAndEveryCentimetreCosts() {
        for (OilState oil : new OilState[] {HOT, COLD}) {
            for (double m : new double[] {0.05, 0.5}) {
                double base = FEED.pressureDrop(m, oil);
                assertThat(new Hose(14.2e-3, 1.1, 3).pressureDrop(m, oil)).isGreaterThan(base);
                assertThat(new Hose(14.2e-3, 1.2, 2).pressureDrop(m, oil)).isGreaterThan(base);
                assertThat(new Hose(13.0e-3, 1.1, 2).pressureDrop(m, oil)).isGreaterThan(base);
            }
        }
    }

    /** The friction factor that the hoses are computed with: Hagen and Poiseuille below, Prandtl and Kármán above. */
    @ParameterizedTest
    @ValueSource(doubles = {100, 800, 1900})
    void frictionIsThatOfHagenAndPoiseuilleBelowTwoThousand(double re) {
        assertThat(TubeFlow.churchill(re, 0)).isCloseTo(64 / re, within(0.005 * 64 / re));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1e4, 1e5, 1e6})
    void frictionOfASmoothTubeSatisfiesPrandtlsLaw(double re) {
        double f = TubeFlow.churchill(re, 0);
        double law = 1 / Math.sqrt(f) - 2 * Math.log10(re * Math.sqrt(f)) + 0.8;
        assertThat(law).isCloseTo(0, within(0.15));
    }
}
