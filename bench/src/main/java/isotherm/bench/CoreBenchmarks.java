package isotherm.bench;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.compare.DesignMap;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Vehicle;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.fit.LogFit;
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
import isotherm.core.search.DesignSearch;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.SessionEquations;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
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
    private final TrackDuty session = session();
    private final CoreModel model = new CoreModel(Core.stackedPlate(19, 0.28, 0.05));

    /** More than are remembered. */
    private static final int SEALINGS = 10_000;

    private final SessionEquations equations =
            new SessionEquations(car, session.demand(car.vehicle(), car.engine()), DAY, design);
    private final double[] state =
            equations.start(session.start().oilK(), session.start().coolantK());
    private final double[] rates = new double[SessionEquations.STATES];
    private int turn;
    private int cell;
    private final LogDuty log;
    private final double[] logged;

    /** Makes the log that is fitted: the session without a cooler and a tenth more heat, at 10 Hz. */
    public CoreBenchmarks() {
        DemandTrace d = session.demand(car.vehicle(), car.engine());
        Session s = Simulator.run(
                car.withSchool(new HeatSchool.Fitted(car.school(), 1.1)),
                d,
                DAY,
                Design.NO_COOLER,
                Duty.Start.WARM.oilK(),
                Duty.Start.WARM.coolantK());
        int n = d.cells() * 10;
        double[] time = new double[n];
        double[] speed = new double[n];
        double[] rpm = new double[n];
        double[] power = new double[n];
        logged = new double[n];
        for (int i = 0; i < n; i++) {
            time[i] = 0.1 * i;
            speed[i] = d.speed()[i / 10];
            rpm[i] = d.rpm()[i / 10];
            power[i] = d.brakePower()[i / 10];
            logged[i] = s.oil()[i / 10];
        }
        log = new LogDuty(time, speed, rpm, power, new double[0], new double[0], Trailer.NONE, Duty.Start.WARM, DAY);
    }

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
                new Car.Limits(Units.kelvin(90), Units.kelvin(115), Units.kelvin(130)),
                Car.Correction.NONE);
    }

    static TrackDuty session() {
        return new TrackDuty(
                List.of(
                        new TrackDuty.Stretch(600, 25, 54),
                        new TrackDuty.Stretch(120, 54, 24),
                        new TrackDuty.Stretch(250, 24, 24),
                        new TrackDuty.Stretch(380, 24, 46),
                        new TrackDuty.Stretch(100, 46, 25)),
                new TrackDuty.Plan(1, 31, 1, 0, 1),
                DAY);
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

    /** @return a session of 25 minutes on a circuit, its core and its air as they were in the last one */
    @Benchmark
    public Session session25Minutes() {
        return Simulator.run(car, session, design);
    }

    /** @return the same with a sealing that no session had lately */
    @Benchmark
    public Session session25MinutesOtherAir() {
        turn = (turn + 1) % SEALINGS;
        return Simulator.run(
                car,
                session,
                design.withAirway(design.cooler().orElseThrow().airway().withSealing(0.3 + 0.6 * turn / SEALINGS)));
    }

    /** @return a map of 24 × 24 whole sessions on all processors */
    @Benchmark
    public DesignMap.Result map24By24() {
        return DesignMap.of(
                car,
                session,
                design,
                DesignMap.Scale.even(DesignMap.Axis.ROWS, 7, 34, 24),
                DesignMap.Scale.even(DesignMap.Axis.SEALING, 0.3, 0.95, 24),
                () -> false);
    }

    /** @return the same session by an adaptive integrator on the same right-hand side */
    @Benchmark
    public double[] session25MinutesAdaptive() {
        return CellByCell.oil(car, session, design, new AdaptiveReference());
    }

    /** @return the same session by a plain loop: the midpoint rule, two evaluations a cell of the demand */
    @Benchmark
    public double[] session25MinutesPlain() {
        return CellByCell.oil(car, session, design, new FixedSteps());
    }

    /** @return one evaluation of the session's right-hand side */
    @Benchmark
    public double[] rightHandSide() {
        cell = (cell + 1) % equations.demand().cells();
        equations.derivatives(cell, false, state, rates);
        return rates;
    }

    /** @return a search through some 10 000 designs on all processors */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 2)
    public DesignSearch.Result search10000Designs() {
        return DesignSearch.search(car, session, Belief.prior(), bounds(), () -> false);
    }

    /** What a page has always asked before somebody searches: its map. */
    @State(Scope.Benchmark)
    public static class Looked {
        /**
         * Asks for the map once.
         *
         * @param all what is measured here
         */
        @Setup
        public void look(CoreBenchmarks all) {
            all.map24By24();
        }
    }

    /**
     * @param looked the page was looked at before
     * @return the same search, the first one of its program, after the page's map
     */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    @Fork(2)
    public DesignSearch.Result search10000DesignsAfterAMap(Looked looked) {
        return search10000Designs();
    }

    /** @return the map's sessions one after another: what the map is measured by */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 2)
    public double map24By24InTurn() {
        double[] rows = DesignMap.Scale.even(DesignMap.Axis.ROWS, 7, 34, 24).values();
        double[] sealings =
                DesignMap.Scale.even(DesignMap.Axis.SEALING, 0.3, 0.95, 24).values();
        double sum = 0;
        for (double r : rows) {
            for (double s : sealings) {
                sum += Simulator.run(car, session, varied((int) Math.round(r), s))
                        .peak();
            }
        }
        return sum;
    }

    private Design varied(int rows, double sealing) {
        Design.Cooler cooler = design.cooler().orElseThrow();
        return design.withCore(cooler.core().withRows(rows))
                .withAirway(cooler.airway().withSealing(sealing));
    }

    /** @return as many sessions as the search has designs, on all processors: what it is measured by */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 2)
    public double search10000DesignsEach() {
        int designs = (int) DesignSearch.count(bounds());
        return IntStream.range(0, designs)
                .parallel()
                .mapToDouble(i -> Simulator.run(car, session, varied(7 + i % 28, 0.3 + 0.65 * i / designs))
                        .peak())
                .sum();
    }

    static DesignSearch.Bounds bounds() {
        return new DesignSearch.Bounds(
                CorePart.shipped(),
                List.of(Place.values()),
                List.of(0.5, 0.6, 0.7, 0.8, 0.85, 0.9, 0.95),
                List.of(
                        Optional.of(OilThermostat.opening(Units.kelvin(85))),
                        Optional.of(OilThermostat.opening(Units.kelvin(90)))),
                List.of(14.2e-3, 17.5e-3),
                0.40,
                0.30,
                0.2,
                0.03,
                1.2);
    }

    /** @return a fit of a 25-minute log at 10 Hz */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 2)
    @Measurement(iterations = 5)
    public LogFit.Result fit25MinutesAt10Hertz() {
        return LogFit.fit(car, Design.NO_COOLER, log, logged, Optional.empty());
    }
}
