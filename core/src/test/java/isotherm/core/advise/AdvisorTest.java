package isotherm.core.advise;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
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
import isotherm.core.simulate.Car;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Design;
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

class AdvisorTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(12);

    private static List<Finding> findings(Duty duty, Design design) {
        return Advisor.findings(Assessment.of(CAR, duty, design));
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
        assertThat(f.why()).isNotBlank();
        assertThat(f.figure()).isNotBlank();
        if (gone == null) {
            assertThat(f.remedy()).isEmpty();
            return;
        }
        Finding.Remedy remedy = f.remedy().orElseThrow();
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
        Finding fan = find(Advisor.findings(a), Finding.Topic.FAN).orElseThrow();
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
        Finding planned = find(Advisor.findings(a), Finding.Topic.PLANNED_POWER).orElseThrow();
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
        assertThat(find(Advisor.findings(Assessment.of(elsewhere, TRACK, d)), Finding.Topic.SENSOR))
                .isPresent();
        assertThat(find(findings(TRACK, d), Finding.Topic.SENSOR)).isEmpty();
    }

    @Test
    void coolantThatPaysAndCoolantThatBoilsAreSaid() {
        var c = CAR.coolant();
        var small = new isotherm.core.airflow.Radiator(0.16, 800, 160, 0.05, 100, 0.4);
        Car weak = CAR.withCoolant(
                new isotherm.core.simulate.Coolant(c.capacity(), c.heatShare(), small, c.opensK(), c.fullK()));
        List<Finding> findings = Advisor.findings(Assessment.of(weak, TRACK, DemoCars.design(34, Place.GRILLE_AHEAD)));
        assertThat(findings)
                .anyMatch(f -> f.topic() == Finding.Topic.COOLANT_BOILS || f.topic() == Finding.Topic.COOLANT_PAYS);
    }

    @Test
    void aCarWithoutACoolerThatNeedsOneIsOfferedOne() {
        Finding hot =
                find(findings(TRACK, Design.NO_COOLER), Finding.Topic.TOO_HOT).orElseThrow();
        Finding.Remedy remedy = hot.remedy().orElseThrow();
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
        Finding.Remedy r = find(Advisor.findings(a), Finding.Topic.PLANNED_POWER)
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
        assertThat(gaps.figure()).isEqualTo("1, 43 s in all");
        assertThat(find(findings(TRACK, Design.NO_COOLER), Finding.Topic.LOG_GAPS))
                .isEmpty();
    }
}
