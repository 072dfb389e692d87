package isotherm.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Prediction;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;

/**
 * How often an interval holds the truth: cars that differ from their description the way real cars do, in their numbers and in the
 * form of the model, are driven, and what is predicted of them is compared with what they do. {@code ./isotherm calibrate} runs a
 * hundred of each kind and prints the table.
 */
class CoverageTest {
    private static final String TRIES = "isotherm.coverage";
    private static final int SHORT = 20;
    private static final int SAMPLES = 48;
    /** Share of the truths that an interval promises to hold. */
    private static final double PROMISED = 0.8;

    private static final Car DESCRIBED = DemoCars.car();
    private static final Design BARE = Design.NO_COOLER;
    private static final Design COOLED = DemoCars.design(13, Place.LOWER_GRILLE_AHEAD);
    private static final Design LARGER = DemoCars.design(25, Place.LOWER_GRILLE_AHEAD);

    /** Standard deviations of the logarithm of what differs from car to car. */
    private static final double HEAT = 0.25;

    private static final double BLOCK = 0.40;
    private static final double SUMP = 0.30;
    private static final double AIR = 0.25;
    private static final double RADIATOR = 0.12;
    /** Standard deviations of a thermostat's opening and of a sensor, K. */
    private static final double OPENING = 1.5;

    private static final double SENSOR = 1.0;
    /** Standard deviations of the logarithm of what differs from day to day. */
    private static final double DAY_HEAT = 0.03;

    private static final double DAY_AIR = 0.05;

    /** A real car: what it is, how far its thermostat is off, what its sensor adds. */
    private record Truth(Car car, double opening, double sensor) {
        static Truth drawn(RandomGenerator random) {
            Car d = DESCRIBED;
            // As often as not heat goes by the other school, set to give the same at three quarters of power and speed.
            HeatSchool school = d.school();
            if (random.nextBoolean()) {
                school = school.other(d.engine());
            }
            Car.PassiveLosses l = d.losses();
            double sump = log(random, SUMP);
            Coolant c = d.coolant();
            return new Truth(
                    d.withSchool(new HeatSchool.Fitted(school, log(random, HEAT)))
                            .withLosses(new Car.PassiveLosses(
                                    l.still() * sump, l.moving() * sump, l.block() * log(random, BLOCK), l.metal()))
                            .withCorrection(new Car.Correction(1, log(random, AIR), 1, 1, 1, 1, 1))
                            .withCoolant(c.withRadiator(c.radiator().times(log(random, RADIATOR)))),
                    OPENING * random.nextGaussian(),
                    SENSOR * random.nextGaussian());
        }

        private static double log(RandomGenerator random, double deviation) {
            return Math.exp(deviation * random.nextGaussian());
        }

        Design of(Design design) {
            return design.cooler()
                    .flatMap(c -> c.loop().thermostat())
                    .map(t -> design.withThermostat(Optional.of(
                            new OilThermostat(t.opensK() + opening, t.fullK() + opening, t.leak(), t.site()))))
                    .orElse(design);
        }

        /** A day of its own: another pace, fuel, wind and traffic than any description or log knows. */
        Session driven(Duty duty, Design design, RandomGenerator random) {
            Car today = Factor.AIR.scale(Factor.HEAT.scale(car, log(random, DAY_HEAT)), log(random, DAY_AIR));
            return Simulator.run(today, duty, of(design));
        }
    }

    /** What came out of many tries of one kind. */
    private static final class Tally {
        private final String name;
        private final List<Double> widths = new ArrayList<>();
        private final List<Double> errors = new ArrayList<>();
        /** Each error as a share of the interval's half on its side: 1 at its end. */
        private final List<Double> needed = new ArrayList<>();

        private int held;

        Tally(String name) {
            this.name = name;
        }

        void add(Prediction p, double truth) {
            held += truth >= p.peakLow() && truth <= p.peakHigh() ? 1 : 0;
            widths.add(p.peakHigh() - p.peakLow());
            double error = truth - p.peakMedian();
            errors.add(Math.abs(error));
            needed.add(error / (error > 0 ? p.peakHigh() - p.peakMedian() : p.peakLow() - p.peakMedian()));
        }

        double coverage() {
            return (double) held / widths.size();
        }

        private static double quantile(List<Double> values, double share) {
            return values.stream().sorted().toList().get((int) (share * values.size()));
        }

        @Override
        public String toString() {
            return String.format(
                    Locale.ROOT,
                    "| %s | %.0f %% of %d | %.1f °C | %.1f °C | %.2f |",
                    name,
                    100 * coverage(),
                    widths.size(),
                    quantile(widths, 0.5),
                    quantile(errors, 0.5),
                    quantile(needed, PROMISED));
        }
    }

    private static TrackDuty on(Weather day) {
        TrackDuty d = DemoCars.session(10);
        return new TrackDuty(d.lap(), d.plan(), day);
    }

    /** What a logger would have kept of a session. */
    private static LogFit.Result taught(Truth truth, TrackDuty duty, Design design, RandomGenerator random) {
        DemandTrace d = duty.demand(DESCRIBED.vehicle(), DESCRIBED.engine());
        Session s = truth.driven(duty, design, random);
        double[] oil = new double[d.cells()];
        double[] coolant = new double[d.cells()];
        for (int i = 0; i < d.cells(); i++) {
            oil[i] = s.oil()[i] + truth.sensor() + 0.3 * random.nextGaussian();
            coolant[i] = s.coolant()[i] + 0.3 * random.nextGaussian();
        }
        LogDuty log = DemoCars.log(d, duty.start(), duty.weather());
        return LogFit.fit(DESCRIBED, design, log, oil, Optional.of(coolant));
    }

    /** A mountain road, driven in gears of the driver's own choice and logged by a satellite receiver: speed and height alone. */
    private static LogFit.Result taughtByPosition(Truth truth, RandomGenerator random) {
        double grade = 0.06;
        ClimbDuty road = ClimbDuty.even(9000, grade, 21, Trailer.NONE, 400, new Weather(Units.kelvin(22), 300));
        DemandTrace plain = road.demand(DESCRIBED.vehicle(), DESCRIBED.engine());
        double style = Truth.log(random, 0.12);
        double[] rpm = Arrays.stream(plain.rpm()).map(r -> r * style).toArray();
        DemandTrace driven = new DemandTrace(plain.cell(), plain.speed(), rpm, plain.brakePower(), plain.phases());
        Car today = Factor.AIR.scale(
                Factor.HEAT.scale(truth.car(), Truth.log(random, DAY_HEAT)), Truth.log(random, DAY_AIR));
        Session s = Simulator.run(today, road, driven, BARE);
        int n = driven.cells();
        double[] time = new double[n];
        double[] speed = new double[n];
        double[] height = new double[n];
        double[] oil = new double[n];
        double[] coolant = new double[n];
        double up = 200;
        for (int i = 0; i < n; i++) {
            time[i] = i + 0.5;
            speed[i] = driven.speed()[i] + 0.1 * random.nextGaussian();
            up += i * driven.cell() > 400 ? grade * driven.speed()[i] * driven.cell() : 0;
            height[i] = up + 1.5 * random.nextGaussian();
            oil[i] = s.oil()[i] + truth.sensor() + 0.3 * random.nextGaussian();
            coolant[i] = s.coolant()[i] + 0.3 * random.nextGaussian();
        }
        double[] none = {};
        LogDuty log = new LogDuty(time, speed, none, none, height, none, Trailer.NONE, road.start(), road.weather());
        return LogFit.fit(DESCRIBED, BARE, log, oil, Optional.of(coolant));
    }

    private static List<Tally> tried(int tries) {
        Tally before = new Tally("before a log");
        Tally same = new Tally("after one, same cooler, another day");
        Tally fitted = new Tally("after one without a cooler, then with one");
        Tally larger = new Tally("after one with a cooler, then a larger one");
        Tally position = new Tally("after a road log without engine speed, then on track with a cooler");
        TrackDuty day = on(DemoCars.DAY);
        TrackDuty another = on(new Weather(Units.kelvin(18), 240));
        for (int i = 0; i < tries; i++) {
            RandomGenerator random = new Well19937c(i);
            Truth truth = Truth.drawn(random);
            before.add(
                    Prediction.of(DESCRIBED, day, COOLED, Belief.prior(), SAMPLES, i),
                    truth.driven(day, COOLED, random).peak());
            LogFit.Result cooled = taught(truth, day, COOLED, random);
            same.add(
                    Prediction.of(cooled.car(), another, COOLED, cooled.belief(), SAMPLES, i),
                    truth.driven(another, COOLED, random).peak());
            larger.add(
                    Prediction.of(cooled.car(), day, LARGER, cooled.belief(), SAMPLES, i),
                    truth.driven(day, LARGER, random).peak());
            LogFit.Result bare = taught(truth, day, BARE, random);
            fitted.add(
                    Prediction.of(bare.car(), day, COOLED, bare.belief(), SAMPLES, i),
                    truth.driven(day, COOLED, random).peak());
            LogFit.Result road = taughtByPosition(truth, random);
            position.add(
                    Prediction.of(road.car(), day, COOLED, road.belief(), SAMPLES, i),
                    truth.driven(day, COOLED, random).peak());
        }
        return List.of(before, same, fitted, larger, position);
    }

    @Test
    void intervalsHoldTheTruth() {
        Integer asked = Integer.getInteger(TRIES);
        List<Tally> tallies = tried(asked == null ? SHORT : asked);
        if (asked != null) {
            System.out.println("| what is predicted | held by the 10 to 90 % interval | median width | median error"
                    + " | share of the width that holds 80 % |");
            System.out.println("|---|---|---|---|---|");
            tallies.forEach(System.out::println);
        }
        // Of a promise of 80 % a hundred cars show 75 to 90, and twenty between 60 and 95.
        assertThat(tallies).allSatisfy(t -> assertThat(t.coverage())
                .as(t.toString())
                .isBetween(asked == null ? 0.60 : 0.75, asked == null ? 0.95 : 0.90));
    }
}
