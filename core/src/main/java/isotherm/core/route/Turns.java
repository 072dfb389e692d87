package isotherm.core.route;

import static isotherm.core.route.RouteGrid.DIRECTIONS;

import java.util.BitSet;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Turns by a right angle at a point of the grid, as arcs of the least radius: whether there is room for one. */
final class Turns {
    private static final double ARC_STEP = 4e-3;

    private final RouteGrid grid;
    private final Surroundings space;
    private final double radius;
    /** What is known of turns: two bits each, whether it is known, and clear. */
    private final BitSet known = new BitSet();

    private final Surroundings[] around;
    private final Vector3D[][] arcs;

    Turns(RouteGrid grid, Surroundings space, double radius) {
        this.grid = grid;
        this.space = space;
        this.radius = radius;
        this.around = new Surroundings[grid.size()];
        this.arcs = arcs(radius);
    }

    /** Whether a hose can turn at a cell from one direction into another. */
    boolean clear(int cell, int from, int to) {
        if (grid.slack(cell) >= radius) {
            return true;
        }
        int turn = from * DIRECTIONS.length + to;
        int at = 2 * (cell * DIRECTIONS.length * DIRECTIONS.length + turn);
        if (!known.get(at)) {
            known.set(at);
            if (around[cell] == null) {
                // The arc stays within its radius of the corner.
                around[cell] = space.around(grid.point(cell), radius);
            }
            known.set(at + 1, isClear(around[cell], grid.point(cell), arcs[turn]));
        }
        return known.get(at + 1);
    }

    private static boolean isClear(Surroundings space, Vector3D at, Vector3D[] arc) {
        int k = 0;
        while (k < arc.length) {
            double slack = space.slack(at.add(arc[k]));
            if (slack < 0) {
                return false;
            }
            k += Math.max(1, (int) (slack / ARC_STEP));
        }
        return space.slack(at.add(arc[arc.length - 1])) >= 0;
    }

    /** The arcs of all turns as points from their corner. */
    private static Vector3D[][] arcs(double radius) {
        Vector3D[][] arcs = new Vector3D[DIRECTIONS.length * DIRECTIONS.length][];
        for (int from = 0; from < DIRECTIONS.length; from++) {
            for (int to = 0; to < DIRECTIONS.length; to++) {
                if (from / 2 != to / 2) {
                    RoutePath arc = RoutePath.of(
                            List.of(
                                    new Vector3D(-radius, DIRECTIONS[from]),
                                    Vector3D.ZERO,
                                    new Vector3D(radius, DIRECTIONS[to])),
                            radius);
                    arcs[from * DIRECTIONS.length + to] = arc.points(ARC_STEP).toArray(Vector3D[]::new);
                }
            }
        }
        return arcs;
    }
}
