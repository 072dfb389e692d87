package isotherm.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Waits for a search to its end and remembers what it was told. */
final class Listener implements DesignSearch.Asker {
    private final List<Integer> holding = new ArrayList<>();
    private int reached;

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
        holding.add(soFar.get().holding());
    }

    /** The most designs that it was told to be decided on. */
    int reached() {
        return reached;
    }

    /** How many held, each time that it was told. */
    List<Integer> holding() {
        return holding;
    }
}
