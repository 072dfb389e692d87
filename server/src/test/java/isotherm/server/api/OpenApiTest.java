package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.files.JsonSchemas;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The committed descriptions are those of the code; {@code ISOTHERM_UPDATE=1 ./isotherm test} writes them anew. */
class OpenApiTest {
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private static final boolean UPDATE = System.getenv("ISOTHERM_UPDATE") != null;

    private final JsonNode described =
            JSON.readTree(RunningServer.get().send("GET", "/api/openapi", null).body());

    @Test
    void theCommittedOpenApiDocumentIsUpToDate() throws IOException {
        compare(Path.of("..", "web", "openapi.json"), described);
    }

    @Test
    void theCommittedJsonSchemasAreUpToDate() throws IOException {
        for (Map.Entry<String, JsonNode> schema : JsonSchemas.of(described).entrySet()) {
            compare(Examples.formats().resolve(schema.getKey() + ".schema.json"), schema.getValue());
        }
    }

    private static void compare(Path file, JsonNode wanted) throws IOException {
        if (UPDATE) {
            Files.writeString(file, JSON.writeValueAsString(wanted) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(file)))
                .as(file + " (ISOTHERM_UPDATE=1 ./isotherm test writes it anew)")
                .isEqualTo(wanted);
    }
}
