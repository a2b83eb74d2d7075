package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.image.GrayPlane;
import jalon.core.image.ImageFacts;
import jalon.core.mark.Mark;
import jalon.core.mark.Marks;
import jalon.core.read.PageFacts;
import jalon.core.split.BatchHeader;
import java.io.ByteArrayOutputStream;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HeaderSheetTest {
    /** Printed, scanned a little askew at either resolution, and read back. */
    @ParameterizedTest
    @CsvSource({"200, 0", "200, 1.2", "300, -1.5"})
    void whatIsPrintedIsReadBackFromAScanOfIt(int dpi, double skew) throws Exception {
        var header = new BatchHeader("licence-renewals", 118, 22);
        var out = new ByteArrayOutputStream();
        HeaderSheet.write(header.barcode(), "Licence renewals – čistý", header.counts(), out);
        try (var pdf = Loader.loadPDF(out.toByteArray())) {
            var scan = GrayPlane.of(new PDFRenderer(pdf).renderImageWithDPI(0, dpi), dpi)
                    .rotated(skew);
            List<Mark> marks = Marks.found(scan).upright(0, true);
            assertThat(marks)
                    .anyMatch(m -> m.kind() == Mark.Kind.PATCH && m.value().equals("T"));
            var facts = new PageFacts(
                    1,
                    "x",
                    1,
                    "00",
                    new ImageFacts(
                            new ImageFacts.Size(210, 297),
                            new ImageFacts.Density(dpi, true),
                            new ImageFacts.Pose(skew, 0),
                            0.02,
                            List.of(),
                            List.of(),
                            List.of(),
                            null),
                    marks,
                    List.of());
            assertThat(BatchHeader.on(facts)).contains(header);
        }
    }
}
