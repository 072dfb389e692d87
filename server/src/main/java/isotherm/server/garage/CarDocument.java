package isotherm.server.garage;

import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.duty.Vehicle;
import isotherm.core.fit.Evidence;
import isotherm.core.fluid.Units;
import isotherm.core.heat.Aspiration;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.GaugePoint;
import isotherm.core.hydraulics.OilPump;
import isotherm.core.simulate.Belief;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A car as it stands, before any cooler.
 *
 * @param name what its people call it
 * @param engine the engine
 * @param heat how heat into the oil is estimated
 * @param oil the oil in it
 * @param oilVolumeL oil in the engine
 * @param vehicle body and gearing
 * @param pump oil pump
 * @param gauge an oil pressure reading
 * @param losses what sump and block take from the oil
 * @param coolant the coolant circuit
 * @param factoryExchangerWPerK a factory oil-to-coolant exchanger
 * @param sensor where the oil temperature sensor sits
 * @param limits the temperatures to keep
 * @param fitted what a log has taught
 * @param nose the nose as measured
 * @param bay the room for the hoses as measured
 * @param readings what was read on it by hand
 * @param factoryCooler an air cooler that the factory fitted, with its thermostat
 * @param designs in which order its designs are shown, and which of them is in it
 */
public record CarDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Text("the engine") EngineDocument engine,
        @Text("how heat into the oil is estimated") HeatDocument heat,
        @Text("the oil in it") OilDocument oil,
        @Quantity(value = "oil in the engine at a change with filter", min = 1, max = 40, unit = "L") double oilVolumeL,
        @Text("body and gearing") VehicleDocument vehicle,
        @Text("oil pump") PumpDocument pump,
        @Text("an oil pressure reading without a cooler") GaugeDocument gauge,
        @Missing("the starting point of the model, as shown on the Duty station")
                @Text("what sump and block take from the oil")
                LossesDocument losses,
        @Text("the coolant circuit") CoolantDocument coolant,
        @Missing("no factory exchanger")
                @Quantity(value = "UA of a factory oil-to-coolant exchanger", min = 0, max = 2000, unit = "W/K")
                Double factoryExchangerWPerK,
        @Text("where the oil temperature sensor sits") Car.SensorPlace sensor,
        @Text("the temperatures to keep") LimitsDocument limits,
        @Missing("no log fitted yet") @Text("what a log has taught about this car") FittedDocument fitted,
        @Missing("not measured yet") @Text("the nose as measured by tape") NoseDocument nose,
        @Missing("not measured yet") @Text("the room for the hoses as measured by tape") BayDocument bay,
        @Missing("none") @Text(value = "what was read on it by hand", max = 40) List<ReadingDocument> readings,
        @Missing("none") @Text("an air cooler that the factory fitted, with its thermostat")
                DesignDocument.CoolerDocument factoryCooler,
        @Missing("as they were made, none built")
                @Text("in which order its designs are shown, and which of them is in it")
                DesignsDocument designs)
        implements Checked {

    /** What a car's people say of its designs. Identities of designs that are gone say nothing. */
    public record DesignsDocument(
            @Missing("as they were made") @Text(value = "identities of designs, the first one first", max = 500)
                    List<String> order,
            @Missing("none") @Text(value = "identity of the design as built", min = 1, max = 40) String built) {}

    /** The engine. */
    public record EngineDocument(
            @Text("how it breathes") Aspiration aspiration,
            @Quantity(value = "maximum brake power", min = 10, max = 1500, unit = "kW") double powerKw,
            @Missing("no change planned") @Quantity(value = "planned brake power", min = 10, max = 1500, unit = "kW")
                    Double plannedPowerKw,
            @Quantity(value = "swept volume", min = 0.3, max = 20, unit = "L") double displacementL,
            @Quantity(value = "highest engine speed in use", min = 1500, max = 14000, unit = "rpm") double maxRpm,
            @Quantity(value = "idle speed", min = 300, max = 2000, unit = "rpm") double idleRpm,
            @Text("whether oil jets cool the pistons") boolean pistonJets,
            @Quantity(value = "boost above ambient at full load", min = 0, max = 6, unit = "bar") double boostBar) {}

    /** How heat into the oil is estimated. */
    public record HeatDocument(
            @Text("which school") School school,
            @Missing("the usual share for the engine's kind")
                    @Quantity(value = "share of brake power that goes into the oil", min = 0, max = 30, unit = "%")
                    Double sharePercent) {}

    /** The schools of estimating heat into the oil. */
    public enum School {
        /** A share of brake power. */
        SHARE_OF_POWER,
        /** Friction and piston cooling added up. */
        FRICTION
    }

    /** Body and gearing. */
    public record VehicleDocument(
            @Quantity(value = "mass with driver", min = 200, max = 20000, unit = "kg") double massKg,
            @Quantity(value = "drag coefficient times frontal area", min = 0.1, max = 10, unit = "m²")
                    double dragAreaM2,
            @Quantity(value = "rolling resistance coefficient", min = 0.002, max = 0.1) double rolling,
            @Quantity(
                            value = "road speed at 1000 rpm in each gear, lowest gear first",
                            min = 2,
                            max = 150,
                            unit = "km/h")
                    @Text(value = "gears", min = 1, max = 18)
                    List<Double> gearsKmhPer1000Rpm) {}

    /** Oil pump. */
    public record PumpDocument(
            @Quantity(value = "oil moved per engine revolution", min = 1, max = 200, unit = "cm³") double cm3PerRev,
            @Quantity(value = "volumetric efficiency", min = 30, max = 100, unit = "%") double volumetricPercent,
            @Quantity(value = "relief valve opening pressure", min = 1, max = 15, unit = "bar") double reliefBar) {}

    /** An oil pressure reading. */
    public record GaugeDocument(
            @Quantity(value = "gauge pressure read", min = 0.1, max = 12, unit = "bar") double bar,
            @Quantity(value = "engine speed at the reading", min = 300, max = 14000, unit = "rpm") double rpm,
            @Quantity(value = "oil temperature at the reading", min = 20, max = 150, unit = "°C") double oilC) {}

    /** Heat lost by sump and block from the oil. */
    public record LossesDocument(
            @Quantity(value = "sump conductance at rest", min = 0, max = 500, unit = "W/K") double stillWPerK,
            @Quantity(value = "added conductance per (m/s)^0.8", min = 0, max = 50, unit = "W/K") double movingWPerK,
            @Quantity(
                            value = "conductance between oil and coolant through the block",
                            min = 0,
                            max = 2000,
                            unit = "W/K")
                    double blockWPerK,
            @Quantity(value = "heat capacity of metal that follows the oil", min = 0, max = 200, unit = "kJ/K")
                    double metalKjPerK,
            @Missing("15 %")
                    @Quantity(
                            value = "how far the air around the sump is on its way from outside to the coolant",
                            min = 0,
                            max = 100,
                            unit = "%")
                    Double bonnetPercent) {}

    /** The coolant circuit. */
    public record CoolantDocument(
            @Quantity(value = "heat capacity of coolant and block", min = 5, max = 1000, unit = "kJ/K")
                    double capacityKjPerK,
            @Missing("50 %") @Quantity(value = "heat into the coolant over brake power", min = 5, max = 200, unit = "%")
                    Double heatSharePercent,
            @Quantity(value = "coolant thermostat opening", min = 50, max = 115, unit = "°C") double opensC,
            @Quantity(value = "coolant thermostat full open", min = 52, max = 130, unit = "°C") double fullC,
            @Text("the radiator") RadiatorDocument radiator) {}

    /** The radiator. */
    public record RadiatorDocument(
            @Quantity(value = "finned width", min = 100, max = 2000, unit = "mm") double widthMm,
            @Quantity(value = "finned height", min = 100, max = 1500, unit = "mm") double heightMm,
            @Quantity(value = "UA at 4 m/s on the face", min = 50, max = 20000, unit = "W/K") double conductanceWPerK,
            @Quantity(value = "air pressure loss at 4 m/s on the face", min = 10, max = 1000, unit = "Pa")
                    double pressureDropPa,
            @Quantity(value = "openings that feed it", min = 20, max = 10000, unit = "cm²") double openingCm2,
            @Quantity(value = "pressure of its fan at no flow, 0 without one", min = 0, max = 2000, unit = "Pa")
                    double fanPa,
            @Quantity(value = "flow of its fan at no pressure", min = 0.05, max = 10, unit = "m³/s") double fanM3PerS) {
        Radiator toCore() {
            return new Radiator(
                    widthMm * heightMm * 1e-6, conductanceWPerK, pressureDropPa, openingCm2 * 1e-4, fanPa, fanM3PerS);
        }
    }

    /** The temperatures to keep. */
    public record LimitsDocument(
            @Quantity(value = "lower edge of the target band", min = 60, max = 140, unit = "°C") double targetLowC,
            @Quantity(value = "upper edge of the target band", min = 70, max = 150, unit = "°C") double targetHighC,
            @Quantity(value = "the oil's limit", min = 80, max = 180, unit = "°C") double limitC,
            @Missing("80 %")
                    @Quantity(
                            value = "how sure you want to be before something is called needed or good",
                            min = 60,
                            max = 99,
                            unit = "%")
                    Double surePercent,
            @Missing("20 °C")
                    @Quantity(
                            value = "oil at the coldest start that the car is asked for",
                            min = -45,
                            max = 40,
                            unit = "°C")
                    Double coldestC) {}

    @Override
    public void check(String path, List<Problem> problems) {
        oil.check(path + "/oil", problems);
        if (fitted != null) {
            fitted.check(path + "/fitted", problems);
        }
        if (bay != null) {
            bay.check(path + "/bay", problems);
        }
        if (factoryCooler != null) {
            new DesignDocument(name, factoryCooler, true, null, null).check(path, "/factoryCooler", problems);
        }
        for (int i = 0; readings != null && i < readings.size(); i++) {
            readings.get(i).check(path + "/readings/" + i, problems);
        }
        if (coolant.fullC() <= coolant.opensC()) {
            problems.add(Problem.of(
                    path + "/coolant/fullC",
                    DocumentReader.number(coolant.fullC()),
                    "Full open has to be above opening, " + DocumentReader.number(coolant.opensC()) + " °C"));
        }
        if (engine.idleRpm() >= engine.maxRpm()) {
            problems.add(Problem.of(
                    path + "/engine/idleRpm",
                    DocumentReader.number(engine.idleRpm()),
                    "Idle has to be below the highest speed, " + DocumentReader.number(engine.maxRpm()) + " rpm"));
        }
        if (limits.targetHighC() <= limits.targetLowC()) {
            problems.add(Problem.of(
                    path + "/limits/targetHighC",
                    DocumentReader.number(limits.targetHighC()),
                    "The upper edge has to be above the lower, " + DocumentReader.number(limits.targetLowC()) + " °C"));
        }
        if (limits.limitC() < limits.targetHighC()) {
            problems.add(Problem.of(
                    path + "/limits/limitC",
                    DocumentReader.number(limits.limitC()),
                    "The limit cannot be below the target's upper edge, " + DocumentReader.number(limits.targetHighC())
                            + " °C"));
        }
        if (gauge.bar() >= pump.reliefBar()) {
            problems.add(Problem.of(
                    path + "/gauge/bar",
                    DocumentReader.number(gauge.bar()),
                    "The reading has to be below the relief pressure, " + DocumentReader.number(pump.reliefBar())
                            + " bar: above it the gauge shows the valve, not the bearings"));
        }
        for (int i = 1; i < vehicle.gearsKmhPer1000Rpm().size(); i++) {
            if (vehicle.gearsKmhPer1000Rpm().get(i)
                    <= vehicle.gearsKmhPer1000Rpm().get(i - 1)) {
                problems.add(Problem.of(
                        path + "/vehicle/gearsKmhPer1000Rpm/" + i,
                        DocumentReader.number(vehicle.gearsKmhPer1000Rpm().get(i)),
                        "Each gear has to be longer than the one before it"));
            }
        }
    }

    /**
     * @param which a school
     * @return it for this car, before any log
     */
    public HeatSchool school(School which) {
        return switch (which) {
            case SHARE_OF_POWER ->
                new HeatSchool.ShareOfPower(
                        heat.sharePercent() == null ? engine.aspiration().oilShare() : heat.sharePercent() / 100);
            case FRICTION -> new HeatSchool.Friction(HeatSchool.Friction.FRICTION_SHARE);
        };
    }

    /**
     * @param newName what its people call it
     * @return the same car under that name
     */
    public CarDocument named(String newName) {
        return with(newName, engine, fitted, readings);
    }

    /**
     * @param kw maximum brake power, kW
     * @return the same car with that power
     */
    public CarDocument withPower(double kw) {
        EngineDocument other = new EngineDocument(
                engine.aspiration(),
                kw,
                engine.plannedPowerKw(),
                engine.displacementL(),
                engine.maxRpm(),
                engine.idleRpm(),
                engine.pistonJets(),
                engine.boostBar());
        return with(name, other, fitted, readings);
    }

    /**
     * @param read what was read on it by hand
     * @param taught what that has taught; null when nothing yet
     * @return the same car with both
     */
    public CarDocument withReadings(List<ReadingDocument> read, FittedDocument taught) {
        return with(name, engine, taught, read);
    }

    private CarDocument with(
            String newName, EngineDocument newEngine, FittedDocument taught, List<ReadingDocument> read) {
        return new CarDocument(
                newName,
                newEngine,
                heat,
                oil,
                oilVolumeL,
                vehicle,
                pump,
                gauge,
                losses,
                coolant,
                factoryExchangerWPerK,
                sensor,
                limits,
                taught,
                nose,
                bay,
                read,
                factoryCooler,
                designs);
    }

    /** @return what was read on it by hand, as evidence for {@code core} */
    public List<Evidence> evidence() {
        return readings == null
                ? List.of()
                : readings.stream().map(r -> r.toCore(this)).toList();
    }

    /** @return how sure its figures are */
    public Belief belief() {
        return fitted == null ? Belief.prior() : fitted.belief();
    }

    /** @return the car for {@code core}, with what a log has taught */
    public Car toCore() {
        return fitted == null ? withoutLog() : fitted.applied(withoutLog());
    }

    /** @return the car for {@code core} as it was before any log */
    public Car withoutLog() {
        var e = new isotherm.core.heat.Engine(
                engine.aspiration(),
                engine.powerKw() * 1e3,
                engine.displacementL() * 1e-3,
                engine.maxRpm(),
                engine.idleRpm(),
                engine.pistonJets(),
                engine.boostBar() * 1e5);
        HeatSchool school = school(heat.school());
        return new Car(
                e,
                school,
                oil.toCore(),
                oilVolumeL * 1e-3,
                new Vehicle(
                        vehicle.massKg(),
                        vehicle.dragAreaM2(),
                        vehicle.rolling(),
                        vehicle.gearsKmhPer1000Rpm().stream().map(v -> v / 3.6).toList()),
                new OilPump(pump.cm3PerRev() * 1e-6, pump.volumetricPercent() / 100, pump.reliefBar() * 1e5),
                new GaugePoint(gauge.bar() * 1e5, gauge.rpm(), Units.kelvin(gauge.oilC())),
                losses == null
                        ? Car.PassiveLosses.DEFAULT
                        : new Car.PassiveLosses(
                                losses.stillWPerK(),
                                losses.movingWPerK(),
                                losses.blockWPerK(),
                                losses.metalKjPerK() * 1e3,
                                losses.bonnetPercent() == null
                                        ? Car.PassiveLosses.WARMED
                                        : losses.bonnetPercent() / 100),
                new isotherm.core.car.Coolant(
                        coolant.capacityKjPerK() * 1e3,
                        coolant.heatSharePercent() == null
                                ? isotherm.core.car.Coolant.HEAT_SHARE
                                : coolant.heatSharePercent() / 100,
                        coolant.radiator().toCore(),
                        Units.kelvin(coolant.opensC()),
                        Units.kelvin(coolant.fullC())),
                factoryExchangerWPerK == null || factoryExchangerWPerK == 0
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(factoryExchangerWPerK),
                sensor,
                new Car.Limits(
                        Units.kelvin(limits.targetLowC()),
                        Units.kelvin(limits.targetHighC()),
                        Units.kelvin(limits.limitC()),
                        limits.surePercent() == null ? Car.Limits.SURE : limits.surePercent() / 100,
                        limits.coldestC() == null ? Car.Limits.COLDEST : Units.kelvin(limits.coldestC())),
                Car.Correction.NONE);
    }
}
