package isotherm.server.logs;

import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogFormat;
import isotherm.server.evidence.LogReport;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;

/** Reads a log from a file of separated values, plain or gzipped, line by line and without holding it in memory. */
final class LogReader {
    private static final int HEAD_BYTES = 1 << 17;
    private static final int LINES_A_TELL = 2000;
    private static final double DAY = 86_400;
    private static final double AN_HOUR = 3600;

    private final LogFormat format;
    private final List<Channel> channels = new ArrayList<>();
    private final int[] columns;
    private final int widest;
    private final double[] values;
    private final RowCleaner cleaner;
    private double clockBefore = Double.NaN;
    private double days;

    private LogReader(LogFormat format, LogSink sink) {
        this.format = format;
        channels.add(Channel.TIME);
        List<Integer> at = new ArrayList<>();
        at.add(format.column(Channel.TIME));
        for (Channel c : Channel.values()) {
            int column = format.column(c);
            if (c != Channel.TIME && column >= 0) {
                channels.add(c);
                at.add(column);
            }
        }
        this.columns = at.stream().mapToInt(Integer::intValue).toArray();
        this.widest = at.stream().mapToInt(Integer::intValue).max().orElse(0);
        this.values = new double[columns.length];
        this.cleaner = new RowCleaner(sink, List.copyOf(channels));
    }

    /** The first lines of a log as text, and how its bytes are written. */
    record Head(List<String> lines, Charset charset) {}

    /**
     * How much is read at most.
     *
     * @param rows rows that are kept
     * @param lines lines of the file, spoiled ones too
     */
    record Limit(long rows, long lines) {}

    static Head head(InputStream in) throws IOException {
        byte[] head = in.readNBytes(HEAD_BYTES);
        Charset charset = Encoding.of(head, head.length < HEAD_BYTES);
        List<String> lines = new ArrayList<>(unmarked(new String(head, charset))
                .lines()
                .limit(2L * FormatFinder.SAMPLE)
                .toList());
        if (head.length == HEAD_BYTES && lines.size() > 1) {
            lines.remove(lines.size() - 1);
        }
        return new Head(lines, charset);
    }

    private static String unmarked(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /**
     * Reads a whole log.
     *
     * @param in the unpacked file
     * @param format how it is written
     * @param charset how its bytes are written
     * @param limit after which to stop
     * @param sink receives the rows
     * @param progress told the line now and then
     * @param cancelled asked now and then
     * @return how it went
     * @throws CancellationException when it was cancelled
     */
    static LogReport read(
            InputStream in,
            LogFormat format,
            Charset charset,
            Limit limit,
            LogSink sink,
            LongConsumer progress,
            BooleanSupplier cancelled)
            throws IOException {
        return new LogReader(format, sink).run(in, charset, limit, progress, cancelled);
    }

    private LogReport run(
            InputStream in, Charset charset, Limit limit, LongConsumer progress, BooleanSupplier cancelled)
            throws IOException {
        char delimiter = format.delimiter().sign();
        long line = 0;
        try (BufferedReader text = new BufferedReader(new ShortLines(new InputStreamReader(in, charset)), 1 << 16)) {
            for (String next = text.readLine(); next != null; next = text.readLine()) {
                line++;
                if (cleaner.rows() >= limit.rows() || line > limit.lines()) {
                    break;
                }
                if (line % LINES_A_TELL == 0) {
                    progress.accept(line);
                    if (cancelled.getAsBoolean()) {
                        throw new CancellationException("The import was cancelled");
                    }
                }
                if (line >= format.firstDataLine() && !next.isBlank()) {
                    row(Cells.of(line == 1 ? unmarked(next) : next, delimiter), line);
                }
            }
        }
        return cleaner.report();
    }

    private void row(List<String> cells, long line) {
        if (cells.size() <= widest) {
            cleaner.spoil(
                    line,
                    "it has " + cells.size() + " columns, " + format.columns().size() + " are expected");
            return;
        }
        double time = time(cells);
        if (!Double.isFinite(time)) {
            cleaner.spoil(line, "its time \"" + shortened(cells.get(columns[0])) + "\" cannot be read");
            return;
        }
        int there = 0;
        for (int i = 1; i < values.length; i++) {
            double value = number(cells.get(columns[i]), format.decimalComma());
            values[i] =
                    Double.isFinite(value) ? format.columns().get(columns[i]).convert(value) : Double.NaN;
            there += Double.isFinite(value) ? 1 : 0;
        }
        if (there == 0 && values.length > 1) {
            cleaner.spoil(line, "none of its values can be read");
            return;
        }
        cleaner.row(line, time, values);
    }

    /** What the logger's clock showed, s; NaN when that cannot be read. */
    private double time(List<String> cells) {
        if (format.time() == LogFormat.Time.ROWS) {
            double rate = format.rowsPerSecond() == null ? 10 : format.rowsPerSecond();
            return cleaner.seen() / rate;
        }
        String cell = cells.get(columns[0]);
        return switch (format.time()) {
            case CLOCK -> overMidnight(clock(cell));
            case ISO -> iso(cell);
            default -> format.columns().get(columns[0]).convert(number(cell, format.decimalComma()));
        };
    }

    /** The clock of a day goes on over midnight. */
    private double overMidnight(double time) {
        if (clockBefore > DAY - AN_HOUR && time < AN_HOUR) {
            days += DAY;
        }
        clockBefore = time;
        return time + days;
    }

    static String shortened(String cell) {
        return cell.length() <= 24 ? cell : cell.substring(0, 24) + "…";
    }

    /** A number as loggers write it; NaN when it is none. */
    static double number(String cell, boolean decimalComma) {
        if (cell.isEmpty()) {
            return Double.NaN;
        }
        char first = cell.charAt(0);
        boolean may = first >= '0' && first <= '9' || first == '-' || first == '+' || first == '.' || first == ',';
        if (!may || cell.length() > 40) {
            return Double.NaN;
        }
        try {
            return Double.parseDouble(decimalComma ? cell.replace(',', '.') : cell);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    private static double clock(String cell) {
        String[] parts = cell.split(":");
        if (parts.length < 2 || parts.length > 3) {
            return Double.NaN;
        }
        double seconds = 0;
        for (String part : parts) {
            seconds = seconds * 60 + number(part, part.indexOf(',') >= 0);
        }
        return seconds;
    }

    private static double iso(String cell) {
        String text = cell.replace(' ', 'T').replace(',', '.');
        try {
            boolean zoned = text.endsWith("Z") || text.lastIndexOf('+') > 10 || text.lastIndexOf('-') > 10;
            Instant at = zoned
                    ? OffsetDateTime.parse(text).toInstant()
                    : LocalDateTime.parse(text).toInstant(ZoneOffset.UTC);
            return at.getEpochSecond() + at.getNano() * 1e-9;
        } catch (DateTimeException e) {
            return Double.NaN;
        }
    }
}
