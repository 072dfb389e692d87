package isotherm.core.car;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Radiator;
import isotherm.core.duty.Vehicle;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.Engine;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.GaugePoint;
import isotherm.core.hydraulics.OilPump;
import isotherm.core.hydraulics.UpstreamCore;
import java.util.OptionalDouble;

/**
 * A car as it stands, before any cooler.
 *
 * @param engine the engine
 * @param school how heat into the oil is estimated
 * @param oil the oil in it
 * @param oilVolume oil in the engine, m³
 * @param vehicle body and gearing
 * @param pump oil pump
 * @param gauge a pressure reading
 * @param losses what the sump and block lose or gain
 * @param coolant the coolant circuit
 * @param factoryExchanger UA of a factory oil-to-coolant exchanger, W/K, if there is one
 * @param sensor where the oil temperature sensor sits
 * @param limits the temperatures to keep
 * @param correction what a log has said about coolers on this car
 */
public record Car(
        Engine engine,
        HeatSchool school,
        Oil oil,
        double oilVolume,
        Vehicle vehicle,
        OilPump pump,
        GaugePoint gauge,
        PassiveLosses losses,
        Coolant coolant,
        OptionalDouble factoryExchanger,
        SensorPlace sensor,
        Limits limits,
        Correction correction) {

    /**
     * What leaves the oil without a cooler.
     *
     * @param still sump conductance at rest, W/K
     * @param moving added conductance, W/K per (m/s)^0.8
     * @param block conductance between oil and coolant through the block, W/K
     * @param metal heat capacity of metal that follows the oil's temperature, J/K
     * @param warmed how far the air around the sump is on its way from that outside to the coolant, 0 to 1
     */
    public record PassiveLosses(double still, double moving, double block, double metal, double warmed) {
        /** Air under a bonnet, on its way from that outside to the coolant (default): some 10 K warmer on a fast road. */
        public static final double WARMED = 0.15;
        /** Starting point for any car (default). */
        public static final PassiveLosses DEFAULT = new PassiveLosses(20, 1.5, 100, 6000);

        /**
         * With the air around the sump warmed as usual.
         *
         * @param still sump conductance at rest, W/K
         * @param moving added conductance, W/K per (m/s)^0.8
         * @param block conductance between oil and coolant through the block, W/K
         * @param metal heat capacity of metal that follows the oil's temperature, J/K
         */
        public PassiveLosses(double still, double moving, double block, double metal) {
            this(still, moving, block, metal, WARMED);
        }
    }

    /**
     * The temperatures to keep.
     *
     * @param targetLowK lower edge of the target band in use, K
     * @param targetHighK upper edge of the target band, K
     * @param limitK the oil's limit, K
     * @param sure how sure its people want to be before something is called needed, not needed or good, 0.5 to 1
     * @param coldestK oil at the coldest start that the car is asked for, K
     */
    public record Limits(double targetLowK, double targetHighK, double limitK, double sure, double coldestK) {
        /** Oil at a cold start where no colder one is asked for, K (default). */
        public static final double COLDEST = Units.kelvin(20);
        /** How sure one usually wants to be (default): four times in five. */
        public static final double SURE = 0.8;

        /**
         * With the usual wish to be sure, and no cold start to speak of.
         *
         * @param targetLowK lower edge of the target band in use, K
         * @param targetHighK upper edge of the target band, K
         * @param limitK the oil's limit, K
         */
        public Limits(double targetLowK, double targetHighK, double limitK) {
            this(targetLowK, targetHighK, limitK, SURE, COLDEST);
        }
    }

    /**
     * What a log has said about coolers on this car.
     *
     * @param efficacy factor on the efficacy of a core, above 0
     * @param air factor on the air pressure that arrives at a core, above 0
     * @param opening factor on an oil thermostat's opening temperature in °C, above 0
     * @param sensor factor on what the oil temperature sensor shows in °C, above 0
     * @param ahead factor on the heat of what stands ahead of a core, above 0
     * @param shear factor on the exponent of shear heat on the oil's viscosity, above 0
     * @param radiator factor on what a radiator gives to the air, above 0
     */
    public record Correction(
            double efficacy, double air, double opening, double sensor, double ahead, double shear, double radiator) {
        /** No log yet. */
        public static final Correction NONE = new Correction(1, 1, 1, 1, 1, 1, 1);

        /**
         * @param by factors on these
         * @return all of them multiplied
         */
        public Correction times(Correction by) {
            return new Correction(
                    efficacy * by.efficacy,
                    air * by.air,
                    opening * by.opening,
                    sensor * by.sensor,
                    ahead * by.ahead,
                    shear * by.shear,
                    radiator * by.radiator);
        }
    }

    /** Where an oil temperature sensor sits. */
    public enum SensorPlace {
        /** In the sump. */
        SUMP,
        /** In the plate, on the way to the cooler. */
        PLATE_INLET,
        /** In the plate, on the way back. */
        PLATE_OUTLET,
        /** In the main gallery. */
        GALLERY
    }

    private Car changed(
            Engine newEngine,
            HeatSchool newSchool,
            PassiveLosses newLosses,
            Coolant newCoolant,
            OptionalDouble newExchanger,
            SensorPlace newSensor,
            Correction newCorrection) {
        return new Car(
                newEngine,
                newSchool,
                oil,
                oilVolume,
                vehicle,
                pump,
                gauge,
                newLosses,
                newCoolant,
                newExchanger,
                newSensor,
                limits,
                newCorrection);
    }

    /**
     * @param newSchool another estimate of the heat
     * @return the same car under it
     */
    public Car withSchool(HeatSchool newSchool) {
        return changed(engine, newSchool, losses, coolant, factoryExchanger, sensor, correction);
    }

    /**
     * @param newEngine another state of tune
     * @return the same car with it
     */
    public Car withEngine(Engine newEngine) {
        return changed(newEngine, school, losses, coolant, factoryExchanger, sensor, correction);
    }

    /**
     * @param newLosses other passive losses
     * @return the same car with them
     */
    public Car withLosses(PassiveLosses newLosses) {
        return changed(engine, school, newLosses, coolant, factoryExchanger, sensor, correction);
    }

    /**
     * @param newCoolant another coolant circuit
     * @return the same car with it
     */
    public Car withCoolant(Coolant newCoolant) {
        return changed(engine, school, losses, newCoolant, factoryExchanger, sensor, correction);
    }

    /**
     * @param conductance UA of a factory oil-to-coolant exchanger, W/K
     * @return the same car with it
     */
    public Car withFactoryExchanger(double conductance) {
        return changed(engine, school, losses, coolant, OptionalDouble.of(conductance), sensor, correction);
    }

    /**
     * @param place where the sensor sits
     * @return the same car with its sensor there
     */
    public Car withSensor(SensorPlace place) {
        return changed(engine, school, losses, coolant, factoryExchanger, place, correction);
    }

    /**
     * @param newCorrection what a log has said about coolers on this car
     * @return the same car with it
     */
    public Car withCorrection(Correction newCorrection) {
        return changed(engine, school, losses, coolant, factoryExchanger, sensor, newCorrection);
    }

    /**
     * @param newGauge another reading of the oil pressure
     * @return the same car with it
     */
    public Car withGauge(GaugePoint newGauge) {
        return lubricated(oilVolume, pump, newGauge);
    }

    /**
     * @param volume oil in the engine, m³
     * @return the same car with that much oil
     */
    public Car withOilVolume(double volume) {
        return lubricated(volume, pump, gauge);
    }

    /**
     * @param newPump another oil pump
     * @return the same car with it
     */
    public Car withPump(OilPump newPump) {
        return lubricated(oilVolume, newPump, gauge);
    }

    private Car lubricated(double volume, OilPump newPump, GaugePoint newGauge) {
        return new Car(
                engine,
                school,
                oil,
                volume,
                vehicle,
                newPump,
                newGauge,
                losses,
                coolant,
                factoryExchanger,
                sensor,
                limits,
                correction);
    }

    /**
     * A cooler as this car's log says that it works.
     *
     * @param cooler a cooler with the figures that are assumed for any car
     * @return the cooler with the log's factors on its efficacy and air; the same without a log
     */
    public Design.Cooler known(Design.Cooler cooler) {
        if (correction.equals(Correction.NONE)) {
            return cooler;
        }
        return new Design.Cooler(
                cooler.core(),
                known(cooler.airway()),
                cooler.loop()
                        .withThermostat(cooler.loop().thermostat().map(t -> t.withOpening(correction.opening())))
                        .withUpstream(cooler.loop()
                                .upstream()
                                .map(u -> new UpstreamCore(
                                        u.core(), known(u.airway()), u.feed(), u.efficacy() * correction.efficacy()))),
                cooler.efficacy() * correction.efficacy());
    }

    private Airway known(Airway airway) {
        return airway.withPressure(correction.air()).withHeatAhead(airway.heatAhead() * correction.ahead());
    }

    /**
     * @param design a design
     * @return the radiator that the car has with it, as this car's log says that it works
     */
    public Radiator radiator(Design design) {
        return design.radiator().orElse(coolant.radiator()).times(correction.radiator());
    }

    /**
     * @param kelvin oil temperature where the sensor sits, K
     * @return what its display shows, K
     */
    public double shown(double kelvin) {
        return Units.kelvin((kelvin - Units.ZERO_CELSIUS) * correction.sensor());
    }
}
