package isotherm.core.nose;

/**
 * Something that a core must not touch.
 *
 * @param name what its people call it
 * @param face its outline in the front view
 * @param front distance of its front from the skin, m
 * @param back distance of its back from the skin, m
 * @param keeps least distance that a core keeps from it, m
 * @param moves how far it moves towards the core, m; 0 for what is fixed to the body
 */
public record Standing(String name, Rect face, double front, double back, double keeps, double moves) {
    static Standing of(Nose.Part part) {
        return new Standing(part.name(), part.face(), part.front(), part.back(), NoseFit.LEAST_CLEARANCE, 0);
    }

    /**
     * @param outline whole core in the front view
     * @param from its foremost point, m back from the skin
     * @param to its rearmost point, m back from the skin
     * @return distance between the two where this has moved towards the core, m; 0 where they touch
     */
    double distance(Rect outline, double from, double to) {
        double along = Math.max(0, Math.max(front - to, from - back));
        return Math.max(0, Math.hypot(face.distance(outline), along) - moves);
    }
}
