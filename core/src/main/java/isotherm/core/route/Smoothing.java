package isotherm.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Draws a route's corners together and apart as long as it gets shorter, gentler or freer (short-cutting after Geraerts and
 * Overmars 2007).
 */
final class Smoothing {
    /** Room beyond what has to be kept is worth having up to here, m (default). */
    private static final double WANTED_SLACK = 10e-3;
    /** Of two routes alike the one with fewer corners, m a corner (default). */
    private static final double CORNER_COST = 0.01;
    /** Cost of a route that has none of it anywhere, m (default). */
    private static final double TIGHT_COST = 0.6;
    /** A way-point is passed within this distance, m. */
    private static final double AT_POINT = 2e-3;
    /** Tries at drawing corners. */
    private static final int DRAWS = 260;
    /** Corners that are tried for the route with two bends, m from the ends. */
    private static final double[] TWO_BENDS = {0.03, 0.06, 0.1, 0.15, 0.2, 0.3, 0.4};

    private final RouteRequest request;
    private final double radius;

    Smoothing(RouteRequest request) {
        this.request = request;
        this.radius = request.bendRadius();
    }

    private double cost(RoutePath path) {
        double tight = 0;
        List<Vector3D> points = path.points(20e-3);
        for (Vector3D p : points) {
            tight += Math.max(0, WANTED_SLACK - request.space().slack(p)) / WANTED_SLACK;
        }
        return path.length()
                + GridSearch.BEND_COST * path.turning() / (Math.PI / 2)
                + CORNER_COST * (path.corners().size() - 2)
                + TIGHT_COST * tight / points.size();
    }

    private boolean good(RoutePath path) {
        return path.fits() && passes(path) && request.space().clear(path);
    }

    private boolean passes(RoutePath path) {
        if (request.wayPoints().isEmpty()) {
            return true;
        }
        List<Vector3D> points = path.points(AT_POINT);
        return request.wayPoints().stream()
                .allMatch(w -> points.stream().anyMatch(p -> Vector3D.distance(p, w) <= AT_POINT * 1.5));
    }

    /** Draws a rough route: corners first, then arcs. */
    RoutePath of(RoutePath rough) {
        return opened(drawn(rough));
    }

    /** Takes corners out and shifts them, seeded and so repeatable, as long as that makes the route better. */
    private RoutePath drawn(RoutePath rough) {
        RoutePath best = withTwoBends(shortCut(rough));
        double cost = cost(best);
        Random random = new Random(7);
        double reach = 0.12;
        for (int n = 0; n < DRAWS; n++) {
            int inner = best.corners().size() - 2;
            if (inner == 0) {
                break;
            }
            int i = 1 + random.nextInt(inner);
            List<Vector3D> corners = new ArrayList<>(best.corners());
            corners.set(i, shifted(corners, i, random, reach));
            RoutePath next = RoutePath.of(corners, radius);
            if (next.fits()) {
                double c = cost(next);
                if (c < cost - 1e-9 && good(next)) {
                    best = next;
                    cost = c;
                }
            }
            reach = Math.max(0.01, reach * 0.99);
            if (n % 40 == 39) {
                best = shortCut(best);
                cost = cost(best);
            }
        }
        return best;
    }

    /** Out of the one end, straight across, into the other: nothing is gentler where there is room for it. */
    private RoutePath withTwoBends(RoutePath path) {
        RoutePath best = path;
        double cost = cost(path);
        Vector3D from = path.corners().get(0);
        Vector3D to = path.corners().get(path.corners().size() - 1);
        for (double out : TWO_BENDS) {
            for (double in : TWO_BENDS) {
                RoutePath next = RoutePath.of(
                        List.of(
                                from,
                                from.add(new Vector3D(out, path.leaving())),
                                to.subtract(new Vector3D(in, path.arriving())),
                                to),
                        radius);
                double c = next.fits() ? cost(next) : Double.POSITIVE_INFINITY;
                if (c < cost && good(next)) {
                    best = next;
                    cost = c;
                }
            }
        }
        return best;
    }

    /** The first and the last inner corner only move along the line on which the hose leaves its end. */
    private static Vector3D shifted(List<Vector3D> corners, int i, Random random, double reach) {
        Vector3D c = corners.get(i);
        boolean first = i == 1;
        boolean last = i == corners.size() - 2;
        if (first && last) {
            return c;
        }
        if (first || last) {
            Vector3D end = corners.get(first ? 0 : corners.size() - 1);
            Vector3D along = c.subtract(end).normalize();
            double from = Vector3D.distance(c, end);
            return end.add(new Vector3D(Math.max(5e-3, from + reach * random.nextGaussian()), along));
        }
        return c.add(new Vector3D(
                reach * random.nextGaussian(), reach * random.nextGaussian(), reach * random.nextGaussian()));
    }

    private RoutePath shortCut(RoutePath path) {
        RoutePath best = path;
        double cost = cost(best);
        boolean better = true;
        while (better) {
            better = false;
            // The first and the last inner corner hold the directions of the ends.
            for (int i = 2; i < best.corners().size() - 2 && !better; i++) {
                List<Vector3D> corners = new ArrayList<>(best.corners());
                corners.remove(i);
                RoutePath next = RoutePath.of(corners, radius);
                double c = next.fits() ? cost(next) : Double.POSITIVE_INFINITY;
                if (c < cost && good(next)) {
                    best = next;
                    cost = c;
                    better = true;
                }
            }
        }
        return best;
    }

    /** Opens each arc as far as the room and its neighbours allow. */
    private RoutePath opened(RoutePath path) {
        RoutePath best = path;
        for (int i = 0; i < path.radii().size(); i++) {
            for (double factor : new double[] {3, 2, 1.5, 1.25}) {
                List<Double> radii = new ArrayList<>(best.radii());
                radii.set(i, radius * factor);
                RoutePath next = new RoutePath(best.corners(), radii);
                if (next.fits() && cost(next) <= cost(best) + 5e-3 && good(next)) {
                    best = next;
                    break;
                }
            }
        }
        return best;
    }

    // ---- what is in the way
}
