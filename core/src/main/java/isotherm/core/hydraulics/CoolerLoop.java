package isotherm.core.hydraulics;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * Everything between the takeoff and back: sandwich plate, thermostat, two hoses and the core.
 *
 * @param feed hose to the core
 * @param back hose from the core
 * @param plateHeads velocity heads lost in plate and thermostat, on the feed bore
 * @param thermostat the thermostat, or none for oil through the core at all times
 * @param extraVolume an accumulator's or by-pass filter's oil, m³
 * @param bypass pressure across the loop at which a by-pass valve in the plate lets oil past the core, Pa; empty without one
 * @param upstream another core between the takeoff and this one, in series with it; empty without one
 */
public record CoolerLoop(
        Hose feed,
        Hose back,
        double plateHeads,
        Optional<OilThermostat> thermostat,
        double extraVolume,
        OptionalDouble bypass,
        Optional<UpstreamCore> upstream) {
    /** Velocity heads lost in a sandwich plate with an open thermostat (default). */
    public static final double PLATE_HEADS = 3.5;

    /**
     * A loop without a by-pass valve.
     *
     * @param feed hose to the core
     * @param back hose from the core
     * @param plateHeads velocity heads lost in plate and thermostat, on the feed bore
     * @param thermostat the thermostat, or none for oil through the core at all times
     * @param extraVolume an accumulator's or by-pass filter's oil, m³
     */
    public CoolerLoop(Hose feed, Hose back, double plateHeads, Optional<OilThermostat> thermostat, double extraVolume) {
        this(feed, back, plateHeads, thermostat, extraVolume, OptionalDouble.empty());
    }

    /**
     * A loop with one core.
     *
     * @param feed hose to the core
     * @param back hose from the core
     * @param plateHeads velocity heads lost in plate and thermostat, on the feed bore
     * @param thermostat the thermostat, or none for oil through the core at all times
     * @param extraVolume an accumulator's or by-pass filter's oil, m³
     * @param bypass pressure across the loop at which a by-pass valve opens, Pa; empty without one
     */
    public CoolerLoop(
            Hose feed,
            Hose back,
            double plateHeads,
            Optional<OilThermostat> thermostat,
            double extraVolume,
            OptionalDouble bypass) {
        this(feed, back, plateHeads, thermostat, extraVolume, bypass, Optional.empty());
    }

    /**
     * @param newThermostat another thermostat, or none
     * @return the same loop with it
     */
    public CoolerLoop withThermostat(Optional<OilThermostat> newThermostat) {
        return new CoolerLoop(feed, back, plateHeads, newThermostat, extraVolume, bypass, upstream);
    }

    /**
     * @param newFeed hose to the core
     * @param newBack hose from the core
     * @return the same loop with other hoses
     */
    public CoolerLoop withHoses(Hose newFeed, Hose newBack) {
        return new CoolerLoop(newFeed, newBack, plateHeads, thermostat, extraVolume, bypass, upstream);
    }

    /**
     * @param opens pressure across the loop at which a by-pass valve opens, Pa, or none
     * @return the same loop with it
     */
    public CoolerLoop withBypass(OptionalDouble opens) {
        return new CoolerLoop(feed, back, plateHeads, thermostat, extraVolume, opens, upstream);
    }

    /**
     * @param other another core between the takeoff and this one, or none
     * @return the same loop with it
     */
    public CoolerLoop withUpstream(Optional<UpstreamCore> other) {
        return new CoolerLoop(feed, back, plateHeads, thermostat, extraVolume, bypass, other);
    }

    /**
     * Oil on its way through the loop.
     *
     * @param feed on the way to the core
     * @param film in the core, between the oil's mean and the wall's temperature: evaluating laminar friction there is the
     *     factor (μ_w/μ)^0.5 of a liquid that is cooled. Source: Kays, London, Compact Heat Exchangers, 4-3
     * @param back on the way back
     */
    public record LoopOil(OilState feed, OilState film, OilState back) {
        /** Usual drop of the oil from the core's inlet to its outlet where it is so much hotter than the air, K (default). */
        private static final double DROP = 15;

        private static final double HOT = 80;
        /** How far the film is on its way from the oil's mean temperature to the air's, 0 to 1 (default). */
        private static final double FILM = 0.25;
        /** Air at a core whose own is not known, K (default). */
        private static final double AIR_K = Units.ZERO_CELSIUS + 30;

        /**
         * @param oil oil of one temperature
         * @return a loop that is wholly at that temperature, as one with cold oil
         */
        public static LoopOil even(OilState oil) {
            return new LoopOil(oil, oil, oil);
        }

        /**
         * @param oil the oil
         * @param inK on its way to the core, K
         * @param outK on its way back, K
         * @param airK of the air at the core, K
         * @return the loop with oil that is cooled on its way
         */
        public static LoopOil cooled(Oil oil, double inK, double outK, double airK) {
            return new LoopOil(OilState.of(oil, inK), OilState.of(oil, film(inK, outK, airK)), OilState.of(oil, outK));
        }

        /**
         * @param oil the oil
         * @param inK on its way to the core, K
         * @return the loop with oil that is cooled as usual: the less, the nearer it is to the air
         */
        public static LoopOil usual(Oil oil, double inK) {
            return cooled(oil, inK, inK - DROP * Math.max(0, inK - AIR_K) / HOT, AIR_K);
        }

        /**
         * @param inK oil into the core, K
         * @param outK oil out of it, K
         * @param airK of the air at the core, K
         * @return temperature of the film in which its friction arises, K
         */
        public static double film(double inK, double outK, double airK) {
            double mean = (inK + outK) / 2;
            return mean - FILM * Math.max(0, mean - airK);
        }
    }

    /**
     * One part of the loop's pressure loss.
     *
     * @param what {@code plate}, {@code upstream core}, {@code feed hose}, {@code core} or {@code return hose}
     * @param pascal pressure loss, Pa
     */
    public record Loss(String what, double pascal) {}

    /**
     * @param core the core
     * @param massFlow oil mass flow through the loop, kg/s
     * @param oil the oil on its way
     * @return pressure loss by component, Pa
     */
    public List<Loss> losses(CoreModel core, double massFlow, LoopOil oil) {
        List<Loss> losses = new ArrayList<>();
        losses.add(new Loss("plate", plate(massFlow, oil.feed())));
        upstream.ifPresent(u -> losses.add(new Loss("upstream core", upstream(massFlow, oil.feed()))));
        losses.add(new Loss("feed hose", feed.pressureDrop(massFlow, oil.feed())));
        losses.add(new Loss("core", core.oilPressureDrop(massFlow, oil.film())));
        losses.add(new Loss("return hose", back.pressureDrop(massFlow, oil.back())));
        return losses;
    }

    /**
     * @param massFlow oil mass flow through the loop, kg/s
     * @param oil oil properties
     * @return pressure loss of plate, thermostat, a core upstream and the hose to the core, Pa
     */
    public double toCore(double massFlow, OilState oil) {
        return plate(massFlow, oil) + upstream(massFlow, oil) + feed.pressureDrop(massFlow, oil);
    }

    private double upstream(double massFlow, OilState oil) {
        return upstream.map(u ->
                        u.feed().pressureDrop(massFlow, oil) + new CoreModel(u.core()).oilPressureDrop(massFlow, oil))
                .orElse(0.0);
    }

    private double plate(double massFlow, OilState oil) {
        double area = Math.PI / 4 * feed.bore() * feed.bore();
        double flux = massFlow / area;
        double heads = plateHeads + thermostat.map(t -> t.site().heads()).orElse(0.0);
        return heads * flux * flux / (2 * oil.density());
    }

    /**
     * @param core the core
     * @param massFlow oil mass flow through the loop, kg/s
     * @param oil the oil on its way
     * @return pressure loss of the whole loop, Pa
     */
    public double pressureDrop(CoreModel core, double massFlow, LoopOil oil) {
        return toCore(massFlow, oil.feed())
                + core.oilPressureDrop(massFlow, oil.film())
                + back.pressureDrop(massFlow, oil.back());
    }

    /**
     * What the engine's oil loses on its way past the loop: a by-pass valve holds it at its setting.
     *
     * @param core the core
     * @param massFlow oil mass flow that would go through the loop, kg/s
     * @param oil the oil on its way
     * @return pressure across the loop, Pa
     */
    double across(CoreModel core, double massFlow, LoopOil oil) {
        return Math.min(pressureDrop(core, massFlow, oil), bypass.orElse(Double.POSITIVE_INFINITY));
    }

    /**
     * @param core the core
     * @param massFlow oil mass flow that would go through the loop, kg/s
     * @param oil the oil on its way
     * @return what goes through it when the by-pass valve has taken its part, kg/s
     */
    double through(CoreModel core, double massFlow, LoopOil oil) {
        if (bypass.isEmpty() || pressureDrop(core, massFlow, oil) <= bypass.getAsDouble()) {
            return massFlow;
        }
        return new BracketingNthOrderBrentSolver(1e-6, massFlow * 1e-7, 1, 5)
                .solve(100, m -> pressureDrop(core, m, oil) - bypass.getAsDouble(), 0, massFlow);
    }

    /**
     * Share of the engine's oil that goes through the cooler.
     *
     * @param lift thermostat lift, 0 to 1
     * @return share, 0 to 1; 1 without a thermostat
     */
    public double share(double lift) {
        return thermostat.map(t -> t.leak() + (1 - t.leak()) * lift).orElse(1.0);
    }

    /**
     * @param core the core
     * @return oil in hoses, core and extras, m³
     */
    public double volume(CoreModel core) {
        return feed.volume()
                + back.volume()
                + core.core().holdUp()
                + upstream.map(u -> u.feed().volume() + u.core().holdUp()).orElse(0.0)
                + extraVolume;
    }
}
