package isotherm.core.car;

import isotherm.core.airflow.Radiator;

/**
 * The coolant circuit.
 *
 * @param capacity heat capacity of coolant and block, J/K
 * @param heatShare heat into the coolant over brake power
 * @param radiator the radiator
 * @param opensK coolant thermostat opening, K
 * @param fullK coolant thermostat full open, K
 */
public record Coolant(double capacity, double heatShare, Radiator radiator, double opensK, double fullK) {
    /** Heat into the coolant over brake power, without what comes by way of the oil (default). */
    public static final double HEAT_SHARE = 0.50;
    /** Coolant that boils through its cap, K (default). */
    public static final double BOILS_K = 402;
    /** Time within which boiling holds the temperature, s. */
    private static final double STEAM_TIME = 4;
    /** Heat into the coolant at idle and on overrun, W per m³ of displacement and 1/min (default). */
    private static final double IDLE_HEAT = 1.1e3;

    /**
     * @param share heat into the coolant over brake power
     * @return the same circuit with it
     */
    public Coolant withHeatShare(double share) {
        return new Coolant(capacity, share, radiator, opensK, fullK);
    }

    /**
     * @param newRadiator another radiator
     * @return the same circuit with it
     */
    public Coolant withRadiator(Radiator newRadiator) {
        return new Coolant(capacity, heatShare, newRadiator, opensK, fullK);
    }

    /**
     * What leaves as steam once the coolant boils through its cap: as much as comes in, within seconds. Half water and half
     * glycol under a cap of 1.3 bar boils near 129 °C.
     *
     * @param kelvin coolant temperature, K
     * @return heat that the steam takes, W; 0 below boiling
     */
    public double steam(double kelvin) {
        return Math.max(0, kelvin - BOILS_K) * capacity / STEAM_TIME;
    }

    /**
     * @param displacement of the engine, m³
     * @param rpm engine speed, 1/min
     * @return heat into the coolant at idle and on overrun, W
     */
    public static double idleHeat(double displacement, double rpm) {
        return IDLE_HEAT * displacement * rpm;
    }

    /**
     * @param kelvin coolant temperature, K
     * @return how far the coolant thermostat stands open, 0 to 1
     */
    public double valve(double kelvin) {
        return Math.max(0, Math.min(1, (kelvin - opensK) / (fullK - opensK)));
    }
}
