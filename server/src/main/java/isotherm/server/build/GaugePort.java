package isotherm.server.build;

import isotherm.server.access.LoggerKeys;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.jobs.Busy;
import isotherm.server.logger.GaugeLines;
import isotherm.server.store.NotStored;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;

/**
 * Where loggers come by themselves. It is shut unless it is given a port; it listens on loopback unless it is told otherwise; and
 * whoever comes says a key, which is made for one build and holds for a day. A key is read by whoever can listen on the way: it
 * lets somebody show gauges of that one build, and nothing else.
 */
@Service
public class GaugePort {
    private static final Logger LOG = LoggerFactory.getLogger(GaugePort.class);
    /** First word of the line with the key. */
    private static final String KEY = "KEY ";

    private static final int GREETING_MS = 3000;
    /** Loggers that are at the door at once. */
    private static final int MOST_AT_THE_DOOR = 8;

    private final Feeds feeds;
    private final BuildService builds;
    private final LoggerKeys keys;
    private final String address;
    private final int wanted;
    private final Semaphore door = new Semaphore(MOST_AT_THE_DOOR);
    private ServerSocket listening;

    GaugePort(
            Feeds feeds,
            BuildService builds,
            LoggerKeys keys,
            @Value("${isotherm.gauges.address:127.0.0.1}") String address,
            @Value("${isotherm.gauges.port:-1}") int wanted) {
        this.feeds = feeds;
        this.builds = builds;
        this.keys = keys;
        this.address = address;
        this.wanted = wanted;
    }

    /**
     * @param build a build
     * @return a key for its logger, told this once
     */
    public LoggerKey key(UUID build) {
        builds.build(build);
        LoggerKeys.Key made = keys.make(build);
        return new LoggerKey(made.word(), made.until().toString(), port().orElse(null));
    }

    /** @return port on which loggers are let in; empty when none are */
    public Optional<Integer> port() {
        return Optional.ofNullable(listening).map(ServerSocket::getLocalPort);
    }

    /** @return where it listens */
    InetAddress address() {
        return listening.getInetAddress();
    }

    @EventListener(ApplicationReadyEvent.class)
    void open() throws IOException {
        if (wanted < 0) {
            return;
        }
        listening = new ServerSocket();
        listening.bind(new InetSocketAddress(InetAddress.getByName(address), wanted));
        Thread thread = new Thread(this::letIn, "gauge-port");
        thread.setDaemon(true);
        thread.start();
    }

    @EventListener(ContextClosedEvent.class)
    void shut() throws IOException {
        if (listening != null) {
            listening.close();
        }
    }

    private void letIn() {
        while (!listening.isClosed()) {
            try {
                Socket socket = listening.accept();
                if (door.tryAcquire()) {
                    Thread thread = new Thread(() -> greet(socket), "gauge-door");
                    thread.setDaemon(true);
                    thread.start();
                } else {
                    socket.close();
                }
            } catch (IOException e) {
                LOG.debug("The gauge port is shut, or somebody went before they came in", e);
            }
        }
    }

    private void greet(Socket socket) {
        String refusal = "not a logger";
        try {
            socket.setSoTimeout(GREETING_MS);
            LogLines lines = new LogLines(socket.getInputStream());
            String greeting = lines.next();
            String said = GaugeLines.GREETING.equals(greeting) ? lines.next() : null;
            if (said != null) {
                Optional<UUID> build =
                        said.startsWith(KEY) ? keys.build(said.substring(KEY.length())) : Optional.empty();
                if (build.isPresent()) {
                    socket.getOutputStream().write("LET IN\n".getBytes(StandardCharsets.UTF_8));
                    feeds.take(build.get(), socket, lines);
                    return;
                }
                refusal = "this key lets nobody in";
            }
        } catch (IOException | NotStored | InvalidDocument | Busy | DataAccessException | TransactionException e) {
            LOG.debug("A logger was not let in", e);
            refusal = "not now";
        } finally {
            door.release();
        }
        try (socket) {
            socket.getOutputStream().write(("REFUSED " + refusal + "\n").getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            LOG.debug("Whoever was refused has gone", e);
        }
    }
}
