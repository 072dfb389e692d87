package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which routes are known already. */
class RoutesTest {
    private static final double OUTSIDE = 0.022;
    private static final double BEND = 0.09;
    private static final Exit FROM = new Exit(new Vector3D(0, 0.4, 0.05), Vector3D.PLUS_K, 0);
    private static final Exit TO = new Exit(new Vector3D(0.1, 0.4, 1.05), Vector3D.MINUS_K, 0);

    private final AtomicInteger asked = new AtomicInteger();

    @BeforeEach
    void forget() {
        Routes.forget();
    }

    /** A bay made anew each time, so that nothing but what stands in it can be alike. */
    private static Bay bay(Bay.Kind kind, double wallFrom, double wallTo) {
        return new Bay(
                new Bay.Box("room", Bay.Kind.SOLID, new Vector3D(-0.8, 0, 0), new Vector3D(0.8, 0.9, 1.1)),
                List.of(new Bay.Box("wall", kind, new Vector3D(wallFrom, 0, 0.5), new Vector3D(wallTo, 0.9, 0.55))),
                List.of());
    }

    private static Surroundings space() {
        return new Surroundings(bay(Bay.Kind.HOT, -0.4, 0.3), OUTSIDE, List.of(), false);
    }

    private static RouteRequest request(Surroundings space) {
        return new RouteRequest(space, BEND, List.of(FROM), List.of(TO), List.of());
    }

    private static RouteRequest usual() {
        return request(space());
    }

    private RouteFinder.Result find(RouteRequest request, boolean explain) {
        return Routes.find(request, explain, () -> asked.incrementAndGet() < 0);
    }

    /** Whether it had to be looked for; what is known is what would be found. */
    private boolean isLookedFor(RouteRequest request) {
        asked.set(0);
        RouteFinder.Result found = find(request, false);
        assertThat(found).isEqualTo(RouteFinder.find(request, false, () -> false));
        return asked.get() > 0;
    }

    @Test
    void theSameIsFoundOnce() {
        assertThat(isLookedFor(usual())).isTrue();
        assertThat(isLookedFor(usual())).isFalse();
        assertThat(find(usual(), false).path()).isPresent();
    }

    @Test
    void whateverMovesAHoseIsLookedForAnew() {
        assertThat(isLookedFor(usual())).isTrue();
        Bay bay = bay(Bay.Kind.HOT, -0.4, 0.3);
        RoutePath beside = RoutePath.of(List.of(new Vector3D(0.5, 0.5, 0.1), new Vector3D(0.5, 0.5, 0.9)), BEND);
        Exit aside = new Exit(new Vector3D(0.05, 0.4, 0.05), Vector3D.PLUS_K, 0);
        Exit dearer = new Exit(TO.at(), TO.direction(), 0.1);
        Stream.of(
                        request(new Surroundings(bay(Bay.Kind.HOT, -0.4, 0.35), OUTSIDE, List.of(), false)),
                        request(new Surroundings(bay(Bay.Kind.SOFT, -0.4, 0.3), OUTSIDE, List.of(), false)),
                        request(new Surroundings(bay, 0.024, List.of(), false)),
                        request(new Surroundings(bay, OUTSIDE, List.of(beside), false)),
                        request(new Surroundings(bay, OUTSIDE, List.of(), true)),
                        new RouteRequest(space(), 0.08, List.of(FROM), List.of(TO), List.of()),
                        new RouteRequest(space(), BEND, List.of(aside), List.of(TO), List.of()),
                        new RouteRequest(space(), BEND, List.of(FROM), List.of(dearer), List.of()),
                        new RouteRequest(
                                space(), BEND, List.of(FROM), List.of(TO), List.of(new Vector3D(0.6, 0.4, 0.5))))
                .forEach(other -> {
                    assertThat(isLookedFor(other)).isTrue();
                    assertThat(isLookedFor(other)).isFalse();
                });
    }

    @Test
    void whatIsInTheWayIsAnotherQuestion() {
        RouteRequest shut = request(new Surroundings(bay(Bay.Kind.SOLID, -0.8, 0.8), OUTSIDE, List.of(), false));
        assertThat(find(shut, false)).isEqualTo(new RouteFinder.Result(Optional.empty(), -1, -1, List.of()));
        assertThat(find(shut, true).inTheWay()).containsExactly("wall");
    }

    @Test
    void whatWasGivenUpIsNotKnown() {
        assertThatThrownBy(() -> Routes.find(usual(), false, () -> true)).isInstanceOf(CancellationException.class);
        assertThat(isLookedFor(usual())).isTrue();
    }
}
