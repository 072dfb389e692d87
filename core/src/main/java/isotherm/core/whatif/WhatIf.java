package isotherm.core.whatif;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.findings.Assessment;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What one step of each choice would bring, the strongest first. Each step is run through the same session as the design itself:
 * nothing is extrapolated.
 */
public final class WhatIf {
    /** As many as one looks at. */
    public static final int STRONGEST = 5;

    private WhatIf() {}

    /**
     * The figures that a step moves.
     *
     * @param peakK highest oil temperature of the duty, K
     * @param galleryPa gallery pressure at the point that is nearest to its floor in the design as it is, Pa
     * @param warmSeconds time on a cold road until the oil may be loaded, s; empty where it never gets so warm
     * @param price price of core and hose, in the garage's currency; empty where there is no cooler or no price
     */
    public record Standing(double peakK, double galleryPa, OptionalDouble warmSeconds, OptionalDouble price) {}

    /**
     * One lever.
     *
     * @param step the step
     * @param after the figures after it
     */
    public record Change(LeverStep step, Standing after) {}

    /**
     * What was found.
     *
     * @param now the design as it is
     * @param at the point at which its pressure is nearest to its floor: all pressures are looked at there
     * @param changes one step of each of its strongest levers, by how far the step moves the peak
     */
    public record Answer(Standing now, PressureCheck.Kind at, List<Change> changes) {}

    /**
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param oddsInBand odds that the design stays in its band, 0 to 1
     * @param prices what cores and hoses cost
     * @return the strongest levers; each by the step that cools the most as long as the design is not sure to stay in its band,
     *     and by the one that lets the oil run warmer by the least once it is
     */
    public static Answer of(Car car, Duty duty, Design design, double oddsInBand, Prices prices) {
        double peak = Simulator.run(car, duty, design).peak();
        PressureCheck.Kind at =
                PressureCheck.of(car, design, peak).nearestFloor().kind();
        Standing now = standing(car, duty, design, peak, at, prices);
        boolean cooler = oddsInBand < car.limits().sure();
        List<Change> changes = new ArrayList<>();
        for (Lever lever : Lever.values()) {
            LeverSteps.of(car, design, lever).stream()
                    .map(s -> new Change(
                            s,
                            standing(
                                    car,
                                    duty,
                                    s.design(),
                                    Simulator.run(car, duty, s.design()).peak(),
                                    at,
                                    prices)))
                    .min(towards(now, cooler))
                    .ifPresent(changes::add);
        }
        changes.sort(Comparator.comparingDouble((Change c) -> Math.abs(c.after().peakK() - now.peakK()))
                .reversed());
        return new Answer(now, at, changes.stream().limit(STRONGEST).toList());
    }

    /** Of the steps of one lever the one that is wanted: the coolest; or the one that lets the oil run warmer by the least. */
    private static Comparator<Change> towards(Standing now, boolean cooler) {
        return cooler
                ? Comparator.comparingDouble(c -> c.after().peakK())
                : Comparator.comparingDouble((Change c) -> c.after().peakK() >= now.peakK() ? 0 : 1)
                        .thenComparingDouble(c -> Math.abs(c.after().peakK() - now.peakK()));
    }

    private static Standing standing(
            Car car, Duty duty, Design design, double peak, PressureCheck.Kind at, Prices prices) {
        double warm = Assessment.warmUp(car, duty, design);
        return new Standing(
                peak,
                PressureCheck.of(car, design, peak).at(at).gallery(),
                Double.isFinite(warm) ? OptionalDouble.of(warm) : OptionalDouble.empty(),
                prices.of(design));
    }
}
