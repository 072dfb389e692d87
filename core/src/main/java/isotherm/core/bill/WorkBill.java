package isotherm.core.bill;

import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.catalogue.CorePart;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.nose.Placement;
import isotherm.core.parts.Circuit;
import isotherm.core.plumb.Plumbing;
import isotherm.core.sheetmetal.SheetWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is bought for a kind of build.
 *
 * @param work what of the design is built
 * @param design the design; one with a cooler unless only an exchanger comes off
 * @param placement where the core is; empty while that is not known
 * @param plan the plumbing; empty while it is not chosen
 * @param sleeved whether both hoses wear a heat sleeve
 * @param sheets brackets and panels, as they are folded
 * @param coolant what becomes of the coolant's hoses of an exchanger that comes off; empty where the plumbing says it, or none
 *     does
 */
public record WorkBill(
        Work work,
        Design design,
        Optional<Placement> placement,
        Optional<Plumbing> plan,
        boolean sleeved,
        SheetWork sheets,
        Optional<Circuit.CoolantEnds> coolant) {

    /**
     * @param cores cores that can be bought
     * @param addedOil oil that cooler, hoses and accessories take, m³
     * @param oilChange oil of an ordinary change, m³
     * @return the bill: parts, consumables, tools
     */
    public List<BillLine> lines(List<CorePart> cores, double addedOil, double oilChange) {
        List<BillLine> bill = new ArrayList<>();
        if (work.cooled()) {
            bill.addAll(DesignBill.of(work, design, placement, plan, sleeved, sheets, cores));
        }
        if (work.cooled() && plan.isPresent()) {
            bill.addAll(new BillOfMaterials(plan.get(), work).lines(addedOil, oilChange));
            return List.copyOf(bill);
        }
        if (work == Work.EXCHANGER) {
            bill.add(BillLine.part(BillItem.EXCHANGER_SEAT.say("what")));
        }
        coolant.ifPresent(c -> bill.addAll(CircuitBill.exchangerOff(c)));
        Message oil = work.cooled()
                ? BillItem.ENGINE_OIL.say("what").with("added", Measure.VOLUME, addedOil)
                : BillItem.ENGINE_OIL_CHANGE.say("what");
        bill.add(new BillLine(
                BillLine.Group.CONSUMABLES,
                oil,
                "",
                Math.ceil((addedOil + oilChange) * 1e3 * 2) / 2 * 1e-3,
                Optional.of(Measure.VOLUME),
                0));
        if (!work.hoses() && work != Work.CORE || work.takeoff()) {
            bill.add(BillLine.pieces(BillLine.Group.CONSUMABLES, BillItem.OIL_FILTER.say("what"), 1));
        }
        bill.add(BillLine.pieces(BillLine.Group.CONSUMABLES, BillItem.SUNDRIES.say("what"), 1));
        bill.add(BillLine.pieces(
                BillLine.Group.TOOLS,
                BillItem.SAFETY_TOOLS.say("what").with("torque", Measure.TORQUE, BillOfMaterials.TORQUE_WRENCH),
                1));
        return List.copyOf(bill);
    }
}
