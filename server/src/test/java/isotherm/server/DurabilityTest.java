package isotherm.server;

import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.ApiClient;
import isotherm.server.testing.Wren;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A server of its own and a database of its own are killed in the middle of ticks, pictures and an import: what was acknowledged
 * is there afterwards, and nothing is there by half.
 */
class DurabilityTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Path DATA = Path.of(System.getenv("ISOTHERM_TEST_HOME"), "durability-" + UUID.randomUUID());
    private static final int ROWS = 300_000;
    private static final int HEAP_MB = 200;
    private static final int MILLION = 1_000_000;

    private static Process process;
    private static int port;

    private static final ApiClient SERVER = new ApiClient() {
        @Override
        public URI address() {
            return URI.create("http://127.0.0.1:" + port);
        }
    };

    @BeforeAll
    static void start() throws IOException {
        database("pg_start \"$1\"");
        startServer();
    }

    @AfterAll
    static void stop() {
        process.destroyForcibly();
        database("pg_stop \"$1\"; rm -rf \"$(pg_dir \"$1\")\" \"$1\" \"$1.secret\"");
    }

    /** Runs a command with the launcher's own way of starting and stopping PostgreSQL; answers what it says. */
    private static String database(String command) {
        try {
            Path out = Files.createTempFile("isotherm-durability", ".out");
            Process bash = new ProcessBuilder(
                            "bash", "-c", ". ../config/postgres.sh; " + command, "bash", DATA.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(out.toFile())
                    .start();
            assertThat(bash.waitFor(90, TimeUnit.SECONDS)).isTrue();
            String said = Files.readString(out).strip();
            Files.delete(out);
            assertThat(bash.exitValue()).as(said).isZero();
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void startServer() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        // Far less than the longest log would need if it were held in memory.
                        "-Xmx" + HEAP_MB + "m",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        IsothermServer.class.getName(),
                        "--server.port=" + port,
                        "--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + database("pg_port \"$1\"")
                                + "/isotherm",
                        "--spring.datasource.hikari.connection-timeout=2000",
                        "--spring.datasource.username=isotherm",
                        "--spring.datasource.password=" + Files.readString(Path.of(DATA + ".secret")))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        until(() -> {
            assertThat(process.isAlive()).as("the server has to start").isTrue();
            try {
                return SERVER.send("GET", "/actuator/health/readiness", null).statusCode() == 200;
            } catch (UncheckedIOException e) {
                return false;
            }
        });
    }

    private static void until(BooleanSupplier there) {
        for (int i = 0; i < 600; i++) {
            if (there.getAsBoolean()) {
                return;
            }
            pause(100);
        }
        throw new AssertionError("not within a minute");
    }

    private static void pause(int ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** People who work on a car until they are told to stop; what they hear back is written down. */
    private final class Work {
        private final Wren wren = new Wren(SERVER);
        private final String build = wren.begin("Under fire", 1.4);
        private final List<ObjectNode> sent = new CopyOnWriteArrayList<>();
        private final List<ObjectNode> acknowledged = new CopyOnWriteArrayList<>();
        private final List<String> pictures = new CopyOnWriteArrayList<>();
        private final JsonNode upload;
        private volatile boolean over;
        private final CompletableFuture<Void> both;

        Work() throws IOException {
            StringBuilder rows = new StringBuilder("time_s,speed_kmh,rpm,oil_c,water_c\n");
            for (int i = 0; i < ROWS; i++) {
                rows.append(i / 20.0)
                        .append(",100.5,5000,")
                        .append(90 + i % 300 / 10.0)
                        .append(",85.1\n");
            }
            upload = JSON.readTree(SERVER.upload(wren.car() + "/uploads?name=day.csv", rows.toString())
                    .body());
            byte[] png = png();
            both = CompletableFuture.allOf(
                    CompletableFuture.runAsync(() -> repeat(this::write)),
                    CompletableFuture.runAsync(() -> repeat(() -> picture(png))));
        }

        private void repeat(Runnable work) {
            while (!over) {
                try {
                    work.run();
                } catch (UncheckedIOException e) {
                    return;
                }
            }
        }

        private void write() {
            ObjectNode note = entry("NOTE", "prepare-parts").put("text", "note " + sent.size());
            sent.add(note);
            if (SERVER.send("POST", build + "/entries", note.toString()).statusCode() == 201) {
                acknowledged.add(note);
            }
        }

        private void picture(byte[] png) {
            String id = UUID.randomUUID().toString();
            if (SERVER.put(build + "/pictures/" + id, png, "image/png").statusCode() == 204) {
                pictures.add(id);
            }
        }

        /** Begins the import and comes back while it runs. */
        String importing() {
            return wren.keeping(upload, "Long day");
        }

        private List<String> ids(String book) {
            return JSON.readTree(SERVER.send("GET", book, null).body())
                    .valueStream()
                    .map(e -> e.get("id").stringValue())
                    .toList();
        }

        void isAllThere() {
            assertThat(acknowledged).hasSizeGreaterThan(10);
            assertThat(pictures).isNotEmpty();
            List<String> kept = ids(build + "/entries");
            assertThat(kept).doesNotHaveDuplicates().containsAll(identities(acknowledged));
            // At most the one that was on its way is there beyond what was acknowledged, and none was made up.
            assertThat(identities(sent)).containsAll(kept);
            assertThat(kept.size() - acknowledged.size()).isBetween(0, 1);
            for (String id : pictures) {
                assertThat(SERVER.send("GET", build + "/pictures/" + id, null).statusCode())
                        .isEqualTo(200);
            }
            // Whoever did not hear that it arrived sends it once more.
            ObjectNode last = sent.get(sent.size() - 1);
            assertThat(SERVER.send("POST", build + "/entries", last.toString()).statusCode())
                    .isIn(200, 201);
            assertThat(ids(build + "/entries")).containsOnlyOnce(last.get("id").stringValue());
        }

        private List<String> identities(List<ObjectNode> entries) {
            return entries.stream().map(e -> e.get("id").stringValue()).toList();
        }

        JsonNode logs() {
            return JSON.readTree(SERVER.send("GET", wren.car(), null).body()).get("logs");
        }

        /** What was sent is still there, and is imported whole at the second go. */
        void isImportedAfterAll() {
            assertThat(logs()).as("nothing is half-imported").isEmpty();
            String job = importing();
            until(() -> SERVER.send("GET", job, null).body().contains("\"DONE\""));
            assertThat(logs()).hasSize(1);
            assertThat(logs().get(0).at("/log/rows").intValue()).isEqualTo(ROWS);
            String id = logs().get(0).get("id").stringValue();
            JsonNode traces = JSON.readTree(
                    SERVER.send("GET", "/api/logs/" + id + "/traces", null).body());
            assertThat(traces.at("/series/0/0").doubleValue()).isZero();
            JsonNode times = traces.at("/series/0");
            assertThat(times.get(times.size() - 1).doubleValue()).isEqualTo((ROWS - 1) / 20.0);
        }
    }

    private static byte[] png() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void aKilledServerLosesNothingThatItAcknowledged() throws IOException {
        Work work = new Work();
        until(() -> work.acknowledged.size() > 20 && work.pictures.size() > 2);
        work.importing();
        pause(150);
        // As the power does it: no last words.
        process.destroyForcibly();
        until(() -> !process.isAlive());
        work.over = true;
        work.both.join();
        startServer();
        work.isAllThere();
        work.isImportedAfterAll();
    }

    @Test
    void aKilledDatabaseLosesNothingThatWasAcknowledged() throws IOException {
        Work work = new Work();
        until(() -> work.acknowledged.size() > 20 && work.pictures.size() > 2);
        String job = work.importing();
        pause(150);
        database("pg_as \"$(pg_bin)/pg_ctl\" -D \"$(pg_dir \"$1\")\" -m immediate -w stop >/dev/null");
        assertThat(SERVER.send(
                                "POST",
                                work.build + "/entries",
                                entry("NOTE", "prepare-parts")
                                        .put("text", "lost")
                                        .toString())
                        .statusCode())
                .isGreaterThanOrEqualTo(500);
        work.over = true;
        work.both.join();
        until(() -> SERVER.send("GET", job, null).body().contains("\"FAILED\""));
        database("pg_start \"$1\"");
        until(() -> SERVER.send("GET", work.build, null).statusCode() == 200);
        work.isAllThere();
        work.isImportedAfterAll();
    }

    /** A log of a million rows, made as it is read. */
    private static InputStream millionRows() {
        return new InputStream() {
            private byte[] line = "time_s,speed_kmh,rpm,oil_c,water_c,oil_bar\n".getBytes(StandardCharsets.US_ASCII);
            private int at;
            private int row;

            @Override
            public int read() {
                if (at == line.length) {
                    if (row == MILLION) {
                        return -1;
                    }
                    line = (row / 50.0 + "," + (80 + row % 997 / 10.0) + "," + (3000 + row % 4001) + ","
                                    + (90 + row % 1999 / 50.0) + ",85.25,4.125\n")
                            .getBytes(StandardCharsets.US_ASCII);
                    row++;
                    at = 0;
                }
                return line[at++];
            }
        };
    }

    @Test
    void aMillionRowsComeInAndAreShownWithinASmallMemory() {
        Wren wren = new Wren(SERVER);
        JsonNode taken = JSON.readTree(SERVER.upload(wren.car() + "/uploads?name=long.csv", DurabilityTest::millionRows)
                .body());
        String job = wren.keeping(taken, "A million");
        until(() -> SERVER.send("GET", job, null).body().contains("\"DONE\""));
        JsonNode log = JSON.readTree(SERVER.send("GET", wren.car(), null).body())
                .get("logs")
                .get(0);
        assertThat(log.at("/log/rows").intValue()).isEqualTo(MILLION);
        JsonNode traces = JSON.readTree(
                SERVER.send("GET", "/api/logs/" + log.get("id").stringValue() + "/traces?points=2000", null)
                        .body());
        // Few enough points to be drawn smoothly, and the highest of a million is among them.
        assertThat(traces.at("/series/0").size()).isBetween(400, 2500);
        assertThat(traces.at("/series/2")
                        .valueStream()
                        .mapToDouble(JsonNode::doubleValue)
                        .max())
                .hasValue(7000);
        assertThat(process.isAlive()).isTrue();
    }
}
