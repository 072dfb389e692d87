package isotherm.core.plumb;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is bought for a plumbing.
 *
 * @param p the plumbing
 */
public record BillOfMaterials(Plumbing p) {
    /** Separators hold a pair this often, m (default). */
    private static final double SEPARATOR_SPACING = 0.20;
    /** A kit made to fit costs so much more than the same parts loose (default, an estimate). */
    private static final double KIT_FACTOR = 1.5;

    /**
     * @param addedOil oil that cooler, hoses and p.accessories() take, m³
     * @param oilChange oil of an ordinary change, m³
     * @return the bill: parts, consumables, tools
     */
    public List<BillLine> lines(double addedOil, double oilChange) {
        Map<String, BillLine> bill = new LinkedHashMap<>();
        put(
                bill,
                part(
                        p.takeoff().kind().words(),
                        p.takeoff().maker() + " " + p.takeoff().number(),
                        1,
                        p.takeoff().price()));
        for (Line l : p.lines()) {
            l.fromChain().ifPresent(c -> adaptors(bill, c));
            l.toChain().ifPresent(c -> adaptors(bill, c));
            Stream.of(l.fromEnd(), l.toEnd())
                    .flatMap(Optional::stream)
                    .forEach(e -> put(
                            bill,
                            part(
                                    "hose end " + e.dash() + ", "
                                            + (e.angle() == 0
                                                    ? "straight"
                                                    : Math.round(Math.toDegrees(e.angle())) + "°"),
                                    e.maker() + " " + e.number(),
                                    1,
                                    e.price())));
            if (!p.hose().family().cuttable()) {
                l.cut()
                        .flatMap(c -> box(c.standard()))
                        .ifPresent(s -> put(
                                bill,
                                part(
                                        String.format(
                                                Locale.ROOT,
                                                "made-up line %s, %.0f mm",
                                                p.hose().dash(),
                                                s * 1e3),
                                        p.hose().maker() + " " + p.hose().number() + "-" + Math.round(s * 1e3),
                                        1,
                                        s * p.hose().pricePerMetre())));
            }
        }
        if (p.hose().family().cuttable()) {
            put(
                    bill,
                    new BillLine(
                            BillLine.Group.PARTS,
                            "hose " + p.hose().dash() + ", " + p.hose().family().words(),
                            p.hose().maker() + " " + p.hose().number(),
                            p.hoseToBuy(),
                            "m",
                            p.hose().pricePerMetre()));
        }
        p.accessories()
                .forEach(a -> put(
                        bill,
                        part(String.format(Locale.ROOT, "%s, %.1f L", a.kind().words(), a.volume() * 1e3), "", 1, 0)));
        clips(bill);
        consumables(bill, addedOil, oilChange);
        tools(bill);
        return List.copyOf(bill.values());
    }

    private static Optional<Double> box(java.util.OptionalDouble d) {
        return d.isPresent() ? Optional.of(d.getAsDouble()) : Optional.empty();
    }

    private void clips(Map<String, BillLine> bill) {
        int clips = p.lines().stream()
                .flatMap(l -> l.cut().stream())
                .mapToInt(c -> c.clips().size())
                .sum();
        String size = String.format(
                Locale.ROOT, "P-clip with rubber, %.0f mm", p.hose().outside() * 1e3);
        put(bill, part(size, "", clips, 1.5));
        if (p.paired() > SEPARATOR_SPACING) {
            put(bill, part("hose separator " + p.hose().dash(), "", Math.floor(p.paired() / SEPARATOR_SPACING), 4));
        }
    }

    private void consumables(Map<String, BillLine> bill, double addedOil, double oilChange) {
        double litres = Math.ceil((addedOil + oilChange) * 1e3 * 2) / 2;
        put(
                bill,
                used(
                        String.format(Locale.ROOT, "engine oil, %.2f L of it added by the cooler", addedOil * 1e3),
                        litres,
                        "L"));
        put(bill, used("oil filter as the engine needs it", p.takeoff().kind().underFilter() ? 1 : 0, "pcs"));
        for (FittingChain.Pair joint : p.joints()) {
            switch (joint.one().joint()) {
                case TAPER -> put(bill, used("PTFE tape for taper threads", 1, "pcs"));
                case BSPP, METRIC ->
                    put(bill, used("bonded washer " + joint.one().size(), 1, "pcs"));
                case BANJO -> put(bill, used("copper washer " + joint.one().size(), 2, "pcs"));
                case O_RING_BOSS -> put(bill, used("O-ring " + joint.one().size() + ", spare", 1, "pcs"));
                default -> {
                    // A cone and a barb need nothing but oil.
                }
            }
        }
        put(bill, used("assembly oil, caps for open ports, rags, a drip tray", 1, "pcs"));
    }

    private void tools(Map<String, BillLine> bill) {
        p.joints().stream()
                .map(j -> Tightening.of(j.one()).wrench())
                .filter(w -> w > 0)
                .distinct()
                .sorted()
                .forEach(w -> put(
                        bill,
                        new BillLine(
                                BillLine.Group.TOOLS,
                                String.format(
                                        Locale.ROOT,
                                        "two open wrenches %.1f mm (%s in), smooth jaws",
                                        w * 1e3,
                                        inches(w)),
                                "",
                                1,
                                "pcs",
                                0)));
        put(bill, tool(p.hose().family().tools()));
        put(bill, tool("torque wrench to 40 N·m, stands or a lift, eye protection, gloves"));
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
                                "adaptor " + s.adaptor().words(),
                                s.adaptor().maker() + " " + s.adaptor().number(),
                                1,
                                s.adaptor().price())));
    }

    private static BillLine part(String what, String number, double quantity, double each) {
        return new BillLine(BillLine.Group.PARTS, what, number, quantity, "pcs", each);
    }

    private static BillLine used(String what, double quantity, String unit) {
        return new BillLine(BillLine.Group.CONSUMABLES, what, "", quantity, unit, 0);
    }

    private static BillLine tool(String what) {
        return new BillLine(BillLine.Group.TOOLS, what, "", 1, "pcs", 0);
    }

    /** The same thing twice is one line with twice the quantity; nothing of a thing is no line. */
    private static void put(Map<String, BillLine> bill, BillLine line) {
        if (line.quantity() > 0) {
            bill.merge(line.group() + line.what() + line.number(), line, BillLine::and);
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
        // A p.hose() end takes about half an hour with its trial fit, routing and offering up another three.
        double made = (p.hose().family().cuttable() ? 0.5 * ends : 0) + 3;
        return new KitOrLoose(price, price * KIT_FACTOR, 3 + made, 3);
    }
}
