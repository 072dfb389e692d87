package isotherm.core.plumb;

import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Sender;
import isotherm.core.takeoff.WrenchArc;
import java.util.List;
import java.util.stream.Stream;

/** What has to be known of joints, senders and what is left of a factory exchanger. */
final class CircuitNotes {
    private CircuitNotes() {}

    static void of(Plumbing plan, List<Message> notes) {
        plan.fit().ifPresent(f -> f.arcs().stream()
                .filter(a -> !a.reachable())
                .forEach(a -> notes.add(PlumbingNote.OUT_OF_REACH
                        .say("text")
                        .choose("gives", a.gives())
                        .with("arc", Measure.ANGLE, a.arc(), 0)
                        .with("least", Measure.ANGLE, WrenchArc.LEAST, 0))));
        plan.made().stream()
                .filter(j -> j.directions() < 1)
                .mapToDouble(MadeJoint::directions)
                .min()
                .ifPresent(d -> notes.add(PlumbingNote.ELBOW_POINTS.say("text").with("share", Measure.SHARE, d)));
        practice(plan, notes);
        plan.circuit()
                .coolant()
                .ifPresent(c -> notes.add(PlumbingNote.EXCHANGER_OFF.say("text").choose("ends", c)));
        plan.circuit().senders().stream()
                .filter(s -> !s.fits())
                .forEach(s -> notes.add(PlumbingNote.SENDER_ADAPTOR
                        .say("text")
                        .choose("senses", s.senses())
                        .name("thread", s.end().words())
                        .name("port", Sender.GAUGE_PORT.words())));
    }

    private static void practice(Plumbing plan, List<Message> notes) {
        Practice practice = plan.circuit().practice();
        if (practice.metal() == Practice.Metal.STEEL) {
            double light = fittings(plan);
            notes.add(PlumbingNote.STEEL
                    .say("text")
                    .with("more", Measure.MASS, light * (practice.metal().massFactor() - 1), 2)
                    .count(
                            "joints",
                            plan.made().stream()
                                    .filter(j -> j.practice().metal() == Practice.Metal.STEEL)
                                    .count()));
        }
        if (practice.washer() == Practice.Washer.COPPER) {
            notes.add(PlumbingNote.COPPER.say("text"));
        }
    }

    private static double fittings(Plumbing plan) {
        return plan.lines().stream().mapToDouble(CircuitNotes::fittings).sum();
    }

    /** Mass of a line's adaptors and hose ends in aluminium, kg. */
    static double fittings(Line l) {
        return Stream.of(l.fromChain(), l.toChain())
                        .flatMap(c -> c.stream())
                        .mapToDouble(FittingChain::mass)
                        .sum()
                + Stream.of(l.fromEnd(), l.toEnd())
                        .flatMap(e -> e.stream())
                        .mapToDouble(HoseEnd::mass)
                        .sum();
    }
}
