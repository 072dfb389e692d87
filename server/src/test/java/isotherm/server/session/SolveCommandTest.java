package isotherm.server.session;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.contract.DocumentReader;
import isotherm.server.files.SolveCommand;
import isotherm.server.garage.CaseDocument;
import isotherm.server.testing.Examples;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
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

    /** Many questions through one process: each line has its answer, also the ones that cannot be taken. */
    @Test
    void linesAreAnsweredOneByOneInTheirOrder() {
        JsonMapper json = new JsonMapper();
        String good = json.readTree(Examples.read("rating")).toString();
        String bad = good.replaceFirst("\"rows\":\\d+", "\"rows\":900");
        String in = String.join("\n", good, bad, "", "{\"core\":", good) + "\n";
        Run run = solve(new ByteArrayInputStream(in.getBytes(StandardCharsets.UTF_8)), "solve", "--lines", "rating");
        assertThat(run.code()).isEqualTo(SolveCommand.BAD_INPUT);
        assertThat(run.err()).contains("2 of 5 lines cannot be taken");
        List<JsonNode> answers = run.out().lines().map(json::readTree).toList();
        assertThat(answers).hasSize(4);
        JsonNode alone = ask("rating");
        assertThat(answers.get(0)).isEqualTo(alone);
        assertThat(answers.get(3)).isEqualTo(alone);
        assertThat(answers.get(1).get("line").intValue()).isEqualTo(2);
        assertThat(answers.get(1).at("/problems/0/path").stringValue()).endsWith("/rows");
        assertThat(answers.get(2).get("line").intValue()).isEqualTo(4);
        Run clean = solve(
                new ByteArrayInputStream((good + "\n").getBytes(StandardCharsets.UTF_8)), "solve", "--lines", "rating");
        assertThat(clean.code()).isEqualTo(SolveCommand.OK);
        assertThat(solve("solve", "--lines", "guess").code()).isEqualTo(SolveCommand.BAD_INPUT);
    }

    private static JsonNode ask(String kind) {
        Run run =
                solve("solve", kind, Examples.formats().resolve(kind + ".json").toString());
        assertThat(run.err().lines().filter(l -> !l.contains("designs looked at")))
                .isEmpty();
        assertThat(run.code()).isEqualTo(SolveCommand.OK);
        return new JsonMapper().readTree(run.out());
    }

    @Test
    void aCoreAlone() {
        JsonNode r = ask("rating");
        assertThat(r.get("heatKw").doubleValue()).isBetween(14.5, 16.5);
        assertThat(r.get("oilLossBar").doubleValue()).isBetween(0.13, 0.21);
    }

    @Test
    void theAirAloneRisesWithSpeed() {
        double before = -1;
        for (JsonNode at : ask("air")) {
            assertThat(at.get("faceSpeedMPerS").doubleValue()).isGreaterThan(before);
            before = at.get("faceSpeedMPerS").doubleValue();
        }
    }

    @Test
    void theCircuitAlone() {
        JsonNode c = ask("circuit");
        assertThat(c.get("points").size()).isEqualTo(6);
        assertThat(c.get("primeSeconds").doubleValue()).isPositive();
    }

    @Test
    void aMapsColumnsAreItsRowsOfTheCore() {
        JsonNode m = ask("map");
        assertThat(m.get("peakC").size()).isEqualTo(m.get("y").size());
        assertThat(m.get("peakC").get(0).size()).isEqualTo(m.get("x").size());
        assertThat(m.get("peakC").get(0).get(9).doubleValue())
                .isLessThan(m.get("peakC").get(0).get(0).doubleValue());
    }

    @Test
    void aFitFindsTheHeatThatTheExampleWasMadeWith() {
        JsonNode heat = ask("fit").get("estimates").get(0);
        assertThat(heat.get("parameter").stringValue()).isEqualTo("HEAT");
        double off = Math.abs(heat.get("factor").doubleValue() - 1.12);
        assertThat(off).isLessThan(2 * heat.get("standardError").doubleValue());
    }

    @Test
    void aComparisonOfTwoDaysSeesTheCooler() {
        JsonNode c = ask("compare");
        assertThat(c.get("verdict").stringValue()).isEqualTo("COOLER");
        assertThat(c.get("differenceK").get("high").doubleValue()).isNegative();
    }

    @Test
    void aSearchMarksSmallestThatHoldsAndLargestThatFits() {
        JsonNode s = ask("search");
        assertThat(s.get("holding").intValue()).isPositive();
        assertThat(s.get("smallestThatHolds").get("peakC").doubleValue()).isLessThanOrEqualTo(120);
        assertThat(s.get("largestThatFits").get("massKg").doubleValue())
                .isGreaterThan(s.get("smallestThatHolds").get("massKg").doubleValue() * 0.8);
    }

    @Test
    void wrongQuestionsNameTheirFields() {
        assertThat(solve("solve", "riddle", "x.json").err()).contains("KIND is one of");
        String map = read("map").replace("\"from\": 7", "\"from\": 70").replace("\"SEALING_PERCENT\"", "\"ROWS\"");
        Run run = solve(new ByteArrayInputStream(map.getBytes(StandardCharsets.UTF_8)), "solve", "map", "-");
        assertThat(run.code()).isEqualTo(SolveCommand.BAD_INPUT);
        assertThat(run.err()).contains("/x/from").contains("/y/axis: The two axes have to differ");
        String fit = read("fit").replaceFirst("\"oilC\": \\[\\s*[-0-9.]+,", "\"oilC\": [");
        Run short1 = solve(new ByteArrayInputStream(fit.getBytes(StandardCharsets.UTF_8)), "solve", "fit", "-");
        assertThat(short1.err()).contains("/oilC: This column has");
    }

    private static String read(String kind) {
        return Examples.read(kind);
    }

    @Test
    void aCoreInTheNoseSaysWhatItsPositionMeans() {
        Run run = solve(
                "solve",
                "placement",
                Examples.formats().resolve("placement.json").toString());
        assertThat(run.code()).isEqualTo(SolveCommand.OK);
        JsonNode answer = new JsonMapper().readTree(run.out());
        assertThat(answer.get("place").stringValue()).isEqualTo("LOWER_GRILLE_AHEAD");
        assertThat(answer.get("shadedPercent").doubleValue()).isEqualTo(34.0);
        assertThat(answer.get("section")).hasSize(4);
    }

    @Test
    void bothSchoolsOfSizeAreAsked() {
        Run run = solve(
                "solve", "schools", Examples.formats().resolve("schools.json").toString());
        assertThat(run.code()).isEqualTo(SolveCommand.OK);
        JsonNode answer = new JsonMapper().readTree(run.out());
        assertThat(answer.get("largestThatFits").get("price").doubleValue()).isPositive();
        assertThat(answer.get("smallestThatHolds").get("peakC").doubleValue())
                .isLessThan(answer.get("present").get("peakC").doubleValue());
    }

    @Test
    void aQuickLookHasTheFiguresOfTheWholeOne() {
        CaseDocument asked = DocumentReader.read(Examples.read("corvid"), CaseDocument.class);
        OutcomeDocument whole = Solver.solve(asked);
        OutcomeDocument.Quick quick = Solver.quick(asked);
        assertThat(quick.figures()).isEqualTo(whole.figures());
        assertThat(quick.bare()).isEqualTo(whole.bare());
        assertThat(quick.traces().oilC().size())
                .isLessThan(whole.traces().oilC().size());
    }
}
