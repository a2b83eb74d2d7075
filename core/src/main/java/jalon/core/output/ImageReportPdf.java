package jalon.core.output;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/** The image report to print or keep: a line for each page with its figures, and what was done. */
public final class ImageReportPdf {
    private static final float MARGIN = 36;
    private static final float LINE = 13;
    private static final float FIRST_FIGURE = 170;
    private static final float FIGURE = 47;
    private static final float SIZE = 7.5f;

    /** @param beyond whether it is on the wrong side of its limit */
    public record Cell(String text, boolean beyond) {
        /** A figure that could not be taken. */
        public static final Cell EMPTY = new Cell("", false);
    }

    /**
     * One page's line.
     *
     * @param no of the page
     * @param standing what became of it, such as {@code document 3}
     * @param figures one for each column
     * @param done what was done about it, a line each
     */
    public record Row(int no, String standing, List<Cell> figures, List<String> done) {}

    private final PDDocument pdf;
    private final PDFont plain = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
    private final PDFont bold = new PDType1Font(Standard14Fonts.FontName.HELVETICA_BOLD);
    private final String title;
    private final List<String> columns;
    private PDPageContentStream out;
    private float y;

    private ImageReportPdf(PDDocument pdf, String title, List<String> columns) {
        this.pdf = pdf;
        this.title = title;
        this.columns = columns;
    }

    /**
     * @param title such as the batch's number and stream
     * @param columns names of the figures; ten fit
     */
    public static byte[] of(String title, List<String> columns, List<Row> rows) throws IOException {
        try (PDDocument pdf = new PDDocument()) {
            var report = new ImageReportPdf(pdf, title, columns);
            report.begin();
            for (Row row : rows) {
                report.page(row);
            }
            report.out.close();
            var bytes = new ByteArrayOutputStream();
            pdf.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void begin() throws IOException {
        var page = new PDPage(new PDRectangle(PDRectangle.A4.getHeight(), PDRectangle.A4.getWidth()));
        pdf.addPage(page);
        out = new PDPageContentStream(pdf, page);
        y = page.getMediaBox().getHeight() - MARGIN;
        write(bold, 12, MARGIN, "Image report: " + title);
        y -= 2 * LINE;
        write(bold, SIZE, MARGIN, "Page");
        write(bold, SIZE, MARGIN + 30, "Standing");
        for (int i = 0; i < columns.size(); i++) {
            write(bold, SIZE, FIRST_FIGURE + i * FIGURE, columns.get(i));
        }
        write(bold, SIZE, FIRST_FIGURE + columns.size() * FIGURE, "Done");
        y -= LINE;
    }

    private void page(Row row) throws IOException {
        if (y - LINE * Math.max(1, row.done().size()) < MARGIN) {
            out.close();
            begin();
        }
        write(plain, SIZE, MARGIN, Integer.toString(row.no()));
        write(plain, SIZE, MARGIN + 30, row.standing());
        for (int i = 0; i < columns.size(); i++) {
            Cell cell = row.figures().get(i);
            write(
                    cell.beyond() ? bold : plain,
                    SIZE,
                    FIRST_FIGURE + i * FIGURE,
                    cell.beyond() ? cell.text() + " !" : cell.text());
        }
        for (String line : row.done()) {
            write(plain, SIZE, FIRST_FIGURE + columns.size() * FIGURE, line);
            y -= LINE;
        }
        y -= row.done().isEmpty() ? LINE : 0;
    }

    /** Letters that the standard fonts do not have become question marks: names are never dropped. */
    private void write(PDFont font, float size, float x, String text) throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x, y);
        out.showText(text.replaceAll("[^\\x20-\\x7E\\u00A0-\\u00FF]", "?"));
        out.endText();
    }
}
