package isotherm.server.logs;

import isotherm.core.duty.LogClock;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogReport;
import java.util.ArrayList;
import java.util.List;

/** Passes on the rows of a log as they are kept: in the order of time, without what no car shows. Counts what it leaves out. */
final class RowCleaner {
    private static final int MOST_SAMPLES = 100;

    private final LogSink sink;
    private final List<Channel> channels;
    private final LogClock clock = new LogClock();
    private final List<LogReport.SpoiledRow> samples = new ArrayList<>();
    private final long[] outOfRange;
    private double[] waiting;
    private double waitingTime;
    private long waitingLine;
    private long rows;
    private long spoiled;
    private long missing;

    /**
     * @param sink receives the rows
     * @param channels what they hold; the first is the time
     */
    RowCleaner(LogSink sink, List<Channel> channels) {
        this.sink = sink;
        this.channels = channels;
        this.outOfRange = new long[channels.size()];
        sink.begin(channels);
    }

    /**
     * @param line its line in the file
     * @param raw what the logger's clock showed, s
     * @param values a value for each channel, NaN where there is none; that of the time is filled in here
     */
    void row(long line, double raw, double[] values) {
        LogClock.Verdict verdict = clock.accept(raw);
        if (verdict == LogClock.Verdict.SET) {
            pass(clock.time(waitingTime), waiting);
            waiting = null;
        }
        spoilWaiting();
        if (verdict == LogClock.Verdict.DOUBTFUL) {
            waiting = values.clone();
            waitingTime = raw;
            waitingLine = line;
        } else if (verdict == LogClock.Verdict.WRONG) {
            spoil(line, "its time is not after that of the row before");
        } else {
            pass(clock.last(), values);
        }
    }

    private void spoilWaiting() {
        if (waiting != null) {
            waiting = null;
            spoil(waitingLine, "its time is far from those of the rows about it");
        }
    }

    private void pass(double time, double[] values) {
        values[0] = time;
        for (int i = 1; i < values.length; i++) {
            double cleaned = channels.get(i).cleaned(values[i]);
            boolean there = Double.isFinite(values[i]);
            boolean kept = Double.isFinite(cleaned);
            missing += there ? 0 : 1;
            outOfRange[i] += there && !kept ? 1 : 0;
            values[i] = kept ? cleaned : Double.NaN;
        }
        rows++;
        sink.row(values);
    }

    /**
     * @param line a row that is not kept
     * @param reason why
     */
    void spoil(long line, String reason) {
        spoiled++;
        if (samples.size() < MOST_SAMPLES) {
            samples.add(new LogReport.SpoiledRow(line, reason));
        }
    }

    /** @return rows that were kept */
    long rows() {
        return rows;
    }

    /** @return rows that were kept and rows that were not */
    long seen() {
        return rows + spoiled + (waiting == null ? 0 : 1);
    }

    /** @return how it went, after the last row */
    LogReport report() {
        spoilWaiting();
        List<LogReport.LeftOut> left = new ArrayList<>();
        for (int i = 1; i < outOfRange.length; i++) {
            if (outOfRange[i] > 0) {
                left.add(new LogReport.LeftOut(channels.get(i), outOfRange[i]));
            }
        }
        return new LogReport(
                rows, spoiled, missing, List.copyOf(samples), rows > 0 ? clock.last() : 0, left, clock.jumps());
    }
}
