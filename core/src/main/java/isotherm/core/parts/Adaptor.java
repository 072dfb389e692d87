package isotherm.core.parts;

import java.util.Optional;

/**
 * A part with two ends that joins what would not mate otherwise.
 *
 * @param maker its maker
 * @param number the maker's number
 * @param first one end
 * @param second the other end
 * @param bore least inner diameter, m
 * @param length what it adds to the stack, m
 * @param angle its bend, rad; 0 for a straight one
 * @param price price in the garage's currency
 * @param mass kg
 * @param figure what its maker says of tightening it
 */
public record Adaptor(
        String maker,
        String number,
        End first,
        End second,
        double bore,
        double length,
        double angle,
        double price,
        double mass,
        Optional<MakersFigure> figure) {
    /**
     * Without a figure of its maker.
     *
     * @param maker its maker
     * @param number the maker's number
     * @param first one end
     * @param second the other end
     * @param bore least inner diameter, m
     * @param length what it adds to the stack, m
     * @param angle its bend, rad; 0 for a straight one
     * @param price price in the garage's currency
     * @param mass kg
     */
    public Adaptor(
            String maker,
            String number,
            End first,
            End second,
            double bore,
            double length,
            double angle,
            double price,
            double mass) {
        this(maker, number, first, second, bore, length, angle, price, mass, Optional.empty());
    }

    /** Velocity heads lost in the two steps of an adaptor's bore (default). */
    private static final double STEP_HEADS = 0.5;
    /** Velocity heads lost in a sharp drilled elbow of 90° (default). */
    private static final double ELBOW_HEADS = 1.1;

    /**
     * @param other bore of the line it sits in, m
     * @return velocity heads lost in it, on the line's bore
     */
    public double heads(double other) {
        double ratio = other / bore;
        return (STEP_HEADS + ELBOW_HEADS * angle / (Math.PI / 2)) * Math.pow(ratio, 4);
    }

    /** @return it in words */
    public String words() {
        return first.words() + " to " + second.words();
    }
}
