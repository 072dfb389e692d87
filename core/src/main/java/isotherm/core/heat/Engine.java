package isotherm.core.heat;

/**
 * An engine as far as its oil is concerned.
 *
 * @param aspiration how it breathes
 * @param power maximum brake power, W
 * @param displacement swept volume, m³
 * @param maxRpm highest speed in use, 1/min; maximum power is taken to be there
 * @param idleRpm idle speed, 1/min
 * @param pistonJets whether oil jets cool the pistons
 * @param boost boost above ambient at full load, Pa; 0 without a turbocharger
 */
public record Engine(
        Aspiration aspiration,
        double power,
        double displacement,
        double maxRpm,
        double idleRpm,
        boolean pistonJets,
        double boost) {
    /**
     * @param newPower maximum brake power, W
     * @return the same engine tuned to that power
     */
    public Engine withPower(double newPower) {
        return new Engine(aspiration, newPower, displacement, maxRpm, idleRpm, pistonJets, boost);
    }

    /** Pressure of dry air and temperature for which power is rated, Pa and K. */
    private static final double RATED_PASCAL = 99e3;

    private static final double RATED_KELVIN = 298;

    /**
     * The engine in the air of the day. Source: SAE J1349, whose correction of a naturally aspirated engine is
     * 1.18 · (99 kPa / p) · √(T / 298 K) − 0.18; a turbocharger makes up for thin air.
     *
     * @param pascal absolute air pressure, Pa
     * @param kelvin air temperature, K
     * @return the engine with the power that it gives there
     */
    public Engine in(double pascal, double kelvin) {
        return aspiration == Aspiration.NATURAL
                ? withPower(power / (1.18 * RATED_PASCAL / pascal * Math.sqrt(kelvin / RATED_KELVIN) - 0.18))
                : this;
    }

    /**
     * Brake power that full throttle gives at a speed, the usual cubic for a spark-ignition engine. Source: Wong, Theory
     * of Ground Vehicles, 3.2.
     *
     * @param rpm engine speed, 1/min
     * @return available brake power, W
     */
    public double availablePower(double rpm) {
        double r = Math.max(0, Math.min(1, rpm / maxRpm));
        return power * r * (1 + r - r * r);
    }
}
