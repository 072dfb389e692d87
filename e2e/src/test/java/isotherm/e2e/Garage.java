package isotherm.e2e;

import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Designs for one test each, added to the demo garage over the API. */
final class Garage {
    private static final JsonMapper JSON = new JsonMapper();
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private Garage() {}

    /**
     * @param car a demo car
     * @param example the example case whose design is copied
     * @return the name of the copy
     */
    static String copyOfTheFirstDesign(String car, String example) {
        ObjectNode design = (ObjectNode) JSON.readTree(Examples.read(example)).get("design");
        String name = "Test " + NUMBER.incrementAndGet();
        design.put("name", name);
        RunningServer server = RunningServer.get();
        for (JsonNode c : JSON.readTree(server.send("GET", "/api/cars", null).body())) {
            if (c.get("name").stringValue().equals(car)) {
                int status = server.send(
                                "POST", "/api/cars/" + c.get("id").stringValue() + "/designs", design.toString())
                        .statusCode();
                if (status == 201) {
                    return name;
                }
            }
        }
        throw new IllegalStateException("No design was added to " + car);
    }
}
