package isotherm.bench;

import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A log at 10 Hz, of any length, and what is said of it when it is kept. */
final class SampleLog {
    private static final JsonMapper JSON = new JsonMapper();

    private SampleLog() {}

    /**
     * @param rows how many
     * @return its file
     */
    static byte[] of(int rows) {
        StringBuilder log = new StringBuilder("Time [s],Speed [km/h],RPM,Oil temp [C]\n");
        for (int i = 0; i < rows; i++) {
            log.append(i / 10)
                    .append('.')
                    .append(i % 10)
                    .append(",120,5200,")
                    .append(95 + i % 30)
                    .append('\n');
        }
        return log.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Where an upload is kept. */
    static String keepPath(JsonNode upload) {
        return "/api/uploads/" + upload.get("id").asString() + "/keep";
    }

    /** What is said of it, as JSON. */
    static String keep(JsonNode upload) {
        ObjectNode keep = JSON.createObjectNode()
                .put("name", "Sample")
                .put("sensor", "SUMP")
                .put("ambientC", 20)
                .put("altitudeM", 100);
        keep.set("format", upload.at("/preview/format"));
        return keep.toString();
    }
}
