package isotherm.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import isotherm.core.care.CareBook;
import isotherm.server.document.CareDocuments.CareTask;
import isotherm.server.document.CareDocuments.CareView;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A calendar that any other program reads. */
class CareCalendarTest {
    private static final UUID CAR = UUID.fromString("3e9b174d-820a-438d-9aa1-b447738e4781");
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static CareTask task(String id, CareBook.Urgency urgency, String date, String caution) {
        return new CareTask(id, "Look at " + id, "It wears", caution, urgency, "by " + date, date, null);
    }

    private static ICalendar calendar(CareTask... tasks) {
        String text = CareCalendar.of(
                CAR,
                "Corvid; the red one",
                new CareView("Build", "2026-03-01", null, List.of(tasks), List.of()),
                TODAY);
        assertThat(text).startsWith("BEGIN:VCALENDAR").contains("VERSION:2.0");
        return Biweekly.parse(text).first();
    }

    private static LocalDate day(VEvent event) {
        return event.getDateStart()
                .getValue()
                .toInstant()
                .atZone(ZoneId.systemDefault())
                .toLocalDate();
    }

    @Test
    void whatIsDueStandsAtTodayAndWhatIsNotAtItsDay() {
        List<VEvent> events = calendar(
                        task("joints", CareBook.Urgency.DUE, "2026-10-01", null),
                        task("hoses", CareBook.Urgency.LATER, "2031-03-01", null))
                .getEvents();
        assertThat(events).hasSize(2);
        assertThat(day(events.get(0))).isEqualTo(TODAY);
        assertThat(day(events.get(1))).isEqualTo(LocalDate.of(2031, 3, 1));
        assertThat(events)
                .allSatisfy(
                        e -> assertThat(e.getDateStart().getValue().hasTime()).isFalse());
    }

    @Test
    void whatWaitsForDistanceAloneHasNoDay() {
        assertThat(calendar(task("joints-500", CareBook.Urgency.LATER, null, null))
                        .getEvents())
                .isEmpty();
        assertThat(calendar(task("joints-500", CareBook.Urgency.DUE, null, null))
                        .getEvents())
                .hasSize(1);
    }

    @Test
    void theCautionStandsWithTheTaskAndTheNameIsKept() {
        VEvent event = calendar(task("oil", CareBook.Urgency.DUE, null, "Hot oil burns."))
                .getEvents()
                .get(0);
        assertThat(event.getDescription().getValue()).contains("CAUTION: Hot oil burns.");
        assertThat(event.getSummary().getValue()).isEqualTo("Corvid; the red one: Look at oil");
    }

    @Test
    void aTaskKeepsItsIdentitySoThatASubscriptionMovesItAndDoesNotRepeatIt() {
        VEvent first = calendar(task("oil", CareBook.Urgency.LATER, "2027-01-01", null))
                .getEvents()
                .get(0);
        VEvent second = calendar(task("oil", CareBook.Urgency.LATER, "2027-06-01", null))
                .getEvents()
                .get(0);
        assertThat(second.getUid().getValue())
                .isEqualTo(first.getUid().getValue())
                .contains(CAR.toString());
        assertThat(day(second)).isAfter(day(first));
    }
}
