package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which routes are known already. */
class RoutesTest {
    private static final RoutePath OTHER =
            new RoutePath(List.of(new Vector3D(0.5, 0.5, 0.1), new Vector3D(0.5, 0.5, 0.9)), List.of());

    private final AtomicInteger asked = new AtomicInteger();

    @BeforeEach
    void forget() {
        Routes.forget();
    }

    /** A request made anew each time, so that nothing but what stands in it can be alike. */
    private static RouteRequest request(double wall, double outside, boolean sleeved, List<RoutePath> others, Exit to) {
        Bay bay = new Bay(
                new Bay.Box("room", Bay.Kind.SOLID, new Vector3D(-0.8, 0, 0), new Vector3D(0.8, 0.9, 1.1)),
                new ArrayList<>(List.of(
                        new Bay.Box("wall", Bay.Kind.HOT, new Vector3D(-0.4, 0, 0.5), new Vector3D(wall, 0.9, 0.55)))),
                List.of());
        return new RouteRequest(
                new Surroundings(bay, outside, others, sleeved),
                0.09,
                List.of(new Exit(new Vector3D(0, 0.4, 0.05), Vector3D.PLUS_K, 0)),
                List.of(to),
                List.of());
    }

    private static RouteRequest usual() {
        return request(0.3, 0.022, false, List.of(), to(0.1));
    }

    private static Exit to(double x) {
        return new Exit(new Vector3D(x, 0.4, 1.05), Vector3D.MINUS_K, 0);
    }

    private RouteFinder.Result find(RouteRequest request, boolean explain) {
        return Routes.find(request, explain, () -> asked.incrementAndGet() < 0);
    }

    /** Whether it had to be looked for. */
    private boolean isLookedFor(RouteRequest request, boolean explain) {
        asked.set(0);
        RouteFinder.Result found = find(request, explain);
        boolean looked = asked.get() > 0;
        assertThat(found).isEqualTo(RouteFinder.find(request, explain, () -> false));
        return looked;
    }

    @Test
    void theSameIsFoundOnce() {
        assertThat(isLookedFor(usual(), false)).isTrue();
        assertThat(isLookedFor(usual(), false)).isFalse();
        assertThat(find(usual(), false).path()).isPresent();
    }

    @Test
    void whateverMovesAHoseIsLookedForAnew() {
        assertThat(isLookedFor(usual(), false)).isTrue();
        for (RouteRequest other : List.of(
                request(0.35, 0.022, false, List.of(), to(0.1)),
                request(0.3, 0.024, false, List.of(), to(0.1)),
                request(0.3, 0.022, true, List.of(), to(0.1)),
                request(0.3, 0.022, false, List.of(OTHER), to(0.1)),
                request(0.3, 0.022, false, List.of(), to(0.2)))) {
            assertThat(isLookedFor(other, false)).isTrue();
            assertThat(isLookedFor(other, false)).isFalse();
        }
        RouteRequest tighter =
                new RouteRequest(usual().space(), 0.08, usual().starts(), usual().goals(), usual().wayPoints());
        assertThat(isLookedFor(tighter, false)).isTrue();
        RouteRequest led = new RouteRequest(
                usual().space(), 0.09, usual().starts(), usual().goals(), List.of(new Vector3D(0.6, 0.4, 0.5)));
        assertThat(isLookedFor(led, false)).isTrue();
    }

    @Test
    void whatIsInTheWayIsAnotherQuestion() {
        RouteRequest shut = request(0.8, 0.022, false, List.of(), to(0.1));
        RouteRequest walled = new RouteRequest(
                new Surroundings(
                        new Bay(
                                shut.space().bay().room(),
                                List.of(new Bay.Box(
                                        "wall",
                                        Bay.Kind.SOLID,
                                        new Vector3D(-0.8, 0, 0.5),
                                        new Vector3D(0.8, 0.9, 0.55))),
                                List.of()),
                        0.022,
                        List.of(),
                        false),
                0.09,
                shut.starts(),
                shut.goals(),
                List.of());
        assertThat(find(walled, false)).isEqualTo(new RouteFinder.Result(Optional.empty(), -1, -1, List.of()));
        assertThat(find(walled, true).inTheWay()).containsExactly("wall");
    }

    @Test
    void whatWasGivenUpIsNotKnown() {
        assertThatThrownBy(() -> Routes.find(usual(), false, () -> true)).isInstanceOf(CancellationException.class);
        assertThat(isLookedFor(usual(), false)).isTrue();
    }
}
