package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.MailStandIn;
import java.nio.file.Files;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Who has a batch, what is expected of it, and how lateness is told. */
class HoldingTest extends ServerCase {
    @Autowired
    private JdbcTemplate database;

    @Autowired
    private JalonSettings settings;

    private Api supervisor;
    private Paper.Stack stack;
    private String no;
    private String path;

    @BeforeEach
    void batch() throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
        stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 91);
        no = bring("dues-letters", stack.files());
        path = "/api/batches/" + no;
    }

    @Test
    void twoPeopleNeverWorkOnOneBatchUnaware() throws Exception {
        operator.post(path + "/take", Map.of());
        assertThat(row(supervisor).get("with").asString()).isEqualTo("M. Tarrow");
        assertThat(row(supervisor).get("free").asBoolean()).isFalse();
        Map<String, ?> act = Map.of("act", "setAside", "pages", java.util.List.of(1));
        assertThatThrownBy(() -> supervisor.post(path + "/decisions", act)).hasMessageContaining("M. Tarrow has batch");
        assertThatThrownBy(() -> supervisor.post(path + "/take", Map.of("over", false)))
                .hasMessageContaining("M. Tarrow has batch");
        supervisor.post(path + "/take", Map.of("over", true));
        assertThatThrownBy(() -> operator.post(path + "/take", Map.of("over", true)))
                .as("an operator cannot take from one at work")
                .hasMessageContaining("T. Vane has batch");
        supervisor.post(path + "/pass", Map.of("to", "m.tarrow"));
        assertThat(row(operator).get("mine").asBoolean()).isTrue();
        assertThatThrownBy(() -> operator.post(path + "/pass", Map.of("to", "i.ravenel")))
                .hasMessageContaining("only reads");
        database.update(
                "update batch set held_since = ? where id = ?", Instant.now().minusSeconds(1200), id());
        supervisor.post(path + "/decisions", act);
        assertThat(row(supervisor).get("mine").asBoolean())
                .as("a stale hold gives way")
                .isTrue();
        supervisor.post(path + "/pass", Map.of());
        assertThat(row(operator).get("with").isNull()).isTrue();
    }

    private static Map<String, Object> settle(int page, String value) {
        return Map.of("act", "settle", "page", page, "field", "vessel", "value", value, "valuePage", 0);
    }

    @Test
    void twoIndexOneBatchEachWithDocumentsOfTheirOwn() throws Exception {
        operator.post(path + "/stage", Map.of("to", "index"));
        JsonNode documents = operator.get(path).get("documents");
        int first = documents.get(0).get("pages").get(0).asInt();
        int second = documents.get(1).get("pages").get(0).asInt();
        operator.post(path + "/claim", Map.of("page", first));
        assertThatThrownBy(() -> supervisor.post(path + "/decisions", settle(second, "PM-1-A")))
                .as("nobody works on a batch of another's without opening a document")
                .hasMessageContaining("M. Tarrow has batch");
        assertThatThrownBy(() -> supervisor.post(path + "/claim", Map.of("page", first)))
                .hasMessageContaining("M. Tarrow has this document");
        supervisor.post(path + "/claim", Map.of("page", second));
        JsonNode claims = operator.get(path).get("claims");
        assertThat(claims).hasSize(2);
        assertThat(claims.get(1).get("with").asString()).isEqualTo("T. Vane");

        int known = operator.get(path).get("revision").asInt();
        supervisor.post(path + "/decisions", settle(second, "PM-2222-B"));
        // What the other settled since does not stand in the way, and the batch is still whose it was.
        operator.post(path + "/decisions", settle(first, "PM-1111-A"), known, "r1");
        assertThat(row(operator).get("mine").asBoolean()).isTrue();
        assertThatThrownBy(() -> operator.post(path + "/decisions", settle(second, "PM-1-A")))
                .hasMessageContaining("T. Vane has this document");
        supervisor.post(path + "/undo", Map.of());
        JsonNode now = operator.get(path + "?fields=true").get("documents");
        assertThat(now.get(0).get("fields").get("vessel").get("value").asString())
                .as("only one's own acts are taken back")
                .isEqualTo("PM-1111-A");
        assertThat(now.get(1).get("fields").get("vessel").get("state").asString())
                .isNotEqualTo("settled");

        // A batch that is cut anew meanwhile: what was meant for the cut of before is not taken.
        int before = supervisor.get(path).get("revision").asInt();
        operator.post(path + "/decisions", Map.of("act", "setAside", "pages", java.util.List.of(first)));
        assertThatThrownBy(() -> supervisor.post(path + "/decisions", settle(second, "PM-2-B"), before, "r2"))
                .hasMessageContaining("changed");
        supervisor.delete(path + "/claim");
        assertThat(operator.get(path).get("claims")).hasSize(1);
    }

    @Test
    void aBatchOnHoldWaitsAndAWithdrawnOneKeepsItsLedger() throws Exception {
        assertThatThrownBy(() -> operator.post(path + "/hold", Map.of("why", " ")))
                .hasMessageContaining("Say why");
        operator.post(path + "/hold", Map.of("why", "the agent sends page 3 again"));
        assertThatThrownBy(() -> operator.post(path + "/filing", Map.of())).hasMessageContaining("sends page 3 again");
        operator.post(path + "/release", Map.of());
        assertThatThrownBy(() -> operator.post(path + "/withdraw", Map.of("why", "test")))
                .hasMessageContaining("403");
        supervisor.post(path + "/withdraw", Map.of("why", "scanned twice, see B-0001"));
        JsonNode batch = operator.get(path);
        assertThat(batch.get("withdrawn").asString()).contains("scanned twice");
        assertThat(batch.get("ledger").get("withdrawn").asInt()).isEqualTo(stack.pages());
        assertThat(batch.get("ledger").get("open").asInt()).isZero();
        assertThatThrownBy(() -> supervisor.post(path + "/take", Map.of())).hasMessageContaining("done");
        assertThatThrownBy(() -> operator.post(path + "/undo", Map.of())).hasMessageContaining("withdrawn by T. Vane");
    }

    @Test
    void countsThatDifferAndOpenGapsKeepABatchFromBeingFiled() throws Exception {
        operator.post(path + "/expected", Map.of("pages", stack.pages() + 1));
        operator.post(path + "/decisions", Map.of("act", "openGap", "page", 1, "note", "the chart"));
        JsonNode batch = operator.get(path);
        assertThat(batch.get("counts").get("expectedPages").asInt()).isEqualTo(stack.pages() + 1);
        assertThat(batch.get("gaps").get(0).get("note").asString()).isEqualTo("the chart");
        assertThatThrownBy(() -> operator.post(path + "/filing", Map.of())).hasMessageContaining("open gap");

        byte[] page = Files.readAllBytes(stack.files().get(0));
        operator.upload(path + "/insert?after=1&fillsGap=true", "chart.jpg", page);
        await().until(() -> operator.get(path).get("pages").size() == stack.pages() + 1);
        batch = operator.get(path);
        assertThat(batch.get("pages").get(1).get("file").asString()).isEqualTo("chart.jpg");
        assertThat(batch.get("gaps").get(0).get("open").asBoolean()).isFalse();
        assertThat(batch.get("counts").get("pages").asInt())
                .as("now as many as expected")
                .isEqualTo(stack.pages() + 1);
        assertThatThrownBy(() -> operator.upload(path + "/insert?after=99", "x.jpg", page))
                .hasMessageContaining("no page 99");
        operator.post(path + "/expected", Map.of("pages", 3, "documents", 1));
        operator.post(path + "/decisions", Map.of("act", "acceptCounts", "because", "counted by hand"));
        assertThat(operator.get(path).get("counts").get("acceptedBy").asString())
                .isEqualTo("M. Tarrow");
    }

    @Test
    void latenessIsToldByMailOnceAndPriorityRisesByItself() throws Exception {
        try (var mail = MailStandIn.start(0, settings.mail().port())) {
            mail.person("t.vane@merrow.example");
            operator.post(
                    path + "/urgency",
                    Map.of("priority", "normal", "dueAt", Instant.now().minusSeconds(60)));
            await().until(() -> mail.receivedBy("merrow.example").length > 0);
            assertThat(mail.receivedBy("merrow.example")[0].getSubject()).contains("Late: ");
            await().until(() -> row(operator).get("priority").asString().equals("high"));
        }
        assertThatThrownBy(() -> operator.post(path + "/urgency", Map.of("priority", "soon")))
                .hasMessageContaining("is none of normal, high, urgent");
        JsonNode day = supervisor.get("/api/day?from=" + Instant.now().minusSeconds(3600) + "&to="
                + Instant.now().plusSeconds(3600));
        assertThat(day.get("received").size()).isPositive();
        assertThat(day.get("streams").toString()).contains("dues-letters");
        assertThatThrownBy(() -> operator.get("/api/day?from=2026-11-01T00:00:00Z&to=2026-11-02T00:00:00Z"))
                .hasMessageContaining("403");
    }

    private long id() {
        return Long.parseLong(no.substring(2));
    }

    private JsonNode row(Api who) throws Exception {
        for (JsonNode r : who.get("/api/board").get("batches")) {
            if (r.get("no").asString().equals(no)) {
                return r;
            }
        }
        throw new AssertionError(no + " is not on the board");
    }
}
