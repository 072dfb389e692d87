package isotherm.core.sheetmetal;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout.Pointing;
import isotherm.core.nose.Rect;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A shroud from an opening's edges, at the skin, to the outer edges of a core's front. */
public final class Shroud {
    private Shroud() {}

    /**
     * One side.
     *
     * @param mark what is scribed on it
     * @param carFrom one end of its edge at the opening, in the car's axes, m
     * @param carTo the other end, m
     * @param coreFrom end of its edge at the core beside the first, in the core's own axes, m
     * @param coreTo the other end, m
     * @param faces which way the core's side looks that its flange lies on
     */
    public record Side(
            String mark, Vector3D carFrom, Vector3D carTo, Vector3D coreFrom, Vector3D coreTo, Pointing faces) {}

    /**
     * @param o an opening in the skin
     * @param core the core behind it
     * @return upper, lower, left and right side
     */
    public static List<Side> sides(Rect o, Core core) {
        double w = core.outsideWidth() / 2;
        double h = core.outsideHeight() / 2;
        Vector3D[] hole = {
            at(o.left(), o.bottom()), at(o.right(), o.bottom()), at(o.left(), o.top()), at(o.right(), o.top())
        };
        Vector3D[] front = {at(-w, -h), at(w, -h), at(-w, h), at(w, h)};
        return List.of(
                side("S1", hole, front, 2, 3, Pointing.UP),
                side("S2", hole, front, 0, 1, Pointing.DOWN),
                side("S3", hole, front, 0, 2, Pointing.LEFT),
                side("S4", hole, front, 1, 3, Pointing.RIGHT));
    }

    private static Side side(String mark, Vector3D[] hole, Vector3D[] front, int from, int to, Pointing faces) {
        return new Side(mark, hole[from], hole[to], front[from], front[to], faces);
    }

    private static Vector3D at(double x, double y) {
        return new Vector3D(x, y, 0);
    }
}
