package isotherm.core.route;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.PriorityQueue;
import java.util.function.IntPredicate;
import org.jspecify.annotations.Nullable;

/**
 * A flood fill of a grid in which one box may be passed as if it were not there: it says in O(points), far sooner than a search,
 * which boxes cannot be all that is in the way. It knows no bends, so a way that it finds need not be one for a hose.
 */
final class Flood {
    private final int[] sizes;
    private final RouteGrid grid;
    private final Surroundings space;
    /** The one box in each cell; null until it is asked for. */
    private int @Nullable [] only;

    /** Cells of which one of each has to be reached, in order, from one of the stage before. */
    private final List<int[]> stages = new ArrayList<>();

    Flood(RouteGrid grid, RouteRequest request) {
        this.sizes = grid.sizes();
        this.grid = grid;
        this.space = request.space();
        stages.add(cells(grid, request.starts()));
        request.wayPoints().forEach(w -> stages.add(new int[] {grid.cell(w)}));
        stages.add(cells(grid, request.goals()));
    }

    private static int[] cells(RouteGrid grid, List<Exit> side) {
        return side.stream()
                .mapToInt(e -> grid.cell(RouteGrid.axial(e.direction()) >= 0 ? e.at() : grid.stub(e)))
                .toArray();
    }

    /**
     * @param box number of the box that may be passed
     * @return steps from the first end by way of each way-point to the last end; empty when there is no way
     */
    OptionalInt steps(int box) {
        int[] boxes = boxes();
        IntPredicate passable = cell -> boxes[cell] == Surroundings.NOTHING || boxes[cell] == box;
        int sum = 0;
        int[] from = stages.get(0);
        for (int[] to : stages.subList(1, stages.size())) {
            int steps = steps(passable, from, to);
            if (steps < 0) {
                return OptionalInt.empty();
            }
            sum += steps;
            from = to;
        }
        return OptionalInt.of(sum);
    }

    /**
     * Whether water gets from end to end past everything that stands there. Cells near to the next stage are looked at first: where
     * there is a way, most of the room is never asked about.
     *
     * @return whether there is a way at all
     */
    boolean leads() {
        int[] from = stages.get(0);
        for (int[] to : stages.subList(1, stages.size())) {
            if (!leads(from, to)) {
                return false;
            }
            from = to;
        }
        return true;
    }

    private boolean leads(int[] from, int[] to) {
        BitSet goals = new BitSet();
        Arrays.stream(to).filter(cell -> grid.slack(cell) >= 0).forEach(goals::set);
        if (goals.isEmpty()) {
            return false;
        }
        int[] goal = coordinates(goals.nextSetBit(0));
        BitSet seen = new BitSet();
        PriorityQueue<int[]> open = new PriorityQueue<>(Comparator.comparingInt(c -> c[1]));
        for (int cell : from) {
            if (grid.slack(cell) >= 0) {
                seen.set(cell);
                open.add(new int[] {cell, off(cell, goal)});
            }
        }
        while (!open.isEmpty()) {
            int cell = open.remove()[0];
            if (goals.get(cell)) {
                return true;
            }
            for (int n : neighbours(cell)) {
                if (n >= 0 && !seen.get(n) && grid.slack(n) >= 0) {
                    seen.set(n);
                    open.add(new int[] {n, off(n, goal)});
                }
            }
        }
        return false;
    }

    private int[] coordinates(int cell) {
        return new int[] {cell / sizes[2] / sizes[1], cell / sizes[2] % sizes[1], cell % sizes[2]};
    }

    private int off(int cell, int[] goal) {
        int[] at = coordinates(cell);
        return Math.abs(at[0] - goal[0]) + Math.abs(at[1] - goal[1]) + Math.abs(at[2] - goal[2]);
    }

    private int[] neighbours(int cell) {
        int[] at = coordinates(cell);
        return new int[] {
            at[0] > 0 ? cell - sizes[1] * sizes[2] : -1,
            at[0] + 1 < sizes[0] ? cell + sizes[1] * sizes[2] : -1,
            at[1] > 0 ? cell - sizes[2] : -1,
            at[1] + 1 < sizes[1] ? cell + sizes[2] : -1,
            at[2] > 0 ? cell - 1 : -1,
            at[2] + 1 < sizes[2] ? cell + 1 : -1
        };
    }

    private int[] boxes() {
        int[] known = only;
        if (known == null) {
            known = new int[grid.size()];
            Arrays.setAll(
                    known, cell -> grid.slack(cell) >= 0 ? Surroundings.NOTHING : space.onlyBreaker(grid.point(cell)));
            only = known;
        }
        return known;
    }

    private int steps(IntPredicate passable, int[] from, int[] to) {
        int[] steps = new int[grid.size()];
        Arrays.fill(steps, -1);
        int[] queue = new int[grid.size()];
        int end = 0;
        for (int cell : from) {
            if (steps[cell] < 0 && passable.test(cell)) {
                steps[cell] = 0;
                queue[end++] = cell;
            }
        }
        for (int head = 0; head < end; head++) {
            int cell = queue[head];
            for (int n : neighbours(cell)) {
                if (n >= 0 && steps[n] < 0 && passable.test(n)) {
                    steps[n] = steps[cell] + 1;
                    queue[end++] = n;
                }
            }
        }
        return Arrays.stream(to)
                .filter(cell -> passable.test(cell))
                .map(cell -> steps[cell])
                .filter(n -> n >= 0)
                .min()
                .orElse(-1);
    }
}
