package isotherm.server.care;

import isotherm.core.care.CareBook;
import isotherm.core.care.CareEntry;
import isotherm.server.build.BuildDocuments;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;

/** A car's care book as it is written and shown. */
public final class CareDocuments {
    private CareDocuments() {}

    /**
     * What somebody wrote in a care book.
     *
     * @param id its identity, given by whoever wrote it
     * @param at when it was, ISO 8601 in UTC
     * @param who who wrote it
     * @param kind what it is
     * @param on the task, what happened, or the entry that is struck
     * @param odometerKm odometer
     * @param oilHours hours at 100 °C that the oil took
     * @param text words, or figures that were read
     */
    public record CareEntryDocument(
            @Text(value = "its identity, a UUID given by whoever wrote it", min = 36, max = 36) String id,
            @Text(value = "when it was, ISO 8601 in UTC", min = 10, max = 40) String at,
            @Text(value = "who wrote it", min = 1, max = 60) String who,
            @Text("what it is") CareEntry.Kind kind,
            @Missing("about nothing else")
                    @Text(value = "the task, what happened, or the entry that is struck", max = 60)
                    String on,
            @Missing("not read") @Quantity(value = "odometer", min = 0, max = 3_000_000, unit = "km") Double odometerKm,
            @Missing("not known")
                    @Quantity(value = "hours at 100 °C that the oil took", min = 0, max = 5000, unit = "h")
                    Double oilHours,
            @Missing("no words") @Text(value = "words, or figures that were read", max = 2000) String text)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            BuildDocuments.identified(id, at, path, problems);
        }
    }

    /**
     * A car's care.
     *
     * @param build the build that it counts from
     * @param built day on which that was begun
     * @param odometerKm highest odometer that was read
     * @param tasks the tasks, most urgent first
     * @param entries everything that was written, oldest day first
     */
    public record CareView(
            @Missing("nothing was built yet") String build,
            @Missing("nothing was built yet") String built,
            @Missing("not read") Double odometerKm,
            List<CareTask> tasks,
            List<WrittenEntry> entries) {}

    /**
     * A task.
     *
     * @param id what it is known by
     * @param what what is done
     * @param why why
     * @param caution what can hurt
     * @param urgency how urgent it is
     * @param reasons why
     * @param date when it is due by date
     * @param last the entry that last said that it was done
     */
    public record CareTask(
            String id,
            MessageDocument what,
            MessageDocument why,
            MessageDocument caution,
            CareBook.Urgency urgency,
            List<MessageDocument> reasons,
            @Missing("time does not count") String date,
            @Missing("never") CareEntryDocument last) {}

    /**
     * An entry, and whether it counts.
     *
     * @param entry the entry
     * @param counts whether it does: it was not struck and strikes nothing
     */
    public record WrittenEntry(CareEntryDocument entry, boolean counts) {}

    /**
     * What a log takes of an oil's life.
     *
     * @param hours hours at 100 °C that age it as much
     */
    public record OilHours(double hours) {}
}
