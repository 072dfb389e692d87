package isotherm.core.duty;

/**
 * Makes the times of a log rise evenly when the logger's own clock did not: a clock that is set while it runs (from zero to the
 * calendar when a satellite receiver wakes, or over midnight) goes on from where it was. One row with a wrong time is left out; only
 * when the next row agrees with it was the clock set. Fed one row after the other; not safe for use by several threads.
 */
public final class LogClock {
    /** A pause in the pits is no longer than this, s; a longer step is a clock that was set. */
    public static final double LONGEST_PAUSE = 6 * 3600;
    /** Rows that come back by no more than this were written out of their order, s. */
    private static final double OUT_OF_ORDER = 2;
    /** Rows of one clock follow each other within this, s. */
    private static final double AGREEING = 60;

    private static final double USUAL_STEP = 0.1;
    private static final double SLOWLY = 0.05;

    private double first = Double.NaN;
    private double offset;
    private double last = Double.NaN;
    private double step = USUAL_STEP;
    private double doubtful = Double.NaN;
    private int jumps;

    /** What became of a row's time. */
    public enum Verdict {
        /** It stands after the row before. */
        KEPT,
        /** The next row will tell whether the clock was set here or this one is wrong. */
        DOUBTFUL,
        /** It does not stand after the row before. */
        WRONG,
        /** The clock was set one row before; that row and this one count. */
        SET
    }

    /**
     * @param raw what the logger's clock showed, s
     * @return what becomes of the row
     */
    public Verdict accept(double raw) {
        if (Double.isNaN(first)) {
            first = raw;
            last = 0;
            return Verdict.KEPT;
        }
        double before = doubtful;
        doubtful = Double.NaN;
        double since = raw - first + offset;
        if (isAfter(since)) {
            step += SLOWLY * (Math.min(since - last, AGREEING) - step);
            last = since;
            return Verdict.KEPT;
        }
        boolean agrees = raw - before > 0 && raw - before <= AGREEING;
        if (agrees) {
            // The doubtful row is given the usual step, and this one the step that the clock shows between the two.
            offset = last + step - (before - first);
            last = raw - first + offset;
            jumps++;
            return Verdict.SET;
        }
        if (since <= last && since >= last - OUT_OF_ORDER) {
            return Verdict.WRONG;
        }
        doubtful = raw;
        return Verdict.DOUBTFUL;
    }

    private boolean isAfter(double since) {
        return since > last && since - last <= LONGEST_PAUSE;
    }

    /** @return time of the newest row that counts, s from the first row; NaN before there is one */
    public double last() {
        return last;
    }

    /**
     * @param raw what the clock showed in a row that has become doubtful and was then confirmed
     * @return its time, s from the first row
     */
    public double time(double raw) {
        return raw - first + offset;
    }

    /** @return how often the clock was set */
    public int jumps() {
        return jumps;
    }

    /**
     * @param times rising times, s, which may hold a jump of a clock that was set
     * @return the same, each jump shrunk to the usual step
     */
    public static double[] evened(double[] times) {
        double[] even = times.clone();
        double shift = 0;
        for (int i = 1; i < times.length; i++) {
            double by = times[i] - times[i - 1];
            if (by > LONGEST_PAUSE) {
                shift += by - (i > 1 ? Math.min(AGREEING, times[i - 1] - times[i - 2]) : USUAL_STEP);
            }
            even[i] = times[i] - shift;
        }
        return even;
    }
}
