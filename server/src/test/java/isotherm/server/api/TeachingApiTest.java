package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Readings by hand, what they teach, and what to measure next. */
class TeachingApiTest {
    private static final JsonMapper JSON = new JsonMapper();

    private final RunningServer server = RunningServer.get();

    private final ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read("corvid"));

    private ObjectNode car() {
        return (ObjectNode) asked.get("car");
    }

    private ObjectNode bare() {
        return JSON.createObjectNode().put("name", "bare").put("keepFactoryExchanger", true);
    }

    private ArrayNode readings() {
        return car().has("readings") ? (ArrayNode) car().get("readings") : car().putArray("readings");
    }

    private void dash(ObjectNode design, double shownC) {
        ObjectNode dash =
                readings().addObject().put("name", "A look at the dash").putObject("dash");
        dash.set("design", design);
        dash.set("duty", asked.get("duty"));
        dash.put("shownC", shownC);
    }

    private HttpResponse<String> learn() {
        ObjectNode question = JSON.createObjectNode();
        question.set("car", car());
        return server.send("POST", "/api/learn", question.toString());
    }

    private JsonNode outcome(ObjectNode car, ObjectNode design) {
        ObjectNode question = asked.deepCopy();
        question.set("car", car);
        question.set("design", design);
        question.put("samples", 100);
        HttpResponse<String> answer = server.send("POST", "/api/outcome", question.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private static double width(JsonNode outcome) {
        JsonNode i = outcome.get("interval");
        return i.get("peakHighC").doubleValue() - i.get("peakLowC").doubleValue();
    }

    @Test
    void twoLooksAtTheDashReachAVerdictAndItsWorth() {
        ObjectNode described = car().deepCopy();
        ObjectNode cooled = ((ObjectNode) asked.get("design")).deepCopy();
        JsonNode before = outcome(described, cooled);
        double bareC = outcome(described, bare()).get("figures").get("peakC").doubleValue();
        dash(bare(), bareC - 20);
        dash(cooled, before.get("figures").get("peakC").doubleValue() - 14);
        JsonNode answer = JSON.readTree(learn().body());
        JsonNode first = answer.get("readings").get(0);
        assertThat(first.get("read").doubleValue()).isCloseTo(bareC - 20, within(0.01));
        assertThat(Math.abs(first.get("after").doubleValue() - first.get("read").doubleValue()))
                .isLessThan(Math.abs(
                        first.get("before").doubleValue() - first.get("read").doubleValue()));
        ObjectNode taught = car().deepCopy();
        taught.set("fitted", answer.get("fitted"));
        JsonNode after = outcome(taught, cooled);
        assertThat(width(after)).isLessThan(0.5 * width(before));
        assertThat(after.get("figures").get("peakC").doubleValue())
                .isCloseTo(before.get("figures").get("peakC").doubleValue() - 14, within(5.0));
    }

    @Test
    void aMakersFigureAndAPressureAreReadingsToo() {
        ObjectNode heat = readings().addObject().put("name", "The maker's").putObject("makersHeat");
        heat.set("design", asked.get("design"));
        heat.set("oil", car().get("oil"));
        heat.put("oilFlowLPerMin", 30)
                .put("oilInC", 120)
                .put("faceSpeedMPerS", 8)
                .put("airInC", 25)
                .put("heatKw", 9);
        ObjectNode pressure =
                readings().addObject().put("name", "Across the core").putObject("pressure");
        pressure.set("design", asked.get("design"));
        pressure.put("pa", 90).put("speedKmh", 100).put("ambientC", 20).put("altitudeM", 200);
        JsonNode answer = JSON.readTree(learn().body());
        assertThat(answer.get("readings")).hasSize(2);
        assertThat(answer.get("readings").get(1).get("read").doubleValue()).isEqualTo(90);
        assertThat(answer.get("estimates").findValuesAsString("parameter")).contains("EFFICACY", "AIR");
    }

    @Test
    void aReadingOfNoKindOrOfALogIsRefusedByItsField() {
        readings().addObject().put("name", "Nothing");
        assertThat(learn().statusCode()).isEqualTo(422);
        assertThat(learn().body()).contains("/car/readings/0").contains("one of dash, pressure and makersHeat");
        car().remove("readings");
        assertThat(learn().statusCode()).isEqualTo(422);
        assertThat(learn().body()).contains("/car/readings");
        car().remove("readings");
        dash(bare(), 400);
        assertThat(learn().body()).contains("/car/readings/0/dash/shownC").contains("200");
    }

    @Test
    void everyDesignInEveryDutyWithItsWorstMarked() {
        ObjectNode question = JSON.createObjectNode();
        question.set("car", car());
        question.putArray("designs").add(bare()).add(asked.get("design"));
        ObjectNode mild = ((ObjectNode) asked.get("duty")).deepCopy().put("ambientC", 0);
        question.putArray("duties").add(mild).add(asked.get("duty"));
        HttpResponse<String> answer = server.send("POST", "/api/duties-table", question.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        JsonNode table = JSON.readTree(answer.body());
        assertThat(table.get("rows")).hasSize(2);
        for (JsonNode row : table.get("rows")) {
            assertThat(row.get("worst").intValue()).isEqualTo(1);
            assertThat(row.get("cells").get(0).get("peakC").doubleValue())
                    .isLessThan(row.get("cells").get(1).get("peakC").doubleValue());
        }
        assertThat(table.get("best").intValue()).isEqualTo(1);
        question.putArray("duties");
        assertThat(server.send("POST", "/api/duties-table", question.toString()).statusCode())
                .isEqualTo(422);
    }

    @Test
    void whatToMeasureNextIsRankedByWhatItLeaves() {
        HttpResponse<String> answer = server.send("POST", "/api/next-measurement", asked.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        JsonNode next = JSON.readTree(answer.body());
        double before = 0;
        for (JsonNode m : next.get("measurements")) {
            double left = m.get("peakHighC").doubleValue() - m.get("peakLowC").doubleValue();
            assertThat(left).isGreaterThanOrEqualTo(before - 0.011);
            before = left;
        }
        assertThat(next.get("measurements").get(0).get("kind").stringValue()).isEqualTo("IN_AND_OUT_LOG");
        assertThat(before)
                .isLessThanOrEqualTo(next.get("peakHighC").doubleValue()
                        - next.get("peakLowC").doubleValue()
                        + 0.5);
    }
}
