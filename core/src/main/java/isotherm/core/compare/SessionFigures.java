package isotherm.core.compare;

import isotherm.core.duty.DemandTrace;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * What a log shows of one session, as it was read.
 *
 * @param peakK highest oil temperature, mean over some seconds, K
 * @param plateauK mean on the plateau, K; empty without one
 * @param toPlateau time until the oil first came within 3 K of it, s
 * @param heat mean heat input on the plateau by the car's model, W
 * @param recovery fall of the oil after the last lap at full pace, K per minute
 * @param coreDrop fall of the oil over the core on the plateau, K
 * @param idlePressure pressure at idle with hot oil, Pa
 * @param runningPressure pressure at two thirds of the highest speed seen with hot oil, Pa
 * @param peakCoolantK highest coolant temperature, mean over some seconds, K
 */
public record SessionFigures(
        OptionalDouble peakK,
        OptionalDouble plateauK,
        OptionalDouble toPlateau,
        OptionalDouble heat,
        OptionalDouble recovery,
        OptionalDouble coreDrop,
        OptionalDouble idlePressure,
        OptionalDouble runningPressure,
        OptionalDouble peakCoolantK) {
    /** Noise is averaged over this, s. */
    private static final double WINDOW = 8;
    /** On the plateau from here on, K. */
    private static final double NEAR = 3;
    /** Oil within this of the plateau counts as hot, K. */
    private static final double HOT = 15;
    /** Idle reaches up to this multiple of the idle speed. */
    private static final double IDLE_BAND = 1.15;
    /** A cool-down shorter than this says little, s. */
    private static final double SHORTEST_COOL_DOWN = 45;

    /**
     * What sensors read in each cell; NaN where one read nothing.
     *
     * @param back oil from the core, K
     * @param coolant coolant, K
     * @param pressure oil pressure, Pa
     */
    public record Sensors(double[] back, double[] coolant, double[] pressure) {}

    /**
     * @param session a session
     * @param sensors what else was read; as long as the session, or empty
     * @param idleRpm idle speed of the engine, 1/min
     * @return its figures
     */
    public static SessionFigures of(SessionComparison.Logged session, Sensors sensors, double idleRpm) {
        DemandTrace d = session.demand();
        double[] oil = smooth(session.oilK(), d.cell());
        List<SessionComparison.Lap> laps = SessionComparison.plateau(session);
        boolean settled = laps.size() >= SessionComparison.FEWEST_LAPS;
        OptionalDouble plateau =
                settled ? laps.stream().mapToDouble(SessionComparison.Lap::oilK).average() : OptionalDouble.empty();
        IntPredicate onPlateau = i -> laps.stream().anyMatch(l -> i >= l.from() && i < l.to());
        IntPredicate hot = i -> plateau.isPresent() && oil[i] > plateau.getAsDouble() - HOT;
        double fastest = Arrays.stream(d.rpm()).max().orElse(0);
        double[] drop = new double[oil.length];
        Arrays.setAll(drop, i -> read(session.oilK(), i) - read(sensors.back(), i));
        return new SessionFigures(
                greatest(oil),
                plateau,
                plateau.isPresent()
                        ? IntStream.range(0, oil.length)
                                .filter(i -> oil[i] >= plateau.getAsDouble() - NEAR)
                                .mapToDouble(i -> (i + 1) * d.cell())
                                .findFirst()
                        : OptionalDouble.empty(),
                settled ? laps.stream().mapToDouble(SessionComparison.Lap::heat).average() : OptionalDouble.empty(),
                settled ? recovery(oil, laps.get(laps.size() - 1).to(), d.cell()) : OptionalDouble.empty(),
                settled ? median(drop, onPlateau) : OptionalDouble.empty(),
                median(sensors.pressure(), i -> d.rpm()[i] > 0 && d.rpm()[i] < IDLE_BAND * idleRpm && hot.test(i)),
                median(
                        sensors.pressure(),
                        i -> d.rpm()[i] > 0.6 * fastest && d.rpm()[i] < 0.74 * fastest && hot.test(i)),
                greatest(smooth(sensors.coolant(), d.cell())));
    }

    private static double read(double[] values, int i) {
        return i < values.length ? values[i] : Double.NaN;
    }

    /** Mean over some seconds to both sides; NaN where nothing was read there. */
    private static double[] smooth(double[] values, double cell) {
        int reach = (int) Math.round(WINDOW / 2 / cell);
        double[] out = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            out[i] = IntStream.rangeClosed(Math.max(0, i - reach), Math.min(values.length - 1, i + reach))
                    .mapToDouble(k -> values[k])
                    .filter(Double::isFinite)
                    .average()
                    .orElse(Double.NaN);
        }
        return out;
    }

    private static OptionalDouble greatest(double[] values) {
        return Arrays.stream(values).filter(Double::isFinite).max();
    }

    private static OptionalDouble median(double[] values, IntPredicate where) {
        double[] chosen = IntStream.range(0, values.length)
                .filter(where)
                .mapToDouble(i -> values[i])
                .filter(Double::isFinite)
                .toArray();
        return chosen.length < 3 ? OptionalDouble.empty() : OptionalDouble.of(new Median().evaluate(chosen));
    }

    private static OptionalDouble recovery(double[] oil, int from, double cell) {
        int to = oil.length - 1;
        double seconds = (to - from) * cell;
        if (seconds < SHORTEST_COOL_DOWN || !Double.isFinite(oil[from]) || !Double.isFinite(oil[to])) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of((oil[from] - oil[to]) / seconds * 60);
    }
}
