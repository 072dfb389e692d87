package isotherm.core.compare;

import isotherm.core.duty.DemandTrace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.hipparchus.random.Well19937c;

/**
 * Compares two logged sessions of one car on different days: rise over ambient per heat input on the plateau, and the
 * plateau brought to common conditions, with an interval from a block bootstrap over laps.
 *
 * <p>Source of the bootstrap: Künsch, Annals of Statistics 17 (1989) 1217–1241; laps are the blocks, since within a lap the
 * temperature is correlated and from lap to lap on the plateau it is nearly not.
 */
public final class SessionComparison {
    /** Sessions whose heat inputs differ by more than this share are too unlike. */
    public static final double MOST_HEAT_DIFFERENCE = 0.35;
    /** Sessions whose ambients differ by more than this are too unlike, K. */
    public static final double MOST_AMBIENT_DIFFERENCE = 20;
    /** Fewest laps (or blocks) on the plateau. */
    public static final int FEWEST_LAPS = 3;
    /** A lap is on the plateau when its mean is within this of the mean of the last laps, K. */
    private static final double PLATEAU_TOLERANCE = 4;
    /** A block where laps are not known, s. */
    private static final double BLOCK = 60;

    private static final int RESAMPLES = 2000;

    private SessionComparison() {}

    /**
     * A session as logged.
     *
     * @param demand what was driven
     * @param oilK oil temperature at the end of each cell, K; NaN where not logged or controlled by the thermostat
     * @param heat heat into the oil in each cell by the car's model, W
     * @param ambientK air on the day, K
     */
    public record Logged(DemandTrace demand, double[] oilK, double[] heat, double ambientK) {}

    /**
     * A figure with its interval.
     *
     * @param value the figure
     * @param low 10 % quantile
     * @param high 90 % quantile
     */
    public record Figure(double value, double low, double high) {}

    /** What the comparison says. */
    public enum Verdict {
        /** The second session ran cooler for what it was asked. */
        COOLER,
        /** No difference that stands out from lap to lap scatter. */
        NO_DIFFERENCE,
        /** The second session ran hotter for what it was asked. */
        HOTTER,
        /** The sessions are too unlike to be compared. */
        TOO_UNLIKE
    }

    /**
     * What came out.
     *
     * @param verdict what it says
     * @param words in plain words, with the reason
     * @param riseBefore rise over ambient per heat input before, K/kW
     * @param riseAfter the same after
     * @param plateauBefore plateau before at the first session's ambient and heat, K
     * @param plateauAfter plateau after, brought to the first session's ambient and heat, K
     * @param difference plateau after less before, at common conditions, K
     */
    public record Result(
            Verdict verdict,
            List<String> words,
            Figure riseBefore,
            Figure riseAfter,
            Figure plateauBefore,
            Figure plateauAfter,
            Figure difference) {}

    /** Mean temperature and heat of one lap or block. */
    private record Lap(double oilK, double heat) {}

    /**
     * @param before first session
     * @param after second session
     * @param seed the same seed gives the same interval
     * @return figures, intervals and a verdict
     */
    public static Result compare(Logged before, Logged after, long seed) {
        List<Lap> a = plateau(before);
        List<Lap> b = plateau(after);
        List<String> unlike = unlike(before, after, a, b);
        if (a.isEmpty() || b.isEmpty()) {
            Figure none = new Figure(Double.NaN, Double.NaN, Double.NaN);
            return new Result(Verdict.TOO_UNLIKE, unlike, none, none, none, none, none);
        }
        double heat = mean(a, true);
        double ambient = before.ambientK();
        Well19937c random = new Well19937c(seed);
        double[][] drawn = new double[5][RESAMPLES];
        for (int i = 0; i < RESAMPLES; i++) {
            double[] figures = figures(resample(a, random), resample(b, random), before, after, heat, ambient);
            for (int f = 0; f < 5; f++) {
                drawn[f][i] = figures[f];
            }
        }
        double[] nominal = figures(a, b, before, after, heat, ambient);
        Figure[] f = new Figure[5];
        for (int i = 0; i < 5; i++) {
            Arrays.sort(drawn[i]);
            f[i] = new Figure(nominal[i], drawn[i][RESAMPLES / 10], drawn[i][RESAMPLES - 1 - RESAMPLES / 10]);
        }
        Verdict verdict = !unlike.isEmpty()
                ? Verdict.TOO_UNLIKE
                : f[4].high() < 0 ? Verdict.COOLER : f[4].low() > 0 ? Verdict.HOTTER : Verdict.NO_DIFFERENCE;
        return new Result(verdict, words(verdict, f[4], unlike), f[0], f[1], f[2], f[3], f[4]);
    }

    private static double[] figures(
            List<Lap> a, List<Lap> b, Logged before, Logged after, double heat, double ambient) {
        double riseA = (mean(a, false) - before.ambientK()) / mean(a, true);
        double riseB = (mean(b, false) - after.ambientK()) / mean(b, true);
        double plateauA = ambient + riseA * heat;
        double plateauB = ambient + riseB * heat;
        return new double[] {riseA * 1e3, riseB * 1e3, plateauA, plateauB, plateauB - plateauA};
    }

    private static List<Lap> resample(List<Lap> laps, Well19937c random) {
        List<Lap> drawn = new ArrayList<>(laps.size());
        for (int i = 0; i < laps.size(); i++) {
            drawn.add(laps.get(random.nextInt(laps.size())));
        }
        return drawn;
    }

    private static double mean(List<Lap> laps, boolean heat) {
        return laps.stream()
                .mapToDouble(l -> heat ? l.heat() : l.oilK())
                .average()
                .orElse(Double.NaN);
    }

    /** The laps under load whose temperature has levelled out. */
    private static List<Lap> plateau(Logged session) {
        List<Lap> laps = new ArrayList<>();
        DemandTrace d = session.demand();
        List<double[]> spans = new ArrayList<>();
        var phases = d.phases();
        for (int i = 0; i < phases.size(); i++) {
            double end = i + 1 < phases.size() ? phases.get(i + 1).start() : d.duration();
            var kind = phases.get(i).kind();
            if (kind == DemandTrace.Kind.FLYER || kind == DemandTrace.Kind.CLIMB || kind == DemandTrace.Kind.CRUISE) {
                spans.add(new double[] {phases.get(i).start(), end});
            }
        }
        if (spans.size() < 2) {
            spans.clear();
            for (double t = 0; t + BLOCK <= d.duration(); t += BLOCK) {
                spans.add(new double[] {t, t + BLOCK});
            }
        }
        for (double[] span : spans) {
            double oil = 0;
            double heat = 0;
            int count = 0;
            int from = (int) Math.round(span[0] / d.cell());
            int to = Math.min(d.cells(), (int) Math.round(span[1] / d.cell()));
            for (int i = from; i < to; i++) {
                if (Double.isFinite(session.oilK()[i])) {
                    oil += session.oilK()[i];
                    heat += session.heat()[i];
                    count++;
                }
            }
            if (count > (to - from) / 2) {
                laps.add(new Lap(oil / count, heat / count));
            }
        }
        if (laps.size() < FEWEST_LAPS) {
            return laps;
        }
        double level = mean(laps.subList(laps.size() - FEWEST_LAPS, laps.size()), false);
        int first = laps.size() - 1;
        while (first > 0 && Math.abs(laps.get(first - 1).oilK() - level) <= PLATEAU_TOLERANCE) {
            first--;
        }
        return laps.subList(first, laps.size());
    }

    private static List<String> unlike(Logged before, Logged after, List<Lap> a, List<Lap> b) {
        List<String> reasons = new ArrayList<>();
        if (a.size() < FEWEST_LAPS || b.size() < FEWEST_LAPS) {
            reasons.add("Each session needs at least " + FEWEST_LAPS + " laps on its plateau; these have " + a.size()
                    + " and " + b.size() + ".");
            return reasons;
        }
        double heats = mean(b, true) / mean(a, true);
        if (Math.abs(Math.log(heats)) > MOST_HEAT_DIFFERENCE) {
            reasons.add(String.format(
                    Locale.ROOT,
                    "The pace is too different: the second session put %.0f %% of the first one's heat into the oil.",
                    100 * heats));
        }
        double days = after.ambientK() - before.ambientK();
        if (Math.abs(days) > MOST_AMBIENT_DIFFERENCE) {
            reasons.add(String.format(Locale.ROOT, "The days are too different: %.0f K apart.", Math.abs(days)));
        }
        return reasons;
    }

    private static List<String> words(Verdict verdict, Figure difference, List<String> unlike) {
        return switch (verdict) {
            case TOO_UNLIKE -> unlike;
            case NO_DIFFERENCE ->
                List.of(String.format(
                        Locale.ROOT,
                        "No difference that stands out: %+.1f K, somewhere between %+.1f and %+.1f K.",
                        difference.value(),
                        difference.low(),
                        difference.high()));
            case COOLER, HOTTER ->
                List.of(String.format(
                        Locale.ROOT,
                        "At the first day's air and pace the second session ran %.1f K %s (%.1f to %.1f K).",
                        Math.abs(difference.value()),
                        verdict == Verdict.COOLER ? "cooler" : "hotter",
                        Math.min(Math.abs(difference.low()), Math.abs(difference.high())),
                        Math.max(Math.abs(difference.low()), Math.abs(difference.high()))));
        };
    }
}
