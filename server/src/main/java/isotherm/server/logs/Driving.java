package isotherm.server.logs;

import isotherm.core.duty.LapFinder;
import isotherm.core.duty.LogClock;
import isotherm.core.duty.Resampling;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.DutyDocument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** From the rows of a log to a duty that can be driven again. */
final class Driving {
    /** Laps that a duty holds at most: more come from a counter that counts something else. */
    private static final int MOST_LAPS = 1000;

    /** A duty holds at most this many rows a second: throttle and braking can be told apart at that pace. */
    private static final double MOST_ROWS_PER_SECOND = 5;
    /** A duty of a long log holds fewer. */
    private static final int MOST_DUTY_ROWS = 12_000;
    /** Coolant above this is steam at the first row of a duty, °C. */
    private static final double HOTTEST_START = 130;
    /** Slower than this a car's own heat reaches its outside air sensor, km/h (default). */
    private static final double UNDER_WAY_KMH = 25;
    /** Air that a use may have, °C. */
    private static final double COLDEST = -40;

    private static final double HOTTEST = 55;
    /** A temperature that no sensor of a living car reads stands for a row without one, °C. */
    private static final double DROPPED = -999;

    private Driving() {}

    /**
     * @param log what the log holds
     * @param c its whole channels; cleaned in place
     * @return what was driven
     * @throws InvalidDocument when it holds no speed or is too short or too long
     */
    static DrivenLog of(LogDocument log, Map<Channel, double[]> c) {
        if (!c.containsKey(Channel.SPEED)) {
            throw wrong("This log holds no road speed, without which it cannot be driven again");
        }
        // What is kept today is clean and even; what was kept before may not be.
        c.replaceAll((channel, values) -> cleaned(channel, values));
        if (Arrays.stream(c.get(Channel.SPEED)).noneMatch(Double::isFinite)) {
            throw wrong("No road speed in this log is one that a car drives, so that it cannot be driven again");
        }
        double[] time = c.get(Channel.TIME);
        double seconds = time[time.length - 1] - time[0];
        double own = Math.max(1, (time.length - 1) / seconds);
        double pace = Math.min(Math.min(MOST_ROWS_PER_SECOND, own), Math.max(1, MOST_DUTY_ROWS / seconds));
        double[] cells = Resampling.cells(time, 1 / pace);
        double[] oil = mean(c, Channel.OIL, cells);
        double[] coolant = mean(c, Channel.COOLANT, cells);
        double[] laps = c.containsKey(Channel.LAP)
                ? LapFinder.byNumber(time, c.get(Channel.LAP))
                : c.containsKey(Channel.LATITUDE) && c.containsKey(Channel.LONGITUDE)
                        ? LapFinder.byPosition(
                                time, c.get(Channel.LATITUDE), c.get(Channel.LONGITUDE), c.get(Channel.SPEED))
                        : new double[0];
        if (laps.length > MOST_LAPS) {
            laps = new double[0];
        }
        DutyDocument duty = new DutyDocument(
                log.name(),
                outside(c).orElse(log.ambientC()),
                log.altitudeM(),
                null,
                null,
                null,
                null,
                new DutyDocument.DrivenDocument(
                        list(cells, 2),
                        list(Resampling.bridged(mean(c, Channel.SPEED, cells)), 2),
                        column(c, Channel.RPM, cells, 0),
                        power(column(c, Channel.POWER, cells, 2)),
                        column(c, Channel.ELEVATION, cells, 1),
                        laps.length == 0 ? null : list(laps, 2),
                        log.trailerKg(),
                        null,
                        first(oil, 80),
                        Math.min(HOTTEST_START, first(coolant, 85))));
        List<Problem> problems = new ArrayList<>();
        duty.check("", problems);
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
        return new DrivenLog(
                duty,
                log.sensor(),
                readings(oil),
                readings(mean(c, Channel.OIL_RETURN, cells)),
                readings(coolant),
                readings(mean(c, Channel.PRESSURE, cells)),
                readings(mean(c, Channel.CORE_AIR, cells)));
    }

    /**
     * The day's air by the log's own column, °C: the middle one of its readings under way, since a standing car warms its sensor.
     * It was there; what somebody typed may be of another hour.
     */
    private static OptionalDouble outside(Map<Channel, double[]> c) {
        double[] air = c.get(Channel.AMBIENT);
        double[] speed = c.get(Channel.SPEED);
        if (air == null) {
            return OptionalDouble.empty();
        }
        double[] read = IntStream.range(0, air.length)
                .filter(i -> Double.isFinite(air[i]) && speed[i] >= UNDER_WAY_KMH)
                .mapToDouble(i -> air[i])
                .sorted()
                .toArray();
        if (read.length == 0 || read[read.length / 2] < COLDEST || read[read.length / 2] > HOTTEST) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Math.round(read[read.length / 2] * 10) / 10.0);
    }

    private static double[] mean(Map<Channel, double[]> columns, Channel channel, double[] cells) {
        double[] values = columns.get(channel);
        return values == null ? new double[0] : Resampling.means(columns.get(Channel.TIME), values, cells);
    }

    private static List<Double> column(Map<Channel, double[]> columns, Channel channel, double[] cells, int digits) {
        double[] mean = mean(columns, channel, cells);
        return mean.length == 0 || Arrays.stream(mean).noneMatch(Double::isFinite)
                ? null
                : list(Resampling.bridged(mean), digits);
    }

    /** On the overrun the car drives the engine, which puts no more heat into its oil than at idle. */
    private static List<Double> power(List<Double> kilowatts) {
        return kilowatts == null
                ? null
                : kilowatts.stream().map(v -> Math.max(0, v)).toList();
    }

    private static double[] cleaned(Channel channel, double[] values) {
        return channel == Channel.TIME
                ? LogClock.evened(values)
                : Arrays.stream(values).map(channel::cleaned).toArray();
    }

    private static List<Double> list(double[] values, int digits) {
        double p = Math.pow(10, digits);
        return Arrays.stream(values).mapToObj(v -> Math.round(v * p) / p).toList();
    }

    private static List<Double> readings(double[] values) {
        return values.length == 0
                ? null
                : Arrays.stream(values)
                        .mapToObj(v -> Double.isFinite(v) ? Math.round(v * 100) / 100.0 : DROPPED)
                        .toList();
    }

    private static double first(double[] values, double otherwise) {
        double first =
                Arrays.stream(values).filter(Double::isFinite).findFirst().orElse(otherwise);
        return Math.round(first * 10) / 10.0;
    }

    private static InvalidDocument wrong(String message) {
        return Problem.refused("", null, message);
    }
}
