package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SettingsApiTest {
    private static final JsonMapper JSON = new JsonMapper();

    private static JsonNode settings(RunningServer server) {
        return JSON.readTree(server.send("GET", "/api/settings", null).body());
    }

    private static int choose(RunningServer server, String currency, String... headers) {
        return server.send("PUT", "/api/settings", "{\"currency\":\"" + currency + "\"}", headers)
                .statusCode();
    }

    @Test
    void aCurrencyIsChosenAndEveryChangeSaysWhatItIsBasedOn() {
        try (RunningServer server = RunningServer.empty()) {
            assertThat(settings(server).has("version")).isFalse();
            assertThat(settings(server).at("/settings/currency").isMissingNode())
                    .isTrue();
            assertThat(choose(server, "EUR")).isEqualTo(200);
            assertThat(settings(server).at("/settings/currency").stringValue()).isEqualTo("EUR");
            assertThat(choose(server, "USD")).as("based on nothing").isEqualTo(412);
            String version = "\"" + settings(server).get("version").intValue() + "\"";
            assertThat(choose(server, "USD", "If-Match", version)).isEqualTo(200);
            assertThat(choose(server, "GBP", "If-Match", version))
                    .as("based on the old one")
                    .isEqualTo(412);
            assertThat(settings(server).at("/settings/currency").stringValue()).isEqualTo("USD");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"euro", "XX", "ZZZ", ""})
    void whatIsNoCurrencyIsRefusedWithItsField(String currency) {
        var answer = RunningServer.get().send("PUT", "/api/settings", "{\"currency\":\"" + currency + "\"}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(answer.body()).at("/problems/0/path").stringValue())
                .isEqualTo("/currency");
    }

    @Test
    void aBillCarriesItAndSoDoesTheGaragesFile() throws Exception {
        try (RunningServer server = RunningServer.empty();
                RunningServer other = RunningServer.empty()) {
            choose(server, "EUR");
            String csv = server.send("POST", "/api/plumb/bill.csv", Examples.read("plumb"))
                    .body();
            assertThat(csv.lines().skip(1)).allMatch(l -> l.contains(",EUR,"));
            byte[] file = server.bytes("GET", "/api/garage.zip", null);
            assertThat(other.upload("/api/garage", file).statusCode()).isEqualTo(200);
            assertThat(settings(other).at("/settings/currency").stringValue()).isEqualTo("EUR");
            String version = "\"" + settings(server).get("version").intValue() + "\"";
            assertThat(choose(server, "USD", "If-Match", version)).isEqualTo(200);
            assertThat(server.upload("/api/garage", file).statusCode()).isEqualTo(200);
            assertThat(settings(server).at("/settings/currency").stringValue())
                    .as("what was chosen here stays")
                    .isEqualTo("USD");
        }
    }
}
