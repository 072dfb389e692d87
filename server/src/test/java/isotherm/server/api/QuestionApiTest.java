package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Questions;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class QuestionApiTest {
    private static final JsonMapper JSON = new JsonMapper();

    private final RunningServer server = RunningServer.get();

    private JsonNode ask(String kind, String body) {
        HttpResponse<String> answer = server.send("POST", "/api/" + kind, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    @Test
    void aRatingOverHttpIsTheSolvers() {
        String example = Examples.read("rating");
        double here = QuestionSolver.rate(DocumentReader.read(example, Questions.RatingQuestion.class))
                .heatKw();
        assertThat(ask("rating", example).get("heatKw").doubleValue()).isEqualTo(here);
    }

    @Test
    void aMapOverHttpIsTheSolvers() {
        String example = Examples.read("map");
        var here = SearchSolver.map(DocumentReader.read(example, SearchQuestions.MapQuestion.class), () -> false);
        JsonNode there = ask("map", example);
        assertThat(there.get("peakC").get(2).get(3).doubleValue())
                .isEqualTo(here.peakC().get(2).get(3));
        assertThat(there.get("x").size()).isEqualTo(here.x().size());
    }

    @ParameterizedTest
    @ValueSource(strings = {"air", "circuit", "fit", "compare"})
    void everyExampleIsAnswered(String kind) {
        assertThat(ask(kind, Examples.read(kind)).isEmpty()).isFalse();
    }

    @Test
    void placesAreAskedWithAnOrdinaryCase() {
        JsonNode places = ask("places", Examples.read("hauler"));
        var here = QuestionSolver.places(DocumentReader.read(Examples.read("hauler"), CaseDocument.class));
        for (int i = 0; i < here.size(); i++) {
            assertThat(places.get(i).get("peakC").doubleValue())
                    .isEqualTo(here.get(i).peakC());
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"rating", "air", "circuit", "map", "fit", "compare", "search", "places", "outcome"})
    void anEmptyQuestionIsToldWhatIsMissing(String kind) {
        HttpResponse<String> answer = server.send("POST", "/api/" + kind, "{}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(answer.body()).get("problems").size()).isGreaterThan(1);
    }

    @Test
    void aFitOfALogThatIsTooShortSaysHowLongItHasToBe() {
        String example = Examples.read("fit");
        JsonNode tree = JSON.readTree(example);
        var log = (tools.jackson.databind.node.ObjectNode) tree.get("duty").get("log");
        for (String column : new String[] {"timeSeconds", "speedKmh", "rpm", "brakePowerKw"}) {
            shorten(log, column);
        }
        shorten((tools.jackson.databind.node.ObjectNode) tree, "oilC");
        HttpResponse<String> answer = server.send("POST", "/api/fit", tree.toString());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("200 s");
    }

    private static void shorten(tools.jackson.databind.node.ObjectNode node, String column) {
        var values = (tools.jackson.databind.node.ArrayNode) node.get(column);
        while (values.size() > 40) {
            values.remove(values.size() - 1);
        }
    }
}
