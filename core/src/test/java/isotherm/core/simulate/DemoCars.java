package isotherm.core.simulate;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Vehicle;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.Aspiration;
import isotherm.core.heat.Engine;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.GaugePoint;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilPump;
import isotherm.core.hydraulics.OilThermostat;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A turbocharged car on a circuit, for tests. */
public final class DemoCars {
    /** A warm day. */
    public static final Weather DAY = new Weather(Units.kelvin(31), 240);

    private DemoCars() {}

    /** @return the car */
    public static Car car() {
        Engine engine = new Engine(Aspiration.TURBO, 235e3, 1.9e-3, 6800, 850, true, 1.3e5);
        Vehicle vehicle = new Vehicle(1420, 0.68, 0.013, List.of(2.28, 3.92, 5.64, 7.5, 9.58, 11.67));
        Radiator radiator = new Radiator(0.248, 1900, 130, 0.11, 180, 0.9);
        return new Car(
                engine,
                new HeatSchool.ShareOfPower(0.08),
                Oil.grade("5W-40").orElseThrow(),
                5.5e-3,
                vehicle,
                new OilPump(9e-6, 0.85, 5.5e5),
                new GaugePoint(1.3e5, 850, Units.kelvin(95)),
                new Car.PassiveLosses(18, 1.4, 90, 6000),
                new Coolant(70e3, 0.5, radiator, Units.kelvin(88), Units.kelvin(98)),
                OptionalDouble.empty(),
                Car.SensorPlace.SUMP,
                new Car.Limits(Units.kelvin(90), Units.kelvin(115), Units.kelvin(130)),
                Car.Correction.NONE);
    }

    /**
     * @param flyers laps at full pace
     * @return a session
     */
    public static TrackDuty session(int flyers) {
        List<TrackDuty.Stretch> lap = List.of(
                new TrackDuty.Stretch(600, 25, 54),
                new TrackDuty.Stretch(120, 54, 24),
                new TrackDuty.Stretch(250, 24, 24),
                new TrackDuty.Stretch(380, 24, 46),
                new TrackDuty.Stretch(100, 46, 25));
        return new TrackDuty(lap, new TrackDuty.Plan(1, flyers, 1, 0, 1), DAY);
    }

    /**
     * @param rows oil rows
     * @param place where the core is
     * @return a design with a thermostat that opens at 90 °C
     */
    public static Design design(int rows, Place place) {
        Hose hose = new Hose(14.2e-3, 1.2, 2);
        return Design.with(Design.Cooler.of(
                Core.stackedPlate(rows, 0.28, 0.05),
                Airway.at(place, 0.03).withShade(0.2),
                new CoolerLoop(
                        hose, hose, CoolerLoop.PLATE_HEADS, Optional.of(OilThermostat.opening(Units.kelvin(90))), 0)));
    }

    /** @return a fan that comes on at 98 °C */
    public static Fan fan() {
        return new Fan(220, 0.35, Units.kelvin(98), Units.kelvin(90));
    }

    /**
     * @param d what was driven
     * @param start temperatures at its start
     * @param day its air
     * @return a log of it, a row in the middle of each second
     */
    public static LogDuty log(DemandTrace d, Duty.Start start, Weather day) {
        double[] time = new double[d.cells()];
        Arrays.setAll(time, i -> i + 0.5);
        return new LogDuty(
                time, d.speed(), d.rpm(), d.brakePower(), new double[0], new double[0], Trailer.NONE, start, day);
    }
}
