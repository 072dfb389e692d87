package isotherm.core.sheet;

import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.CutList;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Sender;
import isotherm.core.parts.Tightening;
import isotherm.core.simulate.PressureCheck;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Steps of both lines: on the bench, then on the car. */
final class LineSteps {
    /** Time that push-on hose lies in the warm, s: a minute and a half to two. */
    private static final double HEAT_UP = 105;

    private final Job job;
    private final Optional<Design.Cooler> cooler;
    private final PressureCheck pressures;
    private final List<Step> steps;
    /** Lines that were made before the takeoff went on. */
    private final List<Line> ahead = new ArrayList<>();

    LineSteps(Job job, PressureCheck pressures, List<Step> steps) {
        this.job = job;
        this.cooler = job.design().cooler();
        this.pressures = pressures;
        this.steps = steps;
    }

    void write() {
        if (job.work().hoses()) {
            hoses();
        } else if (job.work() == Work.CORE) {
            step(Stage.BENCH, "lines-stay", StepText.LINES_STAY).add();
            prefill();
            step(Stage.LINES, "lines-begin", StepText.LINES_BEGIN).add();
            job.plumbing().ifPresentOrElse(p -> p.lines().forEach(l -> side(l, false, Stage.LINES)), () -> List.of(
                            "feed", "return")
                    .forEach(l -> ownJoint(l, "core", "last")));
        }
        if (job.work().cooled()) {
            if (job.work().hoses()) {
                senders(Stage.LINES);
            }
            routed();
        }
    }

    /** A joint of hoses that nobody planned here: by the figure of its fitting's maker. */
    private void ownJoint(String line, String port, String side) {
        step(Stage.LINES, "line-" + line + "-" + side, StepText.LINE_JOINT_UNPLANNED)
                .saying(m -> m.name("line", line).name("port", port))
                .reading(StepWriter.anything(SheetFigure.TORQUE_OR_ANGLE_USED, Measure.TORQUE))
                .joint(LeakKind.CONE, own(line, port))
                .add();
    }

    private static Message own(String line, String port) {
        return JointName.OWN.say("name").name("line", line).name("port", port);
    }

    private void hoses() {
        if (job.work() == Work.IN_SERIES) {
            step(Stage.BENCH, "lines-in-series", StepText.LINES_IN_SERIES).add();
        }
        job.plumbing()
                .ifPresentOrElse(
                        p -> {
                            p.lines().stream()
                                    .filter(l -> !ahead.contains(l))
                                    .forEach(l -> bench(l, p.hose(), Stage.BENCH));
                            prefill();
                            step(Stage.LINES, "lines-begin", StepText.LINES_BEGIN)
                                    .add();
                            p.lines().forEach(this::line);
                        },
                        () -> {
                            unplanned();
                            prefill();
                            step(Stage.LINES, "lines-begin", StepText.LINES_BEGIN)
                                    .add();
                            for (String line : List.of("feed", "return")) {
                                ownJoint(line, "takeoff", "first");
                                ownJoint(line, "core", "last");
                            }
                        });
    }

    /** Senders that are screwed in at a stage: those of the takeoff with it, those of the hoses with their tees. */
    void senders(Stage stage) {
        List<Sender> all = job.plumbing().map(p -> p.circuit().senders()).orElse(List.of());
        for (int i = 0; i < all.size(); i++) {
            Sender s = all.get(i);
            if ((s.site() == Sender.Site.TAKEOFF) != (stage == Stage.TAKEOFF)) {
                continue;
            }
            Tightening t = s.tightening();
            StepWriter w = step(stage, "sender-" + (i + 1), StepText.SENDER)
                    .saying(m -> m.choose("senses", s.senses())
                            .choose("site", s.site())
                            .choose("adapted", !s.fits())
                            .name("thread", s.onThread()))
                    .reading(StepWriter.anything(SheetFigure.TORQUE_OR_ANGLE_USED, Measure.TORQUE));
            tightened(w, t);
            w.joint(LeakKind.TAPER, JointName.SENDER.say("name").choose("senses", s.senses()))
                    .add();
        }
    }

    /** Hoses whose joint at the takeoff no wrench reaches on the engine: made before it, and joined on the bench. */
    void outOfReach() {
        job.plumbing().ifPresent(p -> p.fit().ifPresent(fit -> {
            for (Line l : p.lines()) {
                boolean gives = l == p.feed();
                if (fit.reachable(gives) || l.cut().isEmpty() || !l.found()) {
                    continue;
                }
                ahead.add(l);
                StepWriter w = step(Stage.TAKEOFF, "reach-" + l.name(), StepText.OUT_OF_REACH)
                        .saying(m -> m.name("line", l.name()));
                fit.arcs().stream()
                        .filter(a -> a.gives() == gives)
                        .forEach(a -> w.figure(
                                SheetFigure.WRENCH_SWINGS,
                                Measure.ANGLE,
                                a.arc(),
                                Step.Source.ESTIMATE,
                                FigureSource.TAPED));
                w.add();
                bench(l, p.hose(), Stage.TAKEOFF);
                side(l, true, Stage.TAKEOFF);
            }
        }));
    }

    private void bench(Line line, HoseType hose, Stage stage) {
        // A line that is drawn through something has a length, and nobody is to cut a hose by it.
        if (line.cut().isEmpty() || !line.found()) {
            unplanned();
            return;
        }
        CutList cut = line.cut().get();
        String id = "bench-" + line.name();
        if (!hose.family().cuttable()) {
            step(stage, id + "-measure", StepText.BENCH_MEASURE)
                    .saying(m -> m.name("line", line.name()))
                    .figure(
                            SheetFigure.SEAT_TO_SEAT,
                            Measure.LENGTH,
                            cut.centreLine() + cut.slack(),
                            Step.Source.ESTIMATE,
                            FigureSource.OF_DESIGN)
                    .add();
            clean(line, stage);
            return;
        }
        boolean pushOn = hose.family() == HoseType.Family.PUSH_ON;
        step(stage, id + "-cut", StepText.BENCH_CUT)
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
            step(stage, id + "-clamps", StepText.BENCH_CLAMPS)
                    .saying(m -> m.choose(
                            "clamped",
                            job.plumbing().orElseThrow().circuit().practice().clamped()))
                    .add();
            step(stage, id + "-heat", StepText.BENCH_HEAT)
                    .saying(m -> m.name("line", line.name()))
                    .timer(HEAT_UP)
                    .add();
        }
        step(stage, id + "-ends", StepText.BENCH_ENDS)
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
            step(stage, id + "-turn", StepText.BENCH_TURN)
                    .saying(m -> m.name("line", line.name()))
                    .add();
        }
        clean(line, stage);
    }

    private void clean(Line line, Stage stage) {
        step(stage, "bench-" + line.name() + "-flush", StepText.BENCH_FLUSH)
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
        if (cooler.orElseThrow().core().ports() == Ports.DOWN) {
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
        if (!ahead.contains(line)) {
            side(line, true, Stage.LINES);
        }
        side(line, false, Stage.LINES);
        line.cut().filter(c -> line.found() && !c.clips().isEmpty()).ifPresent(c -> {
            StepWriter held = step(Stage.LINES, "line-" + line.name() + "-clips", StepText.LINE_CLIPS)
                    .saying(m -> m.name("line", line.name()));
            c.clips()
                    .forEach(at -> held.figure(
                            SheetFigure.CLIP, Measure.LENGTH, at, Step.Source.ESTIMATE, FigureSource.OF_DESIGN));
            held.add();
        });
    }

    private void side(Line line, boolean first, Stage stage) {
        Optional<FittingChain> chain = first ? line.fromChain() : line.toChain();
        Optional<HoseEnd> end = first ? line.fromEnd() : line.toEnd();
        Line.Port port = first ? line.from() : line.to();
        if (chain.isEmpty() || end.isEmpty()) {
            step(stage, "line-" + line.name() + (first ? "-first" : "-last"), StepText.LINE_OWN_JOINT)
                    .saying(m -> m.name("line", line.name()).name("port", port.name()))
                    .joint(LeakKind.OTHER, own(line.name(), port.name()))
                    .add();
            return;
        }
        int n = 1;
        Practice practice = job.plumbing().orElseThrow().circuit().practice();
        for (MadeJoint joint : first ? MadeJoint.atFirst(line, practice) : MadeJoint.atLast(line, practice)) {
            joint(stage, line, port.name(), (first ? "first-" : "last-") + n++, joint);
        }
    }

    private void joint(Stage stage, Line line, String port, String id, MadeJoint made) {
        FittingChain.Pair pair = made.pair();
        Joint joint = pair.one().joint();
        Tightening t = made.tightening();
        StepWriter w = step(stage, "line-" + line.name() + "-" + id, StepText.LINE_JOINT)
                .saying(m -> m.name("line", line.name())
                        .name("port", port)
                        .name("size", pair.one().size())
                        .name("joint", joint.words())
                        .name("thread", made.onThread())
                        .name("seal", made.seal())
                        .choose("elbow", made.turned())
                        .choose("everywhere", made.directions() >= 1)
                        .choose("retorque", t.retorque()))
                .reading(StepWriter.anything(SheetFigure.TORQUE_OR_ANGLE_USED, Measure.TORQUE));
        tightened(w, t);
        w.joint(
                        LeakKind.of(joint),
                        JointName.LINE
                                .say("name")
                                .name("line", line.name())
                                .name("port", port)
                                .name("size", pair.one().size())
                                .name("joint", joint.words()))
                .add();
    }

    /** Puts torque and turn with their source at a step. */
    static void tightened(StepWriter w, Tightening t) {
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
