package isotherm.server.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.Program;
import isotherm.server.testing.Visitor;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code ./isotherm run --lan} as another host sees it: a network namespace of the test's own, joined to this machine by a cable
 * that is not there.
 */
class LanTest {
    private static final Path TESTS = Path.of(System.getenv("ISOTHERM_TEST_HOME"));
    private static final String HERE = "10.213.77.1";
    private static final String THERE = "10.213.77.2";
    private static final String SPACE = "isotherm-" + ProcessHandle.current().pid();

    private final Path home = TESTS.resolve("lan-" + UUID.randomUUID());
    private Process launcher;
    private Path said;

    private static String run(List<String> command) throws Exception {
        Path out = Files.createTempFile("isotherm-lan", ".out");
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        assertThat(process.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS))
                .as(command.toString())
                .isTrue();
        String told = process.exitValue() + " " + Files.readString(out);
        Files.delete(out);
        return told;
    }

    private static String run(String command) throws Exception {
        return run(List.of("bash", "-c", command));
    }

    /** Runs something on the other host. */
    private static String there(String... command) throws Exception {
        List<String> all = new ArrayList<>(List.of("ip", "netns", "exec", SPACE));
        all.addAll(List.of(command));
        return run(all);
    }

    @AfterEach
    void end() throws Exception {
        if (launcher != null) {
            launcher.destroy();
            launcher.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS);
        }
        run("ip netns del " + SPACE + "; ip link del iso-here 2>/dev/null");
    }

    private void begin() throws Exception {
        assumeTrue(
                run("ip netns add " + SPACE + " && ip link add iso-here type veth peer name iso-there netns " + SPACE
                                + " && ip addr add " + HERE
                                + "/24 dev iso-here && ip link set iso-here up && ip netns exec "
                                + SPACE + " ip addr add " + THERE + "/24 dev iso-there && ip netns exec " + SPACE
                                + " ip link set iso-there up")
                        .startsWith("0 "),
                "only root makes network namespaces");
        said = Files.createTempFile("isotherm-lan", ".out");
        ProcessBuilder builder = new ProcessBuilder("bash", "../isotherm", "run", "--lan")
                .redirectErrorStream(true)
                .redirectOutput(said.toFile());
        builder.environment().keySet().removeIf(k -> k.startsWith("ISOTHERM_") || k.startsWith("SPRING_"));
        builder.environment().put("ISOTHERM_HOME", home.toString());
        builder.environment().put("ISOTHERM_APP", Program.folder().toString());
        // It lives for half a minute, in which compiling for speed takes longer than it saves.
        builder.environment().put("JDK_JAVA_OPTIONS", "-XX:TieredStopAtLevel=1");
        launcher = builder.start();
        OwnServer.until(() -> told().contains("enter this code:") || !launcher.isAlive());
        assertThat(told()).contains("enter this code:", "https://" + HERE + ":");
    }

    private String told() {
        try {
            return Files.readString(said);
        } catch (IOException e) {
            return "";
        }
    }

    private static String cookie(HttpClient client, URI server, String path, String body) throws Exception {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(server.resolve(path))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        String set = answer.headers().firstValue("set-cookie").orElseThrow();
        assertThat(set).as("over TLS alone").contains("Secure", "HttpOnly", "SameSite=Strict");
        return set.replaceAll(";.*", "");
    }

    private static String join(HttpClient client, URI server, String code, String name) throws Exception {
        return cookie(
                client,
                server,
                "/api/join",
                "{\"code\":\"%s\",\"name\":\"%s\",\"password\":\"%s\"}".formatted(code, name, Visitor.password(name)));
    }

    private static String invited(HttpClient client, URI server, String owner, String role) throws Exception {
        String made = client.send(
                        HttpRequest.newBuilder(server.resolve("/api/invitations"))
                                .header("Content-Type", "application/json")
                                .header("Cookie", owner)
                                .POST(HttpRequest.BodyPublishers.ofString("{\"role\":\"" + role + "\"}"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        return new JsonMapper().readTree(made).get("word").asString();
    }

    @Test
    void anotherHostIsLetInByAnAccountOverTlsAndByNothingElse() throws Exception {
        begin();
        Path authority = home.resolve("tls/authority.crt");
        URI server = URI.create(told().replaceAll("(?s).*(https://" + HERE + ":\\d+/).*", "$1"));
        HttpClient client =
                HttpClient.newBuilder().sslContext(Matrix.trusting(authority)).build();
        String owner = join(client, server, told().replaceAll("(?s).*enter this code:\\s+(\\S+).*", "$1"), "Olive");
        String builder = join(client, server, invited(client, server, owner, "BUILDER"), "Bu");
        String viewer = join(client, server, invited(client, server, owner, "VIEWER"), "Vi");

        String curl = "curl -s -o /dev/null -w %{http_code} --max-time 5 ";
        String trusting = curl + "--cacert " + authority + " ";
        assertThat(there("bash", "-c", trusting + server + "api/me")).isEqualTo("0 200");
        assertThat(there("bash", "-c", curl + server + "api/me"))
                .as("whoever does not know the authority trusts nobody")
                .isEqualTo("60 000");
        assertThat(there("bash", "-c", curl + server.toString().replace("https", "http") + "api/me"))
                .as("not without TLS")
                .isNotEqualTo("0 200");
        assertThat(there("bash", "-c", trusting + "-H 'Host: evil.example' " + server + "api/me"))
                .isEqualTo("0 421");
        assertThat(there("bash", "-c", trusting + server + "actuator/health"))
                .as("how it does is told to its own machine")
                .isEqualTo("0 404");
        String database =
                Files.readAllLines(home.resolve("postgres/postmaster.pid")).get(3);
        assertThat(there("bash", "-c", "exec 3<>/dev/tcp/" + HERE + "/" + database))
                .as("the database answers its own machine")
                .doesNotStartWith("0 ");

        assertThat(there(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        Program.classPath(),
                        Matrix.class.getName(),
                        server.toString(),
                        "../web/openapi.json",
                        authority.toString(),
                        "OWNER=" + owner,
                        "BUILDER=" + builder,
                        "VIEWER=" + viewer))
                .matches("(?s)0 \\d{3} operations, 0 wrong\\s*");
        tellsNothingPrivate(
                List.of("Olive", THERE, Visitor.password("Olive"), owner.substring(owner.indexOf('=') + 1)));
    }

    /** What programs read: a JSON object a line, and nothing of whoever was there. */
    private void tellsNothingPrivate(List<String> secrets) throws IOException {
        List<String> lines = Files.readAllLines(home.resolve("log.jsonl"));
        assertThat(lines).hasSizeGreaterThan(100).allSatisfy(line -> assertThat(
                        new JsonMapper().readTree(line).get("@timestamp").asString())
                .startsWith("20"));
        assertThat(String.join("\n", lines))
                .contains("\"status\":403", "\"kind\":")
                .doesNotContain(secrets);
    }
}
