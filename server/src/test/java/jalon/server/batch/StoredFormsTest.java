package jalon.server.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.server.store.StoredFacts;
import jalon.server.store.StoredJson;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Bytes that earlier versions left in the database. */
class StoredFormsTest {
    @Test
    void pagesThatTheFirstVersionSawAreReadAndWrittenAnewWithoutALoss() throws Exception {
        PageFacts page = StoredFacts.read(stored("v1/facts.json.gz"));
        assertThat(page.no()).isEqualTo(10);
        assertThat(page.words()).hasSize(15);
        assertThat(page.image().measured()).hasSize(16);
        assertThat(page.marks())
                .singleElement()
                .extracting(Mark::direction)
                .isEqualTo(new Mark.Direction(Mark.KnownBy.PRINT, 0));
        assertThat(StoredFacts.read(StoredFacts.write(page))).isEqualTo(page);
    }

    @Test
    void aBatchFiledByTheFirstVersionKeepsItsWords() throws Exception {
        BatchView view = StoredView.read(stored("v1/view.json.gz"));
        assertThat(view.documents()).hasSize(4);
        var stake = view.documents().get(0).stake();
        assertThat(stake.evidence().get(0).why())
                .isEqualTo(
                        Reason.Code.AS_WRITTEN.with("patch 2, read from the top of the sheet, known from its print"));
        assertThat(StoredView.read(StoredView.write(view))).isEqualTo(view);
    }

    record Newer(int format) {}

    @Test
    void whatANewerVersionWroteIsToldAndNotGuessedAt() {
        assertThatThrownBy(() -> StoredFacts.read(StoredJson.write(new Newer(StoredJson.FORMAT + 1))))
                .hasMessageContaining("A newer one wrote it");
        assertThatThrownBy(() -> StoredDecision.read("{\"act\":\"fold\",\"page\":3}"))
                .hasMessageContaining("A newer one wrote it");
    }

    @Test
    void aDecisionIsKeptUnderTheNameOfItsKind() {
        var decision = new Decision.AskAgain(3, "faint");
        assertThat(StoredDecision.kind(decision)).isEqualTo("askAgain");
        assertThat(StoredDecision.read(StoredDecision.write(decision))).isEqualTo(decision);
        assertThat(StoredDecision.read("{\"act\":\"setAside\"}")).isEqualTo(new Decision.SetAside(List.of()));
    }

    private static byte[] stored(String name) throws Exception {
        try (InputStream in = StoredFormsTest.class.getResourceAsStream("/stored/" + name)) {
            return in.readAllBytes();
        }
    }
}
