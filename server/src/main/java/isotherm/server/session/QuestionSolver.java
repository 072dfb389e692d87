package isotherm.server.session;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.compare.DutyTable;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.nose.NoseFit;
import isotherm.core.nose.Rect;
import isotherm.core.nose.Standing;
import isotherm.core.nose.Template;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import isotherm.core.whatif.Prices;
import isotherm.server.contract.Effort;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.CoreSheetDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.PresetsDocument;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** From questions to their answers, the same for HTTP and for {@code solve}. */
public final class QuestionSolver {
    private QuestionSolver() {}

    /**
     * @param q a core and one operating point
     * @return its rating
     */
    public static Questions.RatingAnswer rate(Questions.RatingQuestion q) {
        Design.Cooler c = q.design().own().orElseThrow();
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
        Design.Cooler c =
                q.car().toCore().known(q.design().toCore(q.car()).cooler().orElseThrow());
        AirNetwork network = new AirNetwork(
                c.airway(),
                new CoreModel(c.core()),
                Optional.of(q.car().toCore().radiator(q.design().toCore(q.car()))),
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

    /** Sessions that an outlook runs: each uncertain factor up and down. */
    private static final int OUTLOOK = 20;

    /**
     * @param q a car, its designs and its duties
     * @param prices what cores and hoses cost
     * @return every design in every duty, with its price
     */
    public static DutiesQuestions.DutiesAnswer duties(DutiesQuestions.DutiesQuestion q, Prices prices) {
        Car car = q.car().toCore();
        List<Duty> duties = q.duties().stream().map(DutyDocument::toCore).toList();
        for (int i = 0; i < duties.size(); i++) {
            Effort.check(
                    "/duties/" + i,
                    OUTLOOK * q.designs().size(),
                    car,
                    duties.get(i),
                    Effort.WAITED_FOR / duties.size());
        }
        List<Design> designs = q.designs().stream().map(d -> d.toCore(q.car())).toList();
        DutyTable table = DutyTable.of(car, q.car().belief(), designs, duties);
        return new DutiesQuestions.DutiesAnswer(
                IntStream.range(0, designs.size())
                        .mapToObj(i -> row(table.rows().get(i), prices.of(designs.get(i))))
                        .toList(),
                table.best().orElse(0));
    }

    private static DutiesQuestions.DesignRow row(DutyTable.Row row, OptionalDouble price) {
        return new DutiesQuestions.DesignRow(
                row.cells().stream()
                        .map(c -> new DutiesQuestions.DutyCell(
                                celsius(c.peakK()),
                                celsius(c.lowK()),
                                celsius(c.highK()),
                                round(c.oddsInBand(), 3),
                                round(c.oddsUnderLimit(), 3)))
                        .toList(),
                row.worst(),
                row.holds(),
                Rounding.optional(price, 0));
    }

    /**
     * @param asked a case
     * @return its design at every place, as it is sealed and shaded; none without a cooler
     */
    public static List<Questions.PlaceAnswer> places(CaseDocument asked) {
        Car car = asked.car().toCore();
        Duty duty = asked.duty().toCore();
        Design design = asked.design().toCore(asked.car());
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
        PressureCheck check = PressureCheck.of(q.car().toCore(), q.design().toCore(q.car()), Units.kelvin(q.hotOilC()));
        return new Questions.CircuitAnswer(
                Solver.points(check),
                round(check.loopVolume() * 1e3, 2),
                round(check.primeSeconds(), 1),
                round(check.drainSeconds(), 1));
    }

    /**
     * @param q a core in a nose
     * @return what its position means
     */
    public static Questions.PlacementAnswer placement(Questions.PlacementQuestion q) {
        NoseFit f = NoseFit.of(
                q.car().nose().toCore(),
                q.design().toCore(q.car()).cooler().orElseThrow().core(),
                q.design().cooler().placement().toCore(),
                standing(q),
                q.design().outOfTheWay());
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
                        .map(c -> new Questions.ClearanceDocument(c.name(), mm(c.distance()), mm(c.keeps())))
                        .toList(),
                MessageDocument.all(f.problems()),
                CoreSheetDocument.of(q.design()
                        .cooler()
                        .placement()
                        .toCore()
                        .layout(
                                q.design()
                                        .toCore(q.car())
                                        .cooler()
                                        .orElseThrow()
                                        .core(),
                                takeoffX(q.car()))),
                round(f.warmth().ahead() / 1e3, 1),
                f.warmth().behind(),
                f.warmth().intakeBehind(),
                q.design().cooler().placement().toCore().plateHeads());
    }

    /** The bay as a core sees it, with the movement of the engine that the plumbing allows for. */
    private static List<Standing> standing(Questions.PlacementQuestion q) {
        if (q.car().bay() == null) {
            return List.of();
        }
        double moves = q.design().plumbing() == null
                ? PresetsDocument.shipped().starts().plumbing().engineMovesMm()
                : q.design().plumbing().engineMovesMm();
        return q.car().bay().toCore().standing(moves * 1e-3);
    }

    /**
     * @param q a core in a nose
     * @return its template at its true size
     */
    public static Template template(Questions.PlacementQuestion q) {
        return Template.of(
                q.design().name(),
                q.design().toCore(q.car()).cooler().orElseThrow().core(),
                q.design().cooler().placement().toCore(),
                Optional.of(q.car().nose().toCore()),
                takeoffX(q.car()));
    }

    /** Where the takeoff is across the car, where that is measured. */
    private static OptionalDouble takeoffX(CarDocument car) {
        return car.bay() == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(car.bay().stand().toCore().at().getX());
    }

    private static double mm(double metres) {
        return round(metres * 1e3, 1);
    }

    private static Questions.RectDocument rect(Rect r) {
        return new Questions.RectDocument(mm(r.left()), mm(r.bottom()), mm(r.width()), mm(r.height()));
    }
}
