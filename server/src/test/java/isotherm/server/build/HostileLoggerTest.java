package isotherm.server.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Loggers that send what no sensor can, that never end a line, that hang, and what is none at all. */
class HostileLoggerTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private final BlockingQueue<String> shown = new LinkedBlockingQueue<>();
    private ServerSocket listening;
    private Socket socket;
    private String build;
    private Stream<String> events;

    @BeforeEach
    void begin() throws IOException {
        build = new Wren(SERVER).begin("Hostile", 1.2);
        for (int port = 8400; listening == null; port++) {
            try {
                listening = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
            } catch (IOException e) {
                assertThat(port).isLessThan(8499);
            }
        }
        events = SERVER.lines(build + "/live");
        CompletableFuture.runAsync(
                () -> events.filter(l -> l.contains("listening")).forEach(shown::add));
    }

    @AfterEach
    void end() throws IOException {
        SERVER.send("DELETE", build + "/logger", null);
        events.close();
        listening.close();
        if (socket != null) {
            socket.close();
        }
    }

    private int attach() {
        return SERVER.send("POST", build + "/logger", "{\"port\":" + listening.getLocalPort() + "}")
                .statusCode();
    }

    /** Attaches a logger that greets and is then told what to send. */
    private OutputStream logger() throws Exception {
        CompletableFuture<Integer> attached = CompletableFuture.supplyAsync(this::attach);
        socket = listening.accept();
        say(socket.getOutputStream(), "ISOTHERM-GAUGES 1\n");
        assertThat(attached.get()).isEqualTo(204);
        return socket.getOutputStream();
    }

    private static void say(OutputStream out, String text) throws IOException {
        out.write(text.getBytes(StandardCharsets.UTF_8));
        out.flush();
    }

    private JsonNode sample(Predicate<JsonNode> wanted) throws InterruptedException {
        for (String line = shown.poll(20, TimeUnit.SECONDS); line != null; line = shown.poll(20, TimeUnit.SECONDS)) {
            JsonNode sample = JSON.readTree(line.substring(line.indexOf('{')));
            if (wanted.test(sample)) {
                return sample;
            }
        }
        throw new AssertionError("The gauges never showed it");
    }

    private String entries() {
        return SERVER.send("GET", build + "/entries", null).body();
    }

    @Test
    void aReadingThatNoSensorGivesIsSpoiledAndTheSheetStaysReadable() throws Exception {
        OutputStream out = logger();
        say(out, "ROW 1 rpm=900 oil_pressure=1e9 oil=1e300 coolant=80\n");
        JsonNode sample = sample(s -> !s.get("spoiled").isEmpty());
        assertThat(sample.get("spoiled").valueStream().map(JsonNode::stringValue))
                .containsExactly("OIL_PRESSURE", "OIL");
        assertThat(sample.get("values").has("OIL_PRESSURE")).isFalse();
        assertThat(sample.get("values").get("COOLANT").doubleValue()).isEqualTo(80);
        for (int i = 2; i < 40; i++) {
            say(out, "ROW " + i + " rpm=220 oil_pressure=1e9\n");
        }
        assertThat(entries()).doesNotContain("LIVE_READING");
        assertThat(SERVER.send("GET", build, null).statusCode()).isEqualTo(200);
    }

    @Test
    void aLineWithoutAnEndEndsTheConnection() throws Exception {
        OutputStream out = logger();
        sample(s -> s.get("listening").booleanValue());
        byte[] much = "9".repeat(1 << 16).getBytes(StandardCharsets.US_ASCII);
        assertThatExceptionOfType(IOException.class).isThrownBy(() -> {
            for (int i = 0; i < 2000; i++) {
                out.write(much);
            }
        });
        sample(s -> !s.get("listening").booleanValue());
        assertThatExceptionOfType(IOException.class)
                .isThrownBy(() -> new LogLines(new ByteArrayInputStream(much)).next())
                .withMessageContaining("no logger");
    }

    @Test
    void aLoggerThatHangsIsNoticedAndItsLastPressureIsNotShownAsLive() throws Exception {
        OutputStream out = logger();
        say(out, "ROW 1 rpm=2200 oil_pressure=4.5\n");
        assertThat(sample(s -> s.get("values").has("OIL_PRESSURE"))
                        .get("silentSeconds")
                        .intValue())
                .isZero();
        JsonNode silent = sample(s -> s.get("silentSeconds").intValue() >= 3);
        assertThat(silent.get("values")).isEmpty();
        assertThat(silent.get("listening").booleanValue()).isTrue();
        for (int i = 0; i < 150 && !entries().contains("has sent nothing"); i++) {
            Thread.sleep(100);
        }
        assertThat(entries()).contains("LOGGER_SILENT", "has sent nothing for 10 s");
        say(out, "ROW 20 rpm=2200 oil_pressure=4.4\n");
        assertThat(sample(s -> s.get("silentSeconds").intValue() == 0)
                        .get("values")
                        .get("OIL_PRESSURE")
                        .doubleValue())
                .isEqualTo(4.4);
    }

    @Test
    void whatIsNoLoggerIsToldNothing() throws Exception {
        CompletableFuture<byte[]> heard = CompletableFuture.supplyAsync(() -> {
            try (Socket other = listening.accept()) {
                say(other.getOutputStream(), "220 mail.example ESMTP\r\n");
                InputStream in = other.getInputStream();
                return in.readAllBytes();
            } catch (IOException e) {
                return new byte[0];
            }
        });
        assertThat(attach()).isEqualTo(422);
        assertThat(heard.get(20, TimeUnit.SECONDS)).isEmpty();
        assertThat(SERVER.send("POST", build + "/logger", "{\"port\":5432}").body())
                .contains("outside 8400 to 8499");
        assertThat(SERVER.send(
                                "POST",
                                build + "/logger",
                                "{\"port\":" + SERVER.address().getPort() + "}")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void fourAttachesAtOnceLeaveOneLogger() throws Exception {
        int before = loggers().size();
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            all.add(CompletableFuture.supplyAsync(() ->
                    SERVER.send("POST", build + "/logger", "{\"pace\":50}").statusCode()));
        }
        for (CompletableFuture<Integer> one : all) {
            assertThat(one.get()).isEqualTo(204);
        }
        assertThat(loggers()).hasSize(before + 1);
        SERVER.send("DELETE", build + "/logger", null);
        for (int i = 0; i < 100 && loggers().size() > before; i++) {
            Thread.sleep(100);
        }
        assertThat(loggers()).hasSize(before);
    }

    /** Processes that this one has started: the simulated loggers. */
    private static List<ProcessHandle> loggers() {
        return ProcessHandle.current()
                .children()
                .filter(p -> p.isAlive() && read(p, "cmdline").endsWith("\0logger\0"))
                .toList();
    }

    private static String read(ProcessHandle process, String file) {
        try {
            return Files.readString(Path.of("/proc/" + process.pid() + "/" + file));
        } catch (IOException e) {
            return "";
        }
    }

    @Test
    void theSimulatedLoggerIsToldNothingOfThisProcess() throws Exception {
        assertThat(SERVER.send("POST", build + "/logger", "{}").statusCode()).isEqualTo(204);
        assertThat(loggers()).isNotEmpty();
        assertThat(read(loggers().get(0), "environ")).doesNotContain("ISOTHERM").doesNotContain("DATASOURCE");
    }
}
