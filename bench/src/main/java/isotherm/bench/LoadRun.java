package isotherm.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Fifty people at one server: most read, some drag a rule, some ask for an outcome, some tick steps; first by themselves, then beside
 * somebody who imports a million rows and somebody who searches. Prints how long each kind of request took.
 */
public final class LoadRun {
    private static final int PEOPLE = 50;
    private static final int SECONDS = 40;
    private static final int ROWS = 1_000_000;
    /** Somebody presses something so often, ms. */
    private static final int THINKS_MS = 1000;

    private static final int WRONG = 400;
    private static final double MS = 1e6;
    private static final JsonMapper JSON = new JsonMapper();

    private final URI server;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(10)).build();
    private final List<JsonNode> cars = new ArrayList<>();
    private final List<String> cases = new ArrayList<>();
    private final String build;
    private final Map<String, ConcurrentLinkedQueue<Long>> took = new TreeMap<>();
    private final AtomicInteger wrong = new AtomicInteger();
    private volatile boolean over;

    private LoadRun(URI server) {
        this.server = server;
        JSON.readTree(ask("GET", "/api/cars", null, "setup")).forEach(c -> {
            JsonNode car = JSON.readTree(ask("GET", "/api/cars/" + c.get("id").asString(), null, "setup"));
            cars.add(car);
            ObjectNode asked = JSON.createObjectNode();
            asked.set("car", car.get("car"));
            asked.set("duty", car.at("/duties/0/duty"));
            asked.set("design", car.at("/designs/0/design"));
            cases.add(asked.toString());
        });
        JsonNode car = cars.get(cars.size() - 1);
        ObjectNode wanted = (ObjectNode) JSON.readTree(cases.get(cases.size() - 1));
        wanted.put("name", "Load").put("leastCrankBar", 1.2);
        build = "/api/builds/"
                + JSON.readTree(ask(
                                "POST",
                                "/api/cars/" + car.get("id").asString() + "/builds",
                                wanted.toString(),
                                "setup"))
                        .get("id")
                        .asString();
    }

    /**
     * @param args address of a server with the demo garage
     * @throws InterruptedException when the run is stopped
     */
    public static void main(String[] args) throws InterruptedException {
        LoadRun run = new LoadRun(URI.create(args[0]));
        run.people("warm-up", SECONDS / 4, false);
        run.people("by themselves", SECONDS, false);
        run.people("beside an import of a million rows and a search", SECONDS, true);
        System.exit(run.wrong.get() == 0 ? 0 : 1);
    }

    private void people(String how, int seconds, boolean heavy) throws InterruptedException {
        took.clear();
        for (String kind : List.of("list cars", "read a car", "drag", "outcome", "tick", "read a sheet", "state")) {
            took.put(kind, new ConcurrentLinkedQueue<>());
        }
        wrong.set(0);
        over = false;
        ExecutorService everybody = Executors.newCachedThreadPool();
        for (int i = 0; i < PEOPLE; i++) {
            int seed = i;
            everybody.execute(() -> somebody(seed));
        }
        if (heavy) {
            everybody.execute(this::imports);
            everybody.execute(this::searches);
        }
        TimeUnit.SECONDS.sleep(seconds);
        over = true;
        everybody.shutdown();
        everybody.awaitTermination(60, TimeUnit.SECONDS);
        if (!how.equals("warm-up")) {
            print(how, seconds);
        }
    }

    private void somebody(int seed) {
        Random chance = new Random(seed);
        while (!over) {
            int kind = chance.nextInt(100);
            int which = chance.nextInt(cars.size());
            if (kind < 20) {
                ask("GET", "/api/cars", null, "list cars");
            } else if (kind < 50) {
                ask("GET", "/api/cars/" + cars.get(which).get("id").asString(), null, "read a car");
            } else if (kind < 60) {
                ask("GET", build, null, "read a sheet");
            } else if (kind < 62) {
                ask("GET", "/api/state", null, "state");
            } else if (kind < 75) {
                for (int i = 0; i < 8 && !over; i++) {
                    ask(
                            "POST",
                            "/api/quick",
                            someCase(which, chance),
                            "drag",
                            "Isotherm-Asker",
                            "page" + seed + " drag");
                    rest(chance, 120);
                }
            } else if (kind < 85) {
                ask(
                        "POST",
                        "/api/outcome",
                        someCase(which, chance),
                        "outcome",
                        "Isotherm-Asker",
                        "page" + seed + " outcome");
            } else {
                tick(seed);
            }
            rest(chance, THINKS_MS);
        }
    }

    /** In air that hardly anybody had before, so that the answer has to be computed. */
    private String someCase(int which, Random chance) {
        ObjectNode asked = (ObjectNode) JSON.readTree(cases.get(which));
        ((ObjectNode) asked.get("duty")).put("ambientC", chance.nextInt(4000) / 100.0);
        return asked.toString();
    }

    private void tick(int seed) {
        ObjectNode entry = JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("at", Instant.now().toString())
                .put("who", "person " + seed)
                .put("kind", "NOTE")
                .put(
                        "on",
                        JSON.readTree(ask("GET", build, null, "read a sheet"))
                                .at("/build/steps/0/id")
                                .asString())
                .put("text", "load");
        ask("POST", build + "/entries", entry.toString(), "tick");
    }

    private static void rest(Random chance, int ms) {
        try {
            Thread.sleep(ms / 2 + chance.nextInt(ms));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void imports() {
        byte[] bytes = SampleLog.of(ROWS);
        String car = "/api/cars/" + cars.get(0).get("id").asString();
        while (!over) {
            long begun = System.nanoTime();
            JsonNode upload =
                    JSON.readTree(answer(HttpRequest.newBuilder(server.resolve(car + "/uploads?name=load.csv"))
                            .header("Content-Type", "application/octet-stream")
                            .POST(HttpRequest.BodyPublishers.ofByteArray(bytes))
                            .build()));
            watch(ask("POST", SampleLog.keepPath(upload), SampleLog.keep(upload), "heavy"));
            System.out.printf(Locale.ROOT, "A million rows in after %.1f s%n", (System.nanoTime() - begun) / MS / 1000);
        }
    }

    private void searches() {
        String car = cases.get(0);
        ObjectNode question = JSON.createObjectNode();
        JsonNode asked = JSON.readTree(car);
        question.set("car", asked.get("car"));
        question.set("duty", asked.get("duty"));
        question.putArray("places").add("GRILLE_AHEAD").add("LOWER_GRILLE_AHEAD");
        question.putArray("sealingPercents").add(50).add(70).add(90);
        question.putArray("thermostatsC").add(80).add(90);
        question.putArray("boresMm").add(12).add(16);
        question.put("withoutThermostat", true)
                .put("largestWidthMm", 400)
                .put("largestHeightMm", 300)
                .put("shadedPercent", 10)
                .put("openingCm2", 400)
                .put("hoseM", 1.2);
        while (!over) {
            long begun = System.nanoTime();
            watch(ask("POST", "/api/jobs/search", question.toString(), "heavy"));
            System.out.printf(Locale.ROOT, "A search ended after %.1f s%n", (System.nanoTime() - begun) / MS / 1000);
        }
    }

    private void watch(String started) {
        JsonNode job = JSON.readTree(started);
        String path = "/api/jobs/" + job.path("id").asString();
        while (job.path("state").asString("").matches("WAITING|RUNNING")) {
            try {
                Thread.sleep(300);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
            job = JSON.readTree(ask("GET", path, null, "heavy"));
            if (over) {
                ask("DELETE", path, null, "heavy");
                return;
            }
        }
        if (!job.path("state").asString("").equals("DONE")) {
            System.out.println("Not done: "
                    + job.toString().substring(0, Math.min(300, job.toString().length())));
        }
    }

    private String ask(String method, String path, String body, String kind, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(server.resolve(path))
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        long begun = System.nanoTime();
        String answer = answer(request.build());
        if (took.containsKey(kind)) {
            took.get(kind).add(System.nanoTime() - begun);
        }
        return answer;
    }

    private String answer(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= WRONG) {
                wrong.incrementAndGet();
                System.out.println(request.method() + " " + request.uri().getPath() + ": " + answer.statusCode());
            }
            return answer.body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void print(String how, int seconds) {
        System.out.printf("%n%d people %s, %d s, %d refused or wrong%n%n", PEOPLE, how, seconds, wrong.get());
        System.out.println("| request | how many | p50, ms | p95, ms | p99, ms |");
        System.out.println("|---|---|---|---|---|");
        took.forEach((kind, all) -> {
            long[] sorted = all.stream().mapToLong(Long::longValue).sorted().toArray();
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %d | %.0f | %.0f | %.0f |%n",
                    kind,
                    sorted.length,
                    at(sorted, 0.50),
                    at(sorted, 0.95),
                    at(sorted, 0.99));
        });
        long all = took.values().stream().mapToLong(q -> q.size()).sum();
        System.out.printf(Locale.ROOT, "%n%.0f requests a second%n", (double) all / seconds);
    }

    private static double at(long[] sorted, double share) {
        return sorted.length == 0
                ? Double.NaN
                : Arrays.stream(sorted)
                                .skip((long) (share * (sorted.length - 1)))
                                .findFirst()
                                .orElse(0)
                        / MS;
    }
}
