package isotherm.server.session;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.exchanger.Validity;
import isotherm.core.findings.Assessment;
import isotherm.core.findings.Findings;
import isotherm.core.findings.Remedy;
import isotherm.core.findings.Verdict;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.simulate.OperatingPoint;
import isotherm.core.simulate.Prediction;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import isotherm.server.contract.Effort;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.CoreSheetDocument;
import isotherm.server.garage.DesignDocument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/** From a case to its outcome, the same for HTTP and for {@code solve}. */
public final class Solver {
    /** Points of a trace that a screen can tell apart. */
    private static final int TRACE_POINTS = 480;
    /** Points that do while a finger moves. */
    private static final int QUICK_POINTS = 150;

    private Solver() {}

    /**
     * @param asked the case
     * @return its outcome
     */
    public static OutcomeDocument solve(CaseDocument asked) {
        Car car = asked.car().toCore();
        Design design = asked.design().toCore(asked.car());
        Double planned = asked.car().engine().plannedPowerKw();
        Assessment a = Assessment.of(
                car,
                asked.duty().toCore(),
                design,
                planned == null ? OptionalDouble.empty() : OptionalDouble.of(planned * 1e3),
                asked.car().belief());
        Session s = a.session();
        Oil oil = design.oil().orElse(car.oil());
        return new OutcomeDocument(
                figures(car, oil, s),
                bare(a.bare()),
                schools(asked, a),
                a.planned().map(Solver::bare).orElse(null),
                new OutcomeDocument.Road(
                        Rounding.celsius(a.roadOil()),
                        finite(a.road().timeTo(Units.kelvin(65))),
                        finite(a.road().timeTo(Units.kelvin(80))),
                        trace(roadCells(a), i -> (i + 1) * a.road().demand().cell(), 0),
                        trace(roadCells(a), i -> Units.celsius(a.road().oil()[i]), 1),
                        trace(roadCells(a), i -> Units.celsius(a.bareRoad().oil()[i]), 1)),
                interval(asked),
                balance(s.balance()),
                design.cooler()
                        .map(c -> corePoint(c, a.working().core().orElseThrow()))
                        .orElse(null),
                circuit(a),
                traces(car, s, TRACE_POINTS),
                verdict(a, asked.car(), asked.design()),
                findings(a, asked.car(), asked.design()));
    }

    private static List<Integer> roadCells(Assessment a) {
        List<Integer> all = shown(a.road().demand(), TRACE_POINTS);
        return IntStream.range(0, all.size())
                .filter(i -> i % 5 == 4)
                .mapToObj(all::get)
                .toList();
    }

    /**
     * @param asked the case
     * @return what follows a drag
     */
    public static OutcomeDocument.Quick quick(CaseDocument asked) {
        Car car = asked.car().toCore();
        Design design = asked.design().toCore(asked.car());
        Duty duty = asked.duty().toCore();
        Session s = Simulator.run(car, duty, design);
        Session bare = design.cooler().isEmpty() ? s : Simulator.run(car, duty, design.withCooler(Optional.empty()));
        return new OutcomeDocument.Quick(
                figures(car, design.oil().orElse(car.oil()), s), bare(bare), traces(car, s, QUICK_POINTS));
    }

    private static OutcomeDocument.Figures figures(Car car, Oil oil, Session s) {
        return new OutcomeDocument.Figures(
                Rounding.celsius(s.peak()),
                Rounding.celsius(s.plateau()),
                Rounding.round(s.climbRate(), 2),
                Rounding.celsius(s.peakCoolant()),
                s.timeAbove(car.limits().targetHighK()),
                s.timeAbove(car.limits().limitK()),
                s.thermostatTravel(),
                s.fanStarts(),
                Rounding.round(s.meanHeat() / 1e3, 2),
                Rounding.round(oil.kinematicViscosity(s.peak()) * 1e6, 2),
                Rounding.round(lowest(s.pressure()) / 1e5, 2));
    }

    private static OutcomeDocument.Bare bare(Session s) {
        return new OutcomeDocument.Bare(
                Rounding.celsius(s.peak()), Rounding.celsius(s.plateau()), Rounding.celsius(s.peakCoolant()));
    }

    private static List<OutcomeDocument.SchoolFigures> schools(CaseDocument asked, Assessment a) {
        return Arrays.stream(CarDocument.School.values())
                .parallel()
                .map(school -> {
                    Session s = asked.car().fitted() == null
                                    && school == asked.car().heat().school()
                            ? a.session()
                            : Simulator.run(
                                    asked.car()
                                            .withoutLog()
                                            .withSchool(asked.car().school(school)),
                                    a.duty(),
                                    a.design());
                    return new OutcomeDocument.SchoolFigures(
                            school,
                            Rounding.round(s.meanHeat() / 1e3, 2),
                            Rounding.celsius(s.peak()),
                            Rounding.celsius(s.plateau()),
                            heat(a.car(), asked.car().school(school), s.demand(), TRACE_POINTS));
                })
                .toList();
    }

    /**
     * @param asked the case, with samples
     * @return how sure its figures are; null when no samples are asked for
     */
    public static OutcomeDocument.Interval interval(CaseDocument asked) {
        if (asked.samples() == null || asked.samples() == 0) {
            return null;
        }
        Effort.check(
                "/samples", asked.samples(), asked.car().toCore(), asked.duty().toCore(), Effort.WAITED_FOR / 3);
        Prediction p = Prediction.of(
                asked.car().toCore(),
                asked.duty().toCore(),
                asked.design().toCore(asked.car()),
                asked.car().belief(),
                asked.samples(),
                asked.seed() == null ? 1 : asked.seed());
        return new OutcomeDocument.Interval(
                Rounding.celsius(p.peakLow()),
                Rounding.celsius(p.peakMedian()),
                Rounding.celsius(p.peakHigh()),
                Rounding.celsius(p.plateauLow()),
                Rounding.celsius(p.plateauHigh()),
                Rounding.round(p.oddsUnderLimit(), 3),
                Rounding.round(p.oddsUnderTarget(), 3),
                p.samples());
    }

    private static OutcomeDocument.Balance balance(Session.Balance b) {
        return new OutcomeDocument.Balance(
                Rounding.round(b.in() / 1e3, 1),
                Rounding.round(b.stored() / 1e3, 1),
                Rounding.round(b.sump() / 1e3, 1),
                Rounding.round(b.block() / 1e3, 1),
                Rounding.round(b.factory() / 1e3, 1),
                Rounding.round(b.cooler() / 1e3, 1));
    }

    private static OutcomeDocument.CorePoint corePoint(Design.Cooler c, OperatingPoint.CoreMoment moment) {
        CoreRating r = moment.rating();
        return new OutcomeDocument.CorePoint(
                Rounding.round(r.heat() / 1e3, 2),
                Rounding.round(moment.air().faceSpeed(), 2),
                Rounding.celsius(moment.airInK()),
                Rounding.celsius(r.airOutK()),
                Rounding.celsius(r.oilOutK()),
                Rounding.round(r.effectiveness(), 3),
                Rounding.round(r.conductance(), 1),
                Rounding.round(r.oilPressureDrop() / 1e5, 3),
                Rounding.round(r.airPressureDrop(), 0),
                Rounding.round(c.core().faceArea() * 1e4, 0),
                Rounding.round(c.core().holdUp() * 1e3, 2),
                Rounding.round(c.core().mass(), 2),
                Rounding.round(c.core().outsideWidth() * 1e3, 0),
                Rounding.round(c.core().height() * 1e3, 0),
                moment.air().losses().stream()
                        .map(l -> new OutcomeDocument.Loss(l.what(), Rounding.round(l.pascal(), 0)))
                        .toList(),
                notes(r.validity()),
                CoreSheetDocument.of(c.core().layout()));
    }

    private static OutcomeDocument.Circuit circuit(Assessment a) {
        OilCircuit.Point with = a.working().circuit();
        int cell = a.working().cell();
        return new OutcomeDocument.Circuit(
                Rounding.round(a.session().demand().rpm()[cell], 0),
                Rounding.celsius(a.session().oil()[cell]),
                Rounding.round(with.engineFlow() * 6e4, 1),
                Rounding.round(with.coolerFlow() * 6e4, 1),
                Rounding.round(with.reliefFlow() * 6e4, 1),
                Rounding.round(with.galleryPressure() / 1e5, 2),
                Rounding.round(a.working().bare().galleryPressure() / 1e5, 2),
                with.losses().stream()
                        .map(l -> new OutcomeDocument.Loss(l.what(), Rounding.round(l.pascal(), 0)))
                        .toList(),
                Rounding.round(a.pressure().loopVolume() * 1e3, 2),
                Rounding.round(a.pressure().primeSeconds(), 1),
                Rounding.round(a.pressure().drainSeconds(), 1),
                points(a.pressure()));
    }

    public static List<OutcomeDocument.PressurePoint> points(PressureCheck check) {
        return check.points().stream()
                .map(p -> new OutcomeDocument.PressurePoint(
                        p.kind(),
                        Rounding.round(p.rpm(), 0),
                        Rounding.celsius(p.oilK()),
                        Rounding.round(p.gallery() / 1e5, 2),
                        Rounding.round(p.bare() / 1e5, 2),
                        Rounding.round(p.floor() / 1e5, 2),
                        Rounding.round(p.loop() / 1e5, 2),
                        Rounding.round(p.relief() * 6e4, 1),
                        Rounding.round(p.core() / 1e5, 2)))
                .toList();
    }

    static List<OutcomeDocument.ValidityNote> notes(List<Validity> validity) {
        return validity.stream()
                .map(v -> new OutcomeDocument.ValidityNote(
                        v.quantity(), Rounding.round(v.value(), 1), v.low(), v.high(), v.unit(), v.source()))
                .toList();
    }

    /** Cells of a demand that a trace shows, each the last of its stretch. */
    private static List<Integer> shown(DemandTrace demand, int points) {
        int n = demand.cells();
        int step = step(demand, points);
        List<Integer> cells = new ArrayList<>();
        for (int i = step - 1; i < n; i += step) {
            cells.add(i);
        }
        if (cells.isEmpty() || cells.get(cells.size() - 1) != n - 1) {
            cells.add(n - 1);
        }
        return cells;
    }

    private static int step(DemandTrace demand, int points) {
        return Math.max(1, (demand.cells() + points - 1) / points);
    }

    private static List<Double> heat(Car car, HeatSchool school, DemandTrace demand, int points) {
        return trace(
                shown(demand, points),
                i -> mean(
                        i,
                        step(demand, points),
                        j -> school.oilHeat(car.engine(), demand.brakePower()[j], demand.rpm()[j]) / 1e3),
                2);
    }

    private static OutcomeDocument.Traces traces(Car car, Session s, int points) {
        List<Integer> cells = shown(s.demand(), points);
        int step = step(s.demand(), points);
        return new OutcomeDocument.Traces(
                trace(cells, i -> (i + 1) * s.demand().cell(), 1),
                trace(cells, i -> Units.celsius(s.oil()[i]), 2),
                trace(cells, i -> Units.celsius(s.at(car.sensor(), i)), 2),
                trace(cells, i -> Units.celsius(s.returned()[i]), 2),
                trace(cells, i -> Units.celsius(s.coolant()[i]), 2),
                trace(cells, i -> s.lift()[i], 3),
                cells.stream().map(i -> s.fan()[i] ? 1 : 0).toList(),
                heat(car, car.school(), s.demand(), points),
                trace(cells, i -> mean(i, step, j -> s.demand().speed()[j] * 3.6), 1),
                trace(cells, i -> s.pressure()[i] / 1e5, 2),
                s.demand().phases().stream()
                        .map(p -> new OutcomeDocument.PhaseDocument(p.name(), p.kind(), p.start()))
                        .toList());
    }

    private static double mean(int last, int count, IntToDoubleFunction value) {
        int first = Math.max(0, last - count + 1);
        double sum = 0;
        for (int i = first; i <= last; i++) {
            sum += value.applyAsDouble(i);
        }
        return sum / (last - first + 1);
    }

    private static List<Double> trace(List<Integer> cells, IntToDoubleFunction value, int digits) {
        return cells.stream()
                .map(i -> Rounding.round(value.applyAsDouble(i), digits))
                .toList();
    }

    private static OutcomeDocument.VerdictDocument verdict(Assessment a, CarDocument car, DesignDocument asked) {
        Verdict v = Verdict.of(a);
        return new OutcomeDocument.VerdictDocument(
                v.kind(),
                v.unsure(),
                MessageDocument.of(v.what()),
                MessageDocument.of(v.why()),
                v.options().stream().map(r -> remedy(r, car, asked)).toList());
    }

    private static OutcomeDocument.RemedyDocument remedy(Remedy r, CarDocument car, DesignDocument asked) {
        return new OutcomeDocument.RemedyDocument(
                MessageDocument.of(r.label()),
                asked.changedTo(car, r.design()),
                Rounding.celsius(r.peakK()),
                MessageDocument.of(r.effect()));
    }

    private static List<OutcomeDocument.FindingDocument> findings(Assessment a, CarDocument car, DesignDocument asked) {
        return Findings.of(a).stream()
                .map(f -> new OutcomeDocument.FindingDocument(
                        f.severity(),
                        f.topic(),
                        f.topic().station(),
                        f.topic().background(),
                        MessageDocument.of(f.what()),
                        MessageDocument.of(f.why()),
                        f.remedy().map(r -> remedy(r, car, asked)).orElse(null)))
                .toList();
    }

    private static double lowest(double[] values) {
        double lowest = Double.POSITIVE_INFINITY;
        for (double v : values) {
            lowest = Math.min(lowest, v);
        }
        return lowest;
    }

    private static Double finite(double seconds) {
        return Double.isInfinite(seconds) ? null : (Double) seconds;
    }
}
