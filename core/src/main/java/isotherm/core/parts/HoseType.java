package isotherm.core.parts;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A hose that can be bought, by the metre or made up.
 *
 * @param maker its maker
 * @param number the maker's number
 * @param family how it is made
 * @param dash its dash size
 * @param bore inner diameter, m
 * @param outside outer diameter, m
 * @param bendRadius least radius of its centre line, m
 * @param rated working pressure, Pa
 * @param maxK highest oil temperature, K
 * @param standardLengths the lengths in which made-up lines are sold, m; empty for hose by the metre
 * @param pricePerMetre price in the garage's currency, per m
 * @param massPerMetre kg/m
 */
public record HoseType(
        String maker,
        String number,
        Family family,
        String dash,
        double bore,
        double outside,
        double bendRadius,
        double rated,
        double maxK,
        List<Double> standardLengths,
        double pricePerMetre,
        double massPerMetre) {
    /** Defensive copy. */
    public HoseType {
        standardLengths = List.copyOf(standardLengths);
    }

    /** How a hose is made; each has its own school. */
    public enum Family {
        /** Rubber under a steel or textile braid, ends that screw together. */
        BRAIDED_RUBBER("braided rubber", true, true, 6),
        /** PTFE liner under steel braid, ends with an olive. */
        PTFE("PTFE with braid", true, true, 10),
        /** Rubber pushed over barbs. */
        PUSH_ON("push-on rubber", true, false, 5),
        /** Hydraulic hose with steel ends pressed on, which cannot be shortened. */
        SWAGED("swaged hydraulic", false, false, 8);

        private final String words;
        private final boolean cuttable;
        private final boolean reusable;
        private final int years;

        Family(String words, boolean cuttable, boolean reusable, int years) {
            this.words = words;
            this.cuttable = cuttable;
            this.reusable = reusable;
            this.years = years;
        }

        /** @return its name in words */
        public String words() {
            return words;
        }

        /** @return whether it is cut to length by its builder */
        public boolean cuttable() {
            return cuttable;
        }

        /** @return whether its ends can be used again */
        public boolean reusable() {
            return reusable;
        }

        /** @return years after which it is changed, if its maker does not say (default) */
        public int years() {
            return years;
        }
    }

    /**
     * @param needed a length, m
     * @return the shortest standard length that is enough, m; empty when there is none
     */
    public OptionalDouble standard(double needed) {
        return standardLengths.stream()
                .mapToDouble(Double::doubleValue)
                .filter(l -> l >= needed - 1e-9)
                .min();
    }
}
