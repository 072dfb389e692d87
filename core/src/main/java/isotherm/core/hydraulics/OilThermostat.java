package isotherm.core.hydraulics;

import isotherm.core.fluid.Units;

/**
 * A wax thermostat that sends oil to the cooler.
 *
 * @param opensK temperature at which it begins to open, K
 * @param fullK temperature at which it is fully open, K, above {@code opensK}
 * @param leak share of the flow that passes when it is shut, 0 to 0.5
 * @param site where it sits
 */
public record OilThermostat(double opensK, double fullK, double leak, Site site) {
    /** Where a thermostat sits, with the velocity heads that it costs there beside the plate's own. */
    public enum Site {
        /** In the sandwich plate. */
        PLATE(0),
        /** In the engine's filter housing. */
        HOUSING(0),
        /** In line between plate and core, with two joints more. */
        IN_LINE(2.0);

        private final double heads;

        Site(double heads) {
            this.heads = heads;
        }

        /** @return velocity heads lost there beside the plate's own (default) */
        public double heads() {
            return heads;
        }
    }

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
     * @return a thermostat in the plate with the usual span and leak
     */
    public static OilThermostat opening(double opensK) {
        return new OilThermostat(opensK, opensK + SPAN, LEAK, Site.PLATE);
    }

    /**
     * @param factor on its opening temperature in °C, above 0
     * @return a thermostat that opens so much later or earlier, with the same span
     */
    public OilThermostat withOpening(double factor) {
        double later = (opensK - Units.ZERO_CELSIUS) * (factor - 1);
        return new OilThermostat(opensK + later, fullK + later, leak, site);
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
