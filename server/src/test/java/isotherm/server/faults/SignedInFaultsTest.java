package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Where people sign in and the database or the server goes: who asks cannot be told, and is not told to be nobody. */
class SignedInFaultsTest {
    @Test
    void aSessionOutlivesDatabaseAndServer() throws IOException {
        Path home = Path.of(System.getenv("ISOTHERM_TEST_HOME")).resolve("signed-in-" + UUID.randomUUID());
        Files.createDirectories(home);
        Files.writeString(home.resolve("owner.code"), "AAAA");
        try (OwnServer server =
                new OwnServer(home.resolve("postgres"), 512, "--isotherm.together=true", "--isotherm.home=" + home)) {
            Visitor olive = new Visitor(server);
            assertThat(olive.join("AAAA", "Olive").statusCode()).isEqualTo(200);
            server.stopDatabase();
            HttpResponse<String> away = olive.ask("GET", "/api/cars", null);
            assertThat(away.statusCode()).as("patience, not a refusal").isEqualTo(503);
            assertThat(away.body()).contains("The database does not answer in time");
            assertThat(away.headers().firstValue("retry-after")).isPresent();
            server.startDatabase();
            OwnServer.until(() -> olive.status("GET", "/api/cars", null) == 200);
            server.kill();
            server.start();
            assertThat(olive.status("GET", "/api/cars", null)).isEqualTo(200);
            assertThat(new Visitor(server).status("GET", "/api/cars", null)).isEqualTo(401);
        }
    }
}
