package isotherm.server.logs;

import isotherm.server.contract.Attempt;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.evidence.LogDocument;
import isotherm.server.evidence.LogDocument.KeepDocument;
import isotherm.server.evidence.LogDocument.PreviewDocument;
import isotherm.server.evidence.LogDocument.TracesDocument;
import isotherm.server.evidence.LogFormat;
import isotherm.server.evidence.LogReport;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.LargeStore;
import isotherm.server.store.Stored;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;
import javax.xml.stream.XMLStreamException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Logs from the file that somebody sends to what is made of them. */
@Service
public class LogService {
    /** Bytes of a file that are taken at most. */
    public static final long LARGEST_FILE = 400_000_000;

    /** Rows that a log holds at most. */
    public static final int MOST_ROWS = 5_000_000;

    private static final LogReader.Limit ALL = new LogReader.Limit(MOST_ROWS, 10L * MOST_ROWS);
    /** Enough to see how a file is written, however much of it is spoiled. */
    private static final LogReader.Limit PREVIEW = new LogReader.Limit(2000, 20_000);

    private static final Duration UPLOADS_STAY = Duration.ofDays(1);
    private static final long SWEEP_MS = 3_600_000;

    private static final int SHOWN_ROWS = 12;
    private static final int SHOWN_LINES = 8;

    private final LargeStore large;
    private final Garage garage;
    private final JsonMapper json;

    LogService(LargeStore large, Garage garage, JsonMapper json) {
        this.large = large;
        this.garage = garage;
        this.json = json;
    }

    /** Files that were looked at and never kept go after a day. */
    @Scheduled(initialDelay = SWEEP_MS / 60, fixedDelay = SWEEP_MS)
    public void sweep() {
        large.forgetUploads(Instant.now().minus(UPLOADS_STAY));
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
            LogReport report = read(upload, head, used, PREVIEW, keeper, done -> {}, () -> false);
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
        try (InputStream in = Unpacked.of(large.open(upload.id()))) {
            return LogReader.head(in);
        }
    }

    private LogReport read(
            LargeStore.Upload upload,
            LogReader.Head head,
            LogFormat format,
            LogReader.Limit limit,
            LogSink sink,
            LongConsumer progress,
            BooleanSupplier cancelled)
            throws IOException {
        try (InputStream in = Unpacked.of(large.open(upload.id()))) {
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
        Stored stored = large.keep(upload.id(), upload.carId(), pieces -> {
            PieceWriter writer = new PieceWriter(pieces);
            report[0] = read(upload, head, keep.format(), ALL, writer, progress, cancelled);
            writer.end();
            if (report[0].rows() < 2) {
                throw wrong("No two rows of this file can be kept"
                        + report[0].samples().stream()
                                .findFirst()
                                .map(s -> "; line " + s.line() + ": " + s.reason())
                                .orElse(""));
            }
            // Read again before it is kept: what is kept can be read.
            return Attempt.written(
                    json,
                    new LogDocument(
                            keep.name(),
                            upload.name(),
                            writer.channels(),
                            (int) report[0].rows(),
                            (int) report[0].spoiled(),
                            report[0].durationSeconds(),
                            keep.sensor(),
                            keep.ambientC(),
                            keep.altitudeM(),
                            keep.trailerKg(),
                            keep.design(),
                            keep.day()));
        });
        large.forget(upload.id());
        return new Kept(stored.id(), document(stored), report[0]);
    }

    /**
     * @param id identity of an upload that may have been kept already
     * @return what became of it then
     */
    public Optional<Kept> kept(UUID id) {
        return garage.find(Kind.LOG, id).map(stored -> {
            LogDocument log = document(stored);
            return new Kept(
                    id,
                    log,
                    new LogReport(log.rows(), log.spoiledRows(), 0, List.of(), log.durationSeconds(), List.of(), 0));
        });
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
        return Attempt.document(stored.document(), LogDocument.class);
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
        return Driving.of(log, columns(id, log, log.channels()));
    }

    /**
     * @param id a log
     * @param log what somebody says that it holds
     * @throws InvalidDocument when its rows hold something else
     */
    public void checkRows(UUID id, LogDocument log) {
        int[] rows = {0};
        int[] channels = {0};
        large.pieces(id, piece -> {
            rows[0] += PieceCodec.rows(piece);
            channels[0] = PieceCodec.channels(piece);
        });
        if (rows[0] != log.rows()) {
            throw Problem.refused("/rows", String.valueOf(log.rows()), "This log holds " + rows[0] + " rows");
        }
        if (channels[0] != log.channels().size()) {
            throw Problem.refused("/channels", null, "The rows of this log hold " + channels[0] + " channels");
        }
    }

    private static InvalidDocument wrong(String message) {
        return Problem.refused("", null, message);
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
