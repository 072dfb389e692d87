package isotherm.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is asked about a car of the demo garage. */
final class DemoCase {
    private static final JsonMapper JSON = new JsonMapper();

    private DemoCase() {}

    /**
     * @param car the car, by its file
     * @param wanted which of its designs; the first of them
     * @return the car under its first duty with that design, to be changed at will
     * @throws IOException when the demo garage is not there
     */
    static ObjectNode of(String car, Predicate<JsonNode> wanted) throws IOException {
        Path demo = Path.of(System.getProperty("isotherm.demo", "demo"));
        JsonNode file = JSON.readTree(Files.readString(demo.resolve(car + ".json")));
        ObjectNode asked = JSON.createObjectNode();
        asked.set("car", file.get("car"));
        asked.set("duty", file.get("duties").get(0));
        asked.set(
                "design",
                file.get("designs").valueStream().filter(wanted).findFirst().orElseThrow());
        return asked;
    }

    /** Whether the hoses of a design can be routed. */
    static boolean isPlumbed(JsonNode design) {
        return design.has("plumbing") && design.path("cooler").has("placement");
    }
}
