package isotherm.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Element;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.PdfPTable;
import isotherm.core.bill.BillLine;
import isotherm.core.message.Measure;
import isotherm.server.contract.MessageDocument;
import isotherm.server.plumbing.Plumbed;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Bill of materials and cut list as they are taken to the shop and to the bench. */
public final class PlumbingFiles {
    /** Hose and oil are sold in halves of a metre and of a litre. */
    private static final int SOLD_DIGITS = 1;

    private PlumbingFiles() {}

    /**
     * @param p a plumbing
     * @param speech words and units
     * @return its bill as CSV with a header; what is there already has {@code yes} in the last column
     */
    public static String billCsv(Plumbed p, Speech speech) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.Builder.create(CSVFormat.RFC4180)
                .setHeader("group", "what", "number", "quantity", "unit", "each", "price", "currency", "have")
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (Plumbed.Bill b : p.bill()) {
                printer.printRecord(
                        b.group().name().toLowerCase(Locale.ROOT),
                        plain(speech.say(b.what())),
                        plain(b.number()),
                        b.measure() == null ? b.quantity() : speech.number(b.measure(), b.quantity(), SOLD_DIGITS),
                        b.measure() == null ? "pcs" : speech.unit(b.measure()),
                        b.measure() == null ? money(b.each()) : money(speech.each(b.each(), b.measure())),
                        money(b.quantity() * b.each()),
                        speech.currency(),
                        b.have() ? "yes" : "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** A spreadsheet takes what begins like a formula for one, after a tab or a line end too. */
    private static String plain(String cell) {
        String line = cell.replaceAll("\\p{Cntrl}+", " ").strip();
        return line.matches("^[=@+-].*") ? "'" + line : line;
    }

    private static String money(double v) {
        return String.format(Locale.ROOT, "%.2f", v);
    }

    /**
     * @param title car and design
     * @param p a plumbing
     * @param speech words and units
     * @return its bill as a PDF on A4
     */
    public static byte[] billPdf(String title, Plumbed p, Speech speech) {
        return Paper.pdf(title + ": bill of materials", (document, writer) -> {
            for (BillLine.Group group : BillLine.Group.values()) {
                List<Plumbed.Bill> lines =
                        p.bill().stream().filter(b -> b.group() == group).toList();
                if (lines.isEmpty()) {
                    continue;
                }
                Paper.heading(
                        document,
                        switch (group) {
                            case PARTS -> "Parts";
                            case CONSUMABLES -> "Used up";
                            case TOOLS -> "Tools";
                        });
                PdfPTable table = Paper.table(new float[] {1, 9, 6, 3, 3});
                for (Plumbed.Bill b : lines) {
                    table.addCell(Paper.cell(b.have() ? "x" : "[  ]", Paper.TEXT, Element.ALIGN_LEFT));
                    table.addCell(
                            Paper.cell(speech.say(b.what()), b.have() ? Paper.TEXT : Paper.STRONG, Element.ALIGN_LEFT));
                    table.addCell(Paper.cell(b.number(), Paper.TEXT, Element.ALIGN_LEFT));
                    table.addCell(Paper.cell(quantity(b, speech), Paper.TEXT, Element.ALIGN_RIGHT));
                    table.addCell(Paper.cell(
                            b.have() ? "there" : b.each() > 0 ? speech.money(b.quantity() * b.each(), 2) : "",
                            Paper.TEXT,
                            Element.ALIGN_RIGHT));
                }
                document.add(table);
            }
            Paper.heading(document, "To buy: " + speech.money(p.kit().toBuy(), 2));
            document.add(new Paragraph(
                    String.format(
                            Locale.ROOT,
                            "Loose parts %s and about %.0f h; a kit made to fit about %s and %.0f h. Prices and hours are"
                                    + " estimates.",
                            speech.money(p.kit().loosePrice(), 0),
                            p.kit().looseHours(),
                            speech.money(p.kit().kitPrice(), 0),
                            p.kit().kitHours()),
                    Paper.TEXT));
        });
    }

    private static String quantity(Plumbed.Bill b, Speech speech) {
        return b.measure() == null
                ? String.format(Locale.ROOT, "%.0f pcs", b.quantity())
                : speech.figure(b.measure(), b.quantity(), SOLD_DIGITS);
    }

    /**
     * @param title car and design
     * @param p a plumbing
     * @param speech the reader's words and units
     * @return its cut list as a PDF on A4
     */
    public static byte[] cutListPdf(String title, Plumbed p, Speech speech) {
        return Paper.pdf(title + ": cut list", (document, writer) -> {
            for (Plumbed.PlumbedLine l : p.lines()) {
                Paper.heading(document, l.name().equals("feed") ? "Feed, to the cooler" : "Return, from the cooler");
                if (l.cut() == null) {
                    document.add(new Paragraph("No route yet.", Paper.TEXT));
                    continue;
                }
                if (!l.found()) {
                    document.add(new Paragraph(
                            "This route is not good yet: " + String.join(", ", l.inTheWay())
                                    + " in the way. Cut nothing by it.",
                            Paper.STRONG));
                }
                document.add(figures(l.cut(), speech));
                document.add(new Paragraph(
                        "Held at "
                                + String.join(
                                        ", ",
                                        l.cut().clipsMm().stream()
                                                .map(c -> speech.figure(Measure.LENGTH, c))
                                                .toList())
                                + " from the first collar.",
                        Paper.TEXT));
                int n = 1;
                for (MessageDocument step : l.cut().order()) {
                    document.add(new Paragraph(n++ + ".  " + speech.say(step), Paper.TEXT));
                }
                joints(document, l, speech);
            }
            document.add(new Paragraph(
                    speech.say(MessageDocument.of(p.level().say("rough")))
                            + " The maker's torque comes before any here.",
                    Paper.TEXT));
        });
    }

    private static PdfPTable figures(Plumbed.Cut c, Speech speech) {
        PdfPTable table = Paper.table(new float[] {7, 5});
        Paper.row(
                table,
                "From seat to seat along the centre line",
                speech.figure(Measure.LENGTH, c.centreLineMm()),
                Paper.TEXT);
        Paper.row(
                table,
                "First end " + c.fromEnd() + " takes",
                "- " + speech.figure(Measure.LENGTH, c.deductionFromMm()),
                Paper.TEXT);
        Paper.row(
                table,
                "Second end " + c.toEnd() + " takes",
                "- " + speech.figure(Measure.LENGTH, c.deductionToMm()),
                Paper.TEXT);
        Paper.row(
                table,
                "Hose inside the ends",
                "+ " + speech.figure(Measure.LENGTH, c.insertionFromMm() + c.insertionToMm()),
                Paper.TEXT);
        Paper.row(
                table, "For the movement of the engine", "+ " + speech.figure(Measure.LENGTH, c.slackMm()), Paper.TEXT);
        Paper.row(
                table,
                "Cut",
                speech.figure(Measure.LENGTH, c.cutMm()) + "  (one in three is off by over "
                        + speech.figure(Measure.LENGTH, c.toleranceMm()) + ")",
                Paper.STRONG);
        if (c.standardMm() != null) {
            Paper.row(
                    table,
                    "Standard line to buy, seat to seat",
                    speech.figure(Measure.LENGTH, c.standardMm()),
                    Paper.STRONG);
        }
        if (c.twistDeg() != null) {
            Paper.row(
                    table,
                    "Second elbow against the first",
                    speech.figure(Measure.ANGLE, c.twistDeg()) + " clockwise",
                    Paper.STRONG);
        }
        return table;
    }

    private static String tightened(Plumbed.JointDocument j, Speech speech) {
        String torque =
                j.torqueLowNm() == null ? "" : speech.range(Measure.TORQUE, j.torqueLowNm(), j.torqueHighNm(), 0);
        String figures = Stream.of(torque, j.turn()).filter(s -> !s.isEmpty()).collect(Collectors.joining(", or "));
        return j.onThread() + "; " + figures + (j.makers() ? " (the maker: " : " (ours: ") + j.source() + ")";
    }

    private static void joints(Document document, Plumbed.PlumbedLine l, Speech speech) throws DocumentException {
        PdfPTable table = Paper.table(new float[] {6, 5, 6});
        for (Plumbed.JointDocument j : l.joints()) {
            table.addCell(Paper.cell(j.between(), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(Paper.cell(
                    j.words() + (j.tight() ? "" : " DOES NOT SEAL: " + j.whyNot()), Paper.TEXT, Element.ALIGN_LEFT));
            table.addCell(Paper.cell(tightened(j, speech), Paper.TEXT, Element.ALIGN_LEFT));
        }
        document.add(table);
    }
}
