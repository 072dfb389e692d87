package isotherm.server.plumbing;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.bill.BillLine;
import isotherm.core.bill.BillOfMaterials;
import isotherm.core.bill.WorkBill;
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
import isotherm.core.plumb.Level;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.PlumbingNotes;
import isotherm.core.route.Bay;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Simulator;
import isotherm.core.takeoff.TakeoffFit;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.MessageDocument;
import isotherm.server.garage.BayDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PlacementDocument;
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
    /** The sizes that are held side by side. */
    private static final List<String> SIZES = List.of("-8", "-10", "-12");

    private PlumbingSolver() {}

    /**
     * @param q a car, a duty and a design
     * @param parts what can be bought between engine and core
     * @param cores what cores can be bought
     * @param left asked now and then whether nobody waits for the answer any more
     * @return what the plumbing comes to
     * @throws InvalidDocument when the takeoff or the hose is not in the catalogue
     * @throws CancellationException when nobody waits any more
     */
    public static Plumbed plumb(PlumbQuestion q, Parts parts, List<CorePart> cores, BooleanSupplier left) {
        PlumbingGround ground = PlumbingGround.of(q, parts, left);
        Plumbing plan = ground.plan(ground.choice(), true);
        Optional<Design> piped = piped(ground, plan);
        Optional<Plumbed.PlumbFigures> figures = piped.map(d -> figures(ground, d, plan));
        List<BillLine> bill = bill(q.car(), q.design(), Optional.of(plan))
                .lines(
                        cores,
                        figures.map(f -> f.addedOilL() * 1e-3).orElse(0.0),
                        q.car().oilVolumeL() * 1e-3);
        BillOfMaterials.KitOrLoose kit = new BillOfMaterials(plan, q.design().built()).kitOrLoose(bill);
        List<String> have = q.design().plumbing().have();
        return new Plumbed(
                plan.level(),
                plan.fit().map(PlumbingSolver::fit).orElse(null),
                plan.lines().stream()
                        .map(l -> LineWriter.line(l, plan, ground.bay(), ground.parts()))
                        .toList(),
                boxes(ground, plan.level()),
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
     * @param car a car
     * @param design a design of it
     * @param plan its plumbing; empty while it is not chosen
     * @return what is bought for what of it is built
     */
    public static WorkBill bill(CarDocument car, DesignDocument design, Optional<Plumbing> plan) {
        Optional<PlacementDocument> placed =
                Optional.ofNullable(design.cooler()).map(DesignDocument.CoolerDocument::placement);
        return new WorkBill(
                design.built(),
                design.toCore(car),
                placed.map(PlacementDocument::toCore),
                plan,
                design.plumbing() != null
                        && Boolean.TRUE.equals(design.plumbing().sleeved()),
                Brackets.folded(car, design),
                design.exchangerEnds());
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
    public static Planned plan(PlumbQuestion q, Parts parts) {
        PlumbingGround ground = PlumbingGround.of(q, parts, () -> false);
        Plumbing plan = ground.plan(ground.choice(), false);
        return new Planned(plan, piped(ground, plan));
    }

    /** The design with hoses as they have been routed. */
    private static Optional<Design> piped(PlumbingGround g, Plumbing plan) {
        Optional<Hose> feed = plan.hose(plan.feed());
        Optional<Hose> back = plan.hose(plan.back());
        if (feed.isEmpty() || back.isEmpty()) {
            return Optional.empty();
        }
        Design.Cooler c = g.design().cooler().orElseThrow();
        CoolerLoop loop = new CoolerLoop(
                feed.get(),
                back.get(),
                plan.heads(),
                c.loop().thermostat(),
                plan.extraVolume(),
                c.loop().bypass(),
                c.loop().upstream());
        return Optional.of(
                g.design().withCooler(Optional.of(new Design.Cooler(c.core(), c.airway(), loop, c.efficacy()))));
    }

    private static Optional<Plumbed.Loop> loop(Plumbing plan) {
        return plan.hose(plan.feed()).flatMap(feed -> plan.hose(plan.back())
                .map(back -> new Plumbed.Loop(
                        hose(feed), hose(back), round(plan.heads(), 2), round(plan.extraVolume() * 1e3, 3))));
    }

    private static DesignDocument.HoseDocument hose(Hose h) {
        return new DesignDocument.HoseDocument(round(h.bore() * 1e3, 2), round(h.length(), 3), round(h.elbows90(), 2));
    }

    private static double peakK(PlumbingGround g, Design design) {
        return Arrays.stream(Simulator.run(g.car(), g.question().duty().toCore(), design)
                        .oil())
                .max()
                .orElseThrow();
    }

    private static OilCircuit.Point hotTop(PlumbingGround g, Design design, double hotK) {
        Design.Cooler c = design.cooler().orElseThrow();
        double lift = c.loop().thermostat().map(t -> t.liftWarming(hotK)).orElse(1.0);
        return new OilCircuit(g.car().oil(), g.car().pump(), g.car().gauge())
                .with(design.oil().orElse(g.car().oil()))
                .at(g.car().engine().maxRpm(), hotK, Optional.of(c.loop()), Optional.of(new CoreModel(c.core())), lift);
    }

    private static Plumbed.PlumbFigures figures(PlumbingGround g, Design design, Plumbing plan) {
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
                loosePrice(g, plan, check.loopVolume()));
    }

    /** Price of what is bought loose of the loop's own parts, with so much oil (m³). */
    private static double loosePrice(PlumbingGround g, Plumbing plan, double addedOil) {
        BillOfMaterials bill = new BillOfMaterials(plan, g.question().design().built());
        return round(bill.kitOrLoose(bill.lines(addedOil, 0)).loosePrice(), 2);
    }

    private static List<Plumbed.Size> sizes(PlumbingGround g, Plumbing chosen) {
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

    private static Plumbed.Size size(PlumbingGround g, HoseType hose, boolean chosen, Plumbing plan) {
        Optional<Design> piped = piped(g, plan);
        boolean found = plan.lines().stream().allMatch(Line::found);
        double price = loosePrice(g, plan, 0);
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

    private static Plumbed.Fit fit(TakeoffFit fit) {
        return new Plumbed.Fit(
                fit.misfits().stream()
                        .map(m -> new Plumbed.MisfitDocument(
                                m.kind(),
                                MessageDocument.of(m.what()),
                                MessageDocument.of(m.why()),
                                MessageDocument.of(m.remedy())))
                        .toList(),
                mm(fit.engagement()),
                mm(fit.stack()),
                fit.arcs().stream()
                        .map(a -> new Plumbed.ArcDocument(a.gives(), round(Math.toDegrees(a.arc()), 0), a.reachable()))
                        .toList(),
                fit.freeClock().isPresent()
                        ? (Double) round(Math.toDegrees(fit.freeClock().getAsDouble()), 0)
                        : null);
    }

    private static List<BayDocument.BoxDocument> boxes(PlumbingGround g, Level level) {
        if (level != Level.BAY) {
            return List.of();
        }
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
                round(b.sold(), 2),
                b.soldBy().orElse(null),
                round(b.each() * perUnit, 2),
                have.contains(b.key()));
    }
}
