package isotherm.core.bill;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One line of a bill of materials.
 *
 * @param group what it belongs to
 * @param what what it is
 * @param number maker and number; empty for what any shop has
 * @param quantity how much: pieces, or in the SI unit of what it is sold by
 * @param soldBy what it is sold by; empty for pieces
 * @param each price of one piece or one SI unit in the garage's currency; 0 where it is not known
 */
public record BillLine(
        Group group, Message what, String number, double quantity, Optional<Measure> soldBy, double each) {
    /** What a line belongs to. */
    public enum Group {
        /** What is fitted. */
        PARTS,
        /** What is used up. */
        CONSUMABLES,
        /** What is needed to do it. */
        TOOLS
    }

    /**
     * @param what what is fitted, and no maker is named for
     * @return one piece of it
     */
    public static BillLine part(Message what) {
        return pieces(Group.PARTS, what, 1);
    }

    /**
     * @param group what it belongs to
     * @param what what it is
     * @param pieces how many
     * @return so many pieces of what any shop has
     */
    public static BillLine pieces(Group group, Message what, double pieces) {
        return new BillLine(group, what, "", pieces, Optional.empty(), 0);
    }

    /** @return how much of it, in the metric unit of what it is sold by; pieces where it is sold by the piece */
    public double sold() {
        return soldBy.map(m -> m.metric().of(quantity)).orElse(quantity);
    }

    /** @return price of the line in the garage's currency */
    public double price() {
        return quantity * each;
    }

    /**
     * @return what it is known by, whatever the quantity: its number, or else the item with the sizes and kinds that are named in it
     */
    public String key() {
        if (!number.isEmpty()) {
            return number.strip();
        }
        Stream<String> names = what.values().values().stream()
                .filter(Value.Name.class::isInstance)
                .map(v -> ((Value.Name) v).text());
        return Stream.concat(Stream.of(what.topic()), names).collect(Collectors.joining(" "));
    }

    /** The same thing once more. */
    BillLine and(BillLine other) {
        // One roll of tape does for all joints.
        boolean once = what.key().equals(BillItem.TAPE.key("what"));
        return new BillLine(group, what, number, once ? quantity : quantity + other.quantity, soldBy, each);
    }
}
