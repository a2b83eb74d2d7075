package jalon.core.output;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.oned.Code128Writer;
import jalon.core.mark.PatchTable;
import jalon.core.page.Millimetres;
import java.io.IOException;
import java.io.OutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/**
 * Prints a batch header sheet: A4, a patch code T across the leading edge, for scanners and copiers that part their jobs by
 * it, and a barcode (Code 128) that says stream and counts.
 */
public final class HeaderSheet {
    private static final float MM = (float) (1 / Millimetres.PER_POINT);
    private static final String PATCH = "T";
    private static final float WIDE = 0.20f * 72;
    private static final float NARROW = 0.08f * 72;

    /** A narrow bar of 0.4 mm is read at 200 dpi, skewed and faint. */
    private static final float MODULE_MM = 0.4f;

    private HeaderSheet() {}

    /**
     * @param barcode what the sheet's barcode says, see {@link jalon.core.split.BatchHeader}
     * @param title of the stream, for people
     * @param counts in words, for people; may be empty
     */
    public static void write(String barcode, String title, String counts, OutputStream out) throws IOException {
        try (PDDocument pdf = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A4);
            pdf.addPage(page);
            pdf.getDocumentInformation().setTitle("Batch header: " + title);
            try (var pen = new PDPageContentStream(pdf, page)) {
                patch(pen, page.getMediaBox());
                barcode(pen, barcode, page.getMediaBox().getHeight() - 120 * MM);
                float y = page.getMediaBox().getHeight() - 160 * MM;
                text(pen, 26, y, Standard14Fonts.FontName.HELVETICA_BOLD, title);
                text(pen, 16, y - 14 * MM, Standard14Fonts.FontName.HELVETICA, counts);
                text(
                        pen,
                        11,
                        y - 26 * MM,
                        Standard14Fonts.FontName.HELVETICA,
                        "Batch header sheet. Lay it on top of the stack;" + " it is not counted and not filed.");
                text(pen, 11, y - 33 * MM, Standard14Fonts.FontName.COURIER, barcode);
            }
            pdf.save(out);
        }
    }

    private static void patch(PDPageContentStream pen, PDRectangle paper) throws IOException {
        float y = paper.getHeight() - 12 * MM;
        for (char bar : PatchTable.bars(PATCH).toCharArray()) {
            float height = bar == 'W' ? WIDE : NARROW;
            y -= height;
            pen.addRect(20 * MM, y, paper.getWidth() - 40 * MM, height);
            y -= NARROW;
        }
        pen.fill();
    }

    private static void barcode(PDPageContentStream pen, String value, float y) throws IOException {
        BitMatrix bars = new Code128Writer().encode(value, BarcodeFormat.CODE_128, 0, 1);
        float module = Math.min(MODULE_MM * MM, 180 * MM / bars.getWidth());
        float x = 15 * MM;
        for (int i = 0; i < bars.getWidth(); i++) {
            if (bars.get(i, 0)) {
                pen.addRect(x + i * module, y, module, 25 * MM);
            }
        }
        pen.fill();
    }

    private static void text(PDPageContentStream pen, float size, float y, Standard14Fonts.FontName font, String text)
            throws IOException {
        pen.beginText();
        pen.setFont(new PDType1Font(font), size);
        pen.newLineAtOffset(20 * MM, y);
        // The built-in fonts have no more than Latin 1; the barcode carries what matters.
        pen.showText(text.replaceAll("[^\\x20-\\x7E\\xA0-\\xFF]", "?"));
        pen.endText();
    }
}
