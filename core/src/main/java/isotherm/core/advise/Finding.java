package isotherm.core.advise;

import isotherm.core.simulate.Design;
import java.util.Optional;

/**
 * One thing that the rules have to say about a design.
 *
 * @param severity how serious it is
 * @param topic what it is about
 * @param what the finding in one sentence
 * @param figure the figure behind it, with its unit
 * @param why the reason, in a sentence or two
 * @param remedy a change that would mend it, if one is known
 */
public record Finding(Severity severity, Topic topic, String what, String figure, String why, Optional<Remedy> remedy) {

    /** How serious a finding is, most serious first. */
    public enum Severity {
        /** It will fail or do damage. */
        FAILS,
        /** It may fail, or costs something that the builder should know of. */
        RISK,
        /** Worth knowing. */
        NOTE,
        /** As it should be. */
        GOOD
    }

    /** What a finding is about. */
    public enum Topic {
        /** The oil gets hotter than its limit or its target. */
        TOO_HOT,
        /** The oil stays too cold on the road. */
        TOO_COLD,
        /** The oil stays in its band. */
        HOLDS,
        /** The car does not need a cooler for this duty. */
        NOT_NEEDED
    }

    /**
     * A change to the design.
     *
     * @param label what to do, in the imperative
     * @param design the design after it
     */
    public record Remedy(String label, Design design) {}
}
