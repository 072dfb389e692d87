package isotherm.server.care;

import isotherm.core.care.CareBook;
import isotherm.core.care.CareEntry;
import isotherm.core.care.CareFigure;
import isotherm.core.care.Interval;
import isotherm.core.care.Task;
import isotherm.core.message.Measure;
import isotherm.core.message.Unit;
import isotherm.server.build.BuildDocuments;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Rounding;
import isotherm.server.contract.Text;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

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
     * @param text words, or figures that were read in words
     * @param figures figures that were read
     * @param interval when a task is due, where its people say so themselves
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
            @Missing("no words") @Text(value = "words, or figures that were read in words", max = 2000) String text,
            @Missing("none") @Text(value = "figures that were read", max = 20) List<CareFigureDocument> figures,
            @Missing("the usual one") @Text("when a task is due, where its people say so themselves")
                    IntervalDocument interval)
            implements Checked {
        /**
         * @param name of whoever is known to have sent it
         * @return the same, written by them
         */
        public CareEntryDocument by(String name) {
            return new CareEntryDocument(id, at, name, kind, on, odometerKm, oilHours, text, figures, interval);
        }

        @Override
        public void check(String path, List<Problem> problems) {
            BuildDocuments.identified(id, at, path, problems);
            if (interval != null && kind != CareEntry.Kind.TASK) {
                problems.add(
                        Problem.of(path + "/interval", null, "An interval belongs to an entry of kind TASK alone"));
            }
        }
    }

    /**
     * A figure that was read.
     *
     * @param figure which
     * @param value in the metric unit of its measure
     */
    public record CareFigureDocument(
            @Text("which") CareFigure figure,
            @Quantity(value = "what was read, in the metric unit of its measure", min = -300, max = 10_000)
                    double value) {}

    /**
     * When a task is due again; what comes first counts.
     *
     * @param months due again after so many months
     * @param distanceKm due again after so far
     * @param hours due again after so many hours of oil at 100 °C
     * @param after what makes it due when it happens
     */
    public record IntervalDocument(
            @Missing("time does not count") @Quantity(value = "months", min = 1, max = 240) Integer months,
            @Missing("distance does not count") @Quantity(value = "distance", min = 50, max = 200_000, unit = "km")
                    Double distanceKm,
            @Missing("hours do not count")
                    @Quantity(value = "hours of oil at 100 °C or their like", min = 1, max = 5000, unit = "h")
                    Double hours,
            @Missing("nothing") @Text(value = "what makes it due when it happens", max = 4)
                    List<Task.Happening> after) {
        Interval toCore() {
            return new Interval(
                    after == null ? List.of() : after,
                    Optional.ofNullable(months).map(Period::ofMonths),
                    distanceKm == null ? OptionalDouble.empty() : OptionalDouble.of(distanceKm * 1e3),
                    hours == null ? OptionalDouble.empty() : OptionalDouble.of(hours));
        }

        static IntervalDocument of(Interval i) {
            return new IntervalDocument(
                    i.period().map(p -> (int) p.toTotalMonths()).orElse(null),
                    i.distance().isPresent() ? (Double) (i.distance().getAsDouble() / 1e3) : null,
                    i.hours().isPresent() ? (Double) i.hours().getAsDouble() : null,
                    i.after());
        }
    }

    /**
     * A car's care.
     *
     * @param build the build that it counts from
     * @param built day on which that was begun
     * @param odometerKm highest odometer that was read
     * @param oilHours hours at 100 °C that the oil took since it was changed
     * @param figures figures that can be read, with what is believed of each
     * @param trends how figures that were read went over time
     * @param tasks the tasks, most urgent first
     * @param entries everything that was written, oldest day first
     */
    public record CareView(
            @Missing("nothing was built yet") String build,
            @Missing("nothing was built yet") String built,
            @Missing("not read") Double odometerKm,
            double oilHours,
            List<ReadableFigure> figures,
            List<TrendDocument> trends,
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
     * @param interval when it is due again
     * @param usual the usual interval, where its people set another
     * @param whose whose figure the interval is
     */
    public record CareTask(
            String id,
            MessageDocument what,
            MessageDocument why,
            MessageDocument caution,
            CareBook.Urgency urgency,
            List<MessageDocument> reasons,
            @Missing("time does not count") String date,
            @Missing("never") CareEntryDocument last,
            IntervalDocument interval,
            @Missing("nobody set another") IntervalDocument usual,
            @Missing("the usual one") String whose) {}

    /**
     * A figure that can be read.
     *
     * @param figure which
     * @param kind the kind of entry that it is read in
     * @param measure what it measures
     * @param least least that is believed, in the metric unit of its measure
     * @param most greatest that is believed
     */
    public record ReadableFigure(CareFigure figure, CareEntry.Kind kind, Measure measure, double least, double most) {
        static ReadableFigure of(CareFigure f) {
            Unit metric = f.measure().metric();
            return new ReadableFigure(
                    f,
                    f.kind(),
                    f.measure(),
                    Rounding.round(metric.of(f.least()), 3),
                    Rounding.round(metric.of(f.most()), 3));
        }
    }

    /**
     * How a figure went over time.
     *
     * @param figure which
     * @param measure what it measures
     * @param points what was read, oldest first
     * @param notes what it says
     */
    public record TrendDocument(
            CareFigure figure, Measure measure, List<TrendPoint> points, List<MessageDocument> notes) {}

    /**
     * A reading of a figure.
     *
     * @param day when
     * @param value in the metric unit of its measure
     * @param oilHours hours at 100 °C that the oil had taken since it was changed
     */
    public record TrendPoint(String day, double value, double oilHours) {}

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
