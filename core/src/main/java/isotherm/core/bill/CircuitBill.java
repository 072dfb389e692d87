package isotherm.core.bill;

import isotherm.core.car.Work;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Sender;
import isotherm.core.plumb.Plumbing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the rest of the circuit buys: accessories with what joins them, senders, clamps, and what closes the coolant's hoses. */
final class CircuitBill {
    /** Barbs of a hose, each with its clamp. */
    private static final int BARBS = 2;

    private CircuitBill() {}

    static List<BillLine> of(Plumbing p, Work work) {
        List<BillLine> bill = new ArrayList<>();
        if (work == Work.WHOLE) {
            p.circuit().accessories().forEach(a -> accessory(p, a, bill));
            p.circuit().senders().forEach(s -> sender(p, s, bill));
        }
        if (work.hoses() && p.circuit().practice().clamped() && p.hose().family() == HoseType.Family.PUSH_ON) {
            bill.add(BillLine.pieces(
                    BillLine.Group.PARTS,
                    BillItem.BAND_CLAMP
                            .say("what")
                            .with("size", Measure.LENGTH, p.hose().outside()),
                    BARBS * (double) p.lines().size()));
        }
        p.circuit().coolant().ifPresent(c -> bill.addAll(exchangerOff(c)));
        return bill;
    }

    /** What closes the coolant's hoses where an exchanger was. */
    static List<BillLine> exchangerOff(Circuit.CoolantEnds c) {
        return List.of(
                c == Circuit.CoolantEnds.JOINED
                        ? BillLine.part(BillItem.COOLANT_HOSE.say("what"))
                        : BillLine.pieces(BillLine.Group.PARTS, BillItem.COOLANT_CAPS.say("what"), 2),
                BillLine.pieces(BillLine.Group.CONSUMABLES, BillItem.COOLANT.say("what"), 1));
    }

    private static void accessory(Plumbing p, Accessory a, List<BillLine> bill) {
        bill.add(BillLine.part(BillItem.ACCESSORY
                .say("what")
                .name("kind", a.kind().words())
                .with("volume", Measure.VOLUME, a.volume(), 1)));
        if (a.kind() == Accessory.Kind.ACCUMULATOR) {
            bill.add(BillLine.part(tee(p).choose("sender", false)));
        }
        if (a.kind() == Accessory.Kind.BYPASS_FILTER && a.detail().way() == Accessory.Way.BESIDE) {
            bill.add(BillLine.part(BillItem.RESTRICTOR
                    .say("what")
                    .with("hole", Measure.LENGTH, a.detail().restrictor(), 1)));
        }
        if (a.detail().checkValve()) {
            bill.add(BillLine.part(
                    BillItem.CHECK_VALVE.say("what").name("size", p.hose().dash())));
        }
        if (a.detail().hose() > 0) {
            bill.add(new BillLine(
                    BillLine.Group.PARTS,
                    BillItem.THIRD_HOSE
                            .say("what")
                            .name("size", p.hose().dash())
                            .name("kind", a.kind().words()),
                    p.hose().maker() + " " + p.hose().number(),
                    a.detail().hose(),
                    Optional.of(Measure.DISTANCE),
                    p.hose().pricePerMetre()));
            bill.add(BillLine.pieces(
                    BillLine.Group.PARTS,
                    BillItem.HOSE_END
                            .say("what")
                            .name("size", p.hose().dash())
                            .choose("straight", true)
                            .with("angle", Measure.ANGLE, 0, 0),
                    2));
        }
    }

    private static void sender(Plumbing p, Sender s, List<BillLine> bill) {
        bill.add(BillLine.part(BillItem.SENDER
                .say("what")
                .choose("senses", s.senses())
                .name("thread", s.end().words())));
        if (s.site() != Sender.Site.TAKEOFF || !p.takeoff().gaugePorts()) {
            bill.add(BillLine.part(tee(p).choose("sender", true)));
        }
        if (!s.fits()) {
            bill.add(BillLine.part(BillItem.SENDER_ADAPTOR
                    .say("what")
                    .name("from", Sender.GAUGE_PORT.counterpart().words())
                    .name("to", s.end().counterpart().words())));
        }
    }

    private static Message tee(Plumbing p) {
        return BillItem.TEE.say("what").name("size", p.hose().dash());
    }
}
