package isotherm.server.logs;

import isotherm.server.document.Channel;
import isotherm.server.document.LogFormat;
import isotherm.server.document.LogReport;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
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
import java.util.zip.GZIPInputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads a log from a file of separated values, plain or gzipped, in one pass and without holding it in memory. */
final class LogReader {
    private static final int MOST_SAMPLES = 100;
    private static final int HEAD_BYTES = 1 << 17;
    private static final int ROWS_A_TELL = 2000;
    /** A jump backwards by no more than this is a logger's jitter, not another run, s. */
    private static final double DAY = 86_400;

    private final LogFormat format;
    private final List<Channel> channels = new ArrayList<>();
    private final int[] columns;
    private final List<LogReport.SpoiledRow> samples = new ArrayList<>();
    private long rows;
    private long spoiled;
    private long missing;
    private double firstTime = Double.NaN;
    private double lastTime = Double.NEGATIVE_INFINITY;

    private LogReader(LogFormat format) {
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
    }

    /** The first lines of a log as text, and how its bytes are written. */
    record Head(List<String> lines, Charset charset) {}

    /** Unpacks a gzipped stream; leaves any other as it is. */
    static InputStream unpacked(InputStream in) throws IOException {
        BufferedInputStream buffered = new BufferedInputStream(in, 1 << 16);
        buffered.mark(2);
        int magic = buffered.read() | buffered.read() << 8;
        buffered.reset();
        return magic == GZIPInputStream.GZIP_MAGIC ? new GZIPInputStream(buffered, 1 << 16) : buffered;
    }

    static Head head(InputStream in) throws IOException {
        byte[] head = in.readNBytes(HEAD_BYTES);
        Charset charset = StandardCharsets.UTF_8;
        String text;
        try {
            // The last character may be cut in two.
            int length = head.length;
            while (length > 0 && length > head.length - 4 && head.length == HEAD_BYTES && head[length - 1] < 0) {
                length--;
            }
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(head, 0, length))
                    .toString();
        } catch (CharacterCodingException e) {
            charset = Charset.forName("windows-1252");
            text = new String(head, charset);
        }
        text = text.startsWith("\uFEFF") ? text.substring(1) : text;
        List<String> lines =
                new ArrayList<>(text.lines().limit(2L * FormatFinder.SAMPLE).toList());
        if (head.length == HEAD_BYTES && lines.size() > 1) {
            lines.remove(lines.size() - 1);
        }
        return new Head(lines, charset);
    }

    /**
     * Reads a whole log.
     *
     * @param in the unpacked file
     * @param format how it is written
     * @param charset how its bytes are written
     * @param limit rows after which to stop
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
            long limit,
            LogSink sink,
            LongConsumer progress,
            BooleanSupplier cancelled)
            throws IOException {
        return new LogReader(format).run(in, charset, limit, sink, progress, cancelled);
    }

    private LogReport run(
            InputStream in, Charset charset, long limit, LogSink sink, LongConsumer progress, BooleanSupplier cancelled)
            throws IOException {
        sink.begin(List.copyOf(channels));
        double[] values = new double[channels.size()];
        CSVFormat csv = CSVFormat.Builder.create()
                .setDelimiter(format.delimiter().sign())
                .setQuote('"')
                .setIgnoreEmptyLines(false)
                .setTrim(true)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
        try (Reader text = new ShortLines(new BufferedReader(new InputStreamReader(in, charset), 1 << 16));
                CSVParser parser = CSVParser.parse(text, csv)) {
            var records = parser.iterator();
            while (rows < limit && records.hasNext()) {
                CSVRecord record = records.next();
                long line = parser.getCurrentLineNumber();
                if (record.getRecordNumber() % ROWS_A_TELL == 0) {
                    progress.accept(line);
                    if (cancelled.getAsBoolean()) {
                        throw new CancellationException("The import was cancelled");
                    }
                }
                if (record.getRecordNumber() >= format.firstDataLine() && !empty(record)) {
                    row(record, Math.max(line, record.getRecordNumber()), values, sink);
                }
            }
        }
        return new LogReport(rows, spoiled, missing, List.copyOf(samples), rows > 0 ? lastTime : 0);
    }

    private static boolean empty(CSVRecord record) {
        return record.size() == 0 || record.size() == 1 && record.get(0).isBlank();
    }

    private void row(CSVRecord record, long line, double[] values, LogSink sink) {
        int widest = 0;
        for (int c : columns) {
            widest = Math.max(widest, c);
        }
        if (record.size() <= widest) {
            spoil(
                    line,
                    "it has " + record.size() + " columns, " + format.columns().size() + " are expected");
            return;
        }
        double time = time(record, line);
        if (Double.isNaN(time)) {
            return;
        }
        int there = 0;
        int gone = 0;
        for (int i = 1; i < values.length; i++) {
            String cell = record.get(columns[i]);
            double value = number(cell, format.decimalComma());
            values[i] =
                    Double.isFinite(value) ? format.columns().get(columns[i]).convert(value) : Double.NaN;
            there += Double.isFinite(value) ? 1 : 0;
            gone += Double.isFinite(value) ? 0 : 1;
        }
        if (there == 0 && values.length > 1) {
            spoil(line, "none of its values can be read");
            return;
        }
        missing += gone;
        values[0] = time;
        lastTime = time;
        rows++;
        sink.row(values);
    }

    /** Time from the first row, s; NaN when the row is spoiled. */
    private double time(CSVRecord record, long line) {
        double time;
        if (format.time() == LogFormat.Time.ROWS) {
            double rate = format.rowsPerSecond() == null ? 10 : format.rowsPerSecond();
            time = (rows + spoiled) / rate;
        } else {
            String cell = record.get(columns[0]);
            time = switch (format.time()) {
                case CLOCK -> clock(cell);
                case ISO -> iso(cell);
                default -> format.columns().get(columns[0]).convert(number(cell, format.decimalComma()));
            };
            if (!Double.isFinite(time)) {
                spoil(line, "its time \"" + shortened(cell) + "\" cannot be read");
                return Double.NaN;
            }
        }
        if (Double.isNaN(firstTime)) {
            firstTime = time;
        }
        double since = time - firstTime;
        // A clock goes over midnight once.
        if (format.time() == LogFormat.Time.CLOCK && since < lastTime - DAY / 2) {
            since += DAY;
        }
        if (since <= lastTime && rows > 0) {
            spoil(line, "its time is not after that of the row before");
            return Double.NaN;
        }
        return since;
    }

    private void spoil(long line, String reason) {
        spoiled++;
        if (samples.size() < MOST_SAMPLES) {
            samples.add(new LogReport.SpoiledRow(line, reason));
        }
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
