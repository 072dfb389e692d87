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
