package isotherm.server;

import static isotherm.server.testing.OwnServer.until;
import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.faults.FaultTable;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.Wren;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
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

    private static OwnServer server;

    @BeforeAll
    static void start() {
        // Far less memory than the longest log would need if it were held in it.
        server = new OwnServer(DATA, HEAP_MB);
    }

    @AfterAll
    static void stop() {
        FaultTable.print();
        server.close();
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
        private final Wren wren = new Wren(server);
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
            upload = JSON.readTree(server.upload(wren.car() + "/uploads?name=day.csv", rows.toString())
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
            if (server.send("POST", build + "/entries", note.toString()).statusCode() == 201) {
                acknowledged.add(note);
            }
        }

        private void picture(byte[] png) {
            String id = UUID.randomUUID().toString();
            if (server.put(build + "/pictures/" + id, png, "image/png").statusCode() == 204) {
                pictures.add(id);
            }
        }

        /** Begins the import and comes back while it runs. */
        String importing() {
            return wren.keeping(upload, "Long day");
        }

        private List<String> ids(String book) {
            return JSON.readTree(server.send("GET", book, null).body())
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
                assertThat(server.send("GET", build + "/pictures/" + id, null).statusCode())
                        .isEqualTo(200);
            }
            // Whoever did not hear that it arrived sends it once more.
            ObjectNode last = sent.get(sent.size() - 1);
            assertThat(server.send("POST", build + "/entries", last.toString()).statusCode())
                    .isIn(200, 201);
            assertThat(ids(build + "/entries")).containsOnlyOnce(last.get("id").stringValue());
        }

        private List<String> identities(List<ObjectNode> entries) {
            return entries.stream().map(e -> e.get("id").stringValue()).toList();
        }

        JsonNode logs() {
            return JSON.readTree(server.send("GET", wren.car(), null).body()).get("logs");
        }

        /** What was under way is gone on with by itself; said again, it is found. */
        void isImportedAfterAll(String job) {
            until(() -> !server.send("GET", job, null).body().matches(".*\"(RUNNING|WAITING)\".*"));
            assertThat(server.send("GET", job, null).body()).contains("\"DONE\"");
            assertThat(server.send("GET", importing(), null).statusCode())
                    .as("done before: nothing more to watch")
                    .isEqualTo(404);
            assertThat(logs()).as("once, and not half").hasSize(1);
            assertThat(logs().get(0).at("/log/rows").intValue()).isEqualTo(ROWS);
            String id = logs().get(0).get("id").stringValue();
            JsonNode traces = JSON.readTree(
                    server.send("GET", "/api/logs/" + id + "/traces", null).body());
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
        String job = work.importing();
        pause(150);
        server.kill();
        work.over = true;
        work.both.join();
        server.start();
        work.isAllThere();
        work.isImportedAfterAll(job);
        FaultTable.row("the server is killed during ticks, pictures and an import", acknowledged(work));
    }

    private static String acknowledged(Work work) {
        return work.acknowledged.size() + " entries and " + work.pictures.size() + " pictures acknowledged, 0 lost";
    }

    @Test
    void aDatabaseThatIsAwayIsToldAtOnceAndComesBackByItself() throws Exception {
        Wren wren = new Wren(server);
        String build = wren.begin("Away", 1.2);
        assertThat(server.send("POST", build + "/logger", "{\"pace\":20}").statusCode())
                .isEqualTo(204);
        server.stopDatabase();
        long longest = 0;
        for (String[] ask : new String[][] {
            {"GET", "/api/cars", null},
            {
                "POST",
                build + "/entries",
                entry("NOTE", "prepare-parts").put("text", "x").toString()
            },
            {"POST", wren.car() + "/designs", wren.demo().get("designs").get(0).toString()}
        }) {
            long begun = System.nanoTime();
            HttpResponse<String> answer = server.send(ask[0], ask[1], ask[2]);
            assertThat(answer.statusCode()).isEqualTo(503);
            assertThat(answer.body()).contains("The database does not answer in time");
            longest = Math.max(longest, System.nanoTime() - begun);
        }
        assertThat(server.send("GET", "/actuator/health/readiness", null).statusCode())
                .isEqualTo(503);
        assertThat(server.send("GET", "/actuator/health/liveness", null).statusCode())
                .isEqualTo(200);
        assertThat(server.send("GET", "/", null).statusCode())
                .as("the page is there")
                .isEqualTo(200);
        // What the gauges show while the database is away is written when it is back.
        assertThat(server.send("POST", build + "/logger/engine", "{\"turning\":\"CRANK\"}")
                        .statusCode())
                .isEqualTo(204);
        pause(2500);
        server.startDatabase();
        until(() -> server.send("GET", "/actuator/health/readiness", null).statusCode() == 200);
        until(() -> server.send("GET", build + "/entries", null).body().contains("LIVE_READING"));
        server.send("DELETE", build + "/logger", null);
        FaultTable.row(
                "the database is away",
                String.format(
                        Locale.ROOT,
                        "503 in plain words after %.1f s at most; back by itself, gauges go on",
                        longest / 1e9));
    }

    @Test
    void aKilledDatabaseLosesNothingThatWasAcknowledged() throws IOException {
        Work work = new Work();
        until(() -> work.acknowledged.size() > 20 && work.pictures.size() > 2);
        String job = work.importing();
        pause(150);
        server.stopDatabase();
        assertThat(server.send(
                                "POST",
                                work.build + "/entries",
                                entry("NOTE", "prepare-parts")
                                        .put("text", "lost")
                                        .toString())
                        .statusCode())
                .isGreaterThanOrEqualTo(500);
        work.over = true;
        work.both.join();
        pause(1500);
        server.startDatabase();
        until(() -> server.send("GET", work.build, null).statusCode() == 200);
        work.isAllThere();
        work.isImportedAfterAll(job);
        FaultTable.row("the database is killed during ticks, pictures and an import", acknowledged(work));
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
        Wren wren = new Wren(server);
        JsonNode taken = JSON.readTree(server.upload(wren.car() + "/uploads?name=long.csv", DurabilityTest::millionRows)
                .body());
        String job = wren.keeping(taken, "A million");
        until(() -> server.send("GET", job, null).body().contains("\"DONE\""));
        JsonNode log = JSON.readTree(server.send("GET", wren.car(), null).body())
                .get("logs")
                .get(0);
        assertThat(log.at("/log/rows").intValue()).isEqualTo(MILLION);
        JsonNode traces = JSON.readTree(
                server.send("GET", "/api/logs/" + log.get("id").stringValue() + "/traces?points=2000", null)
                        .body());
        // Few enough points to be drawn smoothly, and the highest of a million is among them.
        assertThat(traces.at("/series/0").size()).isBetween(400, 2500);
        assertThat(traces.at("/series/2")
                        .valueStream()
                        .mapToDouble(JsonNode::doubleValue)
                        .max())
                .hasValue(7000);
        assertThat(server.isAlive()).isTrue();
    }
}
