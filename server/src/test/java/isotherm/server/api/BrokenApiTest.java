package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents that were stored before a rule that refuses them: shown, mended, saved, removed, and in nobody's way. */
class BrokenApiTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static RunningServer server;
    private static Garage garage;
    private static Wren sound;
    private static Wren wren;
    private static UUID carId;
    private static UUID duty;
    private static UUID log;
    private static UUID build;

    @BeforeAll
    static void storePastTheRules() throws Exception {
        server = RunningServer.empty();
        garage = server.bean(Garage.class);
        sound = new Wren(server);
        wren = new Wren(server);
        carId = UUID.fromString(wren.car().substring("/api/cars/".length()));
        duty = UUID.randomUUID();
        ObjectNode hot = (ObjectNode) wren.demo().get("duties").get(0).deepCopy();
        garage.addPart(Kind.DUTY, duty, carId, hot.put("ambientC", 900).toString());
        garage.addPart(Kind.DESIGN, UUID.randomUUID(), carId, "not even JSON");
        JsonNode upload = JSON.readTree(
                server.upload(wren.car() + "/uploads?name=x.csv", "time,speed,oil\n0,50,90\n10,60,91\n20,60,92\n")
                        .body());
        String job = wren.keeping(upload, "Old log");
        JsonNode done = JSON.readTree(server.send("GET", job, null).body());
        while (!done.get("state").stringValue().equals("DONE")) {
            Thread.sleep(20);
            done = JSON.readTree(server.send("GET", job, null).body());
        }
        log = UUID.fromString(done.at("/answer/id").stringValue());
        ObjectNode long1 = (ObjectNode) done.at("/answer/log").deepCopy();
        garage.replace(
                Kind.LOG,
                log,
                garage.get(Kind.LOG, log).version(),
                long1.put("durationSeconds", 1.7e9).toString());
        String path = wren.begin("Old build", 1.4);
        build = UUID.fromString(path.substring("/api/builds/".length()));
        server.bean(Books.class)
                .write(
                        Kind.BUILD,
                        build,
                        UUID.randomUUID(),
                        Wren.entry("LIVE_READING", "crank-pressure")
                                .put("value", 1e9)
                                .toString(),
                        before -> {});
        garage.addOwnPart("CORE", "{\"maker\":\"Old\",\"number\":\"O-1\",\"rows\":900}");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static JsonNode get(String path) {
        HttpResponse<String> answer = server.send("GET", path, null);
        assertThat(answer.statusCode()).as(path + " " + answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private static JsonNode broken(String what) {
        return get("/api/broken")
                .valueStream()
                .filter(b -> b.get("what").stringValue().equals(what))
                .findFirst()
                .orElse(null);
    }

    @Test
    void theOthersAreShown() {
        JsonNode car = get(wren.car());
        assertThat(car.get("duties")).isEmpty();
        assertThat(car.get("broken").intValue()).isEqualTo(3);
        assertThat(get(wren.car() + "/builds")).hasSize(1);
        assertThat(get("/api/builds/" + build).at("/progress/steps").size()).isGreaterThan(30);
        assertThat(get(wren.car() + "/care").get("tasks")).isNotEmpty();
        assertThat(get("/api/catalogue/cores").toString()).doesNotContain("O-1");
        assertThat(broken("DUTY").at("/problems/0/message").stringValue()).contains("900 °C is outside -40 to 55 °C");
        assertThat(broken("DESIGN").get("name").stringValue()).isEqualTo("Not readable at all");
        assertThat(broken("LOG").at("/problems/0/path").stringValue()).isEqualTo("/durationSeconds");
        assertThat(broken("BUILD_ENTRY").at("/problems/0/path").stringValue()).isEqualTo("/value");
        assertThat(broken("PART").get("name").stringValue()).isEqualTo("O-1");
        assertThat(get("/api/broken?car=" + carId).valueStream().map(b -> b.get("carId")
                        .stringValue()))
                .isNotEmpty()
                .containsOnly(carId.toString());
        assertThat(get("/api/broken?car=" + sound.car().substring("/api/cars/".length())))
                .isEmpty();
    }

    @Test
    void aCarThatIsBrokenDoesNotHideTheOthers() {
        UUID id = UUID.randomUUID();
        ObjectNode car = (ObjectNode) wren.demo().get("car").deepCopy();
        garage.addCar(id, car.put("oilVolumeL", 0).put("name", "Dry sump").toString());
        JsonNode list = get("/api/cars");
        assertThat(list.valueStream()
                        .filter(c -> c.get("broken").booleanValue())
                        .map(c -> c.get("name").stringValue()))
                .containsExactly("Dry sump");
        assertThat(get(sound.car()).at("/car/name").stringValue()).isEqualTo("Pell Wren");
        HttpResponse<String> refused = server.send("GET", "/api/cars/" + id, null);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("/oilVolumeL");

        HttpResponse<String> mended = mend("CAR", id, car.put("oilVolumeL", 4.5).toString());
        assertThat(mended.statusCode()).as(mended.body()).isEqualTo(204);
        assertThat(get("/api/cars/" + id).at("/car/oilVolumeL").doubleValue()).isEqualTo(4.5);
        assertThat(server.send("DELETE", "/api/broken/CAR/" + id, null, "If-Match", "\"1\"")
                        .statusCode())
                .isEqualTo(204);
    }

    private static HttpResponse<String> mend(String what, UUID id, String text) {
        HttpRequest.Builder request = HttpRequest.newBuilder(server.address().resolve("/api/broken/" + what + "/" + id))
                .header("content-type", "text/plain;charset=utf-8")
                .header("If-Match", "\"" + garage.get(Kind.valueOf(what), id).version() + "\"")
                .PUT(HttpRequest.BodyPublishers.ofString(text));
        try {
            return java.net.http.HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (java.io.IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aLogIsMendedWithoutItsRows() {
        String text = server.send("GET", "/api/broken/LOG/" + log, null).body();
        ObjectNode document = (ObjectNode) JSON.readTree(text);
        assertThat(mend(
                                "LOG",
                                log,
                                document.put("rows", 7)
                                        .put("durationSeconds", 20)
                                        .toString())
                        .body())
                .contains("This log holds 3 rows");
        assertThat(mend("LOG", log, document.put("rows", 3).toString()).statusCode())
                .isEqualTo(204);
        assertThat(broken("LOG")).isNull();
        garage.replace(
                Kind.LOG,
                log,
                garage.get(Kind.LOG, log).version(),
                document.put("durationSeconds", 1.7e9).toString());
    }

    @Test
    void oneSpoiledDocumentSpoilsNeitherTheWayOutNorTheWayIn() {
        byte[] zip = server.bytes("GET", "/api/garage.zip", null);
        assertThat(new String(zip, 0, 2, java.nio.charset.StandardCharsets.US_ASCII))
                .isEqualTo("PK");
        try (RunningServer other = RunningServer.empty()) {
            HttpResponse<String> in = other.upload("/api/garage", zip);
            assertThat(in.statusCode()).as(in.body()).isEqualTo(200);
            assertThat(other.bytes("GET", "/api/garage.zip", null)).isEqualTo(zip);
            assertThat(other.send("GET", "/api/broken", null).body()).contains("900 °C is outside");
        }
    }

    @Test
    void whatIsWrongIsNotTakenInItsPlaceEither() {
        HttpResponse<String> refused = mend(
                "DUTY",
                duty,
                server.send("GET", "/api/broken/DUTY/" + duty, null).body());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("900 °C is outside");
        assertThat(server.send("DELETE", "/api/broken/BUILD_ENTRY/" + build, null, "If-Match", "\"0\"")
                        .statusCode())
                .isEqualTo(422);
        assertThat(List.of(get("/api/cars").size())).isNotEmpty();
    }

    @Test
    void aGarageThatCannotBeWrittenWholeIsNoSuccess() throws Exception {
        try (var connection = server.bean(javax.sql.DataSource.class).getConnection();
                var statement = connection.createStatement()) {
            String where = " where owner = '" + log + "' and ordinal = 0";
            byte[] piece;
            try (var found = statement.executeQuery("select data from log_piece" + where)) {
                assertThat(found.next()).isTrue();
                piece = found.getBytes(1);
            }
            // As a disk spoils it: fewer bytes than its own count of rows says.
            statement.executeUpdate("update log_piece set data = substring(data from 1 for 12)" + where);
            assertThat(server.send("GET", "/api/garage.zip", null).statusCode()).isEqualTo(500);
            try (var back = connection.prepareStatement("update log_piece set data = ?" + where)) {
                back.setBytes(1, piece);
                assertThat(back.executeUpdate()).isEqualTo(1);
            }
            assertThat(server.send("GET", "/api/garage.zip", null).statusCode()).isEqualTo(200);
        }
    }
}
