package isotherm.core.simulate;

import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;

/** An oil's properties prepared for millions of look-ups: viscosity on a grid, the linear ones in closed form. */
final class OilTable {
    static final double LOW_K = 223.15;
    static final double STEP = 2;
    static final int NODES = 156;

    /** Exponent of the wall correction after Sieder and Tate (1936). */
    static final double SIEDER_TATE = 0.14;

    private final double[] viscosity = new double[NODES];
    private final double[] wallPower = new double[NODES];
    private final double[] shear = new double[NODES];
    private final double cp0;
    private final double cp1;
    private final double rho0;
    private final double rho1;

    /**
     * @param oil the oil
     * @param shearExponent exponent of shear heat on kinematic viscosity
     */
    OilTable(Oil oil, double shearExponent) {
        for (int i = 0; i < NODES; i++) {
            viscosity[i] = oil.dynamicViscosity(LOW_K + i * STEP);
            wallPower[i] = Math.pow(viscosity[i], SIEDER_TATE);
            shear[i] = Math.pow(
                    viscosity[i] / oil.density(LOW_K + i * STEP) / HeatSchool.REFERENCE_VISCOSITY, shearExponent);
        }
        cp0 = oil.specificHeat(Units.ZERO_CELSIUS);
        cp1 = oil.specificHeat(Units.ZERO_CELSIUS + 1) - cp0;
        rho0 = oil.density(Units.ZERO_CELSIUS);
        rho1 = oil.density(Units.ZERO_CELSIUS + 1) - rho0;
    }

    /** Dynamic viscosity, Pa·s. */
    double viscosity(double kelvin) {
        return EvenTable.at(viscosity, LOW_K, STEP, kelvin);
    }

    /** Dynamic viscosity to the power of the wall correction. */
    double wallPower(double kelvin) {
        return EvenTable.at(wallPower, LOW_K, STEP, kelvin);
    }

    /** Shear heat over that at the schools' reference viscosity. */
    double shear(double kelvin) {
        return EvenTable.at(shear, LOW_K, STEP, kelvin);
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
