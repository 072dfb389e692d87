package isotherm.core.compare;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.random.Well19937c;

/**
 * Compares two logged sessions of one car on different days: rise over ambient per heat input on the plateau, and the
 * plateau brought to common conditions, with an interval from a block bootstrap over laps.
 *
 * <p>A plateau does not follow the air one to one: the coolant's thermostat holds its own temperature, and thinner oil rubs
 * less. Where the design of the second session is known, the step from its day to the first one's is therefore taken from the
 * model, which knows such steps far better than it knows levels; otherwise rise is taken as proportional to heat.
 *
 * <p>Source of the bootstrap: Künsch, Annals of Statistics 17 (1989) 1217–1241; laps are the blocks, since within a lap the
 * temperature is correlated and from lap to lap on the plateau it is nearly not.
 */
public final class SessionComparison {
    /** Sessions whose heat inputs differ by more than this share are too unlike. */
    public static final double MOST_HEAT_DIFFERENCE = 0.35;
    /** Sessions whose ambients differ by more than this are too unlike, K. */
    public static final double MOST_AMBIENT_DIFFERENCE = 20;
    /** Fewest laps (or blocks) on the plateau. */
    public static final int FEWEST_LAPS = 3;
    /** A lap is on the plateau when its mean is within this of the mean of the last laps, K. */
    private static final double PLATEAU_TOLERANCE = 4;
    /** A block where laps are not known, s. */
    private static final double BLOCK = 60;

    private static final int RESAMPLES = 2000;

    private SessionComparison() {}

    /**
     * A session as logged.
     *
     * @param demand what was driven
     * @param oilK oil temperature at the end of each cell, K; NaN where not logged or controlled by the thermostat
     * @param heat heat into the oil in each cell by the car's model, W
     * @param ambientK air on the day, K
     * @param sensor where the oil temperature was read
     */
    public record Logged(DemandTrace demand, double[] oilK, double[] heat, double ambientK, Car.SensorPlace sensor) {}

    /**
     * A figure with its interval.
     *
     * @param value the figure
     * @param low 5 % quantile
     * @param high 95 % quantile
     */
    public record Figure(double value, double low, double high) {}

    /**
     * The step that a plateau takes from one day's conditions to another's.
     *
     * @param kelvin the step, K
     * @param deviation its standard deviation, K
     * @param sensor the part of it that comes from sensors in different places, K
     */
    public record Step(double kelvin, double deviation, double sensor) {
        /** The model's steps are off by this share of themselves, one standard deviation (default). */
        private static final double MODEL = 0.2;
        /** A thermometer in the paddock is off by this, one standard deviation, K (default). */
        private static final double THERMOMETER = 0.5;

        /**
         * By the model: the second session's design under its own conditions, and under the first session's.
         *
         * @param car the car
         * @param design the design of the second session
         * @param before first session
         * @param after second session
         * @param altitude height above sea level, m
         * @return the step of the second session's plateau to the first one's conditions
         */
        public static Step byModel(Car car, Design design, Logged before, Logged after, double altitude) {
            double heats = mean(plateau(before), true) / mean(plateau(after), true);
            double own = plateauOf(car, design, after.demand(), after.ambientK(), altitude);
            double air = plateauOf(car, design, after.demand(), before.ambientK(), altitude);
            double both = plateauOf(car, design, after.demand().withPower(heats), before.ambientK(), altitude);
            // The second log as the first one's sensor would have read it.
            double place = plateauAt(before.sensor(), car, design, after, altitude)
                    - plateauAt(after.sensor(), car, design, after, altitude);
            double days = before.ambientK() - after.ambientK();
            double perKelvin = days == 0 ? 1 : Math.max(0, Math.min(1, (air - own) / days));
            double deviation = Math.sqrt(Math.pow(MODEL * (air - own), 2)
                    + Math.pow(MODEL * (both - air), 2)
                    + Math.pow(MODEL * place, 2)
                    + 2 * Math.pow(THERMOMETER * perKelvin, 2));
            return new Step(both - own + place, deviation, place);
        }

        private static double plateauAt(
                Car.SensorPlace sensor, Car car, Design design, Logged session, double altitude) {
            Session s = run(car, design, session.demand(), session.ambientK(), altitude);
            int cells = session.demand().cells();
            return IntStream.range(2 * cells / 3, cells)
                    .mapToDouble(i -> s.at(sensor, i))
                    .average()
                    .orElse(s.plateau());
        }

        private static double plateauOf(Car car, Design design, DemandTrace demand, double ambientK, double altitude) {
            return run(car, design, demand, ambientK, altitude).plateau();
        }

        private static Session run(Car car, Design design, DemandTrace demand, double ambientK, double altitude) {
            return Simulator.run(
                    car,
                    demand,
                    new Weather(ambientK, altitude),
                    design,
                    Duty.Start.WARM.oilK(),
                    Duty.Start.WARM.coolantK());
        }
    }

    /** What the comparison says. */
    public enum Verdict implements MessageTopic {
        /** The second session ran cooler for what it was asked. */
        COOLER,
        /** No difference that stands out from lap to lap scatter. */
        NO_DIFFERENCE,
        /** The second session ran hotter for what it was asked. */
        HOTTER,
        /** The sessions are too unlike to be compared. */
        TOO_UNLIKE;

        @Override
        public String chapter() {
            return "comparison";
        }

        @Override
        public List<String> parts() {
            return List.of("what");
        }
    }

    /**
     * What came out.
     *
     * @param verdict what it says
     * @param reasons why
     * @param riseBefore rise over ambient per heat input before, K/kW
     * @param riseAfter the same after
     * @param plateauBefore plateau before at the first session's ambient and heat, K
     * @param plateauAfter plateau after, brought to the first session's ambient and heat, K
     * @param difference plateau after less before, at common conditions, K
     */
    public record Result(
            Verdict verdict,
            List<Message> reasons,
            Figure riseBefore,
            Figure riseAfter,
            Figure plateauBefore,
            Figure plateauAfter,
            Figure difference) {}

    /** Mean temperature and heat of one lap or block, and its first cell and the one behind its last. */
    record Lap(double oilK, double heat, int from, int to) {}

    /**
     * @param before first session
     * @param after second session
     * @param step the step of the second session's plateau to the first one's conditions; empty for rise in proportion to heat
     * @param seed the same seed gives the same interval
     * @return figures, intervals and a verdict
     */
    public static Result compare(Logged before, Logged after, Optional<Step> step, long seed) {
        List<Lap> a = plateau(before);
        List<Lap> b = plateau(after);
        List<Message> unlike = unlike(before, after, a, b, step);
        if (a.isEmpty() || b.isEmpty()) {
            Figure none = new Figure(Double.NaN, Double.NaN, Double.NaN);
            return new Result(Verdict.TOO_UNLIKE, unlike, none, none, none, none, none);
        }
        double heat = mean(a, true);
        double ambient = before.ambientK();
        Well19937c random = new Well19937c(seed);
        double[][] drawn = new double[5][RESAMPLES];
        // What the model leaves out of a day (wind, line, traffic, fuel) it leaves out of each of the two.
        double day =
                Belief.DISCREPANCY * Math.hypot(mean(a, false) - before.ambientK(), mean(b, false) - after.ambientK());
        for (int i = 0; i < RESAMPLES; i++) {
            double[] figures = figures(
                    resample(a, random),
                    resample(b, random),
                    before,
                    after,
                    heat,
                    ambient,
                    step.map(s -> s.kelvin() + s.deviation() * random.nextGaussian()),
                    day * random.nextGaussian());
            for (int f = 0; f < 5; f++) {
                drawn[f][i] = figures[f];
            }
        }
        double[] nominal = figures(a, b, before, after, heat, ambient, step.map(Step::kelvin), 0);
        Figure[] f = new Figure[5];
        for (int i = 0; i < 5; i++) {
            Arrays.sort(drawn[i]);
            f[i] = new Figure(nominal[i], drawn[i][RESAMPLES / 20], drawn[i][RESAMPLES - 1 - RESAMPLES / 20]);
        }
        Verdict verdict = !unlike.isEmpty()
                ? Verdict.TOO_UNLIKE
                : f[4].high() < 0 ? Verdict.COOLER : f[4].low() > 0 ? Verdict.HOTTER : Verdict.NO_DIFFERENCE;
        List<Message> reasons = new ArrayList<>(reasons(verdict, f[4], unlike));
        if (verdict != Verdict.TOO_UNLIKE && before.sensor() != after.sensor()) {
            reasons.add(sensors(ComparisonReason.SENSORS_CORRECTED, before, after, step));
        }
        return new Result(verdict, List.copyOf(reasons), f[0], f[1], f[2], f[3], f[4]);
    }

    private static Message sensors(ComparisonReason reason, Logged before, Logged after, Optional<Step> step) {
        return reason.say("text")
                .choose("first", before.sensor())
                .choose("second", after.sensor())
                .with(
                        "by",
                        Measure.TEMPERATURE_DIFFERENCE,
                        Math.abs(step.map(Step::sensor).orElse(0.0)));
    }

    private static double[] figures(
            List<Lap> a,
            List<Lap> b,
            Logged before,
            Logged after,
            double heat,
            double ambient,
            Optional<Double> step,
            double day) {
        double riseA = (mean(a, false) - before.ambientK()) / mean(a, true);
        double riseB = (mean(b, false) - after.ambientK()) / mean(b, true);
        double plateauA = mean(a, false);
        double plateauB = day + step.map(s -> mean(b, false) + s).orElse(ambient + riseB * heat);
        return new double[] {riseA * 1e3, riseB * 1e3, plateauA, plateauB, plateauB - plateauA};
    }

    private static List<Lap> resample(List<Lap> laps, Well19937c random) {
        List<Lap> drawn = new ArrayList<>(laps.size());
        for (int i = 0; i < laps.size(); i++) {
            drawn.add(laps.get(random.nextInt(laps.size())));
        }
        return drawn;
    }

    private static double mean(List<Lap> laps, boolean heat) {
        return laps.stream()
                .mapToDouble(l -> heat ? l.heat() : l.oilK())
                .average()
                .orElse(Double.NaN);
    }

    /** The laps under load whose temperature has levelled out. */
    static List<Lap> plateau(Logged session) {
        List<Lap> laps = new ArrayList<>();
        DemandTrace d = session.demand();
        List<double[]> spans = new ArrayList<>();
        var phases = d.phases();
        for (int i = 0; i < phases.size(); i++) {
            double end = i + 1 < phases.size() ? phases.get(i + 1).start() : d.duration();
            var kind = phases.get(i).kind();
            if (kind == DemandTrace.Kind.FLYER || kind == DemandTrace.Kind.CLIMB || kind == DemandTrace.Kind.CRUISE) {
                spans.add(new double[] {phases.get(i).start(), end});
            }
        }
        if (spans.size() < 2) {
            spans.clear();
            for (double t = 0; t + BLOCK <= d.duration(); t += BLOCK) {
                spans.add(new double[] {t, t + BLOCK});
            }
        }
        for (double[] span : spans) {
            double oil = 0;
            double heat = 0;
            int count = 0;
            int from = (int) Math.round(span[0] / d.cell());
            int to = Math.min(d.cells(), (int) Math.round(span[1] / d.cell()));
            for (int i = from; i < to; i++) {
                if (Double.isFinite(session.oilK()[i])) {
                    oil += session.oilK()[i];
                    heat += session.heat()[i];
                    count++;
                }
            }
            if (count > (to - from) / 2) {
                laps.add(new Lap(oil / count, heat / count, from, to));
            }
        }
        if (laps.size() < FEWEST_LAPS) {
            return laps;
        }
        double level = mean(laps.subList(laps.size() - FEWEST_LAPS, laps.size()), false);
        int first = laps.size() - 1;
        while (first > 0 && Math.abs(laps.get(first - 1).oilK() - level) <= PLATEAU_TOLERANCE) {
            first--;
        }
        return laps.subList(first, laps.size());
    }

    /** Speeds of two laps of one circuit agree at least so well. */
    private static final double SAME_CIRCUIT = 0.7;

    /** Sensors whose places differ by more than this cannot be compared, K (default). */
    private static final double MOST_SENSOR_DIFFERENCE = 12;

    private static List<Message> unlike(Logged before, Logged after, List<Lap> a, List<Lap> b, Optional<Step> step) {
        List<Message> reasons = new ArrayList<>();
        if (a.size() < FEWEST_LAPS || b.size() < FEWEST_LAPS) {
            reasons.add(ComparisonReason.FEW_LAPS
                    .say("text")
                    .count("least", FEWEST_LAPS)
                    .count("first", a.size())
                    .count("second", b.size()));
            return reasons;
        }
        double heats = mean(b, true) / mean(a, true);
        if (Math.abs(Math.log(heats)) > MOST_HEAT_DIFFERENCE) {
            reasons.add(ComparisonReason.PACE.say("text").with("share", Measure.SHARE, heats));
        }
        Optional<Double> alike =
                LapProfile.of(before).flatMap(p -> LapProfile.of(after).map(q -> LapProfile.correlation(p, q)));
        if (alike.isPresent() && alike.get() < SAME_CIRCUIT) {
            reasons.add(ComparisonReason.CIRCUIT
                    .say("text")
                    .with("alike", Measure.NUMBER, alike.get())
                    .with("least", Measure.NUMBER, SAME_CIRCUIT, 1));
        }
        boolean places = before.sensor() != after.sensor();
        if (places
                && step.map(s -> Math.abs(s.sensor()) > MOST_SENSOR_DIFFERENCE).orElse(true)) {
            reasons.add(sensors(ComparisonReason.SENSORS_APART, before, after, step));
        }
        double days = after.ambientK() - before.ambientK();
        if (Math.abs(days) > MOST_AMBIENT_DIFFERENCE) {
            reasons.add(
                    ComparisonReason.DAYS.say("text").with("apart", Measure.TEMPERATURE_DIFFERENCE, Math.abs(days)));
        }
        return reasons;
    }

    private static List<Message> reasons(Verdict verdict, Figure difference, List<Message> unlike) {
        return switch (verdict) {
            case TOO_UNLIKE -> unlike;
            case NO_DIFFERENCE ->
                List.of(ComparisonReason.NO_DIFFERENCE
                        .say("text")
                        .with("difference", Measure.TEMPERATURE_DIFFERENCE, difference.value(), digits(difference))
                        .with("low", Measure.TEMPERATURE_DIFFERENCE, difference.low(), digits(difference))
                        .with("high", Measure.TEMPERATURE_DIFFERENCE, difference.high(), digits(difference)));
            case COOLER, HOTTER -> {
                double low = Math.abs(difference.low());
                double high = Math.abs(difference.high());
                yield List.of(ComparisonReason.DIFFERENCE
                        .say("text")
                        .choose("way", verdict)
                        .with(
                                "difference",
                                Measure.TEMPERATURE_DIFFERENCE,
                                Math.abs(difference.value()),
                                digits(difference))
                        .with("low", Measure.TEMPERATURE_DIFFERENCE, Math.min(low, high), digits(difference))
                        .with("high", Measure.TEMPERATURE_DIFFERENCE, Math.max(low, high), digits(difference)));
            }
        };
    }

    /** Decimals that the interval leaves worth saying. */
    private static int digits(Figure figure) {
        return figure.high() - figure.low() >= 2 ? 0 : 1;
    }
}
