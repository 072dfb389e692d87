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
        return i == 0 || i == corners.size() - 1 ? 0 : radii.get(i - 1) * Math.tan(turn(i) / 2);
    }

    /**
     * @param i a side, from corner i to the next
     * @return what is left of it between the arcs, m; negative where they do not fit
     */
    public double straight(int i) {
        return Vector3D.distance(corners.get(i), corners.get(i + 1)) - tangent(i) - tangent(i + 1);
    }

    /** @return whether every arc finds room between its neighbours and no corner turns back on itself */
    public boolean fits() {
        for (int i = 0; i + 1 < corners.size(); i++) {
            if (Vector3D.distance(corners.get(i), corners.get(i + 1)) < TOLERANCE) {
                return false;
            }
        }
        for (int i = 0; i + 1 < corners.size(); i++) {
            if (i > 0 && turn(i) > Math.PI * 0.98 || !(straight(i) >= -TOLERANCE)) {
                return false;
            }
        }
        return true;
    }

    /** @return length of the centre line, m */
    public double length() {
        double length = 0;
        for (int i = 0; i + 1 < corners.size(); i++) {
            length += straight(i) + (i > 0 ? radii.get(i - 1) * turn(i) : 0);
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
        List<Vector3D> points = new ArrayList<>();
        Vector3D at = corners.get(0);
        points.add(at);
        for (int i = 1; i < corners.size(); i++) {
            Vector3D corner = corners.get(i);
            Vector3D along = corner.subtract(corners.get(i - 1)).normalize();
            Vector3D until = corner.subtract(new Vector3D(tangent(i), along));
            double straight = Vector3D.distance(at, until);
            int n = (int) Math.ceil(straight / step);
            for (int k = 1; k <= n; k++) {
                points.add(at.add(new Vector3D(straight * k / n, along)));
            }
            at = until;
            if (i + 1 < corners.size() && turn(i) > TOLERANCE) {
                double turn = turn(i);
                double radius = radii.get(i - 1);
                Vector3D next = corners.get(i + 1).subtract(corner).normalize();
                Vector3D inward =
                        next.subtract(new Vector3D(Math.cos(turn), along)).normalize();
                int m = Math.max(2, (int) Math.ceil(radius * turn / step));
                for (int k = 1; k <= m; k++) {
                    double phi = turn * k / m;
                    points.add(
                            at.add(new Vector3D(radius * Math.sin(phi), along, radius * (1 - Math.cos(phi)), inward)));
                }
                at = points.get(points.size() - 1);
            }
        }
        return List.copyOf(points);
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
