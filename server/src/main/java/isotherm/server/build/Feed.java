package isotherm.server.build;

import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.Expectation;
import isotherm.core.sheet.Progress;
import isotherm.core.sheet.Sample;
import isotherm.core.sheet.Watch;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.MessageDocument;
import isotherm.server.logger.GaugeLines;
import isotherm.server.store.NotStored;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Listens to one logger for one sheet. It has a clock of its own: a logger that hangs is noticed, and what it showed last is not
 * shown as if it were now. What is to be written waits while the database is away.
 */
final class Feed implements Runnable {
    private static final Logger LOG = LoggerFactory.getLogger(Feed.class);
    /** The sheet is looked at anew after so much time, ms. */
    private static final long LOOK_EVERY_MS = 700;
    /** A silence is looked at so often, ms. */
    private static final int TICK_MS = 1000;
    /** After so long what the gauges showed last is not shown any more, s. */
    private static final int STALE = 3;
    /** Entries that wait for the database at most. */
    private static final int MOST_WAITING = 500;
    /** Who writes what the logger says. */
    private static final String WHO = "logger";

    private final UUID id;
    private final BuildDocument build;
    private final Socket socket;
    private final LogLines lines;
    private final Optional<SimulatedLogger> simulated;
    private final LiveGauges gauges;
    private final BuildService builds;
    private final BiConsumer<UUID, Feed> ended;
    private final Watch watch;
    private final Queue<EntryDocument> waiting = new ArrayDeque<>();
    private volatile LiveGauges.LiveSample latest;
    private volatile boolean closed;
    private Progress progress;
    private long looked;
    private long heard = System.nanoTime();

    Feed(
            UUID id,
            BuildDocument build,
            Socket socket,
            LogLines lines,
            Optional<SimulatedLogger> simulated,
            LiveGauges gauges,
            BuildService builds,
            BiConsumer<UUID, Feed> ended)
            throws IOException {
        this.id = id;
        this.build = build;
        this.socket = socket;
        this.lines = lines;
        this.simulated = simulated;
        this.gauges = gauges;
        this.builds = builds;
        this.ended = ended;
        this.watch =
                new Watch(Expectation.of(build.car().toCore(), build.design().toCore(build.car())));
        this.latest = shown(false, 0, Map.of(), List.of(), 0);
        socket.setSoTimeout(TICK_MS);
    }

    private LiveGauges.LiveSample shown(
            boolean turning, double time, Map<Channel, Double> values, List<Channel> spoiled, int silentSeconds) {
        return new LiveGauges.LiveSample(true, simulated.isPresent(), turning, time, values, spoiled, silentSeconds);
    }

    @Override
    public void run() {
        try {
            while (!closed && next()) {
                write();
            }
        } catch (NotStored e) {
            LOG.debug("The build {} was removed while its logger was attached", id, e);
        } catch (IOException e) {
            LOG.debug("The logger of {} has gone", id, e);
        } finally {
            ended.accept(id, this);
        }
    }

    /** Takes what comes next, or notices that nothing does; false when nothing comes any more. */
    private boolean next() throws IOException {
        try {
            String line = lines.next();
            if (line == null) {
                return false;
            }
            GaugeLines.read(line).ifPresent(this::take);
        } catch (SocketTimeoutException e) {
            silence();
        }
        return true;
    }

    private void silence() {
        int seconds = (int) TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - heard);
        if (seconds >= STALE) {
            latest = shown(false, latest.time(), Map.of(), List.of(), seconds);
            gauges.tell(id, latest);
        }
        watch.silent(seconds).ifPresent(this::alarm);
    }

    private void alarm(Watch.Alarm a) {
        String text = Words.english().render(a.what(), UnitChoice.METRIC);
        note(Entry.Kind.ALARM, a.fault().name() + (a.stop() ? " STOP" : ""), null, text, MessageDocument.of(a.what()));
    }

    private void take(Sample raw) {
        heard = System.nanoTime();
        Sample sample = raw.plausible();
        List<Channel> spoiled = raw.values().keySet().stream()
                .filter(c -> sample.get(c).isEmpty())
                .sorted()
                .toList();
        Map<Channel, Double> values = new EnumMap<>(Channel.class);
        sample.values().forEach((c, v) -> values.put(c, GaugeLines.written(c, v)));
        latest = shown(sample.turns(), sample.time(), values, spoiled, 0);
        gauges.tell(id, latest);
        List<Watch.Alarm> alarms = watch.take(sample);
        alarms.forEach(this::alarm);
        if (alarms.stream().noneMatch(Watch.Alarm::stop)) {
            fillIn(sample);
        }
    }

    /** Fills in what the sheet asks for and the gauges show. */
    private void fillIn(Sample sample) {
        long now = System.currentTimeMillis();
        if (progress == null || now - looked > LOOK_EVERY_MS) {
            looked = now;
            try {
                progress = Builds.progress(build, builds.entries(id));
            } catch (NotStored e) {
                throw e;
            } catch (RuntimeException e) {
                LOG.warn("The sheet of {} cannot be looked at now: {}", id, e.getMessage());
                return;
            }
        }
        for (Map.Entry<String, Double> r : progress.readable(sample).entrySet()) {
            double value = Builds.written(progress.steps().get(r.getKey()).step(), r.getValue());
            note(Entry.Kind.LIVE_READING, r.getKey(), value, null, null);
            // Not looked at again before it has been written.
            progress = null;
            looked = now;
            return;
        }
    }

    private static String now() {
        return Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();
    }

    private void note(Entry.Kind kind, String on, Double value, String text, MessageDocument message) {
        if (waiting.size() < MOST_WAITING) {
            waiting.add(new EntryDocument(
                    UUID.randomUUID().toString(), now(), WHO, kind, on, value, text, message, null, null));
        }
    }

    /** Writes what waits, in its order; what the database does not take now is tried again at the next row or tick. */
    private void write() {
        boolean written = false;
        while (!waiting.isEmpty()) {
            try {
                written |= builds.write(id, waiting.element()).fresh();
            } catch (InvalidDocument e) {
                // The sheet was changed since it was looked at: the next look decides anew.
                LOG.debug("Not written: {}", e.getMessage());
            } catch (NotStored e) {
                throw e;
            } catch (RuntimeException e) {
                LOG.warn("What the logger of {} says waits: {}", id, e.getMessage());
                break;
            }
            waiting.remove();
        }
        if (written) {
            progress = null;
            gauges.written(id, now());
        }
    }

    /** @param line a line that is said to the logger */
    void say(String line) {
        try {
            OutputStream out = socket.getOutputStream();
            out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
            out.flush();
        } catch (IOException e) {
            LOG.debug("The logger of {} does not listen", id, e);
        }
    }

    void close() {
        closed = true;
        try {
            socket.close();
        } catch (IOException e) {
            LOG.debug("The logger's connection was closed already", e);
        }
        simulated.ifPresent(SimulatedLogger::close);
    }
}
