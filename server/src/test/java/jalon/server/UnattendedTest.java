package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Batches of a stream that files by itself. */
class UnattendedTest extends ServerCase {
    private static final String STREAM = "overnight-letters";

    @Test
    void aBatchWithoutADoubtIsFiledOnNobodysWordAndOnce() throws Exception {
        var letter = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 201);
        String no = bring(STREAM, letter.files());
        awaitStage(no, "done");
        JsonNode plan = operator.get("/api/batches/" + no + "/filing");
        assertThat(plan.get("deliveries"))
                .hasSize(2)
                .allMatch(d -> d.get("state").asString().equals("done"));
        JsonNode ledger = plan.get("ledger");
        assertThat(ledger.get("filed").asInt()).isEqualTo(ledger.get("received").asInt());
        String log = operator.get("/api/batches/" + no + "/log").toString();
        assertThat(log).containsOnlyOnce("\"filed\"").contains("Jalon");
        JsonNode row = row(no);
        assertThat(row.get("byItself").asBoolean()).isTrue();
        assertThat(row.get("with").isNull()).isTrue();
        try (var filed = Files.walk(DATA.resolve("data/filed/accounts"))) {
            String vessel = letter.documents().get(0).fields().get("vessel");
            assertThat(filed.map(Path::toString).filter(f -> f.contains(vessel) && f.endsWith(".pdf")))
                    .hasSize(1);
        }
    }

    @Test
    void whatIsInDoubtWaitsForAPersonAndThenForHisWord() throws Exception {
        var letters = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 41);
        String no = bring(STREAM, letters.files());
        assertThat(operator.stage(no)).isEqualTo("index");
        settleTheRest(no, letters);
        assertThat(operator.stage(no)).isNotEqualTo("done");
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        assertThat(row(no).get("byItself").asBoolean()).isFalse();
    }

    @Test
    void aBatchOnHoldIsFiledWhenItIsReleased() throws Exception {
        List<Path> files = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 65).files();
        String no = operator.open(STREAM, files);
        String path = "/api/batches/" + no;
        operator.post(path + "/hold", Map.of("why", "The agent telephoned"));
        operator.post(path + "/arrived", Map.of());
        leftIntake(no);
        String later = bring(
                STREAM, Paper.duesLetters(scans, Harbour.portMerrow(), 1, 67).files());
        awaitStage(later, "done");
        assertThat(operator.stage(no)).as("while a later one went through").isEqualTo("filing");
        operator.post(path + "/release", Map.of());
        awaitStage(no, "done");
    }

    private JsonNode row(String no) throws Exception {
        for (JsonNode row : operator.get("/api/board").get("batches")) {
            if (row.get("no").asString().equals(no)) {
                return row;
            }
        }
        throw new AssertionError(no + " is not on the board");
    }
}
