package isotherm.core.route;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/**
 * Finds a hose's route: a search on a rectilinear grid ({@link GridSearch}), then its corners are drawn together and apart
 * ({@link Smoothing}); where there is no route, what is in the way ({@link Obstruction}).
 *
 * <p>All coordinates in m, in the axes of {@link Bay}.
 */
public final class RouteFinder {
    /** The search is given up after this many states. */
    private static final int MOST_STATES = 100_000;

    private RouteFinder() {}

    /**
     * What the search came to.
     *
     * @param path the route; empty when there is none
     * @param start number of the exit that it leaves by; -1 without a route
     * @param goal number of the exit that it arrives at; -1 without a route
     * @param inTheWay what has to move, any one of them alone, when there is no route
     */
    public record Result(Optional<RoutePath> path, int start, int goal, List<String> inTheWay) {}

    /**
     * @param request what is asked
     * @param explain whether to look for what is in the way when there is no route, which takes some searches more
     * @param cancelled asked now and then whether nobody waits for the answer any more
     * @return the route, or what is in the way of one
     * @throws CancellationException when nobody waits any more
     */
    public static Result find(RouteRequest request, boolean explain, BooleanSupplier cancelled) {
        RouteGrid grid = new RouteGrid(request);
        Flood flood = new Flood(grid, request);
        GridSearch search = new GridSearch(request, grid, flood, MOST_STATES, cancelled);
        return search.solve()
                .map(f -> drawn(request, f))
                .orElseGet(() -> new Result(
                        Optional.empty(),
                        -1,
                        -1,
                        explain ? new Obstruction(request, grid, flood, search, cancelled).names() : List.of()));
    }

    /**
     * The same by a search without an estimate of what is still to come, which looks at every state that is cheaper than the end:
     * what the quick one is held to and measured by.
     *
     * @param request what is asked
     * @return the route, if there is one
     */
    public static Result findSlowly(RouteRequest request) {
        RouteGrid grid = new RouteGrid(request);
        return new GridSearch(request, grid, new Flood(grid, request), Integer.MAX_VALUE, 0, () -> false)
                .solve()
                .map(f -> drawn(request, f))
                .orElseGet(() -> new Result(Optional.empty(), -1, -1, List.of()));
    }

    private static Result drawn(RouteRequest request, GridSearch.Found found) {
        return new Result(
                Optional.of(new Smoothing(request).of(found.rough())), found.start(), found.goal(), List.of());
    }
}
