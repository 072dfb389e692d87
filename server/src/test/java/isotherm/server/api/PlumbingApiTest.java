package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.MessageDocument;
import isotherm.server.garage.BayDocument;
import isotherm.server.garage.PlumbingDocument;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.Plumbed;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What the plumbing comes to, over HTTP, with its files and its catalogue. */
class PlumbingApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    private Path folder;

    private static ObjectNode question(Consumer<ObjectNode> change) {
        ObjectNode q = (ObjectNode) JSON.readTree(Examples.read("plumb"));
        // Three searches more for each question: only asked for where they are looked at.
        q.put("sizes", false);
        change.accept(q);
        return q;
    }

    private static ObjectNode plumbing(ObjectNode q) {
        return (ObjectNode) q.get("design").get("plumbing");
    }

    private static HttpResponse<String> asked(ObjectNode q) {
        return SERVER.send("POST", "/api/plumb", q.toString());
    }

    private static JsonNode answer(Consumer<ObjectNode> change) {
        HttpResponse<String> response = asked(question(change));
        assertThat(response.statusCode()).as(response.body()).isEqualTo(200);
        return JSON.readTree(response.body());
    }

    @Test
    void theExampleFindsBothRoutesAndTheirConsequences() {
        JsonNode p = answer(q -> q.put("sizes", true));
        assertThat(p.get("fit").get("misfits")).isEmpty();
        assertThat(p.get("lines")).hasSize(2).allSatisfy(l -> {
            assertThat(l.get("found").booleanValue()).isTrue();
            assertThat(l.get("joints")).isNotEmpty().allMatch(j -> j.get("tight")
                    .booleanValue());
            assertThat(l.get("holes")).as("through the panel").hasSize(1);
            JsonNode cut = l.get("cut");
            assertThat(cut.get("cutMm").doubleValue())
                    .isEqualTo(
                            cut.get("centreLineMm").doubleValue()
                                    - cut.get("deductionFromMm").doubleValue()
                                    - cut.get("deductionToMm").doubleValue()
                                    + cut.get("insertionFromMm").doubleValue()
                                    + cut.get("insertionToMm").doubleValue()
                                    + cut.get("slackMm").doubleValue(),
                            within(0.4));
        });
        assertThat(p.get("figures").get("points")).hasSize(6);
        assertThat(p.get("sizes"))
                .hasSize(3)
                .filteredOn(s -> s.get("chosen").booleanValue())
                .hasSize(1);
        double[] losses = StreamSupport.stream(p.get("sizes").spliterator(), false)
                .mapToDouble(s -> s.get("lossBar").doubleValue())
                .toArray();
        assertThat(losses).as("a wider hose loses less").isSortedAccordingTo((a, b) -> Double.compare(b, a));
    }

    @ParameterizedTest
    @ValueSource(strings = {"1-corvid", "2-hauler", "3-wren"})
    void everyDemoCarIsPlumbed(String car) throws IOException {
        JsonNode demo = JSON.readTree(Files.readString(Path.of("../demo/" + car + ".json")));
        ObjectNode q = JSON.createObjectNode();
        q.set("car", demo.get("car"));
        q.set("duty", demo.get("duties").get(0));
        q.set("design", demo.get("designs").get(0));
        Plumbed p = PlumbingSolver.plumb(
                DocumentReader.read(q.toString(), PlumbQuestion.class),
                PlumbingParts.shipped(),
                CorePart.shipped(),
                () -> false);
        assertThat(p.fit().misfits()).isEmpty();
        assertThat(p.lines()).allMatch(Plumbed.PlumbedLine::found).allMatch(l -> l.troubles()
                .isEmpty());
        for (Plumbed.PlumbedLine l : p.lines()) {
            keepsClear(l, p, q);
        }
        // The demo garage has the routed hoses in its designs.
        assertThat(p.loop().feed().lengthM())
                .isEqualTo(q.at("/design/cooler/feed/lengthM").doubleValue(), within(1e-3));
        assertThat(p.loop().plateHeads())
                .isEqualTo(q.at("/design/cooler/plateHeads").doubleValue(), within(1e-2));
    }

    /** A box across both hoses of the Corvid: nothing else, taken away alone, lets them through. */
    @Test
    void theBoxThatCutsBothHosesOffIsNamed() throws IOException {
        JsonNode demo = JSON.readTree(Files.readString(Path.of("../demo/1-corvid.json")));
        ObjectNode q = JSON.createObjectNode();
        q.set("car", demo.get("car"));
        q.set("duty", demo.get("duties").get(0));
        q.set("design", demo.get("designs").get(0));
        q.withObject("/car/bay")
                .withArray("boxes")
                .addObject()
                .put("name", "hot box")
                .put("kind", "HOT")
                .put("leftMm", -480)
                .put("widthMm", 200)
                .put("bottomMm", 300)
                .put("heightMm", 250)
                .put("frontMm", 420)
                .put("depthMm", 60);
        Plumbed p = PlumbingSolver.plumb(
                DocumentReader.read(q.toString(), PlumbQuestion.class),
                PlumbingParts.shipped(),
                CorePart.shipped(),
                () -> false);
        assertThat(p.lines()).filteredOn(l -> !l.found()).isNotEmpty().allSatisfy(l -> assertThat(l.inTheWay())
                .contains("hot box"));
    }

    /** The nearest point of each box by clamping, in millimetres as they stand in the answer. */
    private static void keepsClear(Plumbed.PlumbedLine l, Plumbed p, ObjectNode q) {
        double radius = PlumbingParts.shipped().hoses().stream()
                        .filter(h ->
                                h.number().equals(q.at("/design/plumbing/hose").stringValue()))
                        .findFirst()
                        .orElseThrow()
                        .outside()
                * 500;
        for (PlumbingDocument.PointDocument at : l.points()) {
            for (BayDocument.BoxDocument b : p.boxes()) {
                boolean inHole = StreamSupport.stream(q.at("/car/bay/holes").spliterator(), false)
                        .filter(h -> h.get("panel").stringValue().equals(b.name()))
                        .anyMatch(h -> Math.hypot(
                                        at.xMm() - h.get("xMm").doubleValue(),
                                        at.yMm() - h.get("yMm").doubleValue())
                                <= h.get("diameterMm").doubleValue() / 2 - radius);
                double dx = at.xMm() - Math.min(Math.max(at.xMm(), b.leftMm()), b.leftMm() + b.widthMm());
                double dy = at.yMm() - Math.min(Math.max(at.yMm(), b.bottomMm()), b.bottomMm() + b.heightMm());
                double dz = at.zMm() - Math.min(Math.max(at.zMm(), b.frontMm()), b.frontMm() + b.depthMm());
                if (!inHole) {
                    assertThat(Math.sqrt(dx * dx + dy * dy + dz * dz) - radius)
                            .as("%s from %s at %s", l.name(), b.name(), at)
                            .isGreaterThan(b.kind().clearance() * 1e3 - 1.5);
                }
            }
        }
    }

    @Test
    void theCoresOtherPortIsFedWhereItsMakerSaysSo() {
        double fed =
                answer(q -> {}).get("lines").get(0).get("toPort").get("xMm").doubleValue();
        JsonNode other = answer(q -> plumbing(q).put("feed", "OTHER"));
        assertThat(other.get("lines").get(0).get("toPort").get("xMm").doubleValue())
                .isEqualTo(-fed, within(0.2));
        assertThat(other.get("notes").toString()).contains("plumbingNote.FEED_OTHER.text");
    }

    @Test
    void theBillHasTheWholeDesign() {
        JsonNode p = answer(q -> {
            ObjectNode cooler = (ObjectNode) q.get("design").get("cooler");
            cooler.put("mesh", true);
            cooler.putObject("fan")
                    .put("stallPa", 220)
                    .put("freeFlowM3PerS", 0.35)
                    .put("onC", 98)
                    .put("offC", 90);
            ObjectNode placement = (ObjectNode) cooler.get("placement");
            placement.put("shroud", true).put("foam", true).put("skidPlate", true);
            for (int x : new int[] {-120, 0, 120}) {
                placement
                        .withArray("mounts")
                        .addObject()
                        .put("xMm", x)
                        .put("yMm", 40)
                        .put("holeMm", 6.5)
                        .put("method", "RIVET_NUT")
                        .put("rubber", true);
            }
            plumbing(q).put("sleeved", true).put("takeoff", "HR-M20");
        });
        String bill = p.get("bill")
                .valueStream()
                .map(b -> Words.english()
                                .render(
                                        JSON.treeToValue(b.get("what"), MessageDocument.class)
                                                .toCore(),
                                        UnitChoice.METRIC)
                        + " " + b.get("number").stringValue())
                .collect(Collectors.joining("\n"));
        assertThat(bill)
                .contains("core, 10 rows of 210 mm")
                .contains("Tarn & Fell TF10-210")
                .contains("stone mesh", "fan, 0.35 m", "foam strip", "skid plate", "rivet nut", "rivet-nut tool")
                .contains("rubber mount", "heat sleeve", "thermostat");
    }

    @Test
    void solveGivesTheSameAnswer() {
        Plumbed solved = PlumbingSolver.plumb(
                DocumentReader.read(Examples.read("plumb"), PlumbQuestion.class),
                PlumbingParts.shipped(),
                CorePart.shipped(),
                () -> false);
        assertThat(JSON.readTree(JSON.writeValueAsString(solved))
                        .get("lines")
                        .get(0)
                        .get("points"))
                .isEqualTo(answer(q -> {}).get("lines").get(0).get("points"));
    }

    @Test
    void everyProblemOfAQuestionIsNamed() {
        HttpResponse<String> response = asked(question(q -> {
            ((ObjectNode) q.get("car").get("bay")).put("topMm", 203);
            ((ObjectNode) q.get("car").get("bay").get("holes").get(0)).put("panel", "no such panel");
            ((ObjectNode) q.get("car").get("bay").get("stand")).put("faceOuterMm", 40);
        }));
        assertThat(response.statusCode()).isEqualTo(422);
        List<String> paths = StreamSupport.stream(
                        JSON.readTree(response.body()).get("problems").spliterator(), false)
                .map(p -> p.get("path").stringValue())
                .toList();
        assertThat(paths).contains("/car/bay/topMm", "/car/bay/holes/0/panel", "/car/bay/stand/faceOuterMm");
        assertThat(asked(question(q -> plumbing(q).put("clockDeg", 400))).body())
                .contains("/design/plumbing/clockDeg", "0 to 360");
        HttpResponse<String> nothing = asked(question(q -> {
            ((ObjectNode) q.get("car")).remove("bay");
            plumbing(q).put("level", "BAY");
        }));
        assertThat(nothing.body()).contains("The bay has to be measured for this");
        assertThat(asked(question(q -> ((ObjectNode) q.get("design")).remove("plumbing")))
                        .body())
                .contains("The plumbing has to be chosen first");
        assertThat(asked(question(q -> plumbing(q).put("takeoff", "none").put("hose", "string")))
                        .body())
                .contains("There is no such takeoff", "There is no such hose");
    }

    @Test
    void aPortThatNothingFitsIsSaidInWords() {
        JsonNode p = answer(q -> plumbing(q).put("corePort", "METRIC").put("corePortSize", "M33x2"));
        assertThat(p.get("lines").get(0).get("found").booleanValue()).isFalse();
        assertThat(p.get("lines").get(0).get("joints").get(0).get("whyNot").stringValue())
                .contains("no adaptors of the catalogue lead from M33x2 metric thread, female");
        assertThat(p.get("loop")).isNull();
        assertThat(p.get("figures")).isNull();
    }

    @Test
    void notesFollowTheChoices() {
        JsonNode down = answer(q -> ((ObjectNode) q.get("design").get("cooler")).put("ports", "DOWN"));
        assertThat(down.get("notes").toString()).contains("plumbingNote.PORTS_DOWN.text");
        JsonNode push = answer(q -> plumbing(q).put("hose", "OP-10"));
        assertThat(push.get("notes").toString()).contains("plumbingNote.HOSE_TOO_COOL.text");
        assertThat(order(push)).contains("Warm the end");
        JsonNode plain = answer(q -> plumbing(q).put("takeoff", "HR-M20"));
        assertThat(plain.get("notes").toString()).contains("plumbingNote.TAKEOFF_LACKS_THERMOSTAT.text");
    }

    @Test
    void theBillIsATableWithWhatIsThereStruckOff() {
        ObjectNode q = question(x -> plumbing(x).putArray("have").add("Hawkrigg HPG-M20"));
        String csv = SERVER.send("POST", "/api/plumb/bill.csv", q.toString()).body();
        List<String> lines = csv.lines().toList();
        assertThat(lines.get(0)).isEqualTo("group,what,number,quantity,unit,each,price,currency,have");
        assertThat(lines.stream().filter(l -> l.endsWith(",yes")))
                .singleElement()
                .satisfies(l -> assertThat(l).startsWith("parts,sandwich plate,Hawkrigg HPG-M20,1.0,pcs,96.00,96.00"));
        double sum = lines.stream()
                .skip(1)
                .filter(l -> !l.endsWith(",yes"))
                .mapToDouble(l -> {
                    String[] cells = l.replaceAll("\"[^\"]*\"", "quoted").split(",", -1);
                    return Double.parseDouble(cells[6]);
                })
                .sum();
        JsonNode answer = JSON.readTree(asked(q).body());
        assertThat(answer.get("kit").get("toBuy").doubleValue()).isEqualTo(sum, within(0.02));
    }

    private String pdfText(String file) throws IOException, InterruptedException {
        Path pdf = folder.resolve("it.pdf");
        Files.write(pdf, SERVER.bytes("POST", "/api/plumb/" + file, Examples.read("plumb")));
        Path text = folder.resolve("it.txt");
        assertThat(new ProcessBuilder("pdftotext", "-layout", pdf.toString(), text.toString())
                        .start()
                        .waitFor())
                .isZero();
        return Files.readString(text);
    }

    @Test
    void cutListAndBillArePrinted() throws IOException, InterruptedException {
        JsonNode p = answer(q -> {});
        String cut = pdfText("cut-list.pdf");
        for (JsonNode l : p.get("lines")) {
            assertThat(cut).contains(Math.round(l.get("cut").get("cutMm").doubleValue()) + " mm");
        }
        assertThat(cut.replaceAll("\\s+", " ")).contains("braid wire stabs", "maker's torque comes before");
        String bill = pdfText("bill.pdf");
        assertThat(bill).contains("Parts", "Used up", "Tools", "sandwich plate");
        assertThat(bill.replaceAll("\\s+", " ")).contains("Prices and hours are estimates");
    }

    private static String order(JsonNode plumbed) {
        return plumbed.at("/lines/0/cut/order")
                .valueStream()
                .map(m ->
                        DocumentReader.read(m.toString(), MessageDocument.class).toCore())
                .map(m -> Words.english().render(m, UnitChoice.METRIC))
                .collect(Collectors.joining("; "));
    }

    @Test
    void pushOnHoseIsCutWithAKnifeAndBraidWithASaw() {
        String pushOn = JSON.readTree(
                        SERVER.send("GET", "/api/catalogue/plumbing", null).body())
                .get("hoses")
                .valueStream()
                .filter(h -> h.get("family").stringValue().equals("PUSH_ON")
                        && h.get("dash").stringValue().equals("-10"))
                .findFirst()
                .orElseThrow()
                .get("number")
                .stringValue();
        assertThat(order(answer(q -> plumbing(q).put("hose", pushOn))))
                .contains("sharp knife")
                .doesNotContain("saw");
        assertThat(order(answer(q -> {}))).contains("fine saw", "gloves").doesNotContain("knife");
    }
}
