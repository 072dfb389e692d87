package isotherm.server.logger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Units;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Session;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.testing.Examples;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RecorderTest {
    private static Recorder.Recipe recipe(String example, double rate, long seed) {
        CaseDocument c = DocumentReader.read(Examples.read(example), CaseDocument.class);
        return new Recorder.Recipe(
                c.car().toCore(), c.duty().toCore(), c.design().toCore(c.car()), Map.of(Factor.HEAT, 1.1), rate, seed);
    }

    private static List<String[]> rows(Recorder.Recipe recipe) throws IOException {
        StringBuilder text = new StringBuilder();
        Recorder.write(recipe, text);
        return text.toString().lines().map(l -> l.split(",", -1)).toList();
    }

    @Test
    void theSameSeedGivesTheSameLogAndAnotherOneAnother() throws IOException {
        StringBuilder a = new StringBuilder();
        StringBuilder b = new StringBuilder();
        StringBuilder c = new StringBuilder();
        Recorder.write(recipe("corvid", 5, 3), a);
        Recorder.write(recipe("corvid", 5, 3), b);
        Recorder.write(recipe("corvid", 5, 4), c);
        assertThat(a.toString()).isEqualTo(b.toString()).isNotEqualTo(c.toString());
    }

    @Test
    void theLogScattersAboutTheTruthAndDropsOutNowAndThen() throws IOException {
        Recorder.Recipe recipe = recipe("corvid", 10, 5);
        Session truth = Recorder.truth(recipe);
        List<String[]> rows = rows(recipe);
        List<String> header = Arrays.asList(rows.get(0));
        int oil = header.indexOf("Oil temp [°C]");
        int gone = 0;
        double sum = 0;
        double squares = 0;
        int n = 0;
        for (String[] row : rows.subList(1, rows.size())) {
            if (row[oil].isEmpty()) {
                gone++;
                continue;
            }
            double t = Double.parseDouble(row[0]);
            int cell = (int) t;
            double there = truth.oil()[cell] + (t - cell) * (truth.oil()[cell + 1] - truth.oil()[cell]);
            double error = Double.parseDouble(row[oil]) - Units.celsius(there);
            sum += error;
            squares += error * error;
            n++;
        }
        assertThat(sum / n).isCloseTo(0, within(0.05));
        assertThat(Math.sqrt(squares / n)).isBetween(0.3, 0.5);
        assertThat(gone).isBetween(1, rows.size() / 20);
    }

    @Test
    void aTrackLogCountsLapsAndAClimbDoesNot() throws IOException {
        assertThat(rows(recipe("corvid", 1, 1)).get(0)).contains("Lap", "Oil return [°C]");
        assertThat(rows(recipe("hauler", 1, 1)).get(0)).doesNotContain("Lap");
        List<String[]> corvid = rows(recipe("corvid", 1, 1));
        int lap = Arrays.asList(corvid.get(0)).indexOf("Lap");
        assertThat(Integer.parseInt(corvid.get(corvid.size() - 1)[lap])).isEqualTo(16);
    }
}
