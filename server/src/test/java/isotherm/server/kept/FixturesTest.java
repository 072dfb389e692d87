package isotherm.server.kept;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RunningServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The demo garage as each earlier version kept it, in its database and in its file. */
class FixturesTest {
    private static final JsonMapper JSON = new JsonMapper();

    private static InputStream fixture(String name) {
        return FixturesTest.class.getResourceAsStream("/fixtures/" + name);
    }

    /** Restores a dump with PostgreSQL's own client. */
    private static void restore(String database, String dump) throws IOException, InterruptedException {
        String port = System.getenv("ISOTHERM_TEST_DB").replaceAll(".*:(\\d+)/.*", "$1");
        ProcessBuilder psql = new ProcessBuilder(
                "psql", "-q", "-v", "ON_ERROR_STOP=1", "-h", "127.0.0.1", "-p", port, "-U", "isotherm_app", database);
        psql.environment().put("PGPASSWORD", System.getenv("ISOTHERM_TEST_APP_PASSWORD"));
        Process process = psql.redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (OutputStream in = process.getOutputStream();
                InputStream sql = new GZIPInputStream(fixture(dump))) {
            sql.transferTo(in);
        }
        assertThat(process.waitFor()).isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {4, 5})
    void aDatabaseOfAnEarlierVersionIsShownAndCanBeEdited(int version) throws Exception {
        try (RunningServer server =
                RunningServer.on(database -> restore(database, "database-" + version + ".sql.gz"))) {
            checkDemoGarage(server);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = 1)
    void aGarageFileOfAnEarlierVersionIsShownAndCanBeEdited(int version) throws Exception {
        try (RunningServer server = RunningServer.empty();
                InputStream file = fixture("garage-" + version + ".zip")) {
            var taken = server.upload("/api/garage", file.readAllBytes());
            assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
            checkDemoGarage(server);
        }
    }

    private static JsonNode get(RunningServer server, String path) {
        var answer = server.send("GET", path, null);
        assertThat(answer.statusCode()).as(path + " " + answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private static void checkDemoGarage(RunningServer server) {
        assertThat(get(server, "/api/broken")).isEmpty();
        JsonNode cars = get(server, "/api/cars");
        assertThat(cars.valueStream().map(c -> c.get("name").stringValue()))
                .containsExactly("Aldane Corvid", "Brackwater Hauler", "Pell Wren");
        int logs = 0;
        for (JsonNode summary : cars) {
            String path = "/api/cars/" + summary.get("id").stringValue();
            JsonNode car = get(server, path);
            assertThat(car.get("duties")).isNotEmpty();
            assertThat(car.get("designs")).isNotEmpty();
            get(server, path + "/care");
            for (JsonNode log : car.get("logs")) {
                logs++;
                String at = "/api/logs/" + log.get("id").stringValue();
                assertThat(get(server, at + "/traces").at("/series/0").size()).isGreaterThan(100);
                assertThat(server.send("POST", at + "/duty", null).statusCode()).isEqualTo(201);
            }
            edit(server, car.get("duties").get(0), "duty", "/api/duties/");
            edit(server, car.get("designs").get(0), "design", "/api/designs/");
            ObjectNode asked = JSON.createObjectNode();
            asked.set("car", car.get("car"));
            asked.set("duty", car.get("duties").get(0).get("duty"));
            asked.set("design", car.get("designs").get(0).get("design"));
            assertThat(server.send("POST", "/api/outcome", asked.toString()).statusCode())
                    .isEqualTo(200);
        }
        assertThat(logs).isEqualTo(3);
    }

    private static void edit(RunningServer server, JsonNode view, String kind, String path) {
        ObjectNode document = ((ObjectNode) view.get(kind).deepCopy()).put("name", "Edited");
        String id = path + view.get("id").stringValue();
        String version = "\"" + view.get("version").intValue() + "\"";
        assertThat(server.send("PUT", id, document.toString(), "If-Match", version)
                        .statusCode())
                .isEqualTo(200);
    }
}
