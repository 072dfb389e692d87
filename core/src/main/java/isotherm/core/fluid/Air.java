package isotherm.core.fluid;

/** Dry air as an ideal gas. */
public final class Air {
    /** Specific heat at constant pressure, J/(kg·K). */
    public static final double SPECIFIC_HEAT = 1006;

    /** Prandtl number. */
    public static final double PRANDTL = 0.71;

    private static final double GAS_CONSTANT = 287.05;

    private Air() {}

    /**
     * @param kelvin temperature, K
     * @param pascal absolute pressure, Pa
     * @return density, kg/m³
     */
    public static double density(double kelvin, double pascal) {
        return pascal / (GAS_CONSTANT * kelvin);
    }

    /**
     * Dynamic viscosity after Sutherland.
     *
     * @param kelvin temperature, K, 170 to 1900
     * @return dynamic viscosity, Pa·s
     */
    public static double viscosity(double kelvin) {
        return 1.458e-6 * kelvin * Math.sqrt(kelvin) / (kelvin + 110.4);
    }

    /**
     * Static pressure in the International Standard Atmosphere (ISO 2533), troposphere.
     *
     * @param altitude height above sea level, m, −500 to 11 000
     * @return pressure, Pa
     */
    public static double standardPressure(double altitude) {
        return 101_325 * Math.pow(1 - 2.25577e-5 * altitude, 5.25588);
    }
}
