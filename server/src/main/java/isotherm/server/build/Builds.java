package isotherm.server.build;

import isotherm.core.bill.BillLine;
import isotherm.core.bill.WorkBill;
import isotherm.core.catalogue.CorePart;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.Said;
import isotherm.core.nose.Nose;
import isotherm.core.parts.Parts;
import isotherm.core.plumb.Plumbing;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.Job;
import isotherm.core.sheet.Leak;
import isotherm.core.sheet.LeakStep;
import isotherm.core.sheet.Progress;
import isotherm.core.sheet.RunSheet;
import isotherm.core.sheet.Step;
import isotherm.core.simulate.PressureCheck;
import isotherm.server.build.BuildDocuments.BillDocument;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.BuildDocuments.GateState;
import isotherm.server.build.BuildDocuments.ItemDocument;
import isotherm.server.build.BuildDocuments.LeakDocument;
import isotherm.server.build.BuildDocuments.LeakStepDocument;
import isotherm.server.build.BuildDocuments.LooseDocument;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.BuildDocuments.SeamDocument;
import isotherm.server.build.BuildDocuments.SheetFigure;
import isotherm.server.build.BuildDocuments.SheetProgress;
import isotherm.server.build.BuildDocuments.SheetReading;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.BuildDocuments.StepState;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.MessageDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/** From a design to its build, and from what was written on its sheet to how far it is. */
public final class Builds {
    private Builds() {}

    /**
     * @param wanted what is to be built
     * @param parts what can be bought between engine and core
     * @param cores what cores can be bought
     * @param now when it is begun
     * @return the build with its run sheet
     * @throws InvalidDocument when a chosen part is not in the catalogue
     */
    public static BuildDocument begin(NewBuild wanted, Parts parts, List<CorePart> cores, Instant now) {
        Optional<PlumbingSolver.Planned> planned = planned(wanted, parts);
        double leastBar =
                wanted.leastCrankBar() == null ? Measure.PRESSURE.metric().of(Job.LEAST_CRANK) : wanted.leastCrankBar();
        CarDocument car = wanted.car();
        DesignDocument design = wanted.design();
        Optional<Plumbing> plumbing = planned.map(PlumbingSolver.Planned::plumbing);
        WorkBill bill = PlumbingSolver.bill(car, design, plumbing);
        Job job = new Job(
                car.toCore(),
                planned.flatMap(PlumbingSolver.Planned::piped).orElseGet(() -> design.toCore(car)),
                bill.placement(),
                plumbing,
                bill.sleeved(),
                bill.sheets(),
                design.moved(),
                Measure.PRESSURE.metric().toSi(leastBar),
                design.built(),
                plumbing.flatMap(p -> p.circuit().coolant()).or(design::exchangerEnds),
                wanted.coolantOpened() == null ? radiatorMoves(car, design) : wanted.coolantOpened());
        double added = job.design().cooler().isPresent() && design.built().cooled()
                ? PressureCheck.of(job.car(), job.design(), job.car().limits().limitK())
                        .loopVolume()
                : 0;
        return new BuildDocument(
                wanted.name(),
                now.toString(),
                leastBar,
                car,
                design,
                RunSheet.of(job).steps().stream().map(Builds::written).toList(),
                bill.lines(cores, added, job.car().oilVolume()).stream()
                        .map(Builds::written)
                        .toList());
    }

    /** Whether coolant has to come out: another radiator, or the one that is drawn makes room. */
    private static boolean radiatorMoves(CarDocument car, DesignDocument design) {
        return design.radiator() != null
                || car.nose() != null
                        && car.nose().parts().stream()
                                .filter(i -> i.kind() == Nose.Kind.RADIATOR)
                                .anyMatch(i -> design.outOfTheWay().contains(i.name()));
    }

    private static BillDocument written(BillLine b) {
        return new BillDocument(
                b.group(),
                words(b.what()),
                b.number(),
                rounded(b.sold()),
                b.soldBy().orElse(null));
    }

    private static Optional<PlumbingSolver.Planned> planned(NewBuild wanted, Parts parts) {
        boolean chosen = wanted.design().built().cooled()
                && PlumbQuestion.levelOf(wanted.car(), wanted.design()).isPresent();
        return chosen
                ? Optional.of(PlumbingSolver.plan(
                        new PlumbQuestion(wanted.car(), wanted.duty(), wanted.design(), null), parts))
                : Optional.empty();
    }

    /** A sheet is a record: it keeps the words that its people worked by. Its figures stand beside them, in anybody's units. */
    private static String words(Message message) {
        return Words.english().render(message, UnitChoice.METRIC);
    }

    private static SheetStep written(Step s) {
        return new SheetStep(
                s.id(),
                s.stage(),
                words(s.what()),
                words(s.why()),
                s.caution().map(Builds::words).orElse(null),
                s.figures().stream()
                        .map(f -> new SheetFigure(
                                words(f.name()),
                                f.measure(),
                                rounded(f.measure().metric().of(f.low())),
                                rounded(f.measure().metric().of(f.high())),
                                f.source(),
                                words(f.from())))
                        .toList(),
                s.reading()
                        .map(r -> new SheetReading(
                                words(r.name()),
                                r.measure(),
                                limit(r.measure(), r.least()),
                                limit(r.measure(), r.most()),
                                r.needed(),
                                r.channel().orElse(null)))
                        .orElse(null),
                s.timer() > 0 ? s.timer() : null,
                s.behind().orElse(null),
                s.joint().map(j -> new SeamDocument(j.kind(), words(j.name()))).orElse(null));
    }

    private static Double limit(Measure measure, double si) {
        return Double.isInfinite(si) ? null : (Double) rounded(measure.metric().of(si));
    }

    private static double rounded(double v) {
        return Math.round(v * 1e3) / 1e3;
    }

    /**
     * @param build a build
     * @return its run sheet
     */
    public static RunSheet sheet(BuildDocument build) {
        return new RunSheet(build.steps().stream()
                .map(s -> new Step(
                        s.id(),
                        s.stage(),
                        Said.words(s.what()),
                        Said.words(s.why()),
                        Optional.ofNullable(s.caution()).map(Said::words),
                        s.figures().stream()
                                .map(f -> new Step.Figure(
                                        Said.words(f.name()),
                                        f.measure(),
                                        f.measure().metric().toSi(f.low()),
                                        f.measure().metric().toSi(f.high()),
                                        f.source(),
                                        Said.words(f.from())))
                                .toList(),
                        Optional.ofNullable(s.reading()).map(Builds::reading),
                        s.timerSeconds() == null ? 0 : s.timerSeconds(),
                        Optional.ofNullable(s.behind()),
                        Optional.ofNullable(s.joint()).map(j -> new Step.Seam(j.kind(), Said.words(j.name())))))
                .toList());
    }

    private static Step.Reading reading(SheetReading r) {
        return new Step.Reading(
                Said.words(r.name()),
                r.measure(),
                r.least() == null
                        ? Double.NEGATIVE_INFINITY
                        : r.measure().metric().toSi(r.least()),
                r.most() == null
                        ? Double.POSITIVE_INFINITY
                        : r.measure().metric().toSi(r.most()),
                r.needed(),
                Optional.ofNullable(r.channel()));
    }

    /**
     * @param build a build
     * @param entries what was written on its sheet, oldest first
     * @return how far it is
     */
    public static Progress progress(BuildDocument build, List<EntryDocument> entries) {
        Map<String, Measure> measures = measures(build);
        return Progress.of(
                sheet(build), entries.stream().map(e -> entry(e, measures)).toList());
    }

    /**
     * @param build a build
     * @param document what is to be written on its sheet
     * @return the same for the rules
     */
    public static Entry entry(BuildDocument build, EntryDocument document) {
        return entry(document, measures(build));
    }

    private static Map<String, Measure> measures(BuildDocument build) {
        Map<String, Measure> measures = new HashMap<>();
        build.steps().stream()
                .filter(s -> s.reading() != null)
                .forEach(s -> measures.put(s.id(), s.reading().measure()));
        return measures;
    }

    private static Entry entry(EntryDocument e, Map<String, Measure> measures) {
        String on = e.on() == null ? "" : e.on();
        Measure measure = e.kind() == Entry.Kind.LEAK_STEP ? Measure.TORQUE : measures.get(on);
        return new Entry(
                UUID.fromString(e.id()),
                Instant.parse(e.at()),
                e.who(),
                e.kind(),
                on,
                e.value() == null || measure == null
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(measure.metric().toSi(e.value())),
                e.text() == null ? "" : e.text(),
                Optional.ofNullable(e.item()).map(ItemDocument::toCore),
                Optional.ofNullable(e.leak()));
    }

    /**
     * @param step a step that asks for a reading
     * @param si what was read, in SI units
     * @return what was read as it is written
     */
    public static double written(Step step, double si) {
        return rounded(step.reading().orElseThrow().measure().metric().of(si));
    }

    /**
     * @param build a build
     * @param entries what was written on its sheet, oldest first
     * @return how far it is, as it is shown
     */
    public static SheetProgress shown(BuildDocument build, List<EntryDocument> entries) {
        Map<UUID, EntryDocument> byId = new HashMap<>();
        entries.forEach(e -> byId.put(UUID.fromString(e.id()), e));
        Progress p = progress(build, entries);
        return new SheetProgress(
                (int) p.steps().values().stream()
                        .filter(s -> s.done().isPresent())
                        .count(),
                p.next().map(Step::id).orElse(null),
                p.steps().values().stream()
                        .map(s -> new StepState(
                                s.step().id(),
                                shown(s.done(), byId),
                                shown(s.reading(), byId),
                                shown(s.timer(), byId),
                                s.notes().stream().map(e -> byId.get(e.id())).toList(),
                                p.refusal(new Entry(
                                                UUID.randomUUID(),
                                                Instant.EPOCH,
                                                "",
                                                Entry.Kind.DONE,
                                                s.step().id(),
                                                OptionalDouble.empty(),
                                                ""))
                                        .map(MessageDocument::of)
                                        .orElse(null)))
                        .toList(),
                p.gates().entrySet().stream()
                        .map(g -> new GateState(
                                g.getKey(),
                                MessageDocument.of(g.getKey().say("shut")),
                                g.getValue().open(),
                                g.getValue().missing(),
                                shown(g.getValue().override(), byId)))
                        .toList(),
                p.off().stream()
                        .map(l -> new LooseDocument(
                                byId.get(l.off().id()),
                                l.mark(),
                                shown(l.back(), byId),
                                l.notes().stream().map(e -> byId.get(e.id())).toList()))
                        .toList(),
                p.alarms().stream().map(e -> byId.get(e.id())).toList(),
                p.leaks().stream().map(l -> leak(l, byId)).toList(),
                p.freeMarks());
    }

    private static LeakDocument leak(Leak l, Map<UUID, EntryDocument> byId) {
        return new LeakDocument(
                byId.get(l.found().id()),
                l.kind(),
                Arrays.stream(LeakStep.values())
                        .map(s -> new LeakStepDocument(
                                s,
                                MessageDocument.of(s.what(l.kind())),
                                MessageDocument.of(s.caution()),
                                shown(Optional.ofNullable(l.done().get(s)), byId)))
                        .toList(),
                l.open(),
                shown(l.mistaken(), byId));
    }

    private static EntryDocument shown(Optional<Entry> entry, Map<UUID, EntryDocument> byId) {
        return entry.map(e -> byId.get(e.id())).orElse(null);
    }
}
