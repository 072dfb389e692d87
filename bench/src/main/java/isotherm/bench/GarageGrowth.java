package isotherm.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A garage that is filled, asked over HTTP. */
final class GarageGrowth {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int WRONG = 400;
    private static final int PAUSE_MS = 10;

    private final HttpClient client = HttpClient.newHttpClient();
    private final URI server;
    private final String first;
    private int cars;

    /** @param server one with the demo garage */
    GarageGrowth(URI server) {
        this.server = server;
        JsonNode all = JSON.readTree(ask("GET", "/api/cars", null));
        this.first = "/api/cars/" + all.get(0).get("id").asString();
        this.cars = all.size();
    }

    /** @return where one car is told with all that is its own */
    String one() {
        return first;
    }

    /**
     * @param many cars that there are then: copies of the first one with its designs
     * @param path what is asked
     * @return asks it
     */
    Runnable cars(int many, String path) {
        JsonNode template = JSON.readTree(ask("GET", first, null));
        while (cars < many) {
            ObjectNode car = (ObjectNode) template.get("car").deepCopy();
            String added =
                    ask("POST", "/api/cars", car.put("name", "Car " + cars).toString());
            String at = "/api/cars/" + JSON.readTree(added).get("id").asString();
            for (JsonNode design : template.get("designs")) {
                ask("POST", at + "/designs", design.get("design").toString());
            }
            cars++;
        }
        return () -> ask("GET", path, null);
    }

    /**
     * @param rows of a log
     * @return brings it in as one that is kept
     */
    Runnable log(int rows) {
        byte[] bytes = SampleLog.of(rows);
        return () -> {
            JsonNode upload =
                    JSON.readTree(answer(HttpRequest.newBuilder(server.resolve(first + "/uploads?name=growth.csv"))
                            .header("Content-Type", "application/octet-stream")
                            .POST(HttpRequest.BodyPublishers.ofByteArray(bytes))
                            .build()));
            JsonNode job = JSON.readTree(ask("POST", SampleLog.keepPath(upload), SampleLog.keep(upload)));
            while (job.get("state").asString().matches("WAITING|RUNNING")) {
                pause();
                job = JSON.readTree(ask("GET", "/api/jobs/" + job.get("id").asString(), null));
            }
        };
    }

    /**
     * @param lines of a dealer's list, each a core of its own
     * @return takes the list over
     */
    Runnable prices(int lines) {
        StringBuilder list = new StringBuilder("maker,number,price,construction,rows,width_mm,depth_mm\n");
        for (int i = 0; i < lines; i++) {
            list.append("Long,L-").append(i).append(",10,stacked plate,19,280,50\n");
        }
        return () -> answer(HttpRequest.newBuilder(server.resolve("/api/catalogue/cores/import?keep=true"))
                .header("Content-Type", "text/plain;charset=utf-8")
                .POST(HttpRequest.BodyPublishers.ofString(list.toString()))
                .build());
    }

    /** As a page asks, not without end: that took a core from what is asked about. */
    private static void pause() {
        try {
            Thread.sleep(PAUSE_MS);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private String ask(String method, String path, String body) {
        return answer(HttpRequest.newBuilder(server.resolve(path))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    private String answer(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= WRONG) {
                throw new IllegalStateException(request.uri() + ": " + answer.body());
            }
            return answer.body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
