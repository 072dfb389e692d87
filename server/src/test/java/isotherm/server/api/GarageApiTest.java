package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.session.Solver;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class GarageApiTest {
    private static final JsonMapper JSON = new JsonMapper();

    private final RunningServer server = RunningServer.get();

    private JsonNode json(HttpResponse<String> response) {
        return JSON.readTree(response.body());
    }

    private JsonNode demoCar(String name) {
        for (JsonNode car : json(server.send("GET", "/api/cars", null))) {
            if (car.get("name").stringValue().equals(name)) {
                return json(server.send("GET", "/api/cars/" + car.get("id").stringValue(), null));
            }
        }
        throw new AssertionError("No car " + name);
    }

    private JsonNode newCar() {
        JsonNode example = JSON.readTree(Examples.read("wren"));
        JsonNode car = json(server.send("POST", "/api/cars", example.get("car").toString()));
        String id = car.get("id").stringValue();
        server.send("POST", "/api/cars/" + id + "/duties", example.get("duty").toString());
        server.send(
                "POST", "/api/cars/" + id + "/designs", example.get("design").toString());
        return json(server.send("GET", "/api/cars/" + id, null));
    }

    @Test
    void theDemoGarageHoldsThreeCarsWithTheirDutiesAndDesigns() {
        for (String name : new String[] {"Aldane Corvid", "Brackwater Hauler", "Pell Wren"}) {
            JsonNode car = demoCar(name);
            assertThat(car.get("duties").size()).isPositive();
            assertThat(car.get("designs").size()).isPositive();
        }
    }

    /** What the list remembers of a car it may show no longer than the car is the same. */
    @Test
    void theListShowsACarAsItIsNow() {
        String id = UUID.randomUUID().toString();
        String car = JSON.readTree(Examples.read("wren")).get("car").toString();
        add(id, car.replace("Pell Wren", "First name"));
        assertThat(listed(id)).containsExactly("First name");
        server.send("PUT", "/api/cars/" + id, car.replace("Pell Wren", "Second name"), "If-Match", "\"0\"");
        assertThat(listed(id)).containsExactly("Second name");
        server.send("DELETE", "/api/cars/" + id, null, "If-Match", "\"1\"");
        assertThat(listed(id)).isEmpty();
        add(id, car.replace("Pell Wren", "Came back"));
        assertThat(listed(id)).containsExactly("Came back");
    }

    private void add(String id, String car) {
        assertThat(server.send("POST", "/api/cars", car, Etags.KEY, id).statusCode())
                .isEqualTo(201);
    }

    private List<String> listed(String id) {
        return json(server.send("GET", "/api/cars", null))
                .valueStream()
                .filter(c -> c.get("id").stringValue().equals(id))
                .map(c -> c.get("name").stringValue())
                .toList();
    }

    @Test
    void aChangedDesignIsKeptAndItsVersionRises() {
        JsonNode design = newCar().get("designs").get(0);
        String path = "/api/designs/" + design.get("id").stringValue();
        String changed = design.get("design").toString().replace("\"rows\":13", "\"rows\":16");
        HttpResponse<String> answer = server.send(
                "PUT", path, changed, "If-Match", "\"" + design.get("version").intValue() + "\"");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(json(answer).get("design").get("cooler").get("rows").intValue())
                .isEqualTo(16);
        assertThat(json(answer).get("version").intValue())
                .isGreaterThan(design.get("version").intValue());
        assertThat(answer.headers().firstValue("ETag"))
                .contains("\"" + json(answer).get("version").intValue() + "\"");
    }

    @Test
    void aWriteBasedOnAnOldVersionIsRefusedWithBothStates() {
        JsonNode design = newCar().get("designs").get(0);
        String path = "/api/designs/" + design.get("id").stringValue();
        String version = "\"" + design.get("version").intValue() + "\"";
        String mine = design.get("design").toString().replace("\"rows\":13", "\"rows\":19");
        String theirs = design.get("design").toString().replace("\"rows\":13", "\"rows\":25");
        assertThat(server.send("PUT", path, theirs, "If-Match", version).statusCode())
                .isEqualTo(200);
        HttpResponse<String> late = server.send("PUT", path, mine, "If-Match", version);
        assertThat(late.statusCode()).isEqualTo(412);
        assertThat(json(late).get("current").get("cooler").get("rows").intValue())
                .isEqualTo(25);
        int now = json(late).get("currentVersion").intValue();
        assertThat(server.send("PUT", path, mine, "If-Match", "\"" + now + "\"").statusCode())
                .isEqualTo(200);
    }

    @Test
    void aWriteWithoutAVersionIsRefused() {
        JsonNode design = newCar().get("designs").get(0);
        String path = "/api/designs/" + design.get("id").stringValue();
        assertThat(server.send("PUT", path, design.get("design").toString()).statusCode())
                .isEqualTo(428);
        assertThat(server.send("PUT", path, design.get("design").toString(), "If-Match", "three")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void aDesignCanBeRemoved() {
        JsonNode car = newCar();
        JsonNode design = car.get("designs").get(0);
        String path = "/api/designs/" + design.get("id").stringValue();
        assertThat(server.send(
                                "DELETE",
                                path,
                                null,
                                "If-Match",
                                "\"" + design.get("version").intValue() + "\"")
                        .statusCode())
                .isEqualTo(204);
        JsonNode after = json(server.send("GET", "/api/cars/" + car.get("id").stringValue(), null));
        assertThat(after.get("designs").size()).isZero();
    }

    @Test
    void whatIsNotThereIsNotFound() {
        String nobody = "00000000-0000-0000-0000-000000000000";
        assertThat(server.send("GET", "/api/cars/" + nobody, null).statusCode()).isEqualTo(404);
        assertThat(server.send("GET", "/api/cars/nonsense", null).statusCode()).isEqualTo(400);
        JsonNode example = JSON.readTree(Examples.read("wren"));
        assertThat(server.send(
                                "POST",
                                "/api/cars/" + nobody + "/designs",
                                example.get("design").toString())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void badInputNamesTheFieldAndItsRange() {
        String bad = Examples.read("corvid").replace("\"rows\": 10", "\"rows\": 1000");
        HttpResponse<String> answer = server.send("POST", "/api/outcome", bad);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.headers().firstValue("content-type")).contains("application/problem+json");
        JsonNode problem = json(answer).get("problems").get(0);
        assertThat(problem.get("path").stringValue()).isEqualTo("/design/cooler/rows");
        assertThat(problem.get("min").doubleValue()).isEqualTo(2);
        assertThat(problem.get("max").doubleValue()).isEqualTo(60);
    }

    @Test
    void anOutcomeOverHttpIsWhatTheSolverComputes() {
        String example = Examples.read("corvid");
        double here = Solver.solve(DocumentReader.read(example, CaseDocument.class))
                .figures()
                .peakC();
        JsonNode there = json(server.send("POST", "/api/outcome", example));
        assertThat(there.get("figures").get("peakC").doubleValue()).isEqualTo(here);
    }

    @Test
    void theIntervalIsRepeatableAndHoldsTheMedian() {
        String example = Examples.read("corvid").replaceFirst("\\{", "{\"samples\": 24, \"seed\": 5,");
        JsonNode once = json(server.send("POST", "/api/interval", example));
        JsonNode twice = json(server.send("POST", "/api/interval", example));
        assertThat(once).isEqualTo(twice);
        assertThat(once.get("peakLowC").doubleValue())
                .isLessThan(once.get("peakMedianC").doubleValue());
        assertThat(once.get("peakMedianC").doubleValue())
                .isLessThan(once.get("peakHighC").doubleValue());
    }

    @Test
    void theInterfaceIsServedForItsOwnRoutesOnly() {
        assertThat(server.send("GET", "/cars/anything/core", null).body()).contains("<div id=\"root\">");
        assertThat(server.send("GET", "/api/nothing", null).statusCode()).isEqualTo(404);
        assertThat(server.send("GET", "/missing.js", null).statusCode()).isEqualTo(404);
    }
}
