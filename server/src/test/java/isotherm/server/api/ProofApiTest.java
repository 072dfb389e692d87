package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.MessageDocument;
import isotherm.server.testing.RunningServer;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.io.IOException;
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
            assertThat(f.path("kind").asString("")).isEqualTo("CORE_DROP");
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
    void whatTheModelExpectedBeforeALogTaughtItStaysBesideWhatItExpectsNow() {
        ObjectNode q = question(0, 1);
        JsonNode before = answer(q).get("predictedAfter");
        assertThat(before.get("untaught")).isNull();
        JsonNode fitted = JSON.readTree(
                """
                {"log": "an evening", "factors": [{"factor": "HEAT", "value": 0.8, "standardError": 0.02}],
                 "correlation": [{"row": [1]}]}""");
        ((ObjectNode) q.get("car")).set("fitted", fitted);
        JsonNode after = answer(q).get("predictedAfter");
        for (String field : new String[] {"lowC", "medianC", "highC"}) {
            assertThat(after.at("/untaught/" + field)).isEqualTo(before.get(field));
        }
        assertThat(after.get("medianC").doubleValue())
                .isLessThan(before.get("medianC").doubleValue() - 3);
        assertThat(after.get("highC").doubleValue() - after.get("lowC").doubleValue())
                .as("less is open than before")
                .isLessThan(
                        before.get("highC").doubleValue() - before.get("lowC").doubleValue());
    }

    @Test
    void theReportIsOnePageThatSaysWhatWasFound() throws IOException {
        byte[] pdf = SERVER.bytes("POST", "/api/logs/proof.pdf", question(0, 1).toString());
        PdfReader reader = new PdfReader(pdf);
        assertThat(reader.getNumberOfPages()).isEqualTo(1);
        String text = new PdfTextExtractor(reader).getTextFromPage(1);
        assertThat(text)
                .contains("Aldane Corvid", "It runs cooler", "Skerry Moor, before", "Skerry Moor, after", "Difference")
                .contains("Drop over the core", "Estimates", "Looked at by");
        MessageDocument reason =
                DocumentReader.read(answer(question(0, 1)).get("reasons").get(0).toString(), MessageDocument.class);
        String verdict = Words.english().render(reason.toCore(), UnitChoice.METRIC);
        assertThat(text.replaceAll("\\s+", " ")).contains(verdict.replaceAll("\\s+", " "));
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
