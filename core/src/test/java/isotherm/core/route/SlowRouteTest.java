package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The quick search is held to the slow one, which looks at every state that is cheaper than the end. */
class SlowRouteTest {
    private static final int BAYS = 60;

    private static RouteRequest request(int seed) {
        Random random = new Random(seed);
        RoutePath known = RouteFinderTest.known(random);
        Bay bay = RouteFinderTest.around(known, random);
        List<Vector3D> corners = known.corners();
        return new RouteRequest(
                new Surroundings(bay, RouteFinderTest.OUTSIDE, List.of(), false),
                RouteFinderTest.BEND,
                List.of(new Exit(corners.get(0), known.leaving(), 0)),
                List.of(new Exit(
                        corners.get(corners.size() - 1), known.arriving().negate(), 0)),
                List.of());
    }

    private static double cost(RouteFinder.Result result) {
        RoutePath path = result.path().orElseThrow();
        return path.length() + GridSearch.BEND_COST * path.turning() / (Math.PI / 2);
    }

    private static int states(RouteRequest request, double weight) {
        RouteGrid grid = new RouteGrid(request);
        GridSearch search =
                new GridSearch(request, grid, new Flood(grid, request), Integer.MAX_VALUE, weight, () -> false);
        assertThat(search.solve()).isPresent();
        return search.statesSeen();
    }

    @Test
    void withoutAnEstimateItLooksAtMoreStates() {
        for (int seed = 0; seed < BAYS; seed++) {
            RouteRequest request = request(seed);
            assertThat(states(request, 0)).as("bay %d", seed).isGreaterThan(states(request, 1));
        }
    }

    @Test
    void aRouteCostsNoMoreThanTheSlowSearchWouldHaveIt() {
        for (int seed = 0; seed < BAYS; seed++) {
            RouteRequest request = request(seed);
            double quick = cost(RouteFinder.find(request, false, () -> false));
            assertThat(quick).as("bay %d", seed).isLessThan(cost(RouteFinder.findSlowly(request)) + 1e-9);
        }
    }
}
