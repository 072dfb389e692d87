package isotherm.server.catalogue;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/** Columns of a list as the fields of a part's document. */
final class Fields {
    private Fields() {}

    /**
     * A field.
     *
     * @param name its name in the document
     * @param type its type
     */
    record Field(String name, Class<?> type) {}

    /** {@code width_mm}, {@code Width mm} and {@code widthMm} are the same column. */
    static Optional<Field> field(Class<?> document, String column) {
        String wanted = plain(column);
        return Arrays.stream(document.getRecordComponents())
                .filter(c -> plain(c.getName()).equals(wanted))
                .findFirst()
                .map(c -> new Field(c.getName(), c.getType()));
    }

    private static String plain(String name) {
        return name.replaceAll("[_ -]", "").toLowerCase(Locale.ROOT);
    }

    /** What a new part has when a list says nothing: one pass, and no to every question. */
    static void defaults(Class<?> document, ObjectNode node) {
        for (RecordComponent c : document.getRecordComponents()) {
            if (!node.has(c.getName())) {
                if (c.getType() == boolean.class) {
                    node.put(c.getName(), false);
                } else if (c.getName().equals("passes")) {
                    node.put(c.getName(), 1);
                }
            }
        }
    }
}
