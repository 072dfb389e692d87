package isotherm.bench;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import org.openjdk.jmh.util.Statistics;

/** Runs the benchmarks and prints them as a table. */
public final class BenchTable {
    private BenchTable() {}

    /**
     * @param args patterns of benchmarks to run, all without
     * @throws RunnerException when a benchmark fails
     */
    public static void main(String[] args) throws RunnerException {
        var options = new OptionsBuilder().verbosity(VerboseMode.SILENT).shouldFailOnError(true);
        if (args.length == 0) {
            options.include("isotherm.bench");
        }
        for (String arg : args) {
            options.include(arg);
        }
        System.err.println("Measuring; this takes some minutes.");
        Collection<RunResult> results = new Runner(options.build()).run();
        Map<String, Double> took = new LinkedHashMap<>();
        System.out.println("| what | time | ± 99.9 % |");
        System.out.println("|---|---|---|");
        for (RunResult r : results) {
            String benchmark = r.getParams().getBenchmark();
            String name = benchmark.substring(benchmark.lastIndexOf('.') + 1);
            if (r.getParams().getMode() == Mode.SampleTime) {
                Statistics all = r.getPrimaryResult().getStatistics();
                name += " " + r.getParams().getParam("car");
                took.put(name, all.getPercentile(50));
                row(name + ", median", time(all.getPercentile(50)), "worst " + time(all.getMax()));
            } else {
                took.put(name, r.getPrimaryResult().getScore());
                row(
                        name,
                        time(r.getPrimaryResult().getScore()),
                        time(r.getPrimaryResult().getScoreError()));
            }
        }
        yardsticks(took);
    }

    private static void row(String... cells) {
        System.out.println("| " + String.join(" | ", cells) + " |");
    }

    /** What was measured beside what it is measured by, both from this run. */
    private static void yardsticks(Map<String, Double> took) {
        System.out.println();
        row("this", "and this, of the same run", "takes times as long");
        row("---", "---", "---");
        against(took, "session25Minutes", "session25MinutesAdaptive");
        against(took, "session25Minutes", "session25MinutesPlain");
        against(took, "rightHandSide", "session25Minutes");
        against(took, "map24By24", "map24By24InTurn");
        against(took, "route", "routeSlowly");
        against(took, "search10000Designs", "search10000DesignsEach");
        for (String name : took.keySet()) {
            if (name.startsWith("drag ")) {
                String car = name.substring("drag ".length());
                against(took, name, "outcome " + car);
                against(took, name, "interval " + car);
            }
        }
        if (took.containsKey("session25MinutesAdaptive")) {
            System.out.printf(
                    Locale.ROOT,
                    "%nThe largest difference in oil temperature between session and adaptive reference is %.4f K.%n",
                    AdaptiveReference.largestDifference());
        }
    }

    private static void against(Map<String, Double> took, String one, String other) {
        if (took.containsKey(one) && took.containsKey(other)) {
            row(one, other, String.format(Locale.ROOT, "%.2f", took.get(other) / took.get(one)));
        }
    }

    private static String time(double microseconds) {
        if (Double.isNaN(microseconds)) {
            return "–";
        }
        if (microseconds >= 1e6) {
            return String.format(Locale.ROOT, "%.2f s", microseconds / 1e6);
        }
        return microseconds < 1000
                ? String.format(Locale.ROOT, "%.1f µs", microseconds)
                : String.format(Locale.ROOT, "%.2f ms", microseconds / 1000);
    }
}
