package isotherm.words;

import isotherm.core.message.Measure;
import isotherm.core.message.Unit;
import java.util.Set;

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

    /** Defensive copy. */
    public UnitChoice {
        imperial = Set.copyOf(imperial);
    }

    /**
     * @param measure what is measured
     * @return the unit that is wanted for it
     */
    public Unit unit(Measure measure) {
        return imperial.contains(measure) ? measure.imperial() : measure.metric();
    }
}
