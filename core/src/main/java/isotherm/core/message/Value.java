package isotherm.core.message;

import java.util.List;
import java.util.OptionalInt;

/** What stands in a message beside its words. */
public sealed interface Value {
    /**
     * A figure.
     *
     * @param measure what is measured
     * @param si its value in SI units
     * @param digits decimals in the metric unit; the measure's own when empty
     */
    record Figure(Measure measure, double si, OptionalInt digits) implements Value {}

    /**
     * A number of things.
     *
     * @param count how many
     */
    record Count(long count) implements Value {}

    /**
     * A name that somebody gave: a part, a place, a grade of oil. It is written as it is.
     *
     * @param text the name
     */
    record Name(String text) implements Value {}

    /**
     * One of several cases that a message tells apart.
     *
     * @param name the case
     */
    record Choice(String name) implements Value {}

    /**
     * Messages inside a message, joined as a list.
     *
     * @param messages the messages
     */
    record Said(List<Message> messages) implements Value {
        /** Defensive copy. */
        public Said {
            messages = List.copyOf(messages);
        }
    }
}
