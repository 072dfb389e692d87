package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.Builds;
import isotherm.server.contract.DocumentReader;
import isotherm.server.testing.Dxf;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Brackets over HTTP: what they come to, their papers, and where they stand in bill and run sheet. */
class BracketsTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    /** The example's core with one bracket from a floor 40 mm under its left hole up to its back. */
    private static ObjectNode question() {
        JsonNode example = JSON.readTree(Examples.read("plumb"));
        ObjectNode q = JSON.createObjectNode();
        q.set("car", example.get("car").deepCopy());
        q.set("design", example.get("design").deepCopy());
        ((ObjectNode) q.get("car")).remove("nose");
        ObjectNode at = placement(q);
        at.put("xMm", 0).put("yMm", 400).put("zMm", 200).put("tiltDeg", 0);
        ObjectNode b = at.putArray("brackets").addObject();
        b.put("mark", "A").put("sheet", "ALUMINIUM_5754");
        b.put("thicknessMm", 2).put("radiusMm", 3).put("edgeMm", 14);
        b.putObject("car")
                .put("xMm", -150)
                .put("yMm", 280)
                .put("zMm", 310)
                .put("faces", "UP")
                .put("holeMm", 6.5);
        b.putObject("core")
                .put("xMm", -150)
                .put("yMm", -60)
                .put("zMm", 50)
                .put("faces", "BACK")
                .put("holeMm", 8.5);
        return q;
    }

    private static ObjectNode placement(ObjectNode q) {
        return (ObjectNode) q.get("design").get("cooler").get("placement");
    }

    private static ObjectNode bracket(ObjectNode q) {
        return (ObjectNode) placement(q).get("brackets").get(0);
    }

    private static JsonNode answer(ObjectNode q) {
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets", q.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body()).get(0);
    }

    @Test
    void aBracketFromAFloorToTheCoresBack() {
        JsonNode b = answer(question());
        assertThat(b.get("problems")).isEmpty();
        JsonNode flat = b.get("flat");
        // 60 mm forward to the core's back at 250 mm and 60 mm up, less a thickness's half each; one bend.
        double k = (0.65 + 0.5 * Math.log10(1.5)) / 2;
        double length = 14 + (59 - 4) + Math.PI / 2 * (3 + k * 2) + (59 - 4) + 14;
        assertThat(flat.get("lengthMm").doubleValue()).isCloseTo(length, within(0.02));
        assertThat(flat.get("bends")).hasSize(1);
        assertThat(flat.get("bends").get(0).get("deg").doubleValue()).isCloseTo(90, within(0.01));
        assertThat(b.get("corners")).hasSize(3);
    }

    @Test
    void eachProblemIsNamedWithTheFigureThatWouldDo() {
        ObjectNode q = question();
        bracket(q).put("radiusMm", 1).put("edgeMm", 8);
        JsonNode problems = answer(q).get("problems");
        assertThat(problems).extracting(p -> p.get("kind").stringValue()).containsExactly("RADIUS", "EDGE");
        assertThat(problems.get(0).at("/what/values/needs/value").doubleValue()).isEqualTo(2);
        q = question();
        ((ObjectNode) bracket(q).get("car")).put("yMm", 330);
        assertThat(answer(q).get("problems").get(0).get("kind").stringValue()).isEqualTo("HOLE_AT_BEND");
        q = question();
        bracket(q).put("thicknessMm", 60);
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(r.body()).contains("/design/cooler/placement/brackets/0/thicknessMm", "0.8 to 6");
    }

    @Test
    void twoBracketsOfOneMarkAreRefused() {
        ObjectNode q = question();
        ((tools.jackson.databind.node.ArrayNode) placement(q).get("brackets"))
                .add(bracket(q).deepCopy());
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(r.body()).contains("/design/cooler/placement/brackets/1/mark");
    }

    @Test
    void oneThatCannotBeMadeIsNeitherBoughtNorMade() {
        ObjectNode q = question();
        bracket(q).put("radiusMm", 1);
        q.set("duty", JSON.readTree(Examples.read("plumb")).get("duty"));
        assertThat(SERVER.send("POST", "/api/plumb", q.toString()).body()).doesNotContain("bill.BRACKET.what");
    }

    @Test
    void whatItGoesThroughInTheNoseIsNamed() {
        ObjectNode q = question();
        ((ObjectNode) q.get("car"))
                .set("nose", JSON.readTree(Examples.read("plumb")).get("car").get("nose"));
        assertThat(answer(q).get("problems"))
                .extracting(
                        p -> p.get("what").get("values").get("what").get("text").stringValue())
                .contains("condenser", "radiator");
    }

    @Test
    void svgAndDxfHoldTheSameHolesAsThePattern() throws Exception {
        String q = question().toString();
        JsonNode flat = answer(question()).get("flat");
        List<double[]> wanted = new ArrayList<>();
        flat.get("holes")
                .forEach(h -> wanted.add(new double[] {
                    h.get("xMm").doubleValue(),
                    h.get("yMm").doubleValue(),
                    h.get("holeMm").doubleValue()
                }));

        // The platform's own XML reader.
        byte[] svg = SERVER.bytes("POST", "/api/brackets/patterns.svg", q);
        org.w3c.dom.Document d =
                DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(svg));
        NodeList circles = d.getElementsByTagName("circle");
        List<double[]> drawn = new ArrayList<>();
        for (int i = 0; i < circles.getLength(); i++) {
            var a = circles.item(i).getAttributes();
            drawn.add(new double[] {
                Double.parseDouble(a.getNamedItem("cx").getNodeValue()),
                -Double.parseDouble(a.getNamedItem("cy").getNodeValue()),
                2 * Double.parseDouble(a.getNamedItem("r").getNodeValue())
            });
        }
        same(wanted, drawn);
        same(wanted, Dxf.circles(SERVER.bytes("POST", "/api/brackets/patterns.dxf", q)));
        for (String paper : List.of("A4", "A3", "SHEET")) {
            byte[] pdf = SERVER.bytes("POST", "/api/brackets/patterns.pdf?paper=" + paper, q);
            assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
        }
    }

    /** The same but for where the drawing has its corner. */
    private static void same(List<double[]> wanted, List<double[]> drawn) {
        assertThat(drawn).hasSameSizeAs(wanted);
        for (int i = 0; i < wanted.size(); i++) {
            assertThat(drawn.get(i)[0] - drawn.get(0)[0]).isCloseTo(wanted.get(i)[0] - wanted.get(0)[0], within(0.02));
            assertThat(drawn.get(i)[1] - drawn.get(0)[1]).isCloseTo(wanted.get(i)[1] - wanted.get(0)[1], within(0.02));
            assertThat(drawn.get(i)[2]).isCloseTo(wanted.get(i)[2], within(0.002));
        }
    }

    @Test
    void itStandsOnTheBillAndOnTheRunSheet() {
        ObjectNode q = question();
        q.set("duty", JSON.readTree(Examples.read("plumb")).get("duty"));
        String plumbed = SERVER.send("POST", "/api/plumb", q.toString()).body();
        assertThat(plumbed).contains("bill.BRACKET.what");
        q.put("name", "With a bracket");
        List<SheetStep> steps = Builds.begin(
                        DocumentReader.read(q.toString(), NewBuild.class),
                        PlumbingParts.shipped(),
                        CorePart.shipped(),
                        Instant.EPOCH)
                .steps();
        assertThat(steps)
                .filteredOn(s -> s.id().equals("mount-bracket-A"))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.what()).contains("bracket A", "aluminium 5754", "one bend");
                    assertThat(s.caution()).contains("Gloves");
                });
    }

    @Test
    void aStrayQuestionSaysWhatIsMissing() {
        ObjectNode q = question();
        ((ObjectNode) q.get("design").get("cooler")).remove("placement");
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(r.body()).contains("/design/cooler/placement");
    }
}
