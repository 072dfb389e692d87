package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import isotherm.server.testing.RawHttp;
import isotherm.server.testing.RunningServer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What a page from elsewhere, or a name that was pointed at this machine, may do here: nothing. Alone: who stalls takes room from
 * others.
 */
@Isolated
class StrangersTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final String LIST =
            "maker,number,price,construction,rows,width_mm,depth_mm\nEvil,E-1,1,STACKED_PLATE,19,280,50\n";

    private static RawHttp.Answer ask(String method, String path, String body, String... headers) {
        return RawHttp.send(SERVER.address(), method, path, body, headers);
    }

    private static String own() {
        return "http://127.0.0.1:" + SERVER.address().getPort();
    }

    @ParameterizedTest
    @ValueSource(strings = {"evil.example", "evil.example:8321", "127.0.0.1.evil.example", "10.0.0.7", "0.0.0.0"})
    void aForeignNameIsNotServed(String host) {
        for (String path : List.of("/", "/api/cars", "/api/garage.zip", "/actuator/health")) {
            assertThat(ask("GET", path, null, "Host", host).status()).as(path).isEqualTo(421);
        }
        assertThat(ask("DELETE", "/api/cars/" + java.util.UUID.randomUUID(), null, "Host", host, "If-Match", "\"0\"")
                        .status())
                .isEqualTo(421);
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "LOCALHOST", "127.0.0.1", "[::1]"})
    void thisMachinesOwnNamesAre(String name) {
        assertThat(ask(
                                "GET",
                                "/api/cars",
                                null,
                                "Host",
                                name + ":" + SERVER.address().getPort())
                        .status())
                .isEqualTo(200);
    }

    /** What Chromium sends from a foreign page without asking first: plain text, no media type, no body at all. */
    @ParameterizedTest
    @CsvSource({
        "/api/catalogue/cores/import?keep=true,text/plain",
        "/api/catalogue/plumbing/HOSE/import?keep=true,text/plain",
        "/api/garage,",
        "/api/cars,",
        "/api/logs/00000000-0000-0000-0000-000000000000/duty,NOBODY",
    })
    void aForeignPageWritesNothing(String path, String type) {
        String body = "NOBODY".equals(type) ? null : LIST;
        for (String[] from : new String[][] {
            {"Origin", "http://evil.example"},
            {"Origin", "null"},
            {"Origin", "http://127.0.0.1:1"},
            {"Origin", own().replace("http", "https")},
            {"Sec-Fetch-Site", "cross-site"},
            {"Sec-Fetch-Site", "same-site", "Origin", "http://localhost:3000"}
        }) {
            String[] headers = type == null || body == null
                    ? from
                    : List.of(List.of("Content-Type", type), List.of(from)).stream()
                            .flatMap(List::stream)
                            .toArray(String[]::new);
            assertThat(ask("POST", path, body, headers).status())
                    .as(String.join(" ", from))
                    .isEqualTo(403);
        }
        assertThat(SERVER.send("GET", "/api/catalogue/cores", null).body()).doesNotContain("Evil");
    }

    @Test
    void aForeignPageReadsNothingAndFramesNothing() {
        assertThat(ask("GET", "/api/cars", null, "Sec-Fetch-Site", "cross-site").status())
                .isEqualTo(403);
        assertThat(ask("GET", "/api/garage.zip", null, "Sec-Fetch-Site", "same-site", "Sec-Fetch-Mode", "navigate")
                        .status())
                .isEqualTo(403);
        RawHttp.Answer link = ask("GET", "/", null, "Sec-Fetch-Site", "cross-site", "Sec-Fetch-Mode", "navigate");
        assertThat(link.status()).as("a link from elsewhere opens the page").isEqualTo(200);
        assertThat(link.headers())
                .containsEntry("x-frame-options", "DENY")
                .containsEntry("x-content-type-options", "nosniff")
                .containsEntry("referrer-policy", "no-referrer")
                .containsEntry("cross-origin-resource-policy", "same-origin")
                .doesNotContainKey("access-control-allow-origin");
        assertThat(link.headers().get("content-security-policy"))
                .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'");
        assertThat(ask(
                                "OPTIONS",
                                "/api/cars",
                                null,
                                "Origin",
                                "http://evil.example",
                                "Access-Control-Request-Method",
                                "PUT")
                        .headers())
                .doesNotContainKey("access-control-allow-origin");
    }

    @Test
    void aPageOfOurOwnAndAProgramOnThisMachineMayWrite() {
        String type = "text/plain;charset=utf-8";
        assertThat(ask(
                                "POST",
                                "/api/catalogue/cores/import",
                                LIST,
                                "Content-Type",
                                type,
                                "Origin",
                                own(),
                                "Sec-Fetch-Site",
                                "same-origin")
                        .status())
                .isEqualTo(200);
        assertThat(ask("POST", "/api/catalogue/cores/import", LIST, "Content-Type", type)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aBodySaysWhatItIs() {
        assertThat(ask("POST", "/api/catalogue/cores/import", LIST).status()).isEqualTo(415);
        assertThat(ask("POST", "/api/garage", "PK").status()).isEqualTo(415);
    }

    /** The one way in: everything that becomes a document goes through the document reader. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "application/yaml",
                "application/x+json",
                "application/vnd.api+json",
                "application/*",
                "text/yaml",
                "application/xml",
                "application/cbor",
                "text/plain"
            })
    void documentsAreTakenAsJsonAlone(String type) {
        String car = SERVER.send("GET", "/api/cars", null).body();
        String document = type.contains("yaml") ? "name: x\noilVolumeL: 0\n" : "{\"name\":\"x\",\"oilVolumeL\":0}";
        assertThat(ask("POST", "/api/cars", document, "Content-Type", type).status())
                .isIn(400, 415);
        assertThat(SERVER.send("GET", "/api/cars", null).body()).isEqualTo(car);
    }

    @Test
    void thePageOfErrorsIsNoPage() {
        assertThat(ask("GET", "/error", null).status()).isEqualTo(404);
    }

    @Test
    void onlyLoopbackIsListenedOnWhileNobodySignsIn() {
        LoopbackOnly.check("server.address", "127.0.0.1", false);
        LoopbackOnly.check("server.address", "::1", false);
        LoopbackOnly.check("server.address", "localhost", false);
        for (String open : List.of("0.0.0.0", "::", "192.168.1.4", "no such name.")) {
            LoopbackOnly.check("server.address", open, true);
            assertThatExceptionOfType(IllegalStateException.class)
                    .as(open)
                    .isThrownBy(() -> LoopbackOnly.check("server.address", open, false))
                    .withMessageContaining("server.address=" + open)
                    .withMessageContaining("./isotherm run --lan");
        }
    }

    @Test
    void bodiesThatStallKeepNobodyWaiting() {
        try (RawHttp.Stalled stalled = RawHttp.stall(SERVER.address(), 210, "/api/outcome")) {
            assertThat(stalled.open()).isEqualTo(210);
            assertThat(SERVER.send("GET", "/api/cars", null).statusCode()).isEqualTo(200);
            assertThat(SERVER.send("POST", "/api/cars", "{}").statusCode()).isEqualTo(422);
            assertThat(stalled.waiting()).as("who stalls still").isPositive();
        }
    }

    @Test
    void uploadsThatStallHoldNoConnectionOfTheDatabase() {
        String car = SERVER.send("GET", "/api/cars", null).body().replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        try (RawHttp.Stalled stalled =
                RawHttp.stall(SERVER.address(), 30, "/api/cars/" + car + "/uploads?name=slow.csv")) {
            assertThat(stalled.open()).isEqualTo(30);
            assertThat(SERVER.send("GET", "/api/cars/" + car, null).statusCode())
                    .isEqualTo(200);
        }
    }
}
