package isotherm.core.airflow;

import isotherm.core.fluid.Units;

/**
 * An electric fan with a quadratic curve and a thermal switch.
 *
 * @param stallPressure pressure at no flow, Pa
 * @param freeFlow flow at no pressure, m³/s
 * @param onK switch-on temperature of the oil, K
 * @param offK switch-off temperature of the oil, K, below {@code onK}
 */
public record Fan(double stallPressure, double freeFlow, double onK, double offK) {
    /** A usual thin electric fan of 225 mm, on at 98 °C and off at 90 °C. */
    public static final Fan TYPICAL = new Fan(220, 0.35, Units.kelvin(98), Units.kelvin(90));

    /** Density of air at which a fan's pressure is given, kg/m³. */
    static final double REFERENCE_DENSITY = 1.2;

    /** Loss of a fan that is not driven, as a share of the falling part of its curve (default). */
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
