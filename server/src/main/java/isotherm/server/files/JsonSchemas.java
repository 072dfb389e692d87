package isotherm.server.files;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON Schemas of the open formats, taken out of the OpenAPI document: version 3.1 of it uses JSON Schema as it is, so
 * that one description serves HTTP, files and {@code solve}.
 */
public final class JsonSchemas {
    private static final String REFERENCE = "#/components/schemas/";
    private static final Map<String, String> PUBLISHED = Map.ofEntries(
            Map.entry("case", "CaseDocument"),
            Map.entry("car", "CarDocument"),
            Map.entry("duty", "DutyDocument"),
            Map.entry("design", "DesignDocument"),
            Map.entry("outcome", "OutcomeDocument"),
            Map.entry("rating", "RatingQuestion"),
            Map.entry("air", "AirQuestion"),
            Map.entry("circuit", "CircuitQuestion"),
            Map.entry("map", "MapQuestion"),
            Map.entry("fit", "FitQuestion"),
            Map.entry("compare", "CompareQuestion"),
            Map.entry("search", "SearchQuestion"),
            Map.entry("placement", "PlacementQuestion"),
            Map.entry("schools", "SchoolsQuestion"),
            Map.entry("plumb", "PlumbQuestion"));

    private JsonSchemas() {}

    /**
     * @param openApi an OpenAPI 3.1 document
     * @return the schema of each published format by its name
     */
    public static Map<String, JsonNode> of(JsonNode openApi) {
        JsonNode all = openApi.get("components").get("schemas");
        Map<String, JsonNode> schemas = new TreeMap<>();
        PUBLISHED.forEach((name, root) -> schemas.put(name, schema(name, root, all)));
        return schemas;
    }

    private static ObjectNode schema(String name, String root, JsonNode all) {
        Map<String, JsonNode> used = new LinkedHashMap<>();
        Deque<String> open = new ArrayDeque<>();
        open.add(root);
        while (!open.isEmpty()) {
            String next = open.remove();
            if (used.putIfAbsent(next, all.get(next)) == null) {
                references(all.get(next), open);
            }
        }
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Isotherm " + name);
        schema.put("$ref", "#/$defs/" + root);
        ObjectNode definitions = schema.putObject("$defs");
        new TreeMap<>(used).forEach((key, value) -> definitions.set(key, pointed(value)));
        return schema;
    }

    private static void references(JsonNode node, Deque<String> found) {
        JsonNode reference = node.get("$ref");
        if (reference != null && reference.isString()) {
            found.add(reference.stringValue().substring(REFERENCE.length()));
        }
        node.forEach(child -> references(child, found));
    }

    /** A copy whose references point into the schema itself. */
    private static JsonNode pointed(JsonNode node) {
        if (node instanceof ObjectNode object) {
            ObjectNode copy = JsonNodeFactory.instance.objectNode();
            object.properties().forEach(e -> {
                boolean reference = e.getKey().equals("$ref") && e.getValue().isString();
                copy.set(
                        e.getKey(),
                        reference
                                ? JsonNodeFactory.instance.stringNode(
                                        e.getValue().stringValue().replace(REFERENCE, "#/$defs/"))
                                : pointed(e.getValue()));
            });
            return copy;
        }
        if (node instanceof ArrayNode array) {
            ArrayNode copy = JsonNodeFactory.instance.arrayNode();
            array.forEach(item -> copy.add(pointed(item)));
            return copy;
        }
        return node;
    }
}
