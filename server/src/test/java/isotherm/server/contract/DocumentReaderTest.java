package isotherm.server.contract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.session.Solver;
import isotherm.server.testing.Examples;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DocumentReaderTest {
    private static final CarDocument CAR =
            DocumentReader.read(Examples.read("corvid"), CaseDocument.class).car();

    private static List<Problem> problems(String json) {
        return catchThrowableOfType(InvalidDocument.class, () -> DocumentReader.read(json, CaseDocument.class))
                .problems();
    }

    @ParameterizedTest
    @ValueSource(strings = {"corvid", "hauler", "wren"})
    void examplesAreTaken(String name) {
        CaseDocument read = DocumentReader.read(Examples.read(name), CaseDocument.class);
        assertThat(read.car().toCore().engine().power())
                .isEqualTo(read.car().engine().powerKw() * 1000);
        assertThat(read.design().toCore(read.car()).cooler()).isPresent();
    }

    @Test
    void findsEveryProblemAtOnceWithPathRangeAndUnit() {
        String json = Examples.read("corvid")
                .replace("\"powerKw\": 235", "\"powerKw\": 2350")
                .replace("\"rows\": 10", "\"rows\": 10.5")
                .replace("\"ambientC\": 31", "\"ambientC\": \"hot\"")
                .replace("\"mesh\": false", "\"mish\": false")
                .replace("\"sensor\": \"SUMP\"", "\"sensor\": \"DASH\"");
        List<Problem> problems = problems(json);
        assertThat(problems)
                .extracting(Problem::path)
                .containsExactlyInAnyOrder(
                        "/car/engine/powerKw",
                        "/car/sensor",
                        "/duty/ambientC",
                        "/design/cooler/rows",
                        "/design/cooler/mish",
                        "/design/cooler/mesh");
        Problem power = problems.stream()
                .filter(p -> p.path().equals("/car/engine/powerKw"))
                .findFirst()
                .orElseThrow();
        assertThat(power.message()).isEqualTo("2350 kW is outside 10 to 1500 kW (maximum brake power)");
        assertThat(power.max()).isEqualTo(1500);
        assertThat(power.unit()).isEqualTo("kW");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"fullC\": 98 | \"fullC\": 80 | /car/coolant/fullC",
                "\"idleRpm\": 850 | \"idleRpm\": 1900, \"x\": 1 | /car/engine/x",
                "\"limitC\": 130 | \"limitC\": 100 | /car/limits/limitC",
                "\"bar\": 1.3 | \"bar\": 6 | /gauge/bar",
                "\"grade\": \"5W-40\" | \"grade\": \"5W-41\" | /car/oil/grade",
                "\"exitKmh\": 192 | \"exitKmh\": 150 | /duty/track/stretches/0/exitKmh",
                "\"stints\": 1 | \"stints\": 20, \"cruise\": {\"speedKmh\": 80, \"durationSeconds\": 600} | /duty",
            })
    void contradictionsAreNamed(String from, String to, String path) {
        String json = Examples.read("corvid");
        assertThat(json).contains(from);
        assertThat(problems(json.replaceFirst(java.util.regex.Pattern.quote(from), to)))
                .anySatisfy(p -> assertThat(p.path()).contains(path));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "[]", "null", "3", "{\"car\":"})
    void whatIsNoCaseIsRefusedAndNotThrownThrough(String json) {
        assertThatThrownBy(() -> DocumentReader.read(json, CaseDocument.class)).isInstanceOf(InvalidDocument.class);
    }

    @Test
    void aSessionWithoutALapIsRefused() {
        String json = Examples.read("corvid")
                .replace("\"flyers\": 14", "\"flyers\": 0")
                .replace("\"outLaps\": 1", "\"outLaps\": 0")
                .replace("\"coolDownLaps\": 1", "\"coolDownLaps\": 0");
        assertThat(problems(json)).extracting(Problem::path).containsExactly("/duty/track/flyers");
    }

    @Test
    void aFieldGivenTwiceIsRefused() {
        String json = Examples.read("corvid").replace("\"flyers\": 14", "\"flyers\": 14, \"flyers\": 3");
        assertThat(problems(json)).singleElement().satisfies(p -> assertThat(p.message())
                .contains("twice"));
    }

    @Test
    void aDesignComesBackFromCoreAsItWent() {
        for (String name : List.of("corvid", "hauler", "wren")) {
            DesignDocument design =
                    DocumentReader.read(Examples.read(name), CaseDocument.class).design();
            DesignDocument once = DesignDocument.of(design.name(), design.toCore(CAR));
            assertThat(once.toCore(CAR)).isEqualTo(design.toCore(CAR));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"1e400", "-1e400", "1e999999999", "NINES"})
    void aNumberThatNothingHoldsIsOutsideItsRange(String number) {
        String written = number.replace("NINES", "9".repeat(400));
        for (String field : List.of("\"powerKw\": 235", "\"rows\": 10")) {
            String json = Examples.read("corvid").replace(field, field.replaceAll("\\d+$", written));
            assertThat(problems(json)).singleElement().satisfies(p -> assertThat(p.max())
                    .isNotNull());
        }
    }

    @Test
    void hardlyAnythingIsNothing() {
        String json =
                Examples.read("corvid").replaceFirst("\"sealingPercent\": *[0-9.]+", "\"sealingPercent\": 1e-320");
        CaseDocument read = DocumentReader.read(json, CaseDocument.class);
        assertThat(read.design().cooler().sealingPercent()).isZero();
        assertThat(Solver.solve(read).figures().peakC()).isFinite();
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\\u0000b", "\\u0007", "\\ud800", "\\udc00x", "\\uffff", "\\u007f"})
    void aTextHoldsNothingThatCannotBeKept(String text) {
        String json = Examples.read("corvid").replace("Aldane Corvid", text);
        assertThat(problems(json)).extracting(Problem::path).containsExactly("/car/name");
        String good = Examples.read("corvid").replace("Aldane Corvid", "Zoë’s 🚗, tab\\tand line\\nend");
        assertThat(DocumentReader.read(good, CaseDocument.class).car().name()).startsWith("Zoë’s 🚗");
    }
}
