package isotherm.server.live;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What servers on one database tell each other at once, by PostgreSQL's NOTIFY and LISTEN. What is told while nobody listens is
 * lost: what has to last is in a table.
 */
@Component
public class Bulletin {
    private static final Logger LOG = LoggerFactory.getLogger(Bulletin.class);
    private static final String CHANNEL = "isotherm";
    /** Bytes that PostgreSQL takes at once, and some less. */
    private static final int LONGEST = 7900;

    private static final int LOOK_EVERY_MS = 1000;

    private final UUID self = UUID.randomUUID();
    private final DataSource database;
    private final JdbcTemplate jdbc;
    private final Map<String, Consumer<String>> ears = new ConcurrentHashMap<>();
    /** One voice, and nothing that waits: what would come late is out of date. */
    private final ExecutorService voice =
            new ThreadPoolExecutor(0, 1, 10, TimeUnit.SECONDS, new SynchronousQueue<>(), Bulletin::daemon);

    private volatile boolean closed;

    Bulletin(DataSource database, JdbcTemplate jdbc) {
        this.database = database;
        this.jdbc = jdbc;
    }

    private static Thread daemon(Runnable work) {
        Thread thread = new Thread(work, "bulletin");
        thread.setDaemon(true);
        return thread;
    }

    /** @return by which this server is known to the others */
    public UUID self() {
        return self;
    }

    /**
     * @param topic what it is about, without a blank
     * @param ear told what another server says of it
     */
    public void hear(String topic, Consumer<String> ear) {
        ears.put(topic, ear);
    }

    /**
     * Tells the other servers, and does not wait for it; dropped while something else is being told.
     *
     * @param topic what it is about, without a blank
     * @param text what is told
     */
    public void mention(String topic, String text) {
        try {
            voice.execute(() -> tell(topic, text));
        } catch (RejectedExecutionException e) {
            LOG.trace("Not mentioned: {}", topic);
        }
    }

    /**
     * Tells the other servers.
     *
     * @param topic what it is about, without a blank
     * @param text what is told
     */
    public void tell(String topic, String text) {
        String all = self + " " + topic + " " + text;
        if (all.length() > LONGEST) {
            LOG.warn("Too long to be told: {}", topic);
            return;
        }
        try {
            jdbc.query("select pg_notify(?, ?)", row -> {}, CHANNEL, all);
        } catch (DataAccessException e) {
            LOG.debug("Not told, the database is away: {}", topic, e);
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        daemon(this::listen).start();
    }

    @EventListener(ContextClosedEvent.class)
    void close() {
        closed = true;
        voice.shutdown();
    }

    private void listen() {
        while (!closed) {
            try (Connection connection = database.getConnection();
                    Statement listen = connection.createStatement()) {
                listen.execute("listen " + CHANNEL);
                PGConnection postgres = connection.unwrap(PGConnection.class);
                while (!closed) {
                    PGNotification[] said = postgres.getNotifications(LOOK_EVERY_MS);
                    for (PGNotification one : said == null ? new PGNotification[0] : said) {
                        heard(one.getParameter());
                    }
                    // One that the database has closed is noticed here, not at the next word.
                    listen.execute("");
                }
                listen.execute("unlisten *");
            } catch (SQLException e) {
                LOG.debug("Nothing is heard while the database is away", e);
                pause();
            }
        }
    }

    private void heard(String all) {
        String[] parts = all.split(" ", 3);
        Consumer<String> ear = parts.length == 3 && !parts[0].equals(self.toString()) ? ears.get(parts[1]) : null;
        if (ear != null) {
            try {
                ear.accept(parts[2]);
            } catch (RuntimeException e) {
                LOG.warn("What another server told of {} was not understood", parts[1], e);
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(LOOK_EVERY_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
