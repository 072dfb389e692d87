package isotherm.core.sheet;

import isotherm.core.exchanger.Ports;
import isotherm.core.message.Measure;
import isotherm.core.plumb.CutList;
import isotherm.core.plumb.FittingChain;
import isotherm.core.plumb.HoseEnd;
import isotherm.core.plumb.HoseType;
import isotherm.core.plumb.Joint;
import isotherm.core.plumb.Line;
import isotherm.core.plumb.Tightening;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Steps of both lines: on the bench, then on the car. */
final class LineSteps {
    /** Time that push-on hose lies in the warm, s: a minute and a half to two. */
    private static final double HEAT_UP = 105;

    private final Job job;
    private final Design.Cooler cooler;
    private final PressureCheck pressures;
    private final List<Step> steps;

    LineSteps(Job job, PressureCheck pressures, List<Step> steps) {
        this.job = job;
        this.cooler = job.design().cooler().orElseThrow();
        this.pressures = pressures;
        this.steps = steps;
    }

    void write() {
        job.plumbing()
                .ifPresentOrElse(
                        p -> {
                            p.lines().forEach(l -> bench(l, p.hose()));
                            prefill();
                            p.lines().forEach(this::line);
                        },
                        () -> {
                            unplanned();
                            prefill();
                        });
        routed();
    }

    private void bench(Line line, HoseType hose) {
        // A line that is drawn through something has a length, and nobody is to cut a hose by it.
        if (line.cut().isEmpty() || !line.found()) {
            unplanned();
            return;
        }
        CutList cut = line.cut().get();
        String id = "bench-" + line.name();
        if (!hose.family().cuttable()) {
            step(Stage.BENCH, id + "-measure")
                    .what("Measure the made-up " + line.name() + " line, seat to seat, before it goes near the car")
                    .why("It cannot be shortened, and a short one pulls on both ports")
                    .figure(
                            "seat to seat, at least",
                            Measure.LENGTH,
                            cut.centreLine() + cut.slack(),
                            Step.Source.ESTIMATE,
                            StepWriter.OF_DESIGN)
                    .add();
            clean(line);
            return;
        }
        step(Stage.BENCH, id + "-cut")
                .what("Tape the " + line.name() + " hose, mark it, cut square through the tape"
                        + (hose.family() == HoseType.Family.PUSH_ON ? " with a sharp knife" : " with a fine saw"))
                .why("A square cut seats on the shoulder all round")
                .caution(
                        hose.family() == HoseType.Family.PUSH_ON
                                ? "Cut away from the hand."
                                : "Braid wire stabs: gloves on, tape over the end.")
                .figure(
                        "cut",
                        Measure.LENGTH,
                        cut.cut() - cut.tolerance(),
                        cut.cut() + cut.tolerance(),
                        Step.Source.ESTIMATE,
                        "computed from taped positions; try the route with a wire first")
                .add();
        if (hose.family() == HoseType.Family.PUSH_ON) {
            step(Stage.BENCH, id + "-clamps")
                    .what("Slide sleeves and P-clips on before any end")
                    .why("They do not go over an end")
                    .add();
            step(Stage.BENCH, id + "-heat")
                    .what("Warm the end of the " + line.name()
                            + " hose in hot water, push it home in one go, let it cool")
                    .why("Cold hose stops short of the last barb")
                    .caution("Water just off the boil scalds; no flame near rubber.")
                    .timer(HEAT_UP)
                    .add();
        }
        String twist = cut.twist().isPresent()
                ? String.format(
                        Locale.ROOT,
                        "; turn the second elbow %.0f° clockwise from the first, seen along the hose, before it is tight",
                        Math.toDegrees(cut.twist().getAsDouble()))
                : "";
        step(Stage.BENCH, id + "-ends")
                .what((hose.family() == HoseType.Family.PUSH_ON
                                ? "Both ends on to their collars"
                                : "Sockets on first, then both ends in soft jaws, oiled; tape mark at each collar")
                        + twist)
                .why("The mark shows push-out: a millimetre or two is fine, more is done again")
                .figure(
                        "hose inside the first end",
                        Measure.LENGTH,
                        cut.insertionFrom(),
                        Step.Source.OWN,
                        "the catalogue's part")
                .figure(
                        "hose inside the second end",
                        Measure.LENGTH,
                        cut.insertionTo(),
                        Step.Source.OWN,
                        "the catalogue's part")
                .add();
        clean(line);
    }

    private void clean(Line line) {
        step(Stage.BENCH, "bench-" + line.name() + "-flush")
                .what("Flush the " + line.name() + " hose, blow it out, cap both ends")
                .why("Rubber crumbs and swarf go to the bearings, before the filter sees them")
                .caution("No petrol as a flush: it is a fire hazard. Goggles when blowing out.")
                .add();
    }

    private void unplanned() {
        if (steps.stream().anyMatch(s -> s.id().equals("bench-by-hand"))) {
            return;
        }
        step(Stage.BENCH, "bench-by-hand")
                .what("Measure each hose with a wire along its route, cut it, fit its ends, flush it, cap it")
                .why(
                        "No route that keeps its distances was computed: Plumb gives one with its cut list, or says what is in the way")
                .caution("Braid wire stabs: gloves on. No petrol as a flush.")
                .add();
    }

    private void prefill() {
        Ports ports = cooler.core().ports();
        if (ports == Ports.DOWN) {
            step(Stage.BENCH, "prefill-core")
                    .what(
                            "Fill the core through its ports on the bench, cap them, keep them up until it hangs in its place")
                    .why("With ports that point down its air never leaves by itself")
                    .figure(
                            "oil in core and hoses",
                            Measure.VOLUME,
                            pressures.loopVolume(),
                            Step.Source.ESTIMATE,
                            StepWriter.OF_DESIGN)
                    .add();
        }
    }

    private void line(Line line) {
        String towards = line.name().equals("feed") ? "Feed, to the cooler" : "Return, from the cooler";
        side(line, towards, true);
        side(line, towards, false);
        line.cut().filter(c -> line.found() && !c.clips().isEmpty()).ifPresent(c -> {
            StepWriter held = step(Stage.LINES, "line-" + line.name() + "-clips")
                    .what(towards + ": P-clips over sleeve, at these distances from its first collar")
                    .why("A hose that moves chafes through whatever it touches, or is chafed through");
            c.clips()
                    .forEach(at -> held.figure("clip", Measure.LENGTH, at, Step.Source.ESTIMATE, StepWriter.OF_DESIGN));
            held.add();
        });
    }

    private void side(Line line, String towards, boolean first) {
        Optional<FittingChain> chain = first ? line.fromChain() : line.toChain();
        Optional<HoseEnd> end = first ? line.fromEnd() : line.toEnd();
        Line.Port port = first ? line.from() : line.to();
        if (chain.isEmpty() || end.isEmpty()) {
            step(Stage.LINES, "line-" + line.name() + (first ? "-first" : "-last"))
                    .what(towards + ": join it at the " + port.name() + " with a fitting of your own that seals")
                    .why("No chain of the catalogue leads there")
                    .add();
            return;
        }
        List<FittingChain.Pair> pairs = first
                ? chain.get().joints(port.end(), end.get().end())
                : chain.get().joints(end.get().end(), port.end());
        int n = 1;
        for (FittingChain.Pair pair : pairs) {
            joint(line, towards + ", at the " + port.name(), (first ? "first-" : "last-") + n++, pair);
        }
    }

    private void joint(Line line, String where, String id, FittingChain.Pair pair) {
        Joint joint = pair.one().joint();
        Tightening t = Tightening.of(pair.one());
        StepWriter w = step(Stage.LINES, "line-" + line.name() + "-" + id)
                .what(where + ": " + pair.one().size() + " " + joint.words() + ", started by hand; " + joint.onThread())
                .why("It seals by " + joint.seal())
                .reading(StepWriter.anything("torque or angle used", Measure.TORQUE));
        t.torque()
                .ifPresent(
                        r -> w.figure("torque", Measure.TORQUE, r.low(), r.high(), Step.Source.PUBLISHED, t.source()));
        if (t.mostTurn() > 0) {
            w.figure(
                    "past finger tight",
                    Measure.ANGLE,
                    t.leastTurn(),
                    t.mostTurn(),
                    Step.Source.ESTIMATE,
                    StepWriter.MAKER_FIRST);
        }
        w.add();
    }

    private void routed() {
        step(Stage.LINES, "lines-clear")
                .what("Turn the steering from lock to lock, work the suspension, look along both hoses"
                        + (job.sleeved() ? ", heat sleeve over all that is near the exhaust" : ""))
                .why("Belts, exhaust, edges and wheels find a hose in the first minutes")
                .add();
    }

    private StepWriter step(Stage stage, String id) {
        return new StepWriter(stage, id, steps);
    }
}
