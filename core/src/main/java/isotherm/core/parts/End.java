package isotherm.core.parts;

/**
 * One end of a part.
 *
 * @param joint how it is joined
 * @param size its size: a dash size such as {@code -10} (sixteenths of an inch of tube), a pipe size such as {@code 1/2}, or a
 *     metric thread such as {@code M22x1.5}
 * @param male whether it goes into the other
 */
public record End(Joint joint, String size, boolean male) {
    /**
     * A flare's thread is that of an O-ring boss of the same dash size: they screw together and do not seal. Only the same
     * joint, in the same size, a male with a female, is tight.
     *
     * @param other another end
     * @return whether the two make a tight joint
     */
    public boolean mates(End other) {
        return joint == other.joint && size.equals(other.size) && male != other.male;
    }

    /** @return the one end that makes a tight joint with this one */
    public End counterpart() {
        return new End(joint, size, !male);
    }

    /** @return it in words */
    public String words() {
        return size + " " + joint.words() + (male ? ", male" : ", female");
    }

    /**
     * @param other an end that does not mate with this one
     * @return why not, in words
     */
    public String whyNot(End other) {
        if (joint != other.joint) {
            boolean sameThread = size.equals(other.size)
                    && (joint == Joint.FLARE_37 && other.joint == Joint.O_RING_BOSS
                            || joint == Joint.O_RING_BOSS && other.joint == Joint.FLARE_37);
            return words() + " does not seal on " + other.words()
                    + (sameThread ? ", although the threads are the same: cone and O-ring never meet" : "");
        }
        if (!size.equals(other.size)) {
            return "sizes " + size + " and " + other.size + " differ";
        }
        return male ? "both are male" : "both are female";
    }
}
