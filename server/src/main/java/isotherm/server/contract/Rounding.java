package isotherm.server.contract;

import isotherm.core.fluid.Units;
import java.util.OptionalDouble;

/** Figures as they go over the wire: with the decimals that mean something. */
public final class Rounding {
    private Rounding() {}

    /**
     * @param kelvin a temperature, K
     * @return it in °C, to a hundredth
     */
    public static double celsius(double kelvin) {
        return round(Units.celsius(kelvin), 2);
    }

    /**
     * @param value a value
     * @param digits decimals that are kept
     * @return the value rounded to them
     * @throws ArithmeticException when it is no finite number: nothing else may pass for one, least of all 0
     */
    public static double round(double value, int digits) {
        if (!Double.isFinite(value)) {
            throw new ArithmeticException("A figure came out as " + value);
        }
        double p = Math.pow(10, digits);
        return Math.round(value * p) / p;
    }

    /**
     * @param value a value, if there is one
     * @param digits decimals that are kept
     * @return the value rounded to them; null where there is none
     */
    public static Double optional(OptionalDouble value, int digits) {
        return value.isPresent() ? (Double) round(value.getAsDouble(), digits) : null;
    }
}
