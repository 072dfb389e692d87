package isotherm.server.fuzz;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** The OpenAPI document: what can be asked, and whether a document is one that may be sent. */
final class Description {
    private final JsonNode api;

    Description(JsonNode api) {
        this.api = api;
    }

    /**
     * Something that can be asked.
     *
     * @param method HTTP method
     * @param path path with its variables in braces
     * @param media media type of its body; empty for none that is described
     * @param schema name of the body's schema; empty for a text, a file or none
     * @param parameters names of its parameters by where they stand
     */
    record Operation(String method, String path, String media, String schema, JsonNode parameters) {}

    List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
                JsonNode content = method.getValue().at("/requestBody/content");
                String media = content.isObject() && !content.isEmpty()
                        ? content.properties().iterator().next().getKey()
                        : "";
                String ref = media.isEmpty()
                        ? ""
                        : content.get(media).at("/schema/$ref").asString("");
                all.add(new Operation(
                        method.getKey().toUpperCase(java.util.Locale.ROOT),
                        path.getKey(),
                        media,
                        ref.substring(ref.lastIndexOf('/') + 1),
                        method.getValue().path("parameters")));
            }
        }
        return all;
    }

    JsonNode schema(String name) {
        return api.at("/components/schemas/" + name);
    }

    JsonNode resolved(JsonNode schema) {
        String ref = schema.path("$ref").asString("");
        return ref.isEmpty() ? schema : schema(ref.substring(ref.lastIndexOf('/') + 1));
    }

    /** Whether a document is one that its schema allows; a field that need not be there may be null. */
    boolean allows(JsonNode schema, JsonNode value) {
        JsonNode s = resolved(schema);
        if (s.has("enum")) {
            return value.isString()
                    && s.get("enum").valueStream().anyMatch(e -> e.stringValue().equals(value.stringValue()));
        }
        return switch (s.path("type").asString("")) {
            case "object" -> allowsObject(s, value);
            case "array" ->
                value.isArray()
                        && value.size() >= s.path("minItems").asInt(0)
                        && value.size() <= s.path("maxItems").asInt(Integer.MAX_VALUE)
                        && value.valueStream().allMatch(v -> allows(s.get("items"), v));
            case "string" ->
                value.isString()
                        && value.stringValue().length() <= s.path("maxLength").asInt(Integer.MAX_VALUE)
                        && value.stringValue().strip().length()
                                >= s.path("minLength").asInt(0)
                        && value.stringValue().indexOf('\0') < 0;
            case "boolean" -> value.isBoolean();
            case "integer", "number" -> allowsNumber(s, value);
            default -> true;
        };
    }

    private boolean allowsObject(JsonNode s, JsonNode value) {
        if (!value.isObject()) {
            return false;
        }
        for (JsonNode required : s.path("required")) {
            if (!value.hasNonNull(required.stringValue())) {
                return false;
            }
        }
        for (Iterator<String> it = value.propertyNames().iterator(); it.hasNext(); ) {
            String name = it.next();
            JsonNode property = s.path("properties").path(name);
            boolean known = !property.isMissingNode();
            if (!known && !s.path("additionalProperties").asBoolean(true)) {
                return false;
            }
            if (known && !value.get(name).isNull() && !allows(property, value.get(name))) {
                return false;
            }
        }
        return true;
    }

    private static boolean allowsNumber(JsonNode s, JsonNode value) {
        if (!value.isNumber()) {
            return false;
        }
        double v = value.numberValue().doubleValue();
        boolean whole = !s.get("type").stringValue().equals("integer") || v == Math.rint(v);
        return whole
                && Double.isFinite(v)
                && v >= s.path("minimum").asDouble(Double.NEGATIVE_INFINITY)
                && v <= s.path("maximum").asDouble(Double.POSITIVE_INFINITY);
    }
}
