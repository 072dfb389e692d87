package isotherm.e2e;

import isotherm.server.testing.Examples;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import java.net.HttpURLConnection;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Cars for one test each, added to the demo garage over the API, so that no test sees another one's changes. */
final class Garage {
    private static final JsonMapper JSON = new JsonMapper();
    private static final AtomicInteger NUMBER = new AtomicInteger();

    /** The same for every car, as most of what is asked about them is. */
    private static final String DESIGN = "Under test";

    private Garage() {}

    /**
     * A car of a test's own.
     *
     * @param id its identity
     * @param car its name
     * @param design the name of its design; another is called {@code As it is today}
     */
    record Own(String id, String car, String design) {}

    /**
     * @param example the example case whose car, duty and design are copied
     * @return the copy
     */
    static Own own(String example) {
        return own(example, JSON.readTree(Examples.read(example)));
    }

    /**
     * @param example the example case whose car, duty and design are copied
     * @return the copy, of which nobody has measured nose or bay
     */
    static Own unmeasured(String example) {
        JsonNode asked = JSON.readTree(Examples.read(example));
        ((ObjectNode) asked.get("car")).remove(List.of("nose", "bay"));
        ((ObjectNode) asked.get("design").get("cooler")).remove("placement");
        return own(example, asked);
    }

    private static Own own(String example, JsonNode asked) {
        int number = NUMBER.incrementAndGet();
        ObjectNode car = (ObjectNode) asked.get("car");
        car.put("name", example + " " + number);
        String id = posted("/api/cars", car).get("id").stringValue();
        posted("/api/cars/" + id + "/duties", asked.get("duty"));
        ObjectNode design = (ObjectNode) asked.get("design");
        design.put("name", DESIGN);
        posted("/api/cars/" + id + "/designs", design);
        ObjectNode bare = JSON.createObjectNode();
        bare.put("name", "As it is today");
        bare.put("keepFactoryExchanger", true);
        posted("/api/cars/" + id + "/designs", bare);
        return new Own(id, example + " " + number, DESIGN);
    }

    /** As a page does it: what the server cannot take at the moment is sent again. */
    static HttpResponse<String> answered(String method, String path, String body) {
        AtomicReference<HttpResponse<String>> answer = new AtomicReference<>();
        OwnServer.until(() -> {
            answer.set(RunningServer.get().send(method, path, body));
            return answer.get().statusCode() != HttpURLConnection.HTTP_UNAVAILABLE;
        });
        return answer.get();
    }

    private static JsonNode posted(String path, JsonNode document) {
        var answer = answered("POST", path, document.toString());
        if (answer.statusCode() != 201) {
            throw new IllegalStateException(path + ": " + answer.body());
        }
        return JSON.readTree(answer.body());
    }
}
