package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.core.run.ConfirmedReport;
import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A stream is made from sample pages, tried on them, and goes live; what is begun is nobody's batch. */
class WorkbenchTest extends ServerCase {
    @Autowired
    private JdbcTemplate database;

    @Test
    void aStreamIsMadeFromSamplesAndGoesLive() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        JsonNode draft = supervisor.post("/api/workbench", Map.of("title", "Berths anew"));
        String bench = "/api/workbench/" + draft.get("stream").asString();
        String samples = supervisor.post(bench + "/samples", Map.of()).get("no").asString();
        assertThat(supervisor.post(bench + "/samples", Map.of()).get("no").asString())
                .as("a stream has one batch of samples")
                .isEqualTo(samples);
        var stack = Paper.berthApplications(scans, Harbour.portMerrow(), 4, 931);
        for (Path file : stack.files()) {
            supervisor.upload("/api/batches/" + samples + "/files", file);
        }
        await().until(() -> tried(supervisor, bench, draft.get("definition").asString(), samples)
                        .get("unread")
                        .asInt()
                == 0);
        assertThat(supervisor.get("/api/board").findValuesAsString("no"))
                .as("nobody works on samples")
                .doesNotContain(samples);

        ObjectNode definition = (ObjectNode)
                JsonMapper.builder().build().readTree(draft.get("definition").asString());
        take(definition, supervisor.get(bench + "/proposals?batch=" + samples));
        JsonNode kept = supervisor.put(bench, Map.of("json", definition.toString(), "revision", 1));
        assertThat(kept.get("revision").asInt()).isEqualTo(2);
        assertThatThrownBy(() -> supervisor.put(bench, Map.of("json", "{}", "revision", 1)))
                .as("somebody else has changed it")
                .hasMessageContaining("409");
        JsonNode tried = tried(supervisor, bench, definition.toString(), samples);
        assertThat(tried.get("papers")).hasSize(4);
        assertThat(tried.get("papers").get(0).get("values").size()).isGreaterThan(2);
        int page = tried.get("papers").get(0).get("pages").get(0).asInt();
        JsonNode drawn = supervisor.post(
                bench + "/box", Map.of("batch", samples, "page", page, "box", new double[] {0, 0, 210, 297}));
        assertThat(drawn.get("text").asString()).contains("berth");

        rightIsSaid(supervisor, bench, definition.toString(), samples, tried.get("papers"));

        JsonNode live = supervisor.post(bench + "/live", Map.of("revision", 2, "note", "from four samples"));
        assertThat(live.get("version").asInt()).isEqualTo(1);
        assertThat(supervisor
                        .get("/api/streams/" + live.get("name").asString() + "/versions")
                        .get(0)
                        .get("note")
                        .asString())
                .isEqualTo("from four samples");
        String no = bring(live.get("name").asString(), stack.files());
        assertThat(operator.get("/api/batches/" + no).get("documents")).hasSize(4);
        assertThat(supervisor.get(bench).get("samples").asString())
                .as("they stay with the stream")
                .isEqualTo(samples);
    }

    /** What is other than somebody said is right is told, for values and for where papers begin. */
    private static void rightIsSaid(Api supervisor, String bench, String json, String samples, JsonNode papers)
            throws Exception {
        JsonNode first = papers.get(0);
        String field = first.get("values").propertyNames().iterator().next();
        var asRead =
                Map.of("pages", first.get("pages"), "type", first.get("type").asString(), "values", Map.of());
        supervisor.put(bench + "/right", asRead);
        assertThat(tried(supervisor, bench, json, samples).get("wrong")).isEmpty();
        var longer = List.of(
                first.get("pages").get(0).asInt(),
                papers.get(1).get("pages").get(0).asInt());
        supervisor.put(
                bench + "/right",
                Map.of("pages", longer, "type", first.get("type").asString(), "values", Map.of(field, "other")));
        JsonNode wrong = tried(supervisor, bench, json, samples);
        assertThat(wrong.get("wrong").findValuesAsString("what")).containsExactly("cut", "value");
        assertThat(wrong.get("papers").get(0).get("right").get(field).asString())
                .isEqualTo("other");
        supervisor.delete(bench + "/right/" + longer.get(0));
        assertThat(tried(supervisor, bench, json, samples).get("wrong")).isEmpty();
        assertThatThrownBy(() -> supervisor.put(bench + "/right", Map.of("pages", List.of(999), "type", "paper")))
                .hasMessageContaining("noReadablePage");
        assertThatThrownBy(() -> supervisor.put(bench + "/right", Map.of("pages", List.of())))
                .hasMessageContaining("422");
    }

    @Test
    void whatIsNoStreamIsKeptAndToldAndDoesNotGoLive() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        JsonNode draft = supervisor.post("/api/workbench", Map.of("title", "Half said"));
        String bench = "/api/workbench/" + draft.get("stream").asString();
        supervisor.put(bench, Map.of("json", "{\"jalon\": 1, \"types\": [", "revision", 1));
        assertThat(supervisor.get(bench).get("draft").get("definition").asString())
                .isEqualTo("{\"jalon\": 1, \"types\": [");
        assertThatThrownBy(() -> supervisor.post(bench + "/live", Map.of("revision", 2)))
                .hasMessageContaining("JSON");
        String samples = supervisor.post(bench + "/samples", Map.of()).get("no").asString();
        supervisor.delete(bench);
        assertThatThrownBy(() -> supervisor.get(bench)).hasMessageContaining("404");
        assertThat(supervisor.get("/api/batches/" + samples).get("stage").asString())
                .as("what was being read for it goes on being read")
                .isEqualTo("intake");
        assertThatThrownBy(() -> operator.get("/api/workbench")).hasMessageContaining("403");
    }

    @Test
    void aDraftIsHeldAgainstWhatPeopleConfirmed() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        String stream = supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", "Replayed letters"))
                .get("name")
                .asString();
        String bench = "/api/workbench/" + stream;
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 933);
        String no = bring(stream, stack.files());
        String json = supervisor.get(bench).get("draft").get("definition").asString();
        assertThat(replayed(supervisor, bench, json).get("of").asInt())
                .as("nobody has confirmed anything yet")
                .isZero();
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        Map<String, byte[]> taken = entries(supervisor.bytes(bench + "/confirmed.zip?days=1"));
        var report = JsonMapper.shared().readValue(taken.get(no + "/report.json"), ConfirmedReport.class);
        assertThat(report.confirmed())
                .as("taken along with what people confirmed, to be replayed elsewhere")
                .hasSize(3)
                .allSatisfy(paper -> assertThat(paper.texts().get("vessel")).startsWith("PM-"));
        assertThat(report.pages()).allSatisfy(page -> assertThat(taken).containsKey(no + "/" + page.file()));
        JsonNode watch = supervisor.get("/api/streams/" + stream + "/watch");
        assertThat(watch.get("weeks").get(0).get("documents").asInt()).isEqualTo(3);
        assertThat(watch.get("corrected").findValuesAsString("batch"))
                .as("what was corrected names its paper")
                .allMatch(no::equals);
        JsonNode same = replayed(supervisor, bench, json).get("done");
        assertThat(same.findValuesAsString("batch")).containsExactly(no);
        assertThat(same.get(0).get("places"))
                .as("the same stream does the same")
                .isEmpty();
        ObjectNode other = (ObjectNode) JsonMapper.builder().build().readTree(json);
        other.putObject("cut").putArray("rules").addObject().put("by", "pages").put("every", 100);
        JsonNode kept = supervisor.put(bench, Map.of("json", other.toString(), "revision", 0));
        int revision = kept.get("revision").asInt();
        assertThatThrownBy(() -> supervisor.post(bench + "/live", Map.of("revision", revision, "note", "so be it")))
                .as("it was tried on no page")
                .hasMessageContaining("untried");
        JsonNode worse = replayed(supervisor, bench, other.toString()).get("done");
        assertThat(worse.get(0).get("places")).anySatisfy(place -> {
            assertThat(place.get("what").asString()).isEqualTo("cut");
            assertThat(place.get("worse").asBoolean()).isTrue();
            assertThat(place.get("afterDid").asString()).isEqualTo("sureAndWrong");
        });
        assertThatThrownBy(() -> supervisor.post(bench + "/live", Map.of("revision", revision, "note", " ")))
                .as("what was seen to be worse needs a word")
                .hasMessageContaining("409");
        var why = Map.of("revision", revision, "note", "the letters come one by one from now on");
        assertThat(supervisor.post(bench + "/live", why).get("version").asInt()).isEqualTo(2);
        assertThat(operator.get("/api/batches/" + no).get("stage").asString())
                .as("nothing of it is touched")
                .isEqualTo("done");
        papersThatAreReadBadlyOfLateAreMadeALayout(supervisor, stream, no, json);
    }

    private void papersThatAreReadBadlyOfLateAreMadeALayout(Api supervisor, String stream, String no, String json)
            throws Exception {
        long batch = Long.parseLong(no.substring(2));
        for (int before = 101; before <= 120; before++) {
            database.update(
                    "insert into field_outcome (batch_id, document, stream, type, field, filed_on, finder, value,"
                            + " certainty, sure, held, correct, reasons) select batch_id, ?, stream, type, field,"
                            + " filed_on - interval 30 day, finder, value, 1, true, false, true, '' from field_outcome"
                            + " where batch_id = ? and document = 1",
                    before,
                    batch);
        }
        database.update(
                "update field_outcome set sure = false, correct = false, reasons = 'hardToRead'"
                        + " where batch_id = ? and document <= 3",
                batch);
        String type = supervisor
                .get("/api/streams/" + stream + "/watch")
                .get("drifting")
                .get(0)
                .get("type")
                .asString();
        String bench = "/api/workbench/" + stream;
        JsonNode alike = supervisor.get(bench + "/types/" + type + "/drifting");
        List<Map<String, Object>> papers = alike.findValues("papers").stream()
                .flatMap(JsonNode::valueStream)
                .map(p -> Map.<String, Object>of(
                        "batch",
                        p.get("batch").asString(),
                        "document",
                        p.get("document").asInt()))
                .toList();
        assertThat(papers).hasSize(3);
        assertThatThrownBy(() -> supervisor.post(bench + "/layouts", Map.of("title", " ", "papers", papers)))
                .hasMessageContaining("layoutNeedsName");
        JsonNode made = supervisor.post(bench + "/layouts", Map.of("title", "Letter of 2027", "papers", papers));
        assertThat(supervisor
                        .post(bench + "/layouts", Map.of("title", "Letter of 2027", "papers", papers))
                        .get("page")
                        .asInt())
                .as("done twice it is the same")
                .isEqualTo(made.get("page").asInt());
        await().until(() -> supervisor
                        .get("/api/streams/" + stream + "/samples")
                        .get("lesson")
                        .path("version")
                        .asInt()
                > 0);
        JsonNode its = supervisor.get("/api/streams/" + stream + "/samples").get("types");
        assertThat(its.findValuesAsString("variant"))
                .containsOnly("Letter of 2027")
                .hasSize(3);
        JsonNode trial = supervisor.post(
                bench + "/try", Map.of("json", json, "batch", made.get("batch").asString()));
        assertThat(trial.get("papers"))
                .as("it is known again in the workbench, where each paper begins as it did")
                .hasSize(3)
                .allSatisfy(paper -> assertThat(paper.get("variant").asString()).isEqualTo("Letter of 2027"));
    }

    /** A draft held against all that people confirmed. */
    private static JsonNode replayed(Api supervisor, String bench, String json) throws Exception {
        supervisor.post(bench + "/replay", Map.of("json", json, "most", 20, "days", 0));
        await().until(() -> !supervisor.get(bench + "/replay").get("running").asBoolean());
        return supervisor.get(bench + "/replay");
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new HashMap<>();
        try (var in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private static JsonNode tried(Api supervisor, String bench, String json, String batch) throws Exception {
        return supervisor.post(bench + "/try", Map.of("json", json, "batch", batch));
    }

    /** All that is proposed. */
    private static void take(ObjectNode definition, JsonNode proposed) {
        ArrayNode types = definition.putArray("types");
        for (JsonNode one : proposed) {
            JsonNode proposal = one.get("proposal");
            JsonNode part = proposal.get("part");
            switch (proposal.get("what").asString()) {
                case "stream" -> definition.setAll((ObjectNode) part);
                case "cut" -> ((ArrayNode) definition.withObject("cut").withArray("rules")).add(part);
                case "type" -> types.add(part);
                default ->
                    ((ObjectNode) types.get(types.size() - 1))
                            .withArray("fields")
                            .add(part);
            }
        }
    }
}
