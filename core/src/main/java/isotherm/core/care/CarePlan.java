package isotherm.core.care;

import java.time.Period;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

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
     * @param oilAtChange oil at each change, the cooler's share included, m³
     * @param coolersShare the cooler's share of it, m³
     * @param hoseYears years that the hoses last; empty when it is not known which they are
     * @return the tasks, in the order in which they first come
     */
    public static List<Task> tasks(double oilAtChange, double coolersShare, Optional<Integer> hoseYears) {
        List<Task> tasks = new ArrayList<>();
        tasks.add(task(
                "joints",
                "Look at every joint with a dry cloth; tighten only what has moved",
                "Gaskets and flares settle in the first heat and the first weeks",
                "On stands, engine cold. What is hot and under pressure stays shut.",
                List.of(Task.Happening.FIRST_DRIVE, Task.Happening.SERVICE),
                Optional.of(YEAR),
                OptionalDouble.empty()));
        tasks.add(new Task(
                "joints-500",
                "Look at every joint again at 500 km",
                "By now everything has been hot and cold a few dozen times",
                "On stands, engine cold.",
                List.of(),
                Optional.empty(),
                OptionalDouble.of(FIRST_LOOK),
                OptionalDouble.empty(),
                true,
                Optional.empty()));
        tasks.add(task(
                "centre-bolt",
                "Tighten the takeoff's centre bolt again, to the maker's figure",
                "Each filter that is unscrewed turns at it",
                "Engine cold: what runs out may be hot.",
                List.of(Task.Happening.FILTER_CHANGE),
                Optional.empty(),
                OptionalDouble.empty()));
        tasks.add(new Task(
                "oil",
                String.format(
                        Locale.ROOT,
                        "Change oil and filter: %.2f L in all, of which %.2f L are the cooler's",
                        oilAtChange * 1e3,
                        coolersShare * 1e3),
                "Oil ages by hours at temperature: twice as fast for every 10 K more",
                "Hot oil burns. Collect it all and hand it in under your local rules.",
                List.of(),
                Optional.of(YEAR),
                OptionalDouble.of(OIL_DISTANCE),
                OptionalDouble.of(OIL_HOURS),
                false,
                Optional.of(Task.Happening.FILTER_CHANGE)));
        tasks.add(task(
                "chafe",
                "Look along both hoses for chafe, at every clip and wherever they pass something",
                "A hose that touches is through in a season",
                "Braid wire stabs: run a cloth along it, not the bare hand.",
                List.of(Task.Happening.HARD_DAY),
                Optional.of(YEAR),
                OptionalDouble.of(LOOK)));
        tasks.add(task(
                "fins",
                "Wash the core from behind, straighten its fins",
                "Flies, rubber and bent fins take its air",
                "Low pressure only, core cold; goggles on.",
                List.of(Task.Happening.HARD_DAY),
                Optional.of(YEAR),
                OptionalDouble.of(LOOK)));
        hoseYears.ifPresent(years -> tasks.add(task(
                "hoses",
                "Replace both hoses",
                "Rubber ages from the inside, where nobody looks",
                "The loop is under pressure while the engine runs and holds oil when it stands: tray under it.",
                List.of(),
                Optional.of(Period.ofYears(years)),
                OptionalDouble.empty())));
        return List.copyOf(tasks);
    }

    private static Task task(
            String id,
            String what,
            String why,
            String caution,
            List<Task.Happening> after,
            Optional<Period> period,
            OptionalDouble distance) {
        return new Task(
                id, what, why, caution, after, period, distance, OptionalDouble.empty(), false, Optional.empty());
    }
}
