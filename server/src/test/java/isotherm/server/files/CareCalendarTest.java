package isotherm.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import isotherm.core.care.CareBook;
import isotherm.core.care.CareReason;
import isotherm.core.care.Task;
import isotherm.core.message.Measure;
import isotherm.server.care.CareDocuments;
import isotherm.server.care.CareDocuments.CareTask;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.contract.MessageDocument;
import isotherm.words.UnitChoice;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A calendar that any other program reads. */
class CareCalendarTest {
    private static final UUID CAR = UUID.fromString("3e9b174d-820a-438d-9aa1-b447738e4781");
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static CareTask task(Task.Kind kind, CareBook.Urgency urgency, String date) {
        return new CareTask(
                kind.id(),
                MessageDocument.of(kind.say("what")
                        .with("distance", Measure.TRAVEL, 500e3)
                        .with("all", Measure.VOLUME, 6.3e-3)
                        .choose("cooled", true)
                        .with("cooler", Measure.VOLUME, 0.8e-3)),
                MessageDocument.of(kind.say("why").with("step", Measure.TEMPERATURE_DIFFERENCE, 10)),
                MessageDocument.of(kind.say("caution")),
                urgency,
                List.of(MessageDocument.of(CareReason.BY.say("text").name("day", String.valueOf(date)))),
                date,
                null,
                new CareDocuments.IntervalDocument(12, null, null, List.of()),
                null,
                null);
    }

    private static ICalendar calendar(CareTask... tasks) {
        String text = CareCalendar.of(
                CAR,
                "Corvid; the red one",
                new CareView("Build", "2026-03-01", null, 0, List.of(), List.of(), List.of(tasks), List.of()),
                TODAY,
                new Speech(UnitChoice.IMPERIAL));
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
                        task(Task.Kind.JOINTS, CareBook.Urgency.DUE, "2026-10-01"),
                        task(Task.Kind.HOSES, CareBook.Urgency.LATER, "2031-03-01"))
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
        assertThat(calendar(task(Task.Kind.JOINTS_AGAIN, CareBook.Urgency.LATER, null))
                        .getEvents())
                .isEmpty();
        assertThat(calendar(task(Task.Kind.JOINTS_AGAIN, CareBook.Urgency.DUE, null))
                        .getEvents())
                .hasSize(1);
    }

    @Test
    void theCautionStandsWithTheTaskAndTheNameIsKept() {
        VEvent event = calendar(task(Task.Kind.OIL, CareBook.Urgency.DUE, null))
                .getEvents()
                .get(0);
        assertThat(event.getDescription().getValue()).contains("CAUTION: Hot oil burns.", "for every 18 °F more");
        assertThat(event.getSummary().getValue())
                .isEqualTo(
                        "Corvid; the red one: Change oil and filter: 6.66 qt in all, of which 0.85 qt are the cooler's");
    }

    @Test
    void aTaskKeepsItsIdentitySoThatASubscriptionMovesItAndDoesNotRepeatIt() {
        VEvent first = calendar(task(Task.Kind.OIL, CareBook.Urgency.LATER, "2027-01-01"))
                .getEvents()
                .get(0);
        VEvent second = calendar(task(Task.Kind.OIL, CareBook.Urgency.LATER, "2027-06-01"))
                .getEvents()
                .get(0);
        assertThat(second.getUid().getValue())
                .isEqualTo(first.getUid().getValue())
                .contains(CAR.toString());
        assertThat(day(second)).isAfter(day(first));
    }
}
