package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * What was driven, from a log. Brake power follows from the speed trace, the gradient and road load where the log has none;
 * engine speed from the gearing where the log has none, see {@link #onTrack()}. The arrays are shared, not copied: do not change them.
 *
 * @param time of each row, ascending, s
 * @param speed road speed, m/s
 * @param rpm engine speed, 1/min; empty when not logged
 * @param brakePower brake power, W; empty when not logged
 * @param elevation height above sea level, m; empty when not logged, for a level road
 * @param lapStarts times at which laps begin, s; empty when not known
 * @param trailer what hung on the hook
 * @param start temperatures at the first row
 * @param weather the air on the day
 */
public record LogDuty(
        double[] time,
        double[] speed,
        double[] rpm,
        double[] brakePower,
        double[] elevation,
        double[] lapStarts,
        Trailer trailer,
        Start start,
        Weather weather)
        implements Duty {
    /** A lap that takes so many times as long as the middle one was not driven at full pace (default). */
    private static final double SLOW_LAP = 1.2;

    /** A longer pause between two rows is a gap, s. */
    public static final double GAP = 5;
    /** Speed is differentiated over this to both sides, s: loggers round it. */
    private static final double SMOOTHING = 0.4;
    /** Looks at each cell, so that its throttle and its braking do not cancel. */
    private static final int PARTS = 4;
    /** Heights are compared over this to both sides, s. */
    private static final double GRADE_WINDOW = 5;
    /** A shorter way than this says nothing about the gradient, m. */
    private static final double SHORTEST = 20;
    /** Steeper than any road. */
    private static final double STEEPEST = 0.35;
    /**
     * Drivers on the road brake with up to 3.4 m/s² (AASHTO, A Policy on Geometric Design of Highways and Streets); harder than
     * this, m/s², is an emergency or a track (default).
     */
    private static final double TRACK_BRAKING = 5;
    /** More of the time under way than this spent braking so hard is a track (default). */
    private static final double TRACK_SHARE = 0.01;
    /** Slower than this is not under way, m/s. */
    private static final double UNDER_WAY = 5;
    /** So many laps are driven on a track alone. */
    private static final int TRACK_LAPS = 3;

    /**
     * A stretch without rows.
     *
     * @param from its start, s
     * @param to its end, s
     */
    public record Gap(double from, double to) {}

    /** Checks that the rows can be driven. */
    public LogDuty {
        if (time.length < 2 || speed.length != time.length) {
            throw new IllegalArgumentException("A log needs two rows and a speed in each");
        }
        for (double[] column : new double[][] {rpm, brakePower, elevation}) {
            if (column.length != 0 && column.length != time.length) {
                throw new IllegalArgumentException("Every column of a log has to be as long as its times");
            }
        }
        for (int i = 1; i < time.length; i++) {
            if (!(time[i] > time[i - 1])) {
                throw new IllegalArgumentException("Times of a log have to rise; row " + (i + 1) + " does not");
            }
        }
    }

    /** @return stretches longer than {@link #GAP} without rows, over which values are joined by a straight line */
    public List<Gap> gaps() {
        List<Gap> gaps = new ArrayList<>();
        for (int i = 1; i < time.length; i++) {
            if (time[i] - time[i - 1] > GAP) {
                gaps.add(new Gap(time[i - 1], time[i]));
            }
        }
        return gaps;
    }

    /** @return whether engine speed was logged; otherwise it is calculated from road speed and gears */
    public boolean hasEngineSpeed() {
        return rpm.length > 0;
    }

    /**
     * Whether a track was driven, as the rows show it: laps, or braking as hard as on no road. A log without engine speed takes a
     * track driver's gears then, and a road driver's otherwise.
     *
     * @return whether it was a track
     */
    public boolean onTrack() {
        if (trailer.mass() > 0) {
            return false;
        }
        if (lapStarts.length >= TRACK_LAPS) {
            return true;
        }
        double hard = 0;
        double all = 0;
        for (int i = 1; i < time.length; i++) {
            double step = time[i] - time[i - 1];
            if (speed[i - 1] > UNDER_WAY && step <= GAP) {
                all += step;
                hard += (speed[i - 1] - speed[i]) / step > TRACK_BRAKING ? step : 0;
            }
        }
        return hard > TRACK_SHARE * all;
    }

    @Override
    public LogDuty withWeather(Weather newWeather) {
        return new LogDuty(time, speed, rpm, brakePower, elevation, lapStarts, trailer, start, newWeather);
    }

    @Override
    public DemandTrace drive(Vehicle vehicle, Engine rated) {
        Engine engine = rated.in(weather.pressure(), weather.ambientK());
        double density = Air.density(weather.ambientK(), weather.pressure());
        double cell = DemandBuilder.CELL;
        SpeedTrace trace = new SpeedTrace(time, speed);
        boolean track = !hasEngineSpeed() && onTrack();
        int n = (int) Math.floor((time[time.length - 1] - time[0]) / cell);
        double[] v = new double[n];
        double[] r = new double[n];
        double[] p = new double[n];
        for (int i = 0; i < n; i++) {
            double start = time[0] + i * cell;
            for (int part = 0; part < PARTS; part++) {
                double t = start + (part + 0.5) * cell / PARTS;
                double now = Math.max(0, trace.at(t));
                double acceleration = (trace.at(t + SMOOTHING) - trace.at(t - SMOOTHING)) / (2 * SMOOTHING);
                // Braking asks for nothing: power is cut off at zero before it is averaged, not after.
                double power = brakePower.length > 0
                        ? Math.max(0, at(brakePower, t))
                        : Math.min(
                                engine.power(),
                                vehicle.brakePower(
                                        now, acceleration, grade(t), trailer.mass(), trailer.dragArea(), density));
                v[i] += now / PARTS;
                p[i] += power / PARTS;
                double turns = hasEngineSpeed()
                        ? Math.max(0, at(rpm, t))
                        : track ? vehicle.trackRpm(now, engine) : vehicle.roadRpm(now, power, engine);
                r[i] += turns / PARTS;
            }
        }
        return new DemandTrace(cell, v, r, p, laps());
    }

    /** The laps; one that was driven to warm up or to cool down is told by its time. */
    private List<DemandTrace.Phase> laps() {
        double[] took = new double[lapStarts.length];
        int fastest = 0;
        for (int lap = 0; lap < took.length; lap++) {
            took[lap] = (lap + 1 < took.length ? lapStarts[lap + 1] : time[time.length - 1]) - lapStarts[lap];
            // The last one may break off.
            if (lap + 1 < took.length && took[lap] < took[fastest]) {
                fastest = lap;
            }
        }
        double usual = new Median().evaluate(took);
        List<DemandTrace.Phase> phases = new ArrayList<>();
        for (int lap = 0; lap < took.length; lap++) {
            DemandTrace.Kind kind = took[lap] <= SLOW_LAP * usual
                    ? DemandTrace.Kind.FLYER
                    : lap < fastest ? DemandTrace.Kind.OUT_LAP : DemandTrace.Kind.COOL_DOWN;
            phases.add(new DemandTrace.Phase("lap " + (lap + 1), kind, lapStarts[lap] - time[0]));
        }
        return List.copyOf(phases);
    }

    /** Rise over run, from the heights over a distance that hides the steps of a satellite receiver. */
    private double grade(double t) {
        if (elevation.length == 0) {
            return 0;
        }
        double distance = 0;
        for (double s = -GRADE_WINDOW; s < GRADE_WINDOW; s += 1) {
            distance += at(speed, t + s + 0.5);
        }
        if (distance < SHORTEST) {
            return 0;
        }
        double grade = (at(elevation, t + GRADE_WINDOW) - at(elevation, t - GRADE_WINDOW)) / distance;
        return Math.max(-STEEPEST, Math.min(STEEPEST, grade));
    }

    private double at(double[] column, double t) {
        return SpeedTrace.at(time, column, t);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof LogDuty log
                && Arrays.equals(log.time, time)
                && Arrays.equals(log.speed, speed)
                && Arrays.equals(log.rpm, rpm)
                && Arrays.equals(log.brakePower, brakePower)
                && Arrays.equals(log.elevation, elevation)
                && log.trailer.equals(trailer)
                && Arrays.equals(log.lapStarts, lapStarts)
                && log.start.equals(start)
                && log.weather.equals(weather);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(time) * 31 + Arrays.hashCode(speed);
    }

    @Override
    public String toString() {
        return "LogDuty[" + time.length + " rows]";
    }
}
