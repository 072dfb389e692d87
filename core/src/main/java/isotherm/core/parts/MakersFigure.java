package isotherm.core.parts;

import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.Optional;

/**
 * What a part's maker says of tightening it. It comes before every figure of ours.
 *
 * @param torque least and greatest torque, N·m, where the maker gives one
 * @param turn turn after contact, where the maker gives one
 * @param oiled whether the figure holds for an oiled thread
 * @param source where it is from, in the words of whoever entered it
 * @param retorque when it is tightened again
 */
public record MakersFigure(
        Optional<Tightening.Range> torque, Optional<Turn> turn, boolean oiled, String source, Retorque retorque) {

    /** Checks that it says anything. */
    public MakersFigure {
        if (torque.isEmpty() && turn.isEmpty()) {
            throw new IllegalArgumentException("A maker's figure needs a torque or a turn");
        }
    }

    /**
     * A turn after contact.
     *
     * @param least rad
     * @param most rad
     */
    public record Turn(double least, double most) {}

    /** When a joint is tightened again. */
    public enum Retorque implements MessageTopic {
        /** The maker does not say. */
        NOT_SAID,
        /** Never: a seal that has set leaks when it is moved. */
        NEVER,
        /** Cold, after the first time that it was hot. */
        COLD_AFTER_FIRST_HEAT,
        /** Cold, after the first drive under load. */
        COLD_AFTER_FIRST_DRIVE,
        /** At each change of the oil. */
        EACH_OIL_CHANGE;

        @Override
        public String chapter() {
            return "retorque";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }

    /**
     * Of two parts that meet the weaker one decides: an aluminium boss shears at what a steel nut takes.
     *
     * @param one what one part's maker says
     * @param other what the other's says
     * @return the figure with the lower greatest torque; the only one where there is one
     */
    public static Optional<MakersFigure> weaker(Optional<MakersFigure> one, Optional<MakersFigure> other) {
        if (one.isEmpty() || other.isEmpty()) {
            return one.or(() -> other);
        }
        return one.get().most() <= other.get().most() ? one : other;
    }

    private double most() {
        return torque.map(Tightening.Range::high).orElse(Double.POSITIVE_INFINITY);
    }
}
