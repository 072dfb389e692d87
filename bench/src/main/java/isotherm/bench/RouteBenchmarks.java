package isotherm.bench;

import isotherm.core.route.Bay;
import isotherm.core.route.Exit;
import isotherm.core.route.RouteFinder;
import isotherm.core.route.RouteRequest;
import isotherm.core.route.Surroundings;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One hose across a bay in which walls leave gaps at either side by turns, and the same by the slow search. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class RouteBenchmarks {
    private static final int WALLS = 3;
    private final RouteRequest request = request();

    private static RouteRequest request() {
        List<Bay.Box> walls = new ArrayList<>();
        for (int i = 0; i < WALLS; i++) {
            double z = 0.25 + 0.25 * i;
            double left = i % 2 == 0 ? -0.7 : -0.35;
            walls.add(new Bay.Box(
                    "wall " + i, Bay.Kind.SOLID, new Vector3D(left, 0.1, z), new Vector3D(left + 1.05, 0.8, z + 0.05)));
        }
        Bay bay = new Bay(
                new Bay.Box("room", Bay.Kind.SOLID, new Vector3D(-0.8, 0.1, 0), new Vector3D(0.8, 0.9, 1.1)),
                walls,
                List.of());
        return new RouteRequest(
                new Surroundings(bay, 0.022, List.of(), false),
                0.09,
                List.of(new Exit(new Vector3D(0, 0.4, 0.05), Vector3D.PLUS_K, 0)),
                List.of(new Exit(new Vector3D(0.1, 0.4, 1.05), Vector3D.MINUS_K, 0)),
                List.of());
    }

    /** @return the route */
    @Benchmark
    public RouteFinder.Result route() {
        return RouteFinder.find(request, false, () -> false);
    }

    /** @return the same by the slow search */
    @Benchmark
    public RouteFinder.Result routeSlowly() {
        return RouteFinder.findSlowly(request);
    }
}
