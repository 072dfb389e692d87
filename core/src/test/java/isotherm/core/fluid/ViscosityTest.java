package isotherm.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class ViscosityTest {
    @ParameterizedTest
    @MethodSource("grades")
    void passesThroughItsTwoPoints(Oil oil) {
        assertThat(oil.kinematicViscosity(313.15) * 1e6).isCloseTo(oil.kv40Cst(), within(1e-3 * oil.kv40Cst()));
        assertThat(oil.kinematicViscosity(373.15) * 1e6).isCloseTo(oil.kv100Cst(), within(1e-3 * oil.kv100Cst()));
    }

    @ParameterizedTest
    @MethodSource("grades")
    void fallsWithTemperatureFromMinus20To160(Oil oil) {
        double before = Double.POSITIVE_INFINITY;
        for (double c = -20; c <= 160; c += 0.5) {
            double cst = oil.kinematicViscosity(Units.kelvin(c)) * 1e6;
            assertThat(cst).isPositive().isLessThan(before);
            before = cst;
        }
    }

    static java.util.List<Oil> grades() {
        return Oil.GRADES;
    }

    @Test
    void isALineInTheStandardsCoordinatesAboveTwoCentistokes() {
        Viscosity v = Viscosity.through(84, 313.15, 14, 373.15);
        double y40 = Math.log10(Math.log10(v.cstAt(313.15) + 0.7));
        double y70 = Math.log10(Math.log10(v.cstAt(343.15) + 0.7));
        double y100 = Math.log10(Math.log10(v.cstAt(373.15) + 0.7));
        double share = (Math.log10(343.15) - Math.log10(313.15)) / (Math.log10(373.15) - Math.log10(313.15));
        assertThat(y70).isCloseTo(y40 + share * (y100 - y40), within(1e-6));
    }

    @Test
    void lowViscositiesComeBackThroughTheStandardsInverse() {
        Viscosity thin = Viscosity.through(2.0, 313.15, 0.8, 373.15);
        assertThat(thin.cstAt(313.15)).isCloseTo(2.0, within(0.005));
        assertThat(thin.cstAt(373.15)).isCloseTo(0.8, within(0.01));
    }

    @Test
    void refusesPointsThatDoNotFall() {
        assertThatIllegalArgumentException().isThrownBy(() -> Viscosity.through(10, 313, 20, 373));
        assertThatIllegalArgumentException().isThrownBy(() -> Viscosity.through(10, 313, 10, 313));
        assertThatIllegalArgumentException().isThrownBy(() -> Viscosity.through(10, 313, Double.NaN, 373));
    }

    /** ASTM D2270, worked examples of procedures A and B: 92 and 156. */
    @ParameterizedTest
    @CsvSource({"73.30, 8.86, 92", "22.83, 5.05, 156"})
    void viscosityIndexOfTheStandardsExamples(double kv40, double kv100, long index) {
        assertThat(Math.round(ViscosityIndex.of(kv40, kv100))).isEqualTo(index);
    }

    @ParameterizedTest
    @ValueSource(doubles = {2.1, 3.8, 4.0, 4.7, 5.5, 6.6, 7.5, 8.8, 11, 14, 17, 20, 25, 35, 45, 60, 90})
    void viscosityIndexAndKv40AreInverses(double kv100) {
        for (double vi : new double[] {20, 80, 100, 101, 140, 190}) {
            double kv40 = ViscosityIndex.kv40(kv100, vi);
            if (kv40 > kv100) {
                assertThat(ViscosityIndex.of(kv40, kv100)).isCloseTo(vi, within(1e-6));
            }
        }
    }

    @Test
    void viscosityIndexIsUndefinedBelowTwoCentistokes() {
        assertThatIllegalArgumentException().isThrownBy(() -> ViscosityIndex.of(5, 1.9));
        assertThatIllegalArgumentException().isThrownBy(() -> ViscosityIndex.of(5, 6));
    }

    @Test
    void cragoeAtOneHundredDegrees() {
        Oil oil = Oil.of("check", 100, 14, 999.0 * 0.81);
        assertThat(oil.specificHeat(373.15)).isCloseTo((1685 + 340) / 0.9, within(1e-9));
        assertThat(oil.conductivity(373.15)).isCloseTo(0.1172 * 0.946 / 0.81, within(1e-9));
    }

    /** ISO 2533, tables for 0, 1000 and 3000 m. */
    @ParameterizedTest
    @CsvSource({"0, 101325", "1000, 89876", "3000, 70121"})
    void standardAtmosphere(double altitude, double pascal) {
        assertThat(Air.standardPressure(altitude)).isCloseTo(pascal, within(15.0));
    }

    @Test
    void sutherlandAtFifteenDegrees() {
        assertThat(Air.viscosity(288.15)).isCloseTo(1.7894e-5, within(1e-8));
        assertThat(Air.density(288.15, 101_325)).isCloseTo(1.225, within(1e-3));
    }
}
