package isotherm.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.message.Measure;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Every paper is in its reader's units, and in no other. */
class PapersTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String ALL_IMPERIAL =
            "?imperial=" + Arrays.stream(Measure.values()).map(Enum::name).collect(Collectors.joining(","));
    private static final Pattern METRIC = Pattern.compile("\\d[\\s\\u00a0]?(°C|mm|bar|kW|N·m|km|km/h)(?![\\w/])|°C/kW");
    private static final Pattern IMPERIAL =
            Pattern.compile("\\d[\\s\\u00a0]?(°F|in|psi|hp|lb·ft|mi|mph|qt)(?![\\w/])|°F/hp");

    private static final RunningServer SERVER = RunningServer.get();

    private final Wren wren = new Wren(SERVER);

    private static String text(byte[] pdf) {
        try {
            Path file = Files.createTempFile("paper", ".pdf");
            Files.write(file, pdf);
            Process text = new ProcessBuilder("pdftotext", "-layout", file.toString(), "-").start();
            String printed = new String(text.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            Files.delete(file);
            return printed;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void speaks(String paper, Pattern wanted, Pattern other) {
        assertThat(other.matcher(paper).results().map(MatchResult::group)).isEmpty();
        assertThat(wanted.matcher(paper).find()).isTrue();
    }

    @Test
    void theCutListIsInItsReadersUnits() {
        String question = Examples.read("plumb");
        speaks(text(SERVER.bytes("POST", "/api/plumb/cut-list.pdf", question)), METRIC, IMPERIAL);
        speaks(text(SERVER.bytes("POST", "/api/plumb/cut-list.pdf" + ALL_IMPERIAL, question)), IMPERIAL, METRIC);
    }

    /** Wrenches for hose ends are made in inches: their size stands in both, whoever reads it. */
    private static String withoutWrenches(String bill) {
        return bill.replaceAll("\\([\\d /]+ in\\)", "");
    }

    @Test
    void theBillIsInItsReadersUnits() {
        String question = Examples.read("plumb");
        for (String kind : new String[] {"bill.csv", "bill.pdf"}) {
            String path = "/api/plumb/" + kind;
            byte[] metric = SERVER.bytes("POST", path, question);
            byte[] imperial = SERVER.bytes("POST", path + ALL_IMPERIAL, question);
            boolean pdf = kind.endsWith("pdf");
            String first = pdf ? text(metric) : new String(metric, StandardCharsets.UTF_8);
            String second = pdf ? text(imperial) : new String(imperial, StandardCharsets.UTF_8);
            speaks(withoutWrenches(first), METRIC, IMPERIAL);
            speaks(withoutWrenches(second), IMPERIAL, METRIC);
        }
    }

    @Test
    void theRunSheetIsInItsReadersUnits() {
        String build = wren.begin("In two systems", 1.4);
        speaks(text(SERVER.bytes("GET", build + "/sheet.pdf", null)), METRIC, IMPERIAL);
        speaks(text(SERVER.bytes("GET", build + "/sheet.pdf" + ALL_IMPERIAL, null)), IMPERIAL, METRIC);
    }

    @Test
    void aPaperMayMixUnitsAsItsReaderDoes() {
        String build = wren.begin("Mixed", 1.4);
        String mixed = text(SERVER.bytes("GET", build + "/sheet.pdf?imperial=TORQUE", null));
        assertThat(mixed).contains("lb·ft", "°C").doesNotContain("N·m", "°F");
        assertThat(SERVER.send("GET", build + "/sheet.pdf?imperial=FURLONGS", null)
                        .statusCode())
                .isEqualTo(400);
        for (String nothing : new String[] {"%00", "", ","}) {
            assertThat(SERVER.send("GET", build + "/sheet.pdf?imperial=" + nothing, null)
                            .statusCode())
                    .as(nothing)
                    .isEqualTo(200);
        }
    }

    @Test
    void theCalendarIsInItsReadersUnits() {
        wren.begin("For the calendar", 1.4);
        String metric =
                SERVER.send("GET", wren.car() + "/care.ics", null).body().replaceAll("\\r\\n ", "");
        assertThat(metric).contains("10 °C more").doesNotContain("°F");
        String imperial = SERVER.send("GET", wren.car() + "/care.ics" + ALL_IMPERIAL, null)
                .body()
                .replaceAll("\\r\\n ", "");
        assertThat(imperial).contains("18 °F more", " qt in all").doesNotContain("°C");
    }

    /** The demo garage has two logs of one car. */
    @Test
    void theProofIsInItsReadersUnits() {
        JsonNode cars = JSON.readTree(SERVER.send("GET", "/api/cars", null).body());
        JsonNode car = cars.valueStream()
                .map(c -> JSON.readTree(
                        SERVER.send("GET", "/api/cars/" + c.get("id").stringValue(), null)
                                .body()))
                .filter(c -> c.get("logs").size() > 1)
                .findFirst()
                .orElseThrow();
        ObjectNode q = JSON.createObjectNode();
        q.set("car", car.get("car"));
        q.put("before", car.at("/logs/0/id").stringValue());
        q.put("after", car.at("/logs/1/id").stringValue());
        q.set("beforeDesign", car.at("/designs/0/design"));
        q.set("afterDesign", car.at("/designs/0/design"));
        speaks(text(SERVER.bytes("POST", "/api/logs/proof.pdf", q.toString())), METRIC, IMPERIAL);
        speaks(text(SERVER.bytes("POST", "/api/logs/proof.pdf" + ALL_IMPERIAL, q.toString())), IMPERIAL, METRIC);
    }
}
