package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.Wren;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Server, database or both are killed at random moments while people tick, send pictures and change a design; then what was
 * acknowledged is compared with what is there. A hundred times for {@code ./isotherm faults}, a few times as a test.
 */
class RandomKillsTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int KILLS = System.getProperty("isotherm.faults") == null ? 4 : 100;
    private static final long SEED = Long.getLong("isotherm.faults.seed", 1);
    private static final int OK = 200;
    private static final int DONE = 300;

    private enum Kill {
        SERVER,
        DATABASE,
        BOTH
    }

    private final OwnServer server;
    private final Wren wren;
    private final String build;
    private final String design;
    private final List<String> sent = new CopyOnWriteArrayList<>();
    private final List<String> acknowledged = new CopyOnWriteArrayList<>();
    private final List<String> pictures = new CopyOnWriteArrayList<>();
    private final Map<String, Integer> names = new ConcurrentHashMap<>();
    private volatile int lastAcknowledged;
    private volatile int lastSent;
    private volatile boolean over;

    RandomKillsTest() throws IOException {
        Path home = Path.of(System.getenv("ISOTHERM_TEST_HOME")).resolve("kills-" + UUID.randomUUID());
        Files.createDirectories(home);
        server = new OwnServer(home.resolve("postgres"), 512);
        wren = new Wren(server);
        build = wren.begin("Under fire", 1.4);
        design = "/api/designs/"
                + wren.posted(
                                wren.car() + "/designs",
                                wren.demo().get("designs").get(0))
                        .get("id")
                        .asString();
    }

    @AfterAll
    static void tell() {
        FaultTable.print();
    }

    /** Sends something until it is answered; what was not heard is sent again, as the pages do. */
    private HttpResponse<String> insist(Supplier<HttpResponse<String>> ask) {
        while (!over) {
            try {
                HttpResponse<String> answer = ask.get();
                if (answer.statusCode() < 500) {
                    return answer;
                }
            } catch (UncheckedIOException e) {
                // Nobody is there, or went while the answer was on its way.
            }
            pause(100);
        }
        return null;
    }

    private static void pause(int ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void tick() {
        while (!over) {
            ObjectNode note = Wren.entry("NOTE", "prepare-parts").put("text", "note " + sent.size());
            sent.add(note.get("id").asString());
            HttpResponse<String> answer = insist(() -> server.send("POST", build + "/entries", note.toString()));
            if (answer != null) {
                assertThat(answer.statusCode()).as(answer.body()).isIn(OK, 201);
                acknowledged.add(note.get("id").asString());
            }
        }
    }

    private void photograph() {
        byte[] png = png();
        while (!over) {
            String id = UUID.randomUUID().toString();
            HttpResponse<String> answer = insist(() -> server.put(build + "/pictures/" + id, png, "image/png"));
            if (answer != null && answer.statusCode() < DONE) {
                pictures.add(id);
            }
            pause(50);
        }
    }

    /** Gives a design one name after the other, each based on what is there. */
    private void rename() {
        ObjectNode document = (ObjectNode) wren.demo().get("designs").get(0).deepCopy();
        int version = 0;
        while (!over) {
            int next = lastSent + 1;
            document.put("name", "Name " + next);
            String tag = "\"" + version + "\"";
            lastSent = next;
            HttpResponse<String> answer =
                    insist(() -> server.send("PUT", design, document.toString(), "If-Match", tag));
            if (answer == null) {
                return;
            }
            JsonNode told = JSON.readTree(answer.body());
            if (answer.statusCode() == 412) {
                // An answer that never arrived: what was sent is there, with the next version.
                version = told.get("currentVersion").asInt();
                assertThat(told.at("/current/name").asString()).isEqualTo("Name " + next);
            } else {
                assertThat(answer.statusCode()).as(answer.body()).isEqualTo(OK);
                version = told.get("version").asInt();
            }
            lastAcknowledged = next;
            names.merge("changes", 1, Integer::sum);
            pause(20);
        }
    }

    private static byte[] png() {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(new BufferedImage(120, 90, BufferedImage.TYPE_INT_RGB), "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void kill(Kill what) {
        if (what != Kill.DATABASE) {
            server.kill();
        }
        if (what != Kill.SERVER) {
            server.stopDatabase();
            server.startDatabase();
        }
        if (what != Kill.DATABASE) {
            server.start();
        }
        OwnServer.until(() -> {
            try {
                return server.send("GET", build, null).statusCode() == OK;
            } catch (UncheckedIOException e) {
                return false;
            }
        });
    }

    @Test
    void whatWasAcknowledgedIsThereOnceAfterKillsAtRandomMoments() {
        Random chance = new Random(SEED);
        Map<Kill, Integer> kills = new TreeMap<>();
        Map<Kill, Double> longest = new TreeMap<>();
        CompletableFuture<Void> everybody = CompletableFuture.allOf(
                CompletableFuture.runAsync(this::tick),
                CompletableFuture.runAsync(this::photograph),
                CompletableFuture.runAsync(this::rename));
        try {
            for (int i = 0; i < KILLS; i++) {
                pause(300 + chance.nextInt(1500));
                Kill what = Kill.values()[i < 3 ? i : chance.nextInt(3)];
                long begun = System.nanoTime();
                kill(what);
                kills.merge(what, 1, Integer::sum);
                longest.merge(what, (System.nanoTime() - begun) / 1e9, Math::max);
            }
            pause(1000);
            over = true;
            everybody.join();
            compare();
            kills.forEach((what, times) -> FaultTable.row(
                    "kill of " + what.name().toLowerCase(Locale.ROOT) + ", " + times + " times",
                    String.format(Locale.ROOT, "back after %.1f s at most", longest.get(what))));
            FaultTable.row(
                    "all of them, during ticks, pictures and changes",
                    acknowledged.size() + " ticks, " + pictures.size() + " pictures, "
                            + names.getOrDefault("changes", 0) + " changes acknowledged; 0 lost, 0 doubled");
        } finally {
            over = true;
            server.close();
        }
    }

    private void compare() {
        List<String> kept = JSON.readTree(
                        server.send("GET", build + "/entries", null).body())
                .valueStream()
                .map(e -> e.get("id").asString())
                .toList();
        assertThat(acknowledged).hasSizeGreaterThan(10);
        assertThat(kept).doesNotHaveDuplicates().containsAll(acknowledged);
        assertThat(sent).as("nothing is made up").containsAll(kept);
        assertThat(pictures).isNotEmpty().allSatisfy(id -> assertThat(
                        server.send("GET", build + "/pictures/" + id, null).statusCode())
                .isEqualTo(OK));
        String name = JSON.readTree(server.send("GET", wren.car(), null).body())
                .get("designs")
                .valueStream()
                .filter(d -> design.endsWith(d.get("id").asString()))
                .findFirst()
                .orElseThrow()
                .at("/design/name")
                .asString();
        assertThat(Integer.parseInt(name.replace("Name ", "")))
                .as("the last that was acknowledged, or the one after it")
                .isBetween(lastAcknowledged, lastSent);
    }
}
