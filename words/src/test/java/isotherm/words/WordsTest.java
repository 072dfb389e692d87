package isotherm.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.findings.Finding;
import isotherm.core.findings.Remedy;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {
    private static final Message HOT = Finding.Topic.TOO_HOT
            .say("what")
            .choose("fails", true)
            .with("peak", Measure.TEMPERATURE, 143 + 273.15)
            .with("over", Measure.TEMPERATURE_DIFFERENCE, 13)
            .with("bound", Measure.TEMPERATURE, 130 + 273.15);

    private static String say(Message m, UnitChoice units) {
        return Words.english().render(m, units);
    }

    @Test
    void aFindingIsSaidInTheReadersUnits() {
        assertThat(say(HOT, UnitChoice.METRIC)).isEqualTo("Oil peaks at 143 °C, 13 °C over its limit of 130 °C");
        assertThat(say(HOT, UnitChoice.IMPERIAL)).isEqualTo("Oil peaks at 289 °F, 23 °F over its limit of 266 °F");
    }

    @Test
    void manyAndOne() {
        Message rows = Remedy.Kind.MORE_ROWS.say("label");
        assertThat(say(rows.count("rows", 1), UnitChoice.METRIC)).isEqualTo("Go up to 1 row");
        assertThat(say(rows.count("rows", 25), UnitChoice.METRIC)).isEqualTo("Go up to 25 rows");
    }

    @Test
    void messagesInAMessageAreJoined() {
        Message range = Finding.Topic.STRETCHED
                .say("range")
                .name("quantity", "Reynolds number")
                .with("value", Measure.NUMBER, 40, 0)
                .with("low", Measure.NUMBER, 100, 0)
                .with("high", Measure.NUMBER, 3000, 0)
                .name("source", "a book");
        assertThat(say(Finding.Topic.STRETCHED.say("what").say("ranges", List.of(range, range)), UnitChoice.METRIC))
                .isEqualTo(
                        "A correlation is used outside its range: Reynolds number 40, fitted for 100 to 3000 (a book);"
                                + " Reynolds number 40, fitted for 100 to 3000 (a book)");
    }

    @Test
    void aMessageThatIsNotThereIsRefused() {
        assertThatThrownBy(() -> say(new Message("finding.NONE.what", new TreeMap<>()), UnitChoice.METRIC))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("finding.NONE.what");
    }

    @ParameterizedTest
    @CsvSource({
        "TEMPERATURE, 368.15, 95 °C, 203 °F",
        "TEMPERATURE, 272.95, 0 °C, 32 °F",
        "TEMPERATURE, 263.15, −10 °C, 14 °F",
        "TEMPERATURE_RATE, 0.02, 1.2 °C/min, 2.2 °F/min",
        "LENGTH, 0.827, 827 mm, 32.56 in",
        "DISTANCE, 1200, 1200 m, 3937 ft",
        "TRAVEL, 500000, 500 km, 311 mi",
        "SPEED, 22.2222, 80 km/h, 50 mph",
        "AIR_SPEED, 5, 5.0 m/s, 16 ft/s",
        "POWER, 150000, 150 kW, 201 hp",
        "HEAT, 12300, 12.3 kW, 16.5 hp",
        "PRESSURE, 350000, 3.50 bar, 51 psi",
        "VOLUME, 0.0045, 4.50 L, 4.76 qt",
        "FLOW, 0.0005, 30.0 L/min, 7.9 gal/min",
        "MASS, 1180, 1180 kg, 2601 lb",
        "TORQUE, 40, 40 N·m, 30 lb·ft",
        "ANGLE, 1.5707963, 90°, 0.250 turn",
        "AREA, 0.0516, 516 cm², 80 in²",
        "VISCOSITY, 6.54e-6, 6.5 cSt, 6.5 cSt",
        "ENGINE_SPEED, 100, 6000 rpm, 6000 rpm",
        "TIME, 45, 45 s, 45 s",
        "TIME, 570, 9 min 30 s, 9 min 30 s",
        "TIME, 7500, 2 h 5 min, 2 h 5 min",
        "SHARE, 0.335, 34 %, 34 %",
        "NUMBER, 0.5, 0.50, 0.50"
    })
    void figuresAreWrittenWithTheirUnits(Measure measure, double si, String metric, String imperial) {
        assertThat(new Figures(UnitChoice.METRIC).write(measure, si)).isEqualTo(metric);
        assertThat(new Figures(UnitChoice.IMPERIAL).write(measure, si)).isEqualTo(imperial);
        assertThat(measure.metric().toSi(measure.metric().of(si))).isEqualTo(si, within(1e-9));
        assertThat(measure.imperial().toSi(measure.imperial().of(si))).isEqualTo(si, within(1e-9));
    }
}
