package jalon.core.output;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.oned.Code128Writer;
import com.google.zxing.qrcode.QRCodeWriter;
import jalon.core.mark.PatchTable;
import jalon.core.page.Millimetres;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * Prints control sheets as a PDF, one a page. A patch code stands along both short edges, each to be read from its own edge;
 * a value is a Code 128, or a QR Code where it is too long for one or has letters that it cannot carry.
 */
public final class ControlSheets {
    private static final float MM = (float) (1 / Millimetres.PER_POINT);
    private static final float WIDE = 0.20f * 72;
    private static final float NARROW = 0.08f * 72;
    private static final float MARGIN = 20 * MM;

    /** From the edge of the paper to the first bar of a patch code. */
    private static final float PATCH_FROM_EDGE = 12 * MM;

    /** A narrow bar of 0.4 mm is read at 200 dpi, skewed and faint; finer than 0.25 mm is not. */
    private static final float MODULE = 0.4f * MM;

    private static final float LEAST_MODULE = 0.25f * MM;
    private static final float BARCODE_HIGH = 25 * MM;
    private static final float QR_SIDE = 42 * MM;
    private static final float TITLE_SIZE = 28;
    private static final float LINE_SIZE = 13;

    private ControlSheets() {}

    /** @throws IllegalArgumentException when there is no sheet */
    public static void write(List<ControlSheet> sheets, ControlSheet.Paper paper, OutputStream out) throws IOException {
        if (sheets.isEmpty()) {
            throw new IllegalArgumentException("no sheet to print");
        }
        try (PDDocument pdf = new PDDocument()) {
            PDFont print = font(pdf);
            pdf.getDocumentInformation().setTitle(sheets.get(0).title());
            for (ControlSheet sheet : sheets) {
                PDPage page = new PDPage(paper.size);
                pdf.addPage(page);
                try (var pen = new PDPageContentStream(pdf, page)) {
                    draw(sheet, paper.size, print, pen);
                }
            }
            pdf.save(out);
        }
    }

    /** Liberation Sans, which comes with the PDF library: letters of most of Europe. */
    private static PDFont font(PDDocument pdf) throws IOException {
        try (InputStream in =
                PDDocument.class.getResourceAsStream("/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf")) {
            return PDType0Font.load(pdf, in);
        }
    }

    private static void draw(ControlSheet sheet, PDRectangle paper, PDFont print, PDPageContentStream pen)
            throws IOException {
        if (sheet.patch() != null) {
            String bars = PatchTable.bars(sheet.patch());
            float top = paper.getHeight() - PATCH_FROM_EDGE;
            float bottom = PATCH_FROM_EDGE;
            for (char bar : bars.toCharArray()) {
                float high = bar == 'W' ? WIDE : NARROW;
                pen.addRect(MARGIN, top - high, paper.getWidth() - 2 * MARGIN, high);
                pen.addRect(MARGIN, bottom, paper.getWidth() - 2 * MARGIN, high);
                top -= high + NARROW;
                bottom += high + NARROW;
            }
            pen.fill();
        }
        float width = paper.getWidth() - 2 * MARGIN;
        text(pen, print, sheet.title(), TITLE_SIZE, paper.getHeight() - 62 * MM, width);
        float y = paper.getHeight() - 76 * MM;
        for (String line : sheet.lines()) {
            text(pen, print, line, LINE_SIZE, y, width);
            y -= 8 * MM;
        }
        if (sheet.barcode() != null) {
            float middle = paper.getHeight() - (float) sheet.barcodeMm() * MM;
            float under = barcode(pen, sheet.barcode(), paper, middle);
            text(pen, print, sheet.barcode(), LINE_SIZE, under - 8 * MM, width);
        }
    }

    /** @return where it ends below */
    private static float barcode(PDPageContentStream pen, String value, PDRectangle paper, float middle)
            throws IOException {
        if (value.chars().allMatch(c -> c >= ' ' && c <= '~')) {
            BitMatrix bars = new Code128Writer().encode(value, BarcodeFormat.CODE_128, 0, 1);
            float module = Math.min(MODULE, (paper.getWidth() - 2 * MARGIN) / bars.getWidth());
            if (module >= LEAST_MODULE) {
                float x = (paper.getWidth() - module * bars.getWidth()) / 2;
                for (int i = 0; i < bars.getWidth(); i++) {
                    if (bars.get(i, 0)) {
                        pen.addRect(x + i * module, middle - BARCODE_HIGH / 2, module, BARCODE_HIGH);
                    }
                }
                pen.fill();
                return middle - BARCODE_HIGH / 2;
            }
        }
        matrix(pen, value, paper, middle);
        return middle - QR_SIDE / 2;
    }

    private static void matrix(PDPageContentStream pen, String value, PDRectangle paper, float middle)
            throws IOException {
        BitMatrix cells;
        try {
            cells = new QRCodeWriter()
                    .encode(
                            value,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.CHARACTER_SET, StandardCharsets.UTF_8, EncodeHintType.MARGIN, 0));
        } catch (WriterException e) {
            throw new IllegalArgumentException("too long for a barcode: " + value, e);
        }
        float cell = QR_SIDE / cells.getWidth();
        float x = (paper.getWidth() - QR_SIDE) / 2;
        for (int row = 0; row < cells.getHeight(); row++) {
            for (int i = 0; i < cells.getWidth(); i++) {
                if (cells.get(i, row)) {
                    pen.addRect(x + i * cell, middle + QR_SIDE / 2 - (row + 1) * cell, cell, cell);
                }
            }
        }
        pen.fill();
    }

    /** Smaller where it would not fit into the width. */
    private static void text(PDPageContentStream pen, PDFont font, String text, float size, float y, float width)
            throws IOException {
        String shown = printable(font, text);
        float wide = font.getStringWidth(shown) / 1000 * size;
        pen.beginText();
        pen.setFont(font, wide > width ? size * width / wide : size);
        pen.newLineAtOffset(MARGIN, y);
        pen.showText(shown);
        pen.endText();
    }

    /** Letters that the font does not have become question marks; the barcode carries what matters. */
    private static String printable(PDFont font, String text) {
        var shown = new StringBuilder();
        text.codePoints().forEach(c -> {
            String letter = Character.toString(c);
            try {
                font.encode(letter);
                shown.append(letter);
            } catch (IOException | IllegalArgumentException e) {
                shown.append('?');
            }
        });
        return shown.toString();
    }
}
