package isotherm.server.access;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** A request that goes no further, told as a problem detail (RFC 9457). */
final class Refusal {
    private static final JsonMapper JSON = new JsonMapper();

    private Refusal() {}

    /**
     * @param response receives it
     * @param status why
     * @param words the same for a person
     * @throws IOException when nobody takes it
     */
    static void write(HttpServletResponse response, HttpStatus status, String words) throws IOException {
        Map<String, Object> detail = new LinkedHashMap<>();
        detail.put("title", status.getReasonPhrase());
        detail.put("status", status.value());
        detail.put("detail", words);
        response.setStatus(status.value());
        response.setHeader(HttpHeaders.CONTENT_TYPE, MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        // What was not read of the request is not waited for.
        response.setHeader(HttpHeaders.CONNECTION, "close");
        response.getOutputStream().write(JSON.writeValueAsString(detail).getBytes(StandardCharsets.UTF_8));
    }
}
