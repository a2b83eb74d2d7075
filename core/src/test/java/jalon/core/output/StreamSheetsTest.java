package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import jalon.core.image.GrayPlane;
import jalon.core.mark.Mark;
import jalon.core.mark.Marks;
import jalon.core.split.BatchHeader;
import jalon.core.stream.StakeRule.Opens;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StreamSheetsTest {
    private static StreamDefinition stream(String rules) throws Exception {
        return Streams.parse(
                "{\"jalon\": 1, \"stream\": \"files\", \"title\": \"Personal files \u2013 \u010dist\u00fd\","
                        + " \"pages\": {\"placeholder\": \"PLAN-9999\"}, \"cut\": {\"rules\": [" + rules + "]},"
                        + " \"types\": [{\"type\": \"letter\", \"fields\": []}], \"destinations\": []}");
    }

    private static final String PATCHES =
            "{\"by\": \"patch\", \"codes\": {\"2\": \"document\", \"3\": \"group\", \"1\": \"batch\"}}";

    /** Printed, scanned and read. @param turned how the sheet went through the feeder, clockwise */
    private static List<Mark> scanned(ControlSheet sheet, ControlSheet.Paper paper, int turned, double skew)
            throws Exception {
        var out = new ByteArrayOutputStream();
        ControlSheets.write(List.of(sheet), paper, out);
        try (var pdf = Loader.loadPDF(out.toByteArray())) {
            var scan = GrayPlane.of(new PDFRenderer(pdf).renderImageWithDPI(0, 200), 200)
                    .turned(turned)
                    .rotated(skew);
            return Marks.found(scan).upright(0, false);
        }
    }

    @ParameterizedTest
    @CsvSource({"A4, 0, 0", "A4, 180, 1.2", "LETTER, 90, -1", "LETTER, 270, 0.5"})
    void whatIsPrintedIsReadFromAScanOfItInAnyDirection(ControlSheet.Paper paper, int turned, double skew)
            throws Exception {
        StreamDefinition stream = stream(PATCHES);
        for (Opens what : Opens.values()) {
            String code = switch (what) {
                case DOCUMENT -> "2";
                case GROUP -> "3";
                case BATCH -> "1";
            };
            assertThat(scanned(StreamSheets.opening(stream, what).orElseThrow(), paper, turned, skew))
                    .extracting(Mark::kind, Mark::value)
                    .containsExactly(tuple(Mark.Kind.PATCH, code));
        }
        var header = new BatchHeader("files", 118, 22);
        assertThat(scanned(StreamSheets.header(stream, header.barcode(), header.counts()), paper, turned, skew))
                .extracting(Mark::value)
                .containsExactlyInAnyOrder("T", header.barcode());
        assertThat(scanned(StreamSheets.gap(stream, 47).orElseThrow(), paper, turned, skew))
                .extracting(Mark::value)
                .containsExactly("PLAN-0047");
    }

    @Test
    void aCoverSheetOfEachRowSaysItsValueWhateverItsLetters() throws Exception {
        List<Map<String, String>> rows = List.of(
                Map.of("no", "K-1042", "name", "Ewa Lindqvist"),
                Map.of("no", "\u0141\u00d3D\u0179-7", "name", "Micha\u0142 Overlund"),
                Map.of("no", "", "name", "nobody"));
        List<ControlSheet> sheets =
                StreamSheets.covers(stream(PATCHES), rows, "no", "name").orElseThrow();
        assertThat(sheets).extracting(ControlSheet::title).containsExactly("Ewa Lindqvist", "Micha\u0142 Overlund");
        List<String> read = new ArrayList<>();
        for (ControlSheet sheet : sheets) {
            scanned(sheet, ControlSheet.Paper.A4, 180, 0.7).forEach(m -> read.add(m.value()));
        }
        assertThat(read).containsExactlyInAnyOrder("K-1042", "2", "\u0141\u00d3D\u0179-7", "2");
    }

    @Test
    void gapsAreNumberedAndTheOthersAllAlike() throws Exception {
        StreamDefinition stream = stream(PATCHES);
        assertThat(StreamSheets.known(stream)).containsExactly(StreamSheets.Kind.values());
        assertThat(StreamSheets.copies(stream, StreamSheets.Kind.GAP, 3))
                .extracting(ControlSheet::barcode)
                .containsExactly("PLAN-0001", "PLAN-0002", "PLAN-0003");
        assertThat(StreamSheets.copies(stream, StreamSheets.Kind.GROUP, 3))
                .hasSize(3)
                .containsOnly(StreamSheets.opening(stream, Opens.GROUP).orElseThrow());
    }

    @Test
    void aStreamWithoutARuleForThemHasNoSheets() throws Exception {
        StreamDefinition stream = stream("{\"by\": \"pages-alone\"}");
        assertThat(StreamSheets.known(stream)).containsExactly(StreamSheets.Kind.HEADER, StreamSheets.Kind.GAP);
        assertThat(StreamSheets.copies(stream, StreamSheets.Kind.DOCUMENT, 2)).isEmpty();
        assertThat(StreamSheets.opening(stream, Opens.DOCUMENT)).isEmpty();
        assertThat(StreamSheets.covers(stream, List.of(Map.of("no", "1")), "no", null))
                .isEmpty();
    }
}
