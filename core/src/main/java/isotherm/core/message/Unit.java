package isotherm.core.message;

import java.util.List;

/**
 * A unit that people measure in.
 *
 * @param symbol how it is written after a figure
 * @param factor value in it = SI value · factor + offset
 * @param offset see factor
 * @param digits decimals that are worth reading
 * @param aliases what may be typed for it beside its symbol, in small letters
 */
public record Unit(String symbol, double factor, double offset, int digits, List<String> aliases) {
    /** Defensive copy. */
    public Unit {
        aliases = List.copyOf(aliases);
    }

    static Unit of(String symbol, double factor, int digits, String... aliases) {
        return new Unit(symbol, factor, 0, digits, List.of(aliases));
    }

    Unit from(double offset) {
        return new Unit(symbol, factor, offset, digits, aliases);
    }

    /**
     * @param si a value in SI units
     * @return the value in this unit
     */
    public double of(double si) {
        return si * factor + offset;
    }

    /**
     * @param value a value in this unit
     * @return the value in SI units
     */
    public double toSi(double value) {
        return (value - offset) / factor;
    }
}
