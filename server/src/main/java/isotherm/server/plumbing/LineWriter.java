package isotherm.server.plumbing;

import static isotherm.server.contract.Rounding.round;

import isotherm.core.line.CutList;
import isotherm.core.line.CutOrder;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Tightening;
import isotherm.core.plumb.Plumbing;
import isotherm.core.route.Bay;
import isotherm.server.contract.MessageDocument;
import isotherm.server.garage.PlumbingDocument;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Writes a line with its chain, its joints and its cut as they go over the wire. */
final class LineWriter {
    /** Distance of the points of a centre line that is drawn, m. */
    private static final double DRAWN = 10e-3;

    private LineWriter() {}

    static Plumbed.PlumbedLine line(Line l, Plumbing plan, Bay bay, Parts parts) {
        return new Plumbed.PlumbedLine(
                l.name(),
                l.found(),
                l.inTheWay(),
                l.from()
                        .spot()
                        .map(p -> PlumbingDocument.PointDocument.of(p.at()))
                        .orElse(null),
                l.to().spot()
                        .map(p -> PlumbingDocument.PointDocument.of(p.at()))
                        .orElse(null),
                chain(l, plan),
                joints(l, plan.circuit().practice()),
                alternatives(l, plan, parts),
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
                                PlumbingSolver.mm(t.missing())))
                        .toList(),
                plan.passages(bay).stream()
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

    private static List<Plumbed.JointDocument> joints(Line l, Practice practice) {
        List<Plumbed.JointDocument> joints = new ArrayList<>();
        if (l.fromEnd().isPresent() && l.toEnd().isPresent()) {
            Stream.concat(MadeJoint.atFirst(l, practice).stream(), MadeJoint.atLast(l, practice).stream())
                    .forEach(j -> joints.add(joint(j)));
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
                "",
                false,
                true,
                MakersFigure.Retorque.NOT_SAID);
    }

    private static Plumbed.JointDocument joint(MadeJoint made) {
        FittingChain.Pair pair = made.pair();
        End end = pair.one();
        Tightening t = made.tightening();
        return new Plumbed.JointDocument(
                made.first() + " and " + made.second(),
                end.size() + " " + end.joint().words(),
                pair.tight(),
                pair.tight() ? null : end.whyNot(pair.other()),
                made.seal(),
                made.onThread(),
                t.wrench() > 0 ? (Double) round(t.wrench() * 1e3, 1) : null,
                t.torque().map(r -> round(r.low(), 0)).orElse(null),
                t.torque().map(r -> round(r.high(), 0)).orElse(null),
                turn(t),
                t.source(),
                t.makers(),
                t.oiled(),
                t.retorque());
    }

    private static String turn(Tightening t) {
        if (t.mostTurn() == 0) {
            return "";
        }
        double low = t.leastTurn() / (2 * Math.PI);
        double high = t.mostTurn() / (2 * Math.PI);
        if (t.makers()) {
            return String.format(
                    Locale.ROOT,
                    "%.0f° to %.0f° past contact",
                    Math.toDegrees(t.leastTurn()),
                    Math.toDegrees(t.mostTurn()));
        }
        return low < 1
                ? "an eighth to a quarter turn past finger tight"
                : String.format(Locale.ROOT, "%.0f to %.0f turns past finger tight", low, high);
    }

    private static List<Plumbed.Alternative> alternatives(Line l, Plumbing plan, Parts parts) {
        List<Plumbed.Alternative> all = new ArrayList<>();
        parts.endsFor(plan.hose()).stream().findFirst().ifPresent(e -> {
            for (FittingChain.Wish wish : FittingChain.Wish.values()) {
                double bore = plan.hose().bore();
                FittingChain.find(parts.adaptors(), l.from().end(), e.end(), wish, bore)
                        .ifPresent(c -> all.add(alternative(l.from().name(), wish, c, bore)));
                FittingChain.find(parts.adaptors(), e.end(), l.to().end(), wish, bore)
                        .ifPresent(c -> all.add(alternative(l.to().name(), wish, c, bore)));
            }
        });
        return all;
    }

    private static Plumbed.Alternative alternative(
            String end, FittingChain.Wish wish, FittingChain chain, double bore) {
        return new Plumbed.Alternative(
                end,
                wish,
                chain.steps().stream().map(step -> step.adaptor().number()).toList(),
                round(chain.price(), 2),
                round(chain.heads(bore), 2),
                chain.steps().size() + 1);
    }

    private static Plumbed.Cut cut(Line l, CutList c, HoseType hose) {
        return new Plumbed.Cut(
                PlumbingSolver.mm(c.centreLine() + l.adaptors()),
                round(l.bends(), 1),
                PlumbingSolver.mm(c.centreLine()),
                PlumbingSolver.mm(c.deductionFrom()),
                PlumbingSolver.mm(c.deductionTo()),
                PlumbingSolver.mm(c.insertionFrom()),
                PlumbingSolver.mm(c.insertionTo()),
                PlumbingSolver.mm(c.slack()),
                PlumbingSolver.mm(c.cut()),
                PlumbingSolver.mm(c.tolerance()),
                c.standard().isPresent()
                        ? (Double) PlumbingSolver.mm(c.standard().getAsDouble())
                        : null,
                c.twist().isPresent() ? (Double) round(Math.toDegrees(c.twist().getAsDouble()), 0) : null,
                c.clips().stream().map(PlumbingSolver::mm).toList(),
                l.fromEnd().map(LineWriter::words).orElse(""),
                l.toEnd().map(LineWriter::words).orElse(""),
                MessageDocument.all(CutOrder.of(c, hose, l.turnedOnCar())));
    }

    private static String words(HoseEnd e) {
        return e.number() + (e.angle() == 0 ? ", straight" : ", " + Math.round(Math.toDegrees(e.angle())) + "°");
    }
}
