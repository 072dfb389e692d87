package isotherm.server.api;

import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A build and its run sheet, over HTTP against a real database. */
class BuildApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private String car;
    private String build;

    @BeforeEach
    void begin() {
        Wren wren = new Wren(SERVER);
        car = wren.car();
        build = wren.begin("Winter build", 1.2);
    }

    private JsonNode view() {
        return JSON.readTree(SERVER.send("GET", build, null).body());
    }

    private JsonNode step(String id) {
        return StreamSupport.stream(view().at("/build/steps").spliterator(), false)
                .filter(s -> s.get("id").stringValue().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> write(ObjectNode entry) {
        return SERVER.send("POST", build + "/entries", entry.toString());
    }

    private void done(String step) {
        HttpResponse<String> response = write(entry("DONE", step));
        assertThat(response.statusCode()).as(response.body()).isEqualTo(201);
    }

    @Test
    void theSheetIsMadeFromTheDesignAndItsPlumbing() {
        JsonNode v = view();
        assertThat(v.at("/build/name").stringValue()).isEqualTo("Winter build");
        assertThat(v.at("/build/steps").size()).isGreaterThan(30);
        assertThat(step("crank-pressure").at("/reading/least").doubleValue()).isEqualTo(1.2, within(1e-9));
        JsonNode cut = step("bench-feed-cut").at("/figures/0");
        assertThat(cut.get("measure").stringValue()).isEqualTo("LENGTH");
        assertThat(cut.get("low").doubleValue()).isBetween(300.0, 1500.0);
        JsonNode list = JSON.readTree(SERVER.send("GET", car + "/builds", null).body());
        assertThat(list).singleElement().satisfies(b -> assertThat(b.get("done").intValue())
                .isZero());
    }

    @Test
    void whatIsSentTwiceIsWrittenOnce() {
        ObjectNode tick = entry("DONE", "prepare-parts");
        assertThat(write(tick).statusCode()).isEqualTo(201);
        assertThat(write(tick).statusCode()).isEqualTo(200);
        assertThat(JSON.readTree(SERVER.send("GET", build + "/entries", null).body()))
                .hasSize(1);
        assertThat(view().at("/progress/done").intValue()).isEqualTo(1);
    }

    @Test
    void gatesHoldUntilWhatTheyNeedIsShownOrOverriddenWithAReason() {
        HttpResponse<String> early = write(entry("DONE", "first-idle"));
        assertThat(early.statusCode()).isEqualTo(422);
        assertThat(early.body()).contains("No start yet");
        write(entry("READING", "crank-pressure").put("value", 1.1));
        assertThat(write(entry("DONE", "crank-pressure")).statusCode()).isEqualTo(422);
        write(entry("READING", "crank-pressure").put("value", 1.3));
        done("crank-pressure");
        done("crank-joints");
        done("first-idle");
        assertThat(write(entry("OVERRIDE", "BUMPER").put("text", "  ")).statusCode())
                .isEqualTo(422);
        assertThat(write(entry("OVERRIDE", "BUMPER").put("text", "No probe here, seen by infrared"))
                        .statusCode())
                .isEqualTo(201);
        done("refit-air");
        assertThat(view().at("/progress/gates/1/override/text").stringValue()).contains("infrared");
    }

    @Test
    void everythingEverWrittenStays() {
        done("prepare-parts");
        write(entry("NOT_DONE", "prepare-parts"));
        assertThat(view().at("/progress/done").intValue()).isZero();
        assertThat(JSON.readTree(SERVER.send("GET", build + "/entries", null).body()))
                .hasSize(2);
    }

    @Test
    void aBadEntryNamesItsField() {
        assertThat(write(entry("DONE", "prepare-parts").put("who", "")).body()).contains("/who");
        assertThat(write(entry("DONE", "prepare-parts").put("id", "x")).body()).contains("/id");
        assertThat(write(entry("DONE", "prepare-parts").put("at", "yesterday at ten"))
                        .body())
                .contains("/at", "2026-01-31T09:30:00Z");
        assertThat(write(entry("DONE", "no-such-step")).body()).contains("There is no such step");
        assertThat(SERVER.send(
                                "POST",
                                "/api/builds/" + UUID.randomUUID() + "/entries",
                                entry("DONE", "x").toString())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aDesignWithoutACoolerCannotBeBuilt() throws IOException {
        ObjectNode wanted = JSON.createObjectNode().put("name", "Nothing");
        JsonNode demo = JSON.readTree(Files.readString(Path.of("../demo/3-wren.json")));
        wanted.set("car", demo.get("car"));
        wanted.set("duty", demo.get("duties").get(0));
        wanted.putObject("design").put("name", "Bare").put("keepFactoryExchanger", true);
        HttpResponse<String> refused = SERVER.send("POST", car + "/builds", wanted.toString());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("/design/cooler");
    }

    @Test
    void aPictureIsKeptCleanAndShownWhereItWasTaken() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB), "png", png);
        String id = UUID.randomUUID().toString();
        ObjectNode noted = entry("PICTURE", "prepare-parts").put("text", id);
        assertThat(write(noted).statusCode()).as("before it was sent").isEqualTo(404);
        assertThat(SERVER.put(build + "/pictures/" + id, png.toByteArray(), "image/png")
                        .statusCode())
                .isEqualTo(204);
        assertThat(write(noted).statusCode()).isEqualTo(201);
        byte[] kept = SERVER.bytes("GET", build + "/pictures/" + id, null);
        assertThat(kept).startsWith(0xFF, 0xD8);
        HttpResponse<String> refused = SERVER.put(
                build + "/pictures/" + UUID.randomUUID(), "no picture".getBytes(StandardCharsets.UTF_8), "image/png");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("JPEG, PNG and WebP");
    }

    private static BlockingQueue<String> told(Stream<String> lines) {
        BlockingQueue<String> all = new LinkedBlockingQueue<>();
        CompletableFuture.runAsync(
                () -> lines.filter(l -> l.startsWith("data:")).forEach(all::add));
        return all;
    }

    @Test
    void whoComesToListenIsToldAloneThatNoLoggerIsAttached() throws InterruptedException {
        try (Stream<String> first = SERVER.lines(build + "/live");
                Stream<String> second = SERVER.lines(build + "/live")) {
            BlockingQueue<String> here = told(first);
            BlockingQueue<String> there = told(second);
            assertThat(here.poll(20, TimeUnit.SECONDS)).contains("\"listening\":false");
            assertThat(there.poll(20, TimeUnit.SECONDS)).contains("\"listening\":false");
            assertThat(here.poll(1, TimeUnit.SECONDS)).isNull();
        }
    }

    @Test
    void theLoggerFillsReadingsInAndTheWatchSaysStop() throws Exception {
        CountDownLatch shown = new CountDownLatch(5);
        CountDownLatch turning = new CountDownLatch(1);
        try (Stream<String> events = SERVER.lines(build + "/live")) {
            // It ends with an exception when the stream is closed, which nobody asks for.
            CompletableFuture.runAsync(
                    () -> events.filter(l -> l.contains("OIL_PRESSURE")).forEach(l -> {
                        shown.countDown();
                        if (l.contains("\"turning\":true")) {
                            turning.countDown();
                        }
                    }));
            assertThat(SERVER.send("POST", build + "/logger", "{\"fault\":\"AIRLOCK\",\"pace\":200}")
                            .statusCode())
                    .isEqualTo(204);
            turn("CRANK");
            until("/progress/steps", "LIVE_READING", "crank-pressure");
            assertThat(shown.await(20, TimeUnit.SECONDS)).isTrue();
            assertThat(turning.await(20, TimeUnit.SECONDS)).isTrue();
            done("crank-pressure");
            done("crank-joints");
            turn("WARM");
            until("/progress/alarms", "NO_FLOW STOP", "nothing flows through the core");
            assertThat(view().at("/progress/steps").toString()).contains("\"on\":\"warm-oil\"");
            assertThat(write(entry("DONE", "warm-far-end")).statusCode())
                    .as("the far end stays cold")
                    .isEqualTo(422);
            assertThat(SERVER.send("DELETE", build + "/logger", null).statusCode())
                    .isEqualTo(204);
        }
        assertThat(SERVER.send("POST", build + "/logger/engine", "{\"turning\":\"IDLE\"}")
                        .body())
                .contains("No logger is attached");
        assertThat(SERVER.send("POST", build + "/logger", "{\"port\":8499}").body())
                .contains("No logger answers");
    }

    private void turn(String how) {
        assertThat(SERVER.send("POST", build + "/logger/engine", "{\"turning\":\"" + how + "\"}")
                        .statusCode())
                .isEqualTo(204);
    }

    private void until(String where, String... words) throws InterruptedException {
        long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(OwnServer.PATIENCE);
        String said;
        do {
            Thread.sleep(100);
            said = view().at(where).toString();
        } while (!Stream.of(words).allMatch(said::contains) && System.nanoTime() < deadline);
        assertThat(said).contains(words);
    }

    @Test
    void thePrintedSheetHasStepsCautionsGatesAndWhatWasWritten() throws Exception {
        done("prepare-parts");
        write(entry("OFF", null).put("text", "undertray, nine bolts"));
        write(entry("NOTE", "prepare-stands").put("text", "left rear stand is short"));
        byte[] pdf = SERVER.bytes("GET", build + "/sheet.pdf", null);
        Path file = Files.createTempFile("sheet", ".pdf");
        Files.write(file, pdf);
        Process text = new ProcessBuilder("pdftotext", "-layout", file.toString(), "-").start();
        String printed = new String(text.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        // A figure and its unit stay on one line.
        assertThat(printed.lines().map(String::strip)).doesNotContain("bar", "°C", "mm", "L");
        String said = printed.replace('\u00a0', ' ');
        Files.delete(file);
        assertThat(said)
                .contains(
                        "Winter build", "CAUTION", "No start yet", "undertray, nine bolts", "left rear stand is short")
                .contains("pressure while cranking", "1.20 bar", "Ada");
        assertThat(said)
                .as("a gate stands once")
                .containsOnlyOnce("No start yet")
                .containsOnlyOnce("No bumper yet");
    }

    @Test
    void nobodyWritesOfAYearThatNobodySees() {
        for (String at : new String[] {"+1000000-01-01T00:00:00Z", "0001-01-01T00:00:00Z", "2200-01-01T00:00:00Z"}) {
            HttpResponse<String> refused =
                    write(entry("NOTE", "prepare-parts").put("text", "x").put("at", at));
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("/at", "years 1950 to 2199");
        }
        assertThat(view().at("/progress/steps").toString()).doesNotContain("1000000");
    }
}
