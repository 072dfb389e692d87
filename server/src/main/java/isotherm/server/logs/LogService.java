package isotherm.server.logs;

import isotherm.core.duty.LapFinder;
import isotherm.core.duty.Resampling;
import isotherm.server.document.Channel;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.DrivenLog;
import isotherm.server.document.DutyDocument;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.LogDocument;
import isotherm.server.document.LogDocument.KeepDocument;
import isotherm.server.document.LogDocument.PreviewDocument;
import isotherm.server.document.LogDocument.TracesDocument;
import isotherm.server.document.LogFormat;
import isotherm.server.document.LogReport;
import isotherm.server.document.Problem;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.LargeStore;
import isotherm.server.store.Stored;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;
import javax.xml.stream.XMLStreamException;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Logs from the file that somebody sends to what is made of them. */
@Service
public class LogService {
    /** Bytes of a file that are taken at most. */
    public static final long LARGEST_FILE = 400_000_000;

    /** Rows that a log holds at most. */
    public static final int MOST_ROWS = 5_000_000;

    private static final int PREVIEW_ROWS = 2000;
    private static final int SHOWN_ROWS = 12;
    private static final int SHOWN_LINES = 8;
    /** A duty holds at most this many rows a second: throttle and braking can be told apart at that pace. */
    private static final double MOST_ROWS_PER_SECOND = 5;
    /** A duty of a long log holds fewer. */
    private static final int MOST_DUTY_ROWS = 12_000;
    /** A temperature that no sensor of a living car reads stands for a row without one, °C. */
    private static final double DROPPED = -999;

    private final LargeStore large;
    private final Garage garage;
    private final JsonMapper json;

    LogService(LargeStore large, Garage garage, JsonMapper json) {
        this.large = large;
        this.garage = garage;
        this.json = json;
    }

    /**
     * Reads the beginning of an upload.
     *
     * @param upload an upload
     * @param format how a person says that it is written; null to find out
     * @return what the importer sees
     * @throws InvalidDocument when it is not a log
     */
    public PreviewDocument preview(LargeStore.Upload upload, LogFormat format) {
        try {
            LogReader.Head head = head(upload);
            if (head.lines().stream().allMatch(String::isBlank)) {
                throw wrong("This file is empty");
            }
            RowKeeper keeper = new RowKeeper(SHOWN_ROWS);
            boolean gpx = GpxReader.looksLike(head.lines());
            LogFormat used = gpx ? null : format != null ? format : FormatFinder.find(head.lines());
            LogReport report = read(upload, head, used, PREVIEW_ROWS, keeper, done -> {}, () -> false);
            return new PreviewDocument(
                    used,
                    keeper.channels,
                    keeper.rows,
                    head.lines().stream()
                            .limit(SHOWN_LINES)
                            .map(l -> l.length() > 400 ? l.substring(0, 400) + "…" : l)
                            .toList(),
                    report);
        } catch (IOException e) {
            throw wrong(e.getMessage());
        }
    }

    private LogReader.Head head(LargeStore.Upload upload) throws IOException {
        try (InputStream in = LogReader.unpacked(large.open(upload.id()))) {
            return LogReader.head(in);
        }
    }

    private LogReport read(
            LargeStore.Upload upload,
            LogReader.Head head,
            LogFormat format,
            long limit,
            LogSink sink,
            LongConsumer progress,
            BooleanSupplier cancelled)
            throws IOException {
        try (InputStream in = LogReader.unpacked(large.open(upload.id()))) {
            return format == null
                    ? GpxReader.read(in, limit, sink)
                    : LogReader.read(in, format, head.charset(), limit, sink, progress, cancelled);
        } catch (XMLStreamException e) {
            throw wrong("This GPX file breaks off or is not well-formed, near line "
                    + e.getLocation().getLineNumber());
        }
    }

    /**
     * Keeps an upload as a log.
     *
     * @param upload an upload
     * @param keep what a person says of it
     * @param progress told the line now and then
     * @param cancelled asked now and then
     * @return the log with the report of its reading
     * @throws IOException when the upload cannot be read
     * @throws InvalidDocument when nothing in it can be kept
     */
    public Kept keep(LargeStore.Upload upload, KeepDocument keep, LongConsumer progress, BooleanSupplier cancelled)
            throws IOException {
        LogReader.Head head = head(upload);
        LogReport[] report = new LogReport[1];
        Stored stored = large.keep(upload.carId(), pieces -> {
            PieceWriter writer = new PieceWriter(pieces);
            report[0] = read(upload, head, keep.format(), MOST_ROWS, writer, progress, cancelled);
            writer.end();
            if (report[0].rows() < 2) {
                throw wrong("No two rows of this file can be kept"
                        + report[0].samples().stream()
                                .findFirst()
                                .map(s -> "; line " + s.line() + ": " + s.reason())
                                .orElse(""));
            }
            return json.writeValueAsString(new LogDocument(
                    keep.name(),
                    upload.name(),
                    writer.channels(),
                    (int) report[0].rows(),
                    (int) report[0].spoiled(),
                    report[0].durationSeconds(),
                    keep.sensor(),
                    keep.ambientC(),
                    keep.altitudeM(),
                    keep.trailerKg()));
        });
        large.forget(upload.id());
        return new Kept(stored.id(), document(stored), report[0]);
    }

    /**
     * A log that has just been kept.
     *
     * @param id its identity
     * @param log what it holds
     * @param report how the reading went
     */
    public record Kept(UUID id, LogDocument log, LogReport report) {}

    private static LogDocument document(Stored stored) {
        return DocumentReader.read(stored.document(), LogDocument.class);
    }

    /**
     * @param id a log
     * @return what it holds
     */
    public LogDocument log(UUID id) {
        return document(garage.get(Kind.LOG, id));
    }

    /** Whole channels of a log; those that it does not hold are left out. */
    private Map<Channel, double[]> columns(UUID id, LogDocument log, List<Channel> wanted) {
        Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
        List<Channel> there = wanted.stream().filter(log.channels()::contains).toList();
        there.forEach(c -> columns.put(c, new double[log.rows()]));
        int[] at = {0};
        large.pieces(id, piece -> {
            for (Channel c : there) {
                double[] part = PieceCodec.column(piece, log.channels().indexOf(c));
                System.arraycopy(part, 0, columns.get(c), at[0], part.length);
            }
            at[0] += PieceCodec.rows(piece);
        });
        return columns;
    }

    /**
     * @param id a log
     * @param from first time, s
     * @param to last time, s
     * @param points points that a picture can show
     * @return every channel, thinned so that it looks the same
     */
    public TracesDocument traces(UUID id, double from, double to, int points) {
        LogDocument log = log(id);
        Map<Channel, double[]> all = columns(id, log, log.channels());
        double[] time = all.get(Channel.TIME);
        int first = lowerBound(time, from);
        int last = lowerBound(time, Math.nextUp(to));
        double[] x = Arrays.copyOfRange(time, first, last);
        // One set of times for all channels: the union of what each of them needs.
        boolean[] kept = new boolean[x.length];
        List<Channel> channels = log.channels();
        int each = Math.max(16, points / Math.max(1, channels.size() - 1));
        for (Channel c : channels.subList(1, channels.size())) {
            for (int i : Decimation.largestTriangle(x, Arrays.copyOfRange(all.get(c), first, last), each)) {
                kept[i] = true;
            }
        }
        int[] rows = IntStream.range(0, x.length).filter(i -> kept[i]).toArray();
        List<List<Double>> series = new ArrayList<>();
        for (Channel c : channels) {
            double[] column = all.get(c);
            List<Double> values = new ArrayList<>(rows.length);
            for (int i : rows) {
                double v = column[first + i];
                values.add(Double.isFinite(v) ? (Double) (Math.round(v * 1000) / 1000.0) : null);
            }
            series.add(values);
        }
        return new TracesDocument(channels, series);
    }

    private static int lowerBound(double[] sorted, double value) {
        int i = Arrays.binarySearch(sorted, value);
        return i >= 0 ? i : -i - 1;
    }

    /**
     * @param id a log with a speed or an engine speed
     * @return what was driven
     * @throws InvalidDocument when it holds no speed or is too short or too long
     */
    public DrivenLog driven(UUID id) {
        LogDocument log = log(id);
        Map<Channel, double[]> c = columns(id, log, log.channels());
        if (!c.containsKey(Channel.SPEED)) {
            throw wrong("This log holds no road speed, without which it cannot be driven again");
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
        DutyDocument duty = new DutyDocument(
                log.name(),
                log.ambientC(),
                log.altitudeM(),
                null,
                null,
                null,
                null,
                new DutyDocument.DrivenDocument(
                        list(cells, 2),
                        list(Resampling.bridged(mean(c, Channel.SPEED, cells)), 2),
                        column(c, Channel.RPM, cells, 0),
                        column(c, Channel.POWER, cells, 2),
                        column(c, Channel.ELEVATION, cells, 1),
                        laps.length == 0 ? null : list(laps, 2),
                        log.trailerKg(),
                        null,
                        first(oil, 80),
                        first(coolant, 85)));
        List<Problem> problems = new ArrayList<>();
        duty.check("", problems);
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
        return new DrivenLog(
                duty,
                readings(oil),
                readings(mean(c, Channel.OIL_RETURN, cells)),
                readings(coolant),
                readings(mean(c, Channel.PRESSURE, cells)));
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
        return new InvalidDocument(List.of(Problem.of("", null, message)));
    }

    /** Keeps the first rows. */
    private static final class RowKeeper implements LogSink {
        private final int most;
        private final List<List<Double>> rows = new ArrayList<>();
        private List<Channel> channels = List.of();

        RowKeeper(int most) {
            this.most = most;
        }

        @Override
        public void begin(List<Channel> all) {
            channels = all;
        }

        @Override
        public void row(double[] values) {
            if (rows.size() < most) {
                rows.add(Arrays.stream(values)
                        .mapToObj(v -> Double.isFinite(v) ? (Double) (Math.round(v * 1e4) / 1e4) : null)
                        .toList());
            }
        }
    }
}
