package isotherm.server.contract;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import isotherm.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Something that is said, without its words: they are in the catalogue of messages, and the units are the reader's.
 *
 * @param key which message of the catalogue it is
 * @param values what stands in it, by name
 */
public record MessageDocument(
        @Text(value = "key in the catalogue of messages", max = 100) String key,
        @Text(value = "what stands in the message, by name", max = 40) Map<String, ValueDocument> values) {

    /**
     * What stands in a message: one of a figure, a count, a name, a case and more messages.
     *
     * @param measure what is measured
     * @param value a figure in its metric unit
     * @param digits decimals of it
     * @param count a number of things
     * @param text a name that somebody gave
     * @param choice one of the cases that the message tells apart
     * @param messages messages in the message
     */
    public record ValueDocument(
            @Missing("no figure") Measure measure,
            @Missing("no figure") @Quantity(value = "figure in its metric unit", min = -1e12, max = 1e12) Double value,
            @Missing("as usual for what is measured") @Quantity(value = "decimals", min = 0, max = 6) Integer digits,
            @Missing("nothing counted") @Quantity(value = "number of things", min = -1e9, max = 1e9) Integer count,
            @Missing("no name") @Text(value = "name", max = 2000) String text,
            @Missing("no cases") @Text(value = "case", max = 100) String choice,
            @Missing("none") @Text(value = "messages in the message", max = 40) List<MessageDocument> messages) {

        static ValueDocument of(Value v) {
            if (v instanceof Value.Figure f) {
                Integer digits = f.digits().isPresent() ? (Integer) f.digits().getAsInt() : null;
                double written = Rounding.round(f.measure().metric().of(f.si()), 6);
                return new ValueDocument(f.measure(), written, digits, null, null, null, null);
            }
            if (v instanceof Value.Count c) {
                return new ValueDocument(null, null, null, (int) c.count(), null, null, null);
            }
            if (v instanceof Value.Name n) {
                return new ValueDocument(null, null, null, null, n.text(), null, null);
            }
            if (v instanceof Value.Choice c) {
                return new ValueDocument(null, null, null, null, null, c.name(), null);
            }
            return new ValueDocument(
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    ((Value.Said) v)
                            .messages().stream().map(MessageDocument::of).toList());
        }

        Value toCore() {
            if (measure != null && value != null) {
                return new Value.Figure(
                        measure,
                        measure.metric().toSi(value),
                        digits == null ? OptionalInt.empty() : OptionalInt.of(digits));
            }
            if (count != null) {
                return new Value.Count(count);
            }
            if (choice != null) {
                return new Value.Choice(choice);
            }
            if (messages != null) {
                return new Value.Said(
                        messages.stream().map(MessageDocument::toCore).toList());
            }
            return new Value.Name(text == null ? "" : text);
        }
    }

    /**
     * @param m something that is said
     * @return it as it is written
     */
    public static MessageDocument of(Message m) {
        Map<String, ValueDocument> values = new LinkedHashMap<>();
        m.values().forEach((name, v) -> values.put(name, ValueDocument.of(v)));
        return new MessageDocument(m.key(), values);
    }

    /**
     * @param all things that are said
     * @return them as they are written
     */
    public static List<MessageDocument> all(List<Message> all) {
        return all.stream().map(MessageDocument::of).toList();
    }

    /** @return whether the catalogue has words for it, and for every message in it */
    public boolean hasWords() {
        return Words.english().patterns().containsKey(key)
                && values.values().stream()
                        .allMatch(v ->
                                v.messages() == null || v.messages().stream().allMatch(MessageDocument::hasWords));
    }

    /** @return it as the rules know it */
    public Message toCore() {
        SortedMap<String, Value> all = new TreeMap<>();
        values.forEach((name, v) -> all.put(name, v.toCore()));
        return new Message(key, all);
    }
}
