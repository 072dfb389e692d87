package isotherm.core.route;

import static isotherm.core.route.RouteGrid.DIRECTIONS;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Gentle double bends from one line of the grid onto another. */
final class DoubleBends {
    /** A double bend goes this far aside at most, m (default). */
    static final double FARTHEST = 0.22;
    /** It turns by this much at most, rad (default). */
    private static final double GENTLE_TURN = Math.toRadians(40);

    private final RouteGrid grid;
    private final Surroundings space;
    private final double radius;
    private final Map<Long, Boolean> known = new HashMap<>(1 << 14);

    DoubleBends(RouteGrid grid, Surroundings space, double radius) {
        this.grid = grid;
        this.space = space;
        this.radius = radius;
    }

    /**
     * A gentle double bend onto a line that leads where the hose has to go: to a hole, a way-point or an end. Right angles alone
     * would need a detour for a few centimetres.
     */
    Optional<GridState> onto(Vector3D rail, GridState s) {
        if (s.spare() <= 0) {
            return Optional.empty();
        }
        Vector3D at = grid.point(s.cell());
        double by = RouteGrid.aside(s.direction() / 2, at, rail);
        if (by < RouteGrid.SAME_LINE || by > FARTHEST) {
            return Optional.empty();
        }
        Vector3D along = DIRECTIONS[s.direction()];
        int axis = s.direction() / 2;
        double[] aside = rail.subtract(at).toArray();
        aside[axis] = 0;
        // Two equal arcs with nothing between them, or a gentle angle where there is room for more.
        double turn = Math.min(GENTLE_TURN, 2 * Math.asin(Math.sqrt(Math.min(1, by / (4 * radius)))));
        double sign = (s.direction() & 1) == 0 ? 1 : -1;
        double from = at.toArray()[axis];
        double[] across = grid.planes(axis);
        int i = RouteGrid.index(across, from);
        int step = sign > 0 ? 1 : -1;
        while (i >= 0 && i < across.length && (across[i] - from) * sign < by / Math.tan(turn) - 1e-9) {
            i += step;
        }
        if (i < 0 || i >= across.length) {
            return Optional.empty();
        }
        double ahead = (across[i] - from) * sign;
        double angle = Math.atan2(by, ahead);
        double tangent = radius * Math.tan(angle / 2);
        Vector3D to = at.add(new Vector3D(aside)).add(new Vector3D(ahead, along));
        if (s.spare() < tangent - 1e-9 || Math.hypot(by, ahead) < 2 * tangent) {
            return Optional.empty();
        }
        int target = grid.cell(to);
        boolean clear = known.computeIfAbsent(
                ((long) s.cell() * DIRECTIONS.length + s.direction()) * grid.size() + target,
                k -> isClear(
                        List.of(
                                at.subtract(new Vector3D(tangent, along)),
                                at,
                                to,
                                to.add(new Vector3D(tangent, along))),
                        tangent));
        if (!clear) {
            return Optional.empty();
        }
        GridState corner = new GridState(s.cell(), s.direction(), 0, s.cost(), 0, s, true);
        double cost = s.cost() + Math.hypot(by, ahead) + GridSearch.BEND_COST * 2 * angle / (Math.PI / 2);
        return Optional.of(new GridState(target, s.direction(), -tangent, cost, 0, corner, true));
    }

    /** Most answers need no walk along the bend: its middle and its ends say enough, since room never falls faster than one moves. */
    private boolean isClear(List<Vector3D> corners, double tangent) {
        Vector3D middle = corners.get(1).add(corners.get(2)).scalarMultiply(0.5);
        double atMiddle = space.slack(middle);
        if (atMiddle < 0) {
            return false;
        }
        if (atMiddle >= Vector3D.distance(middle, corners.get(1)) + tangent) {
            return true;
        }
        return space.slack(corners.get(0)) >= 0
                && space.slack(corners.get(3)) >= 0
                && space.clear(RoutePath.of(corners, radius));
    }
}
