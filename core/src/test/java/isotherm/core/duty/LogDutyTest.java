package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Units;
import isotherm.core.heat.Aspiration;
import isotherm.core.heat.Engine;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What was driven is driven again, from the columns that a log has. */
class LogDutyTest {
    private static final double[] NONE = {};
    private static final double[] TIME = {0, 1, 2, 3, 4, 5, 6, 7};
    private static final double[] SPEED = {30, 30, 30, 30, 30, 30, 30, 30};
    private static final double[] RPM = {4000, 4100, 4200, 4300, 4400, 4500, 4600, 4700};
    private static final double[] POWER = {50e3, 50e3, 60e3, 60e3, 70e3, 70e3, 80e3, 80e3};
    private static final double[] LEVEL = {100, 100, 100, 100, 100, 100, 100, 100};
    private static final Weather DAY = new Weather(Units.kelvin(20), 100);
    private static final Engine ENGINE = new Engine(Aspiration.TURBO, 200e3, 2e-3, 6500, 800, true, 1e5);
    private static final Vehicle CAR = new Vehicle(1500, 0.68, 0.012, List.of(3.0, 5.0, 7.2, 9.6, 12.2, 15.0));

    private static LogDuty log(double[] time, double[] speed, double[] rpm, double[] power, double[] height) {
        return new LogDuty(time, speed, rpm, power, height, NONE, Trailer.NONE, Duty.Start.WARM, DAY);
    }

    @Test
    void whatWasLoggedIsTakenAsItIs() {
        DemandTrace demand = log(TIME, SPEED, RPM, POWER, LEVEL).demand(CAR, ENGINE);
        assertThat(demand.duration()).isCloseTo(7, within(1.0));
        assertThat(demand.speed()).containsOnly(30);
        assertThat(demand.rpm()[0]).isBetween(4000.0, 4100.0);
        assertThat(Arrays.stream(demand.brakePower()).max()).hasValueCloseTo(80e3, within(5e3));
    }

    /** A circuit driven with straight slopes of speed, read at so many rows a second from some moment on. */
    private static double meanPower(double hertz, double from) {
        double[][] lap = {{600, 25, 54}, {120, 54, 24}, {250, 24, 24}, {380, 24, 46}, {100, 46, 25}};
        List<Double> fine = new java.util.ArrayList<>();
        for (int n = 0; n < 5; n++) {
            for (double[] s : lap) {
                int steps = (int) Math.round(20 * s[0] / (s[1] + s[2]));
                for (int i = 0; i < steps; i++) {
                    fine.add(s[1] + (s[2] - s[1]) * i / steps);
                }
            }
        }
        int every = (int) Math.round(10 / hertz);
        int first = (int) Math.round(10 * from);
        int rows = (fine.size() - first) / every;
        double[] time = new double[rows];
        double[] speed = new double[rows];
        for (int i = 0; i < rows; i++) {
            time[i] = i / hertz;
            speed[i] = fine.get(first + i * every);
        }
        return Arrays.stream(
                        log(time, speed, NONE, NONE, NONE).demand(CAR, ENGINE).brakePower())
                .average()
                .orElseThrow();
    }

    @Test
    void aRowEveryTwoSecondsKeepsTheHeatOfTenRowsASecond() {
        double fine = meanPower(10, 0);
        for (double hertz : new double[] {0.5, 1, 2}) {
            double sum = 0;
            for (int phase = 0; phase < 7; phase++) {
                double one = meanPower(hertz, 0.3 * phase);
                assertThat(one).isCloseTo(fine, within(0.025 * fine));
                sum += one;
            }
            assertThat(sum / 7).as(hertz + " rows a second").isCloseTo(fine, within(0.01 * fine));
        }
    }

    @Test
    void withoutPowerTheRoadLoadIsTaken() {
        DemandTrace demand = log(TIME, SPEED, NONE, NONE, NONE).demand(CAR, ENGINE);
        double steady = new CruiseDuty(30, 10, DAY).demand(CAR, ENGINE).brakePower()[5];
        assertThat(demand.brakePower()[3]).isCloseTo(steady, within(0.02 * steady));
    }

    @Test
    void aClimbingLogTakesMorePowerThanALevelOne() {
        double[] time = new double[300];
        double[] speed = new double[300];
        double[] flat = new double[300];
        double[] climbing = new double[300];
        for (int i = 0; i < 300; i++) {
            time[i] = i;
            speed[i] = 30;
            flat[i] = 100;
            // Thirty metres of way a second at 6 %.
            climbing[i] = 100 + 1.8 * i;
        }
        double level = log(time, speed, NONE, NONE, flat).demand(CAR, ENGINE).brakePower()[150];
        double up = log(time, speed, NONE, NONE, climbing).demand(CAR, ENGINE).brakePower()[150];
        double lifting = 1500 * 9.81 * 0.06 * 30 / 0.9;
        assertThat(up - level).isCloseTo(lifting, within(0.03 * lifting));
    }

    @Test
    void columnsThatDoNotBelongTogetherAreRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> log(new double[] {0}, new double[] {10}, NONE, NONE, NONE));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> log(TIME, Arrays.copyOf(SPEED, 7), NONE, NONE, NONE))
                .withMessageContaining("speed");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> log(TIME, SPEED, Arrays.copyOf(RPM, 3), NONE, NONE))
                .withMessageContaining("as long as its times");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> log(TIME, SPEED, NONE, NONE, new double[] {1, 2}))
                .withMessageContaining("as long as its times");
    }

    @Test
    void logsAreTheSameWhenAllTheirColumnsAre() {
        LogDuty one = log(TIME, SPEED, RPM, POWER, LEVEL);
        assertThat(one)
                .isEqualTo(log(TIME.clone(), SPEED.clone(), RPM.clone(), POWER.clone(), LEVEL.clone()))
                .hasSameHashCodeAs(log(TIME.clone(), SPEED.clone(), RPM.clone(), POWER.clone(), LEVEL.clone()));
        assertThat(one)
                .isNotEqualTo(log(TIME, SPEED, NONE, POWER, LEVEL))
                .isNotEqualTo(log(TIME, SPEED, RPM, NONE, LEVEL))
                .isNotEqualTo(log(TIME, SPEED, RPM, POWER, NONE))
                .isNotEqualTo("a log");
        assertThat(one).hasToString("LogDuty[8 rows]");
    }

    @Test
    void anotherDayKeepsWhatWasDriven() {
        Weather hot = new Weather(Units.kelvin(38), 1200);
        LogDuty one = log(TIME, SPEED, RPM, POWER, LEVEL);
        assertThat(one.withWeather(hot).weather()).isEqualTo(hot);
        assertThat(one.withWeather(hot).withWeather(DAY)).isEqualTo(one);
        assertThat(one.withWeather(hot)).isNotEqualTo(one);
    }

    @Test
    void lapsThatWereDrivenToWarmUpOrToCoolDownAreToldByTheirTime() {
        double[] time = new double[1000];
        Arrays.setAll(time, i -> i);
        double[] speed = new double[1000];
        Arrays.fill(speed, 40);
        // An out lap of 130 s, six of 90, one in traffic, two of 90, and one of 120 that cools the car.
        double[] starts = {0, 130, 220, 310, 400, 490, 580, 700, 790, 880};
        LogDuty log = new LogDuty(time, speed, NONE, NONE, NONE, starts, Trailer.NONE, Duty.Start.WARM, DAY);
        assertThat(log.demand(CAR, ENGINE).phases())
                .extracting(DemandTrace.Phase::kind)
                .containsExactly(
                        DemandTrace.Kind.OUT_LAP,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.COOL_DOWN,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.FLYER,
                        DemandTrace.Kind.COOL_DOWN);
    }

    @Test
    void aLogThatBreaksOffInALapKeepsThatLap() {
        double[] time = new double[300];
        Arrays.setAll(time, i -> i);
        double[] speed = new double[300];
        Arrays.fill(speed, 40);
        LogDuty log = new LogDuty(
                time, speed, NONE, NONE, NONE, new double[] {0, 90, 180, 270}, Trailer.NONE, Duty.Start.WARM, DAY);
        assertThat(log.demand(CAR, ENGINE).phases())
                .extracting(DemandTrace.Phase::kind)
                .containsOnly(DemandTrace.Kind.FLYER);
    }

    /** Speed of a car that accelerates and brakes with so much, m/s², again and again. */
    private static LogDuty driven(double braking, double[] laps, Trailer trailer) {
        double[] time = new double[600];
        double[] speed = new double[600];
        for (int i = 0; i < time.length; i++) {
            time[i] = 0.5 * i;
            double phase = time[i] % 20;
            double down = 25 / braking;
            speed[i] = phase < 20 - down ? 10 + 25 * phase / (20 - down) : 35 - braking * (phase - (20 - down));
        }
        return new LogDuty(time, speed, NONE, NONE, NONE, laps, trailer, Duty.Start.WARM, DAY);
    }

    @Test
    void hardBrakingAndLapsAreOfATrackAndATrailerIsNot() {
        assertThat(driven(3, NONE, Trailer.NONE).onTrack()).isFalse();
        assertThat(driven(7, NONE, Trailer.NONE).onTrack()).isTrue();
        assertThat(driven(3, new double[] {0, 100, 200}, Trailer.NONE).onTrack())
                .isTrue();
        assertThat(driven(7, NONE, new Trailer(1500, 1)).onTrack()).isFalse();
    }

    @Test
    void withoutEngineSpeedTheRoadIsDrivenInAHighGear() {
        double[] steady = {22.2, 22.2, 22.2, 22.2, 22.2, 22.2, 22.2, 22.2};
        DemandTrace road = log(TIME, steady, NONE, NONE, NONE).demand(CAR, ENGINE);
        // 80 km/h in the top gear of 15 m/s at 1000/min.
        assertThat(road.rpm()[3]).isCloseTo(22.2 / 15 * 1000, within(1.0));
        double[] laps = {0, 2, 4};
        LogDuty track = new LogDuty(TIME, steady, NONE, NONE, NONE, laps, Trailer.NONE, Duty.Start.WARM, DAY);
        assertThat(track.demand(CAR, ENGINE).rpm()[3]).isGreaterThan(0.62 * 6500);
    }
}
