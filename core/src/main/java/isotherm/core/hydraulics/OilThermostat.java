package isotherm.core.hydraulics;

/**
 * A wax thermostat that sends oil to the cooler.
 *
 * @param opensK temperature at which it begins to open, K
 * @param fullK temperature at which it is fully open, K, above {@code opensK}
 * @param leak share of the flow that passes when it is shut, 0 to 0.5
 */
public record OilThermostat(double opensK, double fullK, double leak) {
    /** Usual span from opening to full open, K. */
    public static final double SPAN = 11;
    /** Time constant of the wax, s (default). */
    public static final double LAG = 12;
    /** It closes at a temperature lower by this, K (default). */
    public static final double HYSTERESIS = 3;
    /** Share that passes when shut (default); every one has a bleed. */
    public static final double LEAK = 0.05;

    /**
     * @param opensK temperature at which it begins to open, K
     * @return a thermostat with the usual span and leak
     */
    public static OilThermostat opening(double opensK) {
        return new OilThermostat(opensK, opensK + SPAN, LEAK);
    }

    /**
     * @param oilK oil temperature, K
     * @return steady lift when warming, 0 to 1
     */
    public double liftWarming(double oilK) {
        return clamp((oilK - opensK) / (fullK - opensK));
    }

    /**
     * @param oilK oil temperature, K
     * @return steady lift when cooling, 0 to 1
     */
    public double liftCooling(double oilK) {
        return clamp((oilK + HYSTERESIS - opensK) / (fullK - opensK));
    }

    private static double clamp(double x) {
        return Math.max(0, Math.min(1, x));
    }
}
