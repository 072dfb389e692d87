package isotherm.server.fuzz;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Documents for requests: the shipped examples and what a schema allows, and either of them with something wrong in it. */
final class Documents {
    private static final JsonMapper JSON = new JsonMapper();
    private static final List<String> NUMBERS = List.of(
            "0",
            "-0.0",
            "1",
            "-1",
            "1e400",
            "-1e400",
            "1e-320",
            "1e308",
            "0.1",
            "999999999999",
            "9".repeat(400),
            "1e-9",
            "2147483648",
            "1e999999999");
    private static final List<String> TEXTS = List.of(
            "\"\"",
            "\"\\u0000\"",
            "\"a\\u0000b\"",
            "\"\\ud800\"",
            "\"\\u001b[31m\"",
            "\"=1+1\"",
            "\"\\u2028\"",
            "\"<script>alert(1)</script>\"",
            "\"../../etc\"",
            "\"" + "x".repeat(5000) + "\"",
            "\"ẞ🚗\"",
            "\"NaN\"",
            "\"+1000000-01-01T00:00:00Z\"");
    private static final List<String> OTHERS = List.of("null", "true", "[]", "{}", "[[[[]]]]", "\"1\"", "[null]");

    private final Description description;
    private final Random random;
    private final Map<String, List<JsonNode>> examples = new HashMap<>();

    Documents(Description description, Random random) throws IOException {
        this.description = description;
        this.random = random;
        Path formats = Path.of("..", "docs", "formats");
        Map<String, String> names = Map.of(
                "CaseDocument", "corvid,hauler,wren",
                "MapQuestion", "map",
                "RatingQuestion", "rating",
                "AirQuestion", "air",
                "CircuitQuestion", "circuit",
                "FitQuestion", "fit",
                "CompareQuestion", "compare",
                "PlacementQuestion", "placement",
                "SchoolsQuestion", "schools",
                "PlumbQuestion", "plumb");
        for (Map.Entry<String, String> e : names.entrySet()) {
            for (String name : e.getValue().split(",")) {
                keep(e.getKey(), JSON.readTree(Files.readString(formats.resolve(name + ".json"))));
            }
        }
        keep("SearchQuestion", JSON.readTree(Files.readString(formats.resolve("search.json"))));
        for (String car : List.of("1-corvid", "2-hauler", "3-wren")) {
            JsonNode demo = JSON.readTree(Files.readString(Path.of("..", "demo", car + ".json")));
            keep("CarDocument", demo.get("car"));
            demo.get("duties").forEach(d -> keep("DutyDocument", d));
            demo.get("designs").forEach(d -> keep("DesignDocument", d));
            ObjectNode build = JSON.createObjectNode().put("name", "A build");
            build.set("car", demo.get("car"));
            build.set("duty", demo.get("duties").get(0));
            demo.get("designs")
                    .valueStream()
                    .filter(d -> d.has("cooler"))
                    .findFirst()
                    .ifPresent(d -> {
                        build.set("design", d);
                        keep("NewBuild", build);
                    });
        }
    }

    private void keep(String schema, JsonNode example) {
        examples.computeIfAbsent(schema, k -> new ArrayList<>()).add(example);
    }

    /** A document of a schema as text, sound or with one to three things wrong in it. */
    String of(String schema) {
        JsonNode sound = sound(schema);
        return random.nextInt(4) == 0 ? sound.toString() : mutated(sound, 1 + random.nextInt(3));
    }

    private JsonNode sound(String schema) {
        List<JsonNode> known = examples.get(schema);
        return known != null && random.nextInt(8) > 0
                ? known.get(random.nextInt(known.size())).deepCopy()
                : generated(description.schema(schema), 0);
    }

    private JsonNode generated(JsonNode schema, int depth) {
        JsonNode s = description.resolved(schema);
        if (s.has("enum")) {
            return s.get("enum").get(random.nextInt(s.get("enum").size()));
        }
        switch (s.path("type").asString("")) {
            case "object" -> {
                ObjectNode node = JSON.createObjectNode();
                List<String> required = s.path("required")
                        .valueStream()
                        .map(JsonNode::stringValue)
                        .toList();
                for (Map.Entry<String, JsonNode> p : s.path("properties").properties()) {
                    if (required.contains(p.getKey()) || depth < 3 && random.nextInt(3) == 0) {
                        node.set(p.getKey(), generated(p.getValue(), depth + 1));
                    }
                }
                return node;
            }
            case "array" -> {
                ArrayNode list = JSON.createArrayNode();
                int least = s.path("minItems").asInt(0);
                int most = Math.min(s.path("maxItems").asInt(4), least + 4);
                for (int i = 0; i < least + random.nextInt(most - least + 1); i++) {
                    list.add(generated(s.get("items"), depth + 1));
                }
                return list;
            }
            case "string" -> {
                return JSON.getNodeFactory()
                        .stringNode(
                                s.path("maxLength").asInt(0) == 36
                                        ? new java.util.UUID(random.nextLong(), random.nextLong()).toString()
                                        : "text " + random.nextInt(100));
            }
            case "boolean" -> {
                return JSON.getNodeFactory().booleanNode(random.nextBoolean());
            }
            default -> {
                double min = Math.max(-1e6, s.path("minimum").asDouble(-1e6));
                double max = Math.min(1e6, s.path("maximum").asDouble(1e6));
                double v = random.nextInt(5) == 0 ? min : min + random.nextDouble() * (max - min);
                boolean whole = s.path("type").asString("").equals("integer");
                return whole
                        ? JSON.getNodeFactory().numberNode((long) v)
                        : JSON.getNodeFactory().numberNode(v);
            }
        }
    }

    /** Places in a document are told apart by a mark that is then replaced by what is no JSON of ours. */
    private String mutated(JsonNode document, int times) {
        String text = document.toString();
        for (int i = 0; i < times; i++) {
            JsonNode tree = JSON.readTree(text);
            List<Runnable> changes = new ArrayList<>();
            String mark = "\"#" + random.nextInt(1_000_000_000) + "#\"";
            collect(tree, changes, mark.substring(1, mark.length() - 1));
            if (changes.isEmpty()) {
                return other();
            }
            changes.get(random.nextInt(changes.size())).run();
            text = tree.toString().replace(mark, other());
            if (random.nextInt(40) == 0) {
                int cut = random.nextInt(text.length());
                return text.substring(0, cut);
            }
            try {
                JSON.readTree(text);
            } catch (tools.jackson.core.JacksonException e) {
                return text;
            }
        }
        return text;
    }

    private String other() {
        List<List<String>> kinds = List.of(NUMBERS, NUMBERS, TEXTS, OTHERS);
        List<String> kind = kinds.get(random.nextInt(kinds.size()));
        return kind.get(random.nextInt(kind.size()));
    }

    private static void collect(JsonNode node, List<Runnable> changes, String mark) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> e : List.copyOf(object.properties())) {
                changes.add(() -> object.put(e.getKey(), mark));
                changes.add(() -> object.remove(e.getKey()));
                collect(e.getValue(), changes, mark);
            }
            changes.add(() -> object.put("unknown", mark));
        } else if (node instanceof ArrayNode list) {
            for (int i = 0; i < Math.min(list.size(), 50); i++) {
                int at = i;
                changes.add(() -> list.set(at, mark));
                collect(list.get(i), changes, mark);
            }
            changes.add(list::removeAll);
            changes.add(() -> list.add(mark));
        }
    }
}
