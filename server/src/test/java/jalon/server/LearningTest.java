package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Corrections;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.demo.PaperDocument;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Types that a stream learns from what people confirm. */
class LearningTest extends ServerCase {
    private static final String SAMPLES = "/api/streams/harbour-post/samples";

    @Test
    void whatPeopleFiledIsLearnedAndTheNextBatchIsSortedByIt() throws Exception {
        Harbour harbour = Harbour.portMerrow();
        Paper.Stack taught = Paper.postSamples(scans, harbour, 2, 5);
        String no = bring(Paper.POST, taught.files());
        Corrections.make(operator, no, taught.documents());
        settleTheRest(no, taught);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitLesson(1);
        JsonNode samples = operator.get(SAMPLES);
        assertThat(samples.get("types"))
                .allSatisfy(t -> assertThat(t.get("known").asInt()).isEqualTo(2));

        Paper.Stack next = Paper.postSamples(scans, harbour, 1, 6);
        String later = bring(Paper.POST, next.files());
        JsonNode batch = operator.get("/api/batches/" + later);
        List<String> types = batch.get("documents")
                .valueStream()
                .map(d -> d.get("type").get("type").asString())
                .toList();
        assertThat(types)
                .isEqualTo(next.documents().stream().map(PaperDocument::type).toList());

        // What is taken out is forgotten, but not by a batch that was read before.
        Api supervisor = api("t.vane", "merrow-supervisor");
        for (JsonNode sample : samples.get("types").get(0).get("samples")) {
            supervisor.post(SAMPLES + "/" + sample.get("id").asInt(), Map.of("what", "TAKE_OUT"));
        }
        await().until(() -> operator.get(SAMPLES).get("lesson").get("version").asInt() > 1
                && operator.get(SAMPLES).get("types").get(0).get("known").asInt() == 0);
        assertThat(operator.get("/api/batches/" + later).get("documents").toString())
                .isEqualTo(batch.get("documents").toString());

        aNewTypeIsMadeByMarkingADocument(later, supervisor);
    }

    private void aNewTypeIsMadeByMarkingADocument(String no, Api supervisor) throws Exception {
        Map<String, Object> newType = Map.of("page", 1, "title", "Complaint", "like", "dues-letter");
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/types", newType))
                .hasMessageContaining("403");
        int lesson = operator.get(SAMPLES).get("lesson").get("version").asInt();
        supervisor.post("/api/batches/" + no + "/types", newType);
        awaitLesson(lesson + 1);
        JsonNode first = operator.get("/api/batches/" + no + "?fields=true")
                .get("documents")
                .get(0);
        assertThat(first.get("type").get("type").asString()).isEqualTo("complaint");
        assertThat(first.get("fields").has("vessel")).isTrue();
        assertThatThrownBy(() -> supervisor.post("/api/batches/" + no + "/types", newType))
                .hasMessageContaining("has a type Complaint already");
        aStreamIsCopiedAndABatchOfAnEarlierVersionTeachesNoNewType(no, supervisor);
    }

    private void aStreamIsCopiedAndABatchOfAnEarlierVersionTeachesNoNewType(String no, Api supervisor)
            throws Exception {
        String versions = "/api/streams/harbour-post/versions";
        JsonNode all = operator.get(versions);
        assertThat(all).hasSize(2);
        assertThat(all.get(0).get("savedBy").asString()).isEqualTo("t.vane");
        String first = versions + "/1";
        Map<String, Object> copy = Map.of("title", "Post of the \u00celes");
        assertThat(supervisor.post(first + "/copy", copy).get("name").asString())
                .isEqualTo("post-of-the-iles");
        assertThatThrownBy(() -> supervisor.post(first + "/copy", copy)).hasMessageContaining("streamIsThere");
        assertThatThrownBy(() -> supervisor.post(first + "/copy", Map.of("title", " ")))
                .hasMessageContaining("streamNeedsName");

        supervisor.post("/api/streams", Map.of("json", operator.get(first).toString()));
        assertThatThrownBy(() -> supervisor.post(
                        "/api/batches/" + no + "/types", Map.of("page", 1, "title", "Petition", "like", "dues-letter")))
                .hasMessageContaining("streamWentOn");

        String everyPage = operator.get(first).toString().replace("\"pages-alone\"", "\"pages\",\"every\":1");
        String bench = "/api/workbench/" + operator.get(first).get("stream").asString();
        JsonNode trial = supervisor.post(bench + "/try", Map.of("json", everyPage, "batch", no));
        assertThat(trial.get("wouldBe").asInt())
                .isEqualTo(trial.get("pages").size())
                .isGreaterThan(trial.get("documents").asInt());
        assertThatThrownBy(() -> supervisor.post(
                        bench + "/try", Map.of("json", everyPage.replace("\"every\":1", ""), "batch", no)))
                .hasMessageContaining("streamUnusable");
    }

    private void awaitLesson(int version) {
        await().until(() -> operator.get(SAMPLES).get("lesson").path("version").asInt() >= version);
    }
}
