package isotherm.server.archive;

import static isotherm.server.archive.Archives.changed;
import static isotherm.server.archive.Archives.edit;
import static isotherm.server.archive.Archives.only;
import static isotherm.server.archive.Archives.packed;
import static isotherm.server.archive.Archives.unpacked;
import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.store.Schema;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A garage goes out as a file and comes in again, in an installation of its own. */
class GarageFileTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final byte[] NOTHING = new byte[0];
    /** Characters at which some break lines and which JSON writes as they are. */
    private static final String BREAKS = " \u2028 \u2029 \u0085 ";

    private static final String OF_THE_CAR = UUID.randomUUID().toString();

    private static RunningServer server;
    /** The garage of this test in a file. */
    private static byte[] file;

    @BeforeAll
    static void fill() throws IOException {
        server = RunningServer.empty();
        FullGarage.fill(server, OF_THE_CAR, BREAKS);
        file = exported();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static byte[] exported() {
        return server.bytes("GET", "/api/garage.zip", null);
    }

    private static HttpResponse<String> takenIn(byte[] archive) {
        return server.upload("/api/garage", archive);
    }

    @Test
    void itHoldsJsonAndCsvThatAnyoneCanRead() {
        Map<String, byte[]> files = unpacked(file);
        JsonNode contents = JSON.readTree(files.get("garage.json"));
        assertThat(contents.get("format").stringValue()).isEqualTo("isotherm-garage");
        assertThat(contents.get("version").intValue()).isEqualTo(Schema.NEWEST);
        assertThat(files.keySet().iterator().next()).isEqualTo("garage.json");
        assertThat(new String(files.get(only(files, ".csv")), StandardCharsets.UTF_8).lines())
                .hasSize(9_001)
                .startsWith("TIME,SPEED,OIL", "0.0,60.0,80.0", "0.1,60.333332,80.01428")
                // What was not read stays so.
                .contains("0.3,,80.042854");
        assertThat(files.get(only(files, "/pictures/"))).startsWith(0xff, 0xd8);
        assertThat(new String(files.get(only(files, "/builds/")), StandardCharsets.UTF_8))
                .contains("Winter build");
        assertThat(JSON.readTree(files.get(only(files, "parts/"))).get("price").doubleValue())
                .isEqualTo(99);
    }

    @Test
    void whatGoesOutComesInAgainByteForByte() {
        byte[] before = exported();
        for (JsonNode c : JSON.readTree(server.send("GET", "/api/cars", null).body())) {
            String car = "/api/cars/" + c.get("id").stringValue();
            int version = JSON.readTree(server.send("GET", car, null).body())
                    .get("version")
                    .intValue();
            server.send("DELETE", car, null, "If-Match", "\"" + version + "\"");
        }
        for (JsonNode c :
                JSON.readTree(server.send("GET", "/api/catalogue/cores", null).body())) {
            if (c.has("id")) {
                server.send(
                        "DELETE",
                        "/api/catalogue/cores/" + c.get("id").stringValue(),
                        null,
                        "If-Match",
                        "\"" + c.get("version").intValue() + "\"");
            }
        }
        assertThat(unpacked(exported())).containsOnlyKeys("garage.json");
        HttpResponse<String> answer = takenIn(before);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        assertThat(answer.body()).contains("\"added\":[\"Pell Wren\"").contains("\"partsAdded\":1");
        assertThat(exported()).isEqualTo(before);
        assertThat(new String(unpacked(before).get(only(unpacked(before), "entries.jsonl")), StandardCharsets.UTF_8))
                .as("what somebody wrote is what they wrote")
                .contains(BREAKS);
        // Once more: all of it is here already, and nothing changes.
        JsonNode again = JSON.readTree(takenIn(before).body());
        assertThat(again.get("added")).isEmpty();
        assertThat(again.get("left")).isEmpty();
        assertThat(again.get("alike")).isNotEmpty();
        assertThat(exported()).isEqualTo(before);
    }

    @Test
    void aCarThatDiffersIsLeftAsItIsHereOrComesInBesideIt() {
        byte[] other = changed(file, files -> {});
        assertThat(takenIn(other).body()).contains("\"added\":[\"Pell Wren\"");
        byte[] before = exported();
        Map<String, byte[]> files = unpacked(other);
        edit(files, "/entries.jsonl", t -> t.replace("second line", "third line"));
        byte[] differing = packed(files);
        JsonNode left = JSON.readTree(takenIn(differing).body());
        assertThat(left.get("left")).hasSize(1);
        assertThat(left.get("added")).isEmpty();
        assertThat(exported()).isEqualTo(before);
        JsonNode beside = JSON.readTree(
                server.upload("/api/garage?copies=true", differing).body());
        assertThat(beside.get("added").get(0).stringValue()).isEqualTo("Pell Wren, from a file");
        assertThat(beside.get("left")).isEmpty();
        // The copy's sheet names its own picture, and shows it.
        String car = cars().filter(c -> c.get("name").stringValue().equals("Pell Wren, from a file"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        String build = "/api/builds/"
                + JSON.readTree(server.send("GET", "/api/cars/" + car + "/builds", null)
                                .body())
                        .get(0)
                        .get("id")
                        .stringValue();
        JsonNode entries =
                JSON.readTree(server.send("GET", build + "/entries", null).body());
        assertThat(entries.get(2).get("text").stringValue()).contains("third line");
        String picture = entries.get(0).get("text").stringValue();
        assertThat(new String(file, StandardCharsets.ISO_8859_1)).doesNotContain(picture);
        assertThat(server.send("GET", build + "/pictures/" + picture, null).statusCode())
                .isEqualTo(200);
        // So does its design, whose picture is the car's.
        String moved = JSON.readTree(
                        server.send("GET", "/api/cars/" + car, null).body())
                .get("designs")
                .valueStream()
                .flatMap(d -> d.get("design").path("relocations").valueStream())
                .map(r -> r.get("picture").stringValue())
                .findFirst()
                .orElseThrow();
        assertThat(moved).isNotEqualTo(OF_THE_CAR);
        assertThat(server.send("GET", "/api/cars/" + car + "/pictures/" + moved, null)
                        .statusCode())
                .isEqualTo(200);
    }

    private static Stream<JsonNode> cars() {
        return JSON.readTree(server.send("GET", "/api/cars", null).body()).valueStream();
    }

    static Stream<Arguments> hostile() {
        return Stream.of(
                arguments("a path that leads out", "../../etc/passwd", f -> f.put("../../etc/passwd", NOTHING)),
                arguments("a path from the root", "/etc/passwd", f -> f.put("/etc/passwd", NOTHING)),
                arguments("a file that is not listed", "cars/more.json", f -> f.put("cars/more.json", NOTHING)),
                arguments("a file that is missing", ".csv", f -> f.remove(only(f, ".csv"))),
                arguments(
                        "an identity that is a path",
                        "/cars/0/id",
                        f -> edit(
                                f,
                                "garage.json",
                                t -> t.replaceFirst(
                                        "\"id\" : \"[^\"]{36}", "\"id\" : \"../../../../../../../../../../etc/pass"))),
                arguments(
                        "a document of the wrong kind",
                        "A text is expected",
                        f -> edit(f, "car.json", t -> t.replaceFirst("\"name\":\"[^\"]*\"", "\"name\":17"))),
                arguments(
                        "a list where an object belongs",
                        "An object is expected",
                        f -> f.put(only(f, "car.json"), "[]".getBytes(StandardCharsets.UTF_8))),
                arguments(
                        "a value out of its range",
                        "oilVolumeL",
                        f -> edit(f, "car.json", t -> t.replaceFirst("\"oilVolumeL\":[0-9.]+", "\"oilVolumeL\":9000"))),
                arguments(
                        "nothing but brackets",
                        "not JSON",
                        f -> f.put(only(f, "/designs/"), "[".repeat(1_000_000).getBytes(StandardCharsets.UTF_8))),
                arguments(
                        "text that is none",
                        "UTF-8",
                        f -> f.put(only(f, "/duties/"), new byte[] {'"', (byte) 0xc3, '"'})),
                arguments(
                        "a document that unpacks to too much",
                        "unpacks to more than",
                        f -> f.put(only(f, "car.json"), new byte[50_000_000])),
                arguments(
                        "rows that are no numbers",
                        "“x”",
                        f -> edit(f, ".csv", t -> t.replaceFirst("(?m)^0.1,", "x,"))),
                arguments(
                        "rows that run backwards",
                        "not after",
                        f -> edit(f, ".csv", t -> t.replaceFirst("(?m)^0.1,", "-3,"))),
                arguments("other columns", "TIME,SPEED,OIL", f -> edit(f, ".csv", t -> t.replaceFirst("SPEED", "RPM"))),
                arguments(
                        "fewer rows than there should be",
                        "rows are expected",
                        f -> edit(f, ".csv", t -> t.substring(0, t.lastIndexOf("899.9")))),
                arguments(
                        "a picture that is none",
                        "picture",
                        f -> f.put(only(f, ".jpg"), "<svg/>".getBytes(StandardCharsets.UTF_8))),
                arguments(
                        "an entry with another's identity",
                        "twice",
                        f -> edit(f, "entries.jsonl", t -> t.lines().findFirst().orElseThrow() + "\n" + t)),
                arguments(
                        "an entry of no kind",
                        "entries.jsonl",
                        f -> edit(f, "entries.jsonl", t -> t.replace("DONE", "PERHAPS"))),
                arguments(
                        "a part of no family",
                        "PISTON",
                        f -> edit(f, "garage.json", t -> t.replace("\"CORE\"", "\"PISTON\""))),
                arguments(
                        "another kind of file",
                        "isotherm-garage",
                        f -> edit(f, "garage.json", t -> t.replace("isotherm-garage", "holiday-pictures"))),
                arguments(
                        "a newer version",
                        "newer Isotherm",
                        f -> edit(
                                f,
                                "garage.json",
                                t -> t.replaceFirst("\"version\" : 2", "\"version\" : 3, \"drivers\" : []"))));
    }

    private static Arguments arguments(String what, String said, Consumer<Map<String, byte[]>> change) {
        return Arguments.of(what, said, change);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    void hostile(String what, String said, Consumer<Map<String, byte[]>> change) {
        byte[] before = exported();
        HttpResponse<String> answer = takenIn(changed(file, change));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains(said);
        assertThat(exported()).as("nothing is half-imported").isEqualTo(before);
    }

    @Test
    void whatIsNoArchiveIsSaidToBeNone() {
        byte[] before = exported();
        assertThat(takenIn(NOTHING).body()).contains("no zip archive");
        assertThat(takenIn("Dear garage".getBytes(StandardCharsets.UTF_8)).body())
                .contains("no zip archive");
        // Cut off in the middle, and damaged in the middle.
        assertThat(takenIn(Arrays.copyOf(file, file.length / 2)).statusCode()).isEqualTo(422);
        byte[] damaged = changed(file, f -> {});
        for (int i = damaged.length / 3; i < damaged.length / 3 + 200; i++) {
            damaged[i] ^= 0x55;
        }
        assertThat(takenIn(damaged).statusCode()).isEqualTo(422);
        assertThat(exported()).isEqualTo(before);
    }

    @Test
    void aDirectoryThatSaysItIsHugeIsNotRead() {
        byte[] archive = file.clone();
        ByteBuffer end = ByteBuffer.wrap(archive).order(ByteOrder.LITTLE_ENDIAN);
        end.putInt(archive.length - 22 + 12, 2_000_000_000);
        assertThat(takenIn(archive).body()).contains("more files than a garage does");
    }

    @Test
    void aFileThatStandsInItTwiceIsNotTaken() {
        byte[] before = exported();
        // The same in both places, so that nothing but its standing there twice is wrong.
        byte[] archive = changed(file, f -> {
            String care = only(f, "care.jsonl");
            f.put(care.replace(".jsonl", ".jsonX"), f.get(care));
        });
        String text = new String(archive, StandardCharsets.ISO_8859_1).replace("care.jsonX", "care.jsonl");
        assertThat(takenIn(text.getBytes(StandardCharsets.ISO_8859_1)).body()).contains("twice");
        assertThat(exported()).isEqualTo(before);
    }

    @Test
    void oneDesignGoesOutAndComesInByteForByte() {
        Wren wren = new Wren(server);
        JsonNode design = wren.demo().get("designs").get(0);
        String id = wren.posted(wren.car() + "/designs", design).get("id").stringValue();
        String out = server.send("GET", "/api/designs/" + id + "/file", null).body();
        HttpResponse<String> in = server.upload(wren.car() + "/designs/file", out);
        assertThat(in.statusCode()).as(in.body()).isEqualTo(201);
        String again = JSON.readTree(in.body()).get("id").stringValue();
        assertThat(again).isNotEqualTo(id);
        assertThat(server.send("GET", "/api/designs/" + again + "/file", null).body())
                .isEqualTo(out);
        assertThat(server.upload(
                                wren.car() + "/designs/file",
                                out.replaceFirst("\"version\" : 2", "\"version\" : 3, \"turbo\" : true"))
                        .body())
                .contains("newer Isotherm")
                .contains("version 3");
        assertThat(server.upload(wren.car() + "/designs/file", out.replaceFirst("\"rows\" : \\d+", "\"rows\" : 900"))
                        .body())
                .contains("/design/cooler/rows")
                .contains("2 to 60");
        assertThat(server.upload(wren.car() + "/designs/file", "{}").body()).contains("isotherm-design");
    }
}
