package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.whatif.Figure;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One step of each choice, and where a figure comes from, as the screens ask for them. */
class WhatIfApiTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final RunningServer SERVER = RunningServer.get();

    private static ObjectNode example(String name) {
        ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read(name));
        asked.remove("samples");
        asked.remove("seed");
        return asked;
    }

    private static JsonNode answered(String path, JsonNode body) {
        HttpResponse<String> answer = SERVER.send("POST", path, body.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    @Test
    void aStepTriedIsWhatItSaid() {
        for (String name : new String[] {"corvid", "hauler"}) {
            ObjectNode asked = example(name);
            JsonNode answer = answered("/api/what-if", asked);
            assertThat(answer.get("changes")).hasSize(5);
            for (JsonNode change : answer.get("changes")) {
                ObjectNode tried = example(name);
                tried.set("design", change.get("design"));
                assertThat(answered("/api/outcome", tried).at("/figures/peakC").doubleValue())
                        .as(name + " " + change.get("lever"))
                        .isCloseTo(change.at("/after/peakC").doubleValue(), within(0.11));
            }
        }
    }

    @Test
    void pressuresAreThoseOfOnePoint() {
        ObjectNode asked = example("corvid");
        JsonNode answer = answered("/api/what-if", asked);
        String at = answer.get("at").stringValue();
        for (JsonNode change : answer.get("changes")) {
            ObjectNode tried = example("corvid");
            tried.set("design", change.get("design"));
            JsonNode points = answered("/api/outcome", tried).at("/circuit/points");
            for (JsonNode p : points) {
                if (p.get("kind").stringValue().equals(at)) {
                    assertThat(p.get("galleryBar").doubleValue())
                            .as(change.get("lever").stringValue())
                            .isCloseTo(change.at("/after/galleryBar").doubleValue(), within(0.021));
                }
            }
        }
    }

    @Test
    void theTableOfDutiesKnowsThePriceThatWhatIfBeginsWith() {
        ObjectNode asked = example("corvid");
        ObjectNode table = JSON.createObjectNode();
        table.set("car", asked.get("car"));
        table.putArray("designs")
                .add(asked.get("design"))
                .add(JSON.readTree("{\"name\":\"bare\",\"keepFactoryExchanger\":true}"));
        table.putArray("duties").add(asked.get("duty"));
        JsonNode rows = answered("/api/duties-table", table).get("rows");
        assertThat(rows.at("/0/price").doubleValue())
                .isEqualTo(answered("/api/what-if", asked).at("/now/price").doubleValue());
        assertThat(rows.get(1).has("price")).isFalse();
    }

    @Test
    void everyComputedFigureIsExplainedWithItsShownValue() {
        ObjectNode asked = example("corvid");
        JsonNode outcome = answered("/api/outcome", asked);
        for (Figure figure : Figure.computed()) {
            JsonNode e = answered("/api/explain", example("corvid").put("figure", figure.name()));
            assertThat(e.get("value").doubleValue())
                    .as(figure.name())
                    .isBetween(e.get("low").doubleValue(), e.get("high").doubleValue());
            assertThat(e.get("moves")).as(figure.name()).isNotEmpty();
        }
        same(outcome, "/figures/peakC", Figure.PEAK);
        same(outcome, "/core/faceSpeedMPerS", Figure.FACE_SPEED);
        same(outcome, "/core/heatKw", Figure.CORE_HEAT);
        same(outcome, "/circuit/galleryBar", Figure.GALLERY_PRESSURE);
        same(outcome, "/circuit/addedOilL", Figure.ADDED_OIL);
        same(outcome, "/road/oilC", Figure.ROAD_OIL);
        same(outcome, "/figures/viscosityAtPeakCst", Figure.FILM);
    }

    private static void same(JsonNode outcome, String shown, Figure figure) {
        JsonNode e = answered("/api/explain", example("corvid").put("figure", figure.name()));
        assertThat(e.get("value").doubleValue())
                .as(figure.name())
                .isCloseTo(outcome.at(shown).doubleValue(), within(0.06));
    }

    @Test
    void aFigureThatIsEnteredIsRefusedByName() {
        HttpResponse<String> answer = SERVER.send(
                "POST", "/api/explain", example("corvid").put("figure", "PRICE").toString());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("/figure").contains("not computed");
    }

    @Test
    void aDesignWithoutACoolerHasNoFaceAndSaysSo() {
        ObjectNode asked = example("corvid").put("figure", "FACE_SPEED");
        ((ObjectNode) asked.get("design")).remove("cooler");
        JsonNode e = answered("/api/explain", asked);
        assertThat(e.has("value") && !e.get("value").isNull()).isFalse();
        assertThat(e.get("moves")).isEmpty();
    }
}
