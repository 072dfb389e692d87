package isotherm.words;

import isotherm.core.message.Measure;
import isotherm.core.message.Unit;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The units that a reader wants.
 *
 * @param imperial what is wanted in imperial units; all else is metric
 */
public record UnitChoice(Set<Measure> imperial) {
    /** Everything metric. */
    public static final UnitChoice METRIC = new UnitChoice(Set.of());
    /** Everything imperial. */
    public static final UnitChoice IMPERIAL = new UnitChoice(Set.of(Measure.values()));

    /** Defensive copy; what an address names without naming a measure counts for nothing. */
    public UnitChoice {
        imperial = imperial.stream().filter(Objects::nonNull).collect(Collectors.toUnmodifiableSet());
    }

    /**
     * @param measure what is measured
     * @return the unit that is wanted for it
     */
    public Unit unit(Measure measure) {
        return imperial.contains(measure) ? measure.imperial() : measure.metric();
    }
}
