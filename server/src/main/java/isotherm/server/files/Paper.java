package isotherm.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.FontFactory;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.ColumnText;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfPageEventHelper;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;

/** What all printed documents have in common. */
final class Paper {
    static final Font TITLE = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 17);
    static final Font HEAD = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 12);
    static final Font TEXT = FontFactory.getFont(FontFactory.HELVETICA, 10);
    static final Font STRONG = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 10);
    static final float MARGIN = 44;

    static final Font SMALL = FontFactory.getFont(FontFactory.HELVETICA, 8);

    private Paper() {}

    /** Something that is written into a PDF. */
    interface Content {
        void write(Document document, PdfWriter writer) throws DocumentException;
    }

    static byte[] pdf(String title, Content content) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN);
        PdfWriter writer = PdfWriter.getInstance(document, out);
        writer.setPageEvent(new Foot(title));
        document.addTitle(title);
        document.open();
        Paragraph head = new Paragraph(title, TITLE);
        head.setSpacingAfter(8);
        document.add(head);
        content.write(document, writer);
        document.close();
        return out.toByteArray();
    }

    static void heading(Document document, String text) {
        Paragraph p = new Paragraph(text, HEAD);
        p.setSpacingBefore(12);
        p.setSpacingAfter(5);
        document.add(p);
    }

    static PdfPTable table(float[] widths) {
        PdfPTable table = new PdfPTable(widths);
        table.setWidthPercentage(100);
        table.setSpacingAfter(6);
        return table;
    }

    static void row(PdfPTable table, String name, String value, Font font) {
        table.addCell(cell(name, font, Element.ALIGN_LEFT));
        table.addCell(cell(value, font, Element.ALIGN_RIGHT));
    }

    static PdfPCell cell(String text, Font font, int align) {
        PdfPCell cell = new PdfPCell(new Phrase(text, font));
        cell.setBorder(Rectangle.BOTTOM);
        cell.setBorderWidth(0.4f);
        cell.setPaddingTop(3);
        cell.setPaddingBottom(5);
        cell.setHorizontalAlignment(align);
        return cell;
    }

    /** Title and page at the foot of each page: sheets get apart on a bench. */
    private static final class Foot extends PdfPageEventHelper {
        private final String title;

        Foot(String title) {
            this.title = title;
        }

        @Override
        public void onEndPage(PdfWriter writer, Document document) {
            ColumnText.showTextAligned(
                    writer.getDirectContent(),
                    Element.ALIGN_LEFT,
                    new Phrase(title + ", page " + writer.getPageNumber(), SMALL),
                    document.left(),
                    document.bottom() - 16,
                    0);
        }
    }
}
