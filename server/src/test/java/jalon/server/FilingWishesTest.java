package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.server.live.RecurringWork;
import jalon.standins.MailStandIn;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Names changed and destinations left out by hand before a batch is filed. */
class FilingWishesTest extends ServerCase {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    private Path scans;

    @Autowired
    private JalonSettings settings;

    @Autowired
    private List<RecurringWork> recurring;

    @Autowired
    private JdbcTemplate database;

    private JsonNode wish(String no, int document, String path, String leftOut) throws Exception {
        Map<String, Object> wish = new HashMap<>();
        wish.put("document", document);
        wish.put("destination", "accounts");
        wish.put("path", path);
        wish.put("leftOut", leftOut);
        return operator.post("/api/batches/" + no + "/filing/wish", wish);
    }

    private static JsonNode delivery(JsonNode plan, int document, String destination) {
        for (JsonNode delivery : plan.get("deliveries")) {
            if (delivery.get("document").asInt() == document
                    && delivery.get("destination").asString().equals(destination)) {
                return delivery;
            }
        }
        throw new AssertionError("document " + document + " does not go to " + destination);
    }

    @Test
    void aNameIsChangedAndADestinationLeftOutBeforeAnythingIsFiled() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 71);
        String no = bring("dues-letters", stack.files());
        settleTheRest(no, stack);
        JsonNode before = operator.get("/api/batches/" + no + "/filing");
        String streams = delivery(before, 1, "accounts").get("path").asString();

        JsonNode named = wish(no, 1, "By hand//Letter: one ", null);
        assertThat(delivery(named, 1, "accounts").get("path").asString()).isEqualTo("By hand/Letter- one");
        assertThat(delivery(named, 1, "archive").get("path"))
                .isEqualTo(delivery(before, 1, "archive").get("path"));
        assertThat(delivery(wish(no, 1, null, null), 1, "accounts").get("path").asString())
                .as("taken back")
                .isEqualTo(streams);
        wish(no, 1, "By hand/Letter: one", null);
        assertThatThrownBy(() -> wish(no, 2, null, " ")).hasMessageContaining("Say why");
        assertThatThrownBy(() -> wish(no, 2, "long/".repeat(100) + "name", null))
                .hasMessageContaining("more shortly");
        JsonNode left = delivery(wish(no, 2, null, "sent to them by post"), 2, "accounts");
        assertThat(left.get("state").asString()).isEqualTo("leftOut");
        assertThat(left.get("saidWhy").asString()).isEqualTo("sent to them by post");

        JsonNode filed = operator.post("/api/batches/" + no + "/filing", Map.of());
        assertThat(delivery(filed, 2, "accounts").get("saidWhy").asString()).isEqualTo("sent to them by post");
        awaitStage(no, "done");
        JsonNode done = operator.get("/api/batches/" + no + "/filing");
        assertThat(delivery(done, 1, "accounts").get("path").asString()).isEqualTo("By hand/Letter- one");
        assertThat(delivery(done, 2, "accounts").get("state").asString()).isEqualTo("leftOut");
        assertThat(delivery(done, 2, "archive").get("state").asString()).isEqualTo("done");
        assertThat(done.get("ledger").get("open").asInt()).isZero();
        assertThatThrownBy(() -> wish(no, 1, "Other", null)).hasMessageContaining("is filed");
    }

    @Test
    void aDocumentHeldBackGoesNowhereUntilItIsReleasedAndTheOthersDoNotWait() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 406);
        String no = bring("dues-letters", stack.files());
        settleTheRest(no, stack);
        assertThatThrownBy(() -> holdBack(no, 2, " ")).hasMessageContaining("Say why");
        assertThatThrownBy(() -> holdBack(no, 9, "why not")).hasMessageContaining("no such");
        holdBack(no, 1, "a mistake");
        assertThat(holdBack(no, 1, null).get("heldBack")).isEmpty();
        JsonNode held = holdBack(no, 2, "its owner is asked");
        assertThat(held.get("heldBack").toString()).contains("M. Tarrow", "its owner is asked");
        assertThat(delivery(held, 2, "archive").get("state").asString()).isEqualTo("heldBack");
        wish(no, 2, null, "sent to them by post");
        holdBack(no, 3, "perhaps not at all");

        operator.post("/api/batches/" + no + "/filing", Map.of());
        JsonNode filed = await().until(
                        () -> operator.get("/api/batches/" + no + "/filing"),
                        plan -> delivery(plan, 1, "archive")
                                .get("state")
                                .asString()
                                .equals("done"));
        assertThat(delivery(filed, 2, "archive").get("state").asString()).isEqualTo("heldBack");
        assertThat(delivery(filed, 2, "archive").get("saidWhy").asString()).isEqualTo("its owner is asked");
        assertThat(delivery(filed, 2, "accounts").get("state").asString()).isEqualTo("leftOut");
        assertThat(filed.get("ledger").get("open").asInt()).isPositive();
        assertThatThrownBy(() -> holdBack(no, 1, "too late")).hasMessageContaining("is filed");
        assertThat(operator.get("/api/batches/" + no).get("stage").asString()).isEqualTo("filing");

        assertThat(filed.get("heldBack")).hasSize(2);
        for (String destination : List.of("archive", "accounts")) {
            operator.post(
                    "/api/batches/" + no + "/deliveries/"
                            + delivery(filed, 3, destination).get("id").asLong(),
                    Map.of("fate", "leaveOut"));
        }
        assertThat(operator.get("/api/batches/" + no + "/filing")
                        .get("heldBack")
                        .findValuesAsString("document"))
                .as("what goes nowhere any more is not held back")
                .containsExactly("2");
        holdBack(no, 2, null);
        awaitStage(no, "done");
        JsonNode done = operator.get("/api/batches/" + no + "/filing");
        assertThat(delivery(done, 2, "archive").get("state").asString()).isEqualTo("done");
        assertThat(done.get("ledger").get("open").asInt()).isZero();
        assertThat(done.get("heldBack")).isEmpty();
        assertThat(operator.get("/api/batches/" + no + "/log").findValuesAsString("act"))
                .contains("heldBack", "documentReleased");
    }

    private JsonNode holdBack(String no, int document, String why) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("document", document);
        wanted.put("why", why);
        return operator.post("/api/batches/" + no + "/filing/hold-back", wanted);
    }

    @Test
    void peopleAreToldByMailWhatBecameOfABatchAndOwnersOfTheirDocumentsAlone() throws Exception {
        String told = told("told-letters", "records@merrow.example", "{vessel}@boats.example", "{owner}", "{sender}");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 73);
        String no = bring(told, stack.files());
        settleTheRest(no, stack);
        wish(no, 2, null, "sent to them by post");
        String boat = stack.documents().get(0).fields().get("vessel") + "@boats.example";
        try (var mail = MailStandIn.start(0, settings.mail().port())) {
            mail.person("records@merrow.example");
            mail.person(boat);
            operator.post("/api/batches/" + no + "/filing", Map.of());
            awaitStage(no, "done");
            await().untilAsserted(() ->
                    assertThat(mail.receivedBy("records@merrow.example")).hasSize(1));
            await().untilAsserted(() -> assertThat(mail.receivedBy(boat)).hasSize(1));
            String all =
                    mail.receivedBy("records@merrow.example")[0].getContent().toString();
            assertThat(all)
                    .contains("Pages: " + stack.pages() + " received = ")
                    .contains("Document 1: ", "Document 2: ", "archive: Dues letter/" + no + "-001 (pdf)")
                    .contains("accounts: left out by M. Tarrow, sent to them by post");
            String one = mail.receivedBy(boat)[0].getContent().toString();
            assertThat(one).contains("Document 1: ").doesNotContain("Document 2: ", "Pages: ");
            await().untilAsserted(() -> assertThat(
                            operator.get("/api/batches/" + no + "/log").toString())
                    .contains(
                            "reported",
                            "reportNotSent",
                            stack.documents().get(0).fields().get("owner")));
        }
    }

    /** Where the batch had no other document the owner was told of files beside it and of the page ledger. */
    @Test
    void theOwnerOfTheOnlyDocumentIsToldOfNothingBesideIt() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 79);
        String no = bring(told("owners-letters", "full@merrow.example", "{vessel}@boats.example"), stack.files());
        settleTheRest(no, stack);
        String boat = stack.documents().get(0).fields().get("vessel") + "@boats.example";
        try (var mail = MailStandIn.start(0, settings.mail().port())) {
            mail.person(boat);
            mail.full("full@merrow.example");
            operator.post("/api/batches/" + no + "/filing", Map.of());
            await("one that takes no mail keeps no other waiting")
                    .untilAsserted(() -> assertThat(mail.receivedBy(boat)).hasSize(1));
            assertThat(mail.receivedBy(boat)[0].getContent().toString())
                    .contains("Document 1: ")
                    .doesNotContain("Pages: ");
        }
    }

    @Test
    void aDayIsToldOfInOneMailWhenItIsOver() throws Exception {
        var json = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/dues-letters.json")));
        json.put("stream", "letters-of-the-day").put("title", "Letters of the day");
        json.putObject("filing").put("reportEvery", "day").putArray("report").add("records@merrow.example");
        api("t.vane", "merrow-supervisor").post("/api/streams", Map.of("json", JSON.writeValueAsString(json)));
        String[] filed = new String[2];
        for (int i = 0; i < 2; i++) {
            var stack = Paper.duesLetters(
                    Files.createDirectories(scans.resolve("day" + i)), Harbour.portMerrow(), 1, 80 + i);
            filed[i] = bring("letters-of-the-day", stack.files());
            settleTheRest(filed[i], stack);
            operator.post("/api/batches/" + filed[i] + "/filing", Map.of());
            awaitStage(filed[i], "done");
        }
        RecurringWork daily = recurring.stream()
                .filter(work -> work.name().equals("daily-reports"))
                .findFirst()
                .orElseThrow();
        try (var mail = MailStandIn.start(0, settings.mail().port())) {
            mail.person("records@merrow.example");
            daily.run();
            assertThat(mail.receivedBy("records@merrow.example"))
                    .as("the day is not over")
                    .isEmpty();
            database.update("update batch set report_day = report_day - interval 1 day where report_day is not null");
            daily.run();
            daily.run();
            assertThat(mail.receivedBy("records@merrow.example")).hasSize(1);
            assertThat(mail.receivedBy("records@merrow.example")[0].getContent().toString())
                    .contains("Batch " + filed[0], "Batch " + filed[1], "Pages: ");
        }
        assertThat(operator.get("/api/batches/" + filed[1] + "/log").toString()).contains("records@merrow.example");
    }

    private String told(String name, String... receivers) throws Exception {
        var stream = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/dues-letters.json")));
        stream.put("stream", name).put("title", "Letters that are told of");
        var report = stream.putObject("filing").putArray("report");
        for (String receiver : receivers) {
            report.add(receiver);
        }
        api("t.vane", "merrow-supervisor").post("/api/streams", Map.of("json", JSON.writeValueAsString(stream)));
        return name;
    }

    @Test
    void namesAreTriedOnABatchAndNumbersAreTakenWhenItIsFiledAndNeverAgain() throws Exception {
        var supervisor = api("t.vane", "merrow-supervisor");
        String stream = supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", "Counted letters"))
                .get("name")
                .asString();
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + stream);
        ObjectNode shelf = definition.putArray("destinations").addObject();
        shelf.put("destination", "counted").put("to", "folder").put("file", "{vessel:last 1}-{#:000}");
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        String first = bring(
                stream, Paper.duesLetters(scans, Harbour.portMerrow(), 2, 73).files());
        var more = Paper.duesLetters(Files.createDirectories(scans.resolve("more")), Harbour.portMerrow(), 2, 73);
        String second = bring(stream, more.files());
        for (String no : new String[] {first, second}) {
            settleTheRest(no, more);
            assertThat(delivery(operator.get("/api/batches/" + no + "/filing"), 2, "counted")
                            .get("path")
                            .asString())
                    .as("what it would be now")
                    .endsWith("-002");
        }
        operator.post("/api/batches/" + second + "/filing", Map.of());
        operator.post("/api/batches/" + first + "/filing", Map.of());
        JsonNode filed = operator.get("/api/batches/" + first + "/filing");
        assertThat(delivery(filed, 1, "counted").get("path").asString()).endsWith("-003");
        assertThat(delivery(filed, 2, "counted").get("path").asString()).endsWith("-004");

        String third = bring(
                stream,
                Paper.duesLetters(Files.createDirectories(scans.resolve("third")), Harbour.portMerrow(), 2, 73)
                        .files());
        JsonNode documents = operator.get("/api/batches/" + third).get("documents");
        settle(third, documents.get(0), "owner", "A/B");
        settle(third, documents.get(1), "owner", "a-b");
        shelf.put("folder", "").put("file", "{owner}");
        JsonNode tried =
                supervisor.post("/api/streams/try-names", Map.of("json", definition.toString(), "batch", third));
        assertThat(tried.findValuesAsString("path")).containsExactly("A-B", "a-b (2)");
        assertThat(tried.findValuesAsString("twice")).containsOnly("true");
        assertThat(tried.get(0).get("unsafe").get(0).asString()).isEqualTo("Owner");
        assertThat(tried.get(1).get("unsafe")).isEmpty();
        String name = delivery(filed, 1, "counted").get("path").asString().toLowerCase(java.util.Locale.ROOT);
        shelf.put("file", name);
        assertThat(supervisor
                        .post("/api/streams/try-names", Map.of("json", definition.toString(), "batch", third))
                        .get(0)
                        .get("taken")
                        .asBoolean())
                .as("but for case")
                .isTrue();
        shelf.put("file", "{vessle}");
        assertThatThrownBy(() -> supervisor.post(
                        "/api/streams/try-names", Map.of("json", definition.toString(), "batch", third)))
                .hasMessageContaining("no field or value 'vessle'");
    }
}
