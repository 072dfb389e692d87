package isotherm.core.plumb;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Finds a hose's route: A* (Hart, Nilsson and Raphael 1968) on a rectilinear grid whose states carry a direction and the straight
 * length since the last bend, so that every corner can be rounded by the hose's least bend radius; then corners are drawn
 * together and apart as long as the route gets shorter, gentler or freer (short-cutting after Geraerts and Overmars 2007).
 *
 * <p>All coordinates in m, in the axes of {@link Bay}.
 */
public final class RouteFinder {
    /** Distance of the grid's planes, m (default). */
    private static final double GRID = 30e-3;
    /** Planes nearer than this to one that is needed give way to it, m. */
    private static final double CROWDED = 9e-3;
    /** A bend of 90° is worth a detour of this length, m (default). */
    private static final double BEND_COST = 0.11;
    /** Room beyond what has to be kept is worth having up to here, m (default). */
    private static final double WANTED_SLACK = 10e-3;
    /** Of two routes alike the one with fewer corners, m a corner (default). */
    private static final double CORNER_COST = 0.01;
    /** Cost of a route that has none of it anywhere, m (default). */
    private static final double TIGHT_COST = 0.6;
    /** The search is given up after this many states. */
    private static final int MOST_STATES = 100_000;
    /** A way-point is passed within this distance, m. */
    private static final double AT_POINT = 2e-3;
    /** Tries at drawing corners. */
    private static final int DRAWS = 260;

    private static final double ARC_STEP = 4e-3;
    /** A double bend goes this far aside at most, m (default). */
    private static final double FARTHEST_SHIFT = 0.22;
    /** It turns by this much at most, rad (default). */
    private static final double GENTLE_TURN = Math.toRadians(40);
    /** Lines nearer than this are one, m. */
    private static final double SAME_LINE = 1e-6;
    /** Cosine from which on a fitting points along an axis. */
    private static final double ALONG = 0.35;
    /** So many boxes are named at most. */
    private static final int MOST_NAMED = 3;
    /** All trials together are given up after this many states. */
    private static final int MOST_TRIAL_STATES = 200_000;
    /** It is asked after so many states whether anybody still waits for the answer. */
    private static final int ASKED_EVERY = 1000;

    /** Corners that are tried for the route with two bends, m from the ends. */
    private static final double[] TWO_BENDS = {0.03, 0.06, 0.1, 0.15, 0.2, 0.3, 0.4};

    /** Weight of the estimate (Pohl 1970): a route may cost this much more than the cheapest of the grid, before it is drawn. */
    private static final double WEIGHT = 1.2;

    private static final int BUCKETS = 8;

    private static final Vector3D[] DIRECTIONS = {
        Vector3D.PLUS_I, Vector3D.MINUS_I, Vector3D.PLUS_J, Vector3D.MINUS_J, Vector3D.PLUS_K, Vector3D.MINUS_K
    };

    private final Surroundings space;
    private final double radius;
    private final List<Exit> starts;
    private final List<Exit> goals;
    private final List<Vector3D> wayPoints;
    private final int mostStates;
    private final BooleanSupplier left;
    private int statesSeen;
    private final double[][] planes;
    /** Cells that could not be gone to. */
    private final BitSet blockers = new BitSet();
    /** What is known of turns: two bits each, whether it is known, and clear. */
    private final BitSet turns = new BitSet();

    private final Map<Long, Boolean> clearShifts = new HashMap<>();
    /** Room at each cell, m; NaN where nobody has looked yet. */
    private final double[] slacks;

    private final Vector3D[][] arcs;
    private final List<List<Vector3D>> rails;

    /**
     * A way for a hose to leave its end.
     *
     * @param at where the hose begins, m
     * @param direction unit vector in which it leaves
     * @param cost what this way costs, in m of hose
     */
    public record Exit(Vector3D at, Vector3D direction, double cost) {}

    /**
     * What the search came to.
     *
     * @param path the route; empty when there is none
     * @param start number of the exit that it leaves by; -1 without a route
     * @param goal number of the exit that it arrives at; -1 without a route
     * @param inTheWay what has to move, any one of them alone, when there is no route
     */
    public record Result(Optional<RoutePath> path, int start, int goal, List<String> inTheWay) {}

    private RouteFinder(
            Surroundings space,
            double radius,
            List<Exit> starts,
            List<Exit> goals,
            List<Vector3D> wayPoints,
            int mostStates,
            BooleanSupplier left) {
        this.mostStates = mostStates;
        this.left = left;
        this.space = space;
        this.radius = radius;
        this.starts = starts;
        this.goals = goals;
        this.wayPoints = wayPoints;
        this.arcs = arcs(radius);
        this.rails = rails();
        this.planes = new double[][] {planes(Vector3D::getX), planes(Vector3D::getY), planes(Vector3D::getZ)};
        this.slacks = new double[planes[0].length * planes[1].length * planes[2].length];
        Arrays.fill(slacks, Double.NaN);
    }

    /**
     * @param space what the hose has to keep clear of
     * @param bendRadius its least bend radius, m
     * @param starts ways of leaving the first end
     * @param goals ways of leaving the last end
     * @param wayPoints points that it has to pass, in order, m
     * @param explain whether to look for what is in the way when there is no route, which takes some searches more
     * @param left asked now and then whether nobody waits for the answer any more
     * @return the route, or what is in the way of one
     * @throws CancellationException when nobody waits any more
     */
    public static Result find(
            Surroundings space,
            double bendRadius,
            List<Exit> starts,
            List<Exit> goals,
            List<Vector3D> wayPoints,
            boolean explain,
            BooleanSupplier left) {
        RouteFinder finder = new RouteFinder(space, bendRadius, starts, goals, wayPoints, MOST_STATES, left);
        return finder.solve()
                .orElseGet(() -> new Result(Optional.empty(), -1, -1, explain ? finder.inTheWay() : List.of()));
    }

    // ---- the grid
    // ----------------------------------------------------------------------------------------------------

    private double[] planes(java.util.function.ToDoubleFunction<Vector3D> axis) {
        TreeSet<Double> needed = new TreeSet<>();
        for (List<Exit> side : List.of(starts, goals)) {
            for (Exit e : side) {
                needed.add(axis.applyAsDouble(e.at()));
                if (axial(e.direction()) < 0) {
                    needed.add(axis.applyAsDouble(stub(e)));
                }
            }
        }
        wayPoints.forEach(w -> needed.add(axis.applyAsDouble(w)));
        space.bay().holes().forEach(h -> needed.add(axis.applyAsDouble(h.centre())));
        TreeSet<Double> all = new TreeSet<>();
        for (double n : needed) {
            Double before = all.floor(n);
            if (before == null || n - before > 1e-6) {
                all.add(n);
            }
        }
        TreeSet<Double> special = new TreeSet<>(all);
        double from = axis.applyAsDouble(space.bay().room().low());
        double to = axis.applyAsDouble(space.bay().room().high());
        int n = (int) Math.ceil((to - from) / GRID);
        for (int i = 0; i <= n; i++) {
            double v = from + (to - from) * i / n;
            Double below = special.floor(v);
            Double above = special.ceiling(v);
            if ((below == null || v - below > CROWDED) && (above == null || above - v > CROWDED)) {
                all.add(v);
            }
        }
        return all.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** Points of the lines along each axis that lead where the hose has to go. */
    private List<List<Vector3D>> rails() {
        List<List<Vector3D>> rails = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        space.bay().holes().forEach(h -> rails.get(h.axis().ordinal()).add(h.centre()));
        for (Exit e : goals) {
            int axial = axial(e.direction());
            if (axial >= 0) {
                rails.get(axial / 2).add(e.at());
            } else {
                // A hose comes in along an axis that the fitting points along for a good part.
                double[] d = e.direction().toArray();
                for (int axis = 0; axis < d.length; axis++) {
                    if (Math.abs(d[axis]) > ALONG) {
                        rails.get(axis).add(stub(e));
                    }
                }
            }
        }
        wayPoints.forEach(w -> rails.forEach(r -> r.add(w)));
        List<List<Vector3D>> once = new ArrayList<>();
        for (int axis = 0; axis < rails.size(); axis++) {
            List<Vector3D> lines = new ArrayList<>();
            for (Vector3D rail : rails.get(axis)) {
                int along = axis;
                if (lines.stream().noneMatch(r -> aside(along, r, rail) < SAME_LINE)) {
                    lines.add(rail);
                }
            }
            once.add(lines);
        }
        return once;
    }

    /** How far two points are apart across an axis, m. */
    private static double aside(int axis, Vector3D a, Vector3D b) {
        double x = axis == 0 ? 0 : a.getX() - b.getX();
        double y = axis == 1 ? 0 : a.getY() - b.getY();
        double z = axis == 2 ? 0 : a.getZ() - b.getZ();
        return Math.sqrt(x * x + y * y + z * z);
    }

    private static int index(double[] planes, double v) {
        int at = Arrays.binarySearch(planes, v);
        if (at >= 0) {
            return at;
        }
        int after = -at - 1;
        if (after == planes.length || after > 0 && v - planes[after - 1] < planes[after] - v) {
            after--;
        }
        return after;
    }

    private int cell(Vector3D p) {
        return (index(planes[0], p.getX()) * planes[1].length + index(planes[1], p.getY())) * planes[2].length
                + index(planes[2], p.getZ());
    }

    private Vector3D point(int cell) {
        int nz = planes[2].length;
        int ny = planes[1].length;
        return new Vector3D(planes[0][cell / nz / ny], planes[1][cell / nz % ny], planes[2][cell % nz]);
    }

    /** The neighbour in a direction, or -1 at the edge. */
    private int next(int cell, int direction) {
        int nz = planes[2].length;
        int ny = planes[1].length;
        int step = (direction & 1) == 0 ? 1 : -1;
        int axis = direction / 2;
        int i = axis == 0 ? cell / nz / ny : axis == 1 ? cell / nz % ny : cell % nz;
        if (i + step < 0 || i + step >= planes[axis].length) {
            return -1;
        }
        return cell + step * (axis == 0 ? ny * nz : axis == 1 ? nz : 1);
    }

    private static int axial(Vector3D direction) {
        for (int d = 0; d < DIRECTIONS.length; d++) {
            if (direction.dotProduct(DIRECTIONS[d]) > 1 - 1e-9) {
                return d;
            }
        }
        return -1;
    }

    /** The corner at which a hose that leaves askew turns into the grid; every turn up to 90° fits before it. */
    private Vector3D stub(Exit e) {
        return e.at().add(new Vector3D(radius, e.direction()));
    }

    // ---- the search
    // --------------------------------------------------------------------------------------------------

    /** A state: a grid point, a direction, and the straight length there since the last arc. */
    private record State(
            int cell, int direction, double spare, double cost, double rank, State before, boolean turned) {
        State ranked(double newRank) {
            return new State(cell, direction, spare, cost, newRank, before, turned);
        }
    }

    private record Arrival(int cell, int direction, double spare, double cost, int goal) {}

    private Optional<Result> solve() {
        if (wayPoints.stream().anyMatch(w -> space.slack(w) < 0)) {
            return Optional.empty();
        }
        List<State> open = new ArrayList<>();
        Map<State, Integer> exits = new LinkedHashMap<>();
        for (int i = 0; i < starts.size(); i++) {
            Exit e = starts.get(i);
            int axial = axial(e.direction());
            if (axial >= 0) {
                if (space.slack(e.at()) >= 0) {
                    State s = new State(cell(e.at()), axial, 0, e.cost(), 0, null, false);
                    open.add(s);
                    exits.put(s, i);
                }
            } else if (space.clear(e.at(), stub(e))) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    double turn = Vector3D.angle(e.direction(), DIRECTIONS[d]);
                    if (turn <= Math.PI / 2 + 1e-9) {
                        State s = new State(
                                cell(stub(e)),
                                d,
                                -radius * Math.tan(turn / 2),
                                e.cost() + radius + BEND_COST * turn / (Math.PI / 2),
                                0,
                                null,
                                true);
                        open.add(s);
                        exits.put(s, i);
                    }
                }
            }
        }
        List<Vector3D> corners = new ArrayList<>();
        int start = -1;
        for (Vector3D w : wayPoints) {
            int cell = cell(w);
            List<Arrival> anyhow = new ArrayList<>();
            for (int d = 0; d < DIRECTIONS.length; d++) {
                // Straight through it: an arc would cut the corner past the point.
                anyhow.add(new Arrival(cell, d, 0, 0, -1));
            }
            State reached = search(open, anyhow).orElse(null);
            if (reached == null) {
                return Optional.empty();
            }
            if (start < 0) {
                start = exits.get(first(reached));
            }
            corners.addAll(corners(reached, corners.isEmpty() ? starts.get(start) : null));
            State again = new State(reached.cell(), reached.direction(), 0, 0, 0, null, false);
            open = new ArrayList<>(List.of(again));
        }
        State end = search(open, arrivals()).orElse(null);
        if (end == null) {
            return Optional.empty();
        }
        if (start < 0) {
            start = exits.get(first(end));
        }
        corners.addAll(corners(end, corners.isEmpty() ? starts.get(start) : null));
        int goal = arrivals().stream()
                .filter(a -> arrives(end, a))
                .min((a, b) -> Double.compare(a.cost(), b.cost()))
                .orElseThrow()
                .goal();
        Exit e = goals.get(goal);
        if (axial(e.direction()) < 0) {
            corners.add(stub(e));
        }
        corners.add(e.at());
        List<Vector3D> clean = withoutStraightCorners(corners);
        RoutePath rough = RoutePath.of(clean, radius);
        if (!rough.fits() || !space.clear(rough)) {
            return Optional.empty();
        }
        return Optional.of(new Result(Optional.of(opened(drawn(rough))), start, goal, List.of()));
    }

    private static State first(State s) {
        State at = s;
        while (at.before() != null) {
            at = at.before();
        }
        return at;
    }

    private List<Arrival> arrivals() {
        List<Arrival> arrivals = new ArrayList<>();
        for (int i = 0; i < goals.size(); i++) {
            Exit e = goals.get(i);
            Vector3D in = e.direction().negate();
            int axial = axial(in);
            if (axial >= 0) {
                if (space.slack(e.at()) >= 0) {
                    arrivals.add(new Arrival(cell(e.at()), axial, 0, e.cost(), i));
                }
            } else if (space.clear(stub(e), e.at())) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    double turn = Vector3D.angle(in, DIRECTIONS[d]);
                    if (turn <= Math.PI / 2 + 1e-9) {
                        arrivals.add(new Arrival(
                                cell(stub(e)),
                                d,
                                radius * Math.tan(turn / 2),
                                e.cost() + radius + BEND_COST * turn / (Math.PI / 2),
                                i));
                    }
                }
            }
        }
        return arrivals;
    }

    private static boolean arrives(State s, Arrival a) {
        return s.cell() == a.cell() && s.direction() == a.direction() && s.spare() >= a.spare() - 1e-9;
    }

    private Optional<State> search(List<State> from, List<Arrival> to) {
        PriorityQueue<State> open = new PriorityQueue<>((a, b) -> {
            int byRank = Double.compare(a.rank(), b.rank());
            return byRank != 0 ? byRank : Double.compare(b.cost(), a.cost());
        });
        double[][] best = new double[slacks.length * DIRECTIONS.length][];
        Map<Integer, List<Arrival>> goalCells = new HashMap<>();
        to.forEach(
                a -> goalCells.computeIfAbsent(a.cell(), c -> new ArrayList<>()).add(a));
        double[][] targets = to.stream()
                .map(a -> new double[] {
                    point(a.cell()).getX(),
                    point(a.cell()).getY(),
                    point(a.cell()).getZ(),
                    a.cost()
                })
                .toArray(double[][]::new);
        from.forEach(s -> push(open, best, s));
        int states = 0;
        while (!open.isEmpty() && states++ < mostStates) {
            if (statesSeen++ % ASKED_EVERY == 0 && left.getAsBoolean()) {
                throw new CancellationException("Nobody waits for this route any more");
            }
            State s = open.remove();
            List<Arrival> here = goalCells.get(s.cell());
            if (here != null && here.stream().anyMatch(a -> arrives(s, a))) {
                return Optional.of(s);
            }
            Vector3D at = point(s.cell());
            int ahead = next(s.cell(), s.direction());
            if (ahead >= 0) {
                Vector3D p = point(ahead);
                double length = Vector3D.distance(at, p);
                if (clearStep(s.cell(), at, ahead, p, length)) {
                    double cost = s.cost() + length;
                    push(
                            open,
                            best,
                            new State(
                                    ahead,
                                    s.direction(),
                                    Math.min(radius, s.spare() + length),
                                    cost,
                                    cost + WEIGHT * left(ahead, s.direction(), targets),
                                    s,
                                    false));
                } else {
                    blockers.set(ahead);
                }
            }
            for (Vector3D rail : rails.get(s.direction() / 2)) {
                shift(s, at, rail).ifPresent(shifted -> {
                    double rank = shifted.cost() + WEIGHT * left(shifted.cell(), shifted.direction(), targets);
                    push(open, best, shifted.ranked(rank));
                });
            }
            if (s.spare() >= radius - 1e-9) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    if (d / 2 != s.direction() / 2 && clearTurn(s.cell(), at, s.direction(), d)) {
                        double cost = s.cost() + BEND_COST;
                        double rank = cost + WEIGHT * left(s.cell(), d, targets);
                        push(open, best, new State(s.cell(), d, -radius, cost, rank, s, true));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /**
     * A gentle double bend onto a line that leads where the hose has to go: to a hole, a way-point or an end. Right angles alone
     * would need a detour for a few centimetres.
     */
    private Optional<State> shift(State s, Vector3D at, Vector3D rail) {
        double by = aside(s.direction() / 2, at, rail);
        if (by < SAME_LINE || by > FARTHEST_SHIFT || s.spare() <= 0) {
            return Optional.empty();
        }
        Vector3D along = DIRECTIONS[s.direction()];
        Vector3D off = rail.subtract(at);
        Vector3D aside = off.subtract(new Vector3D(off.dotProduct(along), along));
        // Two equal arcs with nothing between them, or a gentle angle where there is room for more.
        double turn = Math.min(GENTLE_TURN, 2 * Math.asin(Math.sqrt(Math.min(1, by / (4 * radius)))));
        int axis = s.direction() / 2;
        double sign = along.dotProduct(DIRECTIONS[2 * axis]);
        double from = at.dotProduct(DIRECTIONS[2 * axis]);
        double[] across = planes[axis];
        int i = index(across, from);
        int step = sign > 0 ? 1 : -1;
        while (i >= 0 && i < across.length && (across[i] - from) * sign < by / Math.tan(turn) - 1e-9) {
            i += step;
        }
        if (i < 0 || i >= across.length) {
            return Optional.empty();
        }
        double ahead = (across[i] - from) * sign;
        double angle = Math.atan2(by, ahead);
        double tangent = radius * Math.tan(angle / 2);
        Vector3D to = at.add(aside).add(new Vector3D(ahead, along));
        if (s.spare() < tangent - 1e-9 || Math.hypot(by, ahead) < 2 * tangent) {
            return Optional.empty();
        }
        boolean clear = clearShifts.computeIfAbsent(
                ((long) s.cell() * DIRECTIONS.length + s.direction()) * slacks.length + cell(to),
                k -> space.clear(RoutePath.of(
                        List.of(
                                at.subtract(new Vector3D(tangent, along)),
                                at,
                                to,
                                to.add(new Vector3D(tangent, along))),
                        radius)));
        if (!clear) {
            return Optional.empty();
        }
        State corner = new State(s.cell(), s.direction(), 0, s.cost(), 0, s, true);
        double cost = s.cost() + Math.hypot(by, ahead) + BEND_COST * 2 * angle / (Math.PI / 2);
        return Optional.of(new State(cell(to), s.direction(), -tangent, cost, 0, corner, true));
    }

    private void push(PriorityQueue<State> open, double[][] best, State s) {
        int at = s.cell() * DIRECTIONS.length + s.direction();
        if (best[at] == null) {
            best[at] = new double[BUCKETS + 1];
            Arrays.fill(best[at], Double.POSITIVE_INFINITY);
        }
        double[] costs = best[at];
        int bucket = (int) Math.max(0, Math.min(BUCKETS, Math.floor((s.spare() + radius) / (2 * radius) * BUCKETS)));
        for (int b = bucket; b <= BUCKETS; b++) {
            if (costs[b] <= s.cost() + 1e-12) {
                return;
            }
        }
        costs[bucket] = s.cost();
        open.add(s);
    }

    /** What a state still costs at least: the way along the axes, and a bend for each axis too far aside for a double bend. */
    private double left(int cell, int direction, double[][] targets) {
        double[] p = point(cell).toArray();
        double least = Double.POSITIVE_INFINITY;
        for (double[] t : targets) {
            double way = t[p.length];
            int bends = 0;
            for (int axis = 0; axis < p.length; axis++) {
                double off = t[axis] - p[axis];
                way += Math.abs(off);
                boolean ahead = direction / 2 == axis && (direction & 1) == (off > 0 ? 0 : 1);
                if (Math.abs(off) > FARTHEST_SHIFT && !ahead) {
                    bends++;
                }
            }
            least = Math.min(least, way + bends * BEND_COST);
        }
        return least;
    }

    private double slack(int cell, Vector3D at) {
        if (Double.isNaN(slacks[cell])) {
            slacks[cell] = space.slack(at);
        }
        return slacks[cell];
    }

    private boolean clearStep(int cell, Vector3D at, int ahead, Vector3D p, double length) {
        double a = slack(cell, at);
        double b = slack(ahead, p);
        if (a < 0 || b < 0) {
            return false;
        }
        return a + b >= length || space.clear(at, p);
    }

    private boolean clearTurn(int cell, Vector3D at, int from, int to) {
        if (slack(cell, at) >= radius) {
            return true;
        }
        int turn = from * DIRECTIONS.length + to;
        int known = 2 * (cell * DIRECTIONS.length * DIRECTIONS.length + turn);
        if (!turns.get(known)) {
            turns.set(known);
            turns.set(known + 1, clearArc(at, arcs[turn]));
        }
        return turns.get(known + 1);
    }

    private boolean clearArc(Vector3D at, Vector3D[] arc) {
        int k = 0;
        while (k < arc.length) {
            double slack = space.slack(at.add(arc[k]));
            if (slack < 0) {
                return false;
            }
            k += Math.max(1, (int) (slack / ARC_STEP));
        }
        return space.slack(at.add(arc[arc.length - 1])) >= 0;
    }

    /** The arcs of all turns as points from their corner. */
    private static Vector3D[][] arcs(double radius) {
        Vector3D[][] arcs = new Vector3D[DIRECTIONS.length * DIRECTIONS.length][];
        for (int from = 0; from < DIRECTIONS.length; from++) {
            for (int to = 0; to < DIRECTIONS.length; to++) {
                if (from / 2 != to / 2) {
                    RoutePath arc = RoutePath.of(
                            List.of(
                                    new Vector3D(-radius, DIRECTIONS[from]),
                                    Vector3D.ZERO,
                                    new Vector3D(radius, DIRECTIONS[to])),
                            radius);
                    arcs[from * DIRECTIONS.length + to] = arc.points(ARC_STEP).toArray(Vector3D[]::new);
                }
            }
        }
        return arcs;
    }

    private List<Vector3D> corners(State end, Exit exit) {
        List<Vector3D> corners = new ArrayList<>();
        State s = end;
        corners.add(point(s.cell()));
        while (s.before() != null) {
            if (s.turned()) {
                corners.add(point(s.cell()));
            }
            s = s.before();
        }
        if (exit != null) {
            corners.add(point(s.cell()));
            if (axial(exit.direction()) < 0) {
                corners.add(exit.at());
            }
        }
        Collections.reverse(corners);
        return corners;
    }

    private static List<Vector3D> withoutStraightCorners(List<Vector3D> corners) {
        List<Vector3D> clean = new ArrayList<>();
        for (Vector3D c : corners) {
            if (!clean.isEmpty() && Vector3D.distance(clean.get(clean.size() - 1), c) < 1e-7) {
                continue;
            }
            while (clean.size() >= 2
                    && Vector3D.angle(
                                    clean.get(clean.size() - 1).subtract(clean.get(clean.size() - 2)),
                                    c.subtract(clean.get(clean.size() - 1)))
                            < 1e-7) {
                clean.remove(clean.size() - 1);
            }
            clean.add(c);
        }
        return clean;
    }

    // ---- drawing the corners
    // -----------------------------------------------------------------------------------------

    private double cost(RoutePath path) {
        double tight = 0;
        List<Vector3D> points = path.points(20e-3);
        for (Vector3D p : points) {
            tight += Math.max(0, WANTED_SLACK - space.slack(p)) / WANTED_SLACK;
        }
        return path.length()
                + BEND_COST * path.turning() / (Math.PI / 2)
                + CORNER_COST * (path.corners().size() - 2)
                + TIGHT_COST * tight / points.size();
    }

    private boolean good(RoutePath path) {
        return path.fits() && passes(path) && space.clear(path);
    }

    private boolean passes(RoutePath path) {
        if (wayPoints.isEmpty()) {
            return true;
        }
        List<Vector3D> points = path.points(AT_POINT);
        return wayPoints.stream()
                .allMatch(w -> points.stream().anyMatch(p -> Vector3D.distance(p, w) <= AT_POINT * 1.5));
    }

    /** Takes corners out and shifts them, seeded and so repeatable, as long as that makes the route better. */
    private RoutePath drawn(RoutePath rough) {
        RoutePath best = withTwoBends(shortCut(rough));
        double cost = cost(best);
        Random random = new Random(7);
        double reach = 0.12;
        for (int n = 0; n < DRAWS; n++) {
            int inner = best.corners().size() - 2;
            if (inner == 0) {
                break;
            }
            int i = 1 + random.nextInt(inner);
            List<Vector3D> corners = new ArrayList<>(best.corners());
            corners.set(i, shifted(corners, i, random, reach));
            RoutePath next = RoutePath.of(corners, radius);
            if (next.fits()) {
                double c = cost(next);
                if (c < cost - 1e-9 && good(next)) {
                    best = next;
                    cost = c;
                }
            }
            reach = Math.max(0.01, reach * 0.99);
            if (n % 40 == 39) {
                best = shortCut(best);
                cost = cost(best);
            }
        }
        return best;
    }

    /** Out of the one end, straight across, into the other: nothing is gentler where there is room for it. */
    private RoutePath withTwoBends(RoutePath path) {
        RoutePath best = path;
        double cost = cost(path);
        Vector3D from = path.corners().get(0);
        Vector3D to = path.corners().get(path.corners().size() - 1);
        for (double out : TWO_BENDS) {
            for (double in : TWO_BENDS) {
                RoutePath next = RoutePath.of(
                        List.of(
                                from,
                                from.add(new Vector3D(out, path.leaving())),
                                to.subtract(new Vector3D(in, path.arriving())),
                                to),
                        radius);
                if (next.fits() && cost(next) < cost && good(next)) {
                    best = next;
                    cost = cost(next);
                }
            }
        }
        return best;
    }

    /** The first and the last inner corner only move along the line on which the hose leaves its end. */
    private static Vector3D shifted(List<Vector3D> corners, int i, Random random, double reach) {
        Vector3D c = corners.get(i);
        boolean first = i == 1;
        boolean last = i == corners.size() - 2;
        if (first && last) {
            return c;
        }
        if (first || last) {
            Vector3D end = corners.get(first ? 0 : corners.size() - 1);
            Vector3D along = c.subtract(end).normalize();
            double from = Vector3D.distance(c, end);
            return end.add(new Vector3D(Math.max(5e-3, from + reach * random.nextGaussian()), along));
        }
        return c.add(new Vector3D(
                reach * random.nextGaussian(), reach * random.nextGaussian(), reach * random.nextGaussian()));
    }

    private RoutePath shortCut(RoutePath path) {
        RoutePath best = path;
        double cost = cost(best);
        boolean better = true;
        while (better) {
            better = false;
            // The first and the last inner corner hold the directions of the ends.
            for (int i = 2; i < best.corners().size() - 2 && !better; i++) {
                List<Vector3D> corners = new ArrayList<>(best.corners());
                corners.remove(i);
                RoutePath next = RoutePath.of(corners, radius);
                if (next.fits() && cost(next) < cost && good(next)) {
                    best = next;
                    cost = cost(next);
                    better = true;
                }
            }
        }
        return best;
    }

    /** Opens each arc as far as the room and its neighbours allow. */
    private RoutePath opened(RoutePath path) {
        RoutePath best = path;
        for (int i = 0; i < path.radii().size(); i++) {
            for (double factor : new double[] {3, 2, 1.5, 1.25}) {
                List<Double> radii = new ArrayList<>(best.radii());
                radii.set(i, radius * factor);
                RoutePath next = new RoutePath(best.corners(), radii);
                if (next.fits() && cost(next) <= cost(best) + 5e-3 && good(next)) {
                    best = next;
                    break;
                }
            }
        }
        return best;
    }

    // ---- what is in the way
    // ------------------------------------------------------------------------------------------

    /** Boxes of which any one, taken away, opens a way; what the search ran into most when no single one does. */
    private List<String> inTheWay() {
        List<String> inPoints = wayPoints.stream()
                .filter(w -> space.slack(w) < 0)
                .map(space::nearest)
                .distinct()
                .toList();
        if (!inPoints.isEmpty()) {
            return inPoints;
        }
        List<String> opening = new ArrayList<>();
        int states = 0;
        for (String name : passable()) {
            RouteFinder trial = new RouteFinder(
                    space.without(name), radius, starts, goals, wayPoints, MOST_TRIAL_STATES - states, left);
            if (trial.solve().isPresent()) {
                opening.add(name);
            }
            states += trial.statesSeen;
            if (opening.size() == MOST_NAMED || states >= MOST_TRIAL_STATES) {
                break;
            }
        }
        return opening.isEmpty() ? met().stream().limit(2).toList() : opening;
    }

    /** Boxes that a flood fill gets past when any one of them is taken away, the shortest way first. */
    private List<String> passable() {
        Flood flood = new Flood(new int[] {planes[0].length, planes[1].length, planes[2].length}, this::point, space);
        List<int[]> stages = new ArrayList<>();
        stages.add(cells(starts));
        wayPoints.forEach(w -> stages.add(new int[] {cell(w)}));
        stages.add(cells(goals));
        List<Bay.Box> boxes = space.bay().boxes();
        Map<String, Integer> steps = new HashMap<>();
        for (int i = 0; i < boxes.size(); i++) {
            String name = boxes.get(i).name();
            flood.steps(i, stages).ifPresent(n -> steps.put(name, n));
        }
        // Where the flood gets through anyhow only bends are lacking room: then what was run into most comes first.
        List<String> met = met();
        Comparator<Map.Entry<String, Integer>> shortest = Map.Entry.comparingByValue();
        return steps.entrySet().stream()
                .sorted(shortest.thenComparing(e -> met.contains(e.getKey()) ? met.indexOf(e.getKey()) : met.size()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private int[] cells(List<Exit> side) {
        return side.stream()
                .mapToInt(e -> cell(axial(e.direction()) >= 0 ? e.at() : stub(e)))
                .toArray();
    }

    /** Names what the search ran into, most often first. */
    private List<String> met() {
        Map<String, Integer> names = new HashMap<>();
        blockers.stream().forEach(cell -> names.merge(space.nearest(point(cell)), 1, Integer::sum));
        if (names.isEmpty()) {
            for (List<Exit> side : List.of(starts, goals)) {
                side.forEach(e -> names.merge(space.nearest(e.at()), 1, Integer::sum));
            }
        }
        return names.entrySet().stream()
                .sorted((a, b) -> b.getValue() - a.getValue())
                .map(Map.Entry::getKey)
                .toList();
    }
}
