package isotherm.core.sheet;

import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;

/**
 * Watches the gauges while the engine is tried out, and says what is wrong. It is fed one sample after the other and is not
 * safe for use by several threads. It helps the eyes at the gauge and does not replace them.
 */
public final class Watch {
    /** An engine that turns faster than this runs by itself, 1/min. */
    static final double RUNNING = 400;
    /** Pressure is expected this long after the engine runs, s. */
    private static final double GRACE = 5;
    /** Below this there is no pressure at all, Pa. */
    private static final double NO_PRESSURE = 0.3e5;
    /** What a fault has to last before it is told, s. */
    private static final double LASTING = 5;
    /** The first stretch of running sets what this gauge shows against the model, s. */
    private static final double LEARNING = 20;
    /** Share of that below which pressure falls away (default). */
    private static final double FALLING = 0.75;
    /** A channel that shows nothing for this long is lost, s. */
    private static final double LOST = 10;
    /** Oil has to be this much hotter than what opens the thermostat, K (default). */
    private static final double OPEN_MARGIN = 2;
    /** The core has this long to get warm then, s (default). */
    private static final double WARM_UP = 75;
    /** Share of the oil's rise over the air that the far end shows when oil flows through all of the core (default). */
    private static final double FAR_SHARE = 0.5;
    /** Share of it that returns when any oil flows (default). */
    private static final double FLOW_SHARE = 0.3;
    /** Hotter than a thermostat and a fan let it become, K (default). */
    private static final double COOLANT_HOT = Units.kelvin(108);
    /** Values are averaged over this, s. */
    private static final double AVERAGED = 8;

    /**
     * Something that is wrong.
     *
     * @param time when it was noticed, on the logger's clock, s
     * @param fault what it is
     * @param stop whether the engine is to be stopped at once
     * @param what that, with what to do
     */
    public record Alarm(double time, Fault fault, boolean stop, Message what) {}

    private final Expectation expected;
    private final Map<Channel, Deque<double[]>> recent = new EnumMap<>(Channel.class);
    private final Map<Channel, Double> seen = new EnumMap<>(Channel.class);
    private final Map<Fault, Double> since = new EnumMap<>(Fault.class);
    private final Set<Fault> told = EnumSet.noneOf(Fault.class);
    private final Set<Channel> lost = EnumSet.noneOf(Channel.class);
    private double runningSince = Double.NaN;
    private double ratioSum;
    private int ratios;
    private double heard;
    private boolean silenceTold;

    /** @param expected what the gauges should show */
    public Watch(Expectation expected) {
        this.expected = expected;
    }

    /**
     * @param sample what the gauges show now; later than the one before
     * @return what is newly wrong
     */
    public List<Alarm> take(Sample sample) {
        heard = sample.time();
        silenceTold = false;
        sample.values().forEach((c, v) -> {
            Deque<double[]> values = recent.computeIfAbsent(c, k -> new ArrayDeque<>());
            values.add(new double[] {sample.time(), v});
            while (values.size() > 1 && values.peek()[0] < sample.time() - AVERAGED) {
                values.remove();
            }
            seen.put(c, sample.time());
        });
        List<Alarm> alarms = new ArrayList<>();
        lostChannels(sample, alarms);
        OptionalDouble rpm = sample.get(Channel.RPM);
        if (rpm.isEmpty() || rpm.getAsDouble() < RUNNING) {
            runningSince = Double.NaN;
            since.clear();
            ratios = 0;
            ratioSum = 0;
            // A new start is watched anew.
            told.clear();
            return alarms;
        }
        if (Double.isNaN(runningSince)) {
            runningSince = sample.time();
        }
        double running = sample.time() - runningSince;
        pressure(sample, rpm.getAsDouble(), running, alarms);
        core(sample, alarms);
        OptionalDouble coolant = mean(Channel.COOLANT, sample);
        notice(
                sample,
                Fault.COOLANT_HOT,
                coolant.isPresent() && coolant.getAsDouble() > COOLANT_HOT,
                LASTING,
                () -> Fault.COOLANT_HOT.say("what").with("coolant", Measure.TEMPERATURE, coolant.orElse(Double.NaN)),
                alarms);
        return alarms;
    }

    private void pressure(Sample sample, double rpm, double running, List<Alarm> alarms) {
        OptionalDouble shown = mean(Channel.OIL_PRESSURE, sample);
        notice(
                sample,
                Fault.NO_PRESSURE,
                running > GRACE && shown.isPresent() && shown.getAsDouble() < NO_PRESSURE,
                1,
                () -> Fault.NO_PRESSURE.say("what"),
                alarms);
        OptionalDouble oil = mean(Channel.OIL, sample);
        if (shown.isEmpty() || oil.isEmpty() || running < GRACE) {
            return;
        }
        double ratio = shown.getAsDouble() / expected.pressure().applyAsDouble(rpm, oil.getAsDouble());
        if (running < GRACE + LEARNING || ratios == 0) {
            // Gauges and engines differ from the model: what counts is that it falls away from where it was.
            ratioSum += ratio;
            ratios++;
            return;
        }
        double usual = ratioSum / ratios;
        notice(
                sample,
                Fault.PRESSURE_FALLS,
                ratio < FALLING * usual,
                LASTING,
                () -> Fault.PRESSURE_FALLS
                        .say("what")
                        .with("pressure", Measure.PRESSURE, shown.getAsDouble(), 1)
                        .with("usual", Measure.PRESSURE, shown.getAsDouble() / ratio * usual, 1),
                alarms);
    }

    private void core(Sample sample, List<Alarm> alarms) {
        OptionalDouble oil = mean(Channel.OIL, sample);
        OptionalDouble air = mean(Channel.AMBIENT, sample);
        OptionalDouble far = mean(Channel.CORE_FAR, sample);
        OptionalDouble back = mean(Channel.OIL_RETURN, sample);
        boolean due = oil.isPresent()
                && air.isPresent()
                && far.isPresent()
                && back.isPresent()
                && oil.getAsDouble() > expected.throughCoreFrom() + OPEN_MARGIN;
        double rise = due ? oil.getAsDouble() - air.getAsDouble() : 0;
        boolean cold = due && far.getAsDouble() < air.getAsDouble() + FAR_SHARE * rise;
        boolean flows = due && back.getAsDouble() > air.getAsDouble() + FLOW_SHARE * rise;
        notice(
                sample,
                Fault.THERMOSTAT_SHUT,
                cold && flows && expected.hasThermostat(),
                WARM_UP,
                () -> Fault.THERMOSTAT_SHUT
                        .say("what")
                        .with("oil", Measure.TEMPERATURE, oil.getAsDouble())
                        .with("opens", Measure.TEMPERATURE, expected.throughCoreFrom())
                        .with("far", Measure.TEMPERATURE, far.getAsDouble()),
                alarms);
        notice(
                sample,
                Fault.NO_FLOW,
                cold && !(flows && expected.hasThermostat()),
                WARM_UP,
                () -> Fault.NO_FLOW
                        .say("what")
                        .with("oil", Measure.TEMPERATURE, oil.getAsDouble())
                        .with("far", Measure.TEMPERATURE, far.getAsDouble()),
                alarms);
    }

    private void lostChannels(Sample sample, List<Alarm> alarms) {
        seen.forEach((c, last) -> {
            if (sample.time() - last <= LOST) {
                lost.remove(c);
            } else if (lost.add(c)) {
                boolean stop = c == Channel.OIL_PRESSURE && !Double.isNaN(runningSince);
                alarms.add(new Alarm(
                        sample.time(),
                        Fault.SENSOR_LOST,
                        stop,
                        Fault.SENSOR_LOST.say("what").choose("stop", stop).say("channel", c.say("name"))));
            }
        });
    }

    /**
     * A logger that says nothing shows nothing either: its own clock stands still with it, so that whoever listens counts.
     *
     * @param seconds for how long no sample has come, s
     * @return that nothing watches the engine, told once in each silence
     */
    public Optional<Alarm> silent(double seconds) {
        if (seconds < LOST || silenceTold) {
            return Optional.empty();
        }
        silenceTold = true;
        return Optional.of(new Alarm(
                heard,
                Fault.LOGGER_SILENT,
                false,
                Fault.LOGGER_SILENT.say("what").with("seconds", Measure.TIME, LOST)));
    }

    private void notice(
            Sample sample, Fault fault, boolean there, double lasting, Supplier<Message> what, List<Alarm> alarms) {
        if (!there) {
            since.remove(fault);
            return;
        }
        double from = since.computeIfAbsent(fault, f -> sample.time());
        if (sample.time() - from >= lasting && told.add(fault)) {
            alarms.add(new Alarm(sample.time(), fault, fault.stop(), what.get()));
        }
    }

    /** Mean over the last seconds; empty where the channel shows nothing now. */
    private OptionalDouble mean(Channel channel, Sample sample) {
        Deque<double[]> values = recent.get(channel);
        return values == null
                ? OptionalDouble.empty()
                : values.stream()
                        .filter(v -> v[0] >= sample.time() - AVERAGED)
                        .mapToDouble(v -> v[1])
                        .average();
    }
}
