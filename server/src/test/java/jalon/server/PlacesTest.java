package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.FileServerStandIn;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents filed in a place of the organisation's that somebody else looks after. */
class PlacesTest extends ServerCase {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    private Path folder;

    private FileServerStandIn office;
    private Api supervisor;

    @BeforeEach
    void serve() throws Exception {
        office = FileServerStandIn.start(0, folder, "merrow");
        supervisor = api("t.vane", "merrow-supervisor");
    }

    @AfterEach
    void close() throws Exception {
        office.close();
    }

    @SuppressWarnings("unchecked")
    private Map<String, Object> settings() {
        return new HashMap<>(JSON.readValue(office.settings(), Map.class));
    }

    private List<String> filed() throws Exception {
        try (Stream<Path> all = Files.walk(office.folder())) {
            return all.filter(Files::isRegularFile)
                    .map(f -> office.folder().relativize(f).toString())
                    .sorted()
                    .toList();
        }
    }

    @Test
    void aPlaceIsTriedSavedWithItsPasswordSealedAndUsed() throws Exception {
        Map<String, Object> unsaid = settings();
        unsaid.put("hostKey", null);
        assertThatThrownBy(() -> supervisor.post("/api/places/office/try", unsaid))
                .hasMessageContaining(office.hostKey())
                .hasMessageContaining("Compare that");
        supervisor.post("/api/places/office/try", settings());
        assertThat(filed()).as("the trial leaves nothing").isEmpty();
        assertThatThrownBy(() -> operator.post("/api/places/office/try", settings()))
                .hasMessageContaining("role");

        JsonNode saved = supervisor.put("/api/places/office", settings());
        assertThat(saved.get("settings").get("password").isNull()).isTrue();
        Map<String, Object> again = settings();
        again.remove("password");
        supervisor.put("/api/places/office", again);
        supervisor.post("/api/places/office/try", again);

        String stream = filingThere();
        assertThat(supervisor.get("/api/places").get(0).get("streams").get(0).asString())
                .isEqualTo("Letters to the office");
        assertThatThrownBy(() -> supervisor.delete("/api/places/office")).hasMessageContaining("Letters to the office");

        office.password("changed");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 61);
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        await().untilAsserted(() -> assertThat(reasons(no)).contains("does not let jalon in"));
        assertThat(filed()).isEmpty();
        office.password("merrow");
        // By itself, when its pause is over.
        awaitStage(no, "done");
        assertThat(filed()).hasSize(2).allMatch(f -> f.startsWith("Dues/") && f.endsWith(".pdf"));
    }

    private JsonNode deliveries(String no) throws Exception {
        return operator.get("/api/batches/" + no + "/filing").get("deliveries");
    }

    private String reasons(String no) throws Exception {
        StringBuilder all = new StringBuilder();
        for (JsonNode delivery : deliveries(no)) {
            JsonNode reason = delivery.get("reason");
            all.append(reason == null || reason.isNull() ? "" : words(reason));
        }
        return all.toString();
    }

    /** The dues letters, to the office alone. */
    private String filingThere() throws Exception {
        var stream = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/dues-letters.json")));
        stream.put("stream", "office-letters").put("title", "Letters to the office");
        stream.set("destinations", JSON.readTree("""
                [{"destination":"office","to":"place","place":"office","folder":"Dues","file":"{batch}-{no:000}"}]"""));
        supervisor.post("/api/streams", Map.of("json", JSON.writeValueAsString(stream)));
        return "office-letters";
    }
}
