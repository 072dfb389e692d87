package isotherm.core.simulate;

import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;

/** An oil's properties prepared for millions of look-ups: viscosity on a grid, the linear ones in closed form. */
final class OilTable {
    static final double LOW_K = 223.15;
    static final double STEP = 2;
    static final int NODES = 156;

    private final double[] lnViscosity = new double[NODES];
    private final double cp0;
    private final double cp1;
    private final double rho0;
    private final double rho1;

    OilTable(Oil oil) {
        for (int i = 0; i < NODES; i++) {
            lnViscosity[i] = Math.log(oil.dynamicViscosity(LOW_K + i * STEP));
        }
        cp0 = oil.specificHeat(Units.ZERO_CELSIUS);
        cp1 = oil.specificHeat(Units.ZERO_CELSIUS + 1) - cp0;
        rho0 = oil.density(Units.ZERO_CELSIUS);
        rho1 = oil.density(Units.ZERO_CELSIUS + 1) - rho0;
    }

    /** Natural logarithm of the dynamic viscosity in Pa·s. */
    double lnViscosity(double kelvin) {
        double at = Math.max(0, Math.min(NODES - 1.000001, (kelvin - LOW_K) / STEP));
        int i = (int) at;
        return lnViscosity[i] + (at - i) * (lnViscosity[i + 1] - lnViscosity[i]);
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
