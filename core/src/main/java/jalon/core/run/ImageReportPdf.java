package jalon.core.run;

import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.Repair;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/** The image report to print or keep: a line for each page with the figures that are looked at most, and what was done. */
public final class ImageReportPdf {
    private static final List<Measure> SHOWN = List.of(
            Measure.SKEW,
            Measure.BLUR,
            Measure.CONTRAST,
            Measure.DARKNESS,
            Measure.UNEVEN,
            Measure.SPECKS,
            Measure.EDGE,
            Measure.CORNER,
            Measure.CUT_OFF,
            Measure.RESOLUTION);
    private static final float MARGIN = 36;
    private static final float LINE = 13;
    private static final float FIRST_FIGURE = 170;
    private static final float FIGURE = 47;
    private static final float SIZE = 7.5f;

    private final PDDocument pdf;
    private final PDFont plain = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
    private final PDFont bold = new PDType1Font(Standard14Fonts.FontName.HELVETICA_BOLD);
    private final String title;
    private PDPageContentStream out;
    private float y;

    private ImageReportPdf(PDDocument pdf, String title) {
        this.pdf = pdf;
        this.title = title;
    }

    /** @param title such as the batch's number and stream */
    public static byte[] of(String title, PageRules rules, BatchView view, Map<Integer, PageFacts> facts)
            throws IOException {
        try (PDDocument pdf = new PDDocument()) {
            var report = new ImageReportPdf(pdf, title);
            Fitness fitness = new Fitness(rules, List.copyOf(facts.values()));
            report.begin();
            for (BatchView.PageView page : view.pages()) {
                report.page(rules, page, facts.get(page.no()), fitness);
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
        for (int i = 0; i < SHOWN.size(); i++) {
            String unit = SHOWN.get(i).unit();
            write(bold, SIZE, FIRST_FIGURE + i * FIGURE, SHOWN.get(i).json() + (unit.isEmpty() ? "" : " " + unit));
        }
        write(bold, SIZE, FIRST_FIGURE + SHOWN.size() * FIGURE, "Done");
        y -= LINE;
    }

    private void page(PageRules rules, BatchView.PageView page, PageFacts facts, Fitness fitness) throws IOException {
        List<String> done = done(page);
        if (y - LINE * Math.max(1, done.size()) < MARGIN) {
            out.close();
            begin();
        }
        write(plain, SIZE, MARGIN, Integer.toString(page.no()));
        write(plain, SIZE, MARGIN + 30, ImageReport.standing(page));
        for (Measured m : fitness.figures(facts)) {
            int column = SHOWN.indexOf(m.what());
            if (column >= 0) {
                boolean beyond = m.what().breaks(m.figure(), rules.limit(m.what()));
                String figure = String.format(java.util.Locale.ROOT, "%.2f", m.figure()) + (beyond ? " !" : "");
                write(beyond ? bold : plain, SIZE, FIRST_FIGURE + column * FIGURE, figure);
            }
        }
        for (String line : done) {
            write(plain, SIZE, FIRST_FIGURE + SHOWN.size() * FIGURE, line);
            y -= LINE;
        }
        y -= done.isEmpty() ? LINE : 0;
    }

    private static List<String> done(BatchView.PageView page) {
        var image = page.image();
        List<String> done = new ArrayList<>();
        if (!image.repairs().isEmpty()) {
            done.add(String.join(
                    ", ", image.repairs().stream().map(Repair::named).toList()));
        }
        if (image.acceptedBy() != null) {
            done.add("accepted by " + image.acceptedBy());
        }
        if (image.askedBecause() != null) {
            done.add("asked again: " + image.askedBecause());
        }
        return done;
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
