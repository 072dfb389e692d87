package isotherm.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.PageSize;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import isotherm.core.nose.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;

/** A template at its true size as SVG, DXF or PDF. */
public final class TemplateFiles {
    private static final double POINTS_PER_MM = 72 / 25.4;
    /** What printers leave blank, mm. */
    private static final double PAGE_MARGIN = 10;
    /** What neighbouring tiles share, mm. */
    private static final double OVERLAP = 10;

    private TemplateFiles() {}

    /** What it is printed on. */
    public enum Paper {
        /** ISO A4, in as many tiles as needed. */
        A4,
        /** ISO A3, in as many tiles as needed. */
        A3,
        /** US Letter, in as many tiles as needed. */
        LETTER,
        /** One sheet of the drawing's own size, for a plotter. */
        SHEET
    }

    /**
     * @param t a template
     * @return SVG text whose user unit is a millimetre
     */
    public static String svg(Template t) {
        StringBuilder s = new StringBuilder();
        s.append(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.2fmm\" height=\"%2$.2fmm\" viewBox=\"0 0 %1$.2f %2$.2f\""
                        + " fill=\"none\" stroke=\"black\" stroke-width=\"0.3\">%n",
                t.widthMm(),
                t.heightMm()));
        for (Template.Shape shape : t.shapes()) {
            String dash =
                    switch (shape.layer()) {
                        case INSIDE -> " stroke-dasharray=\"2 1\"";
                        case SHROUD -> " stroke-dasharray=\"6 2\"";
                        case BEND -> " stroke-dasharray=\"8 2 2 2\"";
                        default -> "";
                    };
            if (shape instanceof Template.Line l) {
                s.append(String.format(
                        Locale.ROOT,
                        "<line x1=\"%.3f\" y1=\"%.3f\" x2=\"%.3f\" y2=\"%.3f\"%s/>%n",
                        l.x1(),
                        t.heightMm() - l.y1(),
                        l.x2(),
                        t.heightMm() - l.y2(),
                        dash));
            } else if (shape instanceof Template.Circle c) {
                s.append(String.format(
                        Locale.ROOT,
                        "<circle cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"%s/>%n",
                        c.x(),
                        t.heightMm() - c.y(),
                        c.diameter() / 2,
                        dash));
            } else if (shape instanceof Template.Word w) {
                s.append(String.format(
                        Locale.ROOT,
                        "<text x=\"%.3f\" y=\"%.3f\" font-family=\"sans-serif\" font-size=\"%.2f\" fill=\"black\""
                                + " stroke=\"none\">%s</text>%n",
                        w.x(),
                        t.heightMm() - w.y(),
                        w.size() * 1.4,
                        escaped(w.text())));
            }
        }
        return s.append("</svg>\n").toString();
    }

    private static String escaped(String text) {
        return line(text).replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    /** A drawing has no place for control characters: SVG would be malformed by them, DXF ends its texts at a line end. */
    private static String line(String text) {
        return text.replaceAll("[\\p{Cntrl}\\uFFFE\\uFFFF]+", " ");
    }

    /**
     * @param t a template
     * @return DXF text of release 12, in millimetres
     */
    public static String dxf(Template t) {
        StringBuilder s = new StringBuilder("0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nAC1009\n0\nENDSEC\n");
        s.append("0\nSECTION\n2\nENTITIES\n");
        for (Template.Shape shape : t.shapes()) {
            if (shape instanceof Template.Line l) {
                entity(s, "LINE", l.layer());
                codes(s, 10, l.x1(), 20, l.y1(), 30, 0, 11, l.x2(), 21, l.y2(), 31, 0);
            } else if (shape instanceof Template.Circle c) {
                entity(s, "CIRCLE", c.layer());
                codes(s, 10, c.x(), 20, c.y(), 30, 0, 40, c.diameter() / 2);
            } else if (shape instanceof Template.Word w) {
                entity(s, "TEXT", w.layer());
                codes(s, 10, w.x(), 20, w.y(), 30, 0, 40, w.size());
                // Release 12 knows no Unicode.
                s.append("1\n")
                        .append(w.text().replaceAll("[^\\x20-\\x7e]", "?"))
                        .append('\n');
            }
        }
        return s.append("0\nENDSEC\n0\nEOF\n").toString();
    }

    private static void entity(StringBuilder s, String kind, Template.Layer layer) {
        s.append("0\n").append(kind).append("\n8\n").append(layer.name()).append('\n');
    }

    private static void codes(StringBuilder s, double... pairs) {
        for (int i = 0; i < pairs.length; i += 2) {
            s.append((int) pairs[i]).append('\n').append(String.format(Locale.ROOT, "%.4f%n", pairs[i + 1]));
        }
    }

    /**
     * @param t a template
     * @param paper what it is printed on
     * @return PDF with as many pages as it takes, each with marks at which neighbours meet
     */
    public static byte[] pdf(Template t, Paper paper) {
        Rectangle page =
                switch (paper) {
                    case A4 -> PageSize.A4.rotate();
                    case A3 -> PageSize.A3.rotate();
                    case LETTER -> PageSize.LETTER.rotate();
                    case SHEET ->
                        new Rectangle((float) ((t.widthMm() + 2 * PAGE_MARGIN) * POINTS_PER_MM), (float)
                                ((t.heightMm() + 2 * PAGE_MARGIN) * POINTS_PER_MM));
                };
        double usableWidth = page.getWidth() / POINTS_PER_MM - 2 * PAGE_MARGIN;
        double usableHeight = page.getHeight() / POINTS_PER_MM - 2 * PAGE_MARGIN;
        int across = tiles(t.widthMm(), usableWidth);
        int up = tiles(t.heightMm(), usableHeight);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Document document = new Document(page)) {
            PdfWriter writer = PdfWriter.getInstance(document, bytes);
            document.open();
            BaseFont font = BaseFont.createFont(BaseFont.HELVETICA, BaseFont.WINANSI, BaseFont.NOT_EMBEDDED);
            PdfContentByte canvas = writer.getDirectContent();
            for (int row = up - 1; row >= 0; row--) {
                for (int column = 0; column < across; column++) {
                    document.newPage();
                    tile(canvas, font, t, column, row, across, up, usableWidth, usableHeight);
                }
            }
        } catch (DocumentException e) {
            throw new IllegalStateException("The template cannot be laid out", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static int tiles(double length, double usable) {
        return length <= usable ? 1 : (int) Math.ceil((length - OVERLAP) / (usable - OVERLAP));
    }

    private static void tile(
            PdfContentByte canvas,
            BaseFont font,
            Template t,
            int column,
            int row,
            int across,
            int up,
            double usableWidth,
            double usableHeight) {
        double x0 = column * (usableWidth - OVERLAP);
        double y0 = row * (usableHeight - OVERLAP);
        canvas.saveState();
        canvas.rectangle(
                (float) (PAGE_MARGIN * POINTS_PER_MM),
                (float) (PAGE_MARGIN * POINTS_PER_MM),
                (float) (usableWidth * POINTS_PER_MM),
                (float) (usableHeight * POINTS_PER_MM));
        canvas.clip();
        canvas.newPath();
        canvas.concatCTM(
                (float) POINTS_PER_MM,
                0,
                0,
                (float) POINTS_PER_MM,
                (float) ((PAGE_MARGIN - x0) * POINTS_PER_MM),
                (float) ((PAGE_MARGIN - y0) * POINTS_PER_MM));
        canvas.setLineWidth(0.3f);
        for (Template.Shape shape : t.shapes()) {
            draw(canvas, font, shape);
        }
        canvas.restoreState();
        if (across * up > 1) {
            marks(canvas, font, column, row, across, up, usableWidth, usableHeight);
        }
    }

    private static void draw(PdfContentByte canvas, BaseFont font, Template.Shape shape) {
        switch (shape.layer()) {
            case INSIDE -> canvas.setLineDash(2, 1, 0);
            case SHROUD -> canvas.setLineDash(6, 2, 0);
            case BEND -> canvas.setLineDash(new float[] {8, 2, 2, 2}, 0);
            default -> canvas.setLineDash(0);
        }
        if (shape instanceof Template.Line l) {
            canvas.moveTo((float) l.x1(), (float) l.y1());
            canvas.lineTo((float) l.x2(), (float) l.y2());
            canvas.stroke();
        } else if (shape instanceof Template.Circle c) {
            canvas.circle((float) c.x(), (float) c.y(), (float) (c.diameter() / 2));
            canvas.stroke();
        } else if (shape instanceof Template.Word w) {
            canvas.beginText();
            canvas.setFontAndSize(font, (float) (w.size() * 1.4));
            canvas.setTextMatrix((float) w.x(), (float) w.y());
            canvas.showText(w.text());
            canvas.endText();
        }
    }

    /** Corner marks in the overlap, and which tile this is. */
    private static void marks(
            PdfContentByte canvas,
            BaseFont font,
            int column,
            int row,
            int across,
            int up,
            double usableWidth,
            double usableHeight) {
        canvas.saveState();
        canvas.setLineWidth(0.4f);
        double inset = OVERLAP / 2;
        for (double x : new double[] {inset, usableWidth - inset}) {
            for (double y : new double[] {inset, usableHeight - inset}) {
                float px = (float) ((PAGE_MARGIN + x) * POINTS_PER_MM);
                float py = (float) ((PAGE_MARGIN + y) * POINTS_PER_MM);
                float arm = (float) (3 * POINTS_PER_MM);
                canvas.moveTo(px - arm, py);
                canvas.lineTo(px + arm, py);
                canvas.moveTo(px, py - arm);
                canvas.lineTo(px, py + arm);
                canvas.stroke();
            }
        }
        canvas.beginText();
        canvas.setFontAndSize(font, 8);
        canvas.setTextMatrix((float) (PAGE_MARGIN * POINTS_PER_MM), (float) (4 * POINTS_PER_MM));
        canvas.showText(String.format(
                Locale.ROOT,
                "Column %d of %d, row %d of %d. Lay the crosses of neighbouring sheets on each other.",
                column + 1,
                across,
                up - row,
                up));
        canvas.endText();
        canvas.restoreState();
    }
}
