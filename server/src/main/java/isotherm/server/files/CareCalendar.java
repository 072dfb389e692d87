package isotherm.server.files;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Status;
import biweekly.util.Duration;
import isotherm.core.care.CareBook;
import isotherm.server.care.CareDocuments.CareTask;
import isotherm.server.care.CareDocuments.CareView;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Date;
import java.util.UUID;

/** What is due as a calendar to subscribe to (iCalendar, RFC 5545). */
public final class CareCalendar {
    private CareCalendar() {}

    /**
     * @param carId the car
     * @param car its name
     * @param care its care
     * @param today the day: what is due already stands there
     * @param speech the reader's words and units
     * @return the calendar, an entry of a whole day for each task that is due by date or already
     */
    public static String of(UUID carId, String car, CareView care, LocalDate today, Speech speech) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Isotherm//Care//EN");
        calendar.setName(car + ": care");
        for (CareTask task : care.tasks()) {
            boolean due = task.urgency() == CareBook.Urgency.DUE;
            if (!due && task.date() == null) {
                continue;
            }
            LocalDate day = due ? today : LocalDate.parse(task.date());
            VEvent event = new VEvent();
            event.setUid(carId + "-" + task.id());
            event.setSummary(car + ": " + speech.say(task.what()));
            event.setDescription(speech.say(task.why()) + " " + speech.list(task.reasons()) + ". CAUTION: "
                    + speech.say(task.caution()));
            // A day without a time is written in the machine's own zone.
            event.setDateStart(
                    Date.from(day.atStartOfDay(ZoneId.systemDefault()).toInstant()), false);
            event.setDuration(Duration.builder().days(1).build());
            event.setStatus(Status.confirmed());
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }
}
