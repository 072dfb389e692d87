package isotherm.server.api;

import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Kinds of build, a car with a factory air cooler, and what came off, over HTTP against a real database. */
class WorkApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private final Wren wren = new Wren(SERVER);
    private final ObjectNode wanted = wanted();

    private ObjectNode wanted() {
        ObjectNode w = JSON.createObjectNode().put("name", "Job");
        w.set("car", wren.demo().get("car").deepCopy());
        w.set("duty", wren.demo().get("duties").get(0));
        w.set("design", wren.demo().get("designs").get(0).deepCopy());
        return w;
    }

    private ObjectNode design() {
        return (ObjectNode) wanted.get("design");
    }

    private ObjectNode factory() {
        ObjectNode car = (ObjectNode) wanted.get("car");
        ObjectNode cooler = design().get("cooler").deepCopy().asObject();
        cooler.put("rows", 7);
        cooler.remove("placement");
        car.set("factoryCooler", cooler);
        return cooler;
    }

    private JsonNode preview() {
        HttpResponse<String> answer = SERVER.send("POST", "/api/builds/preview", wanted.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private static List<String> each(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(s -> s.get(field).stringValue())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"WHOLE", "CORE", "THERMOSTAT", "IN_SERIES", "HOSES", "EXCHANGER"})
    void eachKindOfBuildIsPreviewedPrintedAndBegun(String work) {
        factory();
        design().put("work", work);
        if (work.equals("EXCHANGER")) {
            design().put("keepFactoryExchanger", false).put("coolantEnds", "BLANKED");
            design().remove(List.of("cooler", "plumbing"));
        }
        JsonNode sheet = preview();
        assertThat(each(sheet.get("steps"), "id")).contains("crank-pressure", "refit-list", "second-hand-over");
        assertThat(each(sheet.get("bill"), "what")).isNotEmpty().anyMatch(w -> w.startsWith("engine oil"));
        assertThat(each(sheet.get("steps"), "id").contains("mount-core"))
                .isEqualTo(List.of("WHOLE", "CORE", "IN_SERIES").contains(work));
        if (work.equals("EXCHANGER")) {
            assertThat(each(sheet.get("bill"), "what")).anyMatch(w -> w.contains("caps"));
            assertThat(each(sheet.get("steps"), "what")).anyMatch(w -> w.contains("cap both coolant stubs"));
        }
        assertThat(SERVER.bytes("POST", "/api/builds/preview.pdf", wanted.toString()))
                .asString(java.nio.charset.StandardCharsets.ISO_8859_1)
                .startsWith("%PDF");
        String build = "/api/builds/"
                + wren.posted(wren.car() + "/builds", wanted).get("id").stringValue();
        assertThat(JSON.readTree(SERVER.send("GET", build, null).body())
                        .at("/build/bill")
                        .size())
                .isEqualTo(sheet.get("bill").size());
    }

    @Test
    void whatCannotBeBuiltNamesItsField() {
        design().put("work", "IN_SERIES");
        assertThat(SERVER.send("POST", "/api/builds/preview", wanted.toString()).body())
                .contains("/car/factoryCooler");
        design().put("work", "EXCHANGER").put("keepFactoryExchanger", true);
        assertThat(SERVER.send("POST", "/api/builds/preview", wanted.toString()).body())
                .contains("/design/keepFactoryExchanger");
    }

    @Test
    void aCarWithAFactoryAirCoolerHasItUntilADesignPutsAnotherInItsPlace() {
        ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ObjectNode own = (ObjectNode) asked.at("/design/cooler");
        own.remove("placement");
        ((ObjectNode) asked.get("design")).remove("plumbing");
        double alone = peak(asked);
        ObjectNode today = asked.deepCopy();
        ((ObjectNode) today.get("design")).remove("cooler");
        double bare = peak(today);
        ((ObjectNode) today.get("car")).set("factoryCooler", own.deepCopy().put("rows", 7));
        double factory = peak(today);
        assertThat(factory).isLessThan(bare - 2);
        ((ObjectNode) asked.get("car")).set("factoryCooler", own.deepCopy().put("rows", 7));
        assertThat(peak(asked)).as("in its place").isEqualTo(alone);
        ((ObjectNode) asked.get("design")).put("work", "IN_SERIES");
        assertThat(peak(asked)).isLessThan(Math.min(factory, alone) - 1);
    }

    @Test
    void aRemedyOfTheFactoryCoolerSaysWhatOfItIsBuilt() {
        ObjectNode today = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ObjectNode own = (ObjectNode) today.at("/design/cooler");
        own.remove("placement");
        ((ObjectNode) today.get("car")).set("factoryCooler", own.put("rows", 7));
        ((ObjectNode) today.get("design")).remove(List.of("cooler", "plumbing"));
        List<JsonNode> remedies = outcome(today).findValues("design").stream()
                .filter(d -> d.has("cooler"))
                .toList();
        assertThat(remedies).isNotEmpty().allMatch(d -> d.has("work"));
    }

    private static JsonNode outcome(JsonNode asked) {
        HttpResponse<String> answer = SERVER.send("POST", "/api/outcome", asked.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private static double peak(JsonNode asked) {
        return outcome(asked).findValue("peakC").doubleValue();
    }

    @Test
    void theRadiatorThatMakesRoomHasItsCoolantDrainedAndLookedAtAgain() {
        assertThat(each(preview().get("steps"), "id")).doesNotContain("strip-coolant");
        wanted.put("coolantOpened", true);
        assertThat(each(preview().get("steps"), "id"))
                .contains("strip-coolant", "fill-coolant", "warm-coolant", "second-coolant");
        wanted.remove("coolantOpened");
        wanted.at("/car/nose/parts").forEach(p -> {
            if (p.get("kind").stringValue().equals("RADIATOR")) {
                design().putArray("relocations")
                        .addObject()
                        .put("name", p.get("name").stringValue())
                        .put("what", "MOVED");
            }
        });
        assertThat(each(preview().get("steps"), "id")).contains("strip-coolant");
    }

    @Test
    void aLeakIsMendedStepByStepAndStaysInTheRecord() {
        String build = wren.begin("Leaky", 1.4);
        ObjectNode leak = entry("LEAK", "crank-joints")
                .put("text", "feed, at the takeoff")
                .put("leak", "CONE");
        assertThat(send(build, leak)).isEqualTo(201);
        assertThat(send(build, entry("READING", "crank-pressure").put("value", 2)))
                .isEqualTo(201);
        assertThat(send(build, entry("DONE", "crank-pressure"))).isEqualTo(201);
        assertThat(send(build, entry("DONE", "crank-joints"))).isEqualTo(422);
        String id = leak.get("id").stringValue();
        assertThat(send(build, entry("LEAK_STEP", id).put("text", "RENEW"))).isEqualTo(422);
        for (String no : List.of("PRAY", "TOP", ",")) {
            assertThat(SERVER.send(
                                    "POST",
                                    build + "/entries",
                                    entry("LEAK_STEP", id).put("text", no).toString())
                            .body())
                    .as(no)
                    .contains("/text", "STOP");
        }
        for (String s : List.of("STOP", "LET_DOWN", "LOOK", "RENEW", "TIGHTEN", "CLEAN", "DRY")) {
            ObjectNode step = entry("LEAK_STEP", id).put("text", s);
            if (s.equals("TIGHTEN")) {
                step.put("value", 42);
            }
            assertThat(send(build, step)).as(s).isEqualTo(201);
        }
        assertThat(send(build, entry("DONE", "crank-joints"))).isEqualTo(201);
        JsonNode kept = JSON.readTree(SERVER.send("GET", build, null).body()).at("/progress/leaks/0");
        assertThat(kept.get("open").booleanValue()).isFalse();
        assertThat(kept.at("/steps/4/done/value").doubleValue()).isEqualTo(42);
        assertThat(kept.at("/steps/2/what/values/kind/choice").stringValue()).isEqualTo("CONE");
    }

    @Test
    void fastenersHaveKindSizeLengthAndPlaceAndGoBackAfterWhatTheyHold() {
        String build = wren.begin("Items", 1.4);
        ObjectNode bumper = entry("OFF", "").put("text", "bumper cover");
        bumper.putObject("item").put("kind", "PANEL");
        assertThat(send(build, bumper)).isEqualTo(201);
        ObjectNode bolts = entry("OFF", bumper.get("id").stringValue()).put("text", "upper bolts");
        bolts.putObject("item")
                .put("kind", "BOLT")
                .put("size", "M6")
                .put("lengthMm", 20)
                .put("count", 4)
                .put("place", "upper edge");
        assertThat(send(build, bolts)).isEqualTo(201);
        assertThat(send(build, entry("BACK_ON", bolts.get("id").stringValue()))).isEqualTo(422);
        JsonNode off = JSON.readTree(SERVER.send("GET", build, null).body()).at("/progress/off");
        assertThat(each(off, "mark")).containsExactly("A", "A1");
        assertThat(off.at("/1/off/item/size").stringValue()).isEqualTo("M6");
        assertThat(SERVER.send(
                                "POST",
                                build + "/entries",
                                bolts.deepCopy()
                                        .put("id", java.util.UUID.randomUUID().toString())
                                        .put("kind", "NOTE")
                                        .toString())
                        .body())
                .contains("/item");
    }

    private static int send(String build, ObjectNode entry) {
        return SERVER.send("POST", build + "/entries", entry.toString()).statusCode();
    }

    @Test
    void theHandOverSaysWhatWasFittedHowItWasTightenedAndWhatHappened() throws IOException {
        String build = wren.begin("Handed on", 1.4);
        assertThat(send(build, entry("READING", "takeoff-fit").put("value", 33)))
                .isEqualTo(201);
        assertThat(send(build, entry("DONE", "takeoff-fit"))).isEqualTo(201);
        assertThat(send(build, entry("NOTE", "takeoff-fit").put("text", "a new bolt")))
                .isEqualTo(201);
        assertThat(send(build, entry("OVERRIDE", "START").put("text", "shown on a bench")))
                .isEqualTo(201);
        assertThat(send(build, entry("OFF", "").put("text", "undertray"))).isEqualTo(201);
        ObjectNode leak =
                entry("LEAK", "crank-joints").put("text", "oil filter").put("leak", "GASKET");
        assertThat(send(build, leak)).isEqualTo(201);
        String text = text(SERVER.bytes("GET", build + "/hand-over.pdf", null));
        assertThat(text)
                .contains(
                        "What was fitted", "hose", "33 N·m", "a new bolt", "shown on a bench", "STILL OFF: A undertray")
                .contains("oil filter", "NOT mended", "are not done", "Taken over by");
        assertThat(text(SERVER.bytes("GET", build + "/hand-over.pdf?imperial=TORQUE", null)))
                .contains("24 lb·ft");
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(SERVER.bytes("GET", build + "/hand-over.zip", null)))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), zip.readAllBytes());
            }
        }
        assertThat(files).containsOnlyKeys("README.txt", "hand-over.pdf", "build.json", "entries.json", "care.json");
        assertThat(JSON.readTree(files.get("entries.json"))).hasSize(6);
        assertThat(JSON.readTree(files.get("build.json")).get("name").stringValue())
                .isEqualTo("Handed on");
    }

    private static String text(byte[] pdf) throws IOException {
        try (PdfReader reader = new PdfReader(pdf)) {
            StringBuilder all = new StringBuilder();
            PdfTextExtractor extractor = new PdfTextExtractor(reader);
            for (int page = 1; page <= reader.getNumberOfPages(); page++) {
                all.append(extractor.getTextFromPage(page)).append(' ');
            }
            return all.toString().replace('\u00a0', ' ').replaceAll("\\s+", " ");
        }
    }
}
