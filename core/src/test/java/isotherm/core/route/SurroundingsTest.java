package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Room left beside boxes, holes and other hoses. */
class SurroundingsTest {
    private static final double OUTSIDE = 0.02;
    private static final Bay.Box ROOM =
            new Bay.Box("room", Bay.Kind.SOLID, new Vector3D(-1, 0, 0), new Vector3D(1, 1, 1.5));
    private static final Bay.Box BOX =
            new Bay.Box("box", Bay.Kind.SOLID, new Vector3D(0, 0.4, 0.5), new Vector3D(0.2, 0.6, 0.9));

    private static Vector3D random(Random r) {
        return new Vector3D(-0.9 + 1.8 * r.nextDouble(), 0.05 + 0.9 * r.nextDouble(), 0.05 + 1.4 * r.nextDouble());
    }

    @ParameterizedTest
    @EnumSource(Bay.Kind.class)
    void everyKindKeepsItsOwnDistance(Bay.Kind kind) {
        Bay.Box box = new Bay.Box("it", kind, BOX.low(), BOX.high());
        Surroundings space = new Surroundings(new Bay(ROOM, List.of(box), List.of()), OUTSIDE, List.of(), false);
        double needed = kind.clearance() + OUTSIDE / 2;
        Vector3D at = new Vector3D(0.2 + needed, 0.5, 0.7);
        assertThat(space.slack(at)).isEqualTo(0, within(1e-12));
        assertThat(space.slack(at.add(new Vector3D(1e-3, Vector3D.PLUS_I)))).isPositive();
        assertThat(space.slack(at.subtract(new Vector3D(1e-3, Vector3D.PLUS_I))))
                .isNegative();
        assertThat(space.nearest(at)).isEqualTo("it");
    }

    /** What lets the search take long steps: room never shrinks faster than the point moves. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void slackIsNeverSteeperThanDistance(long seed) {
        Random r = new Random(seed);
        List<Bay.Box> boxes = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            Vector3D low = random(r);
            boxes.add(new Bay.Box(
                    "box " + i,
                    Bay.Kind.values()[r.nextInt(Bay.Kind.values().length)],
                    low,
                    low.add(new Vector3D(0.3 * r.nextDouble(), 0.3 * r.nextDouble(), 0.3 * r.nextDouble()))));
        }
        RoutePath other = RoutePath.of(List.of(random(r), random(r)), 0.1);
        Surroundings space = new Surroundings(new Bay(ROOM, boxes, List.of()), OUTSIDE, List.of(other), true);
        for (int n = 0; n < 2000; n++) {
            Vector3D a = random(r);
            Vector3D b = random(r);
            assertThat(Math.abs(space.slack(a) - space.slack(b))).isLessThanOrEqualTo(Vector3D.distance(a, b) + 1e-9);
        }
    }

    /** What stands in a cube of the room is only a shorter list of the same things. */
    @ParameterizedTest
    @ValueSource(longs = {4, 5, 6, 7})
    void roomByCubesIsTheRoomThatAskingEverythingGives(long seed) {
        Random r = new Random(seed);
        List<Bay.Box> boxes = new ArrayList<>();
        List<Bay.Hole> holes = new ArrayList<>();
        for (int i = 0; i < 14; i++) {
            Vector3D low = random(r);
            Bay.Kind kind = Bay.Kind.values()[r.nextInt(Bay.Kind.values().length)];
            double thin = kind == Bay.Kind.PANEL ? 0.003 : 0.3 * r.nextDouble();
            boxes.add(new Bay.Box(
                    "box " + i, kind, low, low.add(new Vector3D(0.5 * r.nextDouble(), 0.5 * r.nextDouble(), thin))));
            if (kind == Bay.Kind.PANEL) {
                holes.add(new Bay.Hole(
                        "hole",
                        "box " + i,
                        low.add(new Vector3D(0.1, 0.1, 0)),
                        Bay.Axis.ALONG,
                        0.04 + 0.1 * r.nextDouble()));
            }
        }
        RoutePath other = RoutePath.of(List.of(random(r), random(r)), 0.1);
        Surroundings space = new Surroundings(new Bay(ROOM, boxes, holes), OUTSIDE, List.of(other), true);
        for (int n = 0; n < 20_000; n++) {
            Vector3D p = random(r);
            assertThat(space.slack(p)).isEqualTo(space.slackOfAll(p));
        }
        for (Bay.Hole h : holes) {
            for (int n = 0; n < 2000; n++) {
                Vector3D p = h.centre()
                        .add(new Vector3D(0.1 * r.nextGaussian(), 0.1 * r.nextGaussian(), 0.03 * r.nextGaussian()));
                assertThat(space.slack(p)).isEqualTo(space.slackOfAll(p));
            }
        }
    }

    @Test
    void distanceFromABoxIsNegativeInsideAndToItsEdgeOutside() {
        assertThat(BOX.distance(new Vector3D(0.1, 0.5, 0.7))).isEqualTo(-0.1, within(1e-12));
        assertThat(BOX.distance(new Vector3D(0.5, 1.0, 0.7))).isEqualTo(0.5, within(1e-12));
        assertThat(ROOM.within(new Vector3D(0, 0.5, 0.2))).isEqualTo(0.2, within(1e-12));
        assertThat(ROOM.within(new Vector3D(0, -0.1, 0.2))).isEqualTo(-0.1, within(1e-12));
    }

    @Test
    void holeLetsThroughAlongItsAxisAndNowhereElse() {
        Bay.Box panel = new Bay.Box("panel", Bay.Kind.PANEL, new Vector3D(-1, 0, 0.7), new Vector3D(1, 1, 0.702));
        Bay.Hole hole = new Bay.Hole("hole", "panel", new Vector3D(0.1, 0.5, 0.701), Bay.Axis.ALONG, 0.04);
        Surroundings space = new Surroundings(new Bay(ROOM, List.of(panel), List.of(hole)), OUTSIDE, List.of(), false);
        for (double z = 0.6; z <= 0.8; z += 0.005) {
            assertThat(space.slack(new Vector3D(0.1, 0.5, z))).as("z %s", z).isGreaterThanOrEqualTo(0);
        }
        // 20 mm of hole less 10 of hose and 1 of grommet leave 9.
        assertThat(space.slack(new Vector3D(0.1 + 0.009, 0.5, 0.701))).isEqualTo(0, within(1e-9));
        assertThat(space.slack(new Vector3D(0.1 + 0.012, 0.5, 0.701))).isNegative();
        assertThat(space.slack(new Vector3D(-0.4, 0.5, 0.701))).isNegative();
    }

    @Test
    void troublesNameEachThingOnceAtItsWorst() {
        Surroundings space = new Surroundings(new Bay(ROOM, List.of(BOX), List.of()), OUTSIDE, List.of(), false);
        RoutePath through = RoutePath.of(List.of(new Vector3D(-0.3, 0.5, 0.7), new Vector3D(0.5, 0.5, 0.7)), 0.1);
        assertThat(Trouble.of(space, through, 0.08)).singleElement().satisfies(t -> {
            assertThat(t.what()).isEqualTo("box");
            assertThat(t.kind()).contains(Bay.Kind.SOLID);
            assertThat(t.missing()).isEqualTo(0.1 + 0.018, within(4e-3));
            assertThat(t.at().getX()).isEqualTo(0.1, within(5e-3));
        });
        RoutePath tight = RoutePath.of(
                List.of(new Vector3D(-0.5, 0.2, 0.2), new Vector3D(-0.2, 0.2, 0.2), new Vector3D(-0.2, 0.2, 0.4)),
                0.05);
        assertThat(Trouble.of(space, tight, 0.08)).singleElement().satisfies(t -> {
            assertThat(t.what()).isEqualTo("bend");
            assertThat(t.missing()).isEqualTo(0.03, within(1e-9));
        });
    }

    @Test
    void noseStandsInTheBay() {
        isotherm.core.nose.Nose nose = new isotherm.core.nose.Nose(
                List.of(),
                List.of(
                        new isotherm.core.nose.Nose.Part(
                                "beam",
                                isotherm.core.nose.Nose.Kind.BEAM,
                                new isotherm.core.nose.Rect(-0.6, 0.4, 1.2, 0.1),
                                0.1,
                                0.07),
                        new isotherm.core.nose.Nose.Part(
                                "fan",
                                isotherm.core.nose.Nose.Kind.FAN,
                                new isotherm.core.nose.Rect(-0.3, 0.3, 0.6, 0.3),
                                0.3,
                                0.06)),
                0.07,
                0.16,
                false);
        List<Bay.Box> boxes = Bay.of(nose);
        assertThat(boxes.get(0).kind()).isEqualTo(Bay.Kind.SHARP);
        assertThat(boxes.get(1).kind()).isEqualTo(Bay.Kind.MOVING);
        assertThat(boxes.get(0).high()).isEqualTo(new Vector3D(-0.6 + 1.2, 0.5, 0.17));
        Bay bay = new Bay(ROOM, boxes, List.of());
        assertThat(bay.without("beam").boxes()).extracting(Bay.Box::name).containsExactly("fan");
    }

    @Test
    void partsOfTheCatalogueAreOnesThatCouldBe() {
        Parts parts = PlumbingParts.shipped();
        assertThat(parts.hoses()).allSatisfy(h -> {
            assertThat(h.outside()).isGreaterThan(h.bore() + 2e-3);
            assertThat(h.bendRadius()).isGreaterThan(2.5 * h.outside());
            assertThat(h.standardLengths().isEmpty()).isEqualTo(h.family().cuttable());
            assertThat(parts.endsFor(h))
                    .extracting(e -> Math.round(Math.toDegrees(e.angle())))
                    .containsExactlyInAnyOrder(0L, 45L, 90L, 150L, 180L);
        });
        assertThat(parts.adaptors()).allSatisfy(a -> assertThat(a.bore()).isBetween(4e-3, 20e-3));
        assertThat(parts.adaptors()).extracting(a -> a.maker() + a.number()).doesNotHaveDuplicates();
        assertThat(parts.takeoffs()).extracting(t -> t.maker() + t.number()).doesNotHaveDuplicates();
        assertThat(parts.takeoffs())
                .allSatisfy(t -> assertThat(Takeoff.majorDiameter(t.thread())).isPositive());
        HoseType ten = parts.hoses().stream()
                .filter(h -> h.number().equals("LB-10"))
                .findFirst()
                .orElseThrow();
        assertThat(parts.sized(ten, "-12").orElseThrow().number()).isEqualTo("LB-12");
        assertThat(parts.sized(ten, "-16")).isEmpty();
    }
}
