package isotherm.e2e;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A run sheet that somebody else works on, over the API: what one story shows press by press, another does not show again. */
final class RunSheets {
    private static final JsonMapper JSON = new JsonMapper();
    /** What is read where a sheet does not go on without it, in metric units. */
    private static final Map<String, Double> READINGS =
            Map.of("crank-pressure", 2.2, "warm-oil", 96.0, "warm-far-end", 72.0);

    private RunSheets() {}

    static JsonNode got(String path) {
        return JSON.readTree(Garage.answered("GET", path, null).body());
    }

    /** Ticks what is not done yet until a step is next, with what has to be read there. */
    static void doneUpTo(String build, String upTo) {
        for (JsonNode state : got(build).at("/progress/steps")) {
            String id = state.get("id").stringValue();
            if (id.equals(upTo)) {
                return;
            }
            if (state.has("done")) {
                continue;
            }
            if (READINGS.containsKey(id)) {
                written(build, entry("READING", id).put("value", READINGS.get(id)));
            }
            written(build, entry("DONE", id));
        }
        throw new AssertionError("No step " + upTo);
    }

    private static void written(String build, ObjectNode entry) {
        var answer = Garage.answered("POST", build + "/entries", entry.toString());
        if (answer.statusCode() != 201) {
            throw new AssertionError(entry + ": " + answer.body());
        }
    }

    private static ObjectNode entry(String kind, String on) {
        return JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("at", Instant.now().toString())
                .put("who", "Bo")
                .put("kind", kind)
                .put("on", on);
    }
}
