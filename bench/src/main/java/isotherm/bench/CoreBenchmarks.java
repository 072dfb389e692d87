package isotherm.bench;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Vehicle;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
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
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Coolant;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The computations that a user waits for. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmarks {
    private static final Weather DAY = new Weather(Units.kelvin(31), 240);

    private final Car car = car();
    private final Design design = design();
    private final TrackDuty session = new TrackDuty(
            List.of(
                    new TrackDuty.Stretch(600, 25, 54),
                    new TrackDuty.Stretch(120, 54, 24),
                    new TrackDuty.Stretch(250, 24, 24),
                    new TrackDuty.Stretch(380, 24, 46),
                    new TrackDuty.Stretch(100, 46, 25)),
            new TrackDuty.Plan(1, 32, 1, 0, 1),
            DAY);
    private final CoreModel model = new CoreModel(Core.stackedPlate(19, 0.28, 0.05));

    static Car car() {
        return new Car(
                new Engine(Aspiration.TURBO, 235e3, 1.9e-3, 6800, 850, true, 1.3e5),
                new HeatSchool.ShareOfPower(0.08),
                Oil.grade("5W-40").orElseThrow(),
                5.5e-3,
                new Vehicle(1420, 0.68, 0.013, List.of(2.28, 3.92, 5.64, 7.5, 9.58, 11.67)),
                new OilPump(9e-6, 0.85, 5.5e5),
                new GaugePoint(1.3e5, 850, Units.kelvin(95)),
                new Car.PassiveLosses(18, 1.4, 90, 6000),
                new Coolant(
                        70e3, 0.5, new Radiator(0.248, 1900, 130, 0.11, 180, 0.9), Units.kelvin(88), Units.kelvin(98)),
                OptionalDouble.empty(),
                Car.SensorPlace.SUMP,
                new Car.Limits(Units.kelvin(90), Units.kelvin(115), Units.kelvin(130)));
    }

    static Design design() {
        Hose hose = new Hose(14.2e-3, 1.2, 2);
        return Design.with(Design.Cooler.of(
                Core.stackedPlate(19, 0.28, 0.05),
                Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withShade(0.2),
                new CoolerLoop(
                        hose, hose, CoolerLoop.PLATE_HEADS, Optional.of(OilThermostat.opening(Units.kelvin(90))), 0)));
    }

    /** @return one operating point of one core */
    @Benchmark
    public CoreRating singleRating() {
        return model.rate(car.oil(), 0.4, 393, 0.4, 298, 101_325, 0.8, 0.8);
    }

    /** @return a session of 25 minutes on a circuit */
    @Benchmark
    public Session session25Minutes() {
        return Simulator.run(car, session, design);
    }
}
