package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.server.testing.Dxf;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Sides of a shroud over HTTP: made from an opening, folded, drawn, billed. */
class PanelsTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private static ObjectNode question() {
        JsonNode example = JSON.readTree(Examples.read("plumb"));
        ObjectNode q = JSON.createObjectNode();
        q.set("car", example.get("car").deepCopy());
        q.set("design", example.get("design").deepCopy());
        return q;
    }

    private static String opening(ObjectNode q) {
        return q.get("car").get("nose").get("openings").get(0).get("name").stringValue();
    }

    private static ObjectNode placement(ObjectNode q) {
        return (ObjectNode) q.get("design").get("cooler").get("placement");
    }

    private static JsonNode answer(String path, ObjectNode q) {
        HttpResponse<String> r = SERVER.send("POST", path, q.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body());
    }

    private static ObjectNode shrouded() {
        ObjectNode q = question();
        ObjectNode asked = q.deepCopy();
        asked.put("opening", opening(q));
        placement(q).set("panels", answer("/api/brackets/shroud", asked));
        return q;
    }

    @Test
    void aShroudLeadsFromTheOpeningsEdgesToTheCores() {
        ObjectNode q = shrouded();
        ArrayNode sides = (ArrayNode) placement(q).get("panels");
        assertThat(sides).hasSize(4);
        JsonNode mouth = q.get("car").get("nose").get("openings").get(0);
        JsonNode upper = sides.get(0);
        assertThat(upper.at("/car/from/xMm").doubleValue())
                .isEqualTo(mouth.get("leftMm").doubleValue());
        assertThat(upper.at("/car/from/yMm").doubleValue())
                .isEqualTo(mouth.get("bottomMm").doubleValue()
                        + mouth.get("heightMm").doubleValue());
        JsonNode folded = answer("/api/brackets/panels", q);
        assertThat(folded).hasSize(4);
        for (JsonNode side : folded) {
            assertThat(side.get("flat").get("outline").size()).isGreaterThanOrEqualTo(4);
            assertThat(side.get("flat").get("holes")).hasSize(4);
            assertThat(side.get("massKg").doubleValue()).isPositive();
        }
    }

    @Test
    void svgAndDxfHaveEveryHoleOfEverySide() throws Exception {
        ObjectNode q = shrouded();
        String svg =
                SERVER.send("POST", "/api/brackets/patterns.svg", q.toString()).body();
        NodeList circles = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)))
                .getElementsByTagName("circle");
        assertThat(circles.getLength()).isEqualTo(16);
        double apart = distance(circles, 0, 1);
        JsonNode holes = answer("/api/brackets/panels", q).get(0).get("flat").get("holes");
        double wanted = Math.hypot(
                holes.get(0).get("xMm").doubleValue() - holes.get(1).get("xMm").doubleValue(),
                holes.get(0).get("yMm").doubleValue() - holes.get(1).get("yMm").doubleValue());
        assertThat(apart).isEqualTo(wanted, within(0.2));
        List<double[]> dxf = Dxf.circles(SERVER.bytes("POST", "/api/brackets/patterns.dxf", q.toString()));
        assertThat(dxf).hasSize(16).allSatisfy(c -> assertThat(c[2]).isEqualTo(5, within(1e-6)));
        assertThat(Math.hypot(dxf.get(0)[0] - dxf.get(1)[0], dxf.get(0)[1] - dxf.get(1)[1]))
                .isEqualTo(wanted, within(0.2));
    }

    private static double distance(NodeList circles, int a, int b) {
        return Math.hypot(at(circles, a, "cx") - at(circles, b, "cx"), at(circles, a, "cy") - at(circles, b, "cy"));
    }

    private static double at(NodeList circles, int i, String name) {
        return Double.parseDouble(
                circles.item(i).getAttributes().getNamedItem(name).getNodeValue());
    }

    @Test
    void panelsThatFitStandOnTheBillInsteadOfSheetForAShroud() {
        ObjectNode q = shrouded();
        placement(q).put("shroud", true);
        JsonNode plumb = JSON.readTree(Examples.read("plumb"));
        ObjectNode asked = (ObjectNode) plumb;
        asked.set("car", q.get("car"));
        asked.set("design", q.get("design"));
        long good = answer("/api/brackets/panels", q)
                .valueStream()
                .filter(p -> p.get("problems").isEmpty())
                .count();
        assertThat(good).as("sides that can be made").isPositive();
        List<String> bill = answer("/api/plumb", asked)
                .get("bill")
                .valueStream()
                .map(b -> b.get("what").get("key").stringValue())
                .toList();
        assertThat(bill).filteredOn("bill.PANEL.what"::equals).hasSize((int) good);
        assertThat(bill).doesNotContain("bill.SHROUD.what");
    }

    @Test
    void anOpeningThatIsNotThereIsNamed() {
        ObjectNode q = question();
        q.put("opening", "sun roof");
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets/shroud", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(r.body()).contains("/opening", "sun roof");
    }

    @Test
    void twoPiecesOfOneMarkAreRefused() {
        ObjectNode q = shrouded();
        ((ObjectNode) placement(q).get("panels").get(1)).put("mark", "S1");
        HttpResponse<String> r = SERVER.send("POST", "/api/brackets/panels", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(r.body()).contains("/panels/1/mark");
    }
}
