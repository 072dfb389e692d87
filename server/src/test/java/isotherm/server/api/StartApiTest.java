package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.duty.Use;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The first ten minutes: an answer from five things that are known of a car, and the invented garage to look at. */
class StartApiTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final RunningServer SERVER = RunningServer.get();

    private static ObjectNode told(String classId) {
        return JSON.createObjectNode().put("classId", classId).put("name", "My car");
    }

    private static JsonNode answered(String path, JsonNode body) {
        HttpResponse<String> answer = SERVER.send("POST", path, body.toString());
        assertThat(answer.statusCode()).as(answer.body()).isBetween(200, 201);
        return JSON.readTree(answer.body());
    }

    private static double peak(JsonNode first) {
        return answered("/api/outcome", first).at("/figures/peakC").doubleValue();
    }

    /** Width of what the peak lies in 8 times of 10. */
    private static double width(JsonNode first) {
        JsonNode interval = answered("/api/interval", ((ObjectNode) first).put("samples", 60));
        return interval.get("peakHighC").doubleValue()
                - interval.get("peakLowC").doubleValue();
    }

    @Test
    void everyClassInEveryUseHasAnAnswer() {
        for (JsonNode c : JSON.readTree(SERVER.send("GET", "/api/classes", null).body())) {
            for (Use use : Use.values()) {
                JsonNode first = answered(
                        "/api/first-case", told(c.get("id").stringValue()).put("use", use.name()));
                assertThat(peak(first)).as(c.get("id").stringValue() + use).isBetween(60.0, 260.0);
            }
        }
    }

    @Test
    void whatIsToldOfACarCountsInItsAnswer() {
        JsonNode usual = answered("/api/first-case", told("hatch"));
        assertThat(peak(answered("/api/first-case", told("hatch").put("powerKw", 260))))
                .isGreaterThan(peak(usual));
        JsonNode hot = answered("/api/first-case", told("hatch").put("ambientC", 38));
        assertThat(hot.at("/duty/ambientC").doubleValue()).isEqualTo(38);
        assertThat(peak(hot)).isGreaterThan(peak(usual));
        assertThat(peak(answered("/api/first-case", told("hatch").put("use", "ROAD"))))
                .isLessThan(peak(usual));
    }

    @Test
    void aLookAtTheDashIsLearnedFromAtOnce() {
        JsonNode usual = answered("/api/first-case", told("hatch"));
        double expected = peak(usual);
        JsonNode shown = answered("/api/first-case", told("hatch").put("shownC", Math.round(expected - 12)));
        assertThat(shown.at("/car/readings")).hasSize(1);
        assertThat(peak(shown)).isBetween(expected - 12.5, expected - 4);
        assertThat(width(shown)).isLessThan(0.6 * width(usual));
    }

    @Test
    void whatWasAnsweredIsWhatIsKept() {
        ObjectNode told = told("pickup")
                .put("powerKw", 155)
                .put("use", "TOW")
                .put("ambientC", 33)
                .put("shownC", 118);
        JsonNode first = answered("/api/first-case", told);
        JsonNode kept = answered("/api/cars/from-class", told);
        assertThat(kept.get("car")).isEqualTo(first.get("car"));
        assertThat(kept.at("/duties/0/duty")).isEqualTo(first.get("duty"));
        assertThat(kept.at("/designs/0/design")).isEqualTo(first.get("design"));
        SERVER.send(
                "DELETE",
                "/api/cars/" + kept.get("id").stringValue(),
                null,
                "If-Match",
                "\"" + kept.get("version").intValue() + "\"");
    }

    @Test
    void whatCannotBeIsNamedWithItsRange() {
        for (String[] bad : new String[][] {{"powerKw", "2"}, {"ambientC", "90"}, {"shownC", "400"}}) {
            HttpResponse<String> answer = SERVER.send(
                    "POST",
                    "/api/first-case",
                    told("hatch").put(bad[0], Double.parseDouble(bad[1])).toString());
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body()).contains("/" + bad[0]).contains("outside");
        }
    }

    @Test
    void theDemoGarageComesAndGoesAndLeavesTheRest() {
        try (RunningServer own = RunningServer.empty()) {
            JsonNode mine = JSON.readTree(
                    own.send("POST", "/api/cars/from-class", told("six").toString())
                            .body());
            assertThat(own.send("GET", "/api/demo", null).body()).isEqualTo("{\"cars\":[],\"whole\":false}");
            JsonNode loaded = JSON.readTree(own.send("POST", "/api/demo", null).body());
            assertThat(loaded.get("cars")).hasSize(3);
            assertThat(loaded.get("whole").booleanValue()).isTrue();
            assertThat(JSON.readTree(own.send("POST", "/api/demo", null).body()))
                    .isEqualTo(loaded);
            assertThat(JSON.readTree(own.send("GET", "/api/cars", null).body())).hasSize(4);
            JsonNode corvid = JSON.readTree(
                    own.send("GET", "/api/cars/" + loaded.at("/cars/0").stringValue(), null)
                            .body());
            assertThat(corvid.get("logs")).hasSizeGreaterThan(1);

            assertThat(own.send("DELETE", "/api/demo", null).statusCode()).isEqualTo(204);
            JsonNode left = JSON.readTree(own.send("GET", "/api/cars", null).body());
            assertThat(left).hasSize(1);
            assertThat(left.get(0).get("id")).isEqualTo(mine.get("id"));
        }
    }
}
