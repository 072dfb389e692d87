package isotherm.core.care;

import isotherm.core.message.Measure;
import isotherm.core.parts.Accessory;
import java.time.Period;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** The tasks of a car with a cooler. Intervals are usual ones and estimates; the makers' own come first. */
public final class CarePlan {
    /** The first look at all joints by distance, m. */
    public static final double FIRST_LOOK = 500e3;
    /** Hours at 100 °C that an oil lasts (default; an estimate, oil analysis knows better). */
    public static final double OIL_HOURS = 200;

    private static final double LOOK = 5_000e3;
    private static final double OIL_DISTANCE = 10_000e3;
    private static final Period YEAR = Period.ofYears(1);

    private CarePlan() {}

    /**
     * @param cooled whether oil goes to an air cooler: without one there are no hoses, fins and takeoff to look after
     * @param oilAtChange oil at each change, the cooler's share included, m³
     * @param coolersShare the cooler's share of it, m³
     * @param hoseYears years that the hoses last; empty when it is not known which they are
     * @param retorqued joints whose makers want them tightened again at each change of the oil, by name
     * @param accessories what else is in the loop
     * @return the tasks, in the order in which they first come
     */
    public static List<Task> tasks(
            boolean cooled,
            double oilAtChange,
            double coolersShare,
            Optional<Integer> hoseYears,
            List<String> retorqued,
            Set<Accessory.Kind> accessories) {
        List<Task> tasks = new ArrayList<>();
        tasks.add(task(
                Task.Kind.JOINTS,
                List.of(Task.Happening.FIRST_DRIVE, Task.Happening.SERVICE),
                Optional.of(YEAR),
                OptionalDouble.empty()));
        tasks.add(new Task(
                Task.Kind.JOINTS_AGAIN,
                new Interval(List.of(), Optional.empty(), OptionalDouble.of(FIRST_LOOK), OptionalDouble.empty()),
                true,
                Optional.empty(),
                Task.Kind.JOINTS_AGAIN.say("what").with("distance", Measure.TRAVEL, FIRST_LOOK)));
        if (cooled) {
            tasks.add(task(
                    Task.Kind.CENTRE_BOLT,
                    List.of(Task.Happening.FILTER_CHANGE),
                    Optional.empty(),
                    OptionalDouble.empty()));
        }
        if (!retorqued.isEmpty()) {
            tasks.add(new Task(
                    Task.Kind.RETORQUE,
                    new Interval(
                            List.of(Task.Happening.FILTER_CHANGE),
                            Optional.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty()),
                    false,
                    Optional.empty(),
                    Task.Kind.RETORQUE.say("what").name("joints", String.join("; ", retorqued))));
        }
        tasks.add(new Task(
                Task.Kind.OIL,
                new Interval(
                        List.of(), Optional.of(YEAR), OptionalDouble.of(OIL_DISTANCE), OptionalDouble.of(OIL_HOURS)),
                false,
                Optional.of(Task.Happening.FILTER_CHANGE),
                Task.Kind.OIL
                        .say("what")
                        .choose("cooled", cooled)
                        .with("all", Measure.VOLUME, oilAtChange)
                        .with("cooler", Measure.VOLUME, coolersShare)));
        if (cooled) {
            tasks.add(task(
                    Task.Kind.CHAFE, List.of(Task.Happening.HARD_DAY), Optional.of(YEAR), OptionalDouble.of(LOOK)));
            tasks.add(
                    task(Task.Kind.FINS, List.of(Task.Happening.HARD_DAY), Optional.of(YEAR), OptionalDouble.of(LOOK)));
        }
        hoseYears.ifPresent(years -> tasks.add(
                task(Task.Kind.HOSES, List.of(), Optional.of(Period.ofYears(years)), OptionalDouble.empty())));
        if (accessories.contains(Accessory.Kind.BYPASS_FILTER)) {
            tasks.add(task(
                    Task.Kind.BYPASS_ELEMENT,
                    List.of(Task.Happening.FILTER_CHANGE),
                    Optional.of(YEAR),
                    OptionalDouble.empty()));
        }
        if (accessories.contains(Accessory.Kind.ACCUMULATOR)) {
            tasks.add(task(Task.Kind.ACCUMULATOR, List.of(), Optional.of(YEAR), OptionalDouble.empty()));
        }
        return List.copyOf(tasks);
    }

    private static Task task(
            Task.Kind kind, List<Task.Happening> after, Optional<Period> period, OptionalDouble distance) {
        return new Task(
                kind,
                new Interval(after, period, distance, OptionalDouble.empty()),
                false,
                Optional.empty(),
                kind.say("what"));
    }
}
