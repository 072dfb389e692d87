package isotherm.words;

import com.ibm.icu.text.MessageFormat;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The catalogue of messages in one language: patterns in ICU's MessageFormat, by chapter, topic and part. */
public final class Words {
    private static final Words ENGLISH = read("en.json");

    private final SortedMap<String, String> patterns;

    private Words(SortedMap<String, String> patterns) {
        this.patterns = Collections.unmodifiableSortedMap(patterns);
    }

    /** @return the English ones, which ship */
    public static Words english() {
        return ENGLISH;
    }

    private static Words read(String name) {
        try (InputStream in = Words.class.getResourceAsStream(name)) {
            return of(new JsonMapper().readTree(in));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param catalogue chapters, with topics, with parts
     * @return the words in it
     */
    static Words of(JsonNode catalogue) {
        SortedMap<String, String> patterns = new TreeMap<>();
        catalogue
                .properties()
                .forEach(chapter -> chapter.getValue().properties().forEach(topic -> topic.getValue()
                        .properties()
                        .forEach(part -> patterns.put(
                                chapter.getKey() + "." + topic.getKey() + "." + part.getKey(),
                                part.getValue().stringValue()))));
        return new Words(patterns);
    }

    /** @return every pattern by its key */
    public SortedMap<String, String> patterns() {
        return patterns;
    }

    /**
     * @param message something to say
     * @param units the reader's units
     * @return it in words
     * @throws IllegalArgumentException when the catalogue has no such message
     */
    public String render(Message message, UnitChoice units) {
        String pattern = patterns.get(message.key());
        if (pattern == null) {
            throw new IllegalArgumentException("No message " + message.key());
        }
        Map<String, Object> values = new HashMap<>();
        Figures figures = new Figures(units);
        message.values().forEach((name, value) -> values.put(name, value(value, units, figures)));
        return new MessageFormat(pattern, Locale.ENGLISH).format(values);
    }

    private Object value(Value value, UnitChoice units, Figures figures) {
        if (value instanceof Value.Figure f) {
            return figures.write(f);
        }
        if (value instanceof Value.Count c) {
            return c.count();
        }
        if (value instanceof Value.Name n) {
            return n.text();
        }
        if (value instanceof Value.Choice c) {
            return c.name();
        }
        if (value instanceof Value.Said s) {
            return s.messages().stream().map(m -> render(m, units)).collect(Collectors.joining("; "));
        }
        throw new IllegalArgumentException("Unknown value " + value);
    }
}
