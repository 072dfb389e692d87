package isotherm.core.bill;

import isotherm.core.car.Work;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Tightening;
import isotherm.core.plumb.Plumbing;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is bought for a plumbing.
 *
 * @param p the plumbing
 * @param work what of it is built: the rest is on the car
 */
public record BillOfMaterials(Plumbing p, Work work) {
    /** Separators hold a pair this often, m (default). */
    private static final double SEPARATOR_SPACING = 0.20;
    /** No joint of the loop is tightened harder than this, N·m (default). */
    static final double TORQUE_WRENCH = 40;
    /** A kit made to fit costs so much more than the same parts loose (default, an estimate). */
    private static final double KIT_FACTOR = 1.5;

    /**
     * @param addedOil oil that cooler, hoses and accessories take, m³
     * @param oilChange oil of an ordinary change, m³
     * @return the bill: parts, consumables, tools
     */
    public List<BillLine> lines(double addedOil, double oilChange) {
        Map<String, BillLine> bill = new LinkedHashMap<>();
        if (work.takeoff()) {
            put(
                    bill,
                    part(
                            BillItem.TAKEOFF
                                    .say("what")
                                    .name("kind", p.takeoff().kind().words()),
                            p.takeoff().maker() + " " + p.takeoff().number(),
                            1,
                            p.takeoff().price()));
        }
        for (Line l : p.lines()) {
            if (work.hoses()) {
                l.fromChain().ifPresent(c -> adaptors(bill, c));
            }
            if (work.coreJoints()) {
                l.toChain().ifPresent(c -> adaptors(bill, c));
            }
            if (work.hoses()) {
                ends(bill, l);
            }
        }
        if (work.hoses() && p.hose().family().cuttable()) {
            put(
                    bill,
                    new BillLine(
                            BillLine.Group.PARTS,
                            BillItem.HOSE
                                    .say("what")
                                    .name("size", p.hose().dash())
                                    .name("family", p.hose().family().words()),
                            p.hose().maker() + " " + p.hose().number(),
                            p.hoseToBuy(),
                            Optional.of(Measure.DISTANCE),
                            p.hose().pricePerMetre()));
        }
        CircuitBill.of(p, work).forEach(line -> put(bill, line));
        if (work.hoses()) {
            clips(bill);
        }
        consumables(bill, addedOil, oilChange);
        tools(bill);
        return List.copyOf(bill.values());
    }

    private void ends(Map<String, BillLine> bill, Line l) {
        Stream.of(l.fromEnd(), l.toEnd())
                .flatMap(Optional::stream)
                .forEach(e -> put(
                        bill,
                        part(
                                BillItem.HOSE_END
                                        .say("what")
                                        .name("size", e.dash())
                                        .choose("straight", e.angle() == 0)
                                        .with("angle", Measure.ANGLE, e.angle(), 0),
                                e.maker() + " " + e.number(),
                                1,
                                e.price())));
        if (!p.hose().family().cuttable()) {
            l.cut()
                    .flatMap(c -> box(c.standard()))
                    .ifPresent(s -> put(
                            bill,
                            part(
                                    BillItem.MADE_UP_LINE
                                            .say("what")
                                            .name("size", p.hose().dash())
                                            .with("length", Measure.LENGTH, s),
                                    p.hose().maker() + " " + p.hose().number() + "-" + Math.round(s * 1e3),
                                    1,
                                    s * p.hose().pricePerMetre())));
        }
    }

    private static Optional<Double> box(java.util.OptionalDouble d) {
        return d.isPresent() ? Optional.of(d.getAsDouble()) : Optional.empty();
    }

    private void clips(Map<String, BillLine> bill) {
        int clips = p.lines().stream()
                .flatMap(l -> l.cut().stream())
                .mapToInt(c -> c.clips().size())
                .sum();
        Message clip = BillItem.P_CLIP
                .say("what")
                .with("size", Measure.LENGTH, p.hose().outside());
        put(bill, part(clip, "", clips, 1.5));
        if (p.paired() > SEPARATOR_SPACING) {
            put(
                    bill,
                    part(
                            BillItem.SEPARATOR.say("what").name("size", p.hose().dash()),
                            "",
                            Math.floor(p.paired() / SEPARATOR_SPACING),
                            4));
        }
    }

    private void consumables(Map<String, BillLine> bill, double addedOil, double oilChange) {
        double litres = Math.ceil((addedOil + oilChange) * 1e3 * 2) / 2;
        put(
                bill,
                new BillLine(
                        BillLine.Group.CONSUMABLES,
                        BillItem.ENGINE_OIL.say("what").with("added", Measure.VOLUME, addedOil),
                        "",
                        litres * 1e-3,
                        Optional.of(Measure.VOLUME),
                        0));
        put(bill, used(BillItem.OIL_FILTER.say("what"), filter() ? 1 : 0));
        for (FittingChain.Pair joint :
                p.made(work).stream().map(MadeJoint::pair).toList()) {
            switch (joint.one().joint()) {
                case TAPER -> put(bill, used(BillItem.TAPE.say("what"), 1));
                case BSPP, METRIC ->
                    put(
                            bill,
                            used(
                                    (p.circuit().practice().washer() == Practice.Washer.COPPER
                                                    ? BillItem.COPPER_WASHER
                                                    : BillItem.BONDED_WASHER)
                                            .say("what")
                                            .name("size", joint.one().size()),
                                    1));
                case BANJO ->
                    put(
                            bill,
                            used(
                                    BillItem.COPPER_WASHER
                                            .say("what")
                                            .name("size", joint.one().size()),
                                    2));
                case O_RING_BOSS ->
                    put(
                            bill,
                            used(
                                    BillItem.O_RING
                                            .say("what")
                                            .name("size", joint.one().size()),
                                    1));
                default -> {
                    // A cone and a barb need nothing but oil.
                }
            }
        }
        put(bill, used(BillItem.SUNDRIES.say("what"), 1));
    }

    /** Whether the filter comes off: takeoff and thermostat sit under it. */
    private boolean filter() {
        return (work.takeoff() || work == Work.THERMOSTAT) && p.takeoff().kind().underFilter();
    }

    private void tools(Map<String, BillLine> bill) {
        p.made(work).stream()
                .map(j -> j.tightening().wrench())
                .filter(w -> w > 0)
                .distinct()
                .sorted()
                .forEach(w -> put(
                        bill,
                        tool(BillItem.WRENCHES
                                .say("what")
                                .with("width", Measure.LENGTH, w, 1)
                                .name("inches", inches(w)))));
        if (work.hoses()) {
            put(
                    bill,
                    tool(BillItem.HOSE_TOOLS
                            .say("what")
                            .choose("family", p.hose().family())));
        }
        put(bill, tool(BillItem.SAFETY_TOOLS.say("what").with("torque", Measure.TORQUE, torqueWrench())));
    }

    /** To what a torque wrench has to reach: ours, or what the makers ask for. */
    private double torqueWrench() {
        return p.made(work).stream()
                .flatMap(j -> j.tightening().torque().stream())
                .mapToDouble(Tightening.Range::high)
                .reduce(TORQUE_WRENCH, Math::max);
    }

    private static String inches(double m) {
        long sixteenths = Math.round(m / 25.4e-3 * 16);
        long whole = sixteenths / 16;
        long rest = sixteenths % 16;
        long bottom = 16;
        while (rest > 0 && rest % 2 == 0) {
            rest /= 2;
            bottom /= 2;
        }
        return (whole > 0 ? Long.toString(whole) : "") + (rest > 0 ? (whole > 0 ? " " : "") + rest + "/" + bottom : "");
    }

    private static void adaptors(Map<String, BillLine> bill, FittingChain chain) {
        chain.steps()
                .forEach(s -> put(
                        bill,
                        part(
                                BillItem.ADAPTOR
                                        .say("what")
                                        .name("ends", s.adaptor().words()),
                                s.adaptor().maker() + " " + s.adaptor().number(),
                                1,
                                s.adaptor().price())));
    }

    private static BillLine part(Message what, String number, double quantity, double each) {
        return new BillLine(BillLine.Group.PARTS, what, number, quantity, Optional.empty(), each);
    }

    private static BillLine used(Message what, double quantity) {
        return BillLine.pieces(BillLine.Group.CONSUMABLES, what, quantity);
    }

    private static BillLine tool(Message what) {
        return BillLine.pieces(BillLine.Group.TOOLS, what, 1);
    }

    /** The same thing twice is one line with twice the quantity; nothing of a thing is no line. */
    private static void put(Map<String, BillLine> bill, BillLine line) {
        if (line.quantity() > 0) {
            bill.merge(line.group() + line.what().toString() + line.number(), line, BillLine::and);
        }
    }

    /**
     * Kit against loose parts.
     *
     * @param loosePrice price of the loose parts, in the garage's currency
     * @param kitPrice price of a kit made to fit, an estimate
     * @param looseHours hours to make and fit loose parts, an estimate
     * @param kitHours hours to fit the kit, an estimate
     */
    public record KitOrLoose(double loosePrice, double kitPrice, double looseHours, double kitHours) {}

    /**
     * @param bill the bill
     * @return the two ways of buying it
     */
    public KitOrLoose kitOrLoose(List<BillLine> bill) {
        double price = bill.stream()
                .filter(b -> b.group() == BillLine.Group.PARTS)
                .mapToDouble(BillLine::price)
                .sum();
        long ends = p.lines().stream()
                .flatMap(l -> Stream.of(l.fromEnd(), l.toEnd()))
                .filter(Optional::isPresent)
                .count();
        // A hose end takes about half an hour with its trial fit, routing and offering up another three.
        double made = work.hoses() ? (p.hose().family().cuttable() ? 0.5 * ends : 0) + 3 : 0;
        return new KitOrLoose(price, price * KIT_FACTOR, 3 + made, 3);
    }
}
