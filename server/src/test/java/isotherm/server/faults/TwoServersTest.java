package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.ApiClient;
import isotherm.server.testing.Examples;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Visitor;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Two servers on one database: what one knows the other knows, and what one was at the other goes on with. */
class TwoServersTest {
    private static final JsonMapper JSON = new JsonMapper();

    private static OwnServer first;
    private static OwnServer second;

    @BeforeAll
    static void open() throws IOException {
        Path home = Path.of(System.getenv("ISOTHERM_TEST_HOME")).resolve("two-" + UUID.randomUUID());
        Files.createDirectories(home);
        first = new OwnServer(home.resolve("postgres"), 512);
        second = first.second();
    }

    @AfterAll
    static void shut() {
        FaultTable.print();
        second.close();
        first.close();
    }

    @BeforeEach
    void both() {
        if (!second.isAlive()) {
            second.start();
        }
    }

    private static void pause() {
        try {
            Thread.sleep(300);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String search(ApiClient server) {
        return "/api/jobs/"
                + JSON.readTree(server.send("POST", "/api/jobs/search", Examples.read("search"))
                                .body())
                        .get("id")
                        .asString();
    }

    private static JsonNode job(ApiClient server, String path) {
        return JSON.readTree(server.send("GET", path, null).body());
    }

    private static void until(ApiClient server, String path, String state) {
        OwnServer.until(() -> job(server, path).get("state").asString().equals(state));
    }

    @Test
    void aJobIsToldByBothAndDoneOnce() {
        String path = search(first);
        until(second, path, "RUNNING");
        assertThat(second.send("DELETE", path, null).statusCode()).isEqualTo(200);
        until(first, path, "CANCELLED");
    }

    @Test
    void aKilledServersJobIsTakenUp() {
        first.kill();
        String path = search(second);
        OwnServer.until(() -> job(second, path).get("done").asLong() > 0);
        // What nobody watches is dropped: somebody looks on while the other server starts.
        AtomicBoolean started = new AtomicBoolean();
        CompletableFuture<Void> looksOn = CompletableFuture.runAsync(() -> {
            while (!started.get()) {
                job(second, path);
                pause();
            }
        });
        first.start();
        started.set(true);
        looksOn.join();
        long before = job(first, path).get("done").asLong();
        second.kill();
        long killed = System.nanoTime();
        // It begins anew, so that its progress is another one; somebody goes on watching it.
        OwnServer.until(() -> {
            long now = job(first, path).get("done").asLong();
            boolean moved = now != before && System.nanoTime() - killed > TimeUnit.SECONDS.toNanos(2);
            return moved || job(first, path).get("state").asString().equals("DONE");
        });
        first.send("DELETE", path, null);
    }

    private static BlockingQueue<String> shown(ApiClient server, String build) {
        BlockingQueue<String> all = new LinkedBlockingQueue<>();
        Stream<String> lines = server.lines(build + "/live");
        CompletableFuture.runAsync(
                () -> lines.filter(l -> l.startsWith("data:")).forEach(all::add));
        return all;
    }

    private static void shows(BlockingQueue<String> shown, String what) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(OwnServer.PATIENCE);
        String line = "nothing";
        while (System.nanoTime() < until) {
            String next = shown.poll(200, TimeUnit.MILLISECONDS);
            line = next == null ? line : next;
            if (next != null && next.contains(what)) {
                return;
            }
        }
        throw new AssertionError("Not shown: " + what + "; last " + line);
    }

    @Test
    void gaugesAreSeenOnBothAndAKilledServersLoggerIsTakenUp() throws Exception {
        String build = new Wren(first).begin("Two", 1.2);
        BlockingQueue<String> here = shown(first, build);
        assertThat(second.send("POST", build + "/logger", "{\"pace\":20}").statusCode())
                .isEqualTo(204);
        shows(here, "\"listening\":true");
        assertThat(first.send("POST", build + "/logger/engine", "{\"turning\":\"IDLE\"}")
                        .statusCode())
                .as("a command goes to whichever server listens")
                .isEqualTo(204);
        shows(here, "\"RPM\":8");
        second.kill();
        long killed = System.nanoTime();
        here.clear();
        shows(here, "\"listening\":true");
        FaultTable.row(
                "a server is killed that listens to a logger, beside another one",
                String.format(Locale.ROOT, "the other one listens after %.1f s", (System.nanoTime() - killed) / 1e9));
        assertThat(first.send("DELETE", build + "/logger", null).statusCode()).isEqualTo(204);
        shows(here, "\"listening\":false");
    }

    @Test
    void aSessionHoldsOnBoth() throws IOException {
        Path home = Files.createTempDirectory("isotherm-two");
        Files.writeString(home.resolve("owner.code"), "AAAA");
        String[] settings = {"--isotherm.together=true", "--isotherm.home=" + home};
        try (RunningServer one = RunningServer.with(settings);
                RunningServer other = one.beside(settings)) {
            Visitor olive = new Visitor(one);
            assertThat(olive.join("AAAA", "Olive").statusCode()).isEqualTo(200);
            assertThat(other.send("GET", "/api/cars", null, "Cookie", olive.cookie())
                            .statusCode())
                    .isEqualTo(200);
            assertThat(other.send("POST", "/api/sign-out", null, "Cookie", olive.cookie())
                            .statusCode())
                    .isEqualTo(204);
            assertThat(one.send("GET", "/api/cars", null, "Cookie", olive.cookie())
                            .statusCode())
                    .isEqualTo(401);
        }
    }
}
