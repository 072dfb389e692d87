package isotherm.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Image;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import isotherm.core.message.Measure;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.Gate;
import isotherm.core.sheet.Stage;
import isotherm.core.sheet.Step;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.BuildDocuments.GateState;
import isotherm.server.build.BuildDocuments.LooseDocument;
import isotherm.server.build.BuildDocuments.SheetFigure;
import isotherm.server.build.BuildDocuments.SheetProgress;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.BuildDocuments.StepState;
import java.awt.Color;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The run sheet as a workshop document, blank or as it was filled in. */
public final class SheetFiles {
    private static final float PICTURE = 150;
    private static final float[] COLUMNS = {0.7f, 8.6f, 3.7f};

    private SheetFiles() {}

    /**
     * @param build a build
     * @param progress how far it is
     * @param pictures gives a picture by its identity
     * @param speech the reader's words and units
     * @return its run sheet as a PDF on A4
     */
    public static byte[] pdf(
            BuildDocument build, SheetProgress progress, Function<String, byte[]> pictures, Speech speech) {
        Map<String, StepState> states =
                progress.steps().stream().collect(Collectors.toMap(StepState::id, Function.identity()));
        return Paper.pdf(build.car().name() + ": " + build.name(), (document, writer) -> {
            document.add(new Paragraph(
                    "Design “" + build.design().name() + "”, begun " + build.startedAt() + ", "
                            + progress.done() + " of " + build.steps().size()
                            + " steps done. Figures marked ~ are estimates: the maker's figure, local rules and qualified people"
                            + " come first.",
                    Paper.TEXT));
            // A gate stands once, where it first shuts the way.
            Gate gate = null;
            for (Stage stage : Stage.values()) {
                List<SheetStep> steps =
                        build.steps().stream().filter(s -> s.stage() == stage).toList();
                if (steps.isEmpty()) {
                    continue;
                }
                Paper.heading(document, stage.ordinal() + 1 + "  " + speech.name(stage));
                PdfPTable table = Paper.table(COLUMNS);
                table.setSplitRows(false);
                for (SheetStep s : steps) {
                    if (s.behind() != null && s.behind() != gate) {
                        gate = s.behind();
                        table.addCell(gate(progress, gate, build, speech));
                    }
                    step(table, s, states.get(s.id()), speech);
                }
                document.add(table);
                if (stage == Stage.STRIP || stage == Stage.REFIT) {
                    loose(document, progress.off(), stage == Stage.REFIT);
                }
                for (SheetStep s : steps) {
                    pictures(document, states.get(s.id()), pictures);
                }
            }
            if (!progress.alarms().isEmpty()) {
                Paper.heading(document, "What the watch on the gauges said");
                for (EntryDocument a : progress.alarms()) {
                    document.add(new Paragraph(
                            a.at() + "  " + (a.message() == null ? a.text() : speech.say(a.message())), Paper.TEXT));
                }
            }
        });
    }

    private static PdfPCell gate(SheetProgress progress, Gate gate, BuildDocument build, Speech speech) {
        GateState state = progress.gates().stream()
                .filter(g -> g.gate() == gate)
                .findFirst()
                .orElseThrow();
        String words = state.override() != null
                ? "Overridden by " + state.override().who() + ", "
                        + state.override().at() + ": " + state.override().text()
                : state.open()
                        ? "Shown: the work may go on."
                        : speech.say(gate.say("shut")) + ": first "
                                + state.missing().stream()
                                        .map(id -> build.steps().stream()
                                                .filter(s -> s.id().equals(id))
                                                .map(SheetStep::what)
                                                .findFirst()
                                                .orElse(id))
                                        .collect(Collectors.joining("; "));
        PdfPCell cell = new PdfPCell(new Phrase(words, Paper.STRONG));
        cell.setColspan(COLUMNS.length);
        cell.setBackgroundColor(new Color(230, 230, 226));
        cell.setBorder(Rectangle.BOX);
        cell.setBorderWidth(1);
        cell.setPadding(5);
        return cell;
    }

    private static void step(PdfPTable table, SheetStep s, StepState state, Speech speech) {
        table.addCell(Paper.cell(state.done() == null ? "[   ]" : "x", Paper.STRONG, Element.ALIGN_LEFT));
        PdfPCell words = Paper.cell("", Paper.TEXT, Element.ALIGN_LEFT);
        words.setPaddingRight(10);
        words.addElement(new Paragraph(s.what(), Paper.STRONG));
        words.addElement(new Paragraph(s.why() + ".", Paper.SMALL));
        if (s.caution() != null) {
            words.addElement(new Paragraph("CAUTION  " + s.caution(), Paper.STRONG));
        }
        for (EntryDocument note : state.notes()) {
            if (note.kind() == Entry.Kind.NOTE) {
                words.addElement(new Paragraph(note.who() + ": " + note.text(), Paper.TEXT));
            }
        }
        table.addCell(words);
        PdfPCell figures = Paper.cell("", Paper.TEXT, Element.ALIGN_LEFT);
        for (SheetFigure f : s.figures()) {
            figures.addElement(new Paragraph(
                    f.name() + " " + speech.range(f.measure(), f.low(), f.high(), digits(f.measure(), f.low()))
                            + (f.source() == Step.Source.ESTIMATE ? " ~" : ""),
                    Paper.TEXT));
            figures.addElement(new Paragraph(f.from(), Paper.SMALL));
        }
        if (s.reading() != null) {
            figures.addElement(new Paragraph(
                    s.reading().name() + ": "
                            + (state.reading() == null
                                    ? "__________\u00a0"
                                            + speech.unit(s.reading().measure())
                                    : speech.figure(
                                                    s.reading().measure(),
                                                    state.reading().value(),
                                                    digits(
                                                            s.reading().measure(),
                                                            state.reading().value()))
                                            + (state.reading().kind() == Entry.Kind.LIVE_READING
                                                    ? ", by the logger"
                                                    : "")),
                    Paper.STRONG));
        }
        if (state.done() != null) {
            figures.addElement(
                    new Paragraph(state.done().who() + ", " + state.done().at(), Paper.SMALL));
        }
        table.addCell(figures);
    }

    /** What is no whole number shows that it is not. */
    private static int digits(Measure measure, double v) {
        int usual = measure.metric().digits();
        return usual == 0 && v != Math.rint(v) ? 1 : usual;
    }

    private static void loose(Document document, List<LooseDocument> off, boolean back) {
        for (LooseDocument l : off) {
            document.add(new Paragraph(
                    (back ? l.back() == null ? "[   ]  " : "x  " : "-  ") + l.mark() + "  "
                            + l.off().text(),
                    Paper.TEXT));
        }
        for (int i = off.size(); !back && i < 6; i++) {
            document.add(new Paragraph("-  ______________________________", Paper.TEXT));
        }
    }

    private static void pictures(Document document, StepState state, Function<String, byte[]> pictures) {
        for (EntryDocument e : state.notes()) {
            if (e.kind() == Entry.Kind.PICTURE) {
                try {
                    Image image = Image.getInstance(pictures.apply(e.text()));
                    image.scaleToFit(PICTURE * 1.4f, PICTURE);
                    image.setSpacingBefore(6);
                    document.add(image);
                } catch (IOException x) {
                    throw new UncheckedIOException(x);
                }
            }
        }
    }
}
