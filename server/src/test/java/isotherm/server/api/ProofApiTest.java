package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RunningServer;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The demo garage's logs, before and after, held against each other. */
class ProofApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private final JsonNode corvid;

    ProofApiTest() {
        JsonNode cars = JSON.readTree(SERVER.send("GET", "/api/cars", null).body());
        String id = StreamSupport.stream(cars.spliterator(), false)
                .filter(c -> c.get("name").stringValue().equals("Aldane Corvid"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        corvid = JSON.readTree(SERVER.send("GET", "/api/cars/" + id, null).body());
    }

    private ObjectNode question(int before, int after) {
        ObjectNode q = JSON.createObjectNode();
        q.set("car", corvid.get("car"));
        q.put("before", corvid.at("/logs/" + before + "/id").stringValue());
        q.putObject("beforeDesign").put("name", "bare").put("keepFactoryExchanger", true);
        q.put("after", corvid.at("/logs/" + after + "/id").stringValue());
        q.set("afterDesign", corvid.at("/designs/0/design"));
        return q;
    }

    private static JsonNode answer(ObjectNode question) {
        var response = SERVER.send("POST", "/api/logs/proof", question.toString());
        assertThat(response.statusCode()).as(response.body()).isEqualTo(200);
        return JSON.readTree(response.body());
    }

    @Test
    void theCoolerIsFoundAndEveryFigureThatWasReadIsTold() {
        JsonNode a = answer(question(0, 1));
        assertThat(a.get("verdict").stringValue()).isEqualTo("COOLER");
        assertThat(a.at("/differenceK/high").doubleValue()).isNegative();
        assertThat(a.at("/differenceK/low").doubleValue()).isGreaterThan(-80);
        assertThat(a.get("alike").doubleValue()).isGreaterThan(0.9);
        assertThat(a.at("/laps/speedBeforeKmh")).hasSize(80);
        assertThat(a.get("figures")).anySatisfy(f -> {
            assertThat(f.get("name").stringValue()).isEqualTo("Drop over the core");
            assertThat(f.has("before") && !f.get("before").isNull())
                    .as("there was none")
                    .isFalse();
            assertThat(f.get("after").doubleValue()).isBetween(2.0, 60.0);
        });
        assertThat(a.at("/predictedAfter/lowC").doubleValue())
                .isLessThan(a.at("/predictedAfter/highC").doubleValue());
        assertThat(a.at("/predictedBefore/readC").doubleValue()).isBetween(100.0, 190.0);
    }

    @Test
    void theOtherWayRoundItRunsHotter() {
        ObjectNode q = question(1, 0);
        JsonNode designs = q.get("afterDesign");
        q.set("afterDesign", q.get("beforeDesign"));
        q.set("beforeDesign", designs);
        assertThat(answer(q).get("verdict").stringValue()).isEqualTo("HOTTER");
    }

    @Test
    void oneLogAgainstItselfIsRefused() {
        var refused = SERVER.send("POST", "/api/logs/proof", question(0, 0).toString());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("/after", "Two different logs");
        ObjectNode q = question(0, 1);
        q.put("before", "not an identity that is known to any");
        assertThat(SERVER.send("POST", "/api/logs/proof", q.toString()).body()).contains("/before");
    }
}
