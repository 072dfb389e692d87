package isotherm.server.contract;

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
    /**
     * @param text the text of a stored document
     * @param type the document's record
     * @param <T> the document's record
     * @return the document, or what is wrong with it
     */
    public static <T extends Record> Attempt<T> read(String text, Class<T> type) {
        try {
            return new Attempt<>(Optional.of(DocumentReader.read(text, type)), List.of());
        } catch (InvalidDocument e) {
            return new Attempt<>(Optional.empty(), e.problems());
        }
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
