package isotherm.core.route;

import static isotherm.core.route.RouteGrid.DIRECTIONS;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * A* (Hart, Nilsson and Raphael 1968) on the grid, whose states carry a direction and the straight length since the last bend, so
 * that every corner can be rounded by the hose's least bend radius.
 */
final class GridSearch {
    /** A bend of 90° is worth a detour of this length, m (default). */
    static final double BEND_COST = 0.11;
    /** It is asked after so many states whether anybody still waits for the answer. */
    private static final int ASKED_EVERY = 1000;
    /** Where even water does not get through, only a double bend between two planes of the grid might: no more are looked at. */
    private static final int FEW_STATES = 10_000;
    /** Weight of the estimate (Pohl 1970): a route may cost this much more than the cheapest of the grid, before it is drawn. */
    private static final double WEIGHT = 1.2;
    /** Steps in which the straight length since the last bend is told apart. */
    private static final int BUCKETS = 8;

    private final RouteRequest request;
    private final RouteGrid grid;
    private final double radius;
    private final Flood flood;
    private final int mostStates;
    private final double weight;
    private final BooleanSupplier cancelled;
    private final Turns turns;
    private final DoubleBends bends;
    /** Cells that could not be gone to. */
    private final BitSet blockers = new BitSet();

    private int statesSeen;

    /**
     * A route on the grid.
     *
     * @param rough the route
     * @param start number of the exit that it leaves by
     * @param goal number of the exit that it arrives at
     */
    record Found(RoutePath rough, int start, int goal) {}

    GridSearch(RouteRequest request, RouteGrid grid, Flood flood, int mostStates, BooleanSupplier cancelled) {
        this(request, grid, flood, mostStates, WEIGHT, cancelled);
    }

    /**
     * @param request what is asked
     * @param grid its grid
     * @param flood its flood
     * @param mostStates the search is given up after so many states
     * @param weight of the estimate; 0 for none: the search of Dijkstra (1959), which finds the cheapest route and looks everywhere
     * @param cancelled asked now and then whether nobody waits for the answer any more
     */
    GridSearch(
            RouteRequest request,
            RouteGrid grid,
            Flood flood,
            int mostStates,
            double weight,
            BooleanSupplier cancelled) {
        this.request = request;
        this.grid = grid;
        this.radius = request.bendRadius();
        this.flood = flood;
        this.mostStates = mostStates;
        this.weight = weight;
        this.cancelled = cancelled;
        this.turns = new Turns(grid, request.space(), radius);
        this.bends = new DoubleBends(grid, request.space(), radius);
    }

    /** How many states have been looked at. */
    int statesSeen() {
        return statesSeen;
    }

    /** Cells that could not be gone to. */
    BitSet blockers() {
        return blockers;
    }

    private record Arrival(int cell, int direction, double spare, double cost, int goal) {}

    Optional<Found> solve() {
        if (request.wayPoints().stream().anyMatch(w -> request.space().slack(w) < 0)) {
            return Optional.empty();
        }
        List<GridState> open = new ArrayList<>();
        Map<GridState, Integer> exits = new LinkedHashMap<>();
        for (int i = 0; i < request.starts().size(); i++) {
            Exit e = request.starts().get(i);
            int axial = RouteGrid.axial(e.direction());
            if (axial >= 0) {
                if (request.space().slack(e.at()) >= 0) {
                    GridState s = new GridState(grid.cell(e.at()), axial, 0, e.cost(), 0, null, false);
                    open.add(s);
                    exits.put(s, i);
                }
            } else if (request.space().clear(e.at(), grid.stub(e))) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    double turn = Vector3D.angle(e.direction(), DIRECTIONS[d]);
                    if (turn <= Math.PI / 2 + 1e-9) {
                        GridState s = new GridState(
                                grid.cell(grid.stub(e)),
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
        for (Vector3D w : request.wayPoints()) {
            int cell = grid.cell(w);
            List<Arrival> anyhow = new ArrayList<>();
            for (int d = 0; d < DIRECTIONS.length; d++) {
                // Straight through it: an arc would cut the corner past the point.
                anyhow.add(new Arrival(cell, d, 0, 0, -1));
            }
            GridState reached = search(open, anyhow).orElse(null);
            if (reached == null) {
                return Optional.empty();
            }
            if (start < 0) {
                start = exits.getOrDefault(reached.first(), -1);
            }
            corners.addAll(corners(reached, corners.isEmpty() ? request.starts().get(start) : null));
            GridState again = new GridState(reached.cell(), reached.direction(), 0, 0, 0, null, false);
            open = new ArrayList<>(List.of(again));
        }
        GridState end = search(open, arrivals()).orElse(null);
        if (end == null) {
            return Optional.empty();
        }
        if (start < 0) {
            start = exits.getOrDefault(end.first(), -1);
        }
        corners.addAll(corners(end, corners.isEmpty() ? request.starts().get(start) : null));
        int goal = arrivals().stream()
                .filter(a -> arrives(end, a))
                .min((a, b) -> Double.compare(a.cost(), b.cost()))
                .orElseThrow()
                .goal();
        Exit e = request.goals().get(goal);
        if (RouteGrid.axial(e.direction()) < 0) {
            corners.add(grid.stub(e));
        }
        corners.add(e.at());
        List<Vector3D> clean = withoutStraightCorners(corners);
        RoutePath rough = RoutePath.of(clean, radius);
        if (!rough.fits() || !request.space().clear(rough)) {
            return Optional.empty();
        }
        return Optional.of(new Found(rough, start, goal));
    }

    private List<Arrival> arrivals() {
        List<Arrival> arrivals = new ArrayList<>();
        for (int i = 0; i < request.goals().size(); i++) {
            Exit e = request.goals().get(i);
            Vector3D in = e.direction().negate();
            int axial = RouteGrid.axial(in);
            if (axial >= 0) {
                if (request.space().slack(e.at()) >= 0) {
                    arrivals.add(new Arrival(grid.cell(e.at()), axial, 0, e.cost(), i));
                }
            } else if (request.space().clear(grid.stub(e), e.at())) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    double turn = Vector3D.angle(in, DIRECTIONS[d]);
                    if (turn <= Math.PI / 2 + 1e-9) {
                        arrivals.add(new Arrival(
                                grid.cell(grid.stub(e)),
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

    private static boolean arrives(GridState s, Arrival a) {
        return s.cell() == a.cell() && s.direction() == a.direction() && s.spare() >= a.spare() - 1e-9;
    }

    private Optional<GridState> search(List<GridState> from, List<Arrival> to) {
        PriorityQueue<GridState> open = new PriorityQueue<>((a, b) -> {
            int byRank = Double.compare(a.rank(), b.rank());
            return byRank != 0 ? byRank : Double.compare(b.cost(), a.cost());
        });
        double[][] best = new double[grid.size() * DIRECTIONS.length][];
        Map<Integer, List<Arrival>> goalCells = new HashMap<>();
        to.forEach(
                a -> goalCells.computeIfAbsent(a.cell(), c -> new ArrayList<>()).add(a));
        // Of arrivals at one cell the cheapest says what is still to come at least.
        double[][] targets = goalCells.entrySet().stream()
                .map(e -> new double[] {
                    grid.point(e.getKey()).getX(),
                    grid.point(e.getKey()).getY(),
                    grid.point(e.getKey()).getZ(),
                    e.getValue().stream().mapToDouble(Arrival::cost).min().orElse(0)
                })
                .toArray(double[][]::new);
        from.forEach(s -> push(open, best, s));
        int states = 0;
        while (!open.isEmpty() && states++ < mostStates) {
            if (statesSeen++ % ASKED_EVERY == 0 && cancelled.getAsBoolean()) {
                throw new CancellationException("Nobody waits for this route any more");
            }
            if (states == FEW_STATES && !flood.leads()) {
                return Optional.empty();
            }
            GridState s = open.remove();
            List<Arrival> here = goalCells.get(s.cell());
            if (here != null && here.stream().anyMatch(a -> arrives(s, a))) {
                return Optional.of(s);
            }
            int ahead = grid.next(s.cell(), s.direction());
            if (ahead >= 0) {
                double length = Vector3D.distance(grid.point(s.cell()), grid.point(ahead));
                if (clearStep(s.cell(), ahead, length)) {
                    double cost = s.cost() + length;
                    push(
                            open,
                            best,
                            new GridState(
                                    ahead,
                                    s.direction(),
                                    Math.min(radius, s.spare() + length),
                                    cost,
                                    cost + weight * remainingCost(ahead, s.direction(), targets),
                                    s,
                                    false));
                } else {
                    blockers.set(ahead);
                }
            }
            for (Vector3D rail : grid.rails(s.direction() / 2)) {
                bends.onto(rail, s).ifPresent(shifted -> {
                    double rank = shifted.cost() + weight * remainingCost(shifted.cell(), shifted.direction(), targets);
                    push(open, best, shifted.ranked(rank));
                });
            }
            if (s.spare() >= radius - 1e-9) {
                for (int d = 0; d < DIRECTIONS.length; d++) {
                    if (d / 2 != s.direction() / 2 && turns.clear(s.cell(), s.direction(), d)) {
                        double cost = s.cost() + BEND_COST;
                        double rank = cost + weight * remainingCost(s.cell(), d, targets);
                        push(open, best, new GridState(s.cell(), d, -radius, cost, rank, s, true));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private void push(PriorityQueue<GridState> open, double[][] best, GridState s) {
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
    private double remainingCost(int cell, int direction, double[][] targets) {
        Vector3D p = grid.point(cell);
        double least = Double.POSITIVE_INFINITY;
        for (double[] t : targets) {
            double way = t[3]
                    + off(0, t[0] - p.getX(), direction)
                    + off(1, t[1] - p.getY(), direction)
                    + off(2, t[2] - p.getZ(), direction);
            least = Math.min(least, way);
        }
        return least;
    }

    private static double off(int axis, double off, int direction) {
        boolean ahead = direction / 2 == axis && (direction & 1) == (off > 0 ? 0 : 1);
        return Math.abs(off) + (Math.abs(off) > DoubleBends.FARTHEST && !ahead ? BEND_COST : 0);
    }

    private boolean clearStep(int cell, int ahead, double length) {
        double a = grid.slack(cell);
        double b = grid.slack(ahead);
        if (a < 0 || b < 0) {
            return false;
        }
        return a + b >= length || request.space().clear(grid.point(cell), grid.point(ahead));
    }

    private List<Vector3D> corners(GridState end, @Nullable Exit exit) {
        List<Vector3D> corners = new ArrayList<>();
        GridState s = end;
        corners.add(grid.point(s.cell()));
        for (GridState before = s.before(); before != null; before = s.before()) {
            if (s.turned()) {
                corners.add(grid.point(s.cell()));
            }
            s = before;
        }
        if (exit != null) {
            corners.add(grid.point(s.cell()));
            if (RouteGrid.axial(exit.direction()) < 0) {
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
}
