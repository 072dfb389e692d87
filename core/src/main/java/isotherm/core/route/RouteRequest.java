package isotherm.core.route;

import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * What is asked of a route.
 *
 * @param space what the hose has to keep clear of
 * @param bendRadius its least bend radius, m
 * @param starts ways of leaving the first end
 * @param goals ways of leaving the last end
 * @param wayPoints points that it has to pass, in order, m
 */
public record RouteRequest(
        Surroundings space, double bendRadius, List<Exit> starts, List<Exit> goals, List<Vector3D> wayPoints) {
    /** Defensive copies. */
    public RouteRequest {
        starts = List.copyOf(starts);
        goals = List.copyOf(goals);
        wayPoints = List.copyOf(wayPoints);
    }

    /** The same without one box. */
    RouteRequest without(String box) {
        return new RouteRequest(space.without(box), bendRadius, starts, goals, wayPoints);
    }
}
