package isotherm.core.sheetmetal;

import java.util.List;

/**
 * A bracket before it is bent: a rectangle with holes and bend lines, seen from its upper face, from its lower left corner at the
 * car's end.
 *
 * @param length m
 * @param width m
 * @param holes the one at the car first
 * @param bends in order from the car
 */
public record FlatPattern(double length, double width, List<Hole> holes, List<Bend> bends) {
    /** Defensive copies. */
    public FlatPattern {
        holes = List.copyOf(holes);
        bends = List.copyOf(bends);
    }

    /**
     * A hole.
     *
     * @param x along the strip, m
     * @param y across it, m
     * @param diameter m
     */
    public record Hole(double x, double y, double diameter) {}
}
