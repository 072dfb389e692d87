package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is sent again, or by several at once: done once, and never over what somebody else wrote. */
class RetriesApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();
    private final Wren wren = new Wren(SERVER);

    private static JsonNode get(String path) {
        return JSON.readTree(SERVER.send("GET", path, null).body());
    }

    private static HttpResponse<String> twice(String path, String body) {
        String key = UUID.randomUUID().toString();
        HttpResponse<String> first = SERVER.send("POST", path, body, "Idempotency-Key", key);
        HttpResponse<String> again = SERVER.send("POST", path, body, "Idempotency-Key", key);
        assertThat(first.statusCode()).as(first.body()).isEqualTo(201);
        assertThat(again.statusCode()).as(again.body()).isEqualTo(201);
        String id = JSON.readTree(first.body()).get("id").stringValue();
        assertThat(id).isEqualTo(key);
        assertThat(JSON.readTree(again.body()).get("id").stringValue()).isEqualTo(id);
        return first;
    }

    @Test
    void whatIsCreatedTwiceUnderOneNameIsThereOnce() {
        int cars = get("/api/cars").size();
        twice("/api/cars", wren.demo().get("car").toString());
        twice("/api/cars/from-class", "{\"classId\":\"hatch\",\"name\":\"Once\"}");
        assertThat(get("/api/cars")).hasSize(cars + 2);
        twice(wren.car() + "/duties", wren.demo().get("duties").get(0).toString());
        twice(wren.car() + "/designs", wren.demo().get("designs").get(0).toString());
        assertThat(get(wren.car()).get("duties")).hasSize(1);
        assertThat(get(wren.car()).get("designs")).hasSize(1);
        ObjectNode build = JSON.createObjectNode().put("name", "Once");
        build.set("car", wren.demo().get("car"));
        build.set("duty", wren.demo().get("duties").get(0));
        build.set("design", wren.demo().get("designs").get(0));
        twice(wren.car() + "/builds", build.toString());
        assertThat(get(wren.car() + "/builds")).hasSize(1);
    }

    @Test
    void aNameThatWasGivenToSomethingElseIsRefused() {
        String key = UUID.randomUUID().toString();
        String duty = wren.demo().get("duties").get(0).toString();
        SERVER.send("POST", wren.car() + "/duties", duty, "Idempotency-Key", key);
        String other = ((ObjectNode) JSON.readTree(duty)).put("name", "Another").toString();
        assertThat(SERVER.send("POST", wren.car() + "/duties", other, "Idempotency-Key", key)
                        .statusCode())
                .isEqualTo(409);
        assertThat(SERVER.send("POST", new Wren(SERVER).car() + "/duties", duty, "Idempotency-Key", key)
                        .statusCode())
                .isEqualTo(409);
        assertThat(get(wren.car()).get("duties")).hasSize(1);
    }

    @Test
    void aLogThatIsKeptAgainIsKeptOnce() throws InterruptedException {
        JsonNode upload = JSON.readTree(
                SERVER.upload(wren.car() + "/uploads?name=x.csv", "time,speed,oil\n0,50,90\n10,60,91\n20,60,92\n")
                        .body());
        for (int i = 0; i < 3; i++) {
            String job = wren.keeping(upload, "Once");
            for (int k = 0; k < 200 && SERVER.send("GET", job, null).body().contains("RUNNING"); k++) {
                Thread.sleep(20);
            }
            Thread.sleep(100);
        }
        assertThat(get(wren.car()).get("logs")).hasSize(1);
    }

    @Test
    void aPictureIsNeverTakenForAnotherOne() throws Exception {
        String first = wren.begin("One", 1.4);
        String second = wren.begin("Two", 1.4);
        String id = UUID.randomUUID().toString();
        byte[] red = picture(0xff0000);
        assertThat(SERVER.put(first + "/pictures/" + id, red, "image/png").statusCode())
                .isEqualTo(204);
        assertThat(SERVER.put(first + "/pictures/" + id, red, "image/png").statusCode())
                .as("the same again")
                .isEqualTo(204);
        assertThat(SERVER.put(first + "/pictures/" + id, picture(0x0000ff), "image/png")
                        .statusCode())
                .as("another one under its name")
                .isEqualTo(409);
        assertThat(SERVER.put(second + "/pictures/" + id, red, "image/png").statusCode())
                .as("in another build")
                .isEqualTo(409);
    }

    private static byte[] picture(int colour) throws java.io.IOException {
        var image = new java.awt.image.BufferedImage(8, 8, java.awt.image.BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < 64; i++) {
            image.setRGB(i % 8, i / 8, colour);
        }
        var out = new java.io.ByteArrayOutputStream();
        javax.imageio.ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static String core(String number, int rows) {
        return "{\"maker\":\"Retry\",\"number\":\"%s\",\"construction\":\"STACKED_PLATE\",\"rows\":%d,\"widthMm\":280,"
                        .formatted(number, rows)
                + "\"depthMm\":50,\"passes\":1,\"price\":100}";
    }

    @Test
    void anOwnPartIsReplacedOnlyByWhoeverHasSeenIt() {
        String path = "/api/catalogue/cores";
        HttpResponse<String> first = SERVER.send("POST", path, core("R-1", 13));
        assertThat(first.statusCode()).as(first.body()).isEqualTo(200);
        int version = JSON.readTree(first.body()).get("version").intValue();
        assertThat(SERVER.send("POST", path, core("R-1", 13)).body()).isEqualTo(first.body());
        assertThat(SERVER.send("POST", path, core("R-1", 19)).statusCode()).isEqualTo(412);
        assertThat(SERVER.send("POST", path, core("R-1", 19), "If-Match", "\"" + (version + 1) + "\"")
                        .statusCode())
                .isEqualTo(412);
        assertThat(SERVER.send("POST", path, core("R-1", 19), "If-Match", "\"" + version + "\"")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void twelveAtOnceEnterOnePart() {
        ExecutorService twelve = Executors.newFixedThreadPool(12);
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            int rows = 7 + i;
            all.add(CompletableFuture.supplyAsync(
                    () -> SERVER.send("POST", "/api/catalogue/cores", core("R-12", rows))
                            .statusCode(),
                    twelve));
        }
        List<Integer> statuses = all.stream().map(CompletableFuture::join).toList();
        twelve.shutdown();
        assertThat(statuses).containsOnly(200, 412).filteredOn(s -> s == 200).hasSize(1);
        long there = SERVER.bean(isotherm.server.store.Garage.class).ownParts("CORE").stream()
                .filter(s -> s.document().contains("R-12"))
                .count();
        assertThat(there).isEqualTo(1);
    }

    @Test
    void aLongPriceListComesInWhole() {
        StringBuilder list = new StringBuilder("maker,number,price,construction,rows,width_mm,depth_mm\n");
        for (int i = 0; i < 1500; i++) {
            list.append("Long,L-").append(i).append(",10,stacked plate,19,280,50\n");
        }
        // Elsewhere it would stand in every other test's catalogue.
        try (RunningServer server = RunningServer.empty()) {
            String told = server.sendText("/api/catalogue/cores/import?keep=true", list.toString())
                    .body();
            assertThat(JSON.readTree(told).get("added").intValue()).isEqualTo(1500);
            assertThat(server.bean(isotherm.server.store.Garage.class).ownParts("CORE"))
                    .hasSize(1500);
        }
    }
}
