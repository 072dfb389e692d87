package isotherm.core.search;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;

/**
 * Every combination of catalogue cores, places, sealing, thermostats and hose bores within bounds, put through the duty; the
 * ones that hold the target and that no other beats in every respect are the trade-off front.
 */
public final class DesignSearch {
    private static final double WARM_UP_SPEED = 60 / 3.6;
    private static final double WARM_UP_SECONDS = 1800;
    private static final double WARM_ENOUGH_K = Units.kelvin(65);

    /** Designs that one search decides on at most. */
    public static final int MOST_TRIALS = 30_000;

    /** The smallest core that holds, by face area; the cheapest of equals, then the coolest. */
    static final Comparator<Candidate> SMALLEST = bySize(Candidate::part, Candidate::peak);

    private static final Comparator<Run> BY_FACE =
            Comparator.comparingDouble(r -> r.part().core().faceArea());

    private DesignSearch() {}

    private static <T> Comparator<T> bySize(Function<T, CorePart> part, ToDoubleFunction<T> peak) {
        return Comparator.<T>comparingDouble(t -> part.apply(t).core().faceArea())
                .thenComparingDouble(t -> part.apply(t).price())
                .thenComparingDouble(peak);
    }

    /**
     * What may be chosen.
     *
     * @param cores catalogue cores
     * @param places places to consider
     * @param sealings shares of the pressure that arrives, each 0 to 1
     * @param thermostats thermostats, an empty one for none
     * @param bores hose bores, m
     * @param largestWidth outside width that fits, m
     * @param largestHeight finned height that fits, m
     * @param shadedShare share of the face that gets no air, 0 to 1
     * @param openingArea opening that feeds the core, m²
     * @param hoseLength length of each of the two hoses, m
     */
    public record Bounds(
            List<CorePart> cores,
            List<Place> places,
            List<Double> sealings,
            List<Optional<OilThermostat>> thermostats,
            List<Double> bores,
            double largestWidth,
            double largestHeight,
            double shadedShare,
            double openingArea,
            double hoseLength) {
        /**
         * @param others shares of the pressure that arrives, each 0 to 1
         * @return the same bounds with these to choose from
         */
        public Bounds withSealings(List<Double> others) {
            return new Bounds(
                    cores,
                    places,
                    others,
                    thermostats,
                    bores,
                    largestWidth,
                    largestHeight,
                    shadedShare,
                    openingArea,
                    hoseLength);
        }
    }

    /**
     * One design with what it costs; smaller is better in each.
     *
     * @param part its core
     * @param design the design
     * @param peak highest oil temperature, K
     * @param loopLoss loop pressure loss with hot oil at the highest engine speed, Pa
     * @param coolantRise highest coolant temperature above that without a cooler, K
     * @param warmUp time to 65 °C from a cold start on a cool day, s
     * @param price price of the core
     * @param mass core and its oil, kg
     */
    public record Candidate(
            CorePart part,
            Design design,
            double peak,
            double loopLoss,
            double coolantRise,
            double warmUp,
            double price,
            double mass) {
        private double[] costs() {
            return new double[] {peak, loopLoss, coolantRise, warmUp, price, mass};
        }

        /**
         * @param other another candidate
         * @return whether this one is nowhere worse and somewhere better
         */
        public boolean beats(Candidate other) {
            double[] mine = costs();
            double[] theirs = other.costs();
            boolean better = false;
            for (int i = 0; i < mine.length; i++) {
                if (mine[i] > theirs[i]) {
                    return false;
                }
                better |= mine[i] < theirs[i];
            }
            return better;
        }
    }

    /**
     * What was found.
     *
     * @param tried number of designs that were decided on
     * @param holding number of them that hold the target
     * @param front the trade-off front of those that hold, coolest first
     * @param smallest the smallest core that holds, by face area; the cheapest of equals
     * @param largest the largest core that fits, whether it holds or not; of its best sealed designs the coolest; empty while it is
     *     looked for
     */
    public record Result(
            int tried, int holding, List<Candidate> front, Optional<Candidate> smallest, Optional<Candidate> largest) {}

    /** Who waits for a search. */
    public interface Asker {
        /** @return whether nobody does any more; asked before each design, by any thread */
        boolean gone();

        /** @param done number of designs that are decided on so far */
        default void reached(int done) {}

        /** @param soFar works out what is found so far: its front grows until the search ends */
        default void found(Supplier<Result> soFar) {}
    }

    /**
     * The same front as running every design would give, from the runs that can matter: of designs that differ in their sealing
     * alone the better sealed one is the cooler. Where one is too warm, those behind it are.
     *
     * @param car the car
     * @param duty the duty
     * @param belief how sure the car's numbers are
     * @param bounds what may be chosen
     * @param asker who waits for it
     * @return the designs that hold the target as surely as the car's people want
     * @throws CancellationException when nobody waits for it any more
     * @throws IllegalArgumentException when there are more than {@link #MOST_TRIALS} designs to decide on
     */
    public static Result search(Car car, Duty duty, Belief belief, Bounds bounds, Asker asker) {
        if (count(bounds) > MOST_TRIALS) {
            throw new IllegalArgumentException(count(bounds) + " designs to decide on, more than " + MOST_TRIALS);
        }
        return new FrontSearch(new Evaluation(car, duty), Family.all(bounds), asker)
                .result(runs -> likely(car, duty, belief, runs));
    }

    /** The smallest core that holds, by face area; the cheapest of equals, then the coolest. */
    static Optional<Run> smallest(List<Run> all, double likely) {
        return all.stream().filter(r -> r.holds(likely)).min(bySize(Run::part, Run::peak));
    }

    /** The largest core, whether it holds or not; the coolest of equals. */
    static Optional<Run> largest(List<Run> all) {
        return all.stream()
                .max(BY_FACE.thenComparing(Comparator.comparingDouble(Run::peak).reversed()));
    }

    /**
     * The most likely peak with which a design is as surely in its band as its people want. Outlooks of one car's designs are
     * about as wide as each other: the one nearest to the band's edge stands for all.
     */
    static double likely(Car car, Duty duty, Belief belief, List<Run> all) {
        double target = car.limits().targetHighK();
        return all.stream()
                .min(Comparator.comparingDouble(c -> Math.abs(c.peak() - target)))
                .map(c -> Outlook.of(car, duty, c.design(), belief)
                        .likelyUnder(target, car.limits().sure()))
                .orElse(target);
    }

    /** A design that went through the duty. */
    record Run(CorePart part, Design design, double peak, double peakCoolant) {
        boolean holds(double likely) {
            return peak <= likely;
        }
    }

    /**
     * @param bounds what may be chosen
     * @return number of designs that a search decides on
     */
    public static long count(Bounds bounds) {
        long fitting = bounds.cores().stream()
                .filter(part -> part.fits(bounds.largestWidth(), bounds.largestHeight()))
                .count();
        return fitting
                * bounds.places().size()
                * bounds.sealings().size()
                * bounds.thermostats().size()
                * bounds.bores().size();
    }

    /** What a design of one car costs under one duty. */
    static final class Evaluation {
        private final Car car;
        private final Duty duty;
        private final DemandTrace demand;
        private final CruiseDuty coldRoad;
        private final DemandTrace coldDemand;
        private final double bareCoolant;

        Evaluation(Car car, Duty duty) {
            this.car = car;
            this.duty = duty;
            this.demand = duty.demand(car.vehicle(), car.engine());
            this.coldRoad = new CruiseDuty(
                    WARM_UP_SPEED,
                    WARM_UP_SECONDS,
                    true,
                    new Weather(Units.kelvin(8), duty.weather().altitude()));
            this.coldDemand = coldRoad.demand(car.vehicle(), car.engine());
            this.bareCoolant = Simulator.run(car, duty, Design.NO_COOLER).peakCoolant();
        }

        Run run(CorePart part, Design design) {
            return run(part, design, Double.POSITIVE_INFINITY);
        }

        /** @param untilK oil temperature from which on it does not matter how much warmer it gets, K */
        Run run(CorePart part, Design design, double untilK) {
            Session s = Simulator.runUntil(car, duty, demand, design, untilK);
            return new Run(part, design, s.peak(), s.peakCoolant());
        }

        /** What else it costs: worth its time only for a design that may be chosen. */
        Candidate candidate(Run run) {
            return candidate(
                    run,
                    Simulator.runUntil(car, coldRoad, coldDemand, run.design(), WARM_ENOUGH_K)
                            .timeTo(WARM_ENOUGH_K));
        }

        /** @param warmUp time to 65 °C, s, where it is known or one takes it to be so */
        Candidate candidate(Run run, double warmUp) {
            Design.Cooler c = run.design().cooler().orElseThrow();
            return new Candidate(
                    run.part(),
                    run.design(),
                    run.peak(),
                    PressureCheck.loopLoss(car, run.design(), run.peak()),
                    Math.max(0, run.peakCoolant() - bareCoolant),
                    warmUp,
                    run.part().price(),
                    c.core().mass() + c.core().holdUp() * car.oil().density15());
        }
    }

    /** Candidates that none of the others beats, coolest first. */
    static List<Candidate> front(List<Candidate> candidates) {
        List<Candidate> sorted = new ArrayList<>(candidates);
        sorted.sort(Comparator.comparingDouble(Candidate::peak));
        List<Candidate> front = new ArrayList<>();
        for (Candidate c : sorted) {
            if (front.stream().noneMatch(f -> f.beats(c))) {
                front.add(c);
            }
        }
        // Of equal peak a later one may beat an earlier one.
        return front.stream()
                .filter(c -> front.stream().noneMatch(f -> f.beats(c)))
                .toList();
    }
}
