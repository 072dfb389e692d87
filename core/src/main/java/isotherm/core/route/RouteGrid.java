package isotherm.core.route;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The rectilinear grid of a route: its planes lead through every end, way-point and hole, and others stand between them. It
 * remembers how much room there is at each of its points.
 */
final class RouteGrid {
    /** Distance of the grid's planes, m (default). */
    private static final double SPACING = 30e-3;
    /** Planes nearer than this to one that is needed give way to it, m. */
    private static final double CROWDED = 9e-3;
    /** Lines nearer than this are one, m. */
    static final double SAME_LINE = 1e-6;
    /** Cosine from which on a fitting points along an axis. */
    private static final double ALONG = 0.35;

    /** Both ways along each axis, the positive one first. */
    static final Vector3D[] DIRECTIONS = {
        Vector3D.PLUS_I, Vector3D.MINUS_I, Vector3D.PLUS_J, Vector3D.MINUS_J, Vector3D.PLUS_K, Vector3D.MINUS_K
    };

    private final RouteRequest request;
    private final double[][] planes;
    /** Room at each cell, m; NaN where nobody has looked yet. */
    private final double[] slacks;

    private final Vector3D[] points;
    private final List<List<Vector3D>> rails;

    RouteGrid(RouteRequest request) {
        this.request = request;
        this.rails = findRails();
        this.planes = new double[][] {planes(Vector3D::getX), planes(Vector3D::getY), planes(Vector3D::getZ)};
        this.slacks = new double[planes[0].length * planes[1].length * planes[2].length];
        this.points = new Vector3D[slacks.length];
        Arrays.fill(slacks, Double.NaN);
    }

    /** Number of its points. */
    int size() {
        return slacks.length;
    }

    /** Number of its planes along each axis. */
    int[] sizes() {
        return new int[] {planes[0].length, planes[1].length, planes[2].length};
    }

    /** Where its planes cross an axis, m. */
    double[] planes(int axis) {
        return planes[axis];
    }

    /** Points of the lines along an axis that lead where the hose has to go. */
    List<Vector3D> rails(int axis) {
        return rails.get(axis);
    }

    /** Room at a cell, m. */
    double slack(int cell) {
        if (Double.isNaN(slacks[cell])) {
            slacks[cell] = request.space().slack(point(cell));
        }
        return slacks[cell];
    }

    private double[] planes(ToDoubleFunction<Vector3D> axis) {
        TreeSet<Double> needed = new TreeSet<>();
        for (List<Exit> side : List.of(request.starts(), request.goals())) {
            for (Exit e : side) {
                needed.add(axis.applyAsDouble(e.at()));
                if (axial(e.direction()) < 0) {
                    needed.add(axis.applyAsDouble(stub(e)));
                }
            }
        }
        request.wayPoints().forEach(w -> needed.add(axis.applyAsDouble(w)));
        request.space().bay().holes().forEach(h -> needed.add(axis.applyAsDouble(h.centre())));
        TreeSet<Double> all = new TreeSet<>();
        for (double n : needed) {
            Double before = all.floor(n);
            if (before == null || n - before > 1e-6) {
                all.add(n);
            }
        }
        TreeSet<Double> special = new TreeSet<>(all);
        double from = axis.applyAsDouble(request.space().bay().room().low());
        double to = axis.applyAsDouble(request.space().bay().room().high());
        int n = (int) Math.ceil((to - from) / SPACING);
        for (int i = 0; i <= n; i++) {
            double v = from + (to - from) * i / n;
            Double below = special.floor(v);
            Double above = special.ceiling(v);
            if ((below == null || v - below > CROWDED) && (above == null || above - v > CROWDED)) {
                all.add(v);
            }
        }
        return all.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private List<List<Vector3D>> findRails() {
        List<List<Vector3D>> rails = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        request.space().bay().holes().forEach(h -> rails.get(h.axis().ordinal()).add(h.centre()));
        for (Exit e : request.goals()) {
            int axial = axial(e.direction());
            if (axial >= 0) {
                rails.get(axial / 2).add(e.at());
            } else {
                // A hose comes in along an axis that the fitting points along for a good part.
                double[] d = e.direction().toArray();
                for (int axis = 0; axis < d.length; axis++) {
                    if (Math.abs(d[axis]) > ALONG) {
                        rails.get(axis).add(stub(e));
                    }
                }
            }
        }
        request.wayPoints().forEach(w -> rails.forEach(r -> r.add(w)));
        List<List<Vector3D>> once = new ArrayList<>();
        for (int axis = 0; axis < rails.size(); axis++) {
            List<Vector3D> lines = new ArrayList<>();
            for (Vector3D rail : rails.get(axis)) {
                int along = axis;
                if (lines.stream().noneMatch(r -> aside(along, r, rail) < SAME_LINE)) {
                    lines.add(rail);
                }
            }
            once.add(lines);
        }
        return once;
    }

    /** How far two points are apart across an axis, m. */
    static double aside(int axis, Vector3D a, Vector3D b) {
        double x = axis == 0 ? 0 : a.getX() - b.getX();
        double y = axis == 1 ? 0 : a.getY() - b.getY();
        double z = axis == 2 ? 0 : a.getZ() - b.getZ();
        return Math.sqrt(x * x + y * y + z * z);
    }

    static int index(double[] planes, double v) {
        int at = Arrays.binarySearch(planes, v);
        if (at >= 0) {
            return at;
        }
        int after = -at - 1;
        if (after == planes.length || after > 0 && v - planes[after - 1] < planes[after] - v) {
            after--;
        }
        return after;
    }

    int cell(Vector3D p) {
        return (index(planes[0], p.getX()) * planes[1].length + index(planes[1], p.getY())) * planes[2].length
                + index(planes[2], p.getZ());
    }

    Vector3D point(int cell) {
        if (points[cell] == null) {
            int nz = planes[2].length;
            int ny = planes[1].length;
            points[cell] = new Vector3D(planes[0][cell / nz / ny], planes[1][cell / nz % ny], planes[2][cell % nz]);
        }
        return points[cell];
    }

    /** The neighbour in a direction, or -1 at the edge. */
    int next(int cell, int direction) {
        int nz = planes[2].length;
        int ny = planes[1].length;
        int step = (direction & 1) == 0 ? 1 : -1;
        int axis = direction / 2;
        int i = axis == 0 ? cell / nz / ny : axis == 1 ? cell / nz % ny : cell % nz;
        if (i + step < 0 || i + step >= planes[axis].length) {
            return -1;
        }
        return cell + step * (axis == 0 ? ny * nz : axis == 1 ? nz : 1);
    }

    static int axial(Vector3D direction) {
        for (int d = 0; d < DIRECTIONS.length; d++) {
            if (direction.dotProduct(DIRECTIONS[d]) > 1 - 1e-9) {
                return d;
            }
        }
        return -1;
    }

    /** The corner at which a hose that leaves askew turns into the grid; every turn up to 90° fits before it. */
    Vector3D stub(Exit e) {
        return e.at().add(new Vector3D(request.bendRadius(), e.direction()));
    }

    // ---- the search
}
