package isotherm.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Waits for a search to its end and remembers what it was told. */
final class Listener implements DesignSearch.Asker {
    private final List<DesignSearch.Result> told = new ArrayList<>();
    private int reached;
    private int reachedAtFirst;

    @Override
    public boolean gone() {
        return false;
    }

    @Override
    public synchronized void reached(int done) {
        reached = Math.max(reached, done);
    }

    @Override
    public synchronized void found(Supplier<DesignSearch.Result> soFar) {
        if (told.isEmpty()) {
            reachedAtFirst = reached;
        }
        told.add(soFar.get());
    }

    /** The most designs that it was told to be decided on. */
    int reached() {
        return reached;
    }

    /** The most that were decided on when something was found first. */
    int reachedAtFirst() {
        return reachedAtFirst;
    }

    /** How many held, each time that it was told. */
    List<Integer> holding() {
        return told.stream().map(DesignSearch.Result::holding).toList();
    }

    /** What was told, one after the other. */
    List<DesignSearch.Result> told() {
        return told;
    }
}
