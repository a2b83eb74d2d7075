package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What values are held against: registers, and what lies in the archive. */
class OwnRecordsTest extends ServerCase {
    @Test
    void aRegisterIsTriedThenSavedInVersionsAndSearched() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        supervisor.post("/api/registers/wardens", Map.of("csv", "no;name\n1;Ewa Lindqvist\n2;Ines Vane\n"));
        Map<String, Object> next = Map.of("csv", "no,name\n1,Ewa Lindqvist\n2,Ida Vane\n3,Lars Holm\n4\n");
        JsonNode tried = supervisor.post("/api/registers/wardens/try", next);
        assertThat(tried.get("change").get("came").asInt()).isEqualTo(1);
        assertThat(tried.get("change").get("changed").asInt()).isEqualTo(1);
        assertThat(tried.get("info").get("faults").get(0).asString()).contains("1 values for 2 columns");
        assertThat(tried.get("columns").get(1).get("kind").asString()).isEqualTo("name");
        assertThat(operator.get("/api/registers/wardens/rows?q=holm").get("all").asInt())
                .as("nothing is kept of a trial")
                .isZero();

        supervisor.post("/api/registers/wardens", next);
        assertThat(operator.get("/api/registers/wardens/rows?q=HOLM%20lars")
                        .get("all")
                        .asInt())
                .isEqualTo(1);
        JsonNode versions = operator.get("/api/registers/wardens").get("versions");
        assertThat(versions).hasSize(2);
        assertThat(versions.get(0).get("version").asInt()).isEqualTo(2);
        assertThat(versions.get(0).get("changed").asInt()).isEqualTo(1);
        assertThat(versions.get(1).get("came").asInt()).isEqualTo(2);

        assertThatThrownBy(() -> operator.post("/api/registers/wardens/try", next))
                .hasMessageContaining("role");
        assertThatThrownBy(() -> operator.get("/api/registers/harbours")).hasMessageContaining("no register harbours");
        assertThatThrownBy(() -> supervisor.post("/api/registers/wardens/try", Map.of("csv", "no,name\n")))
                .hasMessageContaining("no usable line");
        assertThat(operator.get("/api/registers/wardens")
                        .get("info")
                        .get("rows")
                        .asInt())
                .isEqualTo(3);
    }

    @Test
    void aDocumentThatWasFiledBeforeIsADoubtThatSaysWhereTheOtherLies() throws Exception {
        var stack = Paper.berthApplications(scans, Harbour.portMerrow(), 1, 71);
        String first = bring("berth-applications", stack.files());
        settleTheRest(first, stack);
        operator.post("/api/batches/" + first + "/filing", Map.of());
        awaitStage(first, "done");

        String again = bring("berth-applications", stack.files());
        settleTheRest(again, stack);
        JsonNode document = operator.get("/api/batches/" + again + "?fields=true")
                .get("documents")
                .get(0);
        JsonNode reason = document.get("fields").get("vessel").get("reasons").get(0);
        assertThat(reason.get("code").asString()).isEqualTo("filedBefore");
        assertThat(reason.get("with").get("batch").asString()).isEqualTo(first);
        String page = reason.get("with").get("page").asString();
        assertThat(operator.get("/api/batches/" + first)
                        .get("documents")
                        .get(0)
                        .get("pages")
                        .get(0)
                        .asString())
                .isEqualTo(page);
    }
}
