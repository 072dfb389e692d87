package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** People come, are known, write under their names, and go. */
class PeopleTest {
    private static final SharedGarage GARAGE = new SharedGarage();
    private static final String CLASS_CAR =
            "{\"name\":\"Shared %s\",\"classId\":\"%s\",\"use\":\"TRACK\",\"powerKw\":180,\"ambientC\":28}";

    @AfterAll
    static void close() {
        GARAGE.close();
    }

    private static String car(Visitor builder, String name) {
        String kind = builder.json("GET", "/api/classes", null).get(0).get("id").asString();
        HttpResponse<String> answer = builder.ask("POST", "/api/cars/from-class", CLASS_CAR.formatted(name, kind));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return answer.body().replaceAll("(?s)^\\{\"id\":\"([^\"]+)\".*", "$1");
    }

    @Test
    void theCodeOfTheTerminalMakesAnOwnerOnceAndForAnHour() throws IOException {
        assertThat(GARAGE.owner.json("GET", "/api/me", null).at("/person/role").asString())
                .isEqualTo("OWNER");
        assertThat(GARAGE.code).as("used up").doesNotExist();
        assertThat(GARAGE.stranger().join(SharedGarage.CODE, "Late").statusCode())
                .isEqualTo(401);
        Files.writeString(GARAGE.code, "0000-1111");
        Files.setLastModifiedTime(GARAGE.code, FileTime.from(Instant.now().minus(Duration.ofMinutes(61))));
        assertThat(GARAGE.stranger().join("00001111", "Later").statusCode()).isEqualTo(401);
        assertThat(GARAGE.code).as("an old one is taken away").doesNotExist();
    }

    @Test
    void anInvitationLetsOneIn() {
        String word = GARAGE.owner.invites("BUILDER");
        Visitor first = GARAGE.stranger();
        assertThat(first.join(word, "Ines").statusCode()).isEqualTo(200);
        assertThat(first.json("GET", "/api/me", null).at("/person/role").asString())
                .isEqualTo("BUILDER");
        assertThat(GARAGE.stranger().join(word, "Second").statusCode()).isEqualTo(401);
        JsonNode taken = GARAGE.stranger()
                .json("POST", "/api/join", "{\"code\":\"x\",\"name\":\"INES\",\"password\":\"long enough it is\"}");
        assertThat(taken.at("/problems/0/message").asString()).contains("Somebody of this name is here");
    }

    @Test
    void anInvitationIsTakenBack() {
        JsonNode made = GARAGE.owner.json("POST", "/api/invitations", "{\"role\":\"VIEWER\"}");
        assertThat(GARAGE.owner.json("GET", "/api/invitations", null).toString())
                .contains(made.get("id").asString())
                .doesNotContain(made.get("word").asString());
        assertThat(GARAGE.owner.status(
                        "DELETE", "/api/invitations/" + made.get("id").asString(), null))
                .isEqualTo(204);
        assertThat(GARAGE.stranger().join(made.get("word").asString(), "Nobody").statusCode())
                .isEqualTo(401);
    }

    @Test
    void anInvitationThatIsAskedForAgainIsMadeOnce() {
        String key = UUID.randomUUID().toString();
        for (int i = 0; i < 2; i++) {
            assertThat(GARAGE.owner
                            .ask("POST", "/api/invitations", "{\"role\":\"VIEWER\"}", "Idempotency-Key", key)
                            .statusCode())
                    .isEqualTo(201);
        }
        assertThat(GARAGE.owner.json("GET", "/api/invitations", null))
                .filteredOn(i -> i.get("id").asString().equals(key))
                .hasSize(1);
    }

    @Test
    void aShortPasswordIsRefusedWithItsRange() {
        JsonNode answer =
                GARAGE.stranger().json("POST", "/api/join", "{\"code\":\"x\",\"name\":\"Kit\",\"password\":\"short\"}");
        assertThat(answer.at("/problems/0/path").asString()).isEqualTo("/password");
        assertThat(answer.at("/problems/0/message").asString()).contains("10", "72");
        assertThat(answer.toString()).doesNotContain("short\"");
    }

    @Test
    void aSessionIsACookieThatNoScriptReadsAndNoOtherSiteSends() {
        HttpResponse<String> answer = new Visitor(GARAGE.server).signIn("olive", Visitor.password("Olive"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("set-cookie").orElseThrow())
                .contains("HttpOnly", "SameSite=Strict", "Path=/");
    }

    @Test
    void sessionsAreListedAndEnded() {
        Visitor phone = GARAGE.joined("BUILDER", "Paula");
        Visitor bench = GARAGE.stranger();
        bench.ask(
                "POST",
                "/api/sign-in",
                "{\"name\":\"Paula\",\"password\":\"%s\"}".formatted(Visitor.password("Paula")));
        JsonNode sessions = bench.json("GET", "/api/me/sessions", null);
        assertThat(sessions)
                .hasSize(2)
                .filteredOn(s -> s.get("here").asBoolean())
                .hasSize(1);
        String other = sessions.get(0).get("here").asBoolean()
                ? sessions.get(1).get("id").asString()
                : sessions.get(0).get("id").asString();
        assertThat(phone.cookie()).doesNotContain(other);
        assertThat(bench.status("DELETE", "/api/me/sessions/" + other, null)).isEqualTo(204);
        assertThat(phone.status("GET", "/api/cars", null)).isEqualTo(401);
        assertThat(bench.status("GET", "/api/cars", null)).isEqualTo(200);
        bench.ask("POST", "/api/sign-out", null);
        assertThat(bench.status("GET", "/api/cars", null)).isEqualTo(401);
    }

    @Test
    void aNewPasswordEndsTheOtherSessions() {
        Visitor phone = GARAGE.joined("VIEWER", "Vera");
        Visitor bench = GARAGE.stranger();
        bench.signIn("Vera", Visitor.password("Vera"));
        assertThat(bench.status("POST", "/api/me/password", "{\"current\":\"wrong one\",\"fresh\":\"a longer one 2\"}"))
                .isEqualTo(422);
        assertThat(bench.status(
                        "POST",
                        "/api/me/password",
                        "{\"current\":\"%s\",\"fresh\":\"a longer one 2\"}".formatted(Visitor.password("Vera"))))
                .isEqualTo(204);
        assertThat(phone.status("GET", "/api/cars", null)).isEqualTo(401);
        assertThat(bench.status("GET", "/api/cars", null)).isEqualTo(200);
        assertThat(GARAGE.stranger().signIn("Vera", "a longer one 2").statusCode())
                .isEqualTo(200);
    }

    @Test
    void wrongPasswordsHaveToWaitAndNamesAreNotTold() {
        GARAGE.joined("VIEWER", "Wim");
        Visitor stranger = GARAGE.stranger();
        String known = stranger.signIn("Wim", "not this one").body();
        assertThat(stranger.signIn("Nobody at all", "not this one").body())
                .as("whether there is such a name is not told")
                .isEqualTo(known);
        int status = 401;
        for (int i = 0; i < 10 && status == 401; i++) {
            status = stranger.signIn("Wim", "wrong " + i).statusCode();
        }
        assertThat(status).isEqualTo(429);
        HttpResponse<String> right = stranger.signIn("Wim", Visitor.password("Wim"));
        assertThat(right.statusCode()).as("not even the right one").isEqualTo(429);
        assertThat(right.headers().firstValueAsLong("retry-after").orElseThrow())
                .isBetween(1L, 900L);
    }

    @Test
    void aRoleHoldsFromTheNextRequestOn() {
        Visitor rosa = GARAGE.joined("VIEWER", "Rosa");
        String id = rosa.json("GET", "/api/me", null).at("/person/id").asString();
        assertThat(rosa.status("DELETE", "/api/cars/" + UUID.randomUUID(), null))
                .isEqualTo(403);
        GARAGE.owner.ask("PUT", "/api/people/" + id + "/role", "{\"role\":\"BUILDER\"}");
        assertThat(rosa.status("DELETE", "/api/cars/" + UUID.randomUUID(), null))
                .isEqualTo(428);
    }

    @Test
    void whoeverLeavesIsOutAtOnceAndWhatTheyWroteStays() {
        Visitor lena = GARAGE.joined("BUILDER", "Lena");
        String car = car(lena, "of Lena");
        String entry =
                "{\"id\":\"%s\",\"at\":\"2026-05-01T09:00:00Z\",\"who\":\"Somebody else\",\"kind\":\"DRIVEN\",\"odometerKm\":91000,\"text\":\"Oil dark\"}"
                        .formatted(UUID.randomUUID());
        HttpResponse<String> written = lena.ask("POST", "/api/cars/" + car + "/care/entries", entry);
        assertThat(written.statusCode()).as(written.body()).isEqualTo(201);
        String id = lena.json("GET", "/api/me", null).at("/person/id").asString();
        assertThat(GARAGE.owner.status("DELETE", "/api/people/" + id, null)).isEqualTo(204);
        assertThat(lena.status("GET", "/api/cars", null)).isEqualTo(401);
        assertThat(GARAGE.stranger().signIn("Lena", Visitor.password("Lena")).statusCode())
                .isEqualTo(401);
        assertThat(GARAGE.owner.ask("GET", "/api/cars/" + car + "/care", null).body())
                .as("under the name of the account, whatever was said")
                .contains("Oil dark", "\"who\":\"Lena\"")
                .doesNotContain("Somebody else");
        assertThat(GARAGE.owner.json("GET", "/api/people", null))
                .filteredOn(p -> p.get("name").asString().equals("Lena"))
                .allSatisfy(p -> assertThat(p.has("left")).isTrue());
    }

    @Test
    void everyChangeIsSomebodysAndHasItsTime() {
        Visitor ada = GARAGE.joined("BUILDER", "Ada");
        Visitor ben = GARAGE.joined("BUILDER", "Ben");
        String car = car(ada, "of two");
        JsonNode design = ada.json("GET", "/api/cars/" + car, null).at("/designs/0");
        HttpResponse<String> changed = ben.ask(
                "PUT",
                "/api/designs/" + design.get("id").asString(),
                design.get("design").toString().replaceFirst("\"name\":\"[^\"]*\"", "\"name\":\"Ben's own\""),
                "If-Match",
                "\"0\"");
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(200);
        JsonNode changes = ada.json("GET", "/api/cars/" + car + "/changes", null);
        assertThat(changes.get(0).get("kind").asString()).isEqualTo("DESIGN");
        assertThat(changes.get(0).get("name").asString()).isEqualTo("Ben's own");
        assertThat(changes.get(0).get("by").asString()).isEqualTo("Ben");
        assertThat(Instant.parse(changes.get(0).get("at").asString()))
                .isBetween(Instant.now().minusSeconds(60), Instant.now().plusSeconds(1));
        assertThat(changes)
                .hasSize(3)
                .filteredOn(c -> c.get("by").asString().equals("Ada"))
                .hasSize(2);
    }

    @Test
    void somebodyHasToOwnTheGarage() {
        String id = GARAGE.owner.json("GET", "/api/me", null).at("/person/id").asString();
        assertThat(GARAGE.owner.status("DELETE", "/api/people/" + id, null)).isEqualTo(422);
        assertThat(GARAGE.owner.status("PUT", "/api/people/" + id + "/role", "{\"role\":\"VIEWER\"}"))
                .isEqualTo(422);
        assertThat(GARAGE.owner.json("GET", "/api/me", null).at("/person/role").asString())
                .isEqualTo("OWNER");
    }

    @Test
    void aLinkShowsOneCarUntilItIsTakenBack() {
        Visitor builder = GARAGE.joined("BUILDER", "Bo");
        String car = car(builder, "to show");
        JsonNode link = builder.json("POST", "/api/cars/" + car + "/links", "{\"days\":7}");
        String word = link.get("word").asString();
        Visitor guest = GARAGE.stranger();
        assertThat(guest.json("GET", "/api/shared/" + word, null).get("name").asString())
                .isEqualTo("Shared to show");
        assertThat(guest.status("GET", "/api/shared/" + word + "/care.ics", null))
                .isEqualTo(200);
        assertThat(guest.status("GET", "/api/cars/" + car, null)).isEqualTo(401);
        assertThat(guest.status("GET", "/api/shared/" + "0".repeat(26), null)).isEqualTo(404);
        assertThat(builder.ask("GET", "/api/cars/" + car + "/links", null).body())
                .doesNotContain(word);
        builder.ask("DELETE", "/api/cars/" + car + "/links/" + link.get("id").asString(), null);
        assertThat(guest.status("GET", "/api/shared/" + word, null)).isEqualTo(404);
    }

    @Test
    void somebodyWhoHasNotSignedInSendsNothingLarge() {
        String body = "{\"name\":\"x\",\"password\":\"" + "y".repeat(5000) + "\"}";
        assertThat(GARAGE.stranger().status("POST", "/api/sign-in", body)).isEqualTo(413);
    }
}
