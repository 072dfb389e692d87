package isotherm.core.sheetmetal;

import isotherm.core.message.Measure;
import isotherm.core.route.Bay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.geometry.euclidean.twod.Vector2D;

/**
 * A panel as it is folded, and the flat sheet that it is folded from. Where its four corners do not lie in one plane it is creased
 * along the diagonal that turns least.
 *
 * @param panel what was asked for
 * @param flat the flat sheet; empty where it cannot be folded
 * @param faces its faces as folded, each by its corners in the middle of the thickness, m
 * @param problems what cannot stay so
 */
public record FoldedPanel(
        Panel panel, Optional<FlatSheet> flat, List<List<Vector3D>> faces, List<BracketProblem> problems) {
    /** Corners that are nearer to one plane than this need no crease, m. */
    private static final double IN_PLANE = 0.2e-3;
    /** Edges that are shorter than this are none, m. */
    private static final double SHORTEST = 10e-3;
    /** A flange's edge lies in the face that it lies on within this, m. */
    private static final double OFF_FACE = 0.5e-3;
    /** Steepest fold that a hand bench makes, rad (default). */
    private static final double MOST_FOLD = Math.toRadians(135);
    /** From a hole's edge to the beginning of a bend, in thicknesses (default, workshop practice). */
    private static final double CLEAR_OF_BEND = 2;
    /** A panel leads air to what it touches: so near to its own edges nothing is in its way, m. */
    private static final double SEAT = 25e-3;

    private static final double STEP = 8e-3;

    /**
     * @param asked what is asked for
     * @param inTheWay what stands about
     * @return the panel folded, with its flat sheet
     */
    public static FoldedPanel of(Panel asked, List<Bay.Box> inTheWay) {
        List<BracketProblem> problems = new ArrayList<>();
        Panel.Edge car = asked.car().onSheet(asked.thickness());
        Panel.Edge far = asked.far().onSheet(asked.thickness());
        inherent(asked, problems);
        double width = Math.min(car.along().getNorm(), far.along().getNorm());
        double depth = Math.min(Vector3D.distance(car.from(), far.from()), Vector3D.distance(car.to(), far.to()));
        if (Math.min(width, depth) < SHORTEST) {
            problems.add(needs(BracketProblem.Kind.NARROW, SHORTEST));
            return new FoldedPanel(asked, Optional.empty(), List.of(), List.copyOf(problems));
        }
        offFace(car, problems);
        offFace(far, problems);
        Faces faces = Faces.of(asked, car, far);
        if (faces.steepest > MOST_FOLD) {
            problems.add(new BracketProblem(
                    BracketProblem.Kind.FOLDED_BACK,
                    BracketProblem.Kind.FOLDED_BACK.say("what").with("most", Measure.ANGLE, MOST_FOLD)));
            return new FoldedPanel(asked, Optional.empty(), List.of(), List.copyOf(problems));
        }
        if (!faces.first.bendsApart()) {
            problems.add(needs(BracketProblem.Kind.NARROW, 2 * asked.tangent(faces.steepest) + SHORTEST));
            return new FoldedPanel(asked, Optional.empty(), List.of(), List.copyOf(problems));
        }
        List<List<Vector3D>> all = faces.all.stream().map(SheetFace::corners).toList();
        inTheWay.stream()
                .filter(box -> meets(all.subList(0, faces.walls), box, asked))
                .map(Bay.Box::name)
                .distinct()
                .forEach(name -> problems.add(new BracketProblem(
                        BracketProblem.Kind.THROUGH,
                        BracketProblem.Kind.THROUGH.say("what").name("what", name))));
        return new FoldedPanel(asked, Optional.of(faces.flat(asked)), all, List.copyOf(problems));
    }

    private static BracketProblem needs(BracketProblem.Kind kind, double needs) {
        return new BracketProblem(kind, kind.say("what").with("needs", Measure.LENGTH, needs));
    }

    private static void inherent(Panel p, List<BracketProblem> problems) {
        double least = p.sheet().leastRadius(p.thickness());
        if (p.radius() < least - 1e-9) {
            problems.add(needs(BracketProblem.Kind.RADIUS, least));
        }
        for (Panel.Edge e : List.of(p.car(), p.far())) {
            if (e.flange() <= 0) {
                continue;
            }
            // A square fold takes the most of a flange that can still be drilled.
            double taken = p.tangent(Math.PI / 2) + p.hole() / 2 + CLEAR_OF_BEND * p.thickness();
            double needed = 2 * Math.max(taken, Bracket.EDGE_DIAMETERS * p.hole());
            if (e.flange() < needed - 1e-9) {
                problems.add(needs(BracketProblem.Kind.FLANGE, needed));
                break;
            }
        }
    }

    private static void offFace(Panel.Edge e, List<BracketProblem> problems) {
        if (e.flange() > 0 && Math.abs(e.along().dotProduct(e.faces())) > OFF_FACE) {
            problems.add(needs(BracketProblem.Kind.OFF_FACE, Math.abs(e.along().dotProduct(e.faces()))));
        }
    }

    /** The faces, hung on each other. */
    private static final class Faces {
        private final List<SheetFace> all = new ArrayList<>();
        private final List<Hole> holes = new ArrayList<>();
        private final SheetFace first;
        private int walls;
        private double steepest;

        private record Hole(SheetFace face, Vector3D at) {}

        private Faces(SheetFace first) {
            this.first = first;
            first.first();
            all.add(first);
        }

        static Faces of(Panel p, Panel.Edge car, Panel.Edge far) {
            Vector3D a = car.from();
            Vector3D b = car.to();
            Vector3D c = far.to();
            Vector3D d = far.from();
            Vector3D square =
                    Vector3D.crossProduct(b.subtract(a), d.subtract(a)).normalize();
            boolean plane = Math.abs(c.subtract(a).dotProduct(square)) < IN_PLANE;
            boolean bd = turn(a, b, d, c) <= turn(b, c, a, d);
            List<Vector3D> half = bd ? List.of(a, b, d) : List.of(a, b, c);
            Faces f = new Faces(new SheetFace(p, plane ? List.of(a, b, c, d) : half));
            SheetFace last = f.first;
            int lastEdge = 2;
            if (!plane) {
                last = new SheetFace(p, bd ? List.of(d, b, c) : List.of(a, c, d));
                f.hang(f.first, bd ? 1 : 2, last);
                lastEdge = bd ? 2 : 1;
            }
            f.walls = f.all.size();
            f.flange(p, f.first, 0, car, c.add(d).scalarMultiply(0.5));
            f.flange(
                    p,
                    last,
                    lastEdge,
                    new Panel.Edge(c, d, far.faces(), far.flange()),
                    a.add(b).scalarMultiply(0.5));
            return f;
        }

        /** By how much a sheet turns at a diagonal from {@code p} to {@code q} with a corner on either side. */
        private static double turn(Vector3D one, Vector3D p, Vector3D q, Vector3D other) {
            Vector3D n = Vector3D.crossProduct(q.subtract(p), one.subtract(p));
            Vector3D m = Vector3D.crossProduct(other.subtract(p), q.subtract(p));
            return Vector3D.angle(n, m);
        }

        private void hang(SheetFace parent, int edge, SheetFace child) {
            steepest = Math.max(steepest, Math.abs(parent.hang(edge, child)));
            all.add(child);
        }

        private void flange(Panel p, SheetFace on, int edge, Panel.Edge e, Vector3D panelsMiddle) {
            if (e.flange() <= 0) {
                return;
            }
            Vector3D along = e.along().normalize();
            Vector3D out = Vector3D.crossProduct(e.faces(), along).normalize();
            Vector3D middle = e.from().add(e.to()).scalarMultiply(0.5);
            if (out.dotProduct(panelsMiddle.subtract(middle)) > 0) {
                out = out.negate();
            }
            Vector3D wide = new Vector3D(e.flange(), out);
            SheetFace flange =
                    new SheetFace(p, List.of(e.to(), e.from(), e.from().add(wide), e.to().add(wide)));
            hang(on, edge, flange);
            double margin = Bracket.EDGE_DIAMETERS * p.hole() + p.tangent(steepest);
            double room = e.along().getNorm() - 2 * margin;
            for (int i = 0; i < p.holes(); i++) {
                double at = p.holes() == 1 ? e.along().getNorm() / 2 : margin + room * i / (p.holes() - 1);
                holes.add(new Hole(flange, e.from().add(at, along).add(0.5, wide)));
            }
        }

        FlatSheet flat(Panel p) {
            List<Vector2D> outline = new ArrayList<>();
            first.outline(outline);
            List<FlatSheet.Fold> folds = new ArrayList<>();
            first.folds(folds);
            return new FlatSheet(
                    outline, holes.stream().map(h -> h.face().flat(h.at())).toList(), folds);
        }
    }

    private static boolean meets(List<List<Vector3D>> walls, Bay.Box box, Panel p) {
        List<Vector3D> edges =
                List.of(p.car().from(), p.car().to(), p.far().from(), p.far().to());
        for (List<Vector3D> wall : walls) {
            Vector3D middle = Vector3D.ZERO;
            for (Vector3D corner : wall) {
                middle = middle.add(1.0 / wall.size(), corner);
            }
            Vector3D about = middle;
            double reach = wall.stream()
                    .mapToDouble(corner -> Vector3D.distance(corner, about))
                    .max()
                    .orElse(0);
            if (box.distance(middle) > reach) {
                continue;
            }
            Vector3D a = wall.get(0);
            Vector3D b = wall.get(1);
            Vector3D d = wall.get(wall.size() - 1);
            Vector3D c = wall.size() == 4 ? wall.get(2) : d;
            int along = (int) Math.ceil(Vector3D.distance(a, b) / STEP);
            int deep = (int) Math.ceil(Math.max(Vector3D.distance(a, d), Vector3D.distance(b, c)) / STEP);
            for (int i = 0; i <= along; i++) {
                for (int k = 0; k <= deep; k++) {
                    double s = (double) i / along;
                    double t = (double) k / deep;
                    Vector3D at = new Vector3D((1 - s) * (1 - t), a, s * (1 - t), b, s * t, c, (1 - s) * t, d);
                    if (box.distance(at) < 0 && !nearEdge(edges, at)) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    /** Near its own two edges a panel touches what it is held by. */
    private static boolean nearEdge(List<Vector3D> e, Vector3D at) {
        return toSegment(e.get(0), e.get(1), at) < SEAT || toSegment(e.get(2), e.get(3), at) < SEAT;
    }

    private static double toSegment(Vector3D a, Vector3D b, Vector3D p) {
        Vector3D d = b.subtract(a);
        double t = Math.max(0, Math.min(1, p.subtract(a).dotProduct(d) / d.getNormSq()));
        return Vector3D.distance(p, a.add(t, d));
    }

    /** @return mass, kg; 0 without a flat sheet */
    public double mass() {
        return flat.map(f -> f.area() * panel.thickness() * panel.sheet().density())
                .orElse(0.0);
    }

    /** @return whether it can be made and fitted: then it has a flat sheet */
    public boolean good() {
        return problems.isEmpty();
    }
}
