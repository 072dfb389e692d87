package isotherm.core.parts;

/**
 * What may sit in the loop beside core and hoses.
 *
 * @param kind what it is
 * @param volume oil that it holds, m³
 * @param valve how it is shut off
 */
public record Accessory(Kind kind, double volume, Valve valve) {
    /** What it is, with the velocity heads that it costs the line. */
    public enum Kind {
        /** A store of oil under pressure that fills the galleries before the start and in long corners; tees in after the cooler. */
        ACCUMULATOR("accumulator", 0),
        /** A fine filter that a small share of the oil passes beside the loop. */
        BYPASS_FILTER("by-pass filter", 0),
        /** A full-flow filter on a head of its own. */
        REMOTE_HEAD("remote filter head", 4.0);

        private final String words;
        private final double heads;

        Kind(String words, double heads) {
            this.words = words;
            this.heads = heads;
        }

        /** @return its name in words */
        public String words() {
            return words;
        }

        /** @return velocity heads that it costs the line (default) */
        public double heads() {
            return heads;
        }
    }

    /** How it is shut off. */
    public enum Valve {
        /** Nothing shuts it off. */
        NONE,
        /** A lever. */
        MANUAL,
        /** A solenoid on the ignition. */
        ELECTRIC
    }
}
