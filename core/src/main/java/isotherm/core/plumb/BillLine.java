package isotherm.core.plumb;

/**
 * One line of a bill of materials.
 *
 * @param group what it belongs to
 * @param what what it is
 * @param number maker and number; empty for what any shop has
 * @param quantity how much
 * @param unit {@code pcs}, {@code m} or {@code L}
 * @param each price of one unit in the garage's currency; 0 where it is not known
 */
public record BillLine(Group group, String what, String number, double quantity, String unit, double each) {
    /** What a line belongs to. */
    public enum Group {
        /** What is fitted. */
        PARTS,
        /** What is used up. */
        CONSUMABLES,
        /** What is needed to do it. */
        TOOLS
    }

    /** @return price of the line in the garage's currency */
    public double price() {
        return quantity * each;
    }

    /** @return what it is known by when it is struck off */
    public String key() {
        return (number.isEmpty() ? what : number).strip();
    }

    /** The same thing once more. */
    BillLine and(BillLine other) {
        return new BillLine(group, what, number, once(what) ? quantity : quantity + other.quantity, unit, each);
    }

    /** One roll of tape does for all joints. */
    private static boolean once(String what) {
        return what.startsWith("PTFE tape");
    }
}
