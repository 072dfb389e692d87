package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreSheet;
import isotherm.core.findings.Assessment;
import isotherm.core.findings.Finding;
import isotherm.core.findings.Findings;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilCircuit;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What thick oil does to the core, and a by-pass valve that lets it past. */
class ColdCircuitTest {
    private static final Car CAR = cold(DemoCars.car(), -25);
    private static final double OPENS = 1.5e5;
    private static final Hose WIDE = new Hose(14.2e-3, 1.2, 2);
    private static final Hose NARROW = new Hose(7e-3, 2.5, 4);

    private static Car cold(Car car, double celsius) {
        Car.Limits l = car.limits();
        return new Car(
                car.engine(),
                car.school(),
                car.oil(),
                car.oilVolume(),
                car.vehicle(),
                car.pump(),
                car.gauge(),
                car.losses(),
                car.coolant(),
                car.factoryExchanger(),
                car.sensor(),
                new Car.Limits(l.targetLowK(), l.targetHighK(), l.limitK(), l.sure(), Units.kelvin(celsius)),
                car.correction());
    }

    private static Design open(OptionalDouble bypass) {
        return open(NARROW, bypass);
    }

    private static Design open(Hose hose, OptionalDouble bypass) {
        Design.Cooler c = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD).cooler().orElseThrow();
        return new Design(
                Optional.of(new Design.Cooler(
                        c.core(),
                        c.airway(),
                        new CoolerLoop(hose, hose, CoolerLoop.PLATE_HEADS, Optional.empty(), 0, bypass),
                        c.efficacy())),
                true,
                Optional.empty());
    }

    private static PressureCheck.Point point(Design design, PressureCheck.Kind kind) {
        return PressureCheck.of(CAR, design, Units.kelvin(110)).points().stream()
                .filter(p -> p.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aByPassValveHoldsThePressureAcrossTheLoopAtItsSetting() {
        PressureCheck.Point without = point(open(OptionalDouble.empty()), PressureCheck.Kind.COLD_TORQUE_PEAK);
        PressureCheck.Point with = point(open(OptionalDouble.of(OPENS)), PressureCheck.Kind.COLD_TORQUE_PEAK);
        assertThat(without.loop()).isGreaterThan(1.5 * OPENS);
        assertThat(with.loop()).isCloseTo(OPENS, within(1e-3 * OPENS));
        // The relief valve holds the pump: what the loop does not take, the gallery has.
        assertThat(with.gallery()).isCloseTo(CAR.pump().reliefPressure() - OPENS, within(1e-3 * OPENS));
        assertThat(with.gallery()).isGreaterThan(without.gallery());
    }

    @Test
    void hotOilThroughAWideHoseDoesNotOpenIt() {
        PressureCheck.Point without = point(open(WIDE, OptionalDouble.empty()), PressureCheck.Kind.HOT_IDLE);
        PressureCheck.Point with = point(open(WIDE, OptionalDouble.of(OPENS)), PressureCheck.Kind.HOT_IDLE);
        assertThat(without.loop()).isLessThan(OPENS);
        assertThat(with).isEqualTo(without);
    }

    @ParameterizedTest
    @CsvSource({"-20, 2000", "0, 3000", "20, 6000", "60, 4000"})
    void theOilPastTheCoreIsWhatTheEngineHasMoreThanTheCore(double celsius, double rpm) {
        OilCircuit engine = new OilCircuit(CAR.oil(), CAR.pump(), CAR.gauge());
        Design.Cooler c = open(OptionalDouble.of(OPENS)).cooler().orElseThrow();
        CoreModel core = new CoreModel(c.core());
        double oilK = Units.kelvin(celsius);
        OilCircuit.Point p = engine.at(rpm, oilK, Optional.of(c.loop()), Optional.of(core), 1);
        CoolerLoop.LoopOil warmth = CoolerLoop.LoopOil.usual(CAR.oil(), oilK);
        double density = CAR.oil().density(oilK);
        assertThat(p.coolerFlow()).isPositive().isLessThanOrEqualTo(p.engineFlow());
        double across = c.loop().pressureDrop(core, p.coolerFlow() * density, warmth);
        if (p.coolerFlow() < p.engineFlow() * (1 - 1e-6)) {
            assertThat(across).as("open: at its setting").isCloseTo(OPENS, within(2e-3 * OPENS));
        } else {
            assertThat(across).as("shut: under it").isLessThanOrEqualTo(OPENS * 1.001);
        }
        assertThat(p.engineFlow() + p.reliefFlow()).isCloseTo(CAR.pump().flow(rpm), within(1e-9));
    }

    @Test
    void coldOilThatGoesPastTheCoreIsWarmSooner() {
        CruiseDuty road = new CruiseDuty(20, 900, true, DemoCars.DAY);
        double without = Simulator.run(CAR, road, open(OptionalDouble.empty())).timeTo(Units.kelvin(60));
        double with = Simulator.run(CAR, road, open(OptionalDouble.of(0.3e5))).timeTo(Units.kelvin(60));
        assertThat(with).isFinite().isLessThan(without);
    }

    @Test
    void theCoreSeesThePumpLessPlateAndHoseAndWhatTheReliefValveRises() {
        PressureCheck.Point p =
                point(DemoCars.design(16, Place.LOWER_GRILLE_AHEAD), PressureCheck.Kind.COLD_HIGHEST_SPEED);
        double relief = CAR.pump().reliefPressure();
        // Behind a shut thermostat hardly any oil moves: no loss before the core, and nearly all of it goes back.
        double back = p.relief() / CAR.pump().flow(CAR.engine().maxRpm());
        assertThat(back).isGreaterThan(0.5);
        double most = relief * (1 + PressureCheck.RELIEF_OVERRIDE * back);
        assertThat(p.core()).isBetween(relief * 0.9, most);
        assertThat(point(Design.NO_COOLER, PressureCheck.Kind.COLD_IDLE).core()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"-0.01e5, true", "0.01e5, false"})
    void aCoreThatIsMadeForLessIsARisk(double more, boolean said) {
        Design design = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
        double highest = PressureCheck.of(
                        CAR,
                        design,
                        Simulator.run(CAR, DemoCars.session(6), design).peak())
                .highestAtCore();
        Core d = design.cooler().orElseThrow().core();
        Core weak = new Core(
                d.construction(),
                d.rows(),
                d.width(),
                d.depth(),
                d.passes(),
                d.finish(),
                d.ports(),
                d.detail().ratedFor(highest + more));
        Optional<Finding> f = Findings.of(Assessment.of(CAR, DemoCars.session(6), design.withCore(weak))).stream()
                .filter(x -> x.topic() == Finding.Topic.CORE_PRESSURE)
                .findFirst();
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> {
            assertThat(x.severity()).isEqualTo(Finding.Severity.RISK);
            assertThat(x.what().figure("pressure")).isCloseTo(highest, within(1.0));
            assertThat(x.what().figure("bound")).isCloseTo(highest + more, within(1.0));
        });
    }

    @Test
    void aCoreThatWasNeverTestedAtSuchAPressureFails() {
        Design design = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
        double highest = PressureCheck.of(
                        CAR,
                        design,
                        Simulator.run(CAR, DemoCars.session(6), design).peak())
                .highestAtCore();
        Core d = design.cooler().orElseThrow().core();
        CoreLayout own = d.layout();
        Core tested = new Core(
                d.construction(),
                d.rows(),
                d.width(),
                d.depth(),
                d.passes(),
                d.finish(),
                d.ports(),
                d.detail().ratedFor(highest + 1e5),
                Optional.of(new CoreSheet(
                        d.outsideWidth(),
                        d.outsideHeight(),
                        own.ports(),
                        own.holes(),
                        OptionalDouble.of(highest - 1e4))));
        Finding f = Findings.of(Assessment.of(CAR, DemoCars.session(6), design.withCore(tested))).stream()
                .filter(x -> x.topic() == Finding.Topic.CORE_PRESSURE)
                .findFirst()
                .orElseThrow();
        assertThat(f.severity()).isEqualTo(Finding.Severity.FAILS);
        assertThat(f.what().figure("test")).isCloseTo(highest - 1e4, within(1.0));
    }
}
