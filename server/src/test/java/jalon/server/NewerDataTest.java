package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What a newer version left in the database is told and kept; what this version knows goes on. */
class NewerDataTest extends ServerCase {
    @Autowired
    private JdbcTemplate rows;

    @Test
    void aStreamOfANewerFormIsToldWhereItIsNeededAndHindersNoOther() throws Exception {
        rows.update(
                "insert into stream (name, version, title, definition, saved_by, saved_at) values (?, 1, ?, ?, 'x', ?)",
                "charts",
                "Charts",
                "{\"jalon\":2,\"stream\":\"charts\"}",
                Instant.now());
        try {
            assertThatThrownBy(() -> operator.post("/api/batches", Map.of("stream", "charts")))
                    .hasMessageContaining("503")
                    .hasMessageContaining("stream charts version 1", "A newer one wrote it");
            assertThat(operator.get("/api/streams").toString()).contains("Charts", "Dues letters");
            String no = bring(
                    "dues-letters",
                    Paper.duesLetters(scans, Harbour.portMerrow(), 1, 71).files());
            assertThat(operator.get("/api/board").toString()).contains(no);
        } finally {
            rows.update("delete from stream where name = 'charts'");
        }
    }

    @Test
    void aStageOfANewerVersionIsToldAndNotTakenForAnother() throws Exception {
        String no = bring(
                "dues-letters",
                Paper.duesLetters(scans, Harbour.portMerrow(), 1, 72).files());
        long id = Long.parseLong(no.substring(2));
        String stage = rows.queryForObject("select stage from batch where id = ?", String.class, id);
        rows.update("update batch set stage = 'weighed' where id = ?", id);
        try {
            assertThatThrownBy(() -> operator.get("/api/batches/" + no))
                    .hasMessageContaining("Stage \\\"weighed\\\"")
                    .hasMessageContaining("Nothing was changed");
            assertThat(rows.queryForObject("select stage from batch where id = ?", String.class, id))
                    .isEqualTo("weighed");
        } finally {
            rows.update("update batch set stage = ? where id = ?", stage, id);
        }
    }

    @Test
    void tasksThatThisVersionCannotDoWaitAndTheOthersAreDone() throws Exception {
        String insert =
                "insert into scheduled_tasks (task_name, task_instance, task_data, execution_time, picked, version)"
                        + " values (?, '1', ?, ?, false, 1)";
        rows.update(
                insert,
                "fold-pages",
                "{}".getBytes(StandardCharsets.UTF_8),
                Instant.now().minusSeconds(60));
        rows.update(
                insert,
                "read-pages",
                "[not known]".getBytes(StandardCharsets.UTF_8),
                Instant.now().minusSeconds(60));
        try {
            bring(
                    "dues-letters",
                    Paper.duesLetters(scans, Harbour.portMerrow(), 1, 73).files());
            assertThat(rows.queryForObject(
                            "select count(*) from scheduled_tasks where task_instance = '1'"
                                    + " and task_name in ('fold-pages', 'read-pages')",
                            Integer.class))
                    .isEqualTo(2);
        } finally {
            rows.update("delete from scheduled_tasks where task_instance = '1'");
        }
    }
}
