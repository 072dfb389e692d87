package isotherm.core.nose;

import java.util.List;
import java.util.OptionalDouble;

/**
 * The nose of a car, measured by tape: across from the centre line, up from the ground, back from the foremost skin.
 *
 * @param openings openings in the skin that can feed a core or the radiator
 * @param parts what stands behind the skin
 * @param crushDepth how far back the part of the nose reaches that crushes or folds in a light knock, m
 * @param groundLine lowest point of the nose, undertray or lip, m above the ground
 * @param archVented whether the wheel arch liners have outlets
 */
public record Nose(List<Opening> openings, List<Part> parts, double crushDepth, double groundLine, boolean archVented) {
    /** Defensive copies. */
    public Nose {
        openings = List.copyOf(openings);
        parts = List.copyOf(parts);
    }

    /**
     * An opening in the skin.
     *
     * @param name what its people call it
     * @param face where it is
     * @param barShare share of it that bars and their net take, 0 to below 1
     */
    public record Opening(String name, Rect face, double barShare) {
        /** @return area that lets air through, m² */
        double free() {
            return face.area() * (1 - barShare);
        }
    }

    /**
     * Something behind the skin.
     *
     * @param name what its people call it
     * @param kind what it is
     * @param face its outline in the front view
     * @param front distance of its front from the skin, m
     * @param depth its depth, m
     * @param heat what it gives to the air at its hardest, W; empty for what its kind usually gives
     */
    public record Part(String name, Kind kind, Rect face, double front, double depth, OptionalDouble heat) {
        /**
         * A part that gives to the air what its kind usually gives.
         *
         * @param name what its people call it
         * @param kind what it is
         * @param face its outline in the front view
         * @param front distance of its front from the skin, m
         * @param depth its depth, m
         */
        public Part(String name, Kind kind, Rect face, double front, double depth) {
            this(name, kind, face, front, depth, OptionalDouble.empty());
        }

        /** @return heat that it gives to the air at its hardest, W */
        public double warms() {
            return heat.orElse(kind.heat);
        }

        /** @return distance of its back from the skin, m */
        public double back() {
            return front + depth;
        }
    }

    /** What a part is, which decides whether air passes it. */
    public enum Kind {
        /** Crash beam. */
        BEAM(true, 0),
        /** Number plate with its holder. */
        PLATE(true, 0),
        /** Condenser of the air conditioning. */
        CONDENSER(false, 6e3),
        /** The coolant radiator. */
        RADIATOR(false, 0),
        /** The radiator's fan with its shroud. */
        FAN(false, 0),
        /** An intercooler. */
        INTERCOOLER(false, 8e3),
        /** Cooler of the power steering. */
        STEERING_COOLER(false, 0.5e3),
        /** Cooler of the gearbox. */
        GEARBOX_COOLER(false, 4e3),
        /** Horn. */
        HORN(true, 0),
        /** Lines of the air conditioning: under pressure, never opened by hand, never bent away. */
        LINES(true, 0),
        /** Anything else that air does not pass: lamp, washer bottle, frame rail. */
        OTHER(true, 0);

        private final boolean solid;
        private final double heat;

        /** The heat is what such a part gives at its hardest (default); a radiator's is the session's own. */
        Kind(boolean solid, double heat) {
            this.solid = solid;
            this.heat = heat;
        }

        /** @return whether air has to go round it */
        public boolean solid() {
            return solid;
        }
    }
}
