package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayInputStream;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What is filed is found by whatever somebody remembers of it, and taken along. */
class FindingTest extends ServerCase {
    @TempDir
    private Path scans;

    private static String encoded(String line) {
        return URLEncoder.encode(line, StandardCharsets.UTF_8);
    }

    private static JsonNode find(Api who, String line) throws Exception {
        return who.get("/api/archive?q=" + encoded(line));
    }

    private static List<String> values(JsonNode found, String field) {
        List<String> values = new ArrayList<>();
        for (JsonNode document : found.get("found")) {
            for (JsonNode f : document.get("fields")) {
                if (f.get("name").asString().equals(field)) {
                    values.add(f.get("value").asString());
                }
            }
        }
        return values;
    }

    @Test
    void whatIsFiledIsFoundAtOnceByWhateverIsRememberedAndTakenAlong() throws Exception {
        Api reader = api("i.ravenel", "merrow-reader");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 83);
        String no = bring("dues-letters", stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        String in = "batch:" + no + " ";
        List<String> vessels =
                stack.documents().stream().map(d -> d.fields().get("vessel")).toList();
        String one = vessels.get(0);

        JsonNode all = find(reader, in + "type:letter");
        assertThat(all.get("total").asInt()).isEqualTo(3);
        assertThat(values(find(reader, in + "vessel:" + one.substring(4)), "vessel"))
                .as("half a number")
                .contains(one);
        assertThat(values(find(reader, in + "-vessel:" + one), "vessel"))
                .as("all but one")
                .containsExactlyInAnyOrderElementsOf(
                        vessels.stream().filter(v -> !v.equals(one)).toList());
        assertThat(values(reader.get("/api/archive?q=" + encoded(in) + "&sort=-vessel"), "vessel"))
                .isSortedAccordingTo((a, b) -> b.compareTo(a));
        assertThat(find(reader, in + "filed:..2001").get("total").asInt()).isZero();
        assertThat(find(reader, in + "harbour")
                        .get("found")
                        .get(0)
                        .get("hit")
                        .get("line")
                        .asString())
                .as("the line as it stands on the paper")
                .containsIgnoringCase("harbour");

        String off = one.substring(0, 4) + (one.charAt(4) == '9' ? '1' : '9') + one.substring(5);
        if (!vessels.contains(off)) {
            JsonNode near = find(reader, in + "vessel:" + off);
            assertThat(values(near, "vessel")).contains(one);
            assertThat(near.get("understood").get(1).get("instead").get(0).asString())
                    .isEqualTo(one);
        }
        assertThat(find(reader, "+-\"(").get("found")).isEmpty();
        assertThat(find(reader, "+-\"(").get("understood").get(0).get("nothing").asBoolean())
                .isTrue();

        JsonNode offered = reader.get("/api/archive/suggestions?q=" + encoded("quay vessel:" + one.substring(0, 4)));
        assertThat(offered)
                .extracting(o -> o.get("line").asString())
                .contains("quay vessel:=" + one)
                .allMatch(line -> line.startsWith("quay vessel:="));
        assertThat(reader.get("/api/archive/suggestions?q=vess")
                        .get(0)
                        .get("line")
                        .asString())
                .isEqualTo("vessel:");

        takenAlong(reader, all, in);
    }

    private void takenAlong(Api reader, JsonNode all, String in) throws Exception {
        String table = new String(reader.bytes("/api/archive/results.csv?q=" + encoded(in)), StandardCharsets.UTF_8);
        assertThat(table.lines()).hasSize(4).first().asString().startsWith("Type,Batch,Filed,By,Pages,Vessel");
        List<String> ids = new ArrayList<>();
        int pages = 0;
        for (JsonNode document : all.get("found")) {
            ids.add(document.get("id").asString());
            pages += document.get("pageCount").asInt();
        }
        String these = "?ids=" + String.join(",", ids);
        try (var pdf = Loader.loadPDF(reader.bytes("/api/archive/files.pdf" + these))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(pages);
        }
        List<String> names = new ArrayList<>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(reader.bytes("/api/archive/files.zip" + these)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                names.add(entry.getName());
                assertThat(new String(zip.readNBytes(5), StandardCharsets.US_ASCII))
                        .isEqualTo("%PDF-");
            }
        }
        assertThat(names).hasSize(3).doesNotHaveDuplicates();
        assertThatThrownBy(() -> reader.get("/api/archive/files.pdf?ids=")).hasMessageContaining("between one and");
        assertThatThrownBy(() -> find(reader, "a1 ".repeat(60))).hasMessageContaining("more than 50 words");
        assertThatThrownBy(() -> reader.get("/api/archive?from=20000")).hasMessageContaining("Narrow the search");
        JsonNode page = reader.get("/api/archive/" + ids.get(0) + "/pages/1/text");
        assertThat(page).anyMatch(line -> line.get("text").asString().contains("Harbour Master"));
    }

    @Test
    void searchesAreKeptByName() throws Exception {
        Api reader = api("i.ravenel", "merrow-reader");
        var mine = Map.of("name", " Open dues ", "line", "dues -paid", "sort", "-amount");
        assertThat(reader.put("/api/archive/searches", mine)).hasSize(1);
        JsonNode kept = reader.get("/api/archive/searches").get(0);
        assertThat(kept.get("name").asString()).isEqualTo("Open dues");
        assertThat(kept.get("sort").asString()).isEqualTo("-amount");
        assertThat(operator.get("/api/archive/searches")).isEmpty();
        assertThatThrownBy(() -> reader.put("/api/archive/searches", Map.of("name", " ", "line", "x", "sort", "")))
                .hasMessageContaining("name");
        assertThat(reader.delete("/api/archive/searches?name=Open%20dues")).isEmpty();
    }
}
