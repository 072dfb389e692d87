package isotherm.server.files;

import com.lowagie.text.BadElementException;
import com.lowagie.text.Element;
import com.lowagie.text.Image;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfTemplate;
import com.lowagie.text.pdf.PdfWriter;
import isotherm.core.message.Measure;
import isotherm.server.contract.MessageDocument;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.proof.Proof;
import isotherm.server.session.EvidenceQuestions;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;

/** Before and after on one page, for whoever has to believe it. */
public final class ProofFiles {
    private static final float[] TWO = {2, 1};
    private static final float[] THREE = {3, 1, 1};
    private static final float CHART_WIDTH = 500;
    private static final float CHART_HEIGHT = 120;
    /** Room round the drawing: for figures on its left, words under it, names of the lines on its right. */
    private static final float LEFT = 42;

    private static final float BOTTOM = 14;
    private static final float RIGHT = 60;
    private static final float TOP = 8;
    private static final float WIDE = CHART_WIDTH - LEFT - RIGHT;
    private static final float HIGH = CHART_HEIGHT - BOTTOM - TOP;
    private static final String NONE = "–";

    private ProofFiles() {}

    /**
     * @param q what was asked
     * @param before the first log
     * @param after the second
     * @param a what came out
     * @param day day on which it is printed
     * @param speech the reader's words and units
     * @return a report of one page of A4 as a PDF
     */
    public static byte[] pdf(
            Proof.ProofQuestion q,
            LogDocument before,
            LogDocument after,
            Proof.ProofAnswer a,
            LocalDate day,
            Speech speech) {
        CarDocument car = q.car();
        return Paper.pdf(car.name() + ": before and after", (document, writer) -> {
            document.add(new Paragraph(
                    speech.figure(Measure.POWER, car.engine().powerKw())
                            + ", "
                            + String.format(Locale.ROOT, "%.1f L", car.engine().displacementL())
                            + ", oil " + car.oil().grade()
                            + ", " + speech.figure(Measure.VOLUME, car.oilVolumeL(), 1)
                            + "; oil limit "
                            + speech.figure(Measure.TEMPERATURE, car.limits().limitC())
                            + ". Printed on " + day + ".",
                    Paper.TEXT));
            Paper.heading(document, speech.say(a.verdict().say("what")));
            for (MessageDocument reason : a.reasons()) {
                document.add(new Paragraph(speech.say(reason), Paper.TEXT));
            }
            document.add(fair(a, speech));
            if (a.laps() != null) {
                document.add(chart(writer, a.laps(), speech));
            }
            document.add(read(q, before, after, a.figures(), speech));
            document.add(model(a, speech));
            document.add(new Paragraph(
                    "Estimates from two logs and a model of the car, with 90 % intervals for the difference and 10 to 90 % for"
                            + " the predictions. The maker's figures, local rules and the scrutineer's own judgement come"
                            + " first; what a log shows of one day says nothing about a leak or a chafed hose on another.",
                    Paper.SMALL));
            Paragraph signed = new Paragraph(
                    "Prepared by ______________________     Looked at by ______________________     Day ______________",
                    Paper.TEXT);
            signed.setSpacingBefore(16);
            document.add(signed);
        });
    }

    private static PdfPTable fair(Proof.ProofAnswer a, Speech speech) {
        PdfPTable table = Paper.table(TWO);
        table.setSpacingBefore(8);
        Paper.row(table, "Brought to the first day's air and pace", "Value, 90 % interval", Paper.STRONG);
        Paper.row(table, "Plateau before", interval(a.plateauBeforeC(), Measure.TEMPERATURE, speech), Paper.TEXT);
        Paper.row(table, "Plateau after", interval(a.plateauAfterC(), Measure.TEMPERATURE, speech), Paper.TEXT);
        Paper.row(table, "Difference", interval(a.differenceK(), Measure.TEMPERATURE_DIFFERENCE, speech), Paper.STRONG);
        return table;
    }

    private static String interval(EvidenceQuestions.FigureDocument f, Measure measure, Speech speech) {
        return f.value() == null || f.low() == null || f.high() == null
                ? NONE
                : speech.figure(measure, f.value(), 1) + " (" + speech.range(measure, f.low(), f.high(), 1) + ")";
    }

    private static PdfPTable read(
            Proof.ProofQuestion q,
            LogDocument before,
            LogDocument after,
            List<Proof.ProofFigure> figures,
            Speech speech) {
        PdfPTable table = Paper.table(THREE);
        row(table, true, "As it was read, uncorrected", "Before", "After");
        row(table, false, "Log", before.name(), after.name());
        row(
                table,
                false,
                "Design in the car",
                q.beforeDesign().name(),
                q.afterDesign().name());
        for (Proof.ProofFigure f : figures) {
            String name = f.kind() == null ? "Air on the day" : speech.name(f.kind());
            row(table, false, name, figure(f, f.before(), speech), figure(f, f.after(), speech));
        }
        return table;
    }

    private static void row(PdfPTable table, boolean head, String name, String first, String second) {
        var font = head ? Paper.STRONG : Paper.TEXT;
        table.addCell(Paper.cell(name, font, Element.ALIGN_LEFT));
        table.addCell(Paper.cell(first, font, Element.ALIGN_RIGHT));
        table.addCell(Paper.cell(second, font, Element.ALIGN_RIGHT));
    }

    private static String figure(Proof.ProofFigure f, Double v, Speech speech) {
        int usual = f.measure().metric().digits();
        return v == null ? NONE : speech.figure(f.measure(), v, f.measure() == Measure.TEMPERATURE ? 1 : usual);
    }

    private static PdfPTable model(Proof.ProofAnswer a, Speech speech) {
        PdfPTable table = Paper.table(THREE);
        row(table, true, "The model's peak against the reading", "Before", "After");
        Proof.Predicted b = a.predictedBefore();
        Proof.Predicted c = a.predictedAfter();
        row(
                table,
                false,
                "Predicted",
                expected(b.lowC(), b.medianC(), b.highC(), speech),
                expected(c.lowC(), c.medianC(), c.highC(), speech));
        if (b.untaught() != null || c.untaught() != null) {
            row(table, false, "Predicted before a log taught the model", untaught(b, speech), untaught(c, speech));
        }
        row(table, false, "Read", read(b, speech), read(c, speech));
        return table;
    }

    private static String untaught(Proof.Predicted p, Speech speech) {
        Proof.Expected e = p.untaught();
        return e == null ? NONE : expected(e.lowC(), e.medianC(), e.highC(), speech);
    }

    private static String expected(double low, double median, double high, Speech speech) {
        return speech.figure(Measure.TEMPERATURE, median, 1) + " (" + speech.range(Measure.TEMPERATURE, low, high, 1)
                + ")";
    }

    private static String read(Proof.Predicted p, Speech speech) {
        return p.readC() == null ? NONE : speech.figure(Measure.TEMPERATURE, p.readC(), 1);
    }

    /** The rise of the oil over the mean lap, before thin and after thick. */
    private static Image chart(PdfWriter writer, Proof.MeanLaps laps, Speech speech) {
        PdfTemplate t = writer.getDirectContent().createTemplate(CHART_WIDTH, CHART_HEIGHT);
        double least = Stream.concat(laps.riseBeforeKPerKw().stream(), laps.riseAfterKPerKw().stream())
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .min()
                .orElse(0);
        double most = Stream.concat(laps.riseBeforeKPerKw().stream(), laps.riseAfterKPerKw().stream())
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(1);
        double room = Math.max(0.1, (most - least) * 0.15);
        double low = least - room;
        double high = most + room;
        t.setLineWidth(0.4f);
        t.rectangle(LEFT, BOTTOM, WIDE, HIGH);
        t.stroke();
        line(t, laps.riseBeforeKPerKw(), low, high, 0.6f, "before");
        line(t, laps.riseAfterKPerKw(), low, high, 1.6f, "after");
        words(
                t,
                LEFT - 4,
                BOTTOM + HIGH - TOP,
                Element.ALIGN_RIGHT,
                speech.ratio(high, Measure.TEMPERATURE_DIFFERENCE, Measure.HEAT));
        words(
                t,
                LEFT - 4,
                BOTTOM,
                Element.ALIGN_RIGHT,
                speech.ratio(low, Measure.TEMPERATURE_DIFFERENCE, Measure.HEAT));
        words(
                t,
                LEFT,
                4,
                Element.ALIGN_LEFT,
                "start of the mean lap: rise of the oil over the air per heat, "
                        + speech.unit(Measure.TEMPERATURE_DIFFERENCE) + "/" + speech.unit(Measure.HEAT));
        words(t, LEFT + WIDE, 4, Element.ALIGN_RIGHT, "end");
        try {
            Image image = Image.getInstance(t);
            image.setSpacingBefore(4);
            image.scaleToFit(CHART_WIDTH, CHART_HEIGHT);
            return image;
        } catch (BadElementException e) {
            throw new IllegalStateException("A drawing of our own is always taken", e);
        }
    }

    private static void line(PdfContentByte t, List<Double> values, double low, double high, float width, String name) {
        t.setLineWidth(width);
        boolean down = false;
        float lastY = 0;
        for (int i = 0; i < values.size(); i++) {
            Double v = values.get(i);
            if (v == null) {
                down = false;
                continue;
            }
            float x = LEFT + WIDE * i / Math.max(1, values.size() - 1);
            float y = (float) (BOTTOM + HIGH * (v - low) / (high - low));
            if (down) {
                t.lineTo(x, y);
            } else {
                t.moveTo(x, y);
            }
            down = true;
            lastY = y;
        }
        t.stroke();
        words(t, LEFT + WIDE + 4, lastY - 2, Element.ALIGN_LEFT, name);
    }

    private static void words(PdfContentByte t, float x, float y, int align, String text) {
        BaseFont font = Paper.SMALL.getCalculatedBaseFont(false);
        t.beginText();
        t.setFontAndSize(font, 8);
        t.showTextAligned(align, text, x, y, 0);
        t.endText();
    }
}
