package isotherm.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Seeded requests from the OpenAPI document. Whatever is sent is answered, within 5 s, never as a mistake of the server's own, and
 * nothing is taken that the description does not allow. {@code ./isotherm fuzz} sends twenty thousand.
 */
class FuzzTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int REQUESTS = Integer.getInteger("isotherm.fuzz", 1000);
    private static final long SEED = Long.getLong("isotherm.fuzz.seed", 1);
    private static final int SHOWN = 300;
    private static final Set<String> COMPUTE = Set.of(
            "CaseDocument",
            "MapQuestion",
            "SearchQuestion",
            "SchoolsQuestion",
            "PlumbQuestion",
            "FitQuestion",
            "CompareQuestion");
    /** Among the other tests the machine is shared, and a minute's patience is not what is tried. */
    private static final Duration LONGEST = Duration.ofSeconds(System.getProperty("isotherm.fuzz") == null ? 20 : 5);

    /** Shorter answers are not told, ms. */
    private static final long WORTH_TELLING = 1000;

    private static final List<String> MEDIA = List.of(
            "application/yaml",
            "application/x+json",
            "text/plain",
            "application/octet-stream",
            "application/xml",
            "image/png",
            "application/json;charset=utf-16",
            "nonsense");

    private static final Path TOLD = Path.of("target", "fuzz-faults.txt");

    private final Random random = new Random(SEED);
    private final HttpClient client = HttpClient.newHttpClient();
    private final List<String> faults = new ArrayList<>();
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    private final Map<String, Long> longest = new TreeMap<>();

    @Test
    void nothingThatIsSentIsTooMuchForIt() throws IOException, InterruptedException {
        try (RunningServer server = RunningServer.empty()) {
            Description description = new Description(
                    JSON.readTree(server.send("GET", "/api/openapi", null).body()));
            Documents documents = new Documents(description, random);
            // The stream of the gauges does not end, and each simulated logger is a process.
            List<Description.Operation> operations = description.operations().stream()
                    .filter(o -> !o.path().endsWith("/live") && !o.path().endsWith("/logger"))
                    .toList();
            List<String> known = new ArrayList<>();
            // A program that has just started is still being compiled: its first routes take several times as long.
            for (int i = 0; i < 3; i++) {
                server.send("POST", "/api/plumb", Examples.read("plumb"));
            }
            for (int i = 0; i < REQUESTS; i++) {
                if (i % 400 == 0) {
                    renew(server, known);
                }
                if (i % 2000 == 1999) {
                    System.out.println("fuzz: " + (i + 1) + " sent, faults " + faults.size() + ", longest " + longest);
                }
                Description.Operation operation = operations.get(random.nextInt(operations.size()));
                // Questions that compute are asked one time in eight: they take nearly all of the time, and less can be
                // wrong in them. Of twenty thousand requests they are still some hundreds.
                if (COMPUTE.contains(operation.schema()) && random.nextInt(8) > 0) {
                    operation = operations.get(random.nextInt(operations.size()));
                }
                ask(server, description, documents, operation, known);
            }
            System.out.println("fuzz: " + REQUESTS + " requests of seed " + SEED + ", answers by status " + statuses
                    + ", faults " + faults.size() + ", longest by path, ms: " + longest);
            assertThat(faults.stream().map(f -> f.substring(0, Math.min(f.length(), SHOWN))))
                    .as("whole in " + TOLD)
                    .isEmpty();
            assertThat(server.send("GET", "/api/broken", null).body())
                    .as("nothing that was taken is refused when it is read again")
                    .isEqualTo("[]");
            assertThat(server.send("GET", "/api/garage.zip", null).statusCode()).isEqualTo(200);
        }
    }

    /** A car with all its parts, so that some of the requests meet something. */
    private static void renew(RunningServer server, List<String> known) {
        Wren wren = new Wren(server);
        String build = wren.begin("Under fuzz", 1.4);
        known.clear();
        known.add(wren.car().substring("/api/cars/".length()));
        known.add(build.substring("/api/builds/".length()));
        for (String kind : List.of("designs", "duties")) {
            known.add(wren.posted(wren.car() + "/" + kind, wren.demo().get(kind).get(0))
                    .get("id")
                    .stringValue());
        }
        JsonNode upload = JSON.readTree(server.upload(
                        wren.car() + "/uploads?name=a.csv",
                        "time,speed,rpm,oil\n0,50,3000,90\n1,51,3010,91\n20,52,3100,92\n")
                .body());
        known.add(upload.get("id").stringValue());
    }

    private void ask(
            RunningServer server,
            Description description,
            Documents documents,
            Description.Operation operation,
            List<String> known)
            throws InterruptedException {
        String path = path(operation, known);
        String body = body(documents, operation);
        String media = operation.media().isEmpty() ? "application/octet-stream" : operation.media();
        if (body != null && random.nextInt(12) == 0) {
            media = MEDIA.get(random.nextInt(MEDIA.size()));
        }
        HttpRequest.Builder request;
        try {
            request = HttpRequest.newBuilder(server.address().resolve(path)).timeout(LONGEST);
            request.method(
                    operation.method(),
                    body == null
                            ? HttpRequest.BodyPublishers.noBody()
                            : HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8));
            if (body != null && random.nextInt(40) > 0) {
                request.header("Content-Type", media);
            }
            headers(operation, request, known);
        } catch (IllegalArgumentException e) {
            return;
        }
        String shown = operation.method() + " " + path + " " + media + " " + (body == null ? "" : body);
        long begun = System.nanoTime();
        try {
            HttpResponse<String> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            long took = (System.nanoTime() - begun) / 1_000_000;
            if (took >= WORTH_TELLING) {
                longest.merge(operation.method() + " " + operation.path(), took, Math::max);
            }
            statuses.merge(answer.statusCode(), 1, Integer::sum);
            if (answer.statusCode() >= 500 || answer.body().contains("Exception")) {
                fault(answer.statusCode() + " " + shown + " → " + answer.body());
            }
            boolean taken = answer.statusCode() < 300
                    && body != null
                    && !operation.schema().isEmpty();
            if (taken && !isAllowed(description, operation.schema(), body)) {
                fault("taken although it is not described: " + shown);
            }
        } catch (HttpTimeoutException e) {
            fault("longer than " + LONGEST.toSeconds() + " s: " + shown);
        } catch (IOException e) {
            fault(e + " " + shown);
        }
    }

    /** Written down at once: a run of twenty thousand takes most of an hour. */
    private void fault(String what) {
        faults.add(what);
        try {
            Files.write(TOLD, faults);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean isAllowed(Description description, String schema, String body) {
        try {
            return description.allows(description.schema(schema), JSON.readTree(body));
        } catch (JacksonException e) {
            return false;
        }
    }

    private String body(Documents documents, Description.Operation operation) {
        if (operation.method().equals("GET") || operation.method().equals("DELETE")) {
            return null;
        }
        if (!operation.schema().isEmpty()) {
            return documents.of(operation.schema());
        }
        return switch (random.nextInt(5)) {
            case 0 -> null;
            case 1 ->
                "maker,number,price\nAcme,A-1," + documents.of("LogFormat").length() + "\n\0,\0,1e400\n\"";
            case 2 -> "time,speed,oil\n0,1e400,90\n1,-3,\"\n2,50,91\n";
            case 3 -> "PK\u0003\u0004" + "\0".repeat(random.nextInt(60));
            default -> documents.of("CarDocument");
        };
    }

    private String path(Description.Operation operation, List<String> known) {
        String path = operation.path();
        StringBuilder query = new StringBuilder();
        for (JsonNode p : operation.parameters()) {
            String name = p.get("name").stringValue();
            switch (p.get("in").stringValue()) {
                case "path" -> path = path.replace("{" + name + "}", encoded(value(p, known)));
                case "query" -> {
                    if (random.nextInt(3) > 0) {
                        query.append(query.isEmpty() ? '?' : '&').append(name).append('=');
                        query.append(encoded(value(p, known)));
                    }
                }
                default -> {}
            }
        }
        return path + query;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private String value(JsonNode parameter, List<String> known) {
        JsonNode schema = parameter.get("schema");
        if (random.nextInt(10) == 0) {
            List<String> odd = List.of("0", "-1", "1e400", "NaN", "\0", "x".repeat(300), "../..", "%", "é");
            return odd.get(random.nextInt(odd.size()));
        }
        if (schema.has("enum")) {
            return schema.get("enum")
                    .get(random.nextInt(schema.get("enum").size()))
                    .stringValue();
        }
        if (schema.path("format").asString("").equals("uuid")) {
            return random.nextInt(8) == 0 ? UUID.randomUUID().toString() : known.get(random.nextInt(known.size()));
        }
        return String.valueOf(random.nextInt(100));
    }

    private void headers(Description.Operation operation, HttpRequest.Builder request, List<String> known) {
        for (JsonNode p : operation.parameters()) {
            if (p.get("in").stringValue().equals("header") && random.nextInt(6) > 0) {
                String name = p.get("name").stringValue();
                String value = name.equals("If-Match") && random.nextInt(5) > 0
                        ? "\"" + random.nextInt(2) + "\""
                        : value(p, known);
                request.header(name, value);
            }
        }
    }
}
