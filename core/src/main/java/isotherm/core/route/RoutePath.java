package isotherm.core.route;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The centre line of a hose: straight from corner to corner, each inner corner rounded by an arc that touches both sides.
 *
 * @param corners its corners from end to end, m; two at least
 * @param radii radius of the arc at each inner corner, m
 */
public record RoutePath(List<Vector3D> corners, List<Double> radii) {
    private static final double TOLERANCE = 1e-9;

    /** Defensive copies. */
    public RoutePath {
        corners = List.copyOf(corners);
        radii = List.copyOf(radii);
        if (corners.size() < 2 || radii.size() != corners.size() - 2) {
            throw new IllegalArgumentException("A path needs two corners or more, and a radius for each inner one");
        }
    }

    /**
     * @param corners its corners, m
     * @param radius the radius of every arc, m
     * @return the path
     */
    public static RoutePath of(List<Vector3D> corners, double radius) {
        return new RoutePath(corners, corners.stream().skip(2).map(c -> radius).toList());
    }

    /**
     * @param i an inner corner, 1 to the last but one
     * @return angle through which the hose turns there, rad
     */
    public double turn(int i) {
        return Vector3D.angle(
                corners.get(i).subtract(corners.get(i - 1)), corners.get(i + 1).subtract(corners.get(i)));
    }

    /**
     * @param i a corner
     * @return length that its arc takes from either side, m
     */
    public double tangent(int i) {
        return i == 0 || i == corners.size() - 1 ? 0 : taken(i, turn(i));
    }

    /**
     * @param i a side, from corner i to the next
     * @return what is left of it between the arcs, m; negative where they do not fit
     */
    public double straight(int i) {
        return Vector3D.distance(corners.get(i), corners.get(i + 1)) - tangent(i) - tangent(i + 1);
    }

    /** All turns, each asked for once; 0 at both ends. */
    private double[] turns() {
        double[] turns = new double[corners.size()];
        for (int i = 1; i + 1 < turns.length; i++) {
            turns[i] = turn(i);
        }
        return turns;
    }

    private double straight(int i, double[] turns) {
        return Vector3D.distance(corners.get(i), corners.get(i + 1)) - tangent(i, turns) - tangent(i + 1, turns);
    }

    private double tangent(int i, double[] turns) {
        return i == 0 || i == turns.length - 1 ? 0 : taken(i, turns[i]);
    }

    private double taken(int i, double turn) {
        return radii.get(i - 1) * Math.tan(turn / 2);
    }

    /** @return whether every arc finds room between its neighbours and no corner turns back on itself */
    public boolean fits() {
        for (int i = 0; i + 1 < corners.size(); i++) {
            if (Vector3D.distance(corners.get(i), corners.get(i + 1)) < TOLERANCE) {
                return false;
            }
        }
        double[] turns = turns();
        for (int i = 0; i + 1 < corners.size(); i++) {
            if (turns[i] > Math.PI * 0.98 || !(straight(i, turns) >= -TOLERANCE)) {
                return false;
            }
        }
        return true;
    }

    /** @return length of the centre line, m */
    public double length() {
        double[] turns = turns();
        double length = 0;
        for (int i = 0; i + 1 < corners.size(); i++) {
            length += straight(i, turns) + (i > 0 ? radii.get(i - 1) * turns[i] : 0);
        }
        return length;
    }

    /** @return sum of all turns, rad */
    public double turning() {
        double sum = 0;
        for (int i = 1; i + 1 < corners.size(); i++) {
            sum += turn(i);
        }
        return sum;
    }

    /** @return least radius, m; infinite for a straight hose */
    public double leastRadius() {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i + 1 < corners.size(); i++) {
            if (turn(i) > TOLERANCE) {
                least = Math.min(least, radii.get(i - 1));
            }
        }
        return least;
    }

    /**
     * @param step greatest distance between two points, m
     * @return points on the centre line from end to end, m
     */
    public List<Vector3D> points(double step) {
        Walk walk = walk(step);
        List<Vector3D> points = new ArrayList<>(walk.count());
        for (int i = 0; i < walk.count(); i++) {
            points.add(walk.point(i));
        }
        return List.copyOf(points);
    }

    /**
     * The same points, each made when it is asked for: who passes over most of them does not pay for them.
     *
     * @param step greatest distance between two points, m
     * @return a walk along the centre line
     */
    Walk walk(double step) {
        double[] turns = turns();
        Walk walk = new Walk(corners.get(0), 2 * corners.size());
        Vector3D at = corners.get(0);
        for (int i = 1; i < corners.size(); i++) {
            Vector3D corner = corners.get(i);
            Vector3D along = corner.subtract(corners.get(i - 1)).normalize();
            Vector3D until = corner.subtract(new Vector3D(tangent(i, turns), along));
            double straight = Vector3D.distance(at, until);
            walk.straight(at, along, straight, (int) Math.ceil(straight / step));
            at = until;
            if (i + 1 < corners.size() && turns[i] > TOLERANCE) {
                double turn = turns[i];
                double radius = radii.get(i - 1);
                Vector3D next = corners.get(i + 1).subtract(corner).normalize();
                Vector3D inward =
                        next.subtract(new Vector3D(Math.cos(turn), along)).normalize();
                walk.arc(at, along, inward, radius, turn, Math.max(2, (int) Math.ceil(radius * turn / step)));
                at = walk.point(walk.count() - 1);
            }
        }
        return walk;
    }

    /** @return unit vector in which it leaves its first end */
    public Vector3D leaving() {
        return corners.get(1).subtract(corners.get(0)).normalize();
    }

    /** @return unit vector in which it arrives at its last end */
    public Vector3D arriving() {
        int n = corners.size();
        return corners.get(n - 1).subtract(corners.get(n - 2)).normalize();
    }
}
