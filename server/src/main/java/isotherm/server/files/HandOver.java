package isotherm.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Image;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.PdfPTable;
import isotherm.core.bill.BillLine;
import isotherm.core.care.CareBook;
import isotherm.core.message.Measure;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.LeakStep;
import isotherm.core.sheet.RunSheet;
import isotherm.server.build.BuildDocuments.BillDocument;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.BuildDocuments.LeakDocument;
import isotherm.server.build.BuildDocuments.LooseDocument;
import isotherm.server.build.BuildDocuments.SheetFigure;
import isotherm.server.build.BuildDocuments.SheetProgress;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.BuildDocuments.StepState;
import isotherm.server.care.CareDocuments.CareTask;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.care.CareDocuments.TrendDocument;
import isotherm.server.care.CareDocuments.TrendPoint;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What goes with the car to whoever looks after it next: what was fitted, how it was tightened, what was read, what is due. */
public final class HandOver {
    private static final float PICTURE = 170;
    private static final float[] JOINT = {4.6f, 2.2f, 4.2f, 2.4f};
    private static final float[] TWO = {8, 4};
    private static final float[] THREE = {6, 3, 4};

    private final BuildDocument build;
    private final SheetProgress progress;
    private final Map<String, StepState> states;
    private final CareView care;
    private final Speech speech;

    private HandOver(BuildDocument build, SheetProgress progress, CareView care, Speech speech) {
        this.build = build;
        this.progress = progress;
        this.states = progress.steps().stream().collect(Collectors.toMap(StepState::id, Function.identity()));
        this.care = care;
        this.speech = speech;
    }

    /**
     * @param build a build
     * @param progress how far it is
     * @param care the car's care as it is due
     * @param pictures gives a picture by its identity
     * @param speech the reader's words and units
     * @return the paper as a PDF on A4
     */
    public static byte[] pdf(
            BuildDocument build,
            SheetProgress progress,
            CareView care,
            Function<String, byte[]> pictures,
            Speech speech) {
        HandOver paper = new HandOver(build, progress, care, speech);
        return Paper.pdf("Hand-over: " + build.car().name() + ", " + build.name(), (document, writer) -> {
            paper.head(document);
            paper.fitted(document);
            paper.joints(document);
            paper.read(document);
            paper.happened(document);
            paper.due(document);
            paper.signed(document);
            paper.pictures(document, pictures);
        });
    }

    private void head(Document document) {
        int open = build.steps().size() - progress.done();
        text(
                document,
                "Design “" + build.design().name() + "”, begun " + day(build.startedAt()) + ". "
                        + (open == 0
                                ? "All " + build.steps().size() + " steps of its run sheet are done."
                                : open + " of " + build.steps().size()
                                        + " steps of its run sheet are not done: this is not a finished build."));
        text(
                document,
                "Figures of makers come first; what is computed is an estimate. Local rules and qualified people come before"
                        + " this paper.");
    }

    private void fitted(Document document) {
        Paper.heading(document, "What was fitted");
        List<BillDocument> parts = Optional.ofNullable(build.bill()).orElse(List.of()).stream()
                .filter(b -> b.group() == BillLine.Group.PARTS)
                .toList();
        if (parts.isEmpty()) {
            text(document, "No list of parts was kept with this build.");
            return;
        }
        PdfPTable table = Paper.table(TWO);
        for (BillDocument b : parts) {
            String much = b.soldBy() == null
                    ? Math.rint(b.quantity()) == b.quantity()
                            ? Long.toString(Math.round(b.quantity()))
                            : Double.toString(b.quantity())
                    : speech.figure(b.soldBy(), b.quantity());
            Paper.row(table, much + (b.soldBy() == null ? " × " : " of ") + b.what(), b.number(), Paper.TEXT);
        }
        document.add(table);
    }

    private void joints(Document document) {
        List<SheetStep> made =
                build.steps().stream().filter(s -> s.joint() != null).toList();
        if (made.isEmpty()) {
            return;
        }
        Paper.heading(document, "Joints, with whose figure they were tightened");
        PdfPTable table = Paper.table(JOINT);
        for (String head : List.of("Joint", "Used", "Figure and its source", "By")) {
            table.addCell(Paper.cell(head, Paper.STRONG, Element.ALIGN_LEFT));
        }
        for (SheetStep s : made) {
            StepState state = states.get(s.id());
            table.addCell(Paper.cell(s.joint().name(), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(Paper.cell(used(s, state), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(Paper.cell(
                    s.figures().stream()
                            .filter(f -> f.measure() == Measure.TORQUE || f.measure() == Measure.ANGLE)
                            .map(this::asked)
                            .collect(Collectors.joining("\n")),
                    Paper.SMALL,
                    Element.ALIGN_LEFT));
            table.addCell(
                    Paper.cell(state.done() == null ? "not done" : by(state.done()), Paper.SMALL, Element.ALIGN_LEFT));
        }
        document.add(table);
    }

    private String used(SheetStep s, StepState state) {
        return s.reading() == null || state.reading() == null
                ? "not written down"
                : speech.figure(s.reading().measure(), state.reading().value());
    }

    private String asked(SheetFigure f) {
        return f.name() + " "
                + speech.range(
                        f.measure(), f.low(), f.high(), f.measure().metric().digits()) + ", " + f.from();
    }

    private void read(Document document) {
        List<SheetStep> read = build.steps().stream()
                .filter(s -> s.joint() == null && s.reading() != null)
                .filter(s -> states.get(s.id()).reading() != null)
                .toList();
        if (read.isEmpty()) {
            return;
        }
        Paper.heading(document, "Readings");
        PdfPTable table = Paper.table(THREE);
        for (SheetStep s : read) {
            EntryDocument reading = states.get(s.id()).reading();
            table.addCell(Paper.cell(s.reading().name(), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(
                    Paper.cell(speech.figure(s.reading().measure(), reading.value()), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(Paper.cell(
                    by(reading) + (reading.kind() == Entry.Kind.LIVE_READING ? ", by the logger" : ""),
                    Paper.SMALL,
                    Element.ALIGN_LEFT));
        }
        document.add(table);
    }

    /** What went otherwise than by the sheet: leaks, gates that were passed, what is still off, what was noted. */
    private void happened(Document document) {
        List<String> lines = Stream.of(
                        progress.leaks().stream().map(this::leak),
                        progress.gates().stream()
                                .filter(g -> g.override() != null)
                                .map(g -> speech.say(g.words()) + ": passed all the same by " + by(g.override()) + ", “"
                                        + g.override().text() + "”"),
                        progress.off().stream().filter(l -> l.back() == null).map(HandOver::stillOff),
                        progress.alarms().stream()
                                .map(a -> "The watch on the gauges, " + day(a.at()) + ": "
                                        + (a.message() == null ? a.text() : speech.say(a.message()))),
                        build.steps().stream().flatMap(s -> states.get(s.id()).notes().stream()
                                .filter(n -> n.kind() == Entry.Kind.NOTE)
                                .map(n -> by(n) + ", at “" + s.what() + "”: " + n.text())))
                .flatMap(Function.identity())
                .toList();
        if (lines.isEmpty()) {
            return;
        }
        Paper.heading(document, "What happened");
        lines.forEach(l -> text(document, "–  " + l));
    }

    private String leak(LeakDocument l) {
        if (l.mistaken() != null) {
            return "No leak at " + l.found().text() + ", " + by(l.mistaken()) + ": “"
                    + l.mistaken().text() + "”";
        }
        String torque = l.steps().stream()
                .filter(s -> s.step() == LeakStep.TIGHTEN
                        && s.done() != null
                        && s.done().value() != null)
                .map(s -> ", tightened with "
                        + speech.figure(Measure.TORQUE, s.done().value()))
                .findFirst()
                .orElse("");
        return "Leak at " + l.found().text() + ", found by " + by(l.found()) + torque
                + (l.open()
                        ? "; NOT mended"
                        : "; dry, " + by(l.steps().get(l.steps().size() - 1).done()));
    }

    private static String stillOff(LooseDocument l) {
        return "STILL OFF: " + l.mark() + " " + l.off().text();
    }

    private void due(Document document) {
        Paper.heading(document, "What is due");
        PdfPTable table = Paper.table(TWO);
        for (CareTask t : care.tasks()) {
            if (t.urgency() != CareBook.Urgency.DONE) {
                String own = t.whose() == null ? "" : " (interval by " + t.whose() + ")";
                Paper.row(table, speech.say(t.what()) + own, speech.list(t.reasons()), Paper.TEXT);
            }
        }
        document.add(table);
        for (TrendDocument t : care.trends()) {
            TrendPoint last = t.points().get(t.points().size() - 1);
            String notes = t.notes().isEmpty() ? "" : "; " + speech.list(t.notes());
            text(
                    document,
                    speech.name(t.figure()) + ", " + last.day() + ": " + speech.figure(t.measure(), last.value())
                            + notes);
        }
        text(document, "Intervals are usual ones unless somebody is named for them; the makers' own come first.");
    }

    private void signed(Document document) {
        Paper.heading(document, "Handed over");
        Optional<EntryDocument> done =
                Optional.ofNullable(states.get(RunSheet.HAND_OVER)).map(StepState::done);
        text(
                document,
                "Built and handed over by: "
                        + done.map(HandOver::by).orElse("______________________________   Day: ______________"));
        text(document, "Everybody who wrote on its sheet: " + people());
        Paragraph taken =
                new Paragraph("Taken over by: ______________________________   Day: ______________", Paper.TEXT);
        taken.setSpacingBefore(14);
        document.add(taken);
    }

    private String people() {
        String names = Stream.concat(
                        progress.steps().stream()
                                .flatMap(s -> Stream.concat(
                                        Stream.of(s.done(), s.reading()).filter(e -> e != null), s.notes().stream())),
                        progress.off().stream().map(LooseDocument::off))
                .map(EntryDocument::who)
                .distinct()
                .sorted()
                .collect(Collectors.joining(", "));
        return names.isEmpty() ? "nobody yet" : names;
    }

    private void pictures(Document document, Function<String, byte[]> pictures) {
        List<EntryDocument> taken = Stream.concat(
                        progress.steps().stream().flatMap(s -> s.notes().stream()),
                        progress.off().stream().flatMap(l -> l.notes().stream()))
                .filter(n -> n.kind() == Entry.Kind.PICTURE)
                .toList();
        if (taken.isEmpty()) {
            return;
        }
        Paper.heading(document, "Pictures");
        for (EntryDocument e : taken) {
            try {
                Image image = Image.getInstance(pictures.apply(e.text()));
                image.scaleToFit(PICTURE * 1.6f, PICTURE);
                image.setSpacingBefore(6);
                document.add(image);
            } catch (IOException x) {
                throw new UncheckedIOException(x);
            }
            document.add(new Paragraph(at(e) + ", " + by(e), Paper.SMALL));
        }
    }

    private String at(EntryDocument e) {
        return build.steps().stream()
                .filter(s -> s.id().equals(e.on()))
                .map(SheetStep::what)
                .findFirst()
                .or(() -> progress.off().stream()
                        .filter(l -> l.off().id().equals(e.on()))
                        .map(l -> l.mark() + " " + l.off().text())
                        .findFirst())
                .orElse("");
    }

    private static String by(EntryDocument e) {
        return e.who() + ", " + day(e.at());
    }

    private static String day(String at) {
        return at.substring(0, 10);
    }

    private static void text(Document document, String words) {
        document.add(new Paragraph(words, Paper.TEXT));
    }
}
