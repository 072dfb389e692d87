package isotherm.core.message;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Something that is said, without its words.
 *
 * @param key which message of the catalogue it is
 * @param values what stands in it, by name
 */
public record Message(String key, SortedMap<String, Value> values) {
    /** Defensive copy. */
    public Message {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
    }

    /**
     * @param topic what it is about
     * @param part which of the topic's texts
     * @return the message, with nothing in it yet
     * @throws IllegalArgumentException when the topic has no such text
     */
    public static Message of(MessageTopic topic, String part) {
        return new Message(topic.key(part), new TreeMap<>());
    }

    /** @return name of the topic that it is about */
    public String topic() {
        return key.split("\\.")[1];
    }

    private Message and(String name, Value value) {
        SortedMap<String, Value> more = new TreeMap<>(values);
        more.put(name, value);
        return new Message(key, more);
    }

    /**
     * @param name a place in the message
     * @param measure what is measured
     * @param si the figure for it, in SI units
     * @return the message with it
     */
    public Message with(String name, Measure measure, double si) {
        return and(name, new Value.Figure(measure, si, OptionalInt.empty()));
    }

    /**
     * @param name a place in the message
     * @param measure what is measured
     * @param si the figure for it, in SI units
     * @param digits decimals in the metric unit
     * @return the message with it
     */
    public Message with(String name, Measure measure, double si, int digits) {
        return and(name, new Value.Figure(measure, si, OptionalInt.of(digits)));
    }

    /**
     * @param name a place in the message
     * @param count how many
     * @return the message with it
     */
    public Message count(String name, long count) {
        return and(name, new Value.Count(count));
    }

    /**
     * @param name a place in the message
     * @param text a name for it
     * @return the message with it
     */
    public Message name(String name, String text) {
        return and(name, new Value.Name(text));
    }

    /**
     * @param name a place in the message
     * @param choice the case
     * @return the message with it
     */
    public Message choose(String name, Enum<?> choice) {
        return and(name, new Value.Choice(choice.name()));
    }

    /**
     * @param name a place in the message
     * @param yes whether it is so
     * @return the message with it, as the case {@code yes} or {@code no}
     */
    public Message choose(String name, boolean yes) {
        return and(name, new Value.Choice(yes ? "yes" : "no"));
    }

    /**
     * @param name a place in the message
     * @param message a message for it
     * @return the message with it
     */
    public Message say(String name, Message message) {
        return and(name, new Value.Said(List.of(message)));
    }

    /**
     * @param name a place in the message
     * @param messages messages for it
     * @return the message with them
     */
    public Message say(String name, List<Message> messages) {
        return and(name, new Value.Said(messages));
    }

    /**
     * @param name a place in the message
     * @return the figure there, in SI units
     * @throws IllegalArgumentException when there is no figure of that name
     */
    public double figure(String name) {
        if (values.get(name) instanceof Value.Figure f) {
            return f.si();
        }
        throw new IllegalArgumentException(key + " has no figure " + name + " in " + Map.copyOf(values));
    }
}
