package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RawHttp;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every answer of the API, asked for by everybody, from its own pages and from a foreign one. What is asked is taken from the
 * description of the API: an answer that says nobody's role fails here.
 */
class EveryEndpointTest {
    private static final SharedGarage GARAGE = new SharedGarage();
    private static final List<Matrix.Operation> OPERATIONS = Matrix.operations(new JsonMapper()
            .readTree(GARAGE.owner.ask("GET", "/api/openapi", null).body()));

    @AfterAll
    static void close() {
        GARAGE.close();
    }

    @Test
    void everyAnswerSaysWhoMayHaveIt() {
        assertThat(OPERATIONS).hasSizeGreaterThan(110).allSatisfy(o -> assertThat(o.role())
                .as(o + " needs @Least or @Open")
                .isIn(Matrix.ROLES));
        assertThat(OPERATIONS.stream()
                        .filter(o -> o.role().equals(Matrix.ANYBODY))
                        .map(Matrix.Operation::path))
                .as("what is open to everybody; a new one is put here knowingly")
                .containsExactlyInAnyOrder(
                        "/api/me",
                        "/api/sign-in",
                        "/api/sign-out",
                        "/api/join",
                        "/api/authority.crt",
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
                .allSatisfy(o -> assertThat(o.role()).as(o.toString()).isIn("BUILDER", "OWNER"));
    }

    @Test
    void everybodyGetsWhatIsTheirsAndAForeignPageNothing() {
        Map<String, String> cookies = Map.of(
                Matrix.ANYBODY,
                "",
                "VIEWER",
                GARAGE.joined("VIEWER", "Vi").cookie(),
                "BUILDER",
                GARAGE.joined("BUILDER", "Bu").cookie(),
                "OWNER",
                GARAGE.owner.cookie());
        assertThat(Matrix.wrong(OPERATIONS, cookies, (o, headers) -> {
                    List<String> all = new ArrayList<>(headers);
                    if (o.type() != null) {
                        all.addAll(List.of("Content-Type", o.type()));
                    }
                    return RawHttp.send(
                                    GARAGE.server.address(),
                                    o.method(),
                                    o.address(),
                                    o.type() == null ? null : "{}",
                                    all.toArray(String[]::new))
                            .status();
                }))
                .isEmpty();
    }
}
