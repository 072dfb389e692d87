package isotherm.core.sheetmetal;

import java.util.List;
import org.hipparchus.geometry.euclidean.twod.Vector2D;

/**
 * A panel before it is bent, seen from its upper face.
 *
 * @param outline its corners in turn, m
 * @param holes middles of its holes, m; those at the car first
 * @param folds its bend lines
 */
public record FlatSheet(List<Vector2D> outline, List<Vector2D> holes, List<Fold> folds) {
    /** Defensive copies. */
    public FlatSheet {
        outline = List.copyOf(outline);
        holes = List.copyOf(holes);
        folds = List.copyOf(folds);
    }

    /**
     * A bend line, in the middle of its bend.
     *
     * @param from one end, m
     * @param to the other end, m
     * @param angle by which the sheet is turned, rad; positive towards its upper face
     * @param allowance length of flat sheet that goes into it, m
     */
    public record Fold(Vector2D from, Vector2D to, double angle, double allowance) {}

    /** @return its area, m² */
    public double area() {
        double twice = 0;
        for (int i = 0; i < outline.size(); i++) {
            Vector2D a = outline.get(i);
            Vector2D b = outline.get((i + 1) % outline.size());
            twice += a.getX() * b.getY() - b.getX() * a.getY();
        }
        return Math.abs(twice) / 2;
    }
}
