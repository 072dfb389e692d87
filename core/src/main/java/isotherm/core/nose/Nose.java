package isotherm.core.nose;

import java.util.List;

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
     */
    public record Part(String name, Kind kind, Rect face, double front, double depth) {
        /** @return distance of its back from the skin, m */
        public double back() {
            return front + depth;
        }
    }

    /** What a part is, which decides whether air passes it. */
    public enum Kind {
        /** Crash beam. */
        BEAM(true),
        /** Number plate with its holder. */
        PLATE(true),
        /** Condenser of the air conditioning. */
        CONDENSER(false),
        /** The coolant radiator. */
        RADIATOR(false),
        /** The radiator's fan with its shroud. */
        FAN(false),
        /** An intercooler. */
        INTERCOOLER(false),
        /** Anything else that air does not pass: horn, lamp, washer bottle, frame rail. */
        OTHER(true);

        private final boolean solid;

        Kind(boolean solid) {
            this.solid = solid;
        }

        /** @return whether air has to go round it */
        public boolean solid() {
            return solid;
        }
    }
}
