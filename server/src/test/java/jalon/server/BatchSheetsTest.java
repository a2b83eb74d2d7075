package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Sheets that Jalon prints, laid into a stack. */
class BatchSheetsTest extends ServerCase {
    private static final String PAGE = "page";
    private static final String STREAM = """
            {"jalon": 1, "stream": "case-files", "title": "Case files",
             "cut": {"rules": [{"by": "patch", "codes": {"2": "document", "3": "group", "1": "batch"}}],
                     "groups": {"title": "Case"}},
             "types": [{"type": "paper", "title": "Paper", "fields": []}],
             "destinations": [{"destination": "archive", "to": "archive"}]}
            """;

    @Test
    void aBatchSheetPartsWhatOneFeedingBroughtInAndNoPageIsLost() throws Exception {
        api("t.vane", "merrow-supervisor").post("/api/streams", Map.of("json", STREAM));
        Path stack = stack(List.of(
                sheet("DOCUMENT"), PAGE, sheet("BATCH"), PAGE, PAGE, sheet("GROUP"), PAGE, sheet("BATCH"), PAGE));
        String no = operator.bring("case-files", List.of(stack));
        leftIntake(no);
        List<JsonNode> parts = parts();
        assertThat(parts).extracting(b -> b.get("pages").asInt()).containsExactlyInAnyOrder(2, 5, 2);
        for (JsonNode row : parts) {
            JsonNode batch = operator.get("/api/batches/" + row.get("no").asString());
            List<Integer> numbers = new ArrayList<>();
            batch.get("pages").forEach(p -> numbers.add(p.get("no").asInt()));
            assertThat(numbers)
                    .isEqualTo(java.util.stream.IntStream.rangeClosed(1, numbers.size())
                            .boxed()
                            .toList());
            assertThat(batch.get("ledger").get("received").asInt()).isEqualTo(numbers.size());
            operator.bytes("/api/batches/" + row.get("no").asString() + "/pages/2/picture?width=200");
        }
        String log = operator.get("/api/batches/" + no + "/log").toString();
        assertThat(log).contains("splitOff");
    }

    private static String sheet(String kind) {
        return "/api/streams/case-files/sheets?kind=" + kind;
    }

    private List<JsonNode> parts() {
        List<JsonNode> parts = new ArrayList<>();
        await().until(() -> {
            parts.clear();
            for (JsonNode row : operator.get("/api/board").get("batches")) {
                if (row.get("stream").asString().equals("case-files")
                        && !row.get("stage").asString().equals("intake")) {
                    parts.add(row);
                }
            }
            return parts.size() == 3;
        });
        return parts;
    }

    private Path stack(List<String> sheets) throws Exception {
        Path file = scans.resolve("stack.pdf");
        var merger = new PDFMergerUtility();
        merger.setDestinationFileName(file.toString());
        for (String sheet : sheets) {
            byte[] bytes = sheet.equals(PAGE) ? page() : operator.bytes(sheet);
            merger.addSource(new RandomAccessReadBuffer(bytes));
        }
        merger.mergeDocuments(null);
        return file;
    }

    private static byte[] page() throws Exception {
        try (var pdf = new PDDocument()) {
            var page = new PDPage(PDRectangle.A4);
            pdf.addPage(page);
            try (var pen = new PDPageContentStream(pdf, page)) {
                pen.beginText();
                pen.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 14);
                pen.newLineAtOffset(90, 600);
                pen.showText("The mooring was inspected and found to be sound.");
                pen.endText();
            }
            var out = new ByteArrayOutputStream();
            pdf.save(out);
            return out.toByteArray();
        }
    }
}
