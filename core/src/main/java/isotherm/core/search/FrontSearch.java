package isotherm.core.search;

import isotherm.core.car.Design;
import isotherm.core.fluid.Units;
import isotherm.core.search.DesignSearch.Asker;
import isotherm.core.search.DesignSearch.Candidate;
import isotherm.core.search.DesignSearch.Evaluation;
import isotherm.core.search.DesignSearch.Result;
import isotherm.core.search.DesignSearch.Run;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One search: a design of some families, to show something soon, then of each, which tells where holding begins, then each ladder from
 * its top as far as it holds. How long the oil takes to get warm is asked for where it may decide: the worst sealed design of a ladder
 * is warm first, or with the others, and what is beaten even with that one's time is beaten.
 */
final class FrontSearch {
    /**
     * By how much a design may come out cooler than the same one better sealed where both are {@link #hot}, K: of 6,000 spaces in one
     * by 1.1 K, in one by 0.6 K, in none else by 0.1 K. In cooler oil it may be the other way round by some kelvin: a thermostat that
     * follows the oil a little late lets more of the cool oil through at once, and thick oil in a cold core goes past it.
     */
    static final double SLACK = 2;

    /** From here on oil is thin enough to go through a core rather than past it, in frost, too, K. */
    private static final double THIN = Units.kelvin(100);

    /** So far beyond its full opening a thermostat stands open, however late it follows the oil, K. */
    private static final double SETTLED = 2;

    /** Share of the families that shows something after a thirtieth of a search; all of them take a sixth of it. */
    private static final double SOONEST = 1.0 / 7;

    /** Multiples of it spread evenly, whatever the number of places. */
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    private final Evaluation evaluation;
    private final List<Family> families;
    private final Asker asker;
    private final int designs;
    private final double largestFace;
    private final AtomicInteger decided = new AtomicInteger();
    private final Found found = new Found();

    FrontSearch(Evaluation evaluation, List<Family> families, Asker asker) {
        this.evaluation = evaluation;
        this.families = families;
        this.asker = asker;
        this.designs = families.stream().mapToInt(Family::size).sum();
        this.largestFace = families.stream()
                .mapToDouble(f -> f.part().core().faceArea())
                .max()
                .orElse(0);
    }

    /**
     * @param likely from a design of each family: the most likely peak with which a design holds as surely as is wanted
     * @return what holds
     */
    Result result(ToDoubleFunction<List<Run>> likely) {
        List<Run> firsts = firsts(likely);
        double most = likely.applyAsDouble(firsts);
        // Of each core in each place a design that holds.
        List<Candidate> first = holding(firsts, most);
        found.add(first.size(), first);
        tell();
        List<Looked> looked = IntStream.range(0, families.size())
                .parallel()
                .mapToObj(i -> others(families.get(i), firsts.get(i), most))
                .toList();
        List<Candidate> holding = Stream.concat(first.stream(), looked.stream().flatMap(l -> l.candidates().stream()))
                .toList();
        return new Result(
                designs,
                first.size() + looked.stream().mapToInt(Looked::holding).sum(),
                DesignSearch.front(holding),
                holding.stream().min(DesignSearch.SMALLEST),
                DesignSearch.largest(
                                looked.stream().flatMap(l -> l.tops().stream()).toList())
                        .map(this::candidate));
    }

    /** A design of each family. What holds of some is shown before the others are run, and decides nothing. */
    private List<Run> firsts(ToDoubleFunction<List<Run>> likely) {
        Run[] ran = new Run[families.size()];
        runFirsts(ran, FrontSearch::isSoonest);
        List<Run> soonest = Arrays.stream(ran).filter(Objects::nonNull).toList();
        List<Candidate> shown = holding(soonest, likely.applyAsDouble(soonest));
        Found some = new Found();
        some.add(shown.size(), shown);
        asker.found(() -> some.result(designs));
        runFirsts(ran, i -> !isSoonest(i));
        return List.of(ran);
    }

    private void runFirsts(Run[] ran, IntPredicate which) {
        IntStream.range(0, ran.length).filter(which).parallel().forEach(i -> {
            Family family = families.get(i);
            ran[i] = run(family, family.first(), Double.POSITIVE_INFINITY);
            decided(1);
        });
    }

    /** Whether a family is among those that are run before all others, which are of every core's size and in every place. */
    private static boolean isSoonest(int family) {
        return family * GOLDEN % 1 < SOONEST;
    }

    private List<Candidate> holding(List<Run> runs, double most) {
        return runs.parallelStream()
                .filter(r -> r.holds(most))
                .map(this::candidate)
                .toList();
    }

    /**
     * What came of a family.
     *
     * @param tops the best sealed design of each ladder
     * @param holding how many hold, without the family's first
     * @param candidates those of them that may be on the front, and the coolest
     */
    private record Looked(List<Run> tops, int holding, List<Candidate> candidates) {}

    private Looked others(Family family, Run first, double most) {
        // Of the largest cores the coolest is told even where none holds: by how much the others are too warm is not.
        boolean largest = family.part().core().faceArea() >= largestFace;
        List<Run> tops = new ArrayList<>();
        List<Run> holding = new ArrayList<>();
        List<Candidate> candidates = new ArrayList<>();
        for (List<Design> ladder : family.ladders()) {
            List<Run> rungs = new ArrayList<>();
            for (Design design : ladder) {
                boolean top = design == ladder.get(0);
                Run run = design == first.design()
                        ? first
                        : run(family, design, top && largest ? Double.POSITIVE_INFINITY : tooWarm(design, most));
                if (top) {
                    tops.add(run);
                }
                if (run.holds(most) && run != first) {
                    rungs.add(run);
                }
                if (isTooWarm(run, most)) {
                    // Those below it on its ladder are warmer.
                    break;
                }
            }
            holding.addAll(rungs);
            candidates.addAll(unbeaten(rungs));
        }
        decided(family.size() - 1);
        if (!holding.isEmpty()) {
            // The smallest core is told by its coolest design, whatever beats that.
            Run coolest =
                    holding.stream().min(Comparator.comparingDouble(Run::peak)).orElseThrow();
            if (candidates.stream().noneMatch(c -> c.design() == coolest.design())) {
                candidates.add(candidate(coolest));
            }
            found.add(holding.size(), candidates);
            tell();
        }
        return new Looked(tops, holding.size(), candidates);
    }

    /** Those of a ladder's designs that nothing beats which is found so far. */
    private List<Candidate> unbeaten(List<Run> ladder) {
        if (ladder.isEmpty()) {
            return List.of();
        }
        int last = ladder.size() - 1;
        Candidate soonest = candidate(ladder.get(last));
        List<Candidate> unbeaten = new ArrayList<>();
        for (Run run : ladder.subList(0, last)) {
            if (!found.beats(evaluation.candidate(run, soonest.warmUp()))) {
                unbeaten.add(candidate(run));
            }
        }
        unbeaten.add(soonest);
        return unbeaten;
    }

    /** Whether it does not hold, nor anything that is sealed worse. */
    private static boolean isTooWarm(Run run, double most) {
        return run.peak() >= tooWarm(run.design(), most);
    }

    /** The peak from which on a design does not hold, nor anything that is sealed worse, K. */
    private static double tooWarm(Design design, double most) {
        return Math.max(most, hot(design)) + SLACK;
    }

    /** From which temperature of the oil on it is thin and the design's thermostat stands open, K. */
    static double hot(Design design) {
        return design.cooler()
                .flatMap(c -> c.loop().thermostat())
                .map(t -> Math.max(t.fullK() + SETTLED, THIN))
                .orElse(THIN);
    }

    private void tell() {
        asker.found(() -> found.result(designs));
    }

    private void decided(int more) {
        asker.reached(decided.addAndGet(more));
    }

    private Run run(Family family, Design design, double untilK) {
        ask();
        return evaluation.run(family.part(), design, untilK);
    }

    private Candidate candidate(Run run) {
        ask();
        return evaluation.candidate(run);
    }

    private void ask() {
        if (asker.gone()) {
            throw new CancellationException("The search was cancelled");
        }
    }

    /** The front as it grows. */
    private static final class Found {
        private int holding;
        private List<Candidate> front = List.of();
        private Optional<Candidate> smallest = Optional.empty();

        /** @param candidates those of what holds that may be on the front or the smallest */
        synchronized void add(int holdingMore, List<Candidate> candidates) {
            holding += holdingMore;
            front = DesignSearch.front(
                    Stream.concat(front.stream(), candidates.stream()).toList());
            smallest = Stream.concat(smallest.stream(), candidates.stream()).min(DesignSearch.SMALLEST);
        }

        synchronized boolean beats(Candidate candidate) {
            return front.stream().anyMatch(f -> f.beats(candidate));
        }

        synchronized Result result(int designs) {
            return new Result(designs, holding, front, smallest, Optional.empty());
        }
    }
}
