package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The table that a session reads against the oil that it was made of. */
class OilTableTest {
    private static java.util.stream.Stream<Oil> oils() {
        return Oil.GRADES.stream();
    }

    @ParameterizedTest
    @MethodSource("oils")
    void tableFollowsTheOilFromAFrozenStartToTooHot(Oil oil) {
        OilTable table = new OilTable(oil, HeatSchool.SHEAR_EXPONENT);
        double before = Double.POSITIVE_INFINITY;
        for (double c = -30; c <= 180; c += 0.7) {
            double k = Units.kelvin(c);
            double viscosity = table.viscosity(k);
            // Between nodes of 2 K the logarithm of a cold oil's viscosity bends most.
            assertThat(viscosity / oil.dynamicViscosity(k))
                    .as("%s at %s °C", oil, c)
                    .isEqualTo(1, within(0.02));
            assertThat(viscosity).isLessThan(before);
            before = viscosity;
            assertThat(table.density(k)).isEqualTo(oil.density(k), within(1e-6));
            assertThat(table.specificHeat(k)).isEqualTo(oil.specificHeat(k), within(1e-6));
            double slope = (table.enthalpy(k + 0.5) - table.enthalpy(k - 0.5));
            assertThat(slope)
                    .as("enthalpy is the integral of specific heat")
                    .isEqualTo(oil.specificHeat(k), within(0.5));
        }
    }
}
