package isotherm.server.document;

import static isotherm.server.document.Solver.celsius;
import static isotherm.server.document.Solver.round;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.catalogue.CorePart;
import isotherm.core.compare.DesignMap;
import isotherm.core.compare.SessionComparison;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.fit.LogFit;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.nose.NoseFit;
import isotherm.core.nose.Rect;
import isotherm.core.nose.Template;
import isotherm.core.search.DesignSearch;
import isotherm.core.search.TwoSchools;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/** Answers to the questions other than a session. */
public final class QuestionSolver {
    /** What a logger writes where a sensor dropped out. */
    private static final double DROPPED = -300;

    private QuestionSolver() {}

    /**
     * @param q a core and one operating point
     * @return its rating
     */
    public static Questions.RatingAnswer rate(Questions.RatingQuestion q) {
        Design.Cooler c = q.design().toCore().cooler().orElseThrow();
        CoreModel model = new CoreModel(c.core());
        Oil oil = q.oil().toCore();
        double pascal = Air.standardPressure(q.altitudeM());
        double airIn = Units.kelvin(q.airInC());
        double oilIn = Units.kelvin(q.oilInC());
        CoreRating r = model.rate(
                oil,
                q.oilFlowLPerMin() / 6e4 * oil.density(oilIn),
                oilIn,
                q.faceSpeedMPerS() * c.core().faceArea() * Air.density(airIn, pascal),
                airIn,
                pascal,
                1,
                c.efficacy());
        return new Questions.RatingAnswer(
                round(r.heat() / 1e3, 3),
                celsius(r.oilOutK()),
                celsius(r.airOutK()),
                celsius(r.wallK()),
                round(r.conductance(), 1),
                round(r.effectiveness(), 4),
                round(r.oilPressureDrop() / 1e5, 4),
                round(r.airPressureDrop(), 1),
                round(r.oilReynolds(), 1),
                round(r.airReynolds(), 1),
                round(c.core().holdUp() * 1e3, 2),
                round(c.core().mass(), 2),
                round(c.core().outsideWidth() * 1e3, 0),
                round(c.core().height() * 1e3, 0),
                Solver.notes(r.validity()));
    }

    /**
     * @param q a design and road speeds
     * @return the air at each speed
     */
    public static List<Questions.AirAnswer> air(Questions.AirQuestion q) {
        Design.Cooler c = q.car().toCore().known(q.design().toCore().cooler().orElseThrow());
        AirNetwork network = new AirNetwork(
                c.airway(),
                new CoreModel(c.core()),
                Optional.of(q.car().toCore().coolant().radiator()),
                Units.kelvin(q.ambientC()),
                Air.standardPressure(q.altitudeM()));
        return q.speedsKmh().stream()
                .map(kmh -> {
                    AirFlow f = network.at(
                            kmh / 3.6, Boolean.TRUE.equals(q.fanOn()), Boolean.TRUE.equals(q.radiatorFanOn()));
                    return new Questions.AirAnswer(
                            kmh,
                            round(f.coreMassFlow(), 4),
                            round(f.faceSpeed(), 2),
                            round(f.coveredMassFlow() + f.openMassFlow(), 4),
                            round(f.available(), 1),
                            f.losses().stream()
                                    .map(l -> new OutcomeDocument.Loss(l.what(), round(l.pascal(), 1)))
                                    .toList());
                })
                .toList();
    }

    /**
     * @param asked a case
     * @return its design at every place, as it is sealed and shaded; none without a cooler
     */
    public static List<Questions.PlaceAnswer> places(CaseDocument asked) {
        Car car = asked.car().toCore();
        Duty duty = asked.duty().toCore();
        Design design = asked.design().toCore();
        if (design.cooler().isEmpty()) {
            return List.of();
        }
        Airway airway = design.cooler().get().airway();
        return Arrays.stream(Place.values())
                .parallel()
                .map(place -> {
                    Session s = Simulator.run(
                            car, duty, design.withAirway(airway.withPlace(place).withSealing(airway.sealing())));
                    return new Questions.PlaceAnswer(
                            place, celsius(s.peak()), celsius(s.peakCoolant()), celsius(s.plateau()));
                })
                .toList();
    }

    /**
     * @param q a car and a design
     * @return oil pressures, litres and seconds
     */
    public static Questions.CircuitAnswer circuit(Questions.CircuitQuestion q) {
        PressureCheck check = PressureCheck.of(q.car().toCore(), q.design().toCore(), Units.kelvin(q.hotOilC()));
        return new Questions.CircuitAnswer(
                Solver.points(check),
                round(check.loopVolume() * 1e3, 2),
                round(check.primeSeconds(), 1),
                round(check.drainSeconds(), 1));
    }

    /**
     * @param q a case and two axes
     * @param cancelled asked before each session
     * @return the map
     */
    public static Questions.MapAnswer map(Questions.MapQuestion q, BooleanSupplier cancelled) {
        Effort.check(
                "/x/count",
                (long) q.x().count() * q.y().count(),
                q.car().toCore(),
                q.duty().toCore(),
                Effort.WAITED_FOR);
        DesignMap.Result m = DesignMap.of(
                q.car().toCore(), q.duty().toCore(), q.design().toCore(), q.x().toCore(), q.y().toCore(), cancelled);
        return new Questions.MapAnswer(
                values(q.x(), m.x()), values(q.y(), m.y()), grid(m.peak()), grid(m.plateau()), grid(m.coolant()));
    }

    private static List<Double> values(Questions.AxisDocument axis, DesignMap.Scale scale) {
        return Arrays.stream(scale.values())
                .mapToObj(v -> round(axis.axis().outside(v), 4))
                .toList();
    }

    private static List<List<Double>> grid(double[][] kelvin) {
        return Arrays.stream(kelvin)
                .map(row -> Arrays.stream(row).mapToObj(Solver::celsius).toList())
                .toList();
    }

    /**
     * @param q a log
     * @return what it says about the car
     */
    public static Questions.FitAnswer fit(Questions.FitQuestion q) {
        return fitLog(q.car(), q.design(), q.duty(), q.car().sensor(), q.oilC(), q.coolantC());
    }

    /**
     * @param car the car
     * @param design the design that was driven
     * @param duty a duty from a log
     * @param sensor where the oil temperature sensor sat
     * @param oilC oil temperature at the log's times; −999 where it dropped out; null when not logged
     * @param coolantC coolant temperature in the same way
     * @return what it says about the car
     */
    public static Questions.FitAnswer fitLog(
            CarDocument car,
            DesignDocument design,
            DutyDocument duty,
            Car.SensorPlace sensor,
            List<Double> oilC,
            List<Double> coolantC) {
        if (oilC == null) {
            throw new InvalidDocument(
                    List.of(Problem.of("/oilC", null, "This log holds no oil temperature: there is nothing to fit")));
        }
        LogFit.Result r;
        try {
            // Always from the car as it was before any log, so that a second fit does not count the first one twice.
            r = LogFit.fit(
                    car.withoutLog().withSensor(sensor),
                    design.toCore(),
                    duty.toLog(),
                    kelvin(oilC),
                    Optional.ofNullable(coolantC).map(QuestionSolver::kelvin));
        } catch (IllegalArgumentException e) {
            throw new InvalidDocument(List.of(Problem.of("/oilC", null, e.getMessage())));
        }
        return new Questions.FitAnswer(
                r.estimates().stream()
                        .map(e -> new Questions.EstimateDocument(
                                e.parameter(), round(e.factor(), 4), round(e.standardError(), 4), round(e.prior(), 4)))
                        .toList(),
                Arrays.stream(r.correlation())
                        .map(row ->
                                Arrays.stream(row).mapToObj(v -> round(v, 3)).toList())
                        .toList(),
                round(r.rms(), 3),
                Arrays.stream(r.times()).boxed().toList(),
                Arrays.stream(r.residuals()).mapToObj(v -> round(v, 2)).toList(),
                MessageDocument.all(r.notes()),
                new CarDocument.FittedDocument(
                        duty.name(),
                        r.estimates().stream()
                                .map(e -> new CarDocument.FactorDocument(
                                        e.parameter(), round(e.factor(), 4), round(e.standardError(), 4)))
                                .toList(),
                        Arrays.stream(r.correlation())
                                .map(row -> new CarDocument.CorrelationDocument(Arrays.stream(row)
                                        .mapToObj(v -> round(v, 4))
                                        .toList()))
                                .toList()));
    }

    private static double[] kelvin(List<Double> celsius) {
        return celsius.stream()
                .mapToDouble(v -> v < DROPPED ? Double.NaN : Units.kelvin(v))
                .toArray();
    }

    /**
     * @param q two logged sessions
     * @return how they compare
     */
    public static Questions.CompareAnswer compare(Questions.CompareQuestion q) {
        Car car = q.car().toCore();
        SessionComparison.Logged before =
                logged(car, q.before().duty(), q.before().oilC());
        SessionComparison.Logged after = logged(car, q.after().duty(), q.after().oilC());
        Optional<SessionComparison.Step> step = Optional.ofNullable(q.design())
                .map(d -> SessionComparison.Step.byModel(
                        car, d.toCore(), before, after, q.before().duty().altitudeM()));
        SessionComparison.Result r = SessionComparison.compare(before, after, step, q.seed() == null ? 1 : q.seed());
        return new Questions.CompareAnswer(
                r.verdict(),
                MessageDocument.all(r.reasons()),
                figure(r.riseBefore(), 0),
                figure(r.riseAfter(), 0),
                figure(r.plateauBefore(), Units.ZERO_CELSIUS),
                figure(r.plateauAfter(), Units.ZERO_CELSIUS),
                figure(r.difference(), 0));
    }

    /**
     * @param car the car
     * @param duty a duty from a log
     * @param oilC oil temperature at its times; −999 where there is none; null when not logged
     * @return the session as it is compared
     */
    static SessionComparison.Logged logged(Car car, DutyDocument duty, List<Double> oilC) {
        LogDuty log = duty.toLog();
        DemandTrace demand = log.demand(car.vehicle(), car.engine());
        double[] oil = new double[demand.cells()];
        Arrays.fill(oil, Double.NaN);
        if (oilC != null) {
            oil = Arrays.stream(atCells(car, duty, oilC)).map(Units::kelvin).toArray();
        }
        double[] heat = IntStream.range(0, demand.cells())
                .mapToDouble(i -> car.school().oilHeat(car.engine(), demand.brakePower()[i], demand.rpm()[i]))
                .toArray();
        return new SessionComparison.Logged(demand, oil, heat, log.weather().ambientK());
    }

    /**
     * @param car the car
     * @param duty a duty from a log
     * @param read what a sensor read at its times; −999 where it read nothing
     * @return the same at the end of each cell of its demand; NaN where nothing was read
     */
    static double[] atCells(Car car, DutyDocument duty, List<Double> read) {
        LogDuty log = duty.toLog();
        DemandTrace demand = log.demand(car.vehicle(), car.engine());
        double[] atCells = new double[demand.cells()];
        int row = 0;
        for (int i = 0; i < atCells.length; i++) {
            double t = log.time()[0] + (i + 1) * demand.cell();
            while (row + 1 < log.time().length && log.time()[row + 1] <= t) {
                row++;
            }
            double v = read.get(row);
            atCells[i] = t - log.time()[row] <= LogDuty.GAP && v >= DROPPED ? v : Double.NaN;
        }
        return atCells;
    }

    /** A figure with its interval, less an offset. */
    static Questions.FigureDocument figure(SessionComparison.Figure f, double offset) {
        return Double.isNaN(f.value())
                ? new Questions.FigureDocument(null, null, null)
                : new Questions.FigureDocument(
                        round(f.value() - offset, 2), round(f.low() - offset, 2), round(f.high() - offset, 2));
    }

    /**
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @param progress told the number of designs done
     * @param cancelled asked before each design
     * @return the designs that hold
     */
    public static Questions.SearchAnswer search(
            Questions.SearchQuestion q, List<CorePart> catalogue, IntConsumer progress, BooleanSupplier cancelled) {
        trials(q, catalogue);
        DesignSearch.Result r =
                DesignSearch.search(q.car().toCore(), q.duty().toCore(), bounds(q, catalogue), progress, cancelled);
        return new Questions.SearchAnswer(
                r.tried(),
                r.holding(),
                r.smallest().map(QuestionSolver::candidate).orElse(null),
                r.largest().map(QuestionSolver::candidate).orElse(null),
                r.front().stream().map(QuestionSolver::candidate).toList());
    }

    /**
     * Refuses a search that is too long for somebody to wait for its answer.
     *
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @throws InvalidDocument when it is; as long work it may still be taken
     */
    public static void checkWaitedFor(Questions.SearchQuestion q, List<CorePart> catalogue) {
        Effort.check("/places", trials(q, catalogue), q.car().toCore(), q.duty().toCore(), Effort.WAITED_FOR / 4);
    }

    /**
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @return number of designs that it will run
     * @throws InvalidDocument when it would run too many
     */
    public static long trials(Questions.SearchQuestion q, List<CorePart> catalogue) {
        long trials = DesignSearch.count(bounds(q, catalogue));
        if (trials > DesignSearch.MOST_TRIALS) {
            throw new InvalidDocument(List.of(new Problem(
                    "/places",
                    String.valueOf(trials),
                    "This search would run " + trials + " designs; at most " + DesignSearch.MOST_TRIALS
                            + " are taken. Give fewer places, sealings, thermostats or bores, or less room.",
                    null,
                    (double) DesignSearch.MOST_TRIALS,
                    "")));
        }
        Effort.check("/places", trials, q.car().toCore(), q.duty().toCore(), Effort.LONG_WORK);
        return trials;
    }

    private static DesignSearch.Bounds bounds(Questions.SearchQuestion q, List<CorePart> catalogue) {
        List<Optional<OilThermostat>> thermostats = new ArrayList<>();
        q.thermostatsC().forEach(c -> thermostats.add(Optional.of(OilThermostat.opening(Units.kelvin(c)))));
        if (q.withoutThermostat()) {
            thermostats.add(Optional.empty());
        }
        return new DesignSearch.Bounds(
                catalogue,
                q.places(),
                q.sealingPercents().stream().map(v -> v / 100).toList(),
                thermostats,
                q.boresMm().stream().map(v -> v * 1e-3).toList(),
                q.largestWidthMm() * 1e-3,
                q.largestHeightMm() * 1e-3,
                q.shadedPercent() / 100,
                q.openingCm2() * 1e-4,
                q.hoseM());
    }

    private static Questions.CandidateDocument candidate(DesignSearch.Candidate c) {
        return candidate(c, DesignDocument.of(c.part().maker() + " " + c.part().number(), c.design()));
    }

    private static Questions.CandidateDocument candidate(DesignSearch.Candidate c, DesignDocument design) {
        return new Questions.CandidateDocument(
                c.part().maker(),
                c.part().number(),
                celsius(c.peak()),
                round(c.loopLoss() / 1e5, 3),
                round(c.coolantRise(), 2),
                Double.isInfinite(c.warmUp()) ? null : (Double) c.warmUp(),
                Double.isNaN(c.price()) ? null : (Double) c.price(),
                round(c.mass(), 2),
                design);
    }

    /**
     * @param q a design and the room for its core
     * @param catalogue cores to choose from
     * @return what the two schools of sizing would do
     */
    public static Questions.SchoolsAnswer schools(Questions.SchoolsQuestion q, List<CorePart> catalogue) {
        TwoSchools s = TwoSchools.of(
                q.car().toCore(),
                q.duty().toCore(),
                q.design().toCore(),
                catalogue,
                q.largestWidthMm() * 1e-3,
                q.largestHeightMm() * 1e-3);
        return new Questions.SchoolsAnswer(
                candidate(s.present(), q.design()),
                s.smallest()
                        .map(c -> candidate(c, q.design().changedTo(c.design())))
                        .orElse(null),
                s.largest()
                        .map(c -> candidate(c, q.design().changedTo(c.design())))
                        .orElse(null));
    }

    /**
     * @param q a core in a nose
     * @return what its position means
     */
    public static Questions.PlacementAnswer placement(Questions.PlacementQuestion q) {
        NoseFit f = NoseFit.of(
                q.car().nose().toCore(),
                q.design().toCore().cooler().orElseThrow().core(),
                q.design().cooler().placement().toCore());
        return new Questions.PlacementAnswer(
                f.place(),
                round(f.shadedShare() * 100, 1),
                round(f.openingArea() * 1e4, 1),
                round(f.sealing() * 100, 1),
                rect(f.face()),
                rect(f.outline()),
                f.fed().stream().map(QuestionSolver::rect).toList(),
                f.shades().stream().map(QuestionSolver::rect).toList(),
                f.gaps()
                        .map(g -> new Questions.GapsDocument(mm(g.left()), mm(g.right()), mm(g.above()), mm(g.below())))
                        .orElse(null),
                f.section().stream()
                        .map(c -> new Questions.CornerDocument(mm(c.z()), mm(c.y())))
                        .toList(),
                mm(f.crushClearance()),
                mm(f.groundClearance()),
                f.clearances().stream()
                        .map(c -> new Questions.ClearanceDocument(c.name(), mm(c.distance())))
                        .toList(),
                MessageDocument.all(f.problems()));
    }

    /**
     * @param q a core in a nose
     * @return its template at its true size
     */
    public static Template template(Questions.PlacementQuestion q) {
        return Template.of(
                q.design().name(),
                q.design().toCore().cooler().orElseThrow().core(),
                q.design().cooler().placement().toCore(),
                Optional.of(q.car().nose().toCore()));
    }

    private static double mm(double metres) {
        return round(metres * 1e3, 1);
    }

    private static Questions.RectDocument rect(Rect r) {
        return new Questions.RectDocument(mm(r.left()), mm(r.bottom()), mm(r.width()), mm(r.height()));
    }
}
