package isotherm.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A car of a test's own, the demo garage's Wren, added over the API. */
public final class Wren {
    private static final JsonMapper JSON = new JsonMapper();

    private final ApiClient server;
    private final JsonNode demo;
    private final String car;

    /** @param server where it is added */
    public Wren(ApiClient server) {
        this.server = server;
        try {
            demo = JSON.readTree(Files.readString(Path.of("../demo/3-wren.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        car = "/api/cars/" + posted("/api/cars", demo.get("car")).get("id").stringValue();
    }

    /** @return path of the car */
    public String car() {
        return car;
    }

    /** @return the car with its duties and designs as the demo garage has them */
    public JsonNode demo() {
        return demo;
    }

    /**
     * Begins a build of its first design.
     *
     * @param name name of the build
     * @param leastCrankBar gauge pressure that cranking has to show
     * @return path of the build
     */
    public String begin(String name, double leastCrankBar) {
        ObjectNode wanted = JSON.createObjectNode().put("name", name).put("leastCrankBar", leastCrankBar);
        wanted.set("car", demo.get("car"));
        wanted.set("duty", demo.get("duties").get(0));
        wanted.set("design", demo.get("designs").get(0));
        return "/api/builds/" + posted(car + "/builds", wanted).get("id").stringValue();
    }

    /**
     * @param path path of something that is added to
     * @param document what is added
     * @return the answer to it
     */
    public JsonNode posted(String path, JsonNode document) {
        HttpResponse<String> answer = server.send("POST", path, document.toString());
        if (answer.statusCode() != 201) {
            throw new IllegalStateException(path + ": " + answer.body());
        }
        return JSON.readTree(answer.body());
    }

    /**
     * @param upload the answer to a log that was sent
     * @param name name under which it is to be kept
     * @return path of the work that keeps it
     */
    public String keeping(JsonNode upload, String name) {
        ObjectNode keep = JSON.createObjectNode()
                .put("name", name)
                .put("sensor", "SUMP")
                .put("ambientC", 20)
                .put("altitudeM", 100);
        keep.set("format", upload.at("/preview/format"));
        HttpResponse<String> started =
                server.send("POST", "/api/uploads/" + upload.get("id").stringValue() + "/keep", keep.toString());
        if (started.statusCode() != 202) {
            throw new IllegalStateException(started.body());
        }
        return "/api/jobs/" + JSON.readTree(started.body()).get("id").stringValue();
    }

    /**
     * @param kind what it is
     * @param on what it is about; null for nothing
     * @return an entry for a run sheet or a care book, written now
     */
    public static ObjectNode entry(String kind, String on) {
        ObjectNode entry = JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("at", Instant.now().toString())
                .put("who", "Ada")
                .put("kind", kind);
        return on == null ? entry : entry.put("on", on);
    }
}
