package isotherm.server.contract;

import isotherm.server.contract.RecordShape.Field;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads a document into its record and finds every problem on the way, not only the first. */
public final class DocumentReader {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();
    private static final int SHOWN_LENGTH = 60;
    private static final char DELETE = 0x7F;
    /** What neither the database nor a drawing can hold: control characters but for tabs and line ends, halves of characters. */
    private static final Pattern UNWRITABLE = Pattern.compile(
            "[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\x7F\\uFFFE\\uFFFF]|[\\uD800-\\uDBFF](?![\\uDC00-\\uDFFF])|(?<![\\uD800-\\uDBFF])[\\uDC00-\\uDFFF]");

    private final List<Problem> problems = new ArrayList<>();

    private DocumentReader() {}

    /**
     * @param json the text of a document
     * @param type the document's record
     * @param <T> the document's record
     * @return the document
     * @throws InvalidDocument when it is not JSON, or anything in it is missing, unknown, of the wrong kind or out of range
     */
    public static <T extends Record> T read(String json, Class<T> type) {
        JsonNode node;
        try {
            node = JSON.readTree(json);
        } catch (JacksonException e) {
            var at = e.getLocation();
            String where = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
            boolean twice = e.getOriginalMessage().contains("uplicate");
            String what = twice ? "A field is given twice" : "This is not JSON";
            throw Problem.refused("", null, what + where);
        }
        DocumentReader reader = new DocumentReader();
        T document = type.cast(reader.object(node, type, ""));
        if (reader.problems.isEmpty() && document instanceof Checked checked) {
            checked.check("", reader.problems);
        }
        if (!reader.problems.isEmpty()) {
            throw new InvalidDocument(reader.problems);
        }
        return document;
    }

    private Object object(JsonNode node, Class<?> type, String path) {
        if (node == null || !node.isObject()) {
            wrong(path, node, "An object is expected here");
            return null;
        }
        RecordShape shape = RecordShape.of(type);
        for (Iterator<String> it = node.propertyNames().iterator(); it.hasNext(); ) {
            String name = it.next();
            if (!shape.names().contains(name)) {
                wrong(
                        path + "/" + escape(name),
                        node.get(name),
                        "This field is not known here; known are "
                                + shape.fields().stream().map(Field::name).collect(Collectors.joining(", ")));
            }
        }
        int before = problems.size();
        Object[] values = new Object[shape.fields().size()];
        for (int i = 0; i < values.length; i++) {
            Field c = shape.fields().get(i);
            JsonNode child = node.get(c.name());
            String childPath = path + "/" + c.name();
            if (child == null || child.isNull()) {
                if (c.missing() == null) {
                    missing(childPath, c);
                }
            } else {
                values[i] = value(child, c.type(), c.generic(), c, childPath);
            }
        }
        if (problems.size() > before) {
            return null;
        }
        try {
            return shape.constructor().newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("Cannot build " + type, e);
        }
    }

    private Object value(JsonNode node, Class<?> type, Type generic, Field c, String path) {
        if (type == Double.class || type == double.class) {
            return number(node, c, path);
        }
        if (type == Integer.class || type == int.class) {
            return whole(node, c, path);
        }
        if (type == Boolean.class || type == boolean.class) {
            if (!node.isBoolean()) {
                return wrong(path, node, "true or false is expected here");
            }
            return node.booleanValue();
        }
        if (type == String.class) {
            return text(node, c, path);
        }
        if (type.isEnum()) {
            return choice(node, type, path);
        }
        if (type == List.class) {
            Class<?> element = (Class<?>) ((ParameterizedType) generic).getActualTypeArguments()[0];
            return list(node, element, c, path);
        }
        if (type == Map.class) {
            Class<?> element = (Class<?>) ((ParameterizedType) generic).getActualTypeArguments()[1];
            return map(node, element, c, path);
        }
        return object(node, type, path);
    }

    private Object list(JsonNode node, Class<?> element, Field c, String path) {
        if (!node.isArray()) {
            return wrong(path, node, "A list is expected here");
        }
        Text text = c.text();
        if (text != null && (node.size() < text.min() || node.size() > text.max())) {
            return wrong(
                    path,
                    null,
                    "A list of " + text.min() + " to " + text.max() + " is expected here, not of " + node.size());
        }
        List<Object> values = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            Object value = value(node.get(i), element, element, c, path + "/" + i);
            if (value != null) {
                values.add(value);
            }
        }
        return List.copyOf(values);
    }

    private Object map(JsonNode node, Class<?> element, Field c, String path) {
        Text text = c.text();
        if (!node.isObject() || text != null && node.size() > text.max()) {
            return wrong(
                    path,
                    null,
                    "An object is expected here" + (text == null ? "" : ", of " + text.max() + " fields at most"));
        }
        Map<String, Object> values = new LinkedHashMap<>();
        node.properties().forEach(p -> {
            Object value = value(p.getValue(), element, element, c, path + "/" + escape(p.getKey()));
            if (value != null) {
                values.put(p.getKey(), value);
            }
        });
        return Collections.unmodifiableMap(values);
    }

    private Object number(JsonNode node, Field c, String path) {
        if (!node.isNumber()) {
            return wrong(path, node, "A number is expected here" + unitWords(c));
        }
        double value = value(node);
        Quantity q = c.quantity();
        if (q != null && !(value >= q.min() && value <= q.max())) {
            return outside(path, node, value, q);
        }
        return Double.isFinite(value) ? value : wrong(path, node, "A smaller number is expected here" + unitWords(c));
    }

    private Object whole(JsonNode node, Field c, String path) {
        double value = node.isNumber() ? value(node) : Double.NaN;
        if (!node.isNumber() || value != Math.rint(value)) {
            return wrong(path, node, "A whole number is expected here" + unitWords(c));
        }
        Quantity q = c.quantity();
        if (q != null && !(value >= q.min() && value <= q.max())) {
            return outside(path, node, value, q);
        }
        return Math.abs(value) <= Integer.MAX_VALUE
                ? (int) value
                : wrong(path, node, "A smaller whole number is expected here" + unitWords(c));
    }

    /** Numbers beyond what a double holds become infinite, which no range takes, and hardly anything becomes nothing. */
    private static double value(JsonNode node) {
        double value = node.numberValue().doubleValue();
        return Math.abs(value) < Double.MIN_NORMAL ? 0 : value;
    }

    private Object text(JsonNode node, Field c, String path) {
        if (!node.isString()) {
            return wrong(path, node, "A text is expected here");
        }
        String value = node.stringValue();
        Text text = c.text();
        if (text != null && (value.strip().length() < text.min() || value.length() > text.max())) {
            return wrong(path, node, "A text of " + text.min() + " to " + text.max() + " characters is expected here");
        }
        if (!plain(value) && UNWRITABLE.matcher(value).find()) {
            return wrong(path, node, "A text without control characters is expected here");
        }
        return value;
    }

    /** Most texts have nothing in them that would need a second look. */
    private static boolean plain(String value) {
        return value.chars().allMatch(c -> c >= ' ' && c < DELETE);
    }

    private Object choice(JsonNode node, Class<?> type, String path) {
        Object[] constants = type.getEnumConstants();
        if (node.isString()) {
            for (Object constant : constants) {
                if (((Enum<?>) constant).name().equals(node.stringValue())) {
                    return constant;
                }
            }
        }
        return wrong(
                path,
                node,
                "One of "
                        + Arrays.stream(constants).map(Object::toString).collect(Collectors.joining(", "))
                        + " is expected here");
    }

    private Object outside(String path, JsonNode node, double value, Quantity q) {
        String unit = q.unit().isEmpty() ? "" : " " + q.unit();
        problems.add(new Problem(
                path,
                shown(node),
                (Double.isFinite(value) ? number(value) : shown(node)) + unit + " is outside " + number(q.min())
                        + " to " + number(q.max()) + unit + " (" + q.value() + ")",
                q.min(),
                q.max(),
                q.unit()));
        return null;
    }

    private void missing(String path, Field c) {
        Quantity q = c.quantity();
        Text t = c.text();
        String what = q != null ? q.value() : t != null ? t.value() : c.name();
        String range = q == null
                ? ""
                : ", " + number(q.min()) + " to " + number(q.max()) + (q.unit().isEmpty() ? "" : " " + q.unit());
        problems.add(new Problem(
                path,
                null,
                "This field is missing (" + what + range + ")",
                q == null ? null : (Double) q.min(),
                q == null ? null : (Double) q.max(),
                q == null ? "" : q.unit()));
    }

    private Object wrong(String path, JsonNode node, String message) {
        problems.add(Problem.of(path, node == null ? null : shown(node), message));
        return null;
    }

    private static String unitWords(Field c) {
        Quantity q = c.quantity();
        return q == null || q.unit().isEmpty() ? "" : ", in " + q.unit();
    }

    private static String shown(JsonNode node) {
        String text = node.toString();
        return text.length() <= SHOWN_LENGTH ? text : text.substring(0, SHOWN_LENGTH) + "…";
    }

    private static String escape(String name) {
        return name.replace("~", "~0").replace("/", "~1");
    }

    public static String number(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
