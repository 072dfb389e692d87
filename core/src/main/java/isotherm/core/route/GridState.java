package isotherm.core.route;

import org.jspecify.annotations.Nullable;

/**
 * A state of the search.
 *
 * @param cell a point of the grid
 * @param direction the way in which the hose goes there, a number of {@link RouteGrid#DIRECTIONS}
 * @param spare straight length there since the last arc, m; negative while the arc is not over
 * @param cost what the way up to there costs, m
 * @param rank cost and what is still to come at least, m
 * @param before where it came from; none at an end
 * @param turned whether there is a corner
 */
record GridState(
        int cell, int direction, double spare, double cost, double rank, @Nullable GridState before, boolean turned) {
    GridState ranked(double newRank) {
        return new GridState(cell, direction, spare, cost, newRank, before, turned);
    }

    /** The state that all began with. */
    GridState first() {
        GridState at = this;
        for (GridState b = before; b != null; b = b.before()) {
            at = b;
        }
        return at;
    }
}
