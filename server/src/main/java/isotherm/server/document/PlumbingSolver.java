package isotherm.server.document;

import static isotherm.server.document.Solver.celsius;
import static isotherm.server.document.Solver.round;

import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.plumb.BillLine;
import isotherm.core.plumb.CorePorts;
import isotherm.core.plumb.CutList;
import isotherm.core.plumb.CutOrder;
import isotherm.core.plumb.End;
import isotherm.core.plumb.FittingChain;
import isotherm.core.plumb.HoseEnd;
import isotherm.core.plumb.HoseType;
import isotherm.core.plumb.Line;
import isotherm.core.plumb.Parts;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.PlumbingNotes;
import isotherm.core.plumb.Takeoff;
import isotherm.core.plumb.Tightening;
import isotherm.core.route.Bay;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** From a choice between engine and core to what it comes to, the same for HTTP and for {@code solve}. */
public final class PlumbingSolver {
    /** Distance of the points of a centre line that is drawn, m. */
    private static final double DRAWN = 10e-3;
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
        Plumbing plan(Plumbing.Choice with, boolean explain) {
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
                ground.design(), q.design().cooler(), plan, ground.choice().sleeved(), cores));
        bill.addAll(plan.bill(
                figures.map(f -> f.addedOilL() * 1e-3).orElse(0.0), q.car().oilVolumeL() * 1e-3));
        Plumbing.KitOrLoose kit = plan.kitOrLoose(bill);
        List<String> have = q.design().plumbing().have();
        return new Plumbed(
                fit(plan),
                plan.lines().stream().map(l -> line(l, plan, ground)).toList(),
                boxes(ground),
                mm(plan.paired()),
                round(plan.hose().family().cuttable() ? plan.hoseToBuy() : 0, 2),
                round(plan.hose().family().cuttable() ? plan.offcut() : 0, 3),
                loop(plan).orElse(null),
                figures.orElse(null),
                Boolean.TRUE.equals(q.sizes()) ? sizes(ground, plan) : List.of(),
                bill.stream()
                        .map(b -> new Plumbed.Bill(
                                b.key(),
                                b.group(),
                                b.what(),
                                b.number(),
                                round(b.quantity(), 2),
                                b.unit(),
                                round(b.each(), 2),
                                have.contains(b.key())))
                        .toList(),
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
    record Planned(Plumbing plumbing, Optional<Design> piped) {}

    /**
     * @param q a car, a duty and a design
     * @param parts what can be bought between engine and core
     * @return what is to be put together
     * @throws InvalidDocument when the takeoff or the hose is not in the catalogue
     */
    static Planned plan(Plumbed.PlumbQuestion q, Parts parts) {
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
                new CoolerLoop(feed.get(), back.get(), plan.heads(), c.loop().thermostat(), plan.extraVolume());
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
                round(plan.kitOrLoose(plan.bill(check.loopVolume(), 0)).loosePrice(), 2));
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
        double price = round(plan.kitOrLoose(plan.bill(0, 0)).loosePrice(), 2);
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

    private static Plumbed.PlumbedLine line(Line l, Plumbing plan, Ground g) {
        return new Plumbed.PlumbedLine(
                l.name(),
                l.found(),
                l.inTheWay(),
                PlumbingDocument.PointDocument.of(l.from().at()),
                PlumbingDocument.PointDocument.of(l.to().at()),
                chain(l, plan),
                joints(l),
                alternatives(l, plan, g),
                l.path().map(p -> points(p.corners())).orElse(List.of()),
                l.path().map(p -> points(p.points(DRAWN))).orElse(List.of()),
                l.path()
                        .map(p -> p.leastRadius())
                        .filter(Double::isFinite)
                        .map(PlumbingSolver::mm)
                        .orElse(null),
                l.troubles().stream()
                        .map(t -> new Plumbed.TroubleDocument(
                                PlumbingDocument.PointDocument.of(t.at()),
                                t.what(),
                                t.kind().orElse(null),
                                mm(t.missing())))
                        .toList(),
                plan.passages(g.bay()).stream()
                        .filter(p -> p.line().equals(l))
                        .map(p -> new Plumbed.PassageDocument(p.hole().name(), p.endPasses()))
                        .toList(),
                l.cut().map(c -> cut(l, c, plan.hose())).orElse(null));
    }

    private static List<PlumbingDocument.PointDocument> points(List<Vector3D> points) {
        return points.stream().map(PlumbingDocument.PointDocument::of).toList();
    }

    private static List<Plumbed.ChainPart> chain(Line l, Plumbing plan) {
        List<Plumbed.ChainPart> chain = new ArrayList<>();
        chain.add(new Plumbed.ChainPart(l.from().name(), "", "", l.from().end().words()));
        l.fromChain().ifPresent(c -> c.steps().forEach(s -> chain.add(adaptor(s))));
        l.fromEnd().ifPresent(e -> chain.add(end(e, true)));
        chain.add(new Plumbed.ChainPart(
                "hose " + plan.hose().dash(),
                plan.hose().maker() + " " + plan.hose().number(),
                "",
                ""));
        l.toEnd().ifPresent(e -> chain.add(end(e, false)));
        l.toChain().ifPresent(c -> c.steps().forEach(s -> chain.add(adaptor(s))));
        chain.add(new Plumbed.ChainPart(l.to().name(), "", l.to().end().words(), ""));
        return chain;
    }

    private static Plumbed.ChainPart adaptor(FittingChain.Step s) {
        return new Plumbed.ChainPart(
                "adaptor",
                s.adaptor().maker() + " " + s.adaptor().number(),
                s.in().words(),
                s.out().words());
    }

    private static Plumbed.ChainPart end(HoseEnd e, boolean first) {
        String angle = e.angle() == 0 ? "straight" : Math.round(Math.toDegrees(e.angle())) + "°";
        return new Plumbed.ChainPart(
                "hose end, " + angle,
                e.maker() + " " + e.number(),
                first ? e.end().words() : "",
                first ? "" : e.end().words());
    }

    private static List<Plumbed.JointDocument> joints(Line l) {
        List<Plumbed.JointDocument> joints = new ArrayList<>();
        if (l.fromEnd().isPresent() && l.toEnd().isPresent()) {
            l.fromChain()
                    .ifPresent(c -> add(
                            joints,
                            l.from().name(),
                            c,
                            c.joints(l.from().end(), l.fromEnd().get().end()),
                            "hose end"));
            l.toChain()
                    .ifPresent(c ->
                            add(joints, "hose end", c, c.joints(l.toEnd().get().end(), l.to().end()), l.to().name()));
        } else {
            Stream.of(l.from(), l.to())
                    .filter(p -> (p == l.from() ? l.fromChain() : l.toChain()).isEmpty())
                    .forEach(p -> joints.add(untight(p)));
        }
        return joints;
    }

    private static Plumbed.JointDocument untight(Line.Port port) {
        return new Plumbed.JointDocument(
                port.name() + " and hose end",
                port.end().words(),
                false,
                "no adaptors of the catalogue lead from " + port.end().words() + " to this hose",
                "",
                "",
                null,
                null,
                null,
                "",
                "");
    }

    private static void add(
            List<Plumbed.JointDocument> joints,
            String first,
            FittingChain chain,
            List<FittingChain.Pair> pairs,
            String last) {
        for (int i = 0; i < pairs.size(); i++) {
            String before = i == 0
                    ? first
                    : "adaptor " + chain.steps().get(i - 1).adaptor().number();
            String after = i == pairs.size() - 1
                    ? last
                    : "adaptor " + chain.steps().get(i).adaptor().number();
            joints.add(joint(before + " and " + after, pairs.get(i)));
        }
    }

    private static Plumbed.JointDocument joint(String between, FittingChain.Pair pair) {
        End end = pair.one();
        Tightening t = Tightening.of(end);
        return new Plumbed.JointDocument(
                between,
                end.size() + " " + end.joint().words(),
                pair.tight(),
                pair.tight() ? null : end.whyNot(pair.other()),
                end.joint().seal(),
                end.joint().onThread(),
                t.wrench() > 0 ? (Double) round(t.wrench() * 1e3, 1) : null,
                t.torque().map(r -> round(r.low(), 0)).orElse(null),
                t.torque().map(r -> round(r.high(), 0)).orElse(null),
                turn(t),
                t.source());
    }

    private static String turn(Tightening t) {
        if (t.mostTurn() == 0) {
            return "";
        }
        double low = t.leastTurn() / (2 * Math.PI);
        double high = t.mostTurn() / (2 * Math.PI);
        return low < 1
                ? "an eighth to a quarter turn past finger tight"
                : String.format(Locale.ROOT, "%.0f to %.0f turns past finger tight", low, high);
    }

    private static List<Plumbed.Alternative> alternatives(Line l, Plumbing plan, Ground g) {
        List<Plumbed.Alternative> all = new ArrayList<>();
        g.parts().endsFor(plan.hose()).stream().findFirst().ifPresent(e -> {
            for (FittingChain.Wish wish : FittingChain.Wish.values()) {
                double bore = plan.hose().bore();
                FittingChain.find(g.parts().adaptors(), l.from().end(), e.end(), wish, bore)
                        .ifPresent(c -> all.add(alternative(l.from().name(), wish, c, bore)));
                FittingChain.find(g.parts().adaptors(), e.end(), l.to().end(), wish, bore)
                        .ifPresent(c -> all.add(alternative(l.to().name(), wish, c, bore)));
            }
        });
        return all;
    }

    private static Plumbed.Alternative alternative(
            String end, FittingChain.Wish wish, FittingChain chain, double bore) {
        String words = String.join(
                ", then ", chain.steps().stream().map(s -> s.adaptor().number()).toList());
        return new Plumbed.Alternative(
                end,
                wish,
                words.isEmpty() ? "none: they mate by themselves" : words,
                round(chain.price(), 2),
                round(chain.heads(bore), 2),
                chain.steps().size() + 1);
    }

    private static Plumbed.Cut cut(Line l, CutList c, HoseType hose) {
        return new Plumbed.Cut(
                mm(c.centreLine()),
                mm(c.deductionFrom()),
                mm(c.deductionTo()),
                mm(c.insertionFrom()),
                mm(c.insertionTo()),
                mm(c.slack()),
                mm(c.cut()),
                mm(c.tolerance()),
                c.standard().isPresent() ? (Double) mm(c.standard().getAsDouble()) : null,
                c.twist().isPresent() ? (Double) round(Math.toDegrees(c.twist().getAsDouble()), 0) : null,
                c.clips().stream().map(PlumbingSolver::mm).toList(),
                l.fromEnd().map(PlumbingSolver::words).orElse(""),
                l.toEnd().map(PlumbingSolver::words).orElse(""),
                MessageDocument.all(CutOrder.of(c, hose)));
    }

    private static String words(HoseEnd e) {
        return e.number() + (e.angle() == 0 ? ", straight" : ", " + Math.round(Math.toDegrees(e.angle())) + "°");
    }

    private static double mm(double m) {
        return round(m * 1e3, 1);
    }
}
