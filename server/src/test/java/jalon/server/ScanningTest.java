package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.ScannerStandIn;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Stacks from a network scanner, with everything that goes wrong with them. */
class ScanningTest extends ServerCase {
    private ScannerStandIn scanner;
    private long device;

    @BeforeEach
    void plugIn() throws Exception {
        scanner = ScannerStandIn.start(0);
        Api supervisor = api("t.vane", "merrow-supervisor");
        device = supervisor
                .post(
                        "/api/channels",
                        Map.of(
                                "name",
                                "scanner " + scanner.address(),
                                "settings",
                                Map.of("kind", "scanner", "address", scanner.address())))
                .get("id")
                .asLong();
    }

    @AfterEach
    void unplug() {
        scanner.close();
    }

    @Test
    void aDuplexStackArrivesSheetBySheetAndTheSettingsAreRemembered() throws Exception {
        scanner.load("dues-letters", 3, 7, false);
        int sheets = scanner.sheets();
        JsonNode can = deviceSeen();
        assertThat(can.get("model").asString()).contains("Merrow");
        assertThat(can.get("dpi").toString()).isEqualTo("[150,200,300]");
        String no = start(Map.of("stream", "dues-letters"), true);
        JsonNode state = until(no, "empty");
        assertThat(state.get("sheets").asInt()).isEqualTo(sheets);
        assertThat(state.get("pages").asInt()).isEqualTo(2 * sheets);
        operator.post("/api/batches/" + no + "/arrived", Map.of());
        leftIntake(no);
        JsonNode batch = operator.get("/api/batches/" + no);
        assertThat(batch.get("pages").get(1).get("sheet").asInt()).isEqualTo(1);
        assertThat(batch.get("pages").get(1).get("side").asString()).isEqualTo("back");
        assertThat(batch.get("ledger").get("blank").asInt()).as("empty backs").isEqualTo(sheets);
        assertThat(batch.get("documents")).hasSize(3);
        JsonNode last = deviceSeen().get("last");
        assertThat(last.get("duplex").asBoolean()).isTrue();
        assertThat(last.get("dpi").asInt()).isEqualTo(150);
    }

    @ParameterizedTest
    @CsvSource({
        "JAM,false,has jammed",
        "JAM,true,has jammed",
        "DOUBLE_FEED,false,more than one sheet",
        "COVER_OPEN,false,cover is open",
        "CUT_SHORT,false,cut short",
        "CUT_SHORT,true,cut short",
        "GONE,true,does not answer"
    })
    void afterAFaultGoingOnNeitherLosesNorDoublesASheet(ScannerStandIn.Fault fault, boolean duplex, String said)
            throws Exception {
        scanner.load("dues-letters", 3, 9, false);
        int sheets = scanner.sheets();
        scanner.fail(fault, 1);
        String no = start(Map.of("stream", "dues-letters"), duplex);
        JsonNode state = until(no, "fault");
        assertThat(told(state)).containsIgnoringCase(said);
        assertThat(state.get("sheets").asInt()).isEqualTo(1);
        assertThat(state.get("sheets").asInt()).isEqualTo(1);
        scanner.attend();
        operator.post("/api/scans/" + no + "/continue", Map.of());
        state = until(no, "empty");
        assertThat(state.get("sheets").asInt()).isEqualTo(sheets);
        operator.post("/api/batches/" + no + "/arrived", Map.of());
        leftIntake(no);
        JsonNode batch = operator.get("/api/batches/" + no);
        assertThat(batch.get("documents")).hasSize(3);
        int kept = 0;
        for (JsonNode page : batch.get("pages")) {
            kept += page.get("role").asString().equals("setAside") ? 0 : 1;
        }
        assertThat(kept).isEqualTo(duplex ? 2 * sheets : sheets);
    }

    @Test
    void aPageScannedAgainTakesTheOldOnesPlaceAndMoreSheetsGoWhereTheyBelong() throws Exception {
        scanner.load("dues-letters", 2, 13, false);
        String no = start(Map.of("stream", "dues-letters"), false);
        until(no, "empty");
        operator.post("/api/batches/" + no + "/arrived", Map.of());
        leftIntake(no);
        int pages = operator.get("/api/batches/" + no).get("pages").size();
        int documents = operator.get("/api/batches/" + no).get("documents").size();

        scanner.load("dues-letters", 1, 13, false);
        start(Map.of("batch", no, "replaces", 1), false);
        until(no, "empty");
        await().until(() -> operator.get("/api/batches/" + no).get("pages").size() > pages);
        JsonNode batch = operator.get("/api/batches/" + no);
        assertThat(batch.get("pages").get(0).get("no").asInt()).isEqualTo(1);
        assertThat(batch.get("pages").get(0).get("role").asString()).isEqualTo("setAside");
        assertThat(batch.get("pages").get(1).get("no").asInt()).isGreaterThan(pages);
        assertThat(batch.get("documents").size()).isGreaterThanOrEqualTo(documents);
        assertThat(batch.get("documents").get(0).get("pages").get(0).asInt()).isGreaterThan(pages);
    }

    @Test
    void sheetsScannedForAFiledDocumentGoOnIt() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 94);
        String filed = bring("dues-letters", stack.files());
        settleTheRest(filed, stack);
        operator.post("/api/batches/" + filed + "/filing", Map.of());
        awaitStage(filed, "done");
        JsonNode found =
                operator.get("/api/archive?q=batch:" + filed).get("found").get(0);

        scanner.load("dues-letters", 1, 13, false);
        int sheets = scanner.sheets();
        String more = start(Map.of("document", found.get("id").asLong()), false);
        until(more, "empty");
        operator.post("/api/batches/" + more + "/arrived", Map.of());
        awaitStage(more, "filing");
        JsonNode batch = operator.get("/api/batches/" + more);
        assertThat(batch.get("continues").get("batch").asString()).isEqualTo(filed);
        operator.post("/api/batches/" + more + "/filing", Map.of());
        awaitStage(more, "done");
        JsonNode now =
                operator.get("/api/archive?q=batch:" + filed).get("found").get(0);
        assertThat(now.get("version").asInt()).isEqualTo(2);
        assertThat(now.get("pageCount").asInt())
                .isEqualTo(found.get("pageCount").asInt() + sheets);
    }

    @Test
    void aDeviceThatIsGoneOrTalksNonsenseIsToldWithWhatToDo() throws Exception {
        scanner.fail(ScannerStandIn.Fault.NONSENSE, 0);
        assertThat(words(deviceSeen().get("problem"))).contains("not a scanner", "Check the address");
        scanner.fail(ScannerStandIn.Fault.GONE, 0);
        assertThat(words(deviceSeen().get("problem"))).contains("switched on");
        String no = start(Map.of("stream", "dues-letters"), false);
        assertThat(until(no, "fault").get("sheets").asInt()).isZero();
        scanner.attend();
        scanner.load("dues-letters", 4, 9, false);
        scanner.fail(ScannerStandIn.Fault.ENDLESS, 0);
        operator.post("/api/scans/" + no + "/continue", Map.of());
        await().until(() -> operator.get("/api/scans/" + no).get("pages").asInt() > 2);
        operator.post("/api/scans/" + no + "/stop", Map.of());
        assertThat(told(until(no, "stopped"))).contains("Stopped after sheet");
    }

    @Test
    void theFlatbedGivesOnePageAtATimeAndGoesOn() throws Exception {
        scanner.load("dues-letters", 2, 13, false);
        Map<String, Object> wanted = Map.of(
                "scanner", device, "stream", "dues-letters", "settings", Map.of("source", "flatbed", "dpi", 150));
        String no = operator.post("/api/scans", wanted).get("no").asString();
        assertThat(until(no, "empty").get("sheets").asInt()).isEqualTo(1);
        operator.post("/api/scans/" + no + "/continue", Map.of());
        await().until(() -> operator.get("/api/scans/" + no).get("sheets").asInt() == 2);
        assertThat(operator.get("/api/batches/" + no + "/arriving")).hasSize(2);
    }

    @Test
    void whoFeedsThePaperSeesWhatItsBarcodesSay() throws Exception {
        scanner.load("berth-applications", 2, 3, false);
        String no = start(Map.of("stream", "berth-applications"), false);
        until(no, "empty");
        await().untilAsserted(() -> assertThat(operator.get("/api/batches/" + no + "/arriving"))
                .filteredOn(page -> !page.get("says").isEmpty())
                .isNotEmpty()
                .allSatisfy(
                        page -> assertThat(page.get("says").get(0).get("value").asString())
                                .matches("PM-\\d{4}-[A-Z]")));
        assertThat(operator.get("/api/batches/" + no).get("stage").asString()).isEqualTo("intake");
    }

    @Test
    void whatTheStreamFixesIsNotForTheOperatorToChoose() throws Exception {
        assertThatThrownBy(() -> start(Map.of(), false)).hasMessageContaining("which stream");
        scanner.load("berth-applications", 1, 3, false);
        String no = start(Map.of("stream", "berth-applications"), false);
        JsonNode state = until(no, "empty");
        assertThat(state.get("settings").get("colour").asString()).isEqualTo("bitonal");
        assertThat(state.get("settings").get("dpi").asInt()).isEqualTo(300);
    }

    private JsonNode deviceSeen() throws Exception {
        for (JsonNode d : operator.get("/api/scanners")) {
            if (d.get("id").asLong() == device) {
                return d;
            }
        }
        throw new AssertionError("the scanner is not listed");
    }

    private String start(Map<String, Object> what, boolean duplex) throws Exception {
        Map<String, Object> wanted = new LinkedHashMap<>(what);
        wanted.put("scanner", device);
        wanted.put(
                "settings", Map.of("source", "feeder", "dpi", 150, "colour", "grey", "duplex", duplex, "size", "A4"));
        return operator.post("/api/scans", wanted).get("no").asString();
    }

    private JsonNode until(String no, String standing) {
        return await().until(
                        () -> operator.get("/api/scans/" + no),
                        s -> List.of(standing).contains(s.get("standing").asString()));
    }

    private static String told(JsonNode state) {
        return words(state.get("trouble"));
    }
}
