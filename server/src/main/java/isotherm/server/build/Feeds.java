package isotherm.server.build;

import isotherm.core.trial.SimulatedEngine;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.jobs.Busy;
import isotherm.server.live.Bulletin;
import isotherm.server.logger.GaugeLines;
import isotherm.server.logger.LoggerCommand;
import isotherm.server.logger.LoggerDocuments.LoggerChoice;
import isotherm.server.store.NotStored;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Listens to loggers for the sheets that they belong to. Which server listens to which stands in the database: one that has not
 * shown itself for a while has gone, and another one takes its loggers up.
 */
@Service
public class Feeds {
    private static final Logger LOG = LoggerFactory.getLogger(Feeds.class);
    private static final String LEFT = "feed-left";
    private static final String TURNED = "engine-turned";
    private static final double USUAL_AIR_C = 18;
    private static final int MOST_FEEDS = 8;
    private static final int GREETING_MS = 3000;
    private static final int LOCKS = 16;
    private static final int LOOK_EVERY_MS = 2000;
    /** A server that has not shown itself for so long has gone, s. */
    private static final double SILENT = 6;
    /** Of one that ended so long ago nobody waits for a logger any more, s. */
    private static final double FORGOTTEN = 90;

    private final BuildService builds;
    private final LiveGauges gauges;
    private final FeedRepository kept;
    private final Bulletin bulletin;
    private final JsonMapper json;
    private final Map<UUID, Feed> feeds = new ConcurrentHashMap<>();
    /** Those of which the database says that this server listens to them. */
    private final Map<UUID, Feed> owned = new ConcurrentHashMap<>();

    private final Object[] locks = Stream.generate(Object::new).limit(LOCKS).toArray();
    private volatile boolean closed;

    Feeds(BuildService builds, LiveGauges gauges, FeedRepository kept, Bulletin bulletin, JsonMapper json) {
        this.builds = builds;
        this.gauges = gauges;
        this.kept = kept;
        this.bulletin = bulletin;
        this.json = json;
        bulletin.hear(LEFT, id -> close(UUID.fromString(id)));
        bulletin.hear(TURNED, told -> {
            String[] parts = told.split(" ");
            say(UUID.fromString(parts[0]), SimulatedEngine.Turning.valueOf(parts[1]));
        });
    }

    /** @return loggers that this server listens to */
    public int attached() {
        return feeds.size();
    }

    private Object lock(UUID id) {
        return locks[Math.floorMod(id.hashCode(), locks.length)];
    }

    /**
     * Attaches a logger that listens on a loopback port, or starts the simulated one.
     *
     * @param id a build
     * @param choice which logger
     * @throws InvalidDocument when none answers there
     */
    public void attach(UUID id, LoggerChoice choice) {
        BuildDocument build = builds.build(id);
        // One after the other, so that of several attempts none leaves a logger behind.
        synchronized (lock(id)) {
            detach(id);
            listen(id, build, choice);
            try {
                kept.take(id, bulletin.self(), json.writeValueAsString(choice));
                own(id);
            } catch (DataAccessException | TransactionException e) {
                close(id);
                throw e;
            }
        }
    }

    /** A logger may have gone again before it was written down that this server listens to it. */
    private void own(UUID id) {
        Feed feed = feeds.get(id);
        if (feed == null) {
            kept.let(id, bulletin.self());
        } else {
            owned.put(id, feed);
        }
    }

    /**
     * Takes a logger that came by itself.
     *
     * @param id a build
     * @param socket its connection, of which the greeting has been read
     * @param lines what it says from now on
     * @throws IOException when it has gone again
     */
    void take(UUID id, Socket socket, LogLines lines) throws IOException {
        BuildDocument build = builds.build(id);
        synchronized (lock(id)) {
            detach(id);
            checkRoom();
            begin(id, build, socket, lines, Optional.empty());
        }
    }

    private void listen(UUID id, BuildDocument build, LoggerChoice choice) {
        checkRoom();
        if (choice.port() != null) {
            connect(id, build, choice.port(), null);
            return;
        }
        SimulatedEngine.Fault fault = choice.fault() == null ? SimulatedEngine.Fault.NONE : choice.fault();
        SimulatedLogger logger = null;
        try {
            logger = SimulatedLogger.start(
                    new LoggerCommand.Recipe(
                            build.car(),
                            build.design(),
                            fault,
                            choice.ambientC() == null ? USUAL_AIR_C : choice.ambientC(),
                            choice.pace() == null ? 1 : choice.pace(),
                            null,
                            null),
                    json);
            connect(id, build, logger.port(), logger);
        } catch (IOException e) {
            throw Problem.refused("/fault", fault.name(), e.getMessage());
        } finally {
            if (logger != null && !feeds.containsKey(id)) {
                logger.close();
            }
        }
    }

    /** Each simulated logger is a process of its own. */
    private void checkRoom() {
        if (feeds.size() >= MOST_FEEDS) {
            throw new Busy("Loggers are attached to " + MOST_FEEDS + " builds already; let one of them go first.");
        }
    }

    private void connect(UUID id, BuildDocument build, int port, SimulatedLogger simulated) {
        Socket socket = new Socket();
        try {
            socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), GREETING_MS);
            socket.setSoTimeout(GREETING_MS);
            LogLines lines = new LogLines(socket.getInputStream());
            // Nothing is said to whatever listens there before it has said that it is a logger.
            if (!GaugeLines.GREETING.equals(lines.next())) {
                throw new IOException("No greeting");
            }
            begin(id, build, socket, lines, Optional.ofNullable(simulated));
        } catch (IOException e) {
            close(socket);
            throw Problem.refused(
                    "/port",
                    String.valueOf(port),
                    "No logger answers on this loopback port: one that does says “" + GaugeLines.GREETING + "” first");
        }
    }

    private void begin(UUID id, BuildDocument build, Socket socket, LogLines lines, Optional<SimulatedLogger> simulated)
            throws IOException {
        Feed feed = new Feed(id, build, socket, lines, simulated, gauges, builds, this::ended);
        feeds.put(id, feed);
        Thread thread = new Thread(feed, "gauges-" + id);
        thread.setDaemon(true);
        thread.start();
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
     * @throws InvalidDocument when no logger is attached
     */
    public void turn(UUID id, SimulatedEngine.Turning turning) {
        if (!say(id, turning)) {
            if (kept.findById(id).isEmpty()) {
                throw Problem.refused("/turning", turning.name(), "No logger is attached");
            }
            bulletin.tell(TURNED, id + " " + turning);
        }
    }

    private boolean say(UUID id, SimulatedEngine.Turning turning) {
        Feed feed = feeds.get(id);
        if (feed != null) {
            feed.say(GaugeLines.command(turning));
        }
        return feed != null;
    }

    /** @param id a build whose logger is let go, whichever server listens to it */
    public void detach(UUID id) {
        boolean here = close(id);
        kept.forget(id);
        if (!here) {
            bulletin.tell(LEFT, id.toString());
        }
    }

    private boolean close(UUID id) {
        Feed feed = feeds.get(id);
        return feed != null && close(id, feed);
    }

    private boolean close(UUID id, Feed feed) {
        owned.remove(id, feed);
        boolean here = feeds.remove(id, feed);
        if (here) {
            feed.close();
            gauges.tell(id, LiveGauges.silent());
        }
        return here;
    }

    /** A logger has gone by itself: the sheet says so. */
    private void ended(UUID id, Feed feed) {
        feed.close();
        if (feeds.remove(id, feed) && !closed) {
            owned.remove(id, feed);
            gauges.tell(id, LiveGauges.silent());
            try {
                kept.let(id, bulletin.self());
            } catch (DataAccessException | TransactionException e) {
                LOG.debug("That the logger of {} has gone cannot be kept now", id, e);
            }
        }
    }

    /** Shows that this server lives, lets go what another one has taken, and takes up what one that has gone has left. */
    @Scheduled(fixedDelay = LOOK_EVERY_MS, initialDelay = LOOK_EVERY_MS)
    void look() {
        try {
            // What is attached from here on is not in the answer, and is not let go for that.
            Map<UUID, Feed> before = Map.copyOf(owned);
            Set<UUID> mine = new HashSet<>();
            kept.of(bulletin.self()).forEach(id -> mine.add(UUID.fromString(id)));
            if (!mine.isEmpty()) {
                kept.seen(bulletin.self(), mine);
            }
            before.forEach((id, feed) -> {
                if (!mine.contains(id)) {
                    close(id, feed);
                }
            });
            for (FeedEntity left : kept.left(SILENT, FORGOTTEN)) {
                if (kept.takeUp(left.buildId(), bulletin.self(), SILENT) == 1) {
                    // A simulated logger takes seconds to start: meanwhile this server goes on showing that it lives.
                    Thread thread = new Thread(() -> takeUp(left), "takes-up-" + left.buildId());
                    thread.setDaemon(true);
                    thread.start();
                }
            }
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("Who listens to which logger cannot be told now", e);
        }
    }

    private void takeUp(FeedEntity left) {
        UUID id = left.buildId();
        try {
            synchronized (lock(id)) {
                if (!feeds.containsKey(id)) {
                    listen(id, builds.build(id), json.readValue(left.source(), LoggerChoice.class));
                    own(id);
                    LOG.info("Goes on with a logger that another server has left");
                }
            }
        } catch (InvalidDocument | NotStored | Busy e) {
            LOG.info("A logger that another server has left does not answer any more");
            kept.let(id, bulletin.self());
        }
    }

    /** Another server takes them up at once. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        closed = true;
        feeds.values().forEach(Feed::close);
        try {
            kept.leave(bulletin.self(), SILENT + 1);
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("That this server ends cannot be kept now", e);
        }
    }
}
