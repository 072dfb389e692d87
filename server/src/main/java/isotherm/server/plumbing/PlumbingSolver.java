package isotherm.server.plumbing;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.bill.BillLine;
import isotherm.core.bill.BillOfMaterials;
import isotherm.core.bill.DesignBill;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.line.CorePorts;
import isotherm.core.line.Line;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.PlumbingNotes;
import isotherm.core.route.Bay;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Simulator;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.BayDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PlumbingDocument;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Solver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/** From a choice between engine and core to what it comes to, the same for HTTP and for {@code solve}. */
public final class PlumbingSolver {
    /** The search asks whether it is still wanted every thousand steps; what takes as many is given up. */
    private static final int MOST_ASKED = 2000;
    /** The sizes that are held side by side. */
    private static final List<String> SIZES = List.of("-8", "-10", "-12");

    private PlumbingSolver() {}

    /** What a question stands on. */
    private record Ground(
            Plumbed.PlumbQuestion question,
            Car car,
            Design design,
            Bay bay,
            Plumbing.Choice choice,
            Parts parts,
            BooleanSupplier left) {
        /** Looks for the routes; refuses what takes more steps than somebody would wait for. */
        public Plumbing plan(Plumbing.Choice with, boolean explain) {
            int[] asked = {0};
            BooleanSupplier bounded = () -> {
                synchronized (asked) {
                    return ++asked[0] > MOST_ASKED || left.getAsBoolean();
                }
            };
            try {
                return searched(with, explain, bounded);
            } catch (CancellationException e) {
                if (asked[0] > MOST_ASKED && !left.getAsBoolean()) {
                    throw Problem.refused(
                            "/car/bay/boxes",
                            null,
                            "No routes were found within the bounds of the search. Give a way-point for each hose, or leave out"
                                    + " boxes that are far from both");
                }
                throw e;
            }
        }

        private Plumbing searched(Plumbing.Choice with, boolean explain, BooleanSupplier bounded) {
            return Plumbing.plan(
                    question.car().bay().stand().toCore(),
                    bay,
                    design.cooler().orElseThrow().core(),
                    question.design().cooler().placement().toCore(),
                    question.design().plumbing().coreEnd(),
                    with,
                    parts,
                    explain,
                    bounded);
        }
    }

    /**
     * @param q a car, a duty and a design
     * @param parts what can be bought between engine and core
     * @param cores what cores can be bought
     * @param left asked now and then whether nobody waits for the answer any more
     * @return what the plumbing comes to
     * @throws InvalidDocument when the takeoff or the hose is not in the catalogue
     * @throws CancellationException when nobody waits any more
     */
    public static Plumbed plumb(Plumbed.PlumbQuestion q, Parts parts, List<CorePart> cores, BooleanSupplier left) {
        Ground ground = ground(q, parts, left);
        Plumbing plan = ground.plan(ground.choice(), true);
        Optional<Design> piped = piped(ground, plan);
        Optional<Plumbed.PlumbFigures> figures = piped.map(d -> figures(ground, d, plan));
        List<BillLine> bill = new ArrayList<>(DesignBill.of(
                ground.design(),
                Optional.ofNullable(q.design().cooler().placement()).map(DesignDocument.PlacementDocument::toCore),
                plan,
                ground.choice().sleeved(),
                cores));
        BillOfMaterials loop = new BillOfMaterials(plan);
        bill.addAll(loop.lines(
                figures.map(f -> f.addedOilL() * 1e-3).orElse(0.0), q.car().oilVolumeL() * 1e-3));
        BillOfMaterials.KitOrLoose kit = loop.kitOrLoose(bill);
        List<String> have = q.design().plumbing().have();
        return new Plumbed(
                fit(plan),
                plan.lines().stream()
                        .map(l -> LineWriter.line(l, plan, ground.bay(), ground.parts()))
                        .toList(),
                boxes(ground),
                mm(plan.paired()),
                round(plan.hose().family().cuttable() ? plan.hoseToBuy() : 0, 2),
                round(plan.hose().family().cuttable() ? plan.offcut() : 0, 3),
                loop(plan).orElse(null),
                figures.orElse(null),
                Boolean.TRUE.equals(q.sizes()) ? sizes(ground, plan) : List.of(),
                bill.stream().map(b -> billed(b, have)).toList(),
                new Plumbed.Kit(
                        round(kit.loosePrice(), 2),
                        round(kit.kitPrice(), 0),
                        kit.looseHours(),
                        kit.kitHours(),
                        round(
                                bill.stream()
                                        .filter(b -> !have.contains(b.key()))
                                        .mapToDouble(BillLine::price)
                                        .sum(),
                                2)),
                MessageDocument.all(PlumbingNotes.of(
                        ground.car(), ground.design(), plan, ground.choice().feed())));
    }

    /**
     * A plumbing, and the design with its hoses.
     *
     * @param plumbing takeoff, hoses and what joins them
     * @param piped the design with the hoses as they are routed; empty without both routes
     */
    public record Planned(Plumbing plumbing, Optional<Design> piped) {}

    /**
     * @param q a car, a duty and a design
     * @param parts what can be bought between engine and core
     * @return what is to be put together
     * @throws InvalidDocument when the takeoff or the hose is not in the catalogue
     */
    public static Planned plan(Plumbed.PlumbQuestion q, Parts parts) {
        Ground ground = ground(q, parts, () -> false);
        Plumbing plan = ground.plan(ground.choice(), false);
        return new Planned(plan, piped(ground, plan));
    }

    private static Ground ground(Plumbed.PlumbQuestion q, Parts parts, BooleanSupplier left) {
        PlumbingDocument p = q.design().plumbing();
        Optional<Takeoff> takeoff = parts.takeoffs().stream()
                .filter(t -> t.number().equals(p.takeoff()))
                .findFirst();
        Optional<HoseType> hose =
                parts.hoses().stream().filter(h -> h.number().equals(p.hose())).findFirst();
        List<Problem> problems = new ArrayList<>();
        if (takeoff.isEmpty()) {
            problems.add(
                    Problem.of("/design/plumbing/takeoff", p.takeoff(), "There is no such takeoff in the catalogue"));
        }
        if (hose.isEmpty()) {
            problems.add(Problem.of("/design/plumbing/hose", p.hose(), "There is no such hose in the catalogue"));
        }
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
        Bay bay = q.car().bay().toCore();
        if (q.car().nose() != null) {
            bay = bay.with(Bay.of(q.car().nose().toCore()));
        }
        Plumbing.Choice choice = new Plumbing.Choice(
                takeoff.orElseThrow(),
                Math.toRadians(p.clockDeg()),
                hose.orElseThrow(),
                p.wish(),
                p.feedPoints().stream()
                        .map(PlumbingDocument.PointDocument::toCore)
                        .toList(),
                p.backPoints().stream()
                        .map(PlumbingDocument.PointDocument::toCore)
                        .toList(),
                p.sleeved(),
                p.feed() == null ? Plumbing.FeedPort.LOWER : p.feed(),
                p.engineMovesMm() * 1e-3,
                q.design().keepFactoryExchanger(),
                p.accessories().stream()
                        .map(PlumbingDocument.AccessoryDocument::toCore)
                        .toList());
        return new Ground(q, q.car().toCore(), q.design().toCore(), bay, choice, parts, left);
    }

    /** The design with hoses as they have been routed. */
    private static Optional<Design> piped(Ground g, Plumbing plan) {
        Optional<Hose> feed = plan.hose(plan.feed());
        Optional<Hose> back = plan.hose(plan.back());
        if (feed.isEmpty() || back.isEmpty()) {
            return Optional.empty();
        }
        Design.Cooler c = g.design().cooler().orElseThrow();
        CoolerLoop loop =
                new CoolerLoop(
                feed.get(),
                back.get(),
                plan.heads(),
                c.loop().thermostat(),
                plan.extraVolume(),
                c.loop().bypass());
        return Optional.of(new Design(
                Optional.of(new Design.Cooler(c.core(), c.airway(), loop, c.efficacy())),
                g.design().keepFactoryExchanger(),
                g.design().oil()));
    }

    private static Optional<Plumbed.Loop> loop(Plumbing plan) {
        return plan.hose(plan.feed()).flatMap(feed -> plan.hose(plan.back())
                .map(back -> new Plumbed.Loop(
                        hose(feed), hose(back), round(plan.heads(), 2), round(plan.extraVolume() * 1e3, 3))));
    }

    private static DesignDocument.HoseDocument hose(Hose h) {
        return new DesignDocument.HoseDocument(round(h.bore() * 1e3, 2), round(h.length(), 3), round(h.elbows90(), 2));
    }

    private static double peakK(Ground g, Design design) {
        return Arrays.stream(Simulator.run(g.car(), g.question().duty().toCore(), design)
                        .oil())
                .max()
                .orElseThrow();
    }

    private static OilCircuit.Point hotTop(Ground g, Design design, double hotK) {
        Design.Cooler c = design.cooler().orElseThrow();
        double lift = c.loop().thermostat().map(t -> t.liftWarming(hotK)).orElse(1.0);
        return new OilCircuit(g.car().oil(), g.car().pump(), g.car().gauge())
                .with(design.oil().orElse(g.car().oil()))
                .at(g.car().engine().maxRpm(), hotK, Optional.of(c.loop()), Optional.of(new CoreModel(c.core())), lift);
    }

    private static Plumbed.PlumbFigures figures(Ground g, Design design, Plumbing plan) {
        double hotK = peakK(g, design);
        PressureCheck check = PressureCheck.of(g.car(), design, hotK);
        return new Plumbed.PlumbFigures(
                celsius(hotK),
                hotTop(g, design, hotK).losses().stream()
                        .map(l -> new OutcomeDocument.Loss(l.what(), round(l.pascal(), 0)))
                        .toList(),
                Solver.points(check),
                round(check.loopVolume() * 1e3, 2),
                round(check.primeSeconds(), 1),
                round(check.drainSeconds(), 1),
                round(plan.mass(), 2),
                loosePrice(plan, check.loopVolume()));
    }

    /** Price of the loop's own parts bought loose, with so much oil (m³). */
    private static double loosePrice(Plumbing plan, double addedOil) {
        BillOfMaterials bill = new BillOfMaterials(plan);
        return round(bill.kitOrLoose(bill.lines(addedOil, 0)).loosePrice(), 2);
    }

    private static List<Plumbed.Size> sizes(Ground g, Plumbing chosen) {
        List<Plumbed.Size> sizes = new ArrayList<>();
        for (String dash : SIZES) {
            Optional<HoseType> hose = g.parts().sized(chosen.hose(), dash);
            if (hose.isPresent()) {
                boolean same = hose.get().equals(chosen.hose());
                sizes.add(size(
                        g, hose.get(), same, same ? chosen : g.plan(g.choice().with(hose.get()), false)));
            }
        }
        return sizes;
    }

    private static Plumbed.Size size(Ground g, HoseType hose, boolean chosen, Plumbing plan) {
        Optional<Design> piped = piped(g, plan);
        boolean found = plan.lines().stream().allMatch(Line::found);
        double price = loosePrice(plan, 0);
        if (piped.isEmpty()) {
            return new Plumbed.Size(
                    hose.dash(),
                    hose.number(),
                    hose.family(),
                    chosen,
                    found,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    round(plan.mass(), 2),
                    price);
        }
        double hotK = peakK(g, piped.get());
        PressureCheck check = PressureCheck.of(g.car(), piped.get(), hotK);
        return new Plumbed.Size(
                hose.dash(),
                hose.number(),
                hose.family(),
                chosen,
                found,
                round(hotTop(g, piped.get(), hotK).loopPressureDrop() / 1e5, 2),
                round(check.points().get(0).gallery() / 1e5, 2),
                round(check.points().get(2).gallery() / 1e5, 2),
                check.worst().isPresent(),
                round(check.loopVolume() * 1e3, 2),
                round(check.primeSeconds(), 1),
                round(plan.mass(), 2),
                price);
    }

    private static Plumbed.Fit fit(Plumbing plan) {
        return new Plumbed.Fit(
                plan.fit().misfits().stream()
                        .map(m -> new Plumbed.MisfitDocument(
                                m.kind(),
                                MessageDocument.of(m.what()),
                                MessageDocument.of(m.why()),
                                MessageDocument.of(m.remedy())))
                        .toList(),
                mm(plan.fit().engagement()),
                mm(plan.fit().stack()),
                plan.fit().freeClock().isPresent()
                        ? (Double) round(Math.toDegrees(plan.fit().freeClock().getAsDouble()), 0)
                        : null);
    }

    private static List<BayDocument.BoxDocument> boxes(Ground g) {
        Bay all = g.bay()
                .with(List.of(CorePorts.box(
                        g.design().cooler().orElseThrow().core(),
                        g.question().design().cooler().placement().toCore())));
        return all.boxes().stream()
                .map(b -> new BayDocument.BoxDocument(
                        b.name(),
                        b.kind(),
                        mm(b.low().getX()),
                        mm(b.low().getY()),
                        mm(b.low().getZ()),
                        mm(b.high().getX() - b.low().getX()),
                        mm(b.high().getY() - b.low().getY()),
                        mm(b.high().getZ() - b.low().getZ())))
                .toList();
    }

    static double mm(double m) {
        return round(m * 1e3, 1);
    }

    private static Plumbed.Bill billed(BillLine b, List<String> have) {
        double perUnit = b.soldBy().map(m -> m.metric().toSi(1)).orElse(1.0);
        return new Plumbed.Bill(
                b.key(),
                b.group(),
                MessageDocument.of(b.what()),
                b.number(),
                round(b.quantity() / perUnit, 2),
                b.soldBy().orElse(null),
                round(b.each() * perUnit, 2),
                have.contains(b.key()));
    }
}
