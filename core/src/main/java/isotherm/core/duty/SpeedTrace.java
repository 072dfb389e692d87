package isotherm.core.duty;

import java.util.Arrays;

/**
 * Road speed between the rows of a log. A logger that writes a row every second or two misses the moment at which a driver goes
 * from throttle to brake, and with it the highest speed and some of the power before it: between two such rows the slopes of
 * their neighbours are drawn out until they meet.
 */
final class SpeedTrace {
    /** Rows closer than this show the corner themselves, s. */
    private static final double COARSE = 0.3;

    private final double[] time;
    private final double[] speed;

    SpeedTrace(double[] time, double[] speed) {
        double[] t = new double[2 * time.length];
        double[] v = new double[2 * time.length];
        int n = 0;
        for (int i = 0; i < time.length; i++) {
            t[n] = time[i];
            v[n++] = speed[i];
            double corner = corner(time, speed, i);
            if (corner > 0) {
                t[n] = time[i] + corner;
                v[n++] = speed[i] + corner * slope(time, speed, i - 1);
            }
        }
        this.time = Arrays.copyOf(t, n);
        this.speed = Arrays.copyOf(v, n);
    }

    private static double slope(double[] time, double[] speed, int i) {
        return (speed[i + 1] - speed[i]) / (time[i + 1] - time[i]);
    }

    /** Seconds after row i at which the slopes before and behind the pause meet; 0 where they do not. */
    private static double corner(double[] time, double[] speed, int i) {
        if (i < 1 || i + 2 >= time.length) {
            return 0;
        }
        double pause = time[i + 1] - time[i];
        if (pause <= COARSE || pause > LogDuty.GAP) {
            return 0;
        }
        double before = slope(time, speed, i - 1);
        double behind = slope(time, speed, i + 1);
        double corner = (speed[i + 1] - speed[i] - behind * pause) / (before - behind);
        boolean meets = corner > 0 && corner < pause && speed[i] + corner * before >= 0;
        return meets ? corner : 0;
    }

    /** Speed at a time, m/s. */
    double at(double t) {
        return at(time, speed, t);
    }

    /** A column at a time, linear between rows and level beyond them. */
    static double at(double[] time, double[] column, double t) {
        int i = Arrays.binarySearch(time, t);
        if (i >= 0) {
            return column[i];
        }
        int after = -i - 1;
        if (after == 0) {
            return column[0];
        }
        if (after == time.length) {
            return column[time.length - 1];
        }
        double f = (t - time[after - 1]) / (time[after] - time[after - 1]);
        return column[after - 1] + f * (column[after] - column[after - 1]);
    }
}
