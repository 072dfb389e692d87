package isotherm.core.route;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
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
     * @param box number of the box that may be passed; {@link Surroundings#NOTHING} for none
     * @return steps from the first end by way of each way-point to the last end; empty when there is no way
     */
    OptionalInt steps(int box) {
        int[] boxes = boxes();
        int sum = 0;
        int[] from = stages.get(0);
        for (int[] to : stages.subList(1, stages.size())) {
            int steps = steps(boxes, box, from, to);
            if (steps < 0) {
                return OptionalInt.empty();
            }
            sum += steps;
            from = to;
        }
        return OptionalInt.of(sum);
    }

    private int[] boxes() {
        int[] known = only;
        if (known == null) {
            known = new int[grid.size()];
            Arrays.setAll(known, cell -> space.onlyBreaker(grid.point(cell)));
            only = known;
        }
        return known;
    }

    private int steps(int[] boxes, int box, int[] from, int[] to) {
        int[] steps = new int[boxes.length];
        Arrays.fill(steps, -1);
        int[] queue = new int[boxes.length];
        int end = 0;
        for (int cell : from) {
            if (steps[cell] < 0 && passable(boxes[cell], box)) {
                steps[cell] = 0;
                queue[end++] = cell;
            }
        }
        for (int head = 0; head < end; head++) {
            int cell = queue[head];
            int z = cell % sizes[2];
            int y = cell / sizes[2] % sizes[1];
            int x = cell / sizes[2] / sizes[1];
            int[] next = {
                x > 0 ? cell - sizes[1] * sizes[2] : -1,
                x + 1 < sizes[0] ? cell + sizes[1] * sizes[2] : -1,
                y > 0 ? cell - sizes[2] : -1,
                y + 1 < sizes[1] ? cell + sizes[2] : -1,
                z > 0 ? cell - 1 : -1,
                z + 1 < sizes[2] ? cell + 1 : -1
            };
            for (int n : next) {
                if (n >= 0 && steps[n] < 0 && passable(boxes[n], box)) {
                    steps[n] = steps[cell] + 1;
                    queue[end++] = n;
                }
            }
        }
        return Arrays.stream(to)
                .filter(cell -> passable(boxes[cell], box))
                .map(cell -> steps[cell])
                .filter(n -> n >= 0)
                .min()
                .orElse(-1);
    }

    private static boolean passable(int there, int box) {
        return there == Surroundings.NOTHING || there == box;
    }
}
