package isotherm.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OilCircuitTest {
    private static final Oil OIL = Oil.grade("5W-40").orElseThrow();
    private static final OilPump PUMP = new OilPump(9e-6, 0.85, 5.5e5);
    private static final GaugePoint GAUGE = new GaugePoint(1.3e5, 850, Units.kelvin(95));
    private static final OilCircuit CIRCUIT = new OilCircuit(OIL, PUMP, GAUGE);
    private static final CoreModel CORE = new CoreModel(Core.stackedPlate(16, 0.28, 0.05));
    private static final Hose HOSE = new Hose(14.2e-3, 1.2, 2);

    private static CoolerLoop loop(Optional<OilThermostat> thermostat) {
        return new CoolerLoop(HOSE, HOSE, CoolerLoop.PLATE_HEADS, thermostat, 0);
    }

    private static OilCircuit.Point at(double rpm, double celsius, double lift) {
        return CIRCUIT.at(
                rpm,
                Units.kelvin(celsius),
                Optional.of(loop(Optional.of(OilThermostat.opening(Units.kelvin(90))))),
                Optional.of(CORE),
                lift);
    }

    @Test
    void theGaugePointComesBack() {
        OilCircuit.Point p = CIRCUIT.at(850, Units.kelvin(95), Optional.empty(), Optional.empty(), 0);
        assertThat(p.galleryPressure()).isCloseTo(1.3e5, within(1.0));
        assertThat(p.reliefFlow()).isZero();
    }

    @ParameterizedTest
    @ValueSource(doubles = {-20, 20, 60, 95, 130})
    void pumpPressureIsSpentOnLoopAndBearingsAndNeverPassesTheRelief(double celsius) {
        for (double rpm : new double[] {850, 2500, 4500, 6800}) {
            OilCircuit.Point p = at(rpm, celsius, 1);
            double pump = p.galleryPressure() + p.loopPressureDrop();
            assertThat(pump).isLessThanOrEqualTo(PUMP.reliefPressure() * 1.001);
            if (p.reliefFlow() > 1e-9) {
                assertThat(pump).isCloseTo(PUMP.reliefPressure(), within(PUMP.reliefPressure() * 1e-3));
            }
            assertThat(p.engineFlow() + p.reliefFlow()).isCloseTo(PUMP.flow(rpm), within(1e-9));
        }
    }

    @Test
    void aShutThermostatPassesOnlyItsLeak() {
        OilCircuit.Point p = at(3000, 60, 0);
        assertThat(p.coolerFlow() / p.engineFlow()).isCloseTo(OilThermostat.LEAK, within(1e-9));
        assertThat(at(3000, 60, 1).coolerFlow() / at(3000, 60, 1).engineFlow()).isCloseTo(1, within(1e-9));
    }

    @Test
    void theLoopCostsGalleryPressureOnlyOverTheRelief() {
        double hot = at(2000, 120, 1).galleryPressure();
        double hotBare = CIRCUIT.at(2000, Units.kelvin(120), Optional.empty(), Optional.empty(), 0)
                .galleryPressure();
        assertThat(hot).isCloseTo(hotBare, within(1.0));
        double cold = at(6000, 40, 1).galleryPressure();
        double coldBare = CIRCUIT.at(6000, Units.kelvin(40), Optional.empty(), Optional.empty(), 0)
                .galleryPressure();
        assertThat(cold).isLessThan(coldBare - 1e4);
    }

    @Test
    void hoseLossIsPoiseuillesWithoutBendsAndEndsLeftOut() {
        OilState cold = OilState.of(OIL, Units.kelvin(20));
        Hose straight = new Hose(14.2e-3, 10, 0);
        Hose twice = new Hose(14.2e-3, 20, 0);
        double m = 0.2;
        double friction = twice.pressureDrop(m, cold) - straight.pressureDrop(m, cold);
        double q = m / cold.density();
        double poiseuille = 128 * cold.viscosity() * 10 * q / (Math.PI * Math.pow(14.2e-3, 4));
        assertThat(friction).isCloseTo(poiseuille, within(0.002 * poiseuille));
    }

    @Test
    void aSmallerBoreCostsMore() {
        OilState hot = OilState.of(OIL, Units.kelvin(110));
        double dash8 = new Hose(11.1e-3, 1.2, 2).pressureDrop(0.5, hot);
        double dash10 = new Hose(14.2e-3, 1.2, 2).pressureDrop(0.5, hot);
        double dash12 = new Hose(17.5e-3, 1.2, 2).pressureDrop(0.5, hot);
        assertThat(dash8).isGreaterThan(1.8 * dash10);
        assertThat(dash10).isGreaterThan(1.8 * dash12);
        assertThat(new Hose(14.2e-3, 1.2, 2).pressureDrop(0, hot)).isZero();
    }

    @Test
    void theThermostatHoldsStillBetweenItsWarmingAndItsCoolingCurve() {
        OilThermostat t = OilThermostat.opening(Units.kelvin(90));
        assertThat(t.liftWarming(Units.kelvin(89))).isZero();
        assertThat(t.liftWarming(Units.kelvin(101))).isEqualTo(1);
        for (double c = 85; c < 105; c += 0.5) {
            assertThat(t.liftCooling(Units.kelvin(c))).isGreaterThanOrEqualTo(t.liftWarming(Units.kelvin(c)));
        }
        assertThat(t.liftCooling(Units.kelvin(95 - OilThermostat.HYSTERESIS)))
                .isCloseTo(t.liftWarming(Units.kelvin(95)), within(1e-9));
    }
}
