package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.Examples;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class CatalogueApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private static JsonNode cores() {
        return JSON.readTree(SERVER.send("GET", "/api/catalogue/cores", null).body());
    }

    private static JsonNode core(String number) {
        for (JsonNode e : cores()) {
            if (e.get("part").get("number").stringValue().equals(number)) {
                return e;
            }
        }
        return null;
    }

    private static HttpResponse<String> list(String text, boolean keep) {
        return SERVER.sendText("/api/catalogue/cores/import?keep=" + keep, text);
    }

    @Test
    void aPriceListIsLookedAtBeforeItIsKeptAndEachBadLineIsNamed() {
        String text =
                """
                maker;number;price;construction;rows;width_mm;depth_mm
                Tarn & Fell;TF13-280;149,50;;;;
                Ash Lane;AL21;88;stacked plate;21;300;50
                Ash Lane;AL99;88;stacked plate;99;300;50
                Ash Lane;AL7;cheap;stacked plate;7;300;50
                Nobody;N1;10;;;;
                """;
        JsonNode told = JSON.readTree(list(text, false).body());
        assertThat(told.get("added").intValue()).isEqualTo(1);
        assertThat(told.get("changed").intValue()).isEqualTo(1);
        assertThat(told.get("refused")).hasSize(3);
        assertThat(told.get("refused").get(0).get("reason").stringValue()).contains("99 is outside 2 to 60");
        assertThat(core("AL21")).isNull();

        list(text, true);
        assertThat(core("AL21").get("part").get("rows").intValue()).isEqualTo(21);
        assertThat(core("TF13-280").get("part").get("price").doubleValue()).isEqualTo(149.5);
        JsonNode again = JSON.readTree(list(text, true).body());
        assertThat(again.get("same").intValue()).isEqualTo(2);

        HttpResponse<String> gone = SERVER.send(
                "DELETE",
                "/api/catalogue/cores/" + core("AL21").get("id").stringValue(),
                null,
                "If-Match",
                "\"" + core("AL21").get("version").intValue() + "\"");
        assertThat(gone.statusCode()).isEqualTo(204);
        assertThat(core("AL21")).isNull();
    }

    @Test
    void aListWithoutItsHeaderIsRefused() {
        HttpResponse<String> answer = list("part,cost\nx,1\n", false);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("maker is not there");
    }

    @Test
    void bothSchoolsChooseFromTheCatalogue() {
        JsonNode a = JSON.readTree(
                SERVER.send("POST", "/api/schools", Examples.read("schools")).body());
        double target = JSON.readTree(Examples.read("schools"))
                .get("car")
                .get("limits")
                .get("targetHighC")
                .doubleValue();
        assertThat(a.get("smallestThatHolds").get("peakC").doubleValue()).isLessThanOrEqualTo(target);
        assertThat(a.get("largestThatFits")
                        .get("design")
                        .get("cooler")
                        .get("rows")
                        .intValue())
                .isGreaterThanOrEqualTo(a.get("smallestThatHolds")
                        .get("design")
                        .get("cooler")
                        .get("rows")
                        .intValue());
        assertThat(a.get("present").has("price")).isFalse();
    }

    private static JsonNode told(String job) {
        return JSON.readTree(SERVER.send("GET", job, null).body());
    }

    @Test
    void aSearchTellsHowFarItIsAndCanBeStopped() {
        ObjectNode question = (ObjectNode) JSON.readTree(Examples.read("search"));
        JsonNode job = JSON.readTree(
                SERVER.send("POST", "/api/jobs/search", question.toString()).body());
        String path = "/api/jobs/" + job.get("id").stringValue();
        assertThat(job.get("total").intValue()).isGreaterThan(1000);
        OwnServer.until(() -> told(path).get("done").intValue() >= 20, 20);
        SERVER.send("DELETE", path, null);
        OwnServer.until(() -> !told(path).get("state").stringValue().equals("RUNNING"), 20);
        assertThat(told(path).get("state").stringValue()).isEqualTo("CANCELLED");
        assertThat(SERVER.send("GET", "/api/jobs/00000000-0000-0000-0000-000000000009", null)
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aCarOfAClassComesWithADutyAndADesign() {
        HttpResponse<String> made =
                SERVER.send("POST", "/api/cars/from-class", "{\"classId\": \"pickup\", \"name\": \"Test pick-up\"}");
        assertThat(made.statusCode()).isEqualTo(201);
        JsonNode car = JSON.readTree(made.body());
        assertThat(car.get("car").get("name").stringValue()).isEqualTo("Test pick-up");
        assertThat(car.get("duties")).hasSize(1);
        assertThat(car.get("designs")).hasSize(1);
        ObjectNode asked = JSON.createObjectNode();
        asked.set("car", car.get("car"));
        asked.set("duty", car.get("duties").get(0).get("duty"));
        asked.set("design", car.get("designs").get(0).get("design"));
        assertThat(SERVER.send("POST", "/api/outcome", asked.toString()).statusCode())
                .isEqualTo(200);
        assertThat(SERVER.send(
                                "DELETE",
                                "/api/cars/" + car.get("id").stringValue(),
                                null,
                                "If-Match",
                                "\"" + car.get("version").intValue() + "\"")
                        .statusCode())
                .isEqualTo(204);
        assertThat(SERVER.send("POST", "/api/cars/from-class", "{\"classId\": \"boat\", \"name\": \"x\"}")
                        .body())
                .contains("/classId");
    }

    @Test
    void everyClassGivesACarThatCanBeAsked() {
        for (JsonNode c : JSON.readTree(SERVER.send("GET", "/api/classes", null).body())) {
            ObjectNode asked = JSON.createObjectNode();
            asked.set("car", c.get("car"));
            asked.set("duty", c.get("duty"));
            asked.set("design", JSON.readTree("{\"name\": \"bare\", \"keepFactoryExchanger\": true}"));
            JsonNode outcome = JSON.readTree(
                    SERVER.send("POST", "/api/outcome", asked.toString()).body());
            assertThat(outcome.get("figures").get("peakC").doubleValue())
                    .as(c.get("id").stringValue())
                    .isBetween(80.0, 185.0);
            assertThat(c.get("why")).isNotEmpty();
        }
    }

    @Test
    void anOwnCoreIsFittedToItsMakersHeatFigures() {
        ObjectNode part = JSON.createObjectNode()
                .put("maker", "Ash Lane")
                .put("number", "AL-heat")
                .put("construction", "STACKED_PLATE")
                .put("rows", 13)
                .put("widthMm", 280)
                .put("depthMm", 50)
                .put("passes", 1)
                .put("price", 90);
        ObjectNode heat = part.putArray("heats").addObject();
        heat.put("oilFlowLPerMin", 30)
                .put("oilInC", 120)
                .put("faceSpeedMPerS", 8)
                .put("airInC", 25)
                .put("heatKw", 90);
        HttpResponse<String> never = SERVER.send("POST", "/api/catalogue/cores", part.toString());
        assertThat(never.statusCode()).isEqualTo(422);
        assertThat(never.body()).contains("/heats", "No core of these dimensions");
        heat.putObject("oil").put("grade", "thick");
        HttpResponse<String> unknown = SERVER.send("POST", "/api/catalogue/cores", part.toString());
        assertThat(unknown.statusCode()).isEqualTo(422);
        assertThat(unknown.body()).contains("/heats/0/oil");
        heat.remove("oil");
        heat.put("heatKw", 10);
        HttpResponse<String> kept = SERVER.send("POST", "/api/catalogue/cores", part.toString());
        assertThat(kept.statusCode()).as(kept.body()).isLessThan(300);
        double lower = core("AL-heat").get("efficacyPercent").doubleValue();
        assertThat(lower).isBetween(32.0, 100.0);
        assertThat(core("TF13-280").has("efficacyPercent")).isFalse();
        SERVER.send(
                "DELETE",
                "/api/catalogue/cores/" + core("AL-heat").get("id").stringValue(),
                null,
                "If-Match",
                "\"" + core("AL-heat").get("version").intValue() + "\"");
    }
}
