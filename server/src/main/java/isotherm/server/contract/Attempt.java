package isotherm.server.contract;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;

/**
 * A stored document as far as it can be read. What is written has passed every rule; what is read may be older than a rule, and is
 * then shown with what is wrong instead of standing in the way of everything else.
 *
 * @param found the document; empty when today's rules refuse it
 * @param problems why
 * @param <T> the document's record
 */
public record Attempt<T>(Optional<T> found, List<Problem> problems) {
    /** In characters: their texts and what was read from them take some 40 MB of a heap of 512. */
    private static final long REMEMBERED = 8_000_000;

    /** The same text reads the same for as long as the program runs; a sheet is read again at every tick of everybody on it. */
    private static final Cache<Key, Attempt<?>> READ = Caffeine.newBuilder()
            .maximumWeight(REMEMBERED)
            .weigher((Key key, Attempt<?> read) -> key.text().length())
            .build();

    private record Key(String text, Class<? extends Record> type) {}

    /**
     * @param text the text of a stored document
     * @param type the document's record
     * @param <T> the document's record
     * @return the document, or what is wrong with it
     */
    @SuppressWarnings("unchecked") // What was read for a type is of that type.
    public static <T extends Record> Attempt<T> read(String text, Class<T> type) {
        return (Attempt<T>) READ.get(new Key(text, type), key -> fresh(text, type));
    }

    private static <T extends Record> Attempt<T> fresh(String text, Class<T> type) {
        try {
            return new Attempt<>(Optional.of(DocumentReader.read(text, type)), List.of());
        } catch (InvalidDocument e) {
            return new Attempt<>(Optional.empty(), e.problems());
        }
    }

    /**
     * @param text the text of a stored document
     * @param type the document's record
     * @param <T> the document's record
     * @return the document
     * @throws InvalidDocument when today's rules refuse it
     */
    public static <T extends Record> T document(String text, Class<T> type) {
        Attempt<T> read = read(text, type);
        return read.found().orElseThrow(() -> new InvalidDocument(read.problems()));
    }

    /**
     * The text of a document that is to be stored, once it has been read again: what is stored has passed what reading will ask.
     *
     * @param json writes it
     * @param document a document, wherever it came from
     * @return its text
     * @throws InvalidDocument when it could not be read again
     */
    public static String written(JsonMapper json, Record document) {
        String text = json.writeValueAsString(document);
        DocumentReader.read(text, document.getClass());
        return text;
    }
}
