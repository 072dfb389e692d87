package isotherm.server.build;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.live.Bulletin;
import isotherm.server.logger.LoggerDocuments.LoggerChoice;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Proxy;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Who listens to which logger stands in the database, and things happen while it is asked. */
class FeedsTest {
    private static final RunningServer SERVER = RunningServer.get();

    private final FeedRepository kept = SERVER.bean(FeedRepository.class);
    private UUID build;
    private ServerSocket logger;

    @BeforeEach
    void begin() throws IOException {
        build = UUID.fromString(new Wren(SERVER).begin("Listened to", 1.2).replaceAll(".*/", ""));
        for (int port = 8450; logger == null; port++) {
            try {
                logger = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
            } catch (IOException e) {
                assertThat(port).isLessThan(8499);
            }
        }
    }

    @AfterEach
    void end() throws IOException {
        kept.forget(build);
        logger.close();
    }

    /** Listens to loggers as the server does; the first time that one of its questions is asked, something happens after it or before. */
    private Feeds feeds(String question, boolean before, Runnable meanwhile) {
        Runnable[] still = {meanwhile};
        FeedRepository watched = (FeedRepository) Proxy.newProxyInstance(
                FeedRepository.class.getClassLoader(), new Class<?>[] {FeedRepository.class}, (proxy, method, args) -> {
                    Runnable now = method.getName().equals(question) ? still[0] : null;
                    if (now == null) {
                        return method.invoke(kept, args);
                    }
                    still[0] = null;
                    if (before) {
                        now.run();
                    }
                    Object answer = method.invoke(kept, args);
                    if (!before) {
                        now.run();
                    }
                    return answer;
                });
        return new Feeds(
                SERVER.bean(BuildService.class),
                SERVER.bean(LiveGauges.class),
                watched,
                SERVER.bean(Bulletin.class),
                SERVER.bean(JsonMapper.class));
    }

    private LoggerChoice choice() {
        return new LoggerChoice(logger.getLocalPort(), null, null, null);
    }

    private CompletableFuture<Socket> greets() {
        return CompletableFuture.supplyAsync(() -> {
            try {
                Socket socket = logger.accept();
                socket.getOutputStream().write("ISOTHERM-GAUGES 1\n".getBytes(StandardCharsets.UTF_8));
                return socket;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    @Test
    void aLoggerThatIsAttachedWhileAServerAsksWhichAreItsOwnStays() throws Exception {
        CompletableFuture<Socket> socket = greets();
        Feeds[] feeds = new Feeds[1];
        feeds[0] = feeds("of", false, () -> feeds[0].attach(build, choice()));
        feeds[0].look();
        assertThat(feeds[0].attached()).isEqualTo(1);
        assertThat(kept.findById(build)).isPresent();

        kept.forget(build);
        feeds[0].look();
        assertThat(feeds[0].attached()).as("which another server has let go").isZero();
        socket.get().close();
    }

    @Test
    void aLoggerThatGoesBeforeItIsWrittenDownIsNotSaidToBeListenedTo() {
        CompletableFuture<Socket> socket = greets();
        Feeds[] feeds = new Feeds[1];
        feeds[0] = feeds("take", true, () -> {
            try {
                socket.join().close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            OwnServer.until(() -> feeds[0].attached() == 0);
        });
        feeds[0].attach(build, choice());
        assertThat(kept.findById(build)).isEmpty();
    }
}
