package isotherm.core.compare;

import isotherm.core.duty.DemandTrace;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.correlation.PearsonsCorrelation;

/**
 * The mean lap of a session's plateau, by the share of the lap's way, so that laps of different pace lie over each other.
 *
 * @param speed road speed, m/s
 * @param rise rise of the oil over the air per heat input on the plateau, K/kW; NaN where it was not logged
 */
public record LapProfile(double[] speed, double[] rise) {
    /** Points of a lap. */
    public static final int POINTS = 80;

    /**
     * @param session a session
     * @return its mean lap; empty when it has no plateau, or stood still on it
     */
    public static Optional<LapProfile> of(SessionComparison.Logged session) {
        List<SessionComparison.Lap> laps = SessionComparison.plateau(session);
        if (laps.size() < SessionComparison.FEWEST_LAPS) {
            return Optional.empty();
        }
        double heat =
                laps.stream().mapToDouble(SessionComparison.Lap::heat).average().orElseThrow();
        double[] speed = new double[POINTS];
        double[] rise = new double[POINTS];
        int[] counts = new int[POINTS];
        int[] read = new int[POINTS];
        DemandTrace d = session.demand();
        for (SessionComparison.Lap lap : laps) {
            double way = 0;
            for (int i = lap.from(); i < lap.to(); i++) {
                way += d.speed()[i] * d.cell();
            }
            if (way <= 0) {
                return Optional.empty();
            }
            double at = 0;
            int cell = lap.from();
            for (int p = 0; p < POINTS; p++) {
                double wanted = way * (p + 0.5) / POINTS;
                while (cell + 1 < lap.to() && at + d.speed()[cell] * d.cell() < wanted) {
                    at += d.speed()[cell] * d.cell();
                    cell++;
                }
                speed[p] += d.speed()[cell];
                counts[p]++;
                double oil = session.oilK()[cell];
                if (Double.isFinite(oil)) {
                    rise[p] += (oil - session.ambientK()) / heat * 1e3;
                    read[p]++;
                }
            }
        }
        for (int p = 0; p < POINTS; p++) {
            speed[p] /= counts[p];
            rise[p] = read[p] == 0 ? Double.NaN : rise[p] / read[p];
        }
        return Optional.of(new LapProfile(speed, rise));
    }

    /**
     * How alike two laps are, wherever each of them begins: the best correlation of their speeds over all shifts of one against
     * the other.
     *
     * @param a a lap
     * @param b another
     * @return Pearson's coefficient, −1 to 1; 1 for two laps at one speed throughout
     */
    public static double correlation(LapProfile a, LapProfile b) {
        if (steady(a.speed) && steady(b.speed)) {
            return 1;
        }
        return new PearsonsCorrelation().correlation(a.speed, shifted(b.speed, shift(a, b)));
    }

    /**
     * @param a a lap
     * @param b another
     * @return shift of the second, in points, at which their speeds agree best
     */
    public static int shift(LapProfile a, LapProfile b) {
        int best = 0;
        double most = -2;
        for (int shift = 0; shift < POINTS; shift++) {
            double r = new PearsonsCorrelation().correlation(a.speed, shifted(b.speed, shift));
            if (r > most) {
                most = r;
                best = shift;
            }
        }
        return best;
    }

    /**
     * @param points points
     * @return the same lap, begun so many points later
     */
    public LapProfile begunLater(int points) {
        return new LapProfile(shifted(speed, points), shifted(rise, points));
    }

    private static double[] shifted(double[] values, int by) {
        double[] out = new double[values.length];
        Arrays.setAll(out, i -> values[(i + by) % values.length]);
        return out;
    }

    /** Hardly any change of speed: a climb or a motorway, where nothing can be lined up. */
    private static boolean steady(double[] speed) {
        double mean = Arrays.stream(speed).average().orElse(0);
        return Arrays.stream(speed).allMatch(v -> Math.abs(v - mean) < 0.1 * mean);
    }
}
