package isotherm.server.document;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.files.SolveCommand;
import isotherm.server.testing.Examples;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SolveCommandTest {
    private record Run(int code, String out, String err) {}

    private static Run solve(String... args) {
        return solve(InputStream.nullInputStream(), args);
    }

    private static Run solve(InputStream in, String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = SolveCommand.run(
                args,
                in,
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8));
        return new Run(code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    @Test
    void aCaseGoesInAndItsOutcomeComesOut() {
        Run run = solve("solve", Examples.formats().resolve("corvid.json").toString());
        assertThat(run.code()).isEqualTo(SolveCommand.OK);
        JsonNode outcome = new JsonMapper().readTree(run.out());
        assertThat(outcome.get("figures").get("peakC").doubleValue()).isBetween(100.0, 180.0);
        assertThat(outcome.get("findings").get(0).get("topic").stringValue()).isEqualTo("TOO_HOT");
    }

    @Test
    void theStandardInputIsTakenToo() {
        byte[] json = Examples.read("wren").getBytes(StandardCharsets.UTF_8);
        Run run = solve(new ByteArrayInputStream(json), "solve", "-");
        assertThat(run.code()).isEqualTo(SolveCommand.OK);
        assertThat(run.out()).contains("NOT_NEEDED");
    }

    @Test
    void wrongFieldsAreNamedWithTheirPathsAndTheCodeIs2() {
        String json = Examples.read("corvid")
                .replace("\"powerKw\": 235", "\"powerKw\": -1")
                .replace("\"depthMm\": 50", "\"depthMm\": 500");
        Run run = solve(new ByteArrayInputStream(json.getBytes(StandardCharsets.UTF_8)), "solve", "-");
        assertThat(run.code()).isEqualTo(SolveCommand.BAD_INPUT);
        assertThat(run.out()).isEmpty();
        assertThat(run.err())
                .contains("/car/engine/powerKw: -1 kW is outside 10 to 1500 kW")
                .contains("/design/cooler/depthMm: 500 mm is outside 20 to 120 mm");
    }

    @Test
    void aMissingFileIsSaidAndNotThrown() {
        assertThat(solve("solve", "/nowhere/at/all.json").err()).contains("cannot read /nowhere/at/all.json");
        assertThat(solve("solve").code()).isEqualTo(SolveCommand.BAD_INPUT);
    }
}
