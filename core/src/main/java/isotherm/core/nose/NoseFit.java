package isotherm.core.nose;

import isotherm.core.airflow.Place;
import isotherm.core.exchanger.Core;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What a core's position in a nose means: whose air it breathes, how much of its face sees an opening, how well that is
 * sealed, and how close it comes to everything else.
 *
 * @param place the place of the air model that it stands for
 * @param shadedShare share of the face that gets no air, 0 to 1
 * @param openingArea free area of the openings that feed it, m²
 * @param sealing share of the available pressure that arrives, 0 to 1
 * @param face finned face in the front view
 * @param outline whole core in the front view
 * @param fed parts of the face that air reaches
 * @param shades solid parts that stand before the face, as far as they cover it
 * @param gaps from each edge of the core to that of the opening that feeds it; empty when none does
 * @param section the four corners of its side section, in turn
 * @param front foremost point of the core, m back from the skin
 * @param back rearmost point of the core, m back from the skin
 * @param crushClearance from the part that crushes to the core, m; negative inside it
 * @param groundClearance lowest point of the core, m above the ground
 * @param clearances to every part, nearest first
 * @param warmth who warms whose air
 * @param problems what cannot stay so
 */
public record NoseFit(
        Place place,
        double shadedShare,
        double openingArea,
        double sealing,
        Rect face,
        Rect outline,
        List<Rect> fed,
        List<Rect> shades,
        Optional<Gaps> gaps,
        List<Corner> section,
        double front,
        double back,
        double crushClearance,
        double groundClearance,
        List<Clearance> clearances,
        Warmth warmth,
        List<Message> problems) {
    /** Sealing with a shroud whose joints are open (default). */
    public static final double SHROUDED = 0.75;
    /** Sealing with a shroud and foam (default). */
    public static final double SEALED = 0.90;
    /** A free jet behind an opening spreads by this slope to every side (default, 7° half angle). */
    static final double SPREAD = Math.tan(Math.toRadians(7));
    /** What is closer than this rubs when the engine moves, m (default). */
    public static final double LEAST_CLEARANCE = 10e-3;
    /** Share of the pressure that is lost past a core that covers next to nothing of its opening (default). */
    private static final double LEAK_PAST = 0.3;
    /** Room that the usual tool for rivet nuts needs before the hole, m (default). */
    public static final double RIVET_TOOL = 180e-3;
    /** A core needs to be held at this many points. */
    private static final int FEWEST_MOUNTS = 3;
    /** A mount is at the core or this far from it at most, m (default). */
    private static final double MOUNT_REACH = 40e-3;
    /** Tilted further, air passes along the face, rad (default). */
    private static final double MOST_TILT = Math.toRadians(60);
    /** A core belongs to the radiator's air when it covers at least this share of its own face with it. */
    private static final double SHARED = 0.3;

    /**
     * Distances from the core's edges to those of the opening, positive where the opening reaches further.
     *
     * @param left m
     * @param right m
     * @param above m
     * @param below m
     */
    public record Gaps(double left, double right, double above, double below) {}

    /**
     * A point of the side section.
     *
     * @param z m back from the skin
     * @param y m above the ground
     */
    public record Corner(double z, double y) {}

    /**
     * Distance to a neighbour.
     *
     * @param name its name
     * @param distance m; 0 when it is touched, or when it moves so far
     * @param keeps least distance, m
     */
    public record Clearance(String name, double distance, double keeps) {}

    /**
     * @param nose the nose
     * @param core the core
     * @param p where the core is
     * @return what that means
     */
    public static NoseFit of(Nose nose, Core core, Placement p) {
        return of(nose, core, p, List.of(), Set.of());
    }

    /**
     * @param nose the nose
     * @param core the core
     * @param p where the core is
     * @param bay what stands in the engine bay
     * @param moved names of what is moved, cut or removed and so is in nobody's way
     * @return what that means
     */
    public static NoseFit of(Nose nose, Core core, Placement p, List<Standing> bay, Set<String> moved) {
        List<Standing> about = Stream.concat(nose.parts().stream().map(Standing::of), bay.stream())
                .filter(s -> !moved.contains(s.name()))
                .toList();
        Nose left = new Nose(
                nose.openings(),
                nose.parts().stream()
                        .filter(part -> !moved.contains(part.name()))
                        .toList(),
                nose.crushDepth(),
                nose.groundLine(),
                nose.archVented());
        return new Solver(left, core, p, about).solve();
    }

    /** Working values of one fit. */
    private static final class Solver {
        private final Nose nose;
        private final Core core;
        private final Placement p;
        private final List<Standing> about;
        private final Rect face;
        private final Rect outline;
        private final List<Corner> section;
        private final double front;
        private final double back;
        private final List<Message> problems = new ArrayList<>();

        Solver(Nose nose, Core core, Placement p, List<Standing> about) {
            this.about = about;
            this.nose = nose;
            this.core = core;
            this.p = p;
            double cos = Math.cos(p.tilt());
            double sin = Math.sin(p.tilt());
            double half = core.outsideHeight() / 2;
            double depth = core.depth();
            // The front face's ends, then the same a depth behind, square to the face.
            this.section = List.of(
                    new Corner(p.z() - half * sin, p.y() - half * cos),
                    new Corner(p.z() + half * sin, p.y() + half * cos),
                    new Corner(p.z() + half * sin + depth * cos, p.y() + half * cos - depth * sin),
                    new Corner(p.z() - half * sin + depth * cos, p.y() - half * cos - depth * sin));
            this.front = section.stream().mapToDouble(Corner::z).min().orElseThrow();
            this.back = section.stream().mapToDouble(Corner::z).max().orElseThrow();
            double low = section.stream().mapToDouble(Corner::y).min().orElseThrow();
            double high = section.stream().mapToDouble(Corner::y).max().orElseThrow();
            this.outline = new Rect(p.x() - core.outsideWidth() / 2, low, core.outsideWidth(), high - low);
            this.face = Rect.around(p.x(), p.y(), core.width(), core.height() * Math.abs(cos));
        }

        NoseFit solve() {
            List<Nose.Opening> feeding = underFloor()
                    ? List.of()
                    : nose.openings().stream()
                            .filter(o -> reach(o).common(face).isPresent())
                            .toList();
            List<Rect> fed = new ArrayList<>();
            if (underFloor()) {
                // It hangs in the open stream under the car.
                fed.add(face);
            }
            for (Nose.Opening o : feeding) {
                // A shroud leads all that the opening takes to the whole face.
                (p.shroud() ? Optional.of(face) : reach(o).common(face)).ifPresent(fed::add);
            }
            List<Rect> shades = nose.parts().stream()
                    .filter(part -> part.kind().solid() && part.front() < p.z())
                    .flatMap(part -> part.face().common(face).stream())
                    .toList();
            double lit = lit(fed, shades);
            double area = underFloor() ? face.area() : openingArea(feeding);
            Place place = place(feeding);
            position(place);
            mounts();
            double shaded = 1 - lit / face.area();
            if (fed.isEmpty()) {
                say(NoseProblem.NOT_FED, m -> m);
            }
            return new NoseFit(
                    place,
                    Math.max(0, Math.min(1, shaded)),
                    area,
                    sealing(place, feeding),
                    face,
                    outline,
                    List.copyOf(fed),
                    shades,
                    gaps(feeding),
                    section,
                    front,
                    back,
                    front - nose.crushDepth(),
                    outline.bottom(),
                    clearances(),
                    Warmth.of(nose, face, front, back),
                    List.copyOf(problems));
        }

        private boolean underFloor() {
            return p.y() < nose.groundLine();
        }

        /** Where the air of an opening arrives at the core's depth. */
        private Rect reach(Nose.Opening o) {
            return o.face().grown(SPREAD * Math.max(0, p.z()));
        }

        private double lit(List<Rect> fed, List<Rect> shades) {
            double both = Rect.covered(face, fed);
            List<Rect> hidden = new ArrayList<>();
            for (Rect f : fed) {
                for (Rect s : shades) {
                    f.common(s).ifPresent(hidden::add);
                }
            }
            return both - Rect.covered(face, hidden);
        }

        private double openingArea(List<Nose.Opening> feeding) {
            List<Rect> plates = nose.parts().stream()
                    .filter(part -> part.kind() == Nose.Kind.PLATE)
                    .map(Nose.Part::face)
                    .toList();
            double area = 0;
            for (Nose.Opening o : feeding) {
                Optional<Rect> used =
                        p.shroud() ? Optional.of(o.face()) : o.face().common(face.grown(SPREAD * Math.max(0, p.z())));
                area += used.map(r -> r.area() - Rect.covered(r, plates)).orElse(0.0) * (1 - o.barShare());
            }
            return area;
        }

        private Place place(List<Nose.Opening> feeding) {
            Optional<Nose.Part> radiator = nose.parts().stream()
                    .filter(part -> part.kind() == Nose.Kind.RADIATOR)
                    .findFirst();
            double shared =
                    radiator.flatMap(r -> r.face().common(face)).map(Rect::area).orElse(0.0) / face.area();
            if (shared >= SHARED) {
                if (p.z() >= radiator.get().front()) {
                    return Place.BEHIND_RADIATOR;
                }
                return lowest(feeding) ? Place.LOWER_GRILLE_AHEAD : Place.GRILLE_AHEAD;
            }
            if (underFloor()) {
                return Place.UNDER_FLOOR;
            }
            boolean beside = radiator.map(r -> face.left() > r.face().right() - face.width() * SHARED
                            || face.right() < r.face().left() + face.width() * SHARED)
                    .orElse(false);
            if (beside) {
                return nose.archVented() ? Place.FRONT_CORNER_VENTED : Place.FRONT_CORNER_CLOSED;
            }
            return lowest(feeding) ? Place.LOWER_GRILLE_AHEAD : Place.GRILLE_AHEAD;
        }

        /** Whether the openings that feed the core lie under another one. */
        private boolean lowest(List<Nose.Opening> feeding) {
            double highest = nose.openings().stream()
                    .mapToDouble(o -> o.face().top())
                    .max()
                    .orElse(0);
            return !feeding.isEmpty()
                    && feeding.stream()
                            .allMatch(o -> o.face().top() < highest - o.face().height() / 2);
        }

        private double sealing(Place place, List<Nose.Opening> feeding) {
            if (p.shroud()) {
                return p.foam() ? SEALED : SHROUDED;
            }
            double opening = feeding.stream().mapToDouble(o -> o.face().area()).sum();
            double covered = feeding.stream()
                    .mapToDouble(o -> o.face().common(outline).map(Rect::area).orElse(0.0))
                    .sum();
            // Air takes the open way past a core that leaves part of its opening free.
            double coverage = opening > 0 ? covered / opening : 1;
            return Math.min(place.sealing(), SHROUDED) * (1 - LEAK_PAST + LEAK_PAST * coverage);
        }

        private Optional<Gaps> gaps(List<Nose.Opening> feeding) {
            return feeding.stream()
                    .map(Nose.Opening::face)
                    .max(Comparator.comparingDouble(
                            f -> f.common(face).map(Rect::area).orElse(0.0)))
                    .map(f -> new Gaps(
                            outline.left() - f.left(),
                            f.right() - outline.right(),
                            f.top() - outline.top(),
                            outline.bottom() - f.bottom()));
        }

        private List<Clearance> clearances() {
            return about.stream()
                    .map(s -> new Clearance(s.name(), s.distance(outline, front, back), s.keeps()))
                    .sorted(Comparator.comparingDouble(Clearance::distance))
                    .toList();
        }

        private void position(Place place) {
            for (Clearance c : clearances()) {
                if (c.distance() <= 0) {
                    say(NoseProblem.TAKEN, m -> m.name("part", c.name()));
                } else if (c.distance() < c.keeps()) {
                    say(NoseProblem.RUBS, m -> m.name("part", c.name())
                            .with("distance", Measure.LENGTH, c.distance())
                            .with("least", Measure.LENGTH, c.keeps()));
                }
            }
            if (front < 0) {
                say(NoseProblem.OUT_OF_SKIN, m -> m.with("distance", Measure.LENGTH, -front));
            } else if (front < nose.crushDepth()) {
                say(NoseProblem.CRUSHED, m -> m.with("distance", Measure.LENGTH, nose.crushDepth() - front));
            }
            if (outline.bottom() < nose.groundLine() && !p.skidPlate()) {
                say(
                        NoseProblem.NO_SKID_PLATE,
                        m -> m.with("distance", Measure.LENGTH, nose.groundLine() - outline.bottom()));
            }
            if (Math.abs(p.tilt()) > MOST_TILT) {
                say(NoseProblem.TILTED, m -> m.with("most", Measure.ANGLE, MOST_TILT));
            }
            if (place == Place.BEHIND_RADIATOR && p.shroud()) {
                say(NoseProblem.SHROUD_CANNOT_REACH, m -> m);
            }
        }

        private void mounts() {
            if (p.mounts().isEmpty()) {
                return;
            }
            if (p.mounts().size() < FEWEST_MOUNTS) {
                say(NoseProblem.FEW_MOUNTS, m -> m.count("mounts", p.mounts().size())
                        .count("least", FEWEST_MOUNTS));
            }
            if (p.mounts().stream().noneMatch(Placement.Mount::rubber)) {
                say(NoseProblem.NO_RUBBER, m -> m);
            }
            double halfWidth = core.outsideWidth() / 2 + MOUNT_REACH;
            double halfHeight = core.height() / 2 + MOUNT_REACH;
            for (int i = 0; i < p.mounts().size(); i++) {
                Placement.Mount m = p.mounts().get(i);
                if (Math.abs(m.x()) > halfWidth || Math.abs(m.y()) > halfHeight) {
                    int number = i + 1;
                    say(NoseProblem.MOUNT_OUTSIDE, w -> w.count("mount", number)
                            .with("most", Measure.LENGTH, MOUNT_REACH));
                }
                if (m.method() == Placement.Method.RIVET_NUT) {
                    double room = roomBefore(p.x() + m.x(), p.y() + m.y() * Math.cos(p.tilt()));
                    if (room < RIVET_TOOL) {
                        int number = i + 1;
                        say(NoseProblem.NO_TOOL_ROOM, w -> w.count("mount", number)
                                .with("room", Measure.LENGTH, room)
                                .with("needs", Measure.LENGTH, RIVET_TOOL));
                    }
                }
            }
        }

        /** Free way forward from a point of the core's front to the next part, m; to the open air without one. */
        private double roomBefore(double x, double y) {
            double nearest = Double.NEGATIVE_INFINITY;
            for (Nose.Part part : nose.parts()) {
                Rect f = part.face();
                boolean before = part.back() <= p.z() && f.left() < x && x < f.right() && f.bottom() < y && y < f.top();
                if (before) {
                    nearest = Math.max(nearest, part.back());
                }
            }
            return nearest == Double.NEGATIVE_INFINITY ? Double.POSITIVE_INFINITY : p.z() - nearest;
        }

        private void say(NoseProblem problem, UnaryOperator<Message> figures) {
            problems.add(figures.apply(problem.say("problem")));
        }
    }
}
