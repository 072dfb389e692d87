package isotherm.core.hydraulics;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.CoolerLoop.LoopOil;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The engine's oil circuit: a pump with relief valve, an optional cooler loop, and the bearings as a laminar resistance that
 * scales with viscosity and is set by one gauge reading.
 */
public final class OilCircuit {
    private final Oil oil;
    private final OilPump pump;
    private final double bearingCoefficient;

    /**
     * @param oil the oil
     * @param pump pump and relief valve
     * @param gauge a reading without a cooler, below the relief pressure
     */
    public OilCircuit(Oil oil, OilPump pump, GaugePoint gauge) {
        this.oil = oil;
        this.pump = pump;
        this.bearingCoefficient = gauge.pascal() / (oil.dynamicViscosity(gauge.oilK()) * pump.flow(gauge.rpm()));
    }

    private OilCircuit(Oil oil, OilPump pump, double bearingCoefficient) {
        this.oil = oil;
        this.pump = pump;
        this.bearingCoefficient = bearingCoefficient;
    }

    /**
     * @param other another oil
     * @return the same engine filled with it; the gauge reading stays that of the first oil
     */
    public OilCircuit with(Oil other) {
        return new OilCircuit(other, pump, bearingCoefficient);
    }

    /**
     * The circuit at one engine speed and temperature.
     *
     * @param engineFlow volume flow through the engine, m³/s
     * @param coolerFlow volume flow through the core, m³/s
     * @param reliefFlow volume flow back over the relief valve, m³/s
     * @param galleryPressure gallery pressure above ambient, Pa
     * @param loopPressureDrop loss of the cooler loop, Pa
     * @param losses that loss by component
     */
    public record Point(
            double engineFlow,
            double coolerFlow,
            double reliefFlow,
            double galleryPressure,
            double loopPressureDrop,
            List<CoolerLoop.Loss> losses) {

        /** @return pressure that plate, a core upstream and feed hose take before the core, Pa */
        public double toCore() {
            return losses.stream()
                    .filter(l -> !l.what().equals("core") && !l.what().equals("return hose"))
                    .mapToDouble(CoolerLoop.Loss::pascal)
                    .sum();
        }
    }

    /**
     * Solves flow and pressures.
     *
     * @param rpm engine speed, 1/min, 0 or more
     * @param oilK oil temperature, K
     * @param loop the cooler loop, if one is fitted
     * @param core its core
     * @param lift thermostat lift, 0 to 1
     * @return flows and pressures
     */
    public Point at(double rpm, double oilK, Optional<CoolerLoop> loop, Optional<CoreModel> core, double lift) {
        return at(rpm, LoopOil.usual(oil, oilK), loop, core, lift);
    }

    /**
     * Solves flow and pressures with oil of its own temperature in each part of the loop.
     *
     * @param rpm engine speed, 1/min, 0 or more
     * @param warmth the oil on its way
     * @param loop the cooler loop, if one is fitted
     * @param core its core
     * @param lift thermostat lift, 0 to 1
     * @return flows and pressures
     */
    public Point at(double rpm, LoopOil warmth, Optional<CoolerLoop> loop, Optional<CoreModel> core, double lift) {
        OilState state = warmth.feed();
        double delivered = pump.flow(rpm);
        double share = loop.map(l -> l.share(lift)).orElse(0.0);
        double q = engineFlow(warmth, delivered, loop, core, share);
        double cooler = loop.isPresent() && core.isPresent()
                ? loop.get().through(core.get(), share * q * state.density(), warmth) / state.density()
                : 0;
        List<CoolerLoop.Loss> losses = loop.isPresent() && core.isPresent()
                ? loop.get().losses(core.get(), cooler * state.density(), warmth)
                : List.of();
        return new Point(
                q,
                cooler,
                delivered - q,
                bearingCoefficient * state.viscosity() * q,
                losses.stream().mapToDouble(CoolerLoop.Loss::pascal).sum(),
                losses);
    }

    /**
     * Volume flow through the engine, without the detail of {@link #at}.
     *
     * @param warmth the oil on its way
     * @param delivered flow of the pump, m³/s
     * @param loop the cooler loop, if one is fitted
     * @param core its core
     * @param share share of the flow that goes through the loop, 0 to 1
     * @return volume flow through the engine, m³/s
     */
    double engineFlow(
            LoopOil warmth, double delivered, Optional<CoolerLoop> loop, Optional<CoreModel> core, double share) {
        OilState state = warmth.feed();
        double bearing = bearingCoefficient * state.viscosity();
        boolean looped = loop.isPresent() && core.isPresent() && share > 0;
        double atPump = bearing * delivered
                + (looped ? loop.get().across(core.get(), share * delivered * state.density(), warmth) : 0);
        if (atPump <= pump.reliefPressure()) {
            return delivered;
        }
        if (!looped) {
            return pump.reliefPressure() / bearing;
        }
        return new BracketingNthOrderBrentSolver(1e-6, delivered * 1e-7, 1, 5)
                .solve(
                        100,
                        q -> bearing * q
                                + loop.get().across(core.get(), share * q * state.density(), warmth)
                                - pump.reliefPressure(),
                        0,
                        delivered);
    }
}
