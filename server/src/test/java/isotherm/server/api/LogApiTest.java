package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.simulate.Factor;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.logger.Recorder;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A log from the file to what it teaches. */
class LogApiTest {
    private static final CarDocument CAR =
            DocumentReader.read(Examples.read("corvid"), CaseDocument.class).car();

    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();
    private static final CaseDocument CORVID = DocumentReader.read(Examples.read("corvid"), CaseDocument.class);
    private static final String KEEP =
            "{\"name\": \"Baseline\", \"sensor\": \"SUMP\", \"ambientC\": 31, \"altitudeM\": 240, \"format\": %s}";

    private static String carId() {
        for (JsonNode c : JSON.readTree(SERVER.send("GET", "/api/cars", null).body())) {
            if (c.get("name").stringValue().equals("Aldane Corvid")) {
                return c.get("id").stringValue();
            }
        }
        throw new IllegalStateException("The demo garage has no Corvid");
    }

    /** A baseline without a cooler, of a car that makes a fifth more heat than is thought. */
    private static String baseline() {
        StringBuilder text = new StringBuilder();
        try {
            Recorder.write(
                    new Recorder.Recipe(
                            CORVID.car().toCore(),
                            CORVID.duty().toCore(),
                            new DesignDocument("bare", null, true, null, null).toCore(CAR),
                            Map.of(Factor.HEAT, 1.1, Factor.MASS, 1.15),
                            10,
                            4),
                    text);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return text.toString();
    }

    private static JsonNode ended(JsonNode job) throws InterruptedException {
        JsonNode now = job;
        for (int i = 0; i < 600; i++) {
            String state = now.get("state").stringValue();
            if (!state.equals("WAITING") && !state.equals("RUNNING")) {
                return now;
            }
            Thread.sleep(50);
            now = JSON.readTree(SERVER.send("GET", "/api/jobs/" + job.get("id").stringValue(), null)
                    .body());
        }
        throw new IllegalStateException("The job does not end: " + now);
    }

    private static JsonNode kept(String name, String text) throws InterruptedException {
        HttpResponse<String> sent = SERVER.upload("/api/cars/" + carId() + "/uploads?name=" + name, text);
        assertThat(sent.statusCode()).isEqualTo(201);
        JsonNode upload = JSON.readTree(sent.body());
        JsonNode job = JSON.readTree(SERVER.send(
                        "POST",
                        "/api/uploads/" + upload.get("id").stringValue() + "/keep",
                        KEEP.formatted(upload.get("preview").get("format")))
                .body());
        return ended(job);
    }

    @Test
    void aLogKnowsTheDesignThatWasDrivenAndItsDay() throws InterruptedException {
        HttpResponse<String> sent = SERVER.upload(
                "/api/cars/" + carId() + "/uploads?name=driven.csv", "time_s,speed_kmh\n0,50\n1,60\n2,70\n");
        JsonNode upload = JSON.readTree(sent.body());
        String path = "/api/uploads/" + upload.get("id").stringValue() + "/keep";
        ObjectNode keep =
                (ObjectNode) JSON.readTree(KEEP.formatted(upload.get("preview").get("format")));
        assertThat(SERVER.send("POST", path, keep.put("day", "31.1.2026 ").toString())
                        .body())
                .contains("/day", "2026-01-31");
        keep.put("day", "2026-01-31");
        String nobody = "not-the-identity-of-a-design-at-all-";
        assertThat(SERVER.send("POST", path, keep.put("design", nobody).toString())
                        .body())
                .contains("/design");
        String design = UUID.randomUUID().toString();
        JsonNode done = ended(JSON.readTree(
                SERVER.send("POST", path, keep.put("design", design).toString()).body()));
        assertThat(done.at("/answer/log/design").stringValue()).isEqualTo(design);
        assertThat(done.at("/answer/log/day").stringValue()).isEqualTo("2026-01-31");
    }

    private static double error(JsonNode fit, String factor) {
        for (JsonNode e : fit.get("estimates")) {
            if (e.get("parameter").stringValue().equals(factor)) {
                return e.get("standardError").doubleValue();
            }
        }
        throw new AssertionError("No " + factor);
    }

    @Test
    void aBaselineIsKeptShownDrivenAgainAndFitted() throws InterruptedException {
        JsonNode done = kept("baseline.csv", baseline());
        assertThat(done.get("state").stringValue()).isEqualTo("DONE");
        String id = done.get("answer").get("id").stringValue();
        assertThat(done.get("answer").get("log").get("rows").intValue()).isGreaterThan(10_000);

        JsonNode traces = JSON.readTree(SERVER.send("GET", "/api/logs/" + id + "/traces?points=900", null)
                .body());
        assertThat(traces.get("series").get(0).size()).isBetween(300, 1200);
        JsonNode part = JSON.readTree(SERVER.send("GET", "/api/logs/" + id + "/traces?from=100&to=160", null)
                .body());
        assertThat(part.get("series").get(0).get(0).doubleValue()).isGreaterThanOrEqualTo(100);

        HttpResponse<String> duty = SERVER.send("POST", "/api/logs/" + id + "/duty", null);
        assertThat(duty.statusCode()).isEqualTo(201);
        JsonNode log = JSON.readTree(duty.body()).get("duty").get("log");
        assertThat(log.get("lapStartSeconds").size()).isGreaterThan(10);
        assertThat(log.get("speedKmh").size()).isEqualTo(log.get("timeSeconds").size());

        ObjectNode asked = JSON.createObjectNode();
        asked.set("car", JSON.valueToTree(CORVID.car()));
        asked.set("design", JSON.readTree("{\"name\": \"bare\", \"keepFactoryExchanger\": true}"));
        HttpResponse<String> fit = SERVER.send("POST", "/api/logs/" + id + "/fit", asked.toString());
        assertThat(fit.statusCode()).as(fit.body()).isEqualTo(200);
        JsonNode answer = JSON.readTree(fit.body());
        assertThat(answer.get("rmsK").doubleValue()).isLessThan(1.5);
        assertThat(answer.get("fitted").get("factors"))
                .hasSize(11)
                .as("the gauge's pressure is used too")
                .anySatisfy(f -> assertThat(f.get("factor").stringValue()).isEqualTo("BEARINGS"));

        // Two logs together leave less doubt than one, and none is used twice.
        String second = kept("again.csv", baseline()).get("answer").get("id").stringValue();
        ObjectNode both = asked.deepCopy();
        both.putArray("others").addObject().put("id", second).set("design", asked.get("design"));
        HttpResponse<String> together = SERVER.send("POST", "/api/logs/" + id + "/fit", both.toString());
        assertThat(together.statusCode()).as(together.body()).isEqualTo(200);
        assertThat(error(JSON.readTree(together.body()), "HEAT")).isLessThan(error(answer, "HEAT"));
        both.putArray("others").addObject().put("id", id).set("design", asked.get("design"));
        HttpResponse<String> twice = SERVER.send("POST", "/api/logs/" + id + "/fit", both.toString());
        assertThat(twice.statusCode()).isEqualTo(422);
        assertThat(twice.body()).contains("/others").contains("used once");

        // What was learned, written into the car, gives the peak of what was driven.
        ObjectNode wiser = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ((ObjectNode) wiser.get("car")).set("fitted", answer.get("fitted"));
        ((ObjectNode) wiser.get("design")).remove("cooler");
        wiser.set("duty", JSON.readTree(duty.body()).get("duty"));
        double truth = Recorder.truth(new Recorder.Recipe(
                        CORVID.car().toCore(),
                        CORVID.duty().toCore(),
                        new DesignDocument("bare", null, true, null, null).toCore(CAR),
                        Map.of(Factor.HEAT, 1.1, Factor.MASS, 1.15),
                        10,
                        4))
                .peak();
        JsonNode outcome = JSON.readTree(
                SERVER.send("POST", "/api/outcome", wiser.toString()).body());
        assertThat(outcome.get("figures").get("peakC").doubleValue()).isCloseTo(truth - 273.15, within(2.0));
    }

    @Test
    void whatIsNoLogIsRefusedInWords() throws InterruptedException {
        HttpResponse<String> empty = SERVER.upload("/api/cars/" + carId() + "/uploads?name=empty.csv", "\n\n");
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("This file is empty");
        JsonNode nothing = kept("words.csv", "time,oil temp\nyesterday,warm\ntoday,hot\n");
        assertThat(nothing.get("state").stringValue()).isEqualTo("FAILED");
        assertThat(nothing.get("problems").get(0).get("message").stringValue())
                .contains("No two rows of this file can be kept")
                .contains("line 2");
    }

    @Test
    void aCorrectionThatCannotBeIsRefusedFieldByField() {
        JsonNode upload = JSON.readTree(
                SERVER.upload("/api/cars/" + carId() + "/uploads?name=x.csv", "time,oil temp\n0,90\n1,91\n")
                        .body());
        ObjectNode format = (ObjectNode) upload.get("preview").get("format");
        for (JsonNode c : format.get("columns")) {
            ((ObjectNode) c).put("channel", "OIL");
            ((ObjectNode) c).put("unit", "BAR");
        }
        HttpResponse<String> answer =
                SERVER.send("POST", "/api/uploads/" + upload.get("id").stringValue() + "/preview", format.toString());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("/columns/1/channel")
                .contains("/columns/0/unit")
                .contains("/time");
    }

    @Test
    void aLogCannotBeBroughtInForACarThatIsNotThere() {
        assertThat(SERVER.upload(
                                "/api/cars/00000000-0000-0000-0000-000000000001/uploads?name=x.csv",
                                "time,oil temp\n0,1\n1,2\n")
                        .statusCode())
                .isEqualTo(404);
    }
}
