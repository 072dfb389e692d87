package isotherm.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.search.DesignSearch.Candidate;
import isotherm.core.search.DesignSearch.Result;
import isotherm.core.search.DesignSearch.Run;
import isotherm.core.simulate.DemoCars;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the search leaves out would not have been on the front. */
class FrontSearchTest {
    private record Space(Car car, Duty duty, DesignSearch.Bounds bounds) {}

    static Stream<Integer> seeds() {
        return IntStream.range(0, 500).boxed();
    }

    private static double between(Random r, double low, double high) {
        return low + (high - low) * r.nextDouble();
    }

    private static Space drawn(int seed) {
        Random r = new Random(6151L * seed + 5);
        Weather day = new Weather(between(r, 263, 318), between(r, 0, 2500));
        Duty duty =
                switch (r.nextInt(3)) {
                    case 0 -> {
                        TrackDuty d = DemoCars.session(2 + r.nextInt(4));
                        yield new TrackDuty(d.lap(), d.plan(), day);
                    }
                    case 1 -> new CruiseDuty(between(r, 20, 65), between(r, 300, 900), r.nextBoolean(), day);
                    default ->
                        ClimbDuty.even(
                                between(r, 2000, 9000),
                                between(r, 0.03, 0.12),
                                between(r, 10, 30),
                                new Trailer(between(r, 0, 3000), between(r, 0, 4)),
                                between(r, 0, 300),
                                day);
                };
        Car demo = DemoCars.car();
        Coolant c = demo.coolant();
        Car car = demo.withSchool(new HeatSchool.ShareOfPower(between(r, 0.04, 0.14)))
                .withCoolant(
                        new Coolant(between(r, 3e4, 1.2e5), between(r, 0.3, 0.8), c.radiator(), c.opensK(), c.fullK()));
        if (r.nextBoolean()) {
            car = car.withFactoryExchanger(between(r, 50, 400));
        }
        List<CorePart> all = CorePart.shipped();
        return new Space(
                car,
                duty,
                new DesignSearch.Bounds(
                        List.of(all.get(r.nextInt(all.size())), all.get(r.nextInt(all.size()))),
                        List.of(Place.values()[r.nextInt(Place.values().length)]),
                        sealings(new Random(seed)),
                        List.of(Optional.of(OilThermostat.opening(Units.kelvin(between(r, 75, 95)))), Optional.empty()),
                        List.of(between(r, 9e-3, 14e-3), between(r, 14e-3, 20e-3)),
                        1,
                        1,
                        between(r, 0, 0.7),
                        between(r, 5e-3, 0.08),
                        between(r, 0.5, 3)));
    }

    private static List<Double> sealings(Random r) {
        return r.doubles(2 + r.nextInt(3), 0.05, 1).boxed().toList();
    }

    /** Every design's run, in the order of the families' ladders. */
    private static List<List<List<Run>>> everything(DesignSearch.Evaluation evaluation, List<Family> families) {
        return families.stream()
                .map(f -> f.ladders().stream()
                        .map(ladder -> ladder.stream()
                                .map(d -> evaluation.run(f.part(), d))
                                .toList())
                        .toList())
                .toList();
    }

    private static void betterSealingCools(List<Run> ladder) {
        for (int i = 0; i < ladder.size(); i++) {
            Run sealed = ladder.get(i);
            if (sealed.peak() > FrontSearch.hot(sealed.design())) {
                assertThat(ladder.subList(i + 1, ladder.size()))
                        .as("better sealing cools, by an eighth of what the search allows for")
                        .allMatch(worse -> worse.peak() > sealed.peak() - FrontSearch.SLACK / 8);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void itFindsWhatRunningEveryDesignFinds(int seed) {
        Space space = drawn(seed);
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        List<Family> families = Family.all(space.bounds());
        List<List<List<Run>>> runs = everything(evaluation, families);
        runs.stream().flatMap(List::stream).forEach(FrontSearchTest::betterSealingCools);
        List<Run> all =
                runs.stream().flatMap(List::stream).flatMap(List::stream).toList();
        // Between the coolest and the warmest, so that some hold and some do not.
        double middle = (all.stream().mapToDouble(Run::peak).min().orElseThrow()
                        + all.stream().mapToDouble(Run::peak).max().orElseThrow())
                / 2;
        List<Candidate> holding = new ArrayList<>();
        for (List<Run> ladder : runs.stream().flatMap(List::stream).toList()) {
            List<Candidate> rungs = ladder.stream()
                    .filter(r -> r.holds(middle))
                    .map(evaluation::candidate)
                    .toList();
            assertThat(rungs)
                    .as("the worse it is sealed, the sooner the oil is warm")
                    .isSortedAccordingTo(
                            Comparator.comparingDouble(Candidate::warmUp).reversed());
            holding.addAll(rungs);
        }
        Result found = new FrontSearch(evaluation, families, () -> false).result(c -> middle);
        assertThat(found.tried()).isEqualTo(all.size());
        assertThat(found.holding()).isEqualTo(holding.size());
        assertThat(found.front()).containsExactlyInAnyOrderElementsOf(DesignSearch.front(holding));
        List<Run> tops =
                runs.stream().flatMap(List::stream).map(ladder -> ladder.get(0)).toList();
        assertThat(found.largest()).isEqualTo(DesignSearch.largest(tops).map(evaluation::candidate));
        assertThat(found.smallest()).isEqualTo(holding.stream().min(DesignSearch.SMALLEST));
    }

    /** Of 6,000 spaces those in which a better sealed design comes out warmer by most: in frost, or just past the full opening. */
    @ParameterizedTest
    @ValueSource(ints = {431, 2148, 2769, 2790})
    void whatHoldsThoughABetterSealedDesignDoesNotIsFound(int seed) {
        Space space = drawn(seed);
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        List<Family> families =
                Family.all(space.bounds().withSealings(List.of(0.1, 0.3, 0.5, 0.6, 0.7, 0.8, 0.85, 0.9, 0.95, 1.0)));
        List<List<Run>> ladders =
                everything(evaluation, families).stream().flatMap(List::stream).toList();
        double odd = ladders.stream()
                .flatMap(ladder -> ladder.stream().filter(r -> ladder.get(0).peak() > r.peak() + 0.5))
                .mapToDouble(Run::peak)
                .min()
                .orElseThrow();
        long holding =
                ladders.stream().flatMap(List::stream).filter(r -> r.holds(odd)).count();
        assertThat(new FrontSearch(evaluation, families, () -> false)
                        .result(c -> odd)
                        .holding())
                .isEqualTo((int) holding);
    }

    @Test
    void whatNobodyNeedsIsNotRun() {
        Space space = drawn(0);
        List<Family> families = Family.all(space.bounds());
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        AtomicInteger asked = new AtomicInteger();
        Result none = new FrontSearch(evaluation, families, () -> asked.incrementAndGet() < 0).result(c -> 0);
        assertThat(none.front()).isEmpty();
        assertThat(none.largest()).isPresent();
        assertThat(asked.get())
                .as("one design of each ladder tells that none holds; the largest core's is a candidate")
                .isEqualTo(families.stream().mapToInt(f -> f.ladders().size()).sum() + 1);
    }

    @Test
    void whatIsBeatenHoweverSoonItIsWarmIsNotWarmedUp() throws Exception {
        Space space = drawn(14);
        List<Family> families = Family.all(space.bounds()
                .withSealings(
                        IntStream.range(0, 20).mapToObj(i -> 0.5 + 0.02 * i).toList()));
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        AtomicInteger asked = new AtomicInteger();
        // One family after the other, so that the second one is always measured by the first.
        ForkJoinPool alone = new ForkJoinPool(1);
        Result all = alone.submit(() ->
                        new FrontSearch(evaluation, families, () -> asked.incrementAndGet() < 0).result(c -> 1000))
                .get();
        alone.shutdown();
        assertThat(all.holding()).isEqualTo(all.tried());
        int warmedUp = asked.get() - all.tried();
        assertThat(warmedUp).isBetween(all.front().size(), all.holding() * 3 / 4);
    }

    @Test
    void theFrontGrowsUntilTheSearchEnds() {
        Space space = drawn(1);
        List<Family> families = Collections.nCopies(20, Family.all(space.bounds())).stream()
                .flatMap(List::stream)
                .toList();
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        Listener listener = new Listener();
        Result end = new FrontSearch(evaluation, families, listener).result(c -> 1000);
        assertThat(listener.reachedAtFirst())
                .as("of seven families one is shown first")
                .isBetween(4, 8);
        assertThat(listener.holding()).isSorted().last().isEqualTo(end.holding());
        assertThat(listener.holding().subList(0, 2)).containsExactly(listener.reachedAtFirst(), families.size());
        assertThat(listener.reached()).isEqualTo(end.tried());
        assertThat(end.holding()).isEqualTo(end.tried());
    }

    /** It is told by a few, which may say that more holds than does. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void whatIsShownFirstDecidesNothing(int seed) {
        Space space = drawn(seed);
        List<Family> families = Family.all(space.bounds());
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(space.car(), space.duty());
        // What is shown first is just too warm.
        double edge =
                evaluation.run(families.get(0).part(), families.get(0).first()).peak() - 0.01;
        Listener listener = new Listener();
        Result end = new FrontSearch(evaluation, families, listener)
                .result(runs -> runs.size() < families.size() ? 1000 : edge);
        List<Result> told = listener.told();
        assertThat(told.get(0).front()).singleElement().satisfies(c -> assertThat(c.peak())
                .isGreaterThan(edge));
        assertThat(told.subList(1, told.size())).allSatisfy(r -> {
            assertThat(r.front()).allMatch(c -> c.peak() <= edge);
            assertThat(r.smallest().stream()).allMatch(c -> c.peak() <= edge);
        });
        Result plain = new FrontSearch(evaluation, families, () -> false).result(runs -> edge);
        assertThat(end.holding()).isEqualTo(plain.holding());
        assertThat(end.front()).containsExactlyInAnyOrderElementsOf(plain.front());
        assertThat(end.smallest()).isEqualTo(plain.smallest());
        assertThat(end.largest()).isEqualTo(plain.largest());
    }

    @Test
    void aLadderGoesFromTheBestSealedDown() {
        DesignSearch.Bounds bounds = drawn(2).bounds();
        Family family = Family.all(bounds).get(0);
        assertThat(family.size()).isEqualTo(bounds.sealings().size() * 2 * 2);
        for (List<Design> ladder : family.ladders()) {
            assertThat(ladder)
                    .extracting(d -> -d.cooler().orElseThrow().airway().sealing())
                    .isSorted();
            assertThat(ladder)
                    .extracting(d -> d.cooler().orElseThrow().loop())
                    .containsOnly(ladder.get(0).cooler().orElseThrow().loop());
        }
    }
}
