package isotherm.core.care;

import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * When a task is due again; what comes first counts.
 *
 * @param after what makes it due when it happens
 * @param period due again after so much time; empty when time does not count
 * @param distance due again after so far, m; empty when distance does not count
 * @param hours due again after so many hours of oil at 100 °C or their like; empty when they do not count
 */
public record Interval(
        List<Task.Happening> after, Optional<Period> period, OptionalDouble distance, OptionalDouble hours) {
    /** Defensive copy. */
    public Interval {
        after = List.copyOf(after);
    }

    /** @return whether it says anything */
    public boolean counts() {
        return !after.isEmpty() || period.isPresent() || distance.isPresent() || hours.isPresent();
    }
}
