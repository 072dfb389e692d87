package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Plates, adaptors, hoses and ends of one's own, one by one and as a price list. */
class PlumbingCatalogueApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    /** What the example's plumbing comes to with another takeoff. */
    private static HttpResponse<String> plumbed(String takeoff) {
        ObjectNode q = (ObjectNode) JSON.readTree(Examples.read("plumb"));
        q.put("sizes", false);
        ((ObjectNode) q.get("design").get("plumbing")).put("takeoff", takeoff);
        return SERVER.send("POST", "/api/plumb", q.toString());
    }

    @Test
    void anOwnPlateIsEnteredChosenAndTakenOutAgain() {
        String plate =
                """
                {"maker":"Own","number":"OWN-1","kind":"SANDWICH_PLATE","thread":"M20x1.5","sealInnerMm":60,"sealOuterMm":70,
                 "heightMm":30,"diameterMm":80,"portJoint":"TAPER","portSize":"1/2","spacingDeg":60,"gaugePorts":true,
                 "thermostat":true,"heads":3,"price":50,"massKg":0.3}
                """;
        assertThat(SERVER.send("POST", "/api/catalogue/plumbing/takeoffs", plate)
                        .statusCode())
                .isEqualTo(204);
        HttpResponse<String> chosen = plumbed("OWN-1");
        assertThat(chosen.statusCode()).as(chosen.body()).isEqualTo(200);
        JsonNode p = JSON.readTree(chosen.body());
        assertThat(p.get("lines").get(0).get("joints").get(0).get("onThread").stringValue())
                .contains("PTFE tape");
        assertThat(p.get("bill").toString()).contains("bill.TAPE.what");
        HttpResponse<String> bad = SERVER.send(
                "POST", "/api/catalogue/plumbing/takeoffs", plate.replace("\"heightMm\":30", "\"heightMm\":3"));
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("heightMm");
        JsonNode own = JSON.readTree(
                        SERVER.send("GET", "/api/catalogue/plumbing", null).body())
                .get("own");
        JsonNode mine = StreamSupport.stream(own.spliterator(), false)
                .filter(o -> o.get("number").stringValue().equals("OWN-1"))
                .findFirst()
                .orElseThrow();
        String path = "/api/catalogue/plumbing/" + mine.get("id").stringValue();
        assertThat(SERVER.send("DELETE", path, null, "If-Match", "\"99\"").statusCode())
                .isEqualTo(412);
        assertThat(SERVER.send(
                                "DELETE",
                                path,
                                null,
                                "If-Match",
                                "\"" + mine.get("version").intValue() + "\"")
                        .statusCode())
                .isEqualTo(204);
        assertThat(plumbed("OWN-1").statusCode()).isEqualTo(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"TAKEOFF", "ADAPTOR", "HOSE", "HOSE_END"})
    void everyFamilyIsReadFromAListOfItsOwnFields(String family) {
        String key =
                switch (family) {
                    case "TAKEOFF" -> "takeoffs";
                    case "ADAPTOR" -> "adaptors";
                    case "HOSE" -> "hoses";
                    default -> "ends";
                };
        JsonNode first = JSON.readTree(
                        SERVER.send("GET", "/api/catalogue/plumbing", null).body())
                .get(key)
                .get(0);
        List<String> fields = first.propertyNames().stream().toList();
        String header = String.join(
                ";",
                fields.stream()
                        .map(f -> f.replaceAll("([A-Z])", "_$1").toLowerCase())
                        .toList());
        String same = String.join(
                ";",
                fields.stream()
                        .map(f -> first.get(f).isString()
                                ? first.get(f).stringValue()
                                : first.get(f).toString().replace('.', ','))
                        .toList());
        String[] cells = same.split(";", -1);
        String[] other = Arrays.copyOf(cells, cells.length);
        other[fields.indexOf("number")] = "NEW-1";
        String[] broken = Arrays.copyOf(other, other.length);
        broken[fields.indexOf("number")] = "NEW-2";
        broken[fields.indexOf(fields.contains("price") ? "price" : "pricePerM")] = "-1";
        String text = String.join("\n", header, same, String.join(";", other), String.join(";", broken), "");
        HttpResponse<String> answer = SERVER.sendText("/api/catalogue/plumbing/" + family + "/import", text);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        JsonNode told = JSON.readTree(answer.body());
        assertThat(told.get("same").intValue()).as(answer.body()).isEqualTo(1);
        assertThat(told.get("added").intValue()).isEqualTo(1);
        assertThat(told.get("refused")).hasSize(1);
        assertThat(told.get("refused").get(0).get("line").intValue()).isEqualTo(4);
        assertThat(told.get("refused").get(0).get("reason").stringValue()).contains("-1 is outside");
    }
}
