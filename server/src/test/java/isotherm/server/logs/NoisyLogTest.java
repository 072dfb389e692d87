package isotherm.server.logs;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.NoisyLog;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a logger's noise may not do: make a car unreadable, lose the rest of a file, or be taken for driving. */
class NoisyLogTest {
    private static final JsonMapper JSON = new JsonMapper();

    private static JsonNode read(HttpResponse<String> answer) {
        return JSON.readTree(answer.body());
    }

    private static JsonNode ended(RunningServer server, String job) throws InterruptedException {
        for (int i = 0; i < 1000; i++) {
            JsonNode now = read(server.send("GET", job, null));
            if (now.get("state").stringValue().matches("DONE|FAILED|CANCELLED")) {
                return now;
            }
            Thread.sleep(10);
        }
        throw new IllegalStateException("The import does not end");
    }

    private static JsonNode kept(RunningServer server, Wren wren, String name, String text)
            throws InterruptedException {
        JsonNode upload = read(server.upload(wren.car() + "/uploads?name=" + name, text));
        return ended(server, wren.keeping(upload, name));
    }

    private static byte[] garage(RunningServer server) {
        byte[] zip = server.bytes("GET", "/api/garage.zip", null);
        assertThat(new String(zip, 0, 2, StandardCharsets.US_ASCII)).isEqualTo("PK");
        return zip;
    }

    @Test
    void twoHundredNoisyLogsComeInBecomeDutiesGoOutAndComeBackTheSame() throws Exception {
        try (RunningServer server = RunningServer.empty()) {
            Wren wren = new Wren(server);
            for (int seed = 0; seed < 200; seed++) {
                JsonNode done = kept(server, wren, "noise" + seed + ".csv", NoisyLog.text(seed));
                assertThat(done.get("state").stringValue())
                        .as("seed %d: %s", seed, done)
                        .isEqualTo("DONE");
                JsonNode report = done.at("/answer/report");
                assertThat(report.get("rows").intValue()).as("seed %d", seed).isGreaterThan(540);
                assertThat(report.get("durationSeconds").doubleValue())
                        .as("seed %d", seed)
                        .isBetween(100.0, 140.0);
                String log = done.at("/answer/id").stringValue();
                HttpResponse<String> duty = server.send("POST", "/api/logs/" + log + "/duty", null);
                assertThat(duty.statusCode())
                        .as("seed %d: %s", seed, duty.body())
                        .isEqualTo(201);
                double fastest = read(duty)
                        .at("/duty/log/speedKmh")
                        .valueStream()
                        .mapToDouble(JsonNode::doubleValue)
                        .max()
                        .orElseThrow();
                assertThat(fastest).as("a spike is no speed").isLessThan(170);
            }
            JsonNode car = read(server.send("GET", wren.car(), null));
            assertThat(car.get("duties")).hasSize(200);
            assertThat(car.get("broken").intValue()).isZero();
            byte[] before = garage(server);
            assertThat(server.send("DELETE", wren.car(), null, "If-Match", "\"0\"")
                            .statusCode())
                    .isEqualTo(204);
            assertThat(server.upload("/api/garage", before).statusCode()).isEqualTo(200);
            assertThat(garage(server)).isEqualTo(before);
        }
    }

    /** Each of these shapes made its car unreadable once. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "-3,3000,90,85,300,1",
                "50,-1,90,85,300,1",
                "900,3000,90,85,300,1",
                "50,3000,999,85,300,1",
                "50,3000,-60,85,300,1",
                "50,3000,90,140,300,1",
                "50,3000,90,85,-1000,1",
                "50,3000,90,85,8000,1",
                "50,25000,90,85,300,1",
                "50,3000,90,85,300,-5"
            })
    void aFirstRowThatNoCarShowsIsCleaned(String first) throws InterruptedException {
        RunningServer server = RunningServer.get();
        Wren wren = new Wren(server);
        StringBuilder text =
                new StringBuilder("time_s,speed_kmh,rpm,oil_c,coolant_c,altitude_m,lap\n0," + first + "\n");
        for (int i = 1; i < 100; i++) {
            text.append(i).append(",60,3000,91,86,300,1\n");
        }
        JsonNode done = kept(server, wren, "first.csv", text.toString());
        String duty = "/api/logs/" + done.at("/answer/id").stringValue() + "/duty";
        assertThat(server.send("POST", duty, null).statusCode()).isEqualTo(201);
        JsonNode car = read(server.send("GET", wren.car(), null));
        assertThat(car.get("duties")).hasSize(1);
        assertThat(car.get("broken").intValue()).isZero();
    }

    @Test
    void moreLapsThanAnybodyDrivesAreACounterOfSomethingElse() throws InterruptedException {
        RunningServer server = RunningServer.get();
        Wren wren = new Wren(server);
        StringBuilder text = new StringBuilder("time_s,speed_kmh,oil_c,lap\n");
        for (int i = 0; i < 3000; i++) {
            text.append(i / 2.0).append(",60,91,").append(i).append('\n');
        }
        JsonNode done = kept(server, wren, "laps.csv", text.toString());
        HttpResponse<String> duty =
                server.send("POST", "/api/logs/" + done.at("/answer/id").stringValue() + "/duty", null);
        assertThat(duty.statusCode()).isEqualTo(201);
        assertThat(read(duty).at("/duty/log").has("lapStartSeconds")).isFalse();
    }

    @Test
    void aClockThatIsSetIsToldAndTheGarageGoesOutWhole() throws Exception {
        RunningServer server = RunningServer.get();
        Wren wren = new Wren(server);
        StringBuilder text = new StringBuilder("time_s,speed_kmh,rpm,oil_c\n");
        for (int i = 0; i < 400; i++) {
            text.append(String.format(java.util.Locale.ROOT, "%.1f", i < 100 ? i / 10.0 : 1_790_000_000 + i / 10.0))
                    .append(",80,3000,92\n");
        }
        JsonNode done = kept(server, wren, "satellite.csv", text.toString());
        assertThat(done.get("state").stringValue()).isEqualTo("DONE");
        assertThat(done.at("/answer/report/clockJumps").intValue()).isEqualTo(1);
        assertThat(done.at("/answer/log/durationSeconds").doubleValue()).isBetween(39.0, 41.0);
        assertThat(server.send("GET", wren.car(), null).statusCode()).isEqualTo(200);
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(garage(server)))) {
            int files = 0;
            while (zip.getNextEntry() != null) {
                zip.readAllBytes();
                files++;
            }
            assertThat(files).isGreaterThan(5);
        }
    }

    @Test
    void aStrayQuoteSpoilsOneRowAtMost() throws InterruptedException {
        RunningServer server = RunningServer.get();
        StringBuilder text = new StringBuilder("time_s,speed_kmh,oil_c\n");
        for (int i = 0; i < 600; i++) {
            text.append(i).append(",60,").append(i == 100 ? "\"90" : "90").append('\n');
        }
        JsonNode report =
                kept(server, new Wren(server), "quote.csv", text.toString()).at("/answer/report");
        assertThat(report.get("rows").intValue()).isEqualTo(600);
        assertThat(report.get("spoiled").intValue()).isZero();
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-16LE", "UTF-16BE", "UTF-16", "UTF-8", "windows-1252"})
    void aFileIsReadHoweverItsBytesAreWritten(String charset) {
        RunningServer server = RunningServer.get();
        String text = "Zeit [s];Geschwindigkeit [km/h];Öltemp [°C]\n0,0;60,5;90,5\n1,0;61,5;91,0\n2,0;62,0;91,5\n";
        JsonNode preview = read(server.upload(
                        new Wren(server).car() + "/uploads?name=w.csv",
                        text.getBytes(java.nio.charset.Charset.forName(charset))))
                .get("preview");
        assertThat(preview.get("channels").valueStream().map(JsonNode::stringValue))
                .containsExactly("TIME", "SPEED", "OIL");
        assertThat(preview.at("/head/0/2").doubleValue()).isEqualTo(90.5);
        assertThat(preview.at("/report/rows").intValue()).isEqualTo(3);
    }

    @Test
    void aSmallFileOfMuchThatIsSpoiledIsLookedAtAtOnce() throws IOException {
        RunningServer server = RunningServer.get();
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write("time_s,speed_kmh,oil_c\n0,1,90\n1,2,91\n".getBytes(StandardCharsets.US_ASCII));
            byte[] spoiled = "x,y,z\n".repeat(10_000).getBytes(StandardCharsets.US_ASCII);
            for (int i = 0; i < 500; i++) {
                gzip.write(spoiled);
            }
        }
        JsonNode preview = read(server.upload(new Wren(server).car() + "/uploads?name=z.csv.gz", packed.toByteArray()))
                .get("preview");
        assertThat(preview.at("/report/spoiled").intValue()).isLessThan(25_000);
    }

    @Test
    void filesThatWereNeverKeptGo() {
        RunningServer server = RunningServer.get();
        JsonNode upload =
                read(server.upload(new Wren(server).car() + "/uploads?name=left.csv", "time,speed\n0,1\n1,2\n"));
        String keep = "/api/uploads/" + upload.get("id").stringValue() + "/preview";
        assertThat(server.send("POST", keep, upload.at("/preview/format").toString())
                        .statusCode())
                .isEqualTo(200);
        isotherm.server.store.LargeStore large = server.bean(isotherm.server.store.LargeStore.class);
        large.forgetUploads(java.time.Instant.now().minusSeconds(600));
        assertThat(server.send("POST", keep, upload.at("/preview/format").toString())
                        .statusCode())
                .as("a file that came in just now stays")
                .isEqualTo(200);
        assertThat(large.forgetUploads(java.time.Instant.now().plusSeconds(1))).isPositive();
        assertThat(server.send("POST", keep, upload.at("/preview/format").toString())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void cellsAreCutByLinesAndQuotesInPairs() {
        assertThat(Cells.of("a,\"b,c\",d", ',')).containsExactly("a", "b,c", "d");
        assertThat(Cells.of("a,\"b,c,d", ',')).containsExactly("a", "b", "c", "d");
        assertThat(Cells.of("a;;", ';')).containsExactly("a", "", "");
        assertThat(Cells.of("", ',')).isEqualTo(List.of(""));
    }
}
