package isotherm.core.duty;

import java.util.ArrayList;
import java.util.List;

/** Finds where laps begin in a log. */
public final class LapFinder {
    /** A lap takes at least this long, s. */
    private static final double SHORTEST_LAP = 20;
    /** Passing the line at no more than this from it, m. */
    private static final double NEAR = 30;
    /** Metres of one degree of latitude. */
    private static final double DEGREE = 111_195;

    private LapFinder() {}

    /**
     * @param time of the rows, s
     * @param lap number of the lap in each row; NaN where there is none
     * @return times at which the number changes, and the first row's
     */
    public static double[] byNumber(double[] time, double[] lap) {
        List<Double> starts = new ArrayList<>();
        double now = Double.NaN;
        for (int i = 0; i < time.length; i++) {
            if (Double.isFinite(lap[i]) && lap[i] != now) {
                starts.add(time[i]);
                now = lap[i];
            }
        }
        return starts.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /**
     * Laps of a closed circuit from positions alone: the line is where the car was fastest in the middle third of the log, and
     * a lap begins where it comes closest to that point again in the same direction.
     *
     * @param time of the rows, s
     * @param latitude degrees
     * @param longitude degrees
     * @param speed any unit
     * @return times of passing; empty when the way is no circuit
     */
    public static double[] byPosition(double[] time, double[] latitude, double[] longitude, double[] speed) {
        int n = time.length;
        int line = -1;
        for (int i = n / 3; i < 2 * n / 3; i++) {
            boolean known = Double.isFinite(latitude[i]) && Double.isFinite(longitude[i]);
            if (known && Double.isFinite(speed[i]) && (line < 0 || speed[i] > speed[line])) {
                line = i;
            }
        }
        if (line < 1) {
            return new double[0];
        }
        double east = Math.cos(Math.toRadians(latitude[line])) * DEGREE;
        double headingX = (longitude[line] - longitude[line - 1]) * east;
        double headingY = (latitude[line] - latitude[line - 1]) * DEGREE;
        List<Double> starts = new ArrayList<>();
        int best = -1;
        double nearest = NEAR;
        for (int i = 1; i < n; i++) {
            double x = (longitude[i] - longitude[line]) * east;
            double y = (latitude[i] - latitude[line]) * DEGREE;
            double distance = Math.hypot(x, y);
            double along = (longitude[i] - longitude[i - 1]) * east * headingX
                    + (latitude[i] - latitude[i - 1]) * DEGREE * headingY;
            if (distance < nearest && along > 0) {
                nearest = distance;
                best = i;
            } else if (best >= 0 && !(distance < NEAR)) {
                if (starts.isEmpty() || time[best] - starts.get(starts.size() - 1) >= SHORTEST_LAP) {
                    starts.add(time[best]);
                }
                best = -1;
                nearest = NEAR;
            }
        }
        return starts.size() < 2
                ? new double[0]
                : starts.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
