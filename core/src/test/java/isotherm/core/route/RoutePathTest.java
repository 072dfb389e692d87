package isotherm.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.line.CutList;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Centre lines and cut lists against plain integration and a worked example. */
class RoutePathTest {
    private static final Parts PARTS = PlumbingParts.shipped();

    private static double integrated(RoutePath path) {
        List<Vector3D> points = path.points(2e-4);
        double sum = 0;
        for (int i = 1; i < points.size(); i++) {
            sum += Vector3D.distance(points.get(i - 1), points.get(i));
        }
        return sum;
    }

    @Test
    void rightAngleIsTwoLegsAndAQuarterCircle() {
        RoutePath path = RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0.5, 0, 0), new Vector3D(0.5, 0.4, 0)), 0.1);
        assertThat(path.length()).isEqualTo(0.4 + 0.3 + Math.PI / 2 * 0.1, within(1e-12));
        assertThat(path.turning()).isEqualTo(Math.PI / 2, within(1e-12));
        assertThat(path.straight(0)).isEqualTo(0.4, within(1e-12));
        assertThat(path.leastRadius()).isEqualTo(0.1);
    }

    @Test
    void lengthAgreesWithItsIntegralOnRandomPaths() {
        Random random = new Random(5);
        int checked = 0;
        while (checked < 60) {
            List<Vector3D> corners = new ArrayList<>();
            for (int i = 0; i < 3 + random.nextInt(4); i++) {
                corners.add(new Vector3D(random.nextDouble(), random.nextDouble(), random.nextDouble()));
            }
            RoutePath path = RoutePath.of(corners, 0.02 + 0.05 * random.nextDouble());
            if (path.fits()) {
                checked++;
                assertThat(path.length()).isEqualTo(integrated(path), within(1e-4));
            }
        }
    }

    @Test
    void arcsThatDoNotFitAreToldApart() {
        RoutePath path = RoutePath.of(
                List.of(Vector3D.ZERO, new Vector3D(0.1, 0, 0), new Vector3D(0.1, 0.15, 0), new Vector3D(0, 0.15, 0)),
                0.09);
        assertThat(path.fits()).isFalse();
        assertThat(RoutePath.of(path.corners(), 0.07).fits()).isTrue();
        assertThat(RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0.3, 0, 0), new Vector3D(0.1, 0, 0)), 0.01)
                        .fits())
                .as("a hose that turns back on itself")
                .isFalse();
        assertThat(RoutePath.of(List.of(Vector3D.ZERO, Vector3D.PLUS_I, Vector3D.PLUS_I, Vector3D.PLUS_J), 0.01)
                        .fits())
                .as("a side of no length")
                .isFalse();
        assertThatThrownBy(() -> new RoutePath(List.of(Vector3D.ZERO), List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static HoseEnd end(double angle) {
        return PARTS.ends().stream()
                .filter(e -> e.family() == HoseType.Family.BRAIDED_RUBBER
                        && e.dash().equals("-10")
                        && Math.abs(e.angle() - Math.toRadians(angle)) < 1e-9)
                .findFirst()
                .orElseThrow();
    }

    private static HoseType hose(HoseType.Family family) {
        return PARTS.hoses().stream()
                .filter(h -> h.family() == family && h.dash().equals("-10"))
                .findFirst()
                .orElseThrow();
    }

    /** The example of docs/plumbing.md, by hand. */
    @Test
    void workedExampleOfTheGuide() {
        // 300 mm along, a quarter circle of 100 mm, 200 mm up: corners at 400 mm and 300 mm.
        RoutePath path = RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0.4, 0, 0), new Vector3D(0.4, 0.3, 0)), 0.1);
        HoseEnd straight = end(0);
        HoseEnd elbow = end(90);
        CutList cut = CutList.of(
                path,
                straight,
                straight.inPlane(Vector3D.PLUS_I, Vector3D.PLUS_K),
                elbow,
                elbow.inPlane(Vector3D.PLUS_K, Vector3D.MINUS_J),
                hose(HoseType.Family.BRAIDED_RUBBER),
                0.015);
        assertThat(cut.cut()).isEqualTo(0.300 + 0.1571 + 0.200 + 2 * 0.019 + 0.015, within(1e-3));
        assertThat(cut.deductionFrom()).isEqualTo(0.026 + 0.024, within(1e-9));
        assertThat(cut.deductionTo()).isEqualTo(0.026 + 0.022 * Math.PI / 2 + 0.024, within(1e-9));
        assertThat(cut.centreLine() - cut.deductionFrom() - cut.deductionTo() + 2 * 0.019 + 0.015)
                .isEqualTo(cut.cut(), within(1e-9));
        assertThat(cut.twist()).as("one end is straight").isEmpty();
        assertThat(cut.standard()).isEmpty();
    }

    @Test
    void collarLiesWhereTheElbowEnds() {
        HoseEnd elbow = end(90);
        Vector3D collar = elbow.collar(Vector3D.ZERO, Vector3D.PLUS_K, Vector3D.PLUS_I);
        assertThat(collar.getZ()).isEqualTo(elbow.nose() + elbow.elbow(), within(1e-12));
        assertThat(collar.getX()).isEqualTo(elbow.elbow() + elbow.tail(), within(1e-12));
        assertThat(Vector3D.angle(elbow.direction(Vector3D.PLUS_K, Vector3D.PLUS_I), Vector3D.PLUS_I))
                .isLessThan(1e-7);
    }

    /** Two elbows of 90° on a straight hose: turned alike, opposite, and by a quarter. */
    @Test
    void twistIsTheAngleBetweenTheTwoElbows() {
        HoseEnd elbow = end(90);
        RoutePath straight = RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0, 0, 0.5)), 0.1);
        // The first port points up, its elbow bends to the rear; the second's bends to the front.
        Vector3D first = elbow.inPlane(Vector3D.PLUS_J, Vector3D.PLUS_K);
        double[] expected = {0, Math.PI, Math.PI / 2, 3 * Math.PI / 2};
        Vector3D[] outs = {Vector3D.PLUS_J, Vector3D.MINUS_J, Vector3D.MINUS_I, Vector3D.PLUS_I};
        for (int i = 0; i < outs.length; i++) {
            CutList cut = CutList.of(
                    straight,
                    elbow,
                    first,
                    elbow,
                    elbow.inPlane(outs[i], Vector3D.MINUS_K),
                    hose(HoseType.Family.BRAIDED_RUBBER),
                    0);
            assertThat(cut.twist().orElseThrow()).as("port %d", i).isEqualTo(expected[i], within(1e-6));
        }
    }

    @Test
    void lineThatCannotBeShortenedTakesTheNextStandardLength() {
        RoutePath path = RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0, 0, 0.73)), 0.1);
        HoseEnd straight = end(0);
        CutList cut = CutList.of(
                path, straight, Vector3D.PLUS_I, straight, Vector3D.PLUS_I, hose(HoseType.Family.SWAGED), 0.01);
        assertThat(cut.centreLine()).isEqualTo(0.83, within(1e-9));
        assertThat(cut.standard().orElseThrow()).isEqualTo(0.9, within(1e-9));
    }

    @Test
    void hoseIsHeldOftenEnough() {
        RoutePath path = RoutePath.of(List.of(Vector3D.ZERO, new Vector3D(0, 0, 1.1)), 0.1);
        HoseEnd straight = end(0);
        List<Double> clips = CutList.of(
                        path,
                        straight,
                        Vector3D.PLUS_I,
                        straight,
                        Vector3D.PLUS_I,
                        hose(HoseType.Family.BRAIDED_RUBBER),
                        0)
                .clips();
        assertThat(clips).hasSize(4).isSorted();
        for (int i = 1; i < clips.size(); i++) {
            assertThat(clips.get(i) - clips.get(i - 1)).isLessThanOrEqualTo(CutList.CLIP_SPACING);
        }
    }
}
