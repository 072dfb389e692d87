package isotherm.core.route;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/** What a hose of one diameter has to keep clear of, and how much room is left at a point. */
public final class Surroundings {
    /** Room that a separator keeps between two hoses' skins, m (default). */
    public static final double SEPARATOR = 5e-3;

    private static final double OTHER_STEP = 8e-3;

    private static final Vector3D[] NO_OTHERS = {};

    private final Bay bay;
    private final double radius;
    private final Vector3D[] others;
    private final Bay.Box[] boxes;
    private final double[] needed;
    /** Least and greatest coordinates of each box, six numbers each, m. */
    private final double[] bounds;
    /** Holes of each box, and how far from its middle a hole's way through the box reaches, m. */
    private final Bay.Hole[][] holes;

    private final double[][] reaches;
    private final double toOther;
    private final boolean sleeved;
    /** The box round all other hoses: what is far from it is far from them. */
    private final Bay.Box round;
    /** What can be nearest where; null where there is so little that asking all is as fast. */
    private final @Nullable Blocks blocks;

    private static final int FEW = 6;

    /**
     * @param bay the bay
     * @param outside outer diameter of the hose, m
     * @param others hoses that are there already, of the same diameter
     * @param sleeved whether a heat sleeve is on it, which halves what it keeps from hot parts
     */
    public Surroundings(Bay bay, double outside, List<RoutePath> others, boolean sleeved) {
        this(
                bay,
                bay.boxes().toArray(Bay.Box[]::new),
                outside,
                others.stream().flatMap(o -> o.points(OTHER_STEP).stream()).toArray(Vector3D[]::new),
                sleeved);
    }

    private Surroundings(Bay bay, Bay.Box[] boxes, double outside, Vector3D[] others, boolean sleeved) {
        this.bay = bay;
        this.radius = outside / 2;
        this.sleeved = sleeved;
        this.others = others;
        this.boxes = boxes;
        this.needed = Arrays.stream(boxes).mapToDouble(this::needed).toArray();
        this.bounds = bounds(boxes);
        this.holes = holes(bay, boxes);
        this.reaches = reaches(boxes, holes);
        this.toOther = outside + SEPARATOR;
        this.round = round(this.others);
        this.blocks = boxes.length + others.length > FEW ? new Blocks(this) : null;
    }

    private static double[] bounds(Bay.Box[] boxes) {
        return Arrays.stream(boxes)
                .flatMapToDouble(b -> DoubleStream.concat(
                        Arrays.stream(b.low().toArray()), Arrays.stream(b.high().toArray())))
                .toArray();
    }

    private static Bay.Hole[][] holes(Bay bay, Bay.Box[] boxes) {
        return Arrays.stream(boxes)
                .map(box -> bay.holes().stream()
                        .filter(h -> box.kind() == Bay.Kind.PANEL && h.panel().equals(box.name()))
                        .toArray(Bay.Hole[]::new))
                .toArray(Bay.Hole[][]::new);
    }

    private static double[][] reaches(Bay.Box[] boxes, Bay.Hole[][] holes) {
        double[][] reaches = new double[boxes.length][];
        Arrays.setAll(reaches, i -> Arrays.stream(holes[i])
                .mapToDouble(h -> reach(h, boxes[i]))
                .toArray());
        return reaches;
    }

    private static Bay.Box round(Vector3D[] points) {
        double[] low = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] high = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (Vector3D p : points) {
            double[] c = p.toArray();
            for (int i = 0; i < c.length; i++) {
                low[i] = Math.min(low[i], c[i]);
                high[i] = Math.max(high[i], c[i]);
            }
        }
        return new Bay.Box("other hoses", Bay.Kind.SOFT, new Vector3D(low), new Vector3D(high));
    }

    /** What all of it follows from. */
    Routes.Space given() {
        return new Routes.Space(bay, radius, List.of(others), sleeved);
    }

    /** The same with another hose, of the same diameter, there. */
    public Surroundings with(Optional<RoutePath> other) {
        Vector3D[] more = other.map(o -> o.points(OTHER_STEP)).orElse(List.of()).toArray(Vector3D[]::new);
        return new Surroundings(
                bay,
                boxes,
                2 * radius,
                Stream.concat(Arrays.stream(others), Arrays.stream(more)).toArray(Vector3D[]::new),
                sleeved);
    }

    /** The same without one box. */
    Surroundings without(String name) {
        Bay rest = bay.without(name);
        return new Surroundings(rest, rest.boxes().toArray(Bay.Box[]::new), 2 * radius, others, sleeved);
    }

    private Surroundings(Surroundings whole, int[] chosen, Vector3D[] others) {
        this.bay = whole.bay;
        this.radius = whole.radius;
        this.sleeved = whole.sleeved;
        this.others = others;
        this.toOther = whole.toOther;
        this.round = whole.round;
        this.blocks = null;
        this.boxes = new Bay.Box[chosen.length];
        this.needed = new double[chosen.length];
        this.bounds = new double[6 * chosen.length];
        this.holes = new Bay.Hole[chosen.length][];
        this.reaches = new double[chosen.length][];
        for (int k = 0; k < chosen.length; k++) {
            boxes[k] = whole.boxes[chosen[k]];
            needed[k] = whole.needed[chosen[k]];
            System.arraycopy(whole.bounds, 6 * chosen[k], bounds, 6 * k, 6);
            holes[k] = whole.holes[chosen[k]];
            reaches[k] = whole.reaches[chosen[k]];
        }
    }

    /** What of it can be broken by a hose that stays within a distance of a point: much less, which is asked much faster. */
    Surroundings around(Vector3D p, double reach) {
        int[] chosen = new int[boxes.length];
        int n = 0;
        for (int i = 0; i < boxes.length; i++) {
            if (atLeast(p, i) - needed[i] < reach) {
                chosen[n++] = i;
            }
        }
        boolean far = others.length == 0 || round.distance(p) - toOther >= reach;
        return new Surroundings(this, Arrays.copyOf(chosen, n), far ? NO_OTHERS : othersWithin(p, reach));
    }

    /** @return the bay */
    public Bay bay() {
        return bay;
    }

    /**
     * @param box a box
     * @return least distance of the hose's centre line from it, m
     */
    public double needed(Bay.Box box) {
        double clearance = box.kind().clearance();
        return radius + (sleeved && box.kind() == Bay.Kind.HOT ? clearance / 2 : clearance);
    }

    /**
     * @param p a point of the centre line, m
     * @return room left there beyond what has to be kept, m; negative where it is too near; never steeper than distance itself
     */
    public double slack(Vector3D p) {
        Blocks known = blocks;
        Blocks.Near near = known == null ? null : known.at(p);
        if (near == null) {
            return slackOfAll(p);
        }
        double least = bay.room().within(p) - radius;
        for (int i : near.boxes()) {
            if (roomAtLeast(p, i) < least) {
                least = Math.min(least, slack(p, i));
            }
        }
        return toOthers(p, near.others(), least);
    }

    /** Room left at a point, asked of everything there is. */
    double slackOfAll(Vector3D p) {
        double least = bay.room().within(p) - radius;
        for (int i = 0; i < boxes.length; i++) {
            // The longest of the three distances is never more than the distance itself: most boxes are dismissed by
            // it.
            if (roomAtLeast(p, i) < least) {
                least = Math.min(least, slack(p, i));
            }
        }
        return toOthers(p, others, least);
    }

    /** Room left at a point if nothing that has holes were there. */
    double slackOfSolid(Vector3D p) {
        double least = bay.room().within(p) - radius;
        for (int i = 0; i < boxes.length; i++) {
            if (holes[i].length == 0 && roomAtLeast(p, i) < least) {
                least = Math.min(least, slack(p, i));
            }
        }
        return toOthers(p, others, least);
    }

    private double toOthers(Vector3D p, Vector3D[] points, double room) {
        if (points.length == 0 || round.distance(p) - toOther >= room) {
            return room;
        }
        double least = room;
        for (Vector3D o : points) {
            // The chord between two points of the other hose bulges by next to nothing.
            least = Math.min(least, Vector3D.distance(p, o) - toOther);
        }
        return least;
    }

    int count() {
        return boxes.length;
    }

    /** Room to a box that a point has at least, m. */
    double roomAtLeast(Vector3D p, int i) {
        return atLeast(p, i) - needed[i];
    }

    Vector3D[] othersWithin(Vector3D p, double room) {
        return Arrays.stream(others)
                .filter(o -> Vector3D.distance(p, o) - toOther <= room)
                .toArray(Vector3D[]::new);
    }

    private double atLeast(Vector3D p, int i) {
        double x = p.getX();
        double y = p.getY();
        double z = p.getZ();
        int k = 6 * i;
        double across = Math.max(bounds[k] - x, x - bounds[k + 3]);
        double up = Math.max(bounds[k + 1] - y, y - bounds[k + 4]);
        double along = Math.max(bounds[k + 2] - z, z - bounds[k + 5]);
        return Math.max(Math.max(across, up), along);
    }

    /** No box, nor anything else. */
    static final int NOTHING = -1;
    /** More than one box, or something that cannot be taken away: the bay's edge or another hose. */
    static final int MORE = -2;

    /**
     * @param p a point of the centre line, m
     * @return number of the one box that is too near there, {@link #NOTHING} or {@link #MORE}
     */
    int onlyBreaker(Vector3D p) {
        if (bay.room().within(p) < radius || tooNearToOthers(p)) {
            return MORE;
        }
        int only = NOTHING;
        for (int i = 0; i < boxes.length; i++) {
            if (atLeast(p, i) < needed[i] && slack(p, i) < 0) {
                if (only != NOTHING) {
                    return MORE;
                }
                only = i;
            }
        }
        return only;
    }

    /**
     * Whether the body of a fitting finds its place: it may be as near to what stands round its port as the port itself is, and
     * touches nothing else.
     *
     * @param body its centre line, m
     * @param widest its largest diameter, m
     * @param port where the port is, m
     * @return whether it does
     */
    public boolean takes(List<Vector3D> body, double widest, Vector3D port) {
        for (Bay.Box box : boxes) {
            double needed = Math.min(widest / 2, box.distance(port));
            for (Vector3D p : body) {
                if (box.distance(p) < needed - 1e-6 && !inHole(p, box, widest / 2)) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean inHole(Vector3D p, Bay.Box box, double reach) {
        return box.kind() == Bay.Kind.PANEL
                && bay.holes().stream()
                        .anyMatch(h -> h.panel().equals(box.name()) && h.offAxis(p) + reach <= h.diameter() / 2);
    }

    private boolean tooNearToOthers(Vector3D p) {
        return others.length > 0
                && round.distance(p) < toOther
                && Arrays.stream(others).anyMatch(o -> Vector3D.distance(p, o) < toOther);
    }

    private double slack(Vector3D p, int i) {
        double slack = boxes[i].distance(p) - needed[i];
        if (slack < 0) {
            for (int h = 0; h < holes[i].length; h++) {
                Bay.Hole hole = holes[i][h];
                if (hole.along(p) <= reaches[i][h] + needed[i]) {
                    slack = Math.max(slack, hole.diameter() / 2 - Bay.Hole.GROMMET - radius - hole.offAxis(p));
                }
            }
        }
        return slack;
    }

    private static double reach(Bay.Hole hole, Bay.Box box) {
        Vector3D unit = hole.axis().unit();
        double a = Math.abs(box.low().subtract(hole.centre()).dotProduct(unit));
        double b = Math.abs(box.high().subtract(hole.centre()).dotProduct(unit));
        return Math.max(a, b);
    }

    /**
     * @param p a point of the centre line, m
     * @return name of what is nearest to breaking its distance there
     */
    public String nearest(Vector3D p) {
        double least = bay.room().within(p) - radius;
        String name = "the edge of the bay";
        for (int i = 0; i < boxes.length; i++) {
            double slack = slack(p, i);
            if (slack < least) {
                least = slack;
                name = boxes[i].name();
            }
        }
        for (Vector3D o : others) {
            double slack = Vector3D.distance(p, o) - toOther;
            if (slack < least) {
                least = slack;
                name = "the other hose";
            }
        }
        return name;
    }

    /**
     * @param from a point, m
     * @param to another, m
     * @return whether the straight line between them is clear
     */
    boolean clear(Vector3D from, Vector3D to) {
        double length = Vector3D.distance(from, to);
        double at = 0;
        while (true) {
            Vector3D p = length == 0 ? from : from.add(new Vector3D(at / length, to.subtract(from)));
            double slack = slack(p);
            if (slack < 0) {
                return false;
            }
            if (at >= length) {
                return true;
            }
            // Nothing comes nearer faster than the point moves.
            at = Math.min(length, at + Math.max(slack, LEAST_STEP));
        }
    }

    static final double LEAST_STEP = 4e-3;

    /**
     * @param path a path
     * @return whether its whole centre line is clear
     */
    boolean clear(RoutePath path) {
        Walk walk = path.walk(LEAST_STEP);
        int i = 0;
        while (i < walk.count()) {
            double slack = slack(walk.point(i));
            if (slack < 0) {
                return false;
            }
            i += Math.max(1, (int) (slack / LEAST_STEP));
        }
        return slack(walk.point(walk.count() - 1)) >= 0;
    }
}
