package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RawHttp;
import isotherm.server.testing.Visitor;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every answer of the API, asked for by everybody, from its own pages and from a foreign one. What is asked is taken from the
 * description of the API: an answer that says nobody's role fails here.
 */
class EveryEndpointTest {
    private static final SharedGarage GARAGE = new SharedGarage();
    private static final String ANYBODY = "ANYBODY";
    private static final List<String> ROLES = List.of(ANYBODY, "VIEWER", "BUILDER", "OWNER");
    private static final List<String> FILES =
            List.of("/api/garage", "/api/cars/{carId}/uploads", "/api/cars/{carId}/designs/file");
    private static final List<Operation> OPERATIONS = new ArrayList<>();
    private static Map<String, Visitor> people;

    private record Operation(String method, String path, String role, String type) {
        String address() {
            return path.replaceAll("\\{(word|name|what|family)}", "0")
                    .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
        }
    }

    @BeforeAll
    static void read() {
        people = Map.of(
                ANYBODY,
                GARAGE.stranger(),
                "VIEWER",
                GARAGE.joined("VIEWER", "Vi"),
                "BUILDER",
                GARAGE.joined("BUILDER", "Bu"),
                "OWNER",
                GARAGE.owner);
        JsonNode described = new JsonMapper()
                .readTree(GARAGE.owner.ask("GET", "/api/openapi", null).body());
        described.get("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(operation -> {
                    OPERATIONS.add(new Operation(
                            operation.getKey().toUpperCase(java.util.Locale.ROOT),
                            path.getKey(),
                            operation.getValue().path("x-role").asString(""),
                            type(path.getKey(), operation.getValue())));
                }));
    }

    /** What it takes; files are not in the description, since they are read as they come. */
    private static String type(String path, JsonNode operation) {
        boolean changes = !operation.at("/requestBody").isMissingNode();
        JsonNode types = operation.at("/requestBody/content");
        if (changes) {
            return types.propertyNames().iterator().next();
        }
        return path.contains("/pictures/") ? "image/png" : FILES.contains(path) ? "application/octet-stream" : null;
    }

    @AfterAll
    static void close() {
        GARAGE.close();
    }

    private static int status(Operation o, Visitor visitor, String... from) {
        List<String> headers = new ArrayList<>(List.of(from));
        if (!visitor.cookie().isEmpty()) {
            headers.addAll(List.of("Cookie", visitor.cookie()));
        }
        String body = o.type() == null ? null : "{}";
        if (body != null) {
            headers.addAll(List.of(
                    "Content-Type",
                    o.type().replace("*/*", "application/octet-stream").replace("image/*", "image/png")));
        }
        return RawHttp.send(GARAGE.server.address(), o.method(), o.address(), body, headers.toArray(String[]::new))
                .status();
    }

    @Test
    void everyAnswerSaysWhoMayHaveIt() {
        assertThat(OPERATIONS).hasSizeGreaterThan(110).allSatisfy(o -> assertThat(o.role())
                .as(o.method() + " " + o.path() + " needs @Least or @Open")
                .isIn(ROLES));
        assertThat(OPERATIONS.stream().filter(o -> o.role().equals(ANYBODY)).map(Operation::path))
                .as("what is open to everybody; a new one is put here knowingly")
                .containsExactlyInAnyOrder(
                        "/api/me",
                        "/api/sign-in",
                        "/api/sign-out",
                        "/api/join",
                        "/api/shared/{word}",
                        "/api/shared/{word}/care.ics",
                        "/api/shared/{word}/builds/{id}/hand-over.pdf",
                        "/api/shared/{word}/builds/{id}/hand-over.zip");
    }

    @Test
    void whatIsKeptIsChangedByBuildersAndOwnersAlone() {
        assertThat(OPERATIONS)
                .filteredOn(o -> List.of("PUT", "DELETE").contains(o.method()))
                .filteredOn(o -> !o.path().startsWith("/api/me") && !o.path().equals("/api/jobs/{id}"))
                .allSatisfy(o ->
                        assertThat(o.role()).as(o.method() + " " + o.path()).isIn("BUILDER", "OWNER"));
    }

    @Test
    void everybodyGetsWhatIsTheirsAndNothingElse() {
        for (Operation o : OPERATIONS) {
            for (String role : ROLES) {
                // One's own session and its end are asked for elsewhere.
                if (o.path().equals("/api/sign-out") && !role.equals(ANYBODY)) {
                    continue;
                }
                int status = status(o, people.get(role));
                String what = role + ": " + o.method() + " " + o.path();
                if (ROLES.indexOf(role) >= ROLES.indexOf(o.role())) {
                    assertThat(status).as(what).isNotIn(403, 500);
                    if (!role.equals(ANYBODY)) {
                        assertThat(status).as(what).satisfies(s -> assertThat(s == 401 && !isDoor(o))
                                .isFalse());
                    }
                } else {
                    assertThat(status).as(what).isEqualTo(role.equals(ANYBODY) ? 401 : 403);
                }
            }
        }
    }

    /** A door that says to somebody inside, too, that a word is wrong. */
    private static boolean isDoor(Operation o) {
        return List.of("/api/sign-in", "/api/join").contains(o.path());
    }

    @Test
    void aForeignPageGetsNothingInAnybodysName() {
        for (Operation o : OPERATIONS) {
            for (String role : ROLES) {
                assertThat(status(
                                o, people.get(role), "Origin", "https://evil.example", "Sec-Fetch-Site", "cross-site"))
                        .as(role + ": " + o.method() + " " + o.path())
                        .isEqualTo(403);
            }
        }
    }
}
