package isotherm.core.airflow;

/**
 * An electric fan with a quadratic curve and a thermal switch.
 *
 * @param stallPressure pressure at no flow, Pa
 * @param freeFlow flow at no pressure, m³/s
 * @param onK switch-on temperature of the oil, K
 * @param offK switch-off temperature of the oil, K, below {@code onK}
 */
public record Fan(double stallPressure, double freeFlow, double onK, double offK) {
    /** Velocity heads lost in a fan that is not driven, on its free flow area (default). */
    static final double IDLE_SHARE = 0.25;

    /** @return what the fan's blades and frame cost when it stands still */
    Resistance idle() {
        return new Resistance(0, IDLE_SHARE * stallPressure / (freeFlow * freeFlow));
    }

    /** @return the falling part of the running fan's curve, as a loss */
    Resistance running() {
        return new Resistance(0, stallPressure / (freeFlow * freeFlow));
    }
}
