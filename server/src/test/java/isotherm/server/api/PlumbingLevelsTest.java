package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.BuildDocuments.SheetFigure;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.Builds;
import isotherm.server.contract.DocumentReader;
import isotherm.server.testing.RunningServer;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The demo cars' hoses by two wires, by four ports and by the whole bay. */
class PlumbingLevelsTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private static ObjectNode question(String demo) throws IOException {
        JsonNode garage = JSON.readTree(Files.readString(Path.of("..", "demo", demo + ".json")));
        for (JsonNode design : garage.get("designs")) {
            if (design.has("plumbing")) {
                ObjectNode q = JSON.createObjectNode();
                q.set("car", garage.get("car").deepCopy());
                q.set("duty", garage.get("duties").get(0));
                q.set("design", design.deepCopy());
                return q;
            }
        }
        throw new IllegalStateException(demo);
    }

    private static ObjectNode plumbing(ObjectNode q) {
        return (ObjectNode) q.get("design").get("plumbing");
    }

    private static JsonNode answer(ObjectNode q) {
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body());
    }

    private static ObjectNode stranger(ObjectNode q) {
        ((ObjectNode) q.get("car")).remove(List.of("bay", "nose"));
        ((ObjectNode) q.get("design").get("cooler")).remove("placement");
        return q;
    }

    private static ObjectNode wire(JsonNode line) {
        ObjectNode w = JSON.createObjectNode();
        w.put("lengthMm", line.get("cut").get("wireMm").doubleValue());
        w.put("bends", line.get("cut").get("bends").doubleValue());
        w.put("fromDeg", degrees(line.get("cut").get("fromEnd").stringValue()));
        w.put("toDeg", degrees(line.get("cut").get("toEnd").stringValue()));
        return w;
    }

    private static int degrees(String end) {
        return end.endsWith("°") ? Integer.parseInt(end.replaceAll(".* (\\d+)°$", "$1")) : 0;
    }

    @ParameterizedTest
    @ValueSource(strings = {"1-corvid", "2-hauler", "3-wren"})
    void wiresEndsAndBayAgreeOnTheDemoCars(String demo) throws IOException {
        ObjectNode q = question(demo);
        JsonNode bay = answer(q);
        assertThat(bay.get("level").stringValue()).isEqualTo("BAY");
        JsonNode feed = bay.get("lines").get(0);
        JsonNode back = bay.get("lines").get(1);

        ObjectNode wired = stranger(q.deepCopy());
        ObjectNode wires = plumbing(wired).putObject("wires");
        wires.set("feed", wire(feed));
        wires.set("back", wire(back));
        JsonNode byWire = answer(wired);
        assertThat(byWire.get("level").stringValue()).isEqualTo("WIRE");
        assertThat(byWire.has("fit")).as("nothing is known of the filter").isFalse();
        assertThat(byWire.get("hoseToBuyM")).isEqualTo(bay.get("hoseToBuyM"));
        assertThat(byWire.get("figures").get("addedOilL").doubleValue())
                .isCloseTo(bay.get("figures").get("addedOilL").doubleValue(), within(0.02));
        for (int i = 0; i < 2; i++) {
            JsonNode cut = byWire.get("lines").get(i).get("cut");
            assertThat(cut.get("cutMm").doubleValue())
                    .isCloseTo(cut(bay, i), within(0.2))
                    .isCloseTo(cut(bay, i), within(cut.get("toleranceMm").doubleValue()));
            assertThat(byWire.get("lines").get(i).get("joints"))
                    .isEqualTo(bay.get("lines").get(i).get("joints"));
        }

        ObjectNode ended = q.deepCopy();
        plumbing(ended).put("level", "ENDS");
        ObjectNode ends = plumbing(ended).putObject("ends");
        ends.set("gives", port(feed, "fromPort", pointing(feed, 0)));
        ends.set("in", port(feed, "toPort", pointing(feed, 1)));
        ends.set("out", port(back, "fromPort", pointing(back, 0)));
        ends.set("takes", port(back, "toPort", pointing(back, 1)));
        JsonNode byEnds = answer(ended);
        assertThat(byEnds.get("level").stringValue()).isEqualTo("ENDS");
        for (int i = 0; i < 2; i++) {
            JsonNode cut = byEnds.get("lines").get(i).get("cut");
            assertThat(cut.get("cutMm").doubleValue())
                    .isCloseTo(cut(bay, i), within(3 * cut.get("toleranceMm").doubleValue()));
        }
    }

    private static double cut(JsonNode plumbed, int line) {
        return plumbed.get("lines").get(line).get("cut").get("cutMm").doubleValue();
    }

    private static ObjectNode port(JsonNode line, String at, String points) {
        ObjectNode port = line.get(at).deepCopy().asObject();
        port.put("points", points);
        return port;
    }

    /** Which of the car's axes a route's end is nearest to, a straight hose end assumed. */
    private static String pointing(JsonNode line, int end) {
        JsonNode from = line.get(end == 0 ? "fromPort" : "toPort");
        JsonNode points = line.get("points");
        JsonNode to = end == 0 ? points.get(0) : points.get(points.size() - 1);
        double x = to.get("xMm").doubleValue() - from.get("xMm").doubleValue();
        double y = to.get("yMm").doubleValue() - from.get("yMm").doubleValue();
        double z = to.get("zMm").doubleValue() - from.get("zMm").doubleValue();
        if (Math.abs(y) >= Math.max(Math.abs(x), Math.abs(z))) {
            return y > 0 ? "UP" : "DOWN";
        }
        if (Math.abs(x) >= Math.abs(z)) {
            return x > 0 ? "RIGHT" : "LEFT";
        }
        return z > 0 ? "REARWARD" : "FORWARD";
    }

    @ParameterizedTest
    @CsvSource({"feed, 120", "back, 119.5"})
    void aWireShorterThanItsFittingsIsNamedWithTheLengthThatWouldDo(String hose, double mm) throws IOException {
        ObjectNode q = stranger(question("1-corvid"));
        ObjectNode wires = plumbing(q).putObject("wires");
        for (String each : List.of("feed", "back")) {
            ObjectNode wire = wires.putObject(each);
            wire.put("lengthMm", each.equals(hose) ? mm : 900)
                    .put("fromDeg", 90)
                    .put("toDeg", 45);
        }
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        JsonNode problem = JSON.readTree(r.body()).get("problems").get(0);
        assertThat(problem.get("path").stringValue()).isEqualTo("/design/plumbing/wires/" + hose + "/lengthMm");
        double least = problem.get("min").doubleValue();
        assertThat(problem.get("message").stringValue()).contains(String.valueOf(Math.round(least)));
        ((ObjectNode) wires.get(hose)).put("lengthMm", least);
        assertThat(answer(q).get("lines"))
                .allSatisfy(l -> assertThat(l.get("found").booleanValue()).isTrue());
        ((ObjectNode) wires.get(hose)).put("lengthMm", least - 2);
        assertThat(SERVER.send("POST", "/api/plumb", q.toString()).statusCode()).isEqualTo(422);
    }

    @Test
    void twoPortsAtOnePlaceAreNamed() throws IOException {
        ObjectNode q = stranger(question("1-corvid"));
        ObjectNode ends = plumbing(q).putObject("ends");
        for (String name : List.of("gives", "takes", "in", "out")) {
            ends.putObject(name)
                    .put("xMm", name.equals("in") ? 100 : 0)
                    .put("yMm", 400)
                    .put("zMm", 300)
                    .put("points", "UP");
        }
        ((ObjectNode) ends.get("takes")).put("xMm", 60);
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(r.body()).get("problems").get(0).get("path").stringValue())
                .isEqualTo("/design/plumbing/ends/out");
    }

    @Test
    void withNothingMeasuredTheWiresAreAskedFor() throws IOException {
        ObjectNode q = stranger(question("1-corvid"));
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(r.body()).get("problems").get(0).get("path").stringValue())
                .isEqualTo("/design/plumbing/wires");
        plumbing(q).putObject("wires").putObject("feed").put("lengthMm", 900);
        assertThat(JSON.readTree(SERVER.send("POST", "/api/plumb", q.toString()).body())
                        .get("problems")
                        .get(0)
                        .get("path")
                        .stringValue())
                .isEqualTo("/design/plumbing/wires/back");
        for (Map.Entry<String, String> level :
                Map.of("BAY", "/car/bay", "ENDS", "/design/plumbing/ends").entrySet()) {
            plumbing(q).put("level", level.getKey());
            HttpResponse<String> refused = SERVER.send("POST", "/api/plumb", q.toString());
            assertThat(JSON.readTree(refused.body())
                            .get("problems")
                            .get(0)
                            .get("path")
                            .stringValue())
                    .isEqualTo(level.getValue());
        }
    }

    @Test
    void aStrangersCutListBillAndRunSheetComeFromTwoWires() throws IOException {
        ObjectNode q = stranger(question("1-corvid"));
        ObjectNode wires = plumbing(q).putObject("wires");
        wires.putObject("feed").put("lengthMm", 1050);
        wires.putObject("back").put("lengthMm", 1150);
        assertThat(answer(q).get("bill")).hasSizeGreaterThan(8);
        for (String paper : List.of("cut-list.pdf", "bill.pdf")) {
            byte[] pdf = SERVER.bytes("POST", "/api/plumb/" + paper, q.toString());
            assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
        }
        double cut = cut(answer(q), 0);
        q.put("name", "By two wires");
        List<SheetStep> steps = Builds.begin(
                        DocumentReader.read(q.toString(), NewBuild.class),
                        PlumbingParts.shipped(),
                        CorePart.shipped(),
                        Instant.EPOCH)
                .steps();
        assertThat(steps)
                .filteredOn(s -> s.id().equals("bench-feed-cut"))
                .singleElement()
                .satisfies(s -> {
                    SheetFigure length = s.figures().get(0);
                    assertThat((length.low() + length.high()) / 2).isCloseTo(cut, within(0.1));
                    assertThat(length.from()).contains("wire");
                });
    }
}
