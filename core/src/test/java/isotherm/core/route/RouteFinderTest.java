package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Routes against a geometry of the test's own: plain sampling and plain distances. */
public class RouteFinderTest {
    static final double OUTSIDE = 0.022;
    static final double BEND = 0.09;
    private static final Bay.Box ROOM =
            new Bay.Box("room", Bay.Kind.SOLID, new Vector3D(-0.7, 0.15, 0), new Vector3D(0.7, 0.9, 1.1));

    private static Bay.Box box(String name, Bay.Kind kind, double... c) {
        return new Bay.Box(name, kind, new Vector3D(c[0], c[1], c[2]), new Vector3D(c[3], c[4], c[5]));
    }

    private static Exit exit(double x, double y, double z, Vector3D direction) {
        return new Exit(new Vector3D(x, y, z), direction, 0);
    }

    private static RouteFinder.Result find(Bay bay, Exit from, Exit to, Vector3D... by) {
        return RouteFinder.find(
                new RouteRequest(
                        new Surroundings(bay, OUTSIDE, List.of(), false),
                        BEND,
                        List.of(from),
                        List.of(to),
                        List.of(by)),
                true,
                () -> false);
    }

    /** Distance from a box by its own formula: the nearest point of the box, clamped coordinate by coordinate. */
    private static double distance(Vector3D p, Bay.Box b) {
        double x = Math.min(Math.max(p.getX(), b.low().getX()), b.high().getX());
        double y = Math.min(Math.max(p.getY(), b.low().getY()), b.high().getY());
        double z = Math.min(Math.max(p.getZ(), b.low().getZ()), b.high().getZ());
        return Math.sqrt(Math.pow(p.getX() - x, 2) + Math.pow(p.getY() - y, 2) + Math.pow(p.getZ() - z, 2));
    }

    /** Radius of the circle through three points. */
    private static double circumradius(Vector3D a, Vector3D b, Vector3D c) {
        double area = Vector3D.crossProduct(b.subtract(a), c.subtract(a)).getNorm() / 2;
        return area < 1e-12
                ? Double.POSITIVE_INFINITY
                : Vector3D.distance(a, b) * Vector3D.distance(b, c) * Vector3D.distance(c, a) / (4 * area);
    }

    public static void holds(RoutePath path, Bay bay, double outside, double bend) {
        List<Vector3D> points = path.points(1e-3);
        for (Vector3D p : points) {
            for (Bay.Box b : bay.boxes()) {
                boolean inHole = bay.holes().stream()
                        .anyMatch(h -> h.panel().equals(b.name()) && h.offAxis(p) <= h.diameter() / 2 - outside / 2);
                if (!inHole) {
                    assertThat(distance(p, b) - outside / 2)
                            .as("from %s at %s", b.name(), p)
                            .isGreaterThan(b.kind().clearance() - 2e-3);
                }
            }
        }
        for (int i = 10; i + 10 < points.size(); i += 5) {
            assertThat(circumradius(points.get(i - 10), points.get(i), points.get(i + 10)))
                    .as("bend at %s", points.get(i))
                    .isGreaterThan(bend * 0.98);
        }
    }

    @Test
    void emptyBayIsCrossedByTwoBends() {
        Bay bay = new Bay(ROOM, List.of(), List.of());
        RoutePath path = find(bay, exit(0, 0.4, 0.2, Vector3D.PLUS_K), exit(0.3, 0.5, 0.9, Vector3D.MINUS_K))
                .path()
                .orElseThrow();
        assertThat(path.corners()).hasSizeLessThanOrEqualTo(4);
        assertThat(path.length()).isLessThan(0.7 + 0.3 + 0.1);
        holds(path, bay, OUTSIDE, BEND);
    }

    @Test
    void straightOnNeedsNoBend() {
        Bay bay = new Bay(ROOM, List.of(), List.of());
        RoutePath path = find(bay, exit(0, 0.4, 0.2, Vector3D.PLUS_K), exit(0, 0.4, 0.9, Vector3D.MINUS_K))
                .path()
                .orElseThrow();
        assertThat(path.corners()).hasSize(2);
        assertThat(path.length()).isEqualTo(0.7, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void hotBoxIsGivenMoreRoomThanSoftOne() {
        for (Bay.Kind kind : List.of(Bay.Kind.HOT, Bay.Kind.SOFT)) {
            Bay bay = new Bay(ROOM, List.of(box("it", kind, -0.1, 0.3, 0.5, 0.1, 0.6, 0.6)), List.of());
            RoutePath path = find(bay, exit(0, 0.4, 0.2, Vector3D.PLUS_K), exit(0, 0.4, 1.0, Vector3D.MINUS_K))
                    .path()
                    .orElseThrow();
            holds(path, bay, OUTSIDE, BEND);
        }
    }

    @Test
    void panelIsPassedByItsHoleAlone() {
        Bay.Box panel = box("front panel", Bay.Kind.PANEL, -0.7, 0.15, 0.5, 0.7, 0.9, 0.51);
        Bay closed = new Bay(ROOM, List.of(panel), List.of());
        Exit from = exit(-0.3, 0.4, 0.2, Vector3D.PLUS_K);
        Exit to = exit(0.3, 0.4, 0.9, Vector3D.MINUS_K);
        RouteFinder.Result none = find(closed, from, to);
        assertThat(none.path()).isEmpty();
        assertThat(none.inTheWay()).containsExactly("front panel");
        Bay.Hole hole = new Bay.Hole("left hole", "front panel", new Vector3D(0, 0.6, 0.505), Bay.Axis.ALONG, 0.034);
        Bay open = new Bay(ROOM, List.of(panel), List.of(hole));
        RoutePath path = find(open, from, to).path().orElseThrow();
        assertThat(path.points(1e-3)).anyMatch(p -> Vector3D.distance(p, hole.centre()) < 6e-3);
        holds(path, open, OUTSIDE, BEND);
        Bay.Hole small = new Bay.Hole("small", "front panel", hole.centre(), Bay.Axis.ALONG, OUTSIDE);
        assertThat(find(new Bay(ROOM, List.of(panel), List.of(small)), from, to).path())
                .as("a hole that the hose does not go through")
                .isEmpty();
    }

    @Test
    void wayPointIsPassed() {
        Bay bay = new Bay(ROOM, List.of(), List.of());
        Vector3D by = new Vector3D(-0.4, 0.6, 0.5);
        RoutePath path = find(bay, exit(0, 0.4, 0.2, Vector3D.PLUS_K), exit(0.1, 0.4, 0.9, Vector3D.MINUS_K), by)
                .path()
                .orElseThrow();
        assertThat(path.points(1e-3)).anyMatch(p -> Vector3D.distance(p, by) < 4e-3);
        holds(path, bay, OUTSIDE, BEND);
    }

    @Test
    void wayPointInsideABoxNamesTheBox() {
        Bay bay = new Bay(ROOM, List.of(box("battery", Bay.Kind.SOLID, 0.1, 0.3, 0.4, 0.4, 0.6, 0.6)), List.of());
        RouteFinder.Result result = find(
                bay,
                exit(0, 0.4, 0.2, Vector3D.PLUS_K),
                exit(0, 0.4, 0.9, Vector3D.MINUS_K),
                new Vector3D(0.2, 0.4, 0.5));
        assertThat(result.path()).isEmpty();
        assertThat(result.inTheWay()).containsExactly("battery");
    }

    @Test
    void portThatPointsAskewIsLeftStraight() {
        Bay bay = new Bay(ROOM, List.of(), List.of());
        Vector3D askew = new Vector3D(0.6, 0, 0.8);
        RoutePath path = find(bay, exit(-0.4, 0.4, 0.2, askew), exit(0.3, 0.5, 0.9, Vector3D.MINUS_K))
                .path()
                .orElseThrow();
        assertThat(Vector3D.angle(path.leaving(), askew)).isLessThan(1e-6);
        assertThat(Vector3D.angle(path.arriving(), Vector3D.PLUS_K)).isLessThan(1e-6);
        holds(path, bay, OUTSIDE, BEND);
    }

    @Test
    void sameBayGivesSameRoute() {
        Bay bay = new Bay(ROOM, List.of(box("block", Bay.Kind.SOLID, -0.2, 0.3, 0.4, 0.2, 0.8, 0.7)), List.of());
        Exit from = exit(0, 0.4, 0.2, Vector3D.PLUS_K);
        Exit to = exit(0.1, 0.4, 0.95, Vector3D.MINUS_K);
        assertThat(find(bay, from, to)).isEqualTo(find(bay, from, to));
    }

    /** Bays are built round a route that is known to exist, so that each of them can be solved. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9})
    void randomSolvableBaysAreSolvedAndHold(int block) {
        for (int k = 0; k < 20; k++) {
            Random random = new Random(1000L * block + k);
            RoutePath known = known(random);
            Bay bay = around(known, random);
            Vector3D a = known.corners().get(0);
            Vector3D b = known.corners().get(known.corners().size() - 1);
            RouteFinder.Result result = RouteFinder.find(
                    new RouteRequest(
                            new Surroundings(bay, OUTSIDE, List.of(), false),
                            BEND,
                            List.of(new Exit(a, known.leaving(), 0)),
                            List.of(new Exit(b, known.arriving().negate(), 0)),
                            List.of()),
                    true,
                    () -> false);
            assertThat(result.path()).as("bay %d/%d", block, k).isPresent();
            RoutePath path = result.path().orElseThrow();
            holds(path, bay, OUTSIDE, BEND);
            assertThat(Vector3D.distance(path.corners().get(0), a)).isLessThan(1e-9);
            assertThat(path.length()).isLessThan(2 * known.length() + 0.5);
        }
    }

    static RoutePath known(Random random) {
        while (true) {
            List<Vector3D> corners = new ArrayList<>();
            Vector3D at = new Vector3D(
                    -0.5 + random.nextDouble(), 0.3 + 0.4 * random.nextDouble(), 0.15 + 0.2 * random.nextDouble());
            corners.add(at);
            int axis = random.nextInt(3);
            for (int i = 0; i < 3; i++) {
                double by = (random.nextBoolean() ? 1 : -1) * (0.25 + 0.3 * random.nextDouble());
                at = at.add(new Vector3D(axis == 0 ? by : 0, axis == 1 ? by : 0, axis == 2 ? by : 0));
                corners.add(at);
                axis = (axis + 1 + random.nextInt(2)) % 3;
            }
            RoutePath path = RoutePath.of(corners, BEND);
            Optional<Vector3D> out = path.points(0.01).stream()
                    .filter(p -> ROOM.within(p) < 0.05)
                    .findFirst();
            if (path.fits() && out.isEmpty()) {
                return path;
            }
        }
    }

    static Bay around(RoutePath known, Random random) {
        List<Vector3D> points = known.points(5e-3);
        List<Bay.Box> boxes = new ArrayList<>();
        for (int tries = 0; tries < 400 && boxes.size() < 14; tries++) {
            double x = -0.7 + 1.3 * random.nextDouble();
            double y = 0.15 + 0.6 * random.nextDouble();
            double z = random.nextDouble();
            Bay.Kind[] kinds = Bay.Kind.values();
            Bay.Box b = box(
                    "box " + boxes.size(),
                    kinds[random.nextInt(kinds.length)],
                    x,
                    y,
                    z,
                    x + 0.05 + 0.3 * random.nextDouble(),
                    y + 0.05 + 0.3 * random.nextDouble(),
                    z + 0.05 + 0.3 * random.nextDouble());
            // A grid of 30 mm needs that much to get through.
            double room = b.kind().clearance() + OUTSIDE / 2 + 32e-3;
            if (points.stream().allMatch(p -> distance(p, b) > room)) {
                boxes.add(b);
            }
        }
        return new Bay(ROOM, boxes, List.of());
    }
}
