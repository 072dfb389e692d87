package isotherm.core.exchanger;

import isotherm.core.fluid.Oil;

/**
 * Properties of an oil at one temperature.
 *
 * @param density kg/m³
 * @param viscosity dynamic viscosity, Pa·s
 * @param specificHeat J/(kg·K)
 * @param conductivity W/(m·K)
 */
public record OilState(double density, double viscosity, double specificHeat, double conductivity) {
    /**
     * @param oil the oil
     * @param kelvin temperature, K
     * @return its properties there
     */
    public static OilState of(Oil oil, double kelvin) {
        return new OilState(
                oil.density(kelvin), oil.dynamicViscosity(kelvin), oil.specificHeat(kelvin), oil.conductivity(kelvin));
    }

    double prandtl() {
        return viscosity * specificHeat / conductivity;
    }
}
