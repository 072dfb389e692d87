package isotherm.core.exchanger;

/**
 * A note that a correlation was used outside the range for which it was fitted.
 *
 * @param quantity what is out of range, for example {@code air-side Reynolds number}
 * @param value the value it was used at, in {@code unit}
 * @param low lower end of the published range, in {@code unit}
 * @param high upper end of the published range, in {@code unit}
 * @param unit unit, empty for a pure number
 * @param source where the correlation is published
 */
public record Validity(String quantity, double value, double low, double high, String unit, String source) {
    /** Rounding of a dimension on its way from a document does not leave a range. */
    private static final double HAIR = 1e-9;

    /** @return whether the value is outside of the range */
    boolean stretched() {
        double hair = HAIR * Math.max(Math.abs(low), Math.abs(high));
        return value < low - hair || value > high + hair;
    }
}
