package isotherm.core.sheetmetal;

import isotherm.core.message.Measure;
import isotherm.core.route.Bay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A bracket as it is folded, and the flat pattern that it is folded from. Its middle runs from one hole to the other in straight
 * stretches joined by arcs; every bend line is square to the strip.
 *
 * @param bracket what was asked for
 * @param flat the pattern; empty where the two holes cannot be joined
 * @param corners of the middle of its thickness from end to end, m
 * @param across unit vector along its bend lines
 * @param problems what cannot stay so
 */
public record FoldedBracket(
        Bracket bracket,
        Optional<FlatPattern> flat,
        List<Vector3D> corners,
        Vector3D across,
        List<BracketProblem> problems) {
    /** Faces whose normals differ by less than this are parallel, rad. */
    private static final double PARALLEL = Math.toRadians(0.5);
    /** An offset smaller than this is none, m. */
    private static final double FLUSH = 0.2e-3;
    /** From a hole's edge to the beginning of a bend, in thicknesses (default, workshop practice). */
    private static final double CLEAR_OF_BEND = 2;
    /** Beside a hole a washer and a socket want so much from its middle to a bend, m (default). */
    private static final double TOOL_ROOM = 9e-3;
    /** Steepest fold that a hand bench makes, rad (default). */
    private static final double MOST_FOLD = Math.toRadians(135);
    /** A sheet that lies on a face does not go through it: what is nearer than this is touched, m. */
    private static final double TOUCH = 0.2e-3;
    /** Points that are asked whether something stands in their way are so far apart, m. */
    private static final double STEP = 4e-3;
    /** What touches a bracket at its hole is what it is bolted to: so far round it nothing is in the way, m. */
    private static final double SEAT = 25e-3;

    /**
     * @param b what is asked for
     * @param inTheWay what stands about
     * @return the bracket folded, with its pattern
     */
    public static FoldedBracket of(Bracket b, List<Bay.Box> inTheWay) {
        List<BracketProblem> problems = new ArrayList<>();
        inherent(b, problems);
        Vector3D gap = b.core().subtract(b.car());
        if (gap.getNorm() < (b.carHole() + b.coreHole()) / 2) {
            problems.add(say(BracketProblem.Kind.COINCIDE, (b.carHole() + b.coreHole()) / 2));
            return new FoldedBracket(b, Optional.empty(), List.of(), Vector3D.PLUS_I, List.copyOf(problems));
        }
        Profile profile = Profile.of(b);
        if (profile.corners().isEmpty()) {
            problems.add(new BracketProblem(
                    BracketProblem.Kind.FOLDED_BACK,
                    BracketProblem.Kind.FOLDED_BACK.say("what").with("most", Measure.ANGLE, MOST_FOLD)));
            return new FoldedBracket(b, Optional.empty(), List.of(), profile.across(), List.copyOf(problems));
        }
        FlatPattern flat = flat(b, profile, problems);
        FoldedBracket folded = new FoldedBracket(b, Optional.of(flat), profile.corners(), profile.across(), List.of());
        inTheWay.stream()
                .filter(folded::meets)
                .map(Bay.Box::name)
                .distinct()
                .forEach(name -> problems.add(new BracketProblem(
                        BracketProblem.Kind.THROUGH,
                        BracketProblem.Kind.THROUGH.say("what").name("what", name))));
        return new FoldedBracket(b, Optional.of(flat), profile.corners(), profile.across(), List.copyOf(problems));
    }

    private static BracketProblem say(BracketProblem.Kind kind, double needs) {
        return new BracketProblem(kind, kind.say("what").with("needs", Measure.LENGTH, needs));
    }

    private static void inherent(Bracket b, List<BracketProblem> problems) {
        double least = b.sheet().leastRadius(b.thickness());
        if (b.radius() < least - 1e-9) {
            problems.add(say(BracketProblem.Kind.RADIUS, least));
        }
        double edge = Bracket.EDGE_DIAMETERS * Math.max(b.carHole(), b.coreHole());
        if (b.edge() < edge - 1e-9) {
            problems.add(say(BracketProblem.Kind.EDGE, edge));
        }
    }

    /** The middle of the sheet from end to end. */
    private record Profile(List<Vector3D> corners, Vector3D across, double aside) {
        static Profile of(Bracket b) {
            Vector3D n = b.carFaces();
            Vector3D m = b.coreFaces();
            Vector3D from = b.car().add(new Vector3D(b.thickness() / 2, n));
            Vector3D to = b.core().add(new Vector3D(b.thickness() / 2, m));
            boolean parallel = Math.min(Vector3D.angle(n, m), Math.PI - Vector3D.angle(n, m)) < PARALLEL;
            Vector3D gap = to.subtract(from);
            Vector3D across =
                    parallel ? square(n, gap) : Vector3D.crossProduct(n, m).normalize();
            Vector3D along = Vector3D.crossProduct(across, n).normalize();
            if (along.dotProduct(gap) < 0) {
                // Both, so that the pattern is seen from its upper face and not through it.
                along = along.negate();
                across = across.negate();
            }
            double aside = gap.dotProduct(across);
            double far = gap.dotProduct(along);
            double up = gap.dotProduct(n);
            Optional<List<Vector3D>> inner =
                    parallel ? Optional.of(joggle(b, from, along, n, far, up)) : corner(from, along, n, m, far, up);
            List<Vector3D> corners = new ArrayList<>();
            corners.add(from);
            inner.ifPresent(corners::addAll);
            corners.add(to.subtract(new Vector3D(aside, across)));
            return new Profile(inner.isPresent() && folds(corners) ? List.copyOf(corners) : List.of(), across, aside);
        }

        private static boolean folds(List<Vector3D> corners) {
            for (int i = 1; i + 1 < corners.size(); i++) {
                Vector3D in = corners.get(i).subtract(corners.get(i - 1));
                Vector3D out = corners.get(i + 1).subtract(corners.get(i));
                if (in.getNorm() < 1e-9 || out.getNorm() < 1e-9 || Vector3D.angle(in, out) > MOST_FOLD) {
                    return false;
                }
            }
            return true;
        }

        /** A direction square to the faces' normal and to the way between the holes. */
        private static Vector3D square(Vector3D n, Vector3D gap) {
            Vector3D flat = gap.subtract(new Vector3D(gap.dotProduct(n), n));
            return flat.getNorm() < 1e-6
                    ? n.orthogonal()
                    : Vector3D.crossProduct(n, flat).normalize();
        }

        /** Where the two faces' planes meet: one bend. */
        private static Optional<List<Vector3D>> corner(
                Vector3D from, Vector3D along, Vector3D n, Vector3D m, double far, double up) {
            double slope = m.dotProduct(along);
            if (Math.abs(slope) < 1e-9) {
                return Optional.empty();
            }
            // On the car's face the point whose way to the core's hole lies in the core's face.
            double at = far + up * m.dotProduct(n) / slope;
            return at <= 0 ? Optional.empty() : Optional.of(List.of(from.add(new Vector3D(at, along))));
        }

        /** Two bends against each other, or none where the faces are flush. */
        private static List<Vector3D> joggle(
                Bracket b, Vector3D from, Vector3D along, Vector3D n, double far, double up) {
            if (Math.abs(up) < FLUSH) {
                return List.of();
            }
            double turn = Math.min(Math.PI / 2, Math.acos(Math.max(-1, 1 - Math.abs(up) / (2 * b.middleRadius()))));
            double half = turn > Math.PI / 2 - 1e-9 ? 0 : Math.abs(up) / Math.tan(turn) / 2;
            return List.of(
                    from.add(new Vector3D(far / 2 - half, along)),
                    from.add(new Vector3D(far / 2 + half, along, up, n)));
        }
    }

    private static FlatPattern flat(Bracket b, Profile profile, List<BracketProblem> problems) {
        List<Vector3D> c = profile.corners();
        double at = b.edge();
        List<Bend> bends = new ArrayList<>();
        double taken = 0;
        double shortest = Double.POSITIVE_INFINITY;
        Vector3D upper = b.carFaces();
        for (int i = 1; i < c.size(); i++) {
            Vector3D leg = c.get(i).subtract(c.get(i - 1));
            double angle = 0;
            double tangent = 0;
            if (i + 1 < c.size()) {
                Vector3D next = c.get(i + 1).subtract(c.get(i));
                angle = Vector3D.angle(leg, next);
                tangent = b.middleRadius() * Math.tan(angle / 2);
                if (next.dotProduct(upper) < 0) {
                    angle = -angle;
                }
                upper = turned(upper, leg, next);
            }
            double straight = leg.getNorm() - taken - tangent;
            if (i == 1 || i + 1 == c.size()) {
                double hole = i == 1 ? b.carHole() : b.coreHole();
                double least = Math.max(hole / 2 + CLEAR_OF_BEND * b.thickness(), TOOL_ROOM);
                if (c.size() > 2 && straight < least - 1e-9) {
                    problems.add(new BracketProblem(
                            BracketProblem.Kind.HOLE_AT_BEND,
                            BracketProblem.Kind.HOLE_AT_BEND
                                    .say("what")
                                    .choose("car", i == 1)
                                    .with("needs", Measure.LENGTH, least)
                                    .with("missing", Measure.LENGTH, least - straight)));
                }
            } else {
                shortest = Math.min(shortest, straight);
            }
            at += straight;
            if (i + 1 < c.size()) {
                double allowance = b.allowance(Math.abs(angle));
                bends.add(new Bend(at + allowance / 2, angle, allowance));
                at += allowance;
            }
            taken = tangent;
        }
        if (shortest < -1e-9) {
            problems.add(say(BracketProblem.Kind.BENDS_OVERLAP, -shortest));
        }
        double aside = profile.aside();
        double width = Math.abs(aside) + 2 * b.edge();
        double middle = width / 2;
        return new FlatPattern(
                at + b.edge(),
                width,
                List.of(
                        new FlatPattern.Hole(b.edge(), middle - aside / 2, b.carHole()),
                        new FlatPattern.Hole(at, middle + aside / 2, b.coreHole())),
                bends);
    }

    /** The upper face's normal carried round a bend. */
    private static Vector3D turned(Vector3D upper, Vector3D leg, Vector3D next) {
        Vector3D in = leg.normalize();
        Vector3D out = next.normalize();
        if (Vector3D.angle(in, out) < 1e-9) {
            return upper;
        }
        return new Rotation(Vector3D.crossProduct(in, out), Vector3D.angle(in, out), RotationConvention.VECTOR_OPERATOR)
                .applyTo(upper);
    }

    private boolean meets(Bay.Box box) {
        FlatPattern pattern = flat.orElseThrow();
        double half = pattern.width() / 2;
        double aside = bracket.core().subtract(bracket.car()).dotProduct(across);
        for (int i = 1; i < corners.size(); i++) {
            Vector3D from = corners.get(i - 1);
            Vector3D leg = corners.get(i).subtract(from);
            int along = (int) Math.ceil(leg.getNorm() / STEP);
            int wide = (int) Math.ceil(2 * half / STEP);
            for (int k = 0; k <= along; k++) {
                for (int w = 0; w <= wide; w++) {
                    Vector3D p = from.add(new Vector3D((double) k / along, leg))
                            .add(new Vector3D(aside / 2 + half * (2.0 * w / wide - 1), across));
                    if (box.distance(p) < bracket.thickness() / 2 - TOUCH
                            && Vector3D.distance(p, bracket.car()) > SEAT
                            && Vector3D.distance(p, bracket.core()) > SEAT) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    /** @return its legs as folded, each by its four corners in the middle of the thickness, m; none without a pattern */
    public List<List<Vector3D>> faces() {
        if (flat.isEmpty()) {
            return List.of();
        }
        double half = flat.get().width() / 2;
        double aside = bracket.core().subtract(bracket.car()).dotProduct(across);
        List<List<Vector3D>> faces = new ArrayList<>();
        int last = corners.size() - 1;
        for (int i = 1; i <= last; i++) {
            Vector3D along = corners.get(i).subtract(corners.get(i - 1)).normalize();
            Vector3D from = corners.get(i - 1).add(i == 1 ? -bracket.edge() : 0, along);
            Vector3D to = corners.get(i).add(i == last ? bracket.edge() : 0, along);
            Vector3D left = new Vector3D(aside / 2 - half, across);
            Vector3D right = new Vector3D(aside / 2 + half, across);
            faces.add(List.of(from.add(left), to.add(left), to.add(right), from.add(right)));
        }
        return faces;
    }

    /** @return mass, kg; 0 without a pattern */
    public double mass() {
        return flat.map(f -> f.length()
                        * f.width()
                        * bracket.thickness()
                        * bracket.sheet().density())
                .orElse(0.0);
    }

    /** @return whether it can be made and fitted: then it has a pattern */
    public boolean good() {
        return problems.isEmpty();
    }
}
