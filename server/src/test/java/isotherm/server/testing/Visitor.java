package isotherm.server.testing;

import java.net.http.HttpResponse;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody with a browser of their own at a server that people sign in at. */
public final class Visitor {
    private static final JsonMapper JSON = new JsonMapper();

    private final ApiClient server;
    private String cookie = "";

    /** @param server where they are */
    public Visitor(ApiClient server) {
        this.server = server;
    }

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text, or null for none
     * @param headers names and values in turn
     * @return the answer
     */
    public HttpResponse<String> ask(String method, String path, String body, String... headers) {
        HttpResponse<String> answer = server.send(
                method,
                path,
                body,
                Stream.concat(cookie.isEmpty() ? Stream.empty() : Stream.of("Cookie", cookie), Stream.of(headers))
                        .toArray(String[]::new));
        answer.headers()
                .firstValue("set-cookie")
                .ifPresent(set -> cookie = set.contains("Max-Age=0") ? "" : set.replaceAll(";.*", ""));
        return answer;
    }

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text, or null for none
     * @return the answer's status
     */
    public int status(String method, String path, String body) {
        return ask(method, path, body).statusCode();
    }

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text, or null for none
     * @return the answer, as JSON
     */
    public JsonNode json(String method, String path, String body) {
        return JSON.readTree(ask(method, path, body).body());
    }

    /** @return what their browser sends along to be known; empty while nobody knows them */
    public String cookie() {
        return cookie;
    }

    /**
     * @param code word of an invitation, or the code of the terminal
     * @param name name of the new account; its password is made of it
     * @return the answer
     */
    public HttpResponse<String> join(String code, String name) {
        return ask(
                "POST",
                "/api/join",
                JSON.writeValueAsString(JSON.createObjectNode()
                        .put("code", code)
                        .put("name", name)
                        .put("password", password(name))));
    }

    /**
     * @param name name of an account
     * @param password its password
     * @return the answer
     */
    public HttpResponse<String> signIn(String name, String password) {
        return ask(
                "POST",
                "/api/sign-in",
                JSON.writeValueAsString(
                        JSON.createObjectNode().put("name", name).put("password", password)));
    }

    /**
     * @param name name of an account that joined here
     * @return its password
     */
    public static String password(String name) {
        return "the password of " + name;
    }

    /**
     * @param role what whoever comes may do
     * @return the word of a new invitation by this owner
     */
    public String invites(String role) {
        return json("POST", "/api/invitations", "{\"role\":\"" + role + "\"}")
                .get("word")
                .asString();
    }
}
