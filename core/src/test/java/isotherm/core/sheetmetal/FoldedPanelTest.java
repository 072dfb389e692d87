package isotherm.core.sheetmetal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.route.Bay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.geometry.euclidean.twod.Vector2D;
import org.junit.jupiter.api.Test;

/** Sides of shrouds and deflectors: their flat sheets, folded back by a walk of the test's own. */
class FoldedPanelTest {
    private static final double MM = 1e-3;

    private static Vector3D mm(double x, double y, double z) {
        return new Vector3D(x * MM, y * MM, z * MM);
    }

    private static Panel panel(Panel.Edge car, Panel.Edge far) {
        return new Panel(
                "S1", car, far, 5 * MM, 2, SheetMaterial.ALUMINIUM_5754, 1.5 * MM, 2 * MM, OptionalDouble.empty());
    }

    /** The upper side of a shroud: opening 500 mm wide, core 300 mm wide, 120 mm behind and 40 mm lower. */
    private static Panel upper() {
        return panel(
                new Panel.Edge(mm(-250, 400, 0), mm(250, 400, 0), Vector3D.PLUS_K, 25 * MM),
                new Panel.Edge(mm(-150, 360, 120), mm(150, 360, 120), Vector3D.PLUS_J, 25 * MM));
    }

    private static FoldedPanel folded(Panel p) {
        return FoldedPanel.of(p, List.of());
    }

    @Test
    void aDeflectorWithoutFlangesIsItsOwnFlatSheet() {
        FoldedPanel f = folded(panel(
                new Panel.Edge(mm(0, 0, 0), mm(100, 0, 0), Vector3D.PLUS_K, 0),
                new Panel.Edge(mm(0, 60, 80), mm(100, 60, 80), Vector3D.PLUS_K, 0)));
        assertThat(f.problems()).isEmpty();
        FlatSheet flat = f.flat().orElseThrow();
        assertThat(flat.folds()).isEmpty();
        assertThat(flat.holes()).isEmpty();
        assertThat(flat.area()).isEqualTo(0.1 * 0.1, within(1e-9));
        assertThat(f.mass()).isEqualTo(0.1 * 0.1 * 1.5e-3 * 2670, within(1e-9));
    }

    @Test
    void oneSquareFlangeByHand() {
        // A wall 60 mm high on a flange of 25 mm on the floor.
        FoldedPanel f = folded(panel(
                new Panel.Edge(mm(0, 0, 0), mm(100, 0, 0), Vector3D.PLUS_J, 25 * MM),
                new Panel.Edge(mm(0, 60.75, 0), mm(100, 60.75, 0), Vector3D.PLUS_J, 0)));
        FlatSheet flat = f.flat().orElseThrow();
        double k = (0.65 + 0.5 * Math.log10(2 / 1.5)) / 2;
        double allowance = Math.PI / 2 * (2 + k * 1.5);
        double tangent = 2 + 0.75;
        double length = (60 - tangent) + allowance + (25 - tangent);
        assertThat(flat.area() / MM / MM).isEqualTo(100 * length, within(1e-6));
        assertThat(flat.folds()).singleElement().satisfies(fold -> {
            assertThat(Math.abs(fold.angle())).isEqualTo(Math.PI / 2, within(1e-9));
            assertThat(Vector2D.distance(fold.from(), fold.to()) / MM).isEqualTo(100, within(1e-6));
        });
    }

    @Test
    void aFlangeInThePanelsOwnPlaneIsNotBent() {
        // A slanting plane, so that rounding leaves an angle that is not quite nothing.
        Vector3D up = new Vector3D(1, 2, 3).normalize();
        Vector3D along = up.orthogonal();
        Vector3D on = Vector3D.crossProduct(up, along);
        Vector3D to = new Vector3D(0.1, along);
        Vector3D far = new Vector3D(0.06, on);
        FoldedPanel f = folded(
                panel(new Panel.Edge(Vector3D.ZERO, to, up, 25 * MM), new Panel.Edge(far, far.add(to), up, 25 * MM)));
        assertThat(f.faces()).hasSize(3);
        FlatSheet flat = f.flat().orElseThrow();
        assertThat(flat.folds()).isEmpty();
        assertThat(flat.holes()).hasSize(4);
        assertThat(flat.area()).isEqualTo(0.1 * (0.06 + 2 * 0.025), within(1e-9));
    }

    @Test
    void aTwistedSideIsCreasedAlongItsDiagonal() {
        Panel twisted = panel(
                new Panel.Edge(mm(-250, 400, 0), mm(250, 400, 0), Vector3D.PLUS_K, 0),
                new Panel.Edge(mm(-150, 330, 120), mm(150, 380, 130), Vector3D.PLUS_J, 0));
        FoldedPanel f = folded(twisted);
        assertThat(f.problems()).isEmpty();
        assertThat(f.faces()).hasSize(2);
        assertThat(f.flat().orElseThrow().folds()).hasSize(1);
        assertThat(folded(upper()).faces()).hasSize(3);
    }

    /** Walks over the flat sheet from the middle of the first face to a point, and folds at each bend line on the way. */
    private static Vector3D foldedBack(FoldedPanel f, Vector2D to) {
        List<Vector3D> first = f.faces().get(0);
        FlatSheet flat = f.flat().orElseThrow();
        Panel p = f.panel();
        // The first face lies with its first corner at nought and its first edge along the x axis.
        Vector3D x = first.get(1).subtract(first.get(0)).normalize();
        Vector3D n = Vector3D.crossProduct(x, first.get(first.size() - 1).subtract(first.get(0)))
                .normalize();
        Vector3D y = Vector3D.crossProduct(n, x);
        Vector3D middle = Vector3D.ZERO;
        for (Vector3D c : first) {
            middle = middle.add(1.0 / first.size(), c);
        }
        Vector3D at = middle;
        Vector3D away = middle.subtract(first.get(0));
        Vector2D flatAt = new Vector2D(away.dotProduct(x), away.dotProduct(y));
        Vector2D start = flatAt;
        List<FlatSheet.Fold> onTheWay = new ArrayList<>(
                flat.folds().stream().filter(fold -> share(fold, start, to) < 1).toList());
        onTheWay.sort(Comparator.comparingDouble(fold -> share(fold, start, to)));
        for (FlatSheet.Fold fold : onTheWay) {
            Vector2D line = fold.to().subtract(fold.from()).normalize();
            Vector2D out = new Vector2D(line.getY(), -line.getX());
            if (out.dotProduct(to.subtract(fold.from())) < 0) {
                line = line.negate();
                out = out.negate();
            }
            // To the beginning of the bend, round its arc, and on from its end.
            Vector2D begins = fold.from().subtract(fold.allowance() / 2, out);
            Vector2D step = begins.subtract(flatAt);
            at = at.add(step.getX(), x).add(step.getY(), y);
            Vector3D d = new Vector3D(line.getX(), x, line.getY(), y);
            Vector3D o = new Vector3D(out.getX(), x, out.getY(), y);
            double r = p.radius() + p.thickness() / 2;
            double turn = Math.abs(fold.angle());
            double up = Math.signum(fold.angle());
            at = at.add(r * Math.sin(turn), o).add(up * r * (1 - Math.cos(turn)), n);
            Vector3D o2 = new Vector3D(Math.cos(turn), o, up * Math.sin(turn), n);
            Vector3D n2 = new Vector3D(Math.cos(turn), n, -up * Math.sin(turn), o);
            flatAt = fold.from().add(fold.allowance() / 2, out);
            // The sheet's axes turned with it.
            x = new Vector3D(line.getX(), d, out.getX(), o2);
            y = new Vector3D(line.getY(), d, out.getY(), o2);
            n = n2;
        }
        Vector2D rest = to.subtract(flatAt);
        return at.add(rest.getX(), x).add(rest.getY(), y);
    }

    /** Where on the way from one point to another the line of a fold is crossed; 1 or more when it is not. */
    private static double share(FlatSheet.Fold fold, Vector2D from, Vector2D to) {
        Vector2D line = fold.to().subtract(fold.from());
        Vector2D across = new Vector2D(-line.getY(), line.getX());
        double a = from.subtract(fold.from()).dotProduct(across);
        double b = to.subtract(fold.from()).dotProduct(across);
        return a * b < 0 ? a / (a - b) : 2;
    }

    @Test
    void flatSheetsOf200PanelsFoldedBackHaveTheirHolesOnCarAndCore() {
        Random random = new Random(14);
        int made = 0;
        int creased = 0;
        while (made < 200) {
            double x = 200 + 300 * random.nextDouble();
            double w = 150 + 200 * random.nextDouble();
            double drop = 80 * (random.nextDouble() - 0.5);
            double deep = 90 + 100 * random.nextDouble();
            boolean plane = random.nextBoolean();
            double lift = plane ? 0 : 30 * (random.nextDouble() - 0.5);
            Vector3D normal = new Vector3D(-lift, w, 0).normalize();
            Panel p = new Panel(
                    "P" + made,
                    new Panel.Edge(mm(-x / 2, 400, 0), mm(x / 2, 400, 0), Vector3D.PLUS_K, 26 * MM),
                    new Panel.Edge(
                            mm(-w / 2, 400 + drop - lift / 2, deep),
                            mm(w / 2, 400 + drop + lift / 2, deep),
                            normal,
                            26 * MM),
                    5 * MM,
                    1 + random.nextInt(3),
                    SheetMaterial.values()[random.nextInt(2)],
                    (0.8 + random.nextDouble()) * MM,
                    (2 + 2 * random.nextDouble()) * MM,
                    random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(0.3 + 0.2 * random.nextDouble()));
            FoldedPanel f = folded(p);
            if (f.flat().isEmpty()) {
                continue;
            }
            made++;
            creased += f.faces().size() == 4 ? 1 : 0;
            List<Vector2D> holes = f.flat().get().holes();
            assertThat(holes).hasSize(2 * p.holes());
            for (int i = 0; i < holes.size(); i++) {
                Panel.Edge e = i < p.holes() ? p.car() : p.far();
                Vector3D back = foldedBack(f, holes.get(i));
                Vector3D from = back.subtract(e.from());
                // On the face, half a thickness above it, half the flange's width off the edge.
                assertThat(from.dotProduct(e.faces()) / MM)
                        .as("panel %s hole %s above its face", p.mark(), i)
                        .isCloseTo(p.thickness() / 2 / MM, within(0.2));
                Vector3D along = e.along().normalize();
                Vector3D flat = from.subtract(new Vector3D(from.dotProduct(along), along));
                Vector3D out = flat.subtract(new Vector3D(flat.dotProduct(e.faces()), e.faces()));
                assertThat(out.getNorm() / MM).isCloseTo(e.flange() / 2 / MM, within(0.2));
                if (p.holes() == 1) {
                    assertThat(from.dotProduct(along)).isCloseTo(e.along().getNorm() / 2, within(0.2 * MM));
                }
            }
        }
        assertThat(creased).isBetween(50, 150);
    }

    @Test
    void everyFlawIsNamedWithTheFigureThatWouldDo() {
        assertThat(kinds(new Panel(
                        "A",
                        upper().car(),
                        upper().far(),
                        5 * MM,
                        2,
                        SheetMaterial.ALUMINIUM_6082_T6,
                        1.5 * MM,
                        2 * MM,
                        OptionalDouble.empty())))
                .containsExactly(BracketProblem.Kind.RADIUS);
        Panel.Edge narrow = new Panel.Edge(upper().car().from(), upper().car().to(), Vector3D.PLUS_K, 10 * MM);
        assertThat(kinds(panel(narrow, upper().far()))).containsExactly(BracketProblem.Kind.FLANGE);
        Panel.Edge askew = new Panel.Edge(mm(-250, 400, 0), mm(250, 400, 20), Vector3D.PLUS_K, 25 * MM);
        assertThat(kinds(panel(askew, upper().far()))).contains(BracketProblem.Kind.OFF_FACE);
        Panel.Edge none = new Panel.Edge(mm(-150, 400, 1), mm(150, 400, 1), Vector3D.PLUS_K, 0);
        assertThat(kinds(panel(upper().car(), none))).contains(BracketProblem.Kind.NARROW);
        Bay.Box lamp = new Bay.Box("lamp", Bay.Kind.SOLID, mm(-40, 350, 40), mm(40, 420, 80));
        assertThat(FoldedPanel.of(upper(), List.of(lamp)).problems())
                .extracting(BracketProblem::kind)
                .containsExactly(BracketProblem.Kind.THROUGH);
    }

    private static List<BracketProblem.Kind> kinds(Panel p) {
        return folded(p).problems().stream().map(BracketProblem::kind).toList();
    }
}
