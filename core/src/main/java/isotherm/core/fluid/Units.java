package isotherm.core.fluid;

/** Conversions between the SI units inside {@code core} and the units in which the job is measured. */
public final class Units {
    /** 0 °C in K. */
    public static final double ZERO_CELSIUS = 273.15;

    private Units() {}

    /**
     * @param celsius temperature, °C
     * @return the same temperature, K
     */
    public static double kelvin(double celsius) {
        return celsius + ZERO_CELSIUS;
    }

    /**
     * @param kelvin temperature, K
     * @return the same temperature, °C
     */
    public static double celsius(double kelvin) {
        return kelvin - ZERO_CELSIUS;
    }
}
