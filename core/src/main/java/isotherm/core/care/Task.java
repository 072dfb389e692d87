package isotherm.core.care;

import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that has to be done again and again, or once after something happened.
 *
 * @param id what it is known by
 * @param what what is done
 * @param why why it is done
 * @param caution what can hurt; empty where nothing can
 * @param after what makes it due when it happens
 * @param period due again after so much time; empty when time does not count
 * @param distance due again after so far, m; empty when distance does not count
 * @param hours due again after so many hours of oil at 100 °C or their like; empty when they do not count
 * @param once whether distance counts from the build only: one look, not one again and again
 * @param happens what happens to the car when it is done; empty for most tasks
 */
public record Task(
        String id,
        String what,
        String why,
        String caution,
        List<Happening> after,
        Optional<Period> period,
        OptionalDouble distance,
        OptionalDouble hours,
        boolean once,
        Optional<Happening> happens) {
    /** Defensive copy. */
    public Task {
        after = List.copyOf(after);
    }

    /** What may happen to a car. */
    public enum Happening {
        /** The first drive after the build. */
        FIRST_DRIVE,
        /** Oil and filter were changed. */
        FILTER_CHANGE,
        /** A service. */
        SERVICE,
        /** A day on a track, or a long climb with a trailer. */
        HARD_DAY
    }
}
