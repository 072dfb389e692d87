package isotherm.bench;

import java.util.Collection;
import java.util.Locale;
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
        double fixed = Double.NaN;
        double adaptive = Double.NaN;
        System.out.println("| what | time | ± 99.9 % |");
        System.out.println("|---|---|---|");
        for (RunResult r : results) {
            String name = r.getParams().getBenchmark();
            if (r.getParams().getMode() == Mode.SampleTime) {
                Statistics all = r.getPrimaryResult().getStatistics();
                System.out.printf(
                        Locale.ROOT,
                        "| %s %s, median | %s | worst %s |%n",
                        name.substring(name.lastIndexOf('.') + 1),
                        r.getParams().getParam("car"),
                        time(all.getPercentile(50)),
                        time(all.getMax()));
                continue;
            }
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %s | %s |%n",
                    name.substring(name.lastIndexOf('.') + 1),
                    time(r.getPrimaryResult().getScore()),
                    time(r.getPrimaryResult().getScoreError()));
            if (name.endsWith("session25Minutes")) {
                fixed = r.getPrimaryResult().getScore();
            }
            if (name.endsWith("session25MinutesAdaptive")) {
                adaptive = r.getPrimaryResult().getScore();
            }
        }
        if (Double.isNaN(fixed) || Double.isNaN(adaptive)) {
            return;
        }
        System.out.printf(
                Locale.ROOT,
                "%nThe adaptive reference takes %.0f times as long; the largest difference in oil temperature is %.4f K.%n",
                adaptive / fixed,
                AdaptiveReference.largestDifference());
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
