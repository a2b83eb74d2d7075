package jalon.server.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.server.ServerCase;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Acts that cross: of two screens, of a screen and a reading, of a request and the same request. */
class ActsTest extends ServerCase {
    @Autowired
    private BatchRows rows;

    @Test
    void anActNamesTheBatchItWasMadeOnAndARepeatedOneIsDoneOnce() throws Exception {
        String no = bring("dues-letters", letters(2, 71).files());
        String path = "/api/batches/" + no;
        int seen = operator.get(path).get("revision").asInt();
        Map<String, Object> aside = Map.of("act", "setAside", "pages", List.of(1));
        JsonNode after = operator.post(path + "/decisions", aside, seen, "first");
        assertThat(after.get("revision").asInt()).isEqualTo(seen + 1);
        assertThat(operator.post(path + "/decisions", aside, seen, "first").get("revision"))
                .isEqualTo(after.get("revision"));
        assertThat(rows.decisions(Batch.id(no))).hasSize(1);
        assertThatThrownBy(() -> operator.post(path + "/decisions", aside, seen, "second"))
                .hasMessageContaining("409")
                .hasMessageContaining("has changed since you saw it");
        for (int time = 0; time < 2; time++) {
            operator.post(path + "/undo", Map.of(), seen + 1, "back");
        }
        JsonNode undone = operator.get(path);
        assertThat(undone.get("canUndo").asBoolean()).isFalse();
        assertThat(undone.get("revision").asInt()).isEqualTo(seen + 2);
        assertThatThrownBy(() -> operator.post(path + "/undo", Map.of(), seen, "x".repeat(201)))
                .hasMessageContaining("1 to 200 characters");
    }

    @Test
    void aPageIsKeptAsItIsTurnedLastAndFiledWhenItIsReadLikeThat() throws Exception {
        var stack = letters(1, 72);
        String no = bring("dues-letters", stack.files());
        settleTheRest(no, stack);
        long id = Batch.id(no);
        BatchRows.PageRow begun = rows.page(id, 1).orElseThrow();
        byte[] facts = rows.facts(List.of(begun.id())).get(0).facts();
        // A reading is under way when the page is turned again.
        rows.ask(begun.id());
        assertThat(rows.read(begun, facts)).isZero();
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/filing", Map.of()))
                .hasMessageContaining("still being read");
        BatchRows.PageRow next = rows.page(id, 1).orElseThrow();
        assertThat(rows.read(next, facts)).isEqualTo(1);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        // A task that was left over, or done by a newer version, changes nothing of what was filed.
        assertThat(rows.read(rows.page(id, 1).orElseThrow(), facts)).isZero();
        assertThat(rows.page(id, 1).orElseThrow().factsVersion()).isEqualTo(next.factsVersion() + 1);
    }

    private Paper.Stack letters(int documents, long seed) throws Exception {
        return Paper.duesLetters(scans, Harbour.portMerrow(), documents, seed);
    }
}
