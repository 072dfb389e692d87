package isotherm.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Value;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class FindingsTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(12);

    private static List<Finding> findings(Duty duty, Design design) {
        return Findings.of(Assessment.of(CAR, duty, design));
    }

    private static Optional<Finding> find(List<Finding> findings, Finding.Topic topic) {
        return findings.stream().filter(f -> f.topic() == topic).findFirst();
    }

    @Test
    void aCoreThatIsTooSmallFailsAndItsRemedyMends() {
        Design small = DemoCars.design(7, Place.GRILLE_AHEAD);
        List<Finding> findings = findings(TRACK, small);
        Finding hot = find(findings, Finding.Topic.TOO_HOT).orElseThrow();
        assertThat(findings.get(0)).isEqualTo(hot);
        Design mended = hot.remedy().orElseThrow().design();
        assertThat(Simulator.run(CAR, TRACK, mended).peak())
                .isLessThanOrEqualTo(CAR.limits().targetHighK());
        assertThat(find(findings(TRACK, mended), Finding.Topic.TOO_HOT)).isEmpty();
    }

    @Test
    void aCoreWithoutThermostatRunsTooColdOnTheRoadAndAThermostatMends() {
        Design open = DemoCars.design(25, Place.GRILLE_AHEAD).withThermostat(Optional.empty());
        Finding cold = find(findings(TRACK, open), Finding.Topic.TOO_COLD).orElseThrow();
        Design mended = cold.remedy().orElseThrow().design();
        assertThat(Assessment.of(CAR, TRACK, mended).roadOil())
                .isGreaterThan(Assessment.of(CAR, TRACK, open).roadOil() + 5);
    }

    @Test
    void aRoadCarIsToldThatItNeedsNone() {
        Duty road = new CruiseDuty(30, 1800, new Weather(Units.kelvin(20), 100));
        Finding bare =
                find(findings(road, Design.NO_COOLER), Finding.Topic.NOT_NEEDED).orElseThrow();
        assertThat(bare.severity()).isEqualTo(Finding.Severity.GOOD);
        Finding fitted = find(findings(road, DemoCars.design(13, Place.GRILLE_AHEAD)), Finding.Topic.NOT_NEEDED)
                .orElseThrow();
        assertThat(fitted.remedy().orElseThrow().design().cooler()).isEmpty();
    }

    @Test
    void aDesignThatHoldsIsSaidToHold() {
        Design large = DemoCars.design(34, Place.FRONT_CORNER_VENTED);
        assertThat(find(findings(TRACK, large), Finding.Topic.HOLDS)).isPresent();
        assertThat(find(findings(TRACK, large), Finding.Topic.TOO_HOT)).isEmpty();
    }

    private static Design changed(java.util.function.UnaryOperator<Airway> air) {
        Design d = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
        return d.withAirway(air.apply(d.cooler().orElseThrow().airway()));
    }

    /** One design for each finding that a design can earn, and whether its remedy takes the finding away. */
    static Stream<Arguments> provoked() {
        Design base = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
        Core core = base.cooler().orElseThrow().core();
        Core down = new Core(
                core.construction(),
                core.rows(),
                core.width(),
                core.depth(),
                2,
                core.finish(),
                Ports.DOWN,
                core.detail());
        Hose thin = new Hose(6e-3, 3, 4);
        Design.Cooler c = base.cooler().orElseThrow();
        Design starved = Design.with(new Design.Cooler(
                c.core(),
                c.airway(),
                new CoolerLoop(thin, thin, CoolerLoop.PLATE_HEADS, Optional.empty(), 0),
                c.efficacy()));
        return Stream.of(
                Arguments.of(Finding.Topic.SHADED, changed(a -> a.withShade(0.5)), true),
                Arguments.of(Finding.Topic.LEAKY, changed(a -> a.withSealing(0.5)), true),
                Arguments.of(Finding.Topic.INTAKE_HEATED, changed(a -> a.withIntakeBehind(true)), true),
                Arguments.of(Finding.Topic.NO_WAY_OUT, DemoCars.design(16, Place.FRONT_CORNER_CLOSED), true),
                Arguments.of(
                        Finding.Topic.THERMOSTAT_HIGH,
                        base.withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(118)))),
                        true),
                Arguments.of(Finding.Topic.AIR_TRAPPED, base.withCore(down), true),
                Arguments.of(Finding.Topic.NO_THERMOSTAT, base.withThermostat(Optional.empty()), true),
                Arguments.of(Finding.Topic.PRESSURE, starved, false),
                Arguments.of(
                        Finding.Topic.THIN_FILM,
                        Design.NO_COOLER.withOil(Oil.grade("0W-20").orElseThrow()),
                        false),
                Arguments.of(Finding.Topic.STRETCHED, base, null));
    }

    @ParameterizedTest
    @MethodSource("provoked")
    void everyFindingIsMadeAndItsRemedyIsComputed(Finding.Topic topic, Design design, Boolean gone) {
        Finding f = find(findings(TRACK, design), topic).orElseThrow();
        assertThat(f.what().key()).isEqualTo(topic.key("what"));
        assertThat(f.why().key()).isEqualTo(topic.key("why"));
        if (gone == null) {
            assertThat(f.remedy()).isEmpty();
            return;
        }
        Remedy remedy = f.remedy().orElseThrow();
        assertThat(remedy.peakK())
                .isEqualTo(Simulator.run(CAR, TRACK, remedy.design()).peak());
        if (gone) {
            assertThat(find(findings(TRACK, remedy.design()), topic)).isEmpty();
        }
    }

    @Test
    void aSlowClimbIsSavedByAFan() {
        Duty climb = ClimbDuty.even(12_000, 0.09, 9, new Trailer(2500, 1.5), 0, DemoCars.DAY);
        Design d = DemoCars.design(25, Place.UNDER_FLOOR);
        Car hot = CAR.withSchool(new HeatSchool.ShareOfPower(0.16));
        Assessment a = Assessment.of(hot, climb, d);
        assertThat(a.session().peak()).isGreaterThan(hot.limits().targetHighK());
        Finding fan = find(Findings.of(a), Finding.Topic.FAN).orElseThrow();
        assertThat(fan.remedy().orElseThrow().peakK())
                .isLessThanOrEqualTo(hot.limits().targetHighK());
    }

    @Test
    void plannedPowerIsLookedAtBeforeTheOilIsCooked() {
        Design d = DemoCars.design(25, Place.LOWER_GRILLE_AHEAD);
        double today = Simulator.run(CAR, TRACK, d).peak();
        assertThat(today).isLessThan(CAR.limits().limitK());
        var a = Assessment.of(CAR, TRACK, d, OptionalDouble.of(2 * CAR.engine().power()));
        assertThat(a.planned().orElseThrow().peak()).isGreaterThan(today);
        Finding planned = find(Findings.of(a), Finding.Topic.PLANNED_POWER).orElseThrow();
        planned.remedy().ifPresent(r -> assertThat(Assessment.planned(
                                CAR, TRACK, r.design(), 2 * CAR.engine().power())
                        .peak())
                .isLessThanOrEqualTo(CAR.limits().limitK()));
        assertThat(find(findings(TRACK, d), Finding.Topic.PLANNED_POWER)).isEmpty();
    }

    @Test
    void moreRowsThatNoLongerHelpAreSaidAndSmallerOnesOffered() {
        Duty gentle = ClimbDuty.even(6000, 0.05, 22, new Trailer(0, 0), 300, new Weather(Units.kelvin(15), 200));
        Finding sated = find(findings(gentle, DemoCars.design(34, Place.GRILLE_AHEAD)), Finding.Topic.ROWS_SATED)
                .orElseThrow();
        assertThat(sated.remedy()
                        .orElseThrow()
                        .design()
                        .cooler()
                        .orElseThrow()
                        .core()
                        .rows())
                .isLessThan(34);
    }

    @Test
    void aSensorBehindTheCoolerIsPointedOut() {
        Car elsewhere = CAR.withSensor(Car.SensorPlace.GALLERY);
        Design d = DemoCars.design(16, Place.GRILLE_AHEAD);
        assertThat(find(Findings.of(Assessment.of(elsewhere, TRACK, d)), Finding.Topic.SENSOR))
                .isPresent();
        assertThat(find(findings(TRACK, d), Finding.Topic.SENSOR)).isEmpty();
    }

    @Test
    void coolantThatPaysAndCoolantThatBoilsAreSaid() {
        var c = CAR.coolant();
        var small = new isotherm.core.airflow.Radiator(0.16, 800, 160, 0.05, 100, 0.4);
        Car weak = CAR.withCoolant(new Coolant(c.capacity(), c.heatShare(), small, c.opensK(), c.fullK()));
        List<Finding> findings = Findings.of(Assessment.of(weak, TRACK, DemoCars.design(34, Place.GRILLE_AHEAD)));
        assertThat(findings)
                .anyMatch(f -> f.topic() == Finding.Topic.COOLANT_BOILS || f.topic() == Finding.Topic.COOLANT_PAYS);
    }

    @Test
    void aCarWithoutACoolerThatNeedsOneIsOfferedOne() {
        Finding hot =
                find(findings(TRACK, Design.NO_COOLER), Finding.Topic.TOO_HOT).orElseThrow();
        Remedy remedy = hot.remedy().orElseThrow();
        assertThat(remedy.design().cooler()).isPresent();
        assertThat(remedy.peakK())
                .isLessThan(Simulator.run(CAR, TRACK, Design.NO_COOLER).peak() - 10);
    }

    @Test
    void whatIsMendedForThePlannedPowerHoldsWithIt() {
        Design d = DemoCars.design(10, Place.FRONT_CORNER_VENTED);
        double limit = CAR.limits().limitK();
        assertThat(Simulator.run(CAR, TRACK, d).peak()).isLessThan(limit);
        // A little more power than this design can take.
        double power = IntStream.rangeClosed(1, 20)
                .mapToDouble(i -> (1 + i / 10.0) * CAR.engine().power())
                .filter(p -> Assessment.planned(CAR, TRACK, d, p).peak() > limit)
                .findFirst()
                .orElseThrow();
        var a = Assessment.of(CAR, TRACK, d, OptionalDouble.of(power));
        Remedy r = find(Findings.of(a), Finding.Topic.PLANNED_POWER)
                .orElseThrow()
                .remedy()
                .orElseThrow();
        assertThat(Assessment.planned(CAR, TRACK, r.design(), power).peak())
                .isLessThanOrEqualTo(CAR.limits().limitK());
    }

    @Test
    void gapsInTheLogOfADutyAreSaid() {
        double[] time = new double[600];
        double[] speed = new double[600];
        for (int i = 0; i < 600; i++) {
            time[i] = i < 300 ? i : i + 42;
            speed[i] = 30;
        }
        Duty log = new LogDuty(
                time,
                speed,
                new double[0],
                new double[0],
                new double[0],
                new double[0],
                Trailer.NONE,
                Duty.Start.WARM,
                DemoCars.DAY);
        Finding gaps =
                find(findings(log, Design.NO_COOLER), Finding.Topic.LOG_GAPS).orElseThrow();
        assertThat(gaps.what().figure("missing")).isEqualTo(43);
        assertThat(find(findings(TRACK, Design.NO_COOLER), Finding.Topic.LOG_GAPS))
                .isEmpty();
    }

    private static Car limited(double targetC, double limitC) {
        return EdgesTest.limited(Units.kelvin(targetC), Units.kelvin(limitC));
    }

    private static List<Finding> findings(Car car, Duty duty, Design design) {
        return Findings.of(Assessment.of(car, duty, design));
    }

    @Test
    void aPeakJustUnderTheLimitIsNoGoodNews() {
        Design d = DemoCars.design(25, Place.FRONT_CORNER_VENTED);
        double peak = Units.celsius(Simulator.run(CAR, TRACK, d).peak());
        Finding close = find(findings(limited(peak + 1, peak + 2), TRACK, d), Finding.Topic.MARGINAL)
                .orElseThrow();
        assertThat(close.severity()).isEqualTo(Finding.Severity.RISK);
        assertThat(close.what().figure("spare")).isEqualTo(2, within(1e-9));
        assertThat(find(findings(limited(peak + 39, peak + 40), TRACK, d), Finding.Topic.MARGINAL))
                .isEmpty();
        assertThat(find(findings(limited(peak + 39, peak + 40), TRACK, d), Finding.Topic.HOLDS))
                .isPresent();
    }

    @Test
    void aCoreThatIsSealedAlreadyIsToldToGrow() {
        Design sealed = DemoCars.design(7, Place.GRILLE_AHEAD);
        Airway tight = sealed.cooler().orElseThrow().airway().withSealing(0.97);
        Finding hot = find(findings(TRACK, sealed.withAirway(tight)), Finding.Topic.TOO_HOT)
                .orElseThrow();
        assertThat(hot.remedy().orElseThrow().label().key()).isEqualTo(Remedy.Kind.MORE_ROWS.key("label"));
        assertThat(find(findings(TRACK, sealed), Finding.Topic.TOO_HOT)
                        .orElseThrow()
                        .remedy()
                        .orElseThrow()
                        .label()
                        .key())
                .startsWith("remedy.SEAL");
    }

    @Test
    void aFanIsNotOfferedToACoreThatHasOne() {
        Duty climb = ClimbDuty.even(12_000, 0.09, 9, new Trailer(2500, 1.5), 0, DemoCars.DAY);
        Car hot = CAR.withSchool(new HeatSchool.ShareOfPower(0.16));
        Design d = DemoCars.design(7, Place.UNDER_FLOOR);
        Design fanned = d.withAirway(d.cooler().orElseThrow().airway().withFan(Optional.of(DemoCars.fan())));
        assertThat(find(findings(hot, climb, fanned), Finding.Topic.FAN)).isEmpty();
    }

    @Test
    void oilThatIsOnlyThinMayNeedNothingButAnotherGrade() {
        Oil thin = Oil.grade("0W-20").orElseThrow();
        // Under a limit this high only the film is wrong.
        List<Finding> said = findings(limited(240, 250), TRACK, Design.NO_COOLER.withOil(thin));
        Finding other = find(said, Finding.Topic.OTHER_GRADE).orElseThrow();
        assertThat(find(said, Finding.Topic.THIN_FILM)).isPresent();
        Design filled = other.remedy().orElseThrow().design();
        assertThat(filled.oil().orElseThrow().kv100Cst()).isGreaterThan(thin.kv100Cst());
        assertThat(find(findings(limited(240, 250), TRACK, filled), Finding.Topic.OTHER_GRADE))
                .isEmpty();
    }

    @Test
    void aCarThatIsColdByItselfIsNotBlamedOnItsCooler() {
        Car cool =
                CAR.withSchool(new HeatSchool.ShareOfPower(0.005)).withLosses(new Car.PassiveLosses(120, 9, 0, 6000));
        Finding cold = find(findings(cool, TRACK, DemoCars.design(10, Place.GRILLE_AHEAD)), Finding.Topic.TOO_COLD)
                .orElseThrow();
        assertThat(cold.severity()).isEqualTo(Finding.Severity.NOTE);
        assertThat(cold.what().values().get("blamed")).isEqualTo(new Value.Choice("no"));
    }

    /** From a radiator with room to spare to one that is too small: first nothing, then the coolant pays, then it boils. */
    @Test
    void theCoolantPaysBeforeItBoils() {
        Design large = DemoCars.design(34, Place.GRILLE_AHEAD);
        Radiator r = CAR.coolant().radiator();
        int paid = -1;
        int boiled = -1;
        for (int i = 0; i < 40; i++) {
            Radiator smaller = new Radiator(
                    r.faceArea(),
                    r.conductance() * (1.6 - 0.035 * i),
                    r.pressureDrop(),
                    r.openingArea(),
                    r.fanPressure(),
                    r.fanFlow());
            var c = CAR.coolant();
            Car car = CAR.withCoolant(new Coolant(c.capacity(), c.heatShare(), smaller, c.opensK(), c.fullK()));
            List<Finding> said = findings(car, TRACK, large);
            if (paid < 0 && find(said, Finding.Topic.COOLANT_PAYS).isPresent()) {
                paid = i;
                Finding f = find(said, Finding.Topic.COOLANT_PAYS).orElseThrow();
                assertThat(f.remedy()
                                .orElseThrow()
                                .design()
                                .cooler()
                                .orElseThrow()
                                .airway()
                                .place())
                        .isEqualTo(Place.FRONT_CORNER_VENTED);
            }
            if (boiled < 0 && find(said, Finding.Topic.COOLANT_BOILS).isPresent()) {
                boiled = i;
                assertThat(find(said, Finding.Topic.COOLANT_BOILS).orElseThrow().severity())
                        .isEqualTo(Finding.Severity.FAILS);
            }
        }
        assertThat(paid).isPositive();
        assertThat(boiled).isGreaterThan(paid);
    }

    @Test
    void findingsComeMostSeriousFirst() {
        for (int rows : new int[] {7, 16, 34}) {
            for (Place place : Place.values()) {
                List<Finding> said = findings(TRACK, DemoCars.design(rows, place));
                assertThat(said).as(rows + " rows, " + place).isNotEmpty().isSortedAccordingTo((x, y) -> x.severity()
                        .compareTo(y.severity()));
                assertThat(said).allSatisfy(f -> assertThat(f.what().key()).startsWith("finding."));
            }
        }
    }
}
