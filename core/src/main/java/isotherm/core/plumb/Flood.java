package isotherm.core.plumb;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A flood fill of a grid in which one box may be passed as if it were not there: it says in O(points), far sooner than a search,
 * which boxes cannot be all that is in the way. It knows no bends, so a way that it finds need not be one for a hose.
 */
final class Flood {
    private final int[] sizes;
    private final int[] only;

    /**
     * @param sizes number of the grid's planes along each axis; cells are counted as in {@code (x·ny + y)·nz + z}
     * @param point where a cell is
     * @param space what a hose has to keep clear of
     */
    Flood(int[] sizes, IntFunction<Vector3D> point, Surroundings space) {
        this.sizes = sizes.clone();
        this.only = new int[sizes[0] * sizes[1] * sizes[2]];
        Arrays.setAll(only, cell -> space.onlyBreaker(point.apply(cell)));
    }

    /**
     * @param box number of the box that may be passed; {@link Surroundings#NOTHING} for none
     * @param stages cells of which one of each has to be reached, in order, from one of the stage before
     * @return steps from the first stage to the last; empty when there is no way
     */
    OptionalInt steps(int box, List<int[]> stages) {
        int sum = 0;
        int[] from = stages.get(0);
        for (int[] to : stages.subList(1, stages.size())) {
            int steps = steps(box, from, to);
            if (steps < 0) {
                return OptionalInt.empty();
            }
            sum += steps;
            from = to;
        }
        return OptionalInt.of(sum);
    }

    private int steps(int box, int[] from, int[] to) {
        int[] steps = new int[only.length];
        Arrays.fill(steps, -1);
        int[] queue = new int[only.length];
        int end = 0;
        for (int cell : from) {
            if (steps[cell] < 0 && passable(cell, box)) {
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
                if (n >= 0 && steps[n] < 0 && passable(n, box)) {
                    steps[n] = steps[cell] + 1;
                    queue[end++] = n;
                }
            }
        }
        return Arrays.stream(to)
                .filter(cell -> passable(cell, box))
                .map(cell -> steps[cell])
                .filter(n -> n >= 0)
                .min()
                .orElse(-1);
    }

    private boolean passable(int cell, int box) {
        return only[cell] == Surroundings.NOTHING || only[cell] == box;
    }
}
