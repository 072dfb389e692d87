package isotherm.core.route;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The latest routes: a design that differs in nothing that moves a hose, such as a price, a tick or the duty, has its own at once. A
 * route is found from its request alone, so that it holds for as long as the request is equal.
 */
public final class Routes {
    /** Some 10 kB each: those of a hundred plumbings. */
    private static final int KEPT = 500;

    private static final Cache<Question, RouteFinder.Result> LATEST =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private Routes() {}

    /**
     * What surroundings follow from.
     *
     * @param bay the bay
     * @param radius half of the hose's outer diameter, m
     * @param others points of the hoses that are there already, m
     * @param sleeved whether a heat sleeve is on it
     */
    record Space(Bay bay, double radius, List<Vector3D> others, boolean sleeved) {}

    /** What a route follows from, without what is worked out on the way. */
    private record Question(
            Space space,
            double bendRadius,
            List<Exit> starts,
            List<Exit> goals,
            List<Vector3D> wayPoints,
            boolean explain) {}

    /**
     * @param request what is asked
     * @param explain whether to look for what is in the way when there is no route, which takes some searches more
     * @param cancelled asked now and then, while it is looked for, whether nobody waits for the answer any more
     * @return what {@link RouteFinder} finds
     * @throws CancellationException when nobody waits any more
     */
    public static RouteFinder.Result find(RouteRequest request, boolean explain, BooleanSupplier cancelled) {
        Question asked = new Question(
                request.space().given(),
                request.bendRadius(),
                request.starts(),
                request.goals(),
                request.wayPoints(),
                explain);
        RouteFinder.Result known = LATEST.getIfPresent(asked);
        if (known != null) {
            return known;
        }
        // Two that ask the same at once find the same: none has to wait for another one that may be given up.
        RouteFinder.Result found = RouteFinder.find(request, explain, cancelled);
        LATEST.put(asked, found);
        return found;
    }

    /** Forgets all, for what measures how long the search takes. */
    public static void forget() {
        LATEST.invalidateAll();
    }
}
