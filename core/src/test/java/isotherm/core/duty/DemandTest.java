package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Air;
import isotherm.core.fluid.Units;
import isotherm.core.heat.Aspiration;
import isotherm.core.heat.Engine;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a duty asks of an engine, against what is added up by hand. */
class DemandTest {
    private static final Engine ENGINE = new Engine(Aspiration.TURBO, 200e3, 2e-3, 6500, 800, true, 1e5);
    private static final Vehicle CAR = new Vehicle(1500, 0.68, 0.012, List.of(3.0, 5.0, 7.2, 9.6, 12.2, 15.0));
    private static final Weather DAY = new Weather(Units.kelvin(25), 200);

    static Stream<Random> samples() {
        return IntStream.range(0, 40).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("samples")
    void cellsKeepTimeDistanceAndWorkOfTheMomentsThatTheyAreMadeOf(Random random) {
        DemandBuilder builder = new DemandBuilder();
        double time = 0;
        double distance = 0;
        double work = 0;
        int moments = 5 + random.nextInt(400);
        for (int i = 0; i < moments; i++) {
            double seconds = random.nextInt(5) == 0 ? 20 * random.nextDouble() : 0.3 * random.nextDouble();
            double speed = 60 * random.nextDouble();
            double power = 2e5 * random.nextDouble();
            builder.add(seconds, speed, 3000, power);
            time += seconds;
            distance += seconds * speed;
            work += seconds * power;
        }
        // Filled up to a whole cell, so that the last one is no mean over less.
        builder.add(Math.ceil(time) - time, 0, 3000, 0);
        DemandTrace trace = builder.build();
        assertThat(trace.duration()).isCloseTo(Math.ceil(time), within(1e-6));
        assertThat(Arrays.stream(trace.speed()).sum() * trace.cell()).isCloseTo(distance, within(1e-6 * distance));
        assertThat(Arrays.stream(trace.brakePower()).sum() * trace.cell()).isCloseTo(work, within(1e-6 * work));
        assertThat(Arrays.stream(trace.rpm())).allSatisfy(r -> assertThat(r).isCloseTo(3000, within(1e-6)));
    }

    @Test
    void aSessionIsItsPlanInOrder() {
        TrackDuty.Stretch straight = new TrackDuty.Stretch(500, 20, 50);
        TrackDuty.Stretch braking = new TrackDuty.Stretch(120, 50, 20);
        TrackDuty duty = new TrackDuty(List.of(straight, braking), new TrackDuty.Plan(1, 2, 1, 90, 2), DAY);
        DemandTrace demand = duty.demand(CAR, ENGINE);
        assertThat(demand.phases())
                .extracting(DemandTrace.Phase::name)
                .containsExactly(
                        "out lap",
                        "lap 1",
                        "lap 2",
                        "cool-down",
                        "pits",
                        "out lap",
                        "lap 3",
                        "lap 4",
                        "cool-down",
                        "pits");
        assertThat(demand.phases()).isSortedAccordingTo((a, b) -> Double.compare(a.start(), b.start()));
        double flyer = 500 / 35.0 + 120 / 35.0;
        double stint = flyer / TrackDuty.OUT_LAP_PACE + 2 * flyer + flyer / TrackDuty.COOL_DOWN_PACE + 90;
        assertThat(demand.phases().get(5).start()).isCloseTo(stint, within(1e-6));
        assertThat(demand.duration()).isBetween(2 * stint, 2 * stint + demand.cell());
    }

    @Test
    void aStretchTakesTheWorkThatItsEnergiesAddUpTo() {
        // Full throttle from 20 to 40 m/s over 400 m: kinetic energy, air and rolling, all over the driveline's share.
        TrackDuty duty =
                new TrackDuty(List.of(new TrackDuty.Stretch(400, 20, 40)), new TrackDuty.Plan(0, 1, 0, 0, 1), DAY);
        Engine strong = ENGINE.withPower(600e3);
        DemandTrace demand = duty.demand(CAR, strong);
        double work = Arrays.stream(demand.brakePower()).sum() * demand.cell();
        double last = demand.duration() - 400 / 30.0;
        work -= demand.brakePower()[demand.cells() - 1] * last;
        double density = Air.density(DAY.ambientK(), DAY.pressure());
        double kinetic = 1.05 * 1500 * (40 * 40 - 20 * 20) / 2;
        // The mean of v² over the way, at even acceleration, is that of the squares.
        double air = density / 2 * 0.68 * (40 * 40 + 20 * 20) / 2.0 * 400;
        double rolling = 1500 * 9.81 * 0.012 * 400;
        assertThat(work).isCloseTo((kinetic + air + rolling) / 0.9, within(0.01 * work));
    }

    @Test
    void anEngineIsNeverAskedForMoreThanItHas() {
        TrackDuty duty =
                new TrackDuty(List.of(new TrackDuty.Stretch(200, 20, 70)), new TrackDuty.Plan(0, 1, 0, 0, 1), DAY);
        assertThat(Arrays.stream(duty.demand(CAR, ENGINE).brakePower()))
                .allSatisfy(p -> assertThat(p).isBetween(0.0, 200e3 + 1e-6));
        CruiseDuty fast = new CruiseDuty(95, 60, DAY);
        assertThat(fast.demand(CAR, ENGINE.withPower(80e3)).brakePower()).containsOnly(80e3);
    }

    @Test
    void brakingAsksForNothing() {
        TrackDuty duty =
                new TrackDuty(List.of(new TrackDuty.Stretch(120, 60, 20)), new TrackDuty.Plan(0, 1, 0, 0, 1), DAY);
        assertThat(duty.demand(CAR, ENGINE).brakePower()).containsOnly(0);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.03, 0.06, 0.09})
    void aClimbTakesTheLiftingOfItsHeight(double grade) {
        Trailer trailer = new Trailer(1800, 2.1);
        ClimbDuty climb = ClimbDuty.even(9000, grade, 15, trailer, 0, DAY);
        DemandTrace demand = climb.demand(CAR, ENGINE.withPower(900e3));
        double slope = Math.atan(grade);
        double density = Air.density(DAY.ambientK(), DAY.pressure());
        double force = 3300 * 9.81 * (Math.sin(slope) + 0.012 * Math.cos(slope)) + density / 2 * (0.68 + 2.1) * 15 * 15;
        assertThat(demand.brakePower()[10]).isCloseTo(force * 15 / 0.9, within(1.0));
        assertThat(demand.duration()).isCloseTo(600, within(1.0));
    }

    @Test
    void aHeavyTrailerIsDrivenAtTheSpeedThatTheEngineHoldsForMinutes() {
        Trailer trailer = new Trailer(3200, 4);
        ClimbDuty climb = ClimbDuty.even(6000, 0.12, 25, trailer, 0, DAY);
        DemandTrace demand = climb.demand(CAR, ENGINE);
        assertThat(demand.speed()[5]).isLessThan(25);
        assertThat(demand.brakePower()[5])
                .isCloseTo(ClimbDuty.SUSTAINED_SHARE * ENGINE.power(), within(0.001 * ENGINE.power()));
        assertThat(demand.duration()).isCloseTo(6000 / demand.speed()[5], within(1.0));
        ClimbDuty slower = climb.withSpeed(8);
        assertThat(slower.demand(CAR, ENGINE).speed()[5]).isCloseTo(8, within(1e-9));
        assertThat(slower.slopes()).isEqualTo(climb.slopes());
    }

    @Test
    void downhillAsksForNothingAndTheApproachComesFirst() {
        ClimbDuty over = new ClimbDuty(
                List.of(new ClimbDuty.Slope(1000, 0.08), new ClimbDuty.Slope(1000, -0.08)), 20, Trailer.NONE, 30, DAY);
        DemandTrace demand = over.demand(CAR, ENGINE);
        assertThat(demand.phases())
                .extracting(DemandTrace.Phase::kind)
                .containsExactly(DemandTrace.Kind.CRUISE, DemandTrace.Kind.CLIMB);
        assertThat(demand.phases().get(1).start()).isCloseTo(30, within(1e-9));
        assertThat(demand.brakePower()[demand.cells() - 2]).isZero();
        assertThat(demand.brakePower()[40]).isGreaterThan(demand.brakePower()[10]);
    }

    @Test
    void standingIsIdleThenNothing() {
        SoakDuty soak = new SoakDuty(120, 300, new Duty.Start(Units.kelvin(125), Units.kelvin(98)), DAY);
        DemandTrace demand = soak.demand(CAR, ENGINE);
        assertThat(demand.duration()).isEqualTo(420);
        assertThat(demand.rpm()[60]).isEqualTo(800);
        assertThat(demand.rpm()[300]).isZero();
        assertThat(demand.speed()).containsOnly(0);
        assertThat(soak.start().oilK()).isEqualTo(Units.kelvin(125));
        assertThat(new SoakDuty(0, 60, Duty.Start.WARM, DAY).demand(CAR, ENGINE).phases())
                .extracting(DemandTrace.Phase::kind)
                .containsExactly(DemandTrace.Kind.OFF);
    }

    @Test
    void aColdStartStartsAtTheAirsTemperatureAndAWarmOneDoesNot() {
        Weather frost = new Weather(Units.kelvin(-12), 0);
        assertThat(new CruiseDuty(20, 600, true, frost).start())
                .isEqualTo(new Duty.Start(Units.kelvin(-12), Units.kelvin(-12)));
        assertThat(new CruiseDuty(20, 600, frost).start()).isEqualTo(Duty.Start.WARM);
    }

    @Test
    void anotherDayChangesTheAirAndNothingElse() {
        Weather other = new Weather(Units.kelvin(38), 2400);
        TrackDuty track =
                new TrackDuty(List.of(new TrackDuty.Stretch(400, 20, 40)), new TrackDuty.Plan(1, 3, 1, 0, 1), DAY);
        ClimbDuty climb = ClimbDuty.even(9000, 0.06, 22, new Trailer(1800, 2), 60, DAY);
        CruiseDuty cruise = new CruiseDuty(33, 1200, DAY);
        SoakDuty soak = new SoakDuty(60, 60, Duty.Start.WARM, DAY);
        for (Duty duty : List.of(track, climb, cruise, soak)) {
            assertThat(duty.withWeather(other).weather()).isEqualTo(other);
            assertThat(duty.withWeather(other).withWeather(DAY)).isEqualTo(duty);
        }
        // Thin air holds a car back less.
        assertThat(cruise.withWeather(other).demand(CAR, ENGINE).brakePower()[9])
                .isLessThan(cruise.demand(CAR, ENGINE).brakePower()[9]);
    }

    @Test
    void aTraceOfAMultipleOfThePowerKeepsTheDrive() {
        DemandTrace demand = new CruiseDuty(33, 100, DAY).demand(CAR, ENGINE);
        DemandTrace stronger = demand.withPower(1.3);
        assertThat(stronger.brakePower()[50]).isCloseTo(1.3 * demand.brakePower()[50], within(1e-9));
        assertThat(stronger.speed()).isEqualTo(demand.speed());
        assertThat(stronger).isNotEqualTo(demand);
        assertThat(stronger.withPower(1)).isEqualTo(stronger).hasSameHashCodeAs(stronger);
        assertThat(demand).hasToString("DemandTrace[100 cells of 1.0 s]");
    }

    @Test
    void gearsAreChangedSoThatTheEngineStaysInItsRange() {
        for (double speed = 1; speed < 95; speed += 0.5) {
            assertThat(CAR.trackRpm(speed, ENGINE)).isBetween(800.0, 6500.0);
            assertThat(CAR.roadRpm(speed, 20e3, ENGINE)).isBetween(800.0, 6500.0);
        }
        assertThat(CAR.roadRpm(30, 15e3, ENGINE))
                .as("on the road as low as the power allows")
                .isEqualTo(2000);
        assertThat(CAR.roadRpm(30, 120e3, ENGINE)).isGreaterThan(2000);
        assertThat(CAR.trackRpm(30, ENGINE)).as("on track in the upper range").isGreaterThan(0.62 * 6500);
        assertThatIllegalArgumentException().isThrownBy(() -> new Vehicle(1500, 0.7, 0.012, List.of()));
    }
}
