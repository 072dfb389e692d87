package isotherm.core.sheet;

import java.util.Map;
import java.util.Optional;

/**
 * A leak that was found at a step, and how far it is mended.
 *
 * @param found the entry that says so
 * @param kind how the joint seals
 * @param done what was done about it, with its entry
 * @param mistaken the entry that says that there was none
 */
public record Leak(Entry found, LeakKind kind, Map<LeakStep, Entry> done, Optional<Entry> mistaken) {
    /** Defensive copy. */
    public Leak {
        done = Map.copyOf(done);
    }

    /** @return whether the work waits for it */
    public boolean open() {
        return mistaken.isEmpty() && !done.containsKey(LeakStep.DRY);
    }

    /** @return what is to be done next; empty when it is dry, or was none */
    public Optional<LeakStep> next() {
        if (!open()) {
            return Optional.empty();
        }
        for (LeakStep s : LeakStep.values()) {
            if (!done.containsKey(s)) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }
}
