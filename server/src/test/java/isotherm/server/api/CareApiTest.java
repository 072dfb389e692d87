package isotherm.server.api;

import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A car's care after its build, over HTTP against a real database. */
class CareApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private final Wren wren = new Wren(SERVER);
    private final String car = wren.car();

    private void build() {
        wren.begin("Winter build", 1.4);
    }

    private JsonNode write(ObjectNode entry) {
        HttpResponse<String> response = SERVER.send("POST", car + "/care/entries", entry.toString());
        assertThat(response.statusCode()).as(response.body()).isEqualTo(201);
        return JSON.readTree(response.body());
    }

    private static String urgency(JsonNode care, String task) {
        return StreamSupport.stream(care.get("tasks").spliterator(), false)
                .filter(t -> t.get("id").stringValue().equals(task))
                .findFirst()
                .orElseThrow()
                .get("urgency")
                .stringValue();
    }

    @Test
    void beforeABuildNothingIsDueAndReadingsHaveAPlaceAllTheSame() {
        JsonNode care = write(entry("OIL_ANALYSIS", null).put("text", "iron 12 ppm, fuel 0.8 %"));
        assertThat(care.get("tasks")).isEmpty();
        assertThat(care.get("entries")).hasSize(1);
    }

    @Test
    void whatHappensMakesTasksDueAndWhatIsDoneSettlesThem() {
        build();
        write(entry("DRIVEN", null).put("odometerKm", 61_200));
        assertThat(urgency(write(entry("HAPPENED", "FIRST_DRIVE")), "joints")).isEqualTo("DUE");
        assertThat(urgency(write(entry("DONE", "joints").put("odometerKm", 61_230)), "joints"))
                .isEqualTo("LATER");
        assertThat(urgency(write(entry("DRIVEN", null).put("odometerKm", 61_750)), "joints-500"))
                .isEqualTo("DUE");
        JsonNode care = write(entry("DRIVEN", null).put("oilHours", 240));
        assertThat(urgency(care, "oil")).isEqualTo("DUE");
        assertThat(care.get("odometerKm").doubleValue()).isEqualTo(61_750);
    }

    @Test
    void aCorrectionIsAnEntryAndNothingIsDeleted() {
        build();
        write(entry("HAPPENED", "FIRST_DRIVE"));
        ObjectNode wrong = entry("DONE", "joints");
        write(wrong);
        JsonNode care = write(entry("STRUCK", wrong.get("id").stringValue()).put("text", "that was the other car"));
        assertThat(urgency(care, "joints")).isEqualTo("DUE");
        assertThat(care.get("entries")).hasSize(3);
        assertThat(care.get("entries"))
                .filteredOn(e -> e.get("counts").booleanValue())
                .hasSize(1);
    }

    @Test
    void whatIsSentTwiceIsWrittenOnceAndWhatIsWrongSaysWhy() {
        build();
        ObjectNode driven = entry("DRIVEN", null).put("odometerKm", 10);
        write(driven);
        assertThat(SERVER.send("POST", car + "/care/entries", driven.toString()).statusCode())
                .isEqualTo(200);
        for (String[] bad : new String[][] {
            {entry("DONE", "polish").toString(), "There is no such task"},
            {entry("DRIVEN", null).toString(), "Give the odometer"},
            {entry("STRUCK", UUID.randomUUID().toString()).put("text", "why").toString(), "no such entry"},
            {entry("DRIVEN", null).put("odometerKm", -5).toString(), "/odometerKm"}
        }) {
            HttpResponse<String> refused = SERVER.send("POST", car + "/care/entries", bad[0]);
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains(bad[1]);
        }
        assertThat(SERVER.send("GET", "/api/cars/" + UUID.randomUUID() + "/care", null)
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void theCalendarHasWhatIsDueByDate() {
        build();
        write(entry("HAPPENED", "HARD_DAY"));
        LocalDate asked = LocalDate.now(ZoneOffset.UTC);
        HttpResponse<String> answer = SERVER.send("GET", car + "/care.ics", null);
        // At midnight it may be either day.
        assertThat(List.of(asked, LocalDate.now(ZoneOffset.UTC))).anySatisfy(today -> assertThat(answer.body())
                .contains("DTSTART;VALUE=DATE:" + today.toString().replace("-", "")));
        assertThat(answer.headers().firstValue("content-type"))
                .hasValueSatisfying(t -> assertThat(t).startsWith("text/calendar"));
        ICalendar calendar = Biweekly.parse(answer.body()).first();
        assertThat(calendar.getEvents()).hasSizeGreaterThanOrEqualTo(5);
        assertThat(calendar.getEvents())
                .filteredOn(e -> e.getSummary().getValue().contains("chafe"))
                .singleElement()
                .satisfies(e -> {
                    assertThat(e.getDateStart().getValue().hasTime()).isFalse();
                    assertThat(e.getDescription().getValue()).contains("hard day", "CAUTION");
                });
    }

    @Test
    void aLogTellsHowMuchOfTheOilItTook() {
        JsonNode cars = JSON.readTree(SERVER.send("GET", "/api/cars", null).body());
        String corvid = StreamSupport.stream(cars.spliterator(), false)
                .filter(c -> c.get("name").stringValue().equals("Aldane Corvid"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        JsonNode view =
                JSON.readTree(SERVER.send("GET", "/api/cars/" + corvid, null).body());
        double[] hours = new double[2];
        for (int i = 0; i < 2; i++) {
            String log = view.at("/logs/" + i + "/id").stringValue();
            hours[i] = JSON.readTree(SERVER.send("GET", "/api/logs/" + log + "/oil-hours", null)
                            .body())
                    .get("hours")
                    .doubleValue();
        }
        // 24 minutes near 120 °C take more than an hour; the same with a cooler takes far less.
        assertThat(hours[0]).isBetween(1.0, 4.0);
        assertThat(hours[1]).isBetween(0.1, 0.5 * hours[0]);
    }
}
