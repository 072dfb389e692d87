package isotherm.core.bill;

import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.nose.Placement;
import isotherm.core.plumb.Plumbing;
import isotherm.core.sheetmetal.FlatPattern;
import isotherm.core.sheetmetal.FoldedBracket;
import isotherm.core.sheetmetal.FoldedPanel;
import isotherm.core.sheetmetal.SheetWork;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What a design buys beside its plumbing: core, air, mounts, thermostat. */
public final class DesignBill {
    private DesignBill() {}

    /**
     * @param work what of the design is built
     * @param design a design with a cooler
     * @param placement where the core is; empty while that is not known
     * @param plan the plumbing; empty while it is not chosen
     * @param sleeved whether both hoses wear a heat sleeve
     * @param sheets brackets and panels, as they are folded
     * @param cores cores that can be bought
     * @return what is bought for it
     */
    public static List<BillLine> of(
            Work work,
            Design design,
            Optional<Placement> placement,
            Optional<Plumbing> plan,
            boolean sleeved,
            SheetWork sheets,
            List<CorePart> cores) {
        Design.Cooler c = design.cooler().orElseThrow();
        List<BillLine> bill = new ArrayList<>();
        if (work.core()) {
            bill.add(core(c.core(), cores));
        }
        c.loop()
                .thermostat()
                .filter(t -> work == Work.THERMOSTAT
                        || work == Work.WHOLE
                                && (t.site() == OilThermostat.Site.IN_LINE
                                        || plan.filter(p -> p.takeoff().thermostat())
                                                .isEmpty()))
                .ifPresent(t -> bill.add(BillLine.part(BillItem.THERMOSTAT
                        .say("what")
                        .choose("housing", t.site() == OilThermostat.Site.HOUSING)
                        .with("opens", Measure.TEMPERATURE, t.opensK()))));
        if (work.core()) {
            around(c, placement, sheets, bill);
        }
        if (work.hoses() && sleeved) {
            plan.filter(p -> p.lines().stream().allMatch(l -> l.cut().isPresent()))
                    .ifPresent(p -> bill.add(sleeve(p)));
        }
        return bill;
    }

    private static BillLine sleeve(Plumbing plan) {
        double length = plan.lines().stream()
                .mapToDouble(l -> l.cut().orElseThrow().free())
                .sum();
        return metres(
                BillLine.Group.PARTS,
                BillItem.HEAT_SLEEVE.say("what").name("size", plan.hose().dash()),
                Math.ceil(length * 2) / 2);
    }

    /** What holds the core and leads its air. */
    private static void around(Design.Cooler c, Optional<Placement> placement, SheetWork sheets, List<BillLine> bill) {
        c.airway()
                .fan()
                .ifPresent(f -> bill.add(BillLine.part(BillItem.FAN
                        .say("what")
                        .with("flow", Measure.AIR_FLOW, f.freeFlow())
                        .with("on", Measure.TEMPERATURE, f.onK())
                        .with("off", Measure.TEMPERATURE, f.offK()))));
        if (c.airway().mesh()) {
            bill.add(BillLine.part(BillItem.MESH.say("what")));
        }
        placement.ifPresent(p -> place(p, sheets.goodPanels().isEmpty(), bill));
        sheets.goodBrackets().forEach(b -> bill.add(bracket(b)));
        sheets.goodPanels().forEach(p -> bill.add(panel(p)));
    }

    private static void place(Placement p, boolean unfolded, List<BillLine> bill) {
        // Panels that are folded are on the bill themselves.
        if (p.shroud() && unfolded) {
            bill.add(BillLine.part(BillItem.SHROUD.say("what")));
        }
        if (p.skidPlate()) {
            bill.add(BillLine.part(BillItem.SKID_PLATE.say("what")));
        }
        mounts(p.mounts(), bill);
        if (p.foam()) {
            bill.add(metres(BillLine.Group.CONSUMABLES, BillItem.FOAM.say("what"), 2));
        }
    }

    private static void mounts(List<Placement.Mount> mounts, List<BillLine> bill) {
        for (Placement.Method method : Placement.Method.values()) {
            long n = mounts.stream().filter(m -> m.method() == method).count();
            if (n > 0) {
                bill.add(BillLine.pieces(
                        BillLine.Group.PARTS, BillItem.valueOf(method.name()).say("what"), n));
                if (method == Placement.Method.RIVET_NUT) {
                    bill.add(BillLine.pieces(BillLine.Group.TOOLS, BillItem.RIVET_TOOL.say("what"), 1));
                }
                if (method != Placement.Method.CLAMP) {
                    bill.add(BillLine.pieces(
                            BillLine.Group.CONSUMABLES,
                            (method == Placement.Method.BOLT ? BillItem.PAINT_AT_BOLTS : BillItem.PAINT_AT_RIVET_NUTS)
                                    .say("what"),
                            1));
                }
            }
        }
        long rubber = mounts.stream().filter(Placement.Mount::rubber).count();
        if (rubber > 0) {
            bill.add(BillLine.pieces(BillLine.Group.PARTS, BillItem.RUBBER_MOUNT.say("what"), rubber));
        }
    }

    private static BillLine bracket(FoldedBracket b) {
        FlatPattern p = b.flat().orElseThrow();
        return BillLine.part(BillItem.BRACKET
                .say("what")
                .name("mark", b.bracket().mark())
                .choose("sheet", b.bracket().sheet())
                .with("length", Measure.LENGTH, p.length())
                .with("width", Measure.LENGTH, p.width())
                .with("thickness", Measure.LENGTH, b.bracket().thickness(), 1));
    }

    private static BillLine panel(FoldedPanel p) {
        return BillLine.part(BillItem.PANEL
                .say("what")
                .name("mark", p.panel().mark())
                .choose("sheet", p.panel().sheet())
                .with("area", Measure.AREA, p.flat().orElseThrow().area())
                .with("thickness", Measure.LENGTH, p.panel().thickness(), 1));
    }

    private static BillLine core(Core core, List<CorePart> cores) {
        Optional<CorePart> found = cores.stream()
                .filter(p -> p.core().construction() == core.construction()
                        && p.core().rows() == core.rows()
                        && p.core().passes() == core.passes()
                        && Math.abs(p.core().width() - core.width()) < 1e-6
                        && Math.abs(p.core().depth() - core.depth()) < 1e-6)
                .min(Comparator.comparingDouble(CorePart::price));
        return new BillLine(
                BillLine.Group.PARTS,
                BillItem.CORE
                        .say("what")
                        .count("rows", core.rows())
                        .with("width", Measure.LENGTH, core.width())
                        .choose("construction", core.construction()),
                found.map(p -> p.maker() + " " + p.number()).orElse(""),
                1,
                Optional.empty(),
                found.map(CorePart::price).orElse(0.0));
    }

    private static BillLine metres(BillLine.Group group, Message what, double metres) {
        return new BillLine(group, what, "", metres, Optional.of(Measure.DISTANCE), 0);
    }
}
