package isotherm.server.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.sheet.Step;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Figures of a run sheet in the units in which a builder reads them. */
class MeasuresTest {
    @ParameterizedTest
    @CsvSource({
        "PRESSURE, 140000, 1.4",
        "TEMPERATURE, 373.15, 100",
        "TORQUE, 25, 25",
        "VOLUME, 0.0064, 6.4",
        "LENGTH, 0.718, 718",
        "ANGLE, 1.5707963267948966, 90"
    })
    void areWrittenInWorkshopUnits(Step.Measure measure, double si, double written) {
        assertThat(Measures.written(measure, si)).isEqualTo(written, within(1e-9));
        assertThat(Measures.si(measure, written)).isEqualTo(si, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Step.Measure.class)
    void comeBackAsTheyWent(Step.Measure measure) {
        for (double v = -3; v < 500; v += 7.3) {
            assertThat(Measures.written(measure, Measures.si(measure, v))).isEqualTo(v, within(1e-9));
        }
    }
}
