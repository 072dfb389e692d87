package isotherm.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Air and oil against published values, and the shipped grades against what a grade means. */
class FluidTest {
    static List<Oil> grades() {
        return Oil.GRADES;
    }

    /** ISO 2533:1975, table 1, geopotential altitudes; temperature by its lapse of 6.5 K a kilometre. */
    @ParameterizedTest
    @CsvSource({"0, 101325, 1.2250", "1000, 89876, 1.1117", "2000, 79501, 1.0066", "5000, 54048, 0.7364"})
    void airOfTheStandardAtmosphere(double altitude, double pascal, double density) {
        assertThat(Air.standardPressure(altitude)).isCloseTo(pascal, within(0.002 * pascal));
        double kelvin = 288.15 - 0.0065 * altitude;
        assertThat(Air.density(kelvin, Air.standardPressure(altitude))).isCloseTo(density, within(0.002 * density));
    }

    /** ISO 2533:1975, dynamic viscosity at sea level and at 5000 m. */
    @ParameterizedTest
    @CsvSource({"288.15, 17.894e-6", "255.65, 16.282e-6"})
    void viscosityOfAirAfterSutherland(double kelvin, double pascalSeconds) {
        assertThat(Air.viscosity(kelvin)).isCloseTo(pascalSeconds, within(0.002 * pascalSeconds));
    }

    /** SAE J300 by the winter number; for an oil without one, where its viscosity reaches 60 Pa·s. */
    @Test
    void anOilSaysHowColdItCanStillBePumped() {
        assertThat(Oil.grade("20W-50").orElseThrow().pumpableK()).isCloseTo(253.15, within(1e-9));
        assertThat(Oil.grade("0W-20").orElseThrow().pumpableK()).isCloseTo(233.15, within(1e-9));
        Oil own = Oil.of("own blend", 84, 14, 853);
        assertThat(own.dynamicViscosity(own.pumpableK())).isCloseTo(60, within(0.2));
        assertThat(own.pumpableK()).isBetween(210.0, 255.0);
    }

    @Test
    void hotAirIsThinnerAndMoreViscous() {
        for (double c = -20; c < 120; c += 10) {
            assertThat(Air.density(Units.kelvin(c + 10), 1e5)).isLessThan(Air.density(Units.kelvin(c), 1e5));
            assertThat(Air.viscosity(Units.kelvin(c + 10))).isGreaterThan(Air.viscosity(Units.kelvin(c)));
        }
    }

    @Test
    void celsiusAndKelvinAreInverses() {
        assertThat(Units.kelvin(-273.15)).isZero();
        for (double c = -40; c <= 180; c += 7) {
            assertThat(Units.celsius(Units.kelvin(c))).isCloseTo(c, within(1e-12));
        }
    }

    /** SAE J300: kinematic viscosity at 100 °C of each hot grade, cSt, from and below. */
    @ParameterizedTest
    @CsvSource({
        "0W-20, 6.9, 9.3",
        "5W-30, 9.3, 12.5",
        "5W-40, 12.5, 16.3",
        "10W-40, 12.5, 16.3",
        "15W-40, 12.5, 16.3",
        "20W-50, 16.3, 21.9",
        "10W-60, 21.9, 26.1"
    })
    void everyShippedGradeLiesInItsClass(String grade, double from, double below) {
        Oil oil = Oil.grade(grade).orElseThrow();
        assertThat(oil.kv100Cst()).isBetween(from, below);
        assertThat(oil.name()).isEqualTo(grade).hasToString(oil.toString());
    }

    @Test
    void anUnknownGradeIsNoOil() {
        assertThat(Oil.grade("11W-11")).isEmpty();
        assertThatIllegalArgumentException().isThrownBy(() -> Oil.of("upside down", 10, 20, 850));
    }

    @ParameterizedTest
    @MethodSource("grades")
    void heatedOilIsLighterThinnerHoldsMoreAndConductsLess(Oil oil) {
        for (double c = 0; c < 150; c += 10) {
            double here = Units.kelvin(c);
            double there = Units.kelvin(c + 10);
            assertThat(oil.density(there)).isLessThan(oil.density(here));
            assertThat(oil.dynamicViscosity(there)).isLessThan(oil.dynamicViscosity(here));
            assertThat(oil.specificHeat(there)).isGreaterThan(oil.specificHeat(here));
            assertThat(oil.conductivity(there)).isLessThan(oil.conductivity(here));
            assertThat(oil.prandtl(there)).isLessThan(oil.prandtl(here));
        }
        assertThat(oil.density(Units.kelvin(15))).isCloseTo(oil.density15(), within(1e-9));
    }

    /**
     * Unused engine oil of Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, table A.5, at 360 K: 847.8 kg/m³, 2161
     * J/(kg·K), 0.138 W/(m·K). Cragoe's correlations come within a few parts in a hundred of it, his conductivity within ten.
     */
    @Test
    void propertiesOfAnEngineOilAtThreeHundredAndSixtyKelvin() {
        Oil oil = Oil.of("unused engine oil", 240, 16, 891);
        assertThat(oil.density(360)).isCloseTo(847.8, within(0.01 * 847.8));
        assertThat(oil.specificHeat(360)).isCloseTo(2161, within(0.04 * 2161));
        assertThat(oil.conductivity(360)).isCloseTo(0.138, within(0.1 * 0.138));
    }

    @Test
    void dynamicViscosityIsKinematicTimesDensityAndThePrandtlNumberFollows() {
        Oil oil = Oil.grade("5W-40").orElseThrow();
        double t = Units.kelvin(100);
        assertThat(oil.dynamicViscosity(t)).isCloseTo(14e-6 * oil.density(t), within(1e-8));
        assertThat(oil.prandtl(t))
                .isCloseTo(oil.dynamicViscosity(t) * oil.specificHeat(t) / oil.conductivity(t), within(1e-9));
        assertThat(oil.prandtl(t)).isBetween(120.0, 300.0);
    }

    @Test
    void oilsAreTheSameWhenAllFiguresAre() {
        Oil a = Oil.of("mine", 84, 14, 853);
        assertThat(a).isEqualTo(Oil.of("mine", 84, 14, 853)).hasSameHashCodeAs(Oil.of("mine", 84, 14, 853));
        assertThat(a)
                .isNotEqualTo(Oil.of("yours", 84, 14, 853))
                .isNotEqualTo(Oil.of("mine", 85, 14, 853))
                .isNotEqualTo(Oil.of("mine", 84, 13.9, 853))
                .isNotEqualTo(Oil.of("mine", 84, 14, 854))
                .isNotEqualTo("mine");
    }
}
