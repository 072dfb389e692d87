package isotherm.core.simulate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;

/** An oil's properties prepared for millions of look-ups: viscosity on a grid, the linear ones in closed form. Not for two threads at once. */
final class OilTable {
    static final double LOW_K = 223.15;
    static final double STEP = 2;
    static final int NODES = 156;

    /** Exponent of the wall correction after Sieder and Tate (1936). */
    static final double SIEDER_TATE = 0.14;

    /** What flow asks of an oil: the same for every session with it, and the dearest of its figures. */
    private record Flow(EvenTable viscosity, EvenTable wallPower) {
        private static final int KEPT = 32;
        private static final Cache<Oil, Flow> LAST =
                Caffeine.newBuilder().maximumSize(KEPT).build();

        static Flow of(Oil oil) {
            return LAST.get(oil, o -> {
                EvenTable viscosity = new EvenTable(LOW_K, STEP, NODES, o::dynamicViscosity).filled();
                return new Flow(
                        viscosity,
                        new EvenTable(LOW_K, STEP, NODES, t -> Math.pow(viscosity.at(t), SIEDER_TATE)).filled());
            });
        }
    }

    private final EvenTable viscosity;
    private final EvenTable wallPower;
    private final EvenTable shear;
    private final double cp0;
    private final double cp1;
    private final double rho0;
    private final double rho1;

    /**
     * @param oil the oil
     * @param shearExponent exponent of shear heat on kinematic viscosity
     */
    OilTable(Oil oil, double shearExponent) {
        Flow flow = Flow.of(oil);
        viscosity = flow.viscosity();
        wallPower = flow.wallPower();
        shear = new EvenTable(
                LOW_K,
                STEP,
                NODES,
                t -> Math.pow(viscosity.at(t) / oil.density(t) / HeatSchool.REFERENCE_VISCOSITY, shearExponent));
        cp0 = oil.specificHeat(Units.ZERO_CELSIUS);
        cp1 = oil.specificHeat(Units.ZERO_CELSIUS + 1) - cp0;
        rho0 = oil.density(Units.ZERO_CELSIUS);
        rho1 = oil.density(Units.ZERO_CELSIUS + 1) - rho0;
    }

    /** Dynamic viscosity, Pa·s. */
    double viscosity(double kelvin) {
        return viscosity.at(kelvin);
    }

    /** Dynamic viscosity to the power of the wall correction. */
    double wallPower(double kelvin) {
        return wallPower.at(kelvin);
    }

    /** Shear heat over that at the schools' reference viscosity. */
    double shear(double kelvin) {
        return shear.at(kelvin);
    }

    /** J/(kg·K). */
    double specificHeat(double kelvin) {
        return cp0 + cp1 * (kelvin - Units.ZERO_CELSIUS);
    }

    /** Specific enthalpy above 0 °C, J/kg. */
    double enthalpy(double kelvin) {
        double t = kelvin - Units.ZERO_CELSIUS;
        return (cp0 + cp1 / 2 * t) * t;
    }

    /** kg/m³. */
    double density(double kelvin) {
        return rho0 + rho1 * (kelvin - Units.ZERO_CELSIUS);
    }
}
