package isotherm.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.nose.Template;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Texts that a spreadsheet would run and that a drawing cannot hold. */
class StrangeTextsTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final RunningServer SERVER = RunningServer.get();

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+1", "-1+1", "@SUM(A1)", "\\t=1+1", "\\n=1+1", "\\r\\n@x", "safe\\n=1+1"})
    void aCellOfABillIsNeverAFormula(String number) {
        String text = number.replace("\\t", "\t").replace("\\r", "\r").replace("\\n", "\n");
        ObjectNode plumb = (ObjectNode) JSON.readTree(Examples.read("plumb"));
        JsonNode hose = JSON.readTree(
                        SERVER.send("GET", "/api/catalogue/plumbing", null).body())
                .get("hoses")
                .valueStream()
                .filter(h -> h.get("number")
                        .stringValue()
                        .equals(plumb.at("/design/plumbing/hose").stringValue()))
                .findFirst()
                .orElseThrow();
        ObjectNode own = ((ObjectNode) hose.deepCopy()).put("number", text).put("maker", "Maker " + number.hashCode());
        assertThat(SERVER.send("POST", "/api/catalogue/plumbing/hoses", own.toString())
                        .statusCode())
                .isEqualTo(204);
        ((ObjectNode) plumb.at("/design/plumbing")).put("hose", text);
        String csv =
                SERVER.send("POST", "/api/plumb/bill.csv", plumb.toString()).body();
        List<String> cells = csv.lines()
                .flatMap(l -> List.of(l.split(",", -1)).stream())
                .map(c -> c.replaceAll("^\"", ""))
                .toList();
        assertThat(cells).noneMatch(c -> c.matches("^[=@+\\t\\r\\n-].*"));
        assertThat(csv.lines()).allMatch(l -> l.split(",", -1).length >= 8);
    }

    @Test
    void aDrawingIsWellFormedWhateverItsNameIs() throws Exception {
        Template template = new Template(
                100,
                100,
                List.of(new Template.Word(
                        Template.Layer.values()[0], 10, 10, 4, "bell \u0007, null \0, <b> & \uffff end")));
        String svg = TemplateFiles.svg(template);
        var document = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
        assertThat(document.getDocumentElement().getTextContent()).contains("bell", "<b> & ", "end");
    }
}
