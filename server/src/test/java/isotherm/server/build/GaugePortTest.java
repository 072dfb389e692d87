package isotherm.server.build;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A logger that comes by itself, and what is none or has no key. */
class GaugePortTest {
    private static final RunningServer SERVER = RunningServer.with("--isotherm.gauges.port=0");
    private static final int PORT = SERVER.bean(GaugePort.class).port().orElseThrow();

    @AfterAll
    static void close() {
        SERVER.close();
    }

    private static Socket says(String text) throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), PORT);
        socket.setSoTimeout(10_000);
        socket.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
        return socket;
    }

    private static String answer(Socket socket) throws IOException {
        return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8)).readLine();
    }

    @Test
    void oneWithAKeyShowsTheGaugesOfItsBuild() throws Exception {
        String build = new Wren(SERVER).begin("By itself", 1.2);
        JsonNode key = new JsonMapper()
                .readTree(SERVER.send("POST", build + "/logger/key", null).body());
        assertThat(key.get("port").asInt()).isEqualTo(PORT);
        BlockingQueue<String> shown = new LinkedBlockingQueue<>();
        try (Stream<String> events = SERVER.lines(build + "/live");
                Socket socket = says("ISOTHERM-GAUGES 1\nKEY " + key.get("key").asString() + "\n")) {
            CompletableFuture.runAsync(
                    () -> events.filter(l -> l.contains("OIL_PRESSURE")).forEach(shown::add));
            assertThat(answer(socket)).isEqualTo("LET IN");
            for (int i = 0; i < 20 && shown.isEmpty(); i++) {
                socket.getOutputStream()
                        .write(("ROW " + i + " rpm=850 oil_pressure=3.4\n").getBytes(StandardCharsets.UTF_8));
                Thread.sleep(100);
            }
            assertThat(shown.poll(5, TimeUnit.SECONDS)).contains("3.4");
        }
    }

    @Test
    void oneWithoutAKeyIsRefused() throws Exception {
        try (Socket socket = says("ISOTHERM-GAUGES 1\nKEY 00000000000000000000000000\n")) {
            assertThat(answer(socket)).isEqualTo("REFUSED this key lets nobody in");
        }
        try (Socket socket = says("ISOTHERM-GAUGES 1\nROW 1 rpm=850\n")) {
            assertThat(answer(socket)).startsWith("REFUSED");
        }
        try (Socket socket = says("GET / HTTP/1.1\r\n\r\n")) {
            assertThat(answer(socket)).isEqualTo("REFUSED not a logger");
        }
    }

    @Test
    void whoeverStandsInTheDoorIsShownOutAndKeepsNobodyOut() throws Exception {
        try (Socket silent = says("")) {
            try (Socket other = says("ISOTHERM-GAUGES 1\nKEY 0\n")) {
                assertThat(answer(other)).startsWith("REFUSED");
            }
            assertThat(answer(silent)).as("after three seconds").startsWith("REFUSED");
        }
    }

    @Test
    void itIsShutUnlessItIsGivenAPortAndOnLoopbackUnlessToldOtherwise() {
        assertThat(RunningServer.get().bean(GaugePort.class).port()).isEmpty();
        assertThat(SERVER.bean(GaugePort.class).address().isLoopbackAddress()).isTrue();
    }
}
