package isotherm.core.care;

import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A car's care book: what was written in it, and what is due by it.
 *
 * @param tasks the tasks of the plan; what its people wrote of their own comes to them
 * @param built when the cooler was built in
 * @param builtAt odometer then, m; empty when nobody wrote it down
 * @param entries everything that was written, in the order of the days on which it was
 */
public record CareBook(List<Task> tasks, LocalDate built, OptionalDouble builtAt, List<CareEntry> entries) {
    /** Due soon when less than this share of an interval is left. */
    private static final double SOON = 0.1;

    /** Defensive copies; entries are put in the order of their days. */
    public CareBook {
        tasks = List.copyOf(tasks);
        entries = entries.stream().sorted(Comparator.comparing(CareEntry::at)).toList();
    }

    /** How urgent a task is. */
    public enum Urgency {
        /** It is time. */
        DUE,
        /** Less than a tenth of its interval is left. */
        SOON,
        /** Not yet. */
        LATER,
        /** It was to be done once, and is. */
        DONE
    }

    /**
     * A task and when it is due.
     *
     * @param task the task
     * @param urgency how urgent it is
     * @param reasons why
     * @param date when it is due by date; empty when time does not count
     * @param last the entry that last said that it was done
     */
    public record Due(
            Task task, Urgency urgency, List<Message> reasons, Optional<LocalDate> date, Optional<CareEntry> last) {}

    /** @return entries that count: neither struck nor strikes */
    public List<CareEntry> counting() {
        Set<String> struck = new HashSet<>();
        entries.stream().filter(e -> e.kind() == CareEntry.Kind.STRUCK).forEach(e -> struck.add(e.on()));
        return entries.stream()
                .filter(e -> e.kind() != CareEntry.Kind.STRUCK && !struck.contains(e.id().toString()))
                .toList();
    }

    /** @return the highest odometer that was read, m */
    public OptionalDouble odometer() {
        return counting().stream()
                .filter(e -> e.odometer().isPresent())
                .mapToDouble(e -> e.odometer().getAsDouble())
                .max();
    }

    /** @return hours at 100 °C that the oil took since it was changed, as far as they were written down */
    public double oilHours() {
        double hours = 0;
        for (CareEntry e : counting()) {
            hours = changesOil(e) ? 0 : hours + e.oilHours().orElse(0);
        }
        return hours;
    }

    /** Whether an entry says that the oil was changed. */
    static boolean changesOil(CareEntry e) {
        return e.kind() == CareEntry.Kind.DONE && e.on().equals(Task.Kind.OIL.id())
                || e.kind() == CareEntry.Kind.HAPPENED && e.on().equals(Task.Happening.FILTER_CHANGE.name());
    }

    /** @return the tasks of the plan by its people's intervals, and those of their own, in the order in which they were written */
    public List<Task> allTasks() {
        Map<String, Task> all = new LinkedHashMap<>();
        tasks.forEach(t -> all.put(t.id(), t));
        for (CareEntry e : counting()) {
            if (e.kind() != CareEntry.Kind.TASK || e.interval().isEmpty()) {
                continue;
            }
            Interval own = e.interval().get();
            Task known = all.get(e.on());
            if (known != null) {
                all.put(e.on(), known.by(own, e.text()));
            } else if (e.on().isEmpty()) {
                String id = e.id().toString();
                all.put(
                        id,
                        new Task(
                                Task.Kind.OWN,
                                id,
                                own,
                                false,
                                Optional.empty(),
                                Task.Kind.OWN.say("what").name("words", e.text()),
                                Optional.empty(),
                                e.who()));
            }
        }
        return List.copyOf(all.values());
    }

    /**
     * @param today the day
     * @return every task with when it is due, the most urgent first
     */
    public List<Due> due(LocalDate today) {
        return allTasks().stream()
                .map(t -> due(t, today))
                .sorted(Comparator.comparing(Due::urgency))
                .toList();
    }

    private Due due(Task task, LocalDate today) {
        List<CareEntry> counting = counting();
        Optional<CareEntry> last = counting.stream()
                .filter(e -> e.kind() == CareEntry.Kind.DONE && e.on().equals(task.id()))
                .reduce((a, b) -> b);
        if (task.once() && last.isPresent()) {
            return new Due(task, Urgency.DONE, List.of(CareReason.DONE.say("text")), Optional.empty(), last);
        }
        // A task of their own counts from the day on which they wrote it.
        Optional<CareEntry> begun = last.or(() -> counting.stream()
                .filter(e -> e.id().toString().equals(task.id()))
                .findFirst());
        List<Reason> reasons = new ArrayList<>();
        counting.stream()
                .filter(e -> begun.isEmpty() || e.at().isAfter(begun.get().at()))
                .filter(e ->
                        happening(e).filter(task.interval().after()::contains).isPresent())
                .reduce((a, b) -> b)
                .ifPresent(e -> reasons.add(new Reason(
                        0,
                        CareReason.HAPPENED
                                .say("text")
                                .choose("event", happening(e).orElseThrow())
                                .name("day", day(e.at()).toString()))));
        LocalDate from = begun.map(e -> day(e.at())).orElse(built);
        Optional<LocalDate> date = task.interval().period().map(from::plus);
        date.ifPresent(d -> {
            double days = ChronoUnit.DAYS.between(today, d);
            reasons.add(new Reason(
                    days / ChronoUnit.DAYS.between(from, d),
                    (days <= 0 ? CareReason.SINCE : CareReason.BY).say("text").name("day", d.toString())));
        });
        OptionalDouble start = begun.isPresent() ? odometerAt(begun.get(), counting) : builtAt;
        OptionalDouble now = odometer();
        if (task.interval().distance().isPresent() && start.isPresent() && now.isPresent()) {
            double metres = start.getAsDouble() + task.interval().distance().getAsDouble() - now.getAsDouble();
            reasons.add(new Reason(
                    metres / task.interval().distance().getAsDouble(),
                    (metres <= 0 ? CareReason.DISTANCE_OVER : CareReason.DISTANCE_LEFT)
                            .say("text")
                            .with("distance", Measure.TRAVEL, Math.abs(metres))));
        }
        if (task.interval().hours().isPresent()) {
            double used = counting.stream()
                    .filter(e -> begun.isEmpty() || e.at().isAfter(begun.get().at()))
                    .mapToDouble(e -> e.oilHours().orElse(0))
                    .sum();
            double hours = task.interval().hours().getAsDouble() - used;
            reasons.add(new Reason(
                    hours / task.interval().hours().getAsDouble(),
                    (hours <= 0 ? CareReason.HOURS_OVER : CareReason.HOURS_LEFT)
                            .say("text")
                            .with("hours", Measure.NUMBER, Math.abs(hours), 0)
                            .with("at", Measure.TEMPERATURE, Units.kelvin(100))));
        }
        double left = reasons.stream().mapToDouble(Reason::left).min().orElse(1);
        Urgency urgency = left <= 0 ? Urgency.DUE : left < SOON ? Urgency.SOON : Urgency.LATER;
        // What is due says what made it so; what is not says all that will.
        List<Message> told = reasons.stream()
                .filter(r -> left > 0 || r.left() <= 0)
                .map(Reason::what)
                .toList();
        return new Due(task, urgency, told.isEmpty() ? List.of(waiting(task)) : told, date, last);
    }

    /** What an entry says happened, by itself or because a task was done that brings it about. */
    private Optional<Task.Happening> happening(CareEntry e) {
        return switch (e.kind()) {
            case HAPPENED -> Optional.of(Task.Happening.valueOf(e.on()));
            case DONE ->
                tasks.stream().filter(t -> t.id().equals(e.on())).findFirst().flatMap(Task::happens);
            case DRIVEN, OIL_ANALYSIS, DASH, LAPS, TASK, STRUCK -> Optional.empty();
        };
    }

    /** Something that makes a task due, and what share of its interval is left. */
    private record Reason(double left, Message what) {}

    private static Message waiting(Task task) {
        return task.interval().after().isEmpty()
                ? CareReason.NO_ODOMETER.say("text")
                : CareReason.NEXT
                        .say("text")
                        .choose("event", task.interval().after().get(0));
    }

    /** The odometer at an entry: its own, or the last one read before it. */
    private static OptionalDouble odometerAt(CareEntry entry, List<CareEntry> counting) {
        return counting.stream()
                .filter(e -> !e.at().isAfter(entry.at()) && e.odometer().isPresent())
                .mapToDouble(e -> e.odometer().getAsDouble())
                .max();
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneOffset.UTC).toLocalDate();
    }

    /**
     * @param entry something that is to be written
     * @return why it cannot be; empty when it can
     */
    public Optional<Message> refusal(CareEntry entry) {
        return switch (entry.kind()) {
            case DONE -> known(entry.on()) ? Optional.empty() : Optional.of(CareRefusal.NO_SUCH_TASK.say("text"));
            case HAPPENED ->
                List.of(Task.Happening.values()).stream()
                                .noneMatch(h -> h.name().equals(entry.on()))
                        ? Optional.of(CareRefusal.UNKNOWN_EVENT.say("text"))
                        : Optional.empty();
            case DRIVEN ->
                entry.odometer().isEmpty() && entry.oilHours().isEmpty()
                        ? Optional.of(CareRefusal.NOTHING_DRIVEN.say("text"))
                        : Optional.empty();
            case OIL_ANALYSIS, DASH, LAPS -> unread(entry);
            case TASK ->
                entry.interval().filter(Interval::counts).isEmpty()
                        ? Optional.of(CareRefusal.NO_INTERVAL.say("text"))
                        : entry.text().isBlank()
                                ? Optional.of(CareRefusal.TASK_EMPTY.say("text"))
                                : entry.on().isEmpty() || known(entry.on())
                                        ? Optional.empty()
                                        : Optional.of(CareRefusal.NO_SUCH_TASK.say("text"));
            case STRUCK ->
                entry.text().isBlank()
                        ? Optional.of(CareRefusal.REASON_EMPTY.say("text"))
                        : counting().stream().noneMatch(e -> e.id().toString().equals(entry.on()))
                                ? Optional.of(CareRefusal.NO_SUCH_ENTRY.say("text"))
                                : Optional.empty();
        };
    }

    private boolean known(String task) {
        return allTasks().stream().anyMatch(t -> t.id().equals(task));
    }

    private static Optional<Message> unread(CareEntry entry) {
        if (entry.text().isBlank() && entry.figures().isEmpty()) {
            return Optional.of(CareRefusal.NOTHING_READ.say("text"));
        }
        return entry.figures().entrySet().stream()
                .filter(f -> f.getKey().kind() != entry.kind()
                        || !(f.getValue() >= f.getKey().least()
                                && f.getValue() <= f.getKey().most()))
                .findFirst()
                .map(f -> CareRefusal.FIGURE_UNLIKELY
                        .say("text")
                        .say("figure", f.getKey().say("name"))
                        .with("least", f.getKey().measure(), f.getKey().least())
                        .with("most", f.getKey().measure(), f.getKey().most()));
    }
}
