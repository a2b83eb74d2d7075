package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.server.filing.FiledCheck;
import jalon.standins.FileServerStandIn;
import jalon.standins.ProgramStandIn;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents filed in a place of the organisation's that somebody else looks after. */
class PlacesTest extends ServerCase {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    private Path folder;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private FiledCheck checks;

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
        assertThat(supervisor.get("/api/places"))
                .filteredOn(p -> p.get("name").asString().equals("office"))
                .singleElement()
                .extracting(p -> p.get("streams").get(0).asString())
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
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/filing/take-back", Map.of("why", "wrong")))
                .hasMessageContaining("Something went to");
        whatIsFiledIsLookedAtAgain(no);
    }

    private void whatIsFiledIsLookedAtAgain(String no) throws Exception {
        assertThat(deliveries(no).get(0).get("checked").get("found").asString()).isEqualTo("same");
        Path one = office.folder().resolve(filed().get(0));
        byte[] before = Files.readAllBytes(one);
        Files.writeString(one, "somebody else's");
        Path other = office.folder().resolve(filed().get(1));
        Files.delete(other);
        operator.post("/api/batches/" + no + "/filing/check", Map.of());
        await().untilAsserted(() -> assertThat(lookedAt(no)).containsExactly("changed", "gone"));
        assertThat(supervisor.get("/api/filed-troubles"))
                .extracting(trouble -> trouble.get("batch").asString())
                .containsExactly(no, no);
        Files.write(one, before);
        Files.write(other, before);
        operator.post("/api/batches/" + no + "/filing/check", Map.of());
        await().untilAsserted(() -> assertThat(lookedAt(no)).containsExactly("same", "changed"));
        assertThat(supervisor.get("/api/filed-troubles")).hasSize(1);
    }

    /** Files at a place that was down stayed first of those due, and there were always as many as are looked at in an hour. */
    @Test
    void aPlaceThatIsDownKeepsFilesElsewhereFromNoLook() throws Exception {
        supervisor.put("/api/places/upstairs", settings());
        String stream = filing("shelf-letters", "Letters to office and shelf", """
                [{"destination":"office","to":"place","place":"upstairs","folder":"Dues","file":"{batch}-{no:000}"},
                 {"destination":"shelf","to":"folder","folder":"Shelf","file":"{batch}-{no:000}"}]""");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 71);
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        database.update(
                "update delivery_file f join delivery d on d.id = f.delivery_id set f.checked_at ="
                        + " if(d.destination = 'office', '2000-01-01', '2001-01-01') where d.batch_id = ?",
                Long.parseLong(no.substring(2)));
        office.close();
        checks.lookAgain(Instant.parse("2002-01-01T00:00:00Z"), 1);
        assertThat(deliveries(no))
                .extracting(d -> d.get("destination").asString() + " "
                        + d.get("checked").get("at").asString().startsWith("200"))
                .containsExactlyInAnyOrder("office true", "shelf false");
    }

    private List<String> lookedAt(String no) throws Exception {
        List<String> found = new ArrayList<>();
        deliveries(no).forEach(d -> found.add(d.get("checked").get("found").asString()));
        return found;
    }

    /** One that is told more of a document than its files, and cannot be asked what it was given. */
    @Test
    void aProgramIsGivenDocumentsAndToldTheirValues() throws Exception {
        try (ProgramStandIn program = ProgramStandIn.start(0, "merrow-secret")) {
            supervisor.put("/api/places/ledger", JSON.readValue(program.settings(), Map.class));
            String stream = filing("ledger-letters", "Letters to the ledger", """
                    [{"destination":"ledger","to":"place","place":"ledger","formats":["pdf","json"],
                      "properties":{"account":"{type} {no:000}","nothing":"{amount}"}}]""");
            var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 67);
            String no = bring(stream, stack.files());
            settleTheRest(no, stack);
            operator.post("/api/batches/" + no + "/filing", Map.of());
            awaitStage(no, "done");
            assertThat(program.arrived()).hasSize(1);
            JsonNode data = JSON.readTree(program.arrived().get(0).data());
            assertThat(data.get("batch").asString()).isEqualTo(no);
            assertThat(data.get("properties").get("account").asString()).endsWith(" 001");
            assertThat(program.arrived().get(0).files()).hasSize(2);
            assertThat(lookedAt(no)).containsExactly("notKept");
        }
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
        return filing("office-letters", "Letters to the office", """
                [{"destination":"office","to":"place","place":"office","folder":"Dues","file":"{batch}-{no:000}"}]""");
    }

    private String filing(String name, String title, String destinations) throws Exception {
        var stream = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/dues-letters.json")));
        stream.put("stream", name).put("title", title);
        stream.set("destinations", JSON.readTree(destinations));
        supervisor.post("/api/streams", Map.of("json", JSON.writeValueAsString(stream)));
        return name;
    }
}
