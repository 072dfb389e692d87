package isotherm.server.faults;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** What was done and what became of it, printed at the end when {@code ./isotherm faults} asks for it. */
public final class FaultTable {
    private static final List<String> ROWS = new CopyOnWriteArrayList<>();

    private FaultTable() {}

    /**
     * @param fault what was done
     * @param outcome what became of it
     */
    public static void row(String fault, String outcome) {
        ROWS.add(String.format("| %-62s | %-74s |", fault, outcome));
    }

    /** Prints what was noted since it was printed last. */
    public static void print() {
        if (System.getProperty("isotherm.faults") == null) {
            return;
        }
        System.out.println(String.format("| %-62s | %-74s |", "fault", "what became of it"));
        System.out.println("|" + "-".repeat(64) + "|" + "-".repeat(76) + "|");
        ROWS.forEach(System.out::println);
        ROWS.clear();
    }
}
