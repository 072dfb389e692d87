package isotherm.server.access;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every answer of the API, asked for in everybody's name, from own pages and foreign ones. */
final class Matrix {
    /** Whoever has not signed in. */
    static final String ANYBODY = "ANYBODY";

    static final List<String> ROLES = List.of(ANYBODY, "VIEWER", "BUILDER", "OWNER");
    private static final List<String> FILES =
            List.of("/api/garage", "/api/cars/{carId}/uploads", "/api/cars/{carId}/designs/file");
    /** Doors that say to somebody inside, too, that a word is wrong. */
    private static final List<String> DOORS = List.of("/api/sign-in", "/api/join");

    private static final List<String> FOREIGN =
            List.of("Origin", "https://evil.example", "Sec-Fetch-Site", "cross-site");

    private Matrix() {}

    /** An operation of the API; its role is empty when nobody has said who may. */
    record Operation(String method, String path, String role, String type) {
        String address() {
            return path.replaceAll("\\{(word|name|what|family)}", "0")
                    .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
        }

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    /** Sends a request; answers its status. */
    interface Asking {
        int status(Operation operation, List<String> headers);
    }

    /** @return all operations that a description of the API names */
    static List<Operation> operations(JsonNode described) {
        List<Operation> found = new ArrayList<>();
        described.get("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(operation -> found.add(new Operation(
                        operation.getKey().toUpperCase(Locale.ROOT),
                        path.getKey(),
                        operation.getValue().path("x-role").asString(""),
                        type(path.getKey(), operation.getValue())))));
        return found;
    }

    /** What it takes; files are not in the description, since they are read as they come. */
    private static String type(String path, JsonNode operation) {
        JsonNode types = operation.at("/requestBody/content");
        if (!types.isMissingNode()) {
            return types.propertyNames().iterator().next();
        }
        return path.contains("/pictures/") ? "image/png" : FILES.contains(path) ? "application/octet-stream" : null;
    }

    /**
     * @param operations what is asked for
     * @param cookies by which each role is known
     * @param asking sends it
     * @return what was answered otherwise than the rules say; nothing when all is well
     */
    static List<String> wrong(List<Operation> operations, Map<String, String> cookies, Asking asking) {
        List<String> wrong = new ArrayList<>();
        for (Operation o : operations) {
            for (String role : ROLES) {
                List<String> known = cookies.get(role).isEmpty() ? List.of() : List.of("Cookie", cookies.get(role));
                List<String> foreign = new ArrayList<>(known);
                foreign.addAll(FOREIGN);
                int status = asking.status(o, foreign);
                if (status != 403) {
                    wrong.add(role + " from a foreign page: " + o + " " + status);
                }
                // One's own session and its end are asked for elsewhere.
                if (!o.path().equals("/api/sign-out") || role.equals(ANYBODY)) {
                    status = asking.status(o, known);
                    if (!isRight(o, role, status)) {
                        wrong.add(role + ": " + o + " " + status);
                    }
                }
            }
        }
        return wrong;
    }

    private static boolean isRight(Operation o, String role, int status) {
        if (ROLES.indexOf(role) < ROLES.indexOf(o.role())) {
            return status == (role.equals(ANYBODY) ? 401 : 403);
        }
        return status != 403 && status < 500 && (status != 401 || DOORS.contains(o.path()));
    }

    /**
     * The same from another host, over TLS.
     *
     * @param args address of the server, the description of its API, its authority's certificate, and {@code ROLE=cookie} of each
     */
    public static void main(String[] args) throws IOException, GeneralSecurityException {
        List<Operation> operations =
                operations(new JsonMapper().readTree(Path.of(args[1]).toFile()));
        Map<String, String> cookies = new TreeMap<>(Map.of(ANYBODY, ""));
        for (String arg : List.of(args).subList(3, args.length)) {
            cookies.put(arg.substring(0, arg.indexOf('=')), arg.substring(arg.indexOf('=') + 1));
        }
        HttpClient client =
                HttpClient.newBuilder().sslContext(trusting(Path.of(args[2]))).build();
        List<String> wrong = wrong(operations, cookies, (o, headers) -> send(client, URI.create(args[0]), o, headers));
        wrong.forEach(System.out::println);
        System.out.println(operations.size() + " operations, " + wrong.size() + " wrong");
    }

    private static int send(HttpClient client, URI server, Operation o, List<String> headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(server.resolve(o.address()))
                .method(
                        o.method(),
                        o.type() == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString("{}"));
        if (o.type() != null) {
            request.header("Content-Type", o.type());
        }
        if (!headers.isEmpty()) {
            request.headers(headers.toArray(String[]::new));
        }
        try {
            return client.send(request.build(), HttpResponse.BodyHandlers.discarding())
                    .statusCode();
        } catch (IOException e) {
            return 0;
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @return a way to speak with whoever this authority vouches for, and with nobody else */
    static SSLContext trusting(Path authority) throws IOException, GeneralSecurityException {
        KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
        store.load(null, null);
        try (var in = Files.newInputStream(authority)) {
            store.setCertificateEntry(
                    "authority", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(store);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }
}
