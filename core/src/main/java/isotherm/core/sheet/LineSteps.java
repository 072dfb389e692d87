package isotherm.core.sheet;

import isotherm.core.car.Design;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.CutList;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Tightening;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
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
            step(Stage.BENCH, id + "-measure", StepText.BENCH_MEASURE)
                    .saying(m -> m.name("line", line.name()))
                    .figure(
                            SheetFigure.SEAT_TO_SEAT,
                            Measure.LENGTH,
                            cut.centreLine() + cut.slack(),
                            Step.Source.ESTIMATE,
                            FigureSource.OF_DESIGN)
                    .add();
            clean(line);
            return;
        }
        boolean pushOn = hose.family() == HoseType.Family.PUSH_ON;
        step(Stage.BENCH, id + "-cut", StepText.BENCH_CUT)
                .saying(m -> m.name("line", line.name()).choose("pushOn", pushOn))
                .figure(
                        SheetFigure.CUT,
                        Measure.LENGTH,
                        cut.cut() - cut.tolerance(),
                        cut.cut() + cut.tolerance(),
                        Step.Source.ESTIMATE,
                        (line.path().isPresent() ? FigureSource.TAPED : FigureSource.WIRED).say("name"))
                .add();
        if (pushOn) {
            step(Stage.BENCH, id + "-clamps", StepText.BENCH_CLAMPS).add();
            step(Stage.BENCH, id + "-heat", StepText.BENCH_HEAT)
                    .saying(m -> m.name("line", line.name()))
                    .timer(HEAT_UP)
                    .add();
        }
        step(Stage.BENCH, id + "-ends", StepText.BENCH_ENDS)
                .saying(m -> m.choose("pushOn", pushOn)
                        .choose("turned", cut.twist().isPresent())
                        .with("twist", Measure.ANGLE, cut.twist().orElse(0), 0))
                .figure(
                        SheetFigure.INSIDE_FIRST_END,
                        Measure.LENGTH,
                        cut.insertionFrom(),
                        Step.Source.OWN,
                        FigureSource.CATALOGUE)
                .figure(
                        SheetFigure.INSIDE_SECOND_END,
                        Measure.LENGTH,
                        cut.insertionTo(),
                        Step.Source.OWN,
                        FigureSource.CATALOGUE)
                .add();
        if (line.turnedOnCar()) {
            step(Stage.BENCH, id + "-turn", StepText.BENCH_TURN)
                    .saying(m -> m.name("line", line.name()))
                    .add();
        }
        clean(line);
    }

    private void clean(Line line) {
        step(Stage.BENCH, "bench-" + line.name() + "-flush", StepText.BENCH_FLUSH)
                .saying(m -> m.name("line", line.name()))
                .add();
    }

    private void unplanned() {
        if (steps.stream().anyMatch(s -> s.id().equals("bench-by-hand"))) {
            return;
        }
        step(Stage.BENCH, "bench-by-hand", StepText.BENCH_BY_HAND).add();
    }

    private void prefill() {
        Ports ports = cooler.core().ports();
        if (ports == Ports.DOWN) {
            step(Stage.BENCH, "prefill-core", StepText.PREFILL_CORE)
                    .figure(
                            SheetFigure.OIL_IN_LOOP,
                            Measure.VOLUME,
                            pressures.loopVolume(),
                            Step.Source.ESTIMATE,
                            FigureSource.OF_DESIGN)
                    .add();
        }
    }

    private void line(Line line) {
        side(line, true);
        side(line, false);
        line.cut().filter(c -> line.found() && !c.clips().isEmpty()).ifPresent(c -> {
            StepWriter held = step(Stage.LINES, "line-" + line.name() + "-clips", StepText.LINE_CLIPS)
                    .saying(m -> m.name("line", line.name()));
            c.clips()
                    .forEach(at -> held.figure(
                            SheetFigure.CLIP, Measure.LENGTH, at, Step.Source.ESTIMATE, FigureSource.OF_DESIGN));
            held.add();
        });
    }

    private void side(Line line, boolean first) {
        Optional<FittingChain> chain = first ? line.fromChain() : line.toChain();
        Optional<HoseEnd> end = first ? line.fromEnd() : line.toEnd();
        Line.Port port = first ? line.from() : line.to();
        if (chain.isEmpty() || end.isEmpty()) {
            step(Stage.LINES, "line-" + line.name() + (first ? "-first" : "-last"), StepText.LINE_OWN_JOINT)
                    .saying(m -> m.name("line", line.name()).name("port", port.name()))
                    .add();
            return;
        }
        int n = 1;
        for (MadeJoint joint : first ? MadeJoint.atFirst(line) : MadeJoint.atLast(line)) {
            joint(line, port.name(), (first ? "first-" : "last-") + n++, joint);
        }
    }

    private void joint(Line line, String port, String id, MadeJoint made) {
        FittingChain.Pair pair = made.pair();
        Joint joint = pair.one().joint();
        Tightening t = made.tightening();
        StepWriter w = step(Stage.LINES, "line-" + line.name() + "-" + id, StepText.LINE_JOINT)
                .saying(m -> m.name("line", line.name())
                        .name("port", port)
                        .name("size", pair.one().size())
                        .name("joint", joint.words())
                        .name("thread", made.onThread())
                        .name("seal", joint.seal())
                        .choose("retorque", t.retorque()))
                .reading(StepWriter.anything(SheetFigure.TORQUE_OR_ANGLE_USED, Measure.TORQUE));
        t.torque()
                .ifPresent(r -> w.figure(
                        SheetFigure.TORQUE,
                        Measure.TORQUE,
                        r.low(),
                        r.high(),
                        Step.Source.PUBLISHED,
                        (t.makers() ? FigureSource.MAKERS : FigureSource.PUBLISHED)
                                .say("name")
                                .name("source", t.source())));
        if (t.mostTurn() > 0) {
            w.figure(
                    t.makers() ? SheetFigure.PAST_CONTACT : SheetFigure.PAST_FINGER_TIGHT,
                    Measure.ANGLE,
                    t.leastTurn(),
                    t.mostTurn(),
                    t.makers() ? Step.Source.PUBLISHED : Step.Source.ESTIMATE,
                    t.makers()
                            ? FigureSource.MAKERS.say("name").name("source", t.source())
                            : FigureSource.MAKER_FIRST.say("name"));
        }
        w.add();
    }

    private void routed() {
        step(Stage.LINES, "lines-clear", StepText.LINES_CLEAR)
                .saying(m -> m.choose("sleeved", job.sleeved()))
                .add();
    }

    private StepWriter step(Stage stage, String id, StepText text) {
        return new StepWriter(stage, id, text, steps);
    }
}
