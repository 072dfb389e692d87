package isotherm.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;

/** What is in the way where no route was found. */
final class Obstruction {
    /** So many boxes are named at most. */
    private static final int MOST_NAMED = 3;
    /** All trials together are given up after this many states. */
    private static final int MOST_TRIAL_STATES = 200_000;

    private final RouteRequest request;
    private final RouteGrid grid;
    private final Flood flood;
    private final GridSearch search;
    private final BooleanSupplier cancelled;

    Obstruction(RouteRequest request, RouteGrid grid, Flood flood, GridSearch search, BooleanSupplier cancelled) {
        this.request = request;
        this.grid = grid;
        this.flood = flood;
        this.search = search;
        this.cancelled = cancelled;
    }

    /** Boxes of which any one, taken away, opens a way; what the search ran into most when no single one does. */
    List<String> names() {
        List<String> inPoints = request.wayPoints().stream()
                .filter(w -> request.space().slack(w) < 0)
                .map(request.space()::nearest)
                .distinct()
                .toList();
        if (!inPoints.isEmpty()) {
            return inPoints;
        }
        List<String> opening = new ArrayList<>();
        int states = 0;
        for (String name : passable()) {
            RouteRequest without = request.without(name);
            RouteGrid other = new RouteGrid(without);
            GridSearch trial =
                    new GridSearch(without, other, new Flood(other, without), MOST_TRIAL_STATES - states, cancelled);
            if (trial.solve().isPresent()) {
                opening.add(name);
            }
            states += trial.statesSeen();
            if (opening.size() == MOST_NAMED || states >= MOST_TRIAL_STATES) {
                break;
            }
        }
        return opening.isEmpty() ? met().stream().limit(2).toList() : opening;
    }

    /** Boxes that a flood fill gets past when any one of them is taken away, the shortest way first. */
    private List<String> passable() {
        List<Bay.Box> boxes = request.space().bay().boxes();
        Map<String, Integer> steps = new HashMap<>();
        for (int i = 0; i < boxes.size(); i++) {
            String name = boxes.get(i).name();
            flood.steps(i).ifPresent(n -> steps.put(name, n));
        }
        // Where the flood gets through anyhow only bends are lacking room: then what was run into most comes first.
        List<String> met = met();
        Comparator<Map.Entry<String, Integer>> shortest = Map.Entry.comparingByValue();
        return steps.entrySet().stream()
                .sorted(shortest.thenComparing(e -> met.contains(e.getKey()) ? met.indexOf(e.getKey()) : met.size()))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Names what the search ran into, most often first. */
    private List<String> met() {
        Map<String, Integer> names = new HashMap<>();
        search.blockers().stream()
                .forEach(cell -> names.merge(request.space().nearest(grid.point(cell)), 1, Integer::sum));
        if (names.isEmpty()) {
            for (List<Exit> side : List.of(request.starts(), request.goals())) {
                side.forEach(e -> names.merge(request.space().nearest(e.at()), 1, Integer::sum));
            }
        }
        return names.entrySet().stream()
                .sorted((a, b) -> b.getValue() - a.getValue())
                .map(Map.Entry::getKey)
                .toList();
    }
}
