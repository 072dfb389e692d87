package isotherm.server.build;

import isotherm.core.sheet.Channel;
import isotherm.core.trial.SimulatedEngine;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.jobs.Busy;
import isotherm.server.logger.GaugeLines;
import isotherm.server.logger.LoggerCommand;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Stream;
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
    private static final int MOST_FEEDS = 8;
    private static final int GREETING_MS = 3000;
    private static final int LOCKS = 16;

    private final BuildService builds;
    private final JsonMapper json;
    private final Map<UUID, Feed> feeds = new ConcurrentHashMap<>();
    private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();
    private final Object[] locks = Stream.generate(Object::new).limit(LOCKS).toArray();

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
     * @param values by channel, in bar, °C and 1/min; none when nothing has come for a while
     * @param spoiled channels that show what no sensor can
     * @param silentSeconds for how long nothing has come; 0 while rows come
     */
    public record LiveSample(
            boolean listening,
            boolean simulated,
            double time,
            Map<Channel, Double> values,
            List<Channel> spoiled,
            int silentSeconds) {}

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
        tell(id, "sample", feed == null ? silent() : feed.latest());
        return emitter;
    }

    private static LiveSample silent() {
        return new LiveSample(false, false, 0, Map.of(), List.of(), 0);
    }

    /**
     * Attaches a logger that listens on a loopback port.
     *
     * @param id a build
     * @param port its port
     * @throws InvalidDocument when none answers there
     */
    public void attach(UUID id, int port) {
        BuildDocument build = builds.build(id);
        synchronized (lock(id)) {
            detach(id);
            checkRoom();
            attach(id, build, port, null);
        }
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
        // One after the other, so that of several attempts none leaves a logger behind.
        synchronized (lock(id)) {
            detach(id);
            checkRoom();
            SimulatedLogger logger = null;
            try {
                logger = SimulatedLogger.start(
                        new LoggerCommand.Recipe(build.car(), build.design(), fault, ambientC, pace, null, null), json);
                attach(id, build, logger.port(), logger);
            } catch (IOException e) {
                throw Problem.refused("/fault", fault.name(), e.getMessage());
            } finally {
                if (logger != null && !feeds.containsKey(id)) {
                    logger.close();
                }
            }
        }
    }

    /** Each simulated logger is a process of its own. */
    private void checkRoom() {
        if (feeds.size() >= MOST_FEEDS) {
            throw new Busy("Loggers are attached to " + MOST_FEEDS + " builds already; let one of them go first.");
        }
    }

    /** @return loggers that are listened to */
    public int attached() {
        return feeds.size();
    }

    private Object lock(UUID id) {
        return locks[Math.floorMod(id.hashCode(), locks.length)];
    }

    private void attach(UUID id, BuildDocument build, int port, SimulatedLogger simulated) {
        Socket socket = new Socket();
        try {
            socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), GREETING_MS);
            socket.setSoTimeout(GREETING_MS);
            LogLines lines = new LogLines(socket.getInputStream());
            // Nothing is said to whatever listens there before it has said that it is a logger.
            if (!GaugeLines.GREETING.equals(lines.next())) {
                throw new IOException("No greeting");
            }
            Feed feed = new Feed(id, build, socket, lines, Optional.ofNullable(simulated), this, builds);
            feeds.put(id, feed);
            Thread thread = new Thread(feed, "gauges-" + id);
            thread.setDaemon(true);
            thread.start();
        } catch (IOException e) {
            close(socket);
            throw Problem.refused(
                    "/port",
                    String.valueOf(port),
                    "No logger answers on this loopback port: one that does says “" + GaugeLines.GREETING + "” first");
        }
    }

    private static void close(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            LOG.debug("A connection was closed already", e);
        }
    }

    /**
     * @param id a build
     * @param turning what the simulated engine is to do
     */
    public void turn(UUID id, SimulatedEngine.Turning turning) {
        Feed feed = feeds.get(id);
        if (feed == null) {
            throw Problem.refused("/turning", turning.name(), "No logger is attached");
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

    /**
     * @param id a build
     * @param feed whose logger has gone by itself: the sheet says so
     */
    void ended(UUID id, Feed feed) {
        feed.close();
        if (feeds.remove(id, feed)) {
            tell(id, "sample", silent());
        }
    }

    /** Streams are ended before the server waits for its requests to end. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        feeds.values().forEach(Feed::close);
        listeners.values().forEach(all -> all.forEach(SseEmitter::complete));
    }

    /**
     * @param id a build
     * @param event name of an event
     * @param what what it tells
     */
    void tell(UUID id, String event, Object what) {
        for (SseEmitter emitter : listeners.getOrDefault(id, List.of())) {
            try {
                emitter.send(SseEmitter.event().name(event).data(json.writeValueAsString(what)));
            } catch (IOException | IllegalStateException e) {
                // A browser that has gone is noticed when it is told something.
                listeners.get(id).remove(emitter);
            }
        }
    }
}
