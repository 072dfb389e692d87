package isotherm.core.car;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Radiator;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.hydraulics.UpstreamCore;
import java.util.Optional;

/**
 * All choices of one design.
 *
 * @param cooler the cooler with its place and plumbing, or none
 * @param keepFactoryExchanger whether a factory oil-to-coolant exchanger stays
 * @param oil another oil than the car's, if chosen
 * @param radiator another radiator than the car's, if chosen
 */
public record Design(
        Optional<Cooler> cooler, boolean keepFactoryExchanger, Optional<Oil> oil, Optional<Radiator> radiator) {
    /** The car as it is. */
    public static final Design NO_COOLER = new Design(Optional.empty(), true, Optional.empty());

    /**
     * With the car's own radiator.
     *
     * @param cooler the cooler with its place and plumbing, or none
     * @param keepFactoryExchanger whether a factory oil-to-coolant exchanger stays
     * @param oil another oil than the car's, if chosen
     */
    public Design(Optional<Cooler> cooler, boolean keepFactoryExchanger, Optional<Oil> oil) {
        this(cooler, keepFactoryExchanger, oil, Optional.empty());
    }

    /**
     * @param other another cooler, or none
     * @return the same design with it
     */
    public Design withCooler(Optional<Cooler> other) {
        return new Design(other, keepFactoryExchanger, oil, radiator);
    }

    /**
     * @param other another radiator than the car's
     * @return the same design with it
     */
    public Design withRadiator(Radiator other) {
        return new Design(cooler, keepFactoryExchanger, oil, Optional.of(other));
    }

    /**
     * A cooler with its place and plumbing.
     *
     * @param core the core
     * @param airway how air gets to it
     * @param loop hoses, plate and thermostat
     * @param efficacy share of the correlations' conductance that the core reaches
     */
    public record Cooler(Core core, Airway airway, CoolerLoop loop, double efficacy) {
        /**
         * @param core the core
         * @param airway how air gets to it
         * @param loop hoses, plate and thermostat
         * @return a cooler with the prior efficacy
         */
        public static Cooler of(Core core, Airway airway, CoolerLoop loop) {
            return new Cooler(core, airway, loop, CoreModel.EFFICACY);
        }

        /**
         * @param first a cooler whose takeoff and thermostat stay, and whose core the oil comes to before this one
         * @return this cooler's core in series behind it
         */
        public Cooler behind(Cooler first) {
            return new Cooler(
                    core,
                    airway,
                    new CoolerLoop(
                            loop.feed(),
                            loop.back(),
                            first.loop.plateHeads(),
                            first.loop.thermostat(),
                            loop.extraVolume(),
                            first.loop.bypass(),
                            Optional.of(new UpstreamCore(first.core, first.airway, first.loop.feed(), first.efficacy))),
                    efficacy);
        }
    }

    /**
     * @param cooler a cooler
     * @return a design with it that keeps what the factory fitted
     */
    public static Design with(Cooler cooler) {
        return new Design(Optional.of(cooler), true, Optional.empty());
    }

    /**
     * @param core another core
     * @return the same design with it; unchanged without a cooler
     */
    public Design withCore(Core core) {
        return withCooler(cooler.map(c -> new Cooler(core, c.airway(), c.loop(), c.efficacy())));
    }

    /**
     * @param airway another way for the air
     * @return the same design with it; unchanged without a cooler
     */
    public Design withAirway(Airway airway) {
        return withCooler(cooler.map(c -> new Cooler(c.core(), airway, c.loop(), c.efficacy())));
    }

    /**
     * @param thermostat another thermostat, or none
     * @return the same design with it; unchanged without a cooler
     */
    public Design withThermostat(Optional<OilThermostat> thermostat) {
        return withCooler(
                cooler.map(c -> new Cooler(c.core(), c.airway(), c.loop().withThermostat(thermostat), c.efficacy())));
    }

    /**
     * @param efficacy share of the correlations' conductance that the core reaches
     * @return the same design with it; unchanged without a cooler
     */
    public Design withEfficacy(double efficacy) {
        return withCooler(cooler.map(c -> new Cooler(c.core(), c.airway(), c.loop(), efficacy)));
    }

    /**
     * @param newOil another oil
     * @return the same design with it
     */
    public Design withOil(Oil newOil) {
        return new Design(cooler, keepFactoryExchanger, Optional.of(newOil), radiator);
    }

    /**
     * @param keep whether the factory exchanger stays
     * @return the same design with that choice
     */
    public Design withFactoryExchanger(boolean keep) {
        return new Design(cooler, keep, oil, radiator);
    }
}
