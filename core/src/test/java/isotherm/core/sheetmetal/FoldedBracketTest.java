package isotherm.core.sheetmetal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.route.Bay;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Brackets from two points, and their patterns folded back. */
class FoldedBracketTest {
    private static final double MM = 1e-3;

    private static Bracket bracket(Vector3D car, Vector3D carFaces, Vector3D core, Vector3D coreFaces) {
        return new Bracket(
                "A",
                car,
                carFaces.normalize(),
                core,
                coreFaces.normalize(),
                6.5 * MM,
                8.5 * MM,
                SheetMaterial.ALUMINIUM_5754,
                2 * MM,
                3 * MM,
                14 * MM,
                OptionalDouble.empty());
    }

    private static FoldedBracket folded(Bracket b) {
        return FoldedBracket.of(b, List.of());
    }

    private static Vector3D mm(double x, double y, double z) {
        return new Vector3D(x * MM, y * MM, z * MM);
    }

    /** Values of the table of DIN 6935 for k, twice our share. */
    @ParameterizedTest
    @CsvSource({"0.65, 0.557", "1, 0.65", "1.5, 0.738", "2.4, 0.840", "3.8, 0.940", "5, 1.0", "20, 1.0"})
    void theNeutralFibreIsThatOfDin6935(double radiusOverThickness, double k) {
        assertThat(2 * Bend.kFactor(radiusOverThickness * 2 * MM, 2 * MM)).isCloseTo(k, within(1.1e-3));
    }

    @Test
    void anAngleOf90DegreesByHand() {
        // From a floor up to a wall: 40 mm along, 30 mm up, 2 mm sheet, inner radius 3 mm.
        FoldedBracket f = folded(bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(0, 30, 40), Vector3D.MINUS_K));
        assertThat(f.problems()).isEmpty();
        FlatPattern p = f.flat().orElseThrow();
        double k = (0.65 + 0.5 * Math.log10(1.5)) / 2;
        double allowance = Math.PI / 2 * (3 + k * 2);
        // The middles of the two legs meet 1 mm before the wall and 1 mm above the floor; the arc begins 4 mm before
        // that.
        double floor = 39 - 4;
        double wall = 29 - 4;
        assertThat(p.length() / MM).isCloseTo(14 + floor + allowance + wall + 14, within(1e-6));
        assertThat(p.width() / MM).isCloseTo(28, within(1e-9));
        assertThat(p.bends()).singleElement().satisfies(b -> {
            assertThat(b.angle()).isCloseTo(Math.PI / 2, within(1e-9));
            assertThat(b.at() / MM).isCloseTo(14 + floor + allowance / 2, within(1e-6));
        });
        assertThat(p.holes().get(1).x() / MM).isCloseTo(14 + floor + allowance + wall, within(1e-6));
    }

    @Test
    void flushFacesNeedNoBendAndSteppedOnesTwo() {
        FoldedBracket flat = folded(bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(60, 0, 0), Vector3D.PLUS_J));
        assertThat(flat.flat().orElseThrow().bends()).isEmpty();
        assertThat(flat.flat().orElseThrow().length() / MM).isCloseTo(88, within(1e-9));
        FoldedBracket step = folded(bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(60, 20, 0), Vector3D.PLUS_J));
        assertThat(step.problems()).isEmpty();
        List<Bend> bends = step.flat().orElseThrow().bends();
        assertThat(bends)
                .extracting(b -> Math.toDegrees(b.angle()))
                .satisfiesExactly(a -> assertThat(a).isCloseTo(90, within(1e-6)), a -> assertThat(a)
                        .isCloseTo(-90, within(1e-6)));
        // A small step is a gentle joggle: no straight web between its bends.
        List<Bend> gentle = folded(bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(60, 3, 0), Vector3D.PLUS_J))
                .flat()
                .orElseThrow()
                .bends();
        assertThat(gentle.get(0).angle()).isCloseTo(Math.acos(1 - 3 / (2 * 4.0)), within(1e-9));
        assertThat(gentle.get(1).at() - gentle.get(0).at())
                .isCloseTo(gentle.get(0).allowance(), within(1e-9));
    }

    @Test
    void patternsOf200BracketsFoldedBackGiveTheWantedPoints() {
        Random random = new Random(14);
        int made = 0;
        int bent = 0;
        while (made < 200) {
            Vector3D n = direction(random);
            Vector3D m = random.nextInt(3) == 0 ? n : direction(random);
            Bracket b = new Bracket(
                    "R" + made,
                    mm(1000 * random.nextDouble(), 1000 * random.nextDouble(), 1000 * random.nextDouble()),
                    n,
                    Vector3D.ZERO,
                    m,
                    6.5 * MM,
                    8.5 * MM,
                    SheetMaterial.values()[random.nextInt(4)],
                    (1 + 2 * random.nextDouble()) * MM,
                    (2 + 8 * random.nextDouble()) * MM,
                    (14 + 6 * random.nextDouble()) * MM,
                    random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(0.3 + 0.2 * random.nextDouble()));
            Vector3D core = b.car()
                    .add(mm(
                            160 * (random.nextDouble() - 0.5),
                            160 * (random.nextDouble() - 0.5),
                            160 * (random.nextDouble() - 0.5)));
            b = new Bracket(
                    b.mark(),
                    b.car(),
                    n,
                    core,
                    m,
                    b.carHole(),
                    b.coreHole(),
                    b.sheet(),
                    b.thickness(),
                    b.radius(),
                    b.edge(),
                    b.kFactor());
            FoldedBracket f = folded(b);
            if (f.flat().isEmpty()
                    || !f.good() && f.problems().stream().anyMatch(p -> p.kind() != BracketProblem.Kind.RADIUS)) {
                continue;
            }
            made++;
            bent += f.flat().get().bends().isEmpty() ? 0 : 1;
            assertThat(Vector3D.distance(foldedBack(b, f), core))
                    .as(b.toString())
                    .isLessThan(0.2 * MM);
        }
        assertThat(bent).isGreaterThan(150);
    }

    /**
     * The pattern alone, laid on the car's hole with its upper face away from the car, each bend an arc of the sheet's middle:
     * where its second hole's contact face ends up.
     */
    private static Vector3D foldedBack(Bracket b, FoldedBracket f) {
        FlatPattern p = f.flat().orElseThrow();
        Vector3D y = f.across();
        Vector3D z = b.carFaces();
        Vector3D x = Vector3D.crossProduct(y, z);
        FlatPattern.Hole first = p.holes().get(0);
        FlatPattern.Hole second = p.holes().get(1);
        Vector3D at = b.car().add(new Vector3D(b.thickness() / 2, z));
        double from = first.x();
        double middle = b.radius() + b.thickness() / 2;
        double turned = 0;
        for (Bend bend : p.bends()) {
            at = at.add(new Vector3D(bend.at() - bend.allowance() / 2 - from, heading(x, z, turned)));
            // The chord of an arc points half way round it.
            double chord = 2 * middle * Math.sin(Math.abs(bend.angle()) / 2);
            at = at.add(new Vector3D(chord, heading(x, z, turned + bend.angle() / 2)));
            turned += bend.angle();
            from = bend.at() + bend.allowance() / 2;
        }
        at = at.add(new Vector3D(second.x() - from, heading(x, z, turned)));
        at = at.add(new Vector3D(second.y() - first.y(), y));
        return at.subtract(new Vector3D(b.thickness() / 2, b.coreFaces()));
    }

    private static Vector3D heading(Vector3D x, Vector3D z, double angle) {
        return new Vector3D(Math.cos(angle), x, Math.sin(angle), z);
    }

    private static Vector3D direction(Random random) {
        List<Vector3D> axes =
                List.of(Vector3D.PLUS_I, Vector3D.PLUS_J, Vector3D.PLUS_K, Vector3D.MINUS_I, Vector3D.MINUS_J);
        if (random.nextBoolean()) {
            return axes.get(random.nextInt(axes.size()));
        }
        return new Vector3D(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).normalize();
    }

    @Test
    void theUpperFaceIsSeen() {
        // The pattern's x, y and upper face have to be a right-handed set, whichever way the strip runs.
        for (double side : new double[] {-1, 1}) {
            Bracket b = bracket(
                    mm(0, 0, 0), Vector3D.PLUS_J, mm(12 * side, 30, 40 * side), new Vector3D(-side, Vector3D.PLUS_K));
            FoldedBracket f = folded(b);
            assertThat(Vector3D.distance(foldedBack(b, f), b.core())).isLessThan(1e-9);
            assertThat(f.flat().orElseThrow().width() / MM).isCloseTo(28 + 12, within(1e-6));
        }
    }

    private static List<BracketProblem.Kind> kinds(FoldedBracket f) {
        return f.problems().stream().map(BracketProblem::kind).toList();
    }

    @Test
    void whatCannotBeSaysWhatWouldDo() {
        Vector3D up = Vector3D.PLUS_J;
        assertThat(kinds(folded(bracket(mm(0, 0, 0), up, mm(2, 0, 0), up))))
                .containsExactly(BracketProblem.Kind.COINCIDE);
        Bracket good = bracket(mm(0, 0, 0), up, mm(0, 30, 40), Vector3D.MINUS_K);
        Bracket sharp = new Bracket(
                "S",
                good.car(),
                good.carFaces(),
                good.core(),
                good.coreFaces(),
                6.5 * MM,
                8.5 * MM,
                SheetMaterial.ALUMINIUM_6082_T6,
                2 * MM,
                3 * MM,
                10 * MM,
                OptionalDouble.empty());
        FoldedBracket s = folded(sharp);
        assertThat(kinds(s)).containsExactly(BracketProblem.Kind.RADIUS, BracketProblem.Kind.EDGE);
        assertThat(s.problems().get(0).what().figure("needs")).isCloseTo(6 * MM, within(1e-9));
        assertThat(s.problems().get(1).what().figure("needs")).isCloseTo(1.5 * 8.5 * MM, within(1e-9));
        // 10 mm above the floor: 1 mm to the middle and 4 mm of bend leave 5 mm beside the hole, 9 are needed.
        FoldedBracket low = folded(bracket(mm(0, 0, 0), up, mm(0, 10, 40), Vector3D.MINUS_K));
        assertThat(kinds(low)).containsExactly(BracketProblem.Kind.HOLE_AT_BEND);
        assertThat(low.problems().get(0).what().figure("missing")).isCloseTo(4 * MM, within(1e-9));
        assertThat(kinds(folded(bracket(mm(0, 0, 0), up, mm(0, 14, 40), Vector3D.MINUS_K))))
                .isEmpty();
        // This face's plane meets the car's behind its hole: a strip would have to be folded back on itself.
        FoldedBracket back = folded(bracket(mm(0, 0, 0), up, mm(0, 30, 40), new Vector3D(0, 0.9, -0.3)));
        assertThat(kinds(back)).containsExactly(BracketProblem.Kind.FOLDED_BACK);
        assertThat(back.flat()).isEmpty();
        assertThat(back.mass()).isZero();
    }

    @Test
    void aBoxInItsWayIsNamedAndWhatItIsBoltedToIsNot() {
        Bracket b = bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(0, 60, 80), Vector3D.MINUS_K);
        List<Bay.Box> boxes = new ArrayList<>();
        boxes.add(new Bay.Box("floor", Bay.Kind.PANEL, mm(-20, -2, -20), mm(20, 0, 20)));
        assertThat(FoldedBracket.of(b, boxes).good()).isTrue();
        boxes.add(new Bay.Box("horn", Bay.Kind.SOLID, mm(-10, -5, 40), mm(10, 10, 55)));
        FoldedBracket f = FoldedBracket.of(b, boxes);
        assertThat(kinds(f)).containsExactly(BracketProblem.Kind.THROUGH);
        boxes.set(1, new Bay.Box("horn", Bay.Kind.SOLID, mm(-10, 6, 40), mm(10, 20, 55)));
        assertThat(FoldedBracket.of(b, boxes).good()).isTrue();
        // A leg that lies flat on the core's whole face touches it and does not go through.
        boxes.set(1, new Bay.Box("core", Bay.Kind.SOLID, mm(-100, 20, 80), mm(100, 200, 130)));
        assertThat(FoldedBracket.of(b, boxes).good()).isTrue();
        boxes.set(1, new Bay.Box("core", Bay.Kind.SOLID, mm(-100, 20, 79), mm(100, 200, 130)));
        assertThat(FoldedBracket.of(b, boxes).good()).isFalse();
    }

    @Test
    void itsMassIsThatOfItsPattern() {
        FoldedBracket f = folded(bracket(mm(0, 0, 0), Vector3D.PLUS_J, mm(60, 0, 0), Vector3D.PLUS_J));
        // 88 × 28 × 2 mm of aluminium.
        assertThat(f.mass()).isCloseTo(0.088 * 0.028 * 0.002 * 2670, within(1e-9));
    }
}
