package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A stream is made from sample pages, tried on them, and goes live; what is begun is nobody's batch. */
class WorkbenchTest extends ServerCase {
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
        supervisor.delete(bench);
        assertThatThrownBy(() -> supervisor.get(bench)).hasMessageContaining("404");
        assertThatThrownBy(() -> operator.get("/api/workbench")).hasMessageContaining("403");
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
