package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Streams are taken along whole and brought in as drafts; papers of batches become samples; batches go on by newer versions. */
class StreamFilesTest extends ServerCase {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static String copied(Api supervisor, String title) throws Exception {
        return supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", title))
                .get("name")
                .asString();
    }

    private static JsonNode tried(Api supervisor, String stream, String samples) throws Exception {
        String json = supervisor
                .get("/api/workbench/" + stream)
                .get("draft")
                .get("definition")
                .asString();
        return supervisor.post("/api/workbench/" + stream + "/try", Map.of("json", json, "batch", samples));
    }

    @Test
    void aPaperOfABatchIsKeptAsASampleAndAStreamIsTakenAlongWhole() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        String stream = copied(supervisor, "Taken along");
        String bench = "/api/workbench/" + stream;
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 941);
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        JsonNode second = operator.get("/api/batches/" + no + "?fields=true")
                .get("documents")
                .get(1);
        int page = second.get("pages").get(0).asInt();
        JsonNode kept = supervisor.post(bench + "/samples/papers", Map.of("batch", no, "page", page));
        assertThat(kept.get("pages").size()).isEqualTo(second.get("pages").size());
        assertThat(kept.get("values").get("vessel"))
                .isEqualTo(second.get("fields").get("vessel").get("value"));
        assertThatThrownBy(() -> supervisor.post(bench + "/samples/papers", Map.of("batch", no, "page", page)))
                .as("once is enough")
                .hasMessageContaining("sampleAlready");
        String samples = supervisor.get(bench).get("samples").asString();
        JsonNode tried = tried(supervisor, stream, samples);
        assertThat(tried.get("papers").get(0).get("right").get("vessel"))
                .isEqualTo(kept.get("values").get("vessel"));
        assertThat(tried.get("unread").asInt()).as("nothing is read again").isZero();
        assertThatThrownBy(() -> supervisor.post(
                        "/api/workbench/berth-applications/samples/papers", Map.of("batch", no, "page", page)))
                .hasMessageContaining("otherStream");

        supervisor.upload("/api/batches/" + samples + "/files", stack.files().get(0));
        await().until(() -> tried(supervisor, stream, samples).get("unread").asInt() == 0);
        int own = kept.get("pages").size() + 1;
        var answer = Map.of("pages", List.of(own), "type", "dues-letter", "values", Map.of("vessel", "PM-1111-A"));
        supervisor.put(bench + "/right", answer);
        byte[] zip = supervisor.bytes(bench + "/versions/1/export.zip");
        JsonNode brought = supervisor.upload("/api/workbench/import?title=From%20elsewhere", "taken.zip", zip);
        assertThat(brought.get("stream").asString()).isEqualTo("from-elsewhere");
        assertThat(brought.get("samples").asInt())
                .as("the file that was brought as a sample, not the paper of the batch")
                .isEqualTo(tried(supervisor, stream, samples).get("pages").size()
                        - kept.get("pages").size());
        assertThat(brought.get("missing").isEmpty()).isTrue();
        String there = "/api/workbench/from-elsewhere";
        assertThat(supervisor.get(there).get("newest").asInt())
                .as("it is a draft")
                .isZero();
        String its = supervisor.get(there).get("samples").asString();
        await().until(() ->
                tried(supervisor, "from-elsewhere", its).get("unread").asInt() == 0);
        assertThat(tried(supervisor, "from-elsewhere", its)
                        .get("papers")
                        .get(0)
                        .get("right")
                        .get("vessel")
                        .asString())
                .isEqualTo("PM-1111-A");
        assertThatThrownBy(() -> supervisor.upload("/api/workbench/import?title=From%20elsewhere", "again.zip", zip))
                .hasMessageContaining("draftIsThere");
    }

    @Test
    void whatIsNoExportOrANewerOneIsRefusedAndLeavesNothing() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        String json = supervisor.get("/api/streams/dues-letters").toString();
        ObjectNode asking = (ObjectNode) JSON.readTree(json);
        asking.put("stream", "asks-for-more").put("title", "Asks for more");
        ((ObjectNode) asking.get("types").get(0).get("fields").get(0))
                .putArray("checks")
                .addObject()
                .put("check", "inRegister")
                .put("register", "nobody-has-it")
                .put("column", "registration");
        assertThatThrownBy(() -> bringIn(supervisor, zip(2, json))).hasMessageContaining("bundleFromNewer");
        assertThatThrownBy(() -> bringIn(supervisor, zip(1, "{\"jalon\": 2}"))).hasMessageContaining("newer");
        assertThatThrownBy(() -> bringIn(supervisor, "PK nothing".getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("noBundle");
        assertThatThrownBy(() -> bringIn(supervisor, zip(1, asking.toString(), "001 gone.tif")))
                .hasMessageContaining("noBundle");
        assertThatThrownBy(() -> bringIn(supervisor, damaged(asking.toString())))
                .as("a file in it was damaged on its way")
                .hasMessageContaining("sourceBroke");
        assertThat(supervisor.get("/api/workbench").findValuesAsString("stream"))
                .as("a file of it is missing: nothing of it is here")
                .doesNotContain("asks-for-more");
        JsonNode alone = bringIn(supervisor, asking.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(alone.get("missing").get("nobody-has-it").get(0).asString()).isEqualTo("registration");
        supervisor.delete("/api/workbench/asks-for-more");
    }

    private static JsonNode bringIn(Api supervisor, byte[] file) throws Exception {
        return supervisor.upload("/api/workbench/import", "export", file);
    }

    /** An export with a sample whose bytes are no longer what they were. */
    private static byte[] damaged(String json) throws Exception {
        var bytes = new ByteArrayOutputStream();
        try (var out = new ZipOutputStream(bytes)) {
            out.putNextEntry(new ZipEntry("bundle.json"));
            out.write(JSON.writeValueAsBytes(Map.of("jalon", 1, "samples", List.of("001 page.tif"))));
            out.putNextEntry(new ZipEntry("stream.json"));
            out.write(json.getBytes(StandardCharsets.UTF_8));
            out.putNextEntry(new ZipEntry("samples/001 page.tif"));
            out.write("a page that will be damaged".repeat(400).getBytes(StandardCharsets.UTF_8));
        }
        byte[] zip = bytes.toByteArray();
        int at = new String(zip, StandardCharsets.ISO_8859_1).indexOf("samples/001 page.tif") + 24;
        zip[at] ^= 0x55;
        zip[at + 5] ^= 0x55;
        return zip;
    }

    private static byte[] zip(int form, String json, String... samples) throws Exception {
        var bytes = new ByteArrayOutputStream();
        try (var out = new ZipOutputStream(bytes)) {
            out.putNextEntry(new ZipEntry("bundle.json"));
            out.write(JSON.writeValueAsBytes(Map.of("jalon", form, "stream", "x", "samples", samples)));
            out.putNextEntry(new ZipEntry("stream.json"));
            out.write(json.getBytes(StandardCharsets.UTF_8));
        }
        return bytes.toByteArray();
    }

    @Test
    void papersThatAreKeptAsSamplesBeginThereAsTheyDid() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        var stack = Paper.licenceRenewals(scans, Harbour.portMerrow(), 2, 943);
        String no = bring("licence-renewals", stack.files());
        String bench = "/api/workbench/licence-renewals";
        for (JsonNode document : operator.get("/api/batches/" + no).get("documents")) {
            int page = document.get("pages").get(0).asInt();
            supervisor.post(bench + "/samples/papers", Map.of("batch", no, "page", page));
        }
        String samples = supervisor.get(bench).get("samples").asString();
        JsonNode tried = tried(supervisor, "licence-renewals", samples);
        assertThat(tried.get("papers")).hasSize(2);
        assertThat(tried.get("pages").size())
                .as("the sheets between them came along")
                .isEqualTo(operator.get("/api/batches/" + no).get("pages").size());
    }

    @Test
    void aBatchGoesOnByANewerVersionWithItsDifferencesSeenFirst() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        String stream = copied(supervisor, "Goes on");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 942);
        String no = bring(stream, stack.files());
        String at = "/api/batches/" + no + "/version";
        assertThat(supervisor.get(at).get("newest").asInt()).isEqualTo(1);
        ObjectNode other = (ObjectNode) supervisor.get("/api/streams/" + stream);
        other.putObject("cut").putArray("rules").addObject().put("by", "pages").put("every", 100);
        supervisor.post("/api/streams", Map.of("json", other.toString()));
        JsonNode newer = supervisor.get(at);
        assertThat(newer.get("says").findValuesAsString("what")).contains("rule");
        assertThat(newer.get("documents").asInt()).isEqualTo(2);
        assertThat(newer.get("documentsThen").asInt()).isEqualTo(1);
        assertThat(newer.get("readAgain").asBoolean()).isFalse();
        assertThatThrownBy(() -> supervisor.post(at, Map.of("version", 7))).hasMessageContaining("versionCame");
        assertThatThrownBy(() -> operator.post(at, Map.of("version", 2))).hasMessageContaining("403");
        supervisor.post(at, Map.of("version", 2));
        assertThat(operator.get("/api/batches/" + no).get("documents")).hasSize(1);
        other.put("language", "Latin");
        supervisor.post("/api/streams", Map.of("json", other.toString()));
        assertThat(supervisor.get(at).get("readAgain").asBoolean()).isTrue();
        supervisor.post(at, Map.of("version", 3));
        await().until(() ->
                operator.get("/api/batches/" + no).get("pages").get(0).get("image") != null);
        assertThat(supervisor.get(at).get("version").asInt()).isEqualTo(3);
    }
}
