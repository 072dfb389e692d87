package isotherm.core.hydraulics;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Everything between the takeoff and back: sandwich plate, thermostat, two hoses and the core.
 *
 * @param feed hose to the core
 * @param back hose from the core
 * @param plateHeads velocity heads lost in plate and thermostat, on the feed bore
 * @param thermostat the thermostat, or none for oil through the core at all times
 * @param extraVolume an accumulator's or by-pass filter's oil, m³
 */
public record CoolerLoop(
        Hose feed, Hose back, double plateHeads, Optional<OilThermostat> thermostat, double extraVolume) {
    /** Velocity heads lost in a sandwich plate with an open thermostat (default). */
    public static final double PLATE_HEADS = 3.5;

    /**
     * @param newThermostat another thermostat, or none
     * @return the same loop with it
     */
    public CoolerLoop withThermostat(Optional<OilThermostat> newThermostat) {
        return new CoolerLoop(feed, back, plateHeads, newThermostat, extraVolume);
    }

    /**
     * One part of the loop's pressure loss.
     *
     * @param what {@code plate}, {@code feed hose}, {@code core} or {@code return hose}
     * @param pascal pressure loss, Pa
     */
    public record Loss(String what, double pascal) {}

    /**
     * @param core the core
     * @param massFlow oil mass flow through the loop, kg/s
     * @param oil oil properties
     * @return pressure loss by component, Pa
     */
    public List<Loss> losses(CoreModel core, double massFlow, OilState oil) {
        List<Loss> losses = new ArrayList<>();
        losses.add(new Loss("plate", plate(massFlow, oil)));
        losses.add(new Loss("feed hose", feed.pressureDrop(massFlow, oil)));
        losses.add(new Loss("core", core.oilPressureDrop(massFlow, oil)));
        losses.add(new Loss("return hose", back.pressureDrop(massFlow, oil)));
        return losses;
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
     * @param oil oil properties
     * @return pressure loss of the whole loop, Pa
     */
    public double pressureDrop(CoreModel core, double massFlow, OilState oil) {
        return plate(massFlow, oil)
                + feed.pressureDrop(massFlow, oil)
                + core.oilPressureDrop(massFlow, oil)
                + back.pressureDrop(massFlow, oil);
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
        return feed.volume() + back.volume() + core.core().holdUp() + extraVolume;
    }
}
