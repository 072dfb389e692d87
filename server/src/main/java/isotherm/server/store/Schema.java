package isotherm.server.store;

import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The schema of kept documents: the number that is written today, and how documents of earlier numbers are lifted to it. What has
 * been saved stays readable for ever.
 */
public final class Schema {
    /** What is written today. */
    public static final int NEWEST = 2;

    private static final JsonMapper JSON = new JsonMapper();
    private static final List<Upcaster> UPCASTERS = List.of(new StruckByItem());

    private Schema() {}

    /**
     * @param shelf what kind of document it is
     * @param number schema number that it was written by
     * @param document its JSON text
     * @return its text in today's schema; as it is when it cannot be read at all
     */
    public static String lift(Shelf shelf, int number, String document) {
        if (number >= NEWEST) {
            return document;
        }
        try {
            if (JSON.readTree(document) instanceof ObjectNode node) {
                ObjectNode before = node.deepCopy();
                UPCASTERS.stream().filter(u -> u.from() >= number).forEach(u -> u.lift(shelf, node));
                // What no lifting touched goes out letter by letter as it came in.
                return node.equals(before) ? document : JSON.writeValueAsString(node);
            }
            return document;
        } catch (JacksonException e) {
            return document;
        }
    }
}
