package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.parts.MakersFigure;
import isotherm.server.contract.DocumentReader;
import isotherm.server.plumbing.HoseDocuments.HoseEndDocument;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The maker's figure on parts: through lists and documents, and into the joints. */
class MakersFiguresTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();
    private static final String HEADER = "maker,number,torque_low_nm,torque_high_nm,oiled,figure_source,retorque\n";

    private static JsonNode preview(String line) {
        // Only looked at, so that no other test meets these parts.
        HttpResponse<String> r = SERVER.sendText("/api/catalogue/plumbing/HOSE_END/import", HEADER + line + "\n");
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body());
    }

    private static JsonNode end() {
        return JSON.readTree(SERVER.send("GET", "/api/catalogue/plumbing", null).body())
                .get("ends")
                .get(0);
    }

    @Test
    void aListGivesAKnownPartItsMakersFigure() {
        String part =
                end().get("maker").stringValue() + "," + end().get("number").stringValue();
        assertThat(preview(part + ",30,36,no,sheet 4,COLD_AFTER_FIRST_DRIVE")
                        .get("changed")
                        .intValue())
                .isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "40,36,no,sheet 4,NEVER | torqueLowNm: A least figure up to 36 Nm",
                "40,,no,sheet 4,NEVER | torqueLowNm: A least figure needs its greatest",
                "30,4000,no,sheet 4,NEVER | torqueHighNm: 4000 Nm is outside 1 to 400",
                "30,36,no,sheet 4,SOMETIMES | retorque",
            })
    void aListWithAFigureThatCannotBeIsRefusedByLine(String figures, String told) {
        String part =
                end().get("maker").stringValue() + "," + end().get("number").stringValue();
        JsonNode refused = preview(part + "," + figures).get("refused");
        assertThat(refused).hasSize(1);
        assertThat(refused.get(0).get("reason").stringValue()).contains(told);
    }

    @Test
    void aSendersFigureWithoutItsLowEndIsRefusedWithTheDesignAndNotFoundOutLater() {
        ObjectNode question = JSON.createObjectNode();
        JsonNode example = JSON.readTree(Examples.read("plumb"));
        ObjectNode design = (ObjectNode) example.get("design").deepCopy();
        ObjectNode sender = JSON.createObjectNode()
                .put("senses", "TEMPERATURE")
                .put("site", "TAKEOFF")
                .put("joint", "TAPER")
                .put("size", "1/8");
        sender.putObject("figure").put("torqueHighNm", 20).put("oiled", false).put("source", "sheet 4");
        ((ObjectNode) design.get("plumbing")).putArray("senders").add(sender);
        question.set("car", example.get("car"));
        question.set("duty", example.get("duty"));
        question.set("design", design);
        for (String asked : new String[] {"/api/outcome", "/api/plumb"}) {
            HttpResponse<String> r = SERVER.send("POST", asked, question.toString());
            assertThat(r.statusCode()).as(r.body()).isEqualTo(422);
            assertThat(r.body()).contains("/design/plumbing/senders/0/figure/torqueLowNm");
        }
    }

    @Test
    void aPartGoesIntoTheCoreWithItAndComesBack() {
        ObjectNode json = (ObjectNode) end().deepCopy();
        json.put("torqueLowNm", 30)
                .put("torqueHighNm", 36)
                .put("turnLowDeg", 45)
                .put("turnHighDeg", 60);
        json.put("oiled", false).put("figureSource", "sheet 4").put("retorque", "NEVER");
        HoseEndDocument d = DocumentReader.read(json.toString(), HoseEndDocument.class);
        MakersFigure f = d.toCore().figure().orElseThrow();
        assertThat(f.torque().orElseThrow().high()).isEqualTo(36);
        assertThat(f.oiled()).isFalse();
        assertThat(HoseEndDocument.of(d.toCore())).isEqualTo(d);
    }

    @Test
    void theCoresFigureRulesItsPortsAndOursTheOthers() {
        ObjectNode q = (ObjectNode) JSON.readTree(Examples.read("plumb"));
        q.put("sizes", false);
        ((ObjectNode) q.get("design").get("plumbing"))
                .putObject("coreFigure")
                .put("torqueLowNm", 18)
                .put("torqueHighNm", 22)
                .put("source", "label on the core");
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        JsonNode joints = JSON.readTree(r.body()).get("lines").get(0).get("joints");
        JsonNode last = joints.get(joints.size() - 1);
        assertThat(last.get("makers").booleanValue()).isTrue();
        assertThat(last.get("torqueHighNm").doubleValue()).isEqualTo(22);
        assertThat(last.get("source").stringValue()).isEqualTo("label on the core");
        assertThat(joints.get(0).get("makers").booleanValue()).isFalse();
        ((ObjectNode) q.get("design").get("plumbing").get("coreFigure")).put("torqueLowNm", 25);
        HttpResponse<String> refused = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(refused.body())
                        .get("problems")
                        .get(0)
                        .get("path")
                        .stringValue())
                .isEqualTo("/design/plumbing/coreFigure/torqueLowNm");
    }
}
