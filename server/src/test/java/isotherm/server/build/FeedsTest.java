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
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReference;
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

    /** What happens round a question to the database. */
    private interface Meanwhile {
        Object round(Callable<Object> question) throws Exception;
    }

    /** Listens to loggers as the server does; something happens round one of its questions, the first time that it is asked. */
    private Feeds feeds(String question, Meanwhile meanwhile) {
        AtomicReference<Meanwhile> still = new AtomicReference<>(meanwhile);
        FeedRepository watched = (FeedRepository) Proxy.newProxyInstance(
                FeedRepository.class.getClassLoader(), new Class<?>[] {FeedRepository.class}, (proxy, method, args) -> {
                    Callable<Object> asked = () -> method.invoke(kept, args);
                    Meanwhile now = method.getName().equals(question) ? still.getAndSet(null) : null;
                    return now == null ? asked.call() : now.round(asked);
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
    void aLoggerThatIsAttachedWhileAServerAsksWhichAreItsOwnStays() {
        greets();
        Feeds[] feeds = new Feeds[1];
        feeds[0] = feeds("of", question -> {
            Object answer = question.call();
            feeds[0].attach(build, choice());
            return answer;
        });
        feeds[0].look();
        assertThat(feeds[0].attached()).isEqualTo(1);

        kept.forget(build);
        feeds[0].look();
        assertThat(feeds[0].attached()).as("which another server has let go").isZero();
    }

    @Test
    void aLoggerThatIsAttachedAnewWhileAServerAsksWhichAreItsOwnStays() {
        greets();
        Feeds[] feeds = new Feeds[1];
        feeds[0] = feeds("of", question -> {
            kept.forget(build);
            Object answer = question.call();
            greets();
            feeds[0].attach(build, choice());
            return answer;
        });
        feeds[0].attach(build, choice());
        feeds[0].look();
        assertThat(feeds[0].attached()).isEqualTo(1);
        assertThat(kept.findById(build)).isPresent();
    }

    @Test
    void aLoggerThatGoesBeforeItIsWrittenDownIsNotSaidToBeListenedTo() {
        CompletableFuture<Socket> socket = greets();
        Feeds[] feeds = new Feeds[1];
        feeds[0] = feeds("take", question -> {
            socket.join().close();
            OwnServer.until(() -> feeds[0].attached() == 0);
            return question.call();
        });
        feeds[0].attach(build, choice());
        assertThat(kept.findById(build)).isEmpty();
    }
}
