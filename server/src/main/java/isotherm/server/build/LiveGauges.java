package isotherm.server.build;

import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.Expectation;
import isotherm.core.sheet.Progress;
import isotherm.core.sheet.Sample;
import isotherm.core.sheet.Watch;
import isotherm.server.document.BuildDocuments.BuildDocument;
import isotherm.server.document.BuildDocuments.EntryDocument;
import isotherm.server.document.Builds;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.Problem;
import isotherm.server.logger.GaugeLines;
import isotherm.server.logger.LoggerCommand;
import isotherm.server.logger.SimulatedEngine;
import isotherm.server.store.NotStored;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Listens to loggers for the sheets that they belong to: tells browsers what the gauges show, fills readings in, and writes down
 * what the watch says.
 */
@Service
public class LiveGauges {
    private static final Logger LOG = LoggerFactory.getLogger(LiveGauges.class);
    /** The sheet is looked at anew after so much time, ms. */
    private static final long LOOK_EVERY_MS = 700;
    /** Who writes what the logger says. */
    private static final String WHO = "logger";

    private final BuildService builds;
    private final JsonMapper json;
    private final Map<UUID, Feed> feeds = new ConcurrentHashMap<>();
    private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();

    LiveGauges(BuildService builds, JsonMapper json) {
        this.builds = builds;
        this.json = json;
    }

    /**
     * What the gauges show, as it is told to browsers.
     *
     * @param listening whether a logger is attached
     * @param simulated whether it is the simulated one
     * @param time on the logger's clock, s
     * @param values by channel, in bar, °C and 1/min
     */
    public record LiveSample(boolean listening, boolean simulated, double time, Map<Channel, Double> values) {}

    /**
     * @param id a build
     * @return a stream of what its gauges show; named events are {@code sample} and {@code written}
     */
    public SseEmitter listen(UUID id) {
        builds.build(id);
        SseEmitter emitter = new SseEmitter(0L);
        List<SseEmitter> all = listeners.computeIfAbsent(id, k -> new CopyOnWriteArrayList<>());
        all.add(emitter);
        Runnable gone = () -> all.remove(emitter);
        emitter.onCompletion(gone);
        emitter.onTimeout(gone);
        emitter.onError(e -> gone.run());
        Feed feed = feeds.get(id);
        tell(id, "sample", feed == null ? silent() : feed.latest);
        return emitter;
    }

    private static LiveSample silent() {
        return new LiveSample(false, false, 0, Map.of());
    }

    /**
     * Attaches a logger that listens on a loopback port.
     *
     * @param id a build
     * @param port its port
     * @throws InvalidDocument when none answers there
     */
    public void attach(UUID id, int port) {
        attach(id, port, null);
    }

    /**
     * Starts the simulated logger and attaches it.
     *
     * @param id a build
     * @param fault what is wrong with the engine
     * @param ambientC air temperature, °C
     * @param pace seconds that pass in the engine in each second
     */
    public void simulate(UUID id, SimulatedEngine.Fault fault, double ambientC, double pace) {
        BuildDocument build = builds.build(id);
        try {
            SimulatedLogger logger = SimulatedLogger.start(
                    new LoggerCommand.Recipe(build.car(), build.design(), fault, ambientC, pace, null, null), json);
            attach(id, logger.port(), logger);
        } catch (IOException e) {
            throw new InvalidDocument(List.of(Problem.of("/fault", fault.name(), e.getMessage())));
        }
    }

    private void attach(UUID id, int port, SimulatedLogger simulated) {
        BuildDocument build = builds.build(id);
        detach(id);
        try {
            Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
            Feed feed = new Feed(id, build, socket, simulated);
            feeds.put(id, feed);
            Thread thread = new Thread(feed, "gauges-" + id);
            thread.setDaemon(true);
            thread.start();
        } catch (IOException e) {
            if (simulated != null) {
                simulated.close();
            }
            throw new InvalidDocument(
                    List.of(Problem.of("/port", String.valueOf(port), "No logger answers on this loopback port")));
        }
    }

    /**
     * @param id a build
     * @param turning what the simulated engine is to do
     */
    public void turn(UUID id, SimulatedEngine.Turning turning) {
        Feed feed = feeds.get(id);
        if (feed == null) {
            throw new InvalidDocument(List.of(Problem.of("/turning", turning.name(), "No logger is attached")));
        }
        feed.say(GaugeLines.command(turning));
    }

    /** @param id a build whose logger is let go */
    public void detach(UUID id) {
        Feed feed = feeds.remove(id);
        if (feed != null) {
            feed.close();
            tell(id, "sample", silent());
        }
    }

    /** Streams are ended before the server waits for its requests to end. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        feeds.values().forEach(Feed::close);
        listeners.values().forEach(all -> all.forEach(SseEmitter::complete));
    }

    private void tell(UUID id, String event, Object what) {
        for (SseEmitter emitter : listeners.getOrDefault(id, List.of())) {
            try {
                emitter.send(SseEmitter.event().name(event).data(json.writeValueAsString(what)));
            } catch (IOException | IllegalStateException e) {
                // A browser that has gone is noticed when it is told something.
                listeners.get(id).remove(emitter);
            }
        }
    }

    /** Listens to one logger. */
    private final class Feed implements Runnable {
        private final UUID id;
        private final BuildDocument build;
        private final Socket socket;
        private final Optional<SimulatedLogger> simulated;
        private final Watch watch;
        private volatile LiveSample latest;
        private volatile boolean closed;
        private Progress progress;
        private long looked;

        Feed(UUID id, BuildDocument build, Socket socket, SimulatedLogger simulated) {
            this.id = id;
            this.build = build;
            this.socket = socket;
            this.simulated = Optional.ofNullable(simulated);
            this.watch = new Watch(
                    Expectation.of(build.car().toCore(), build.design().toCore()));
            this.latest = new LiveSample(true, simulated != null, 0, Map.of());
        }

        @Override
        public void run() {
            try (BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
                for (String line = in.readLine(); line != null && !closed; line = in.readLine()) {
                    Optional<Sample> sample = GaugeLines.read(line);
                    if (sample.isPresent()) {
                        take(sample.get());
                    }
                }
            } catch (IOException e) {
                LOG.debug("The logger of {} has gone", id, e);
            } catch (NotStored e) {
                LOG.debug("The build {} was removed while its logger was attached", id, e);
            }
            if (!closed) {
                // It went by itself: the sheet says so.
                feeds.remove(id, this);
                close();
                tell(id, "sample", silent());
            }
        }

        private void take(Sample sample) {
            Map<Channel, Double> shown = new EnumMap<>(Channel.class);
            sample.values().forEach((c, v) -> shown.put(c, GaugeLines.written(c, v)));
            latest = new LiveSample(true, simulated.isPresent(), sample.time(), shown);
            tell(id, "sample", latest);
            List<Watch.Alarm> alarms = watch.take(sample);
            boolean written = false;
            for (Watch.Alarm a : alarms) {
                written |= write(Entry.Kind.ALARM, a.fault().name() + (a.stop() ? " STOP" : ""), null, a.words());
            }
            long now = System.currentTimeMillis();
            if (written || progress == null || now - looked > LOOK_EVERY_MS) {
                looked = now;
                progress = Builds.progress(build, builds.entries(id));
            }
            if (alarms.stream().noneMatch(Watch.Alarm::stop)) {
                for (Map.Entry<String, Double> r : progress.readable(sample).entrySet()) {
                    double value =
                            Builds.written(progress.steps().get(r.getKey()).step(), r.getValue());
                    written |= write(Entry.Kind.LIVE_READING, r.getKey(), value, null);
                    progress = null;
                    break;
                }
            }
            if (written) {
                tell(id, "written", Map.of("at", now()));
            }
        }

        private String now() {
            return Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();
        }

        private boolean write(Entry.Kind kind, String on, Double value, String text) {
            try {
                return builds.write(
                        id, new EntryDocument(UUID.randomUUID().toString(), now(), WHO, kind, on, value, text));
            } catch (InvalidDocument e) {
                // The sheet was changed since it was looked at: the next look decides anew.
                LOG.debug("Not written: {}", e.getMessage());
                return false;
            }
        }

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
}
