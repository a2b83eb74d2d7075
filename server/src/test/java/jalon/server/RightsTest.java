package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** People see, index and file what a supervisor says that they may, and nothing else. */
class RightsTest extends ServerCase {
    private Api supervisor;
    private Api reader;

    @BeforeEach
    void others() throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
        reader = api("i.ravenel", "merrow-reader");
    }

    private static JsonNode find(Api who, String line) throws Exception {
        return who.get("/api/archive?q=" + URLEncoder.encode(line, StandardCharsets.UTF_8));
    }

    /** How many documents are just so; none where others, one letter off, were taken instead. */
    private static int total(Api who, String line) throws Exception {
        JsonNode found = find(who, line);
        for (JsonNode part : found.get("understood")) {
            if (!part.get("instead").isEmpty()) {
                return 0;
            }
        }
        return found.get("total").asInt();
    }

    private long group(String name) throws Exception {
        return supervisor.post("/api/groups", Map.of("name", name)).get("id").asLong();
    }

    private void only(String right, String stream, String type, Long... groups) throws Exception {
        supervisor.put(
                "/api/rights", Map.of("right", right, "stream", stream, "type", type, "groups", List.of(groups)));
    }

    /** Somebody new, who has chosen a password. */
    private Api newcomer(String signIn, String role, Long... groups) throws Exception {
        String given = supervisor
                .post(
                        "/api/people",
                        Map.of("signIn", signIn, "name", "N. " + signIn, "role", role, "groups", List.of(groups)))
                .get("password")
                .asString();
        Api newcomer = api(signIn, given);
        newcomer.post("/api/me/password", Map.of("before", given, "after", "rope-lantern-ebb-7193"));
        return newcomer;
    }

    /** A stream like the one of letters, that nothing else files to. */
    private String streamLikeLetters(String title) throws Exception {
        return supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", title))
                .get("name")
                .asString();
    }

    /** Says of fields of the stream's only type whether they are confidential, or of the type itself. */
    private void confidential(String stream, boolean type, String... fields) throws Exception {
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + stream);
        ObjectNode first = (ObjectNode) ((ArrayNode) definition.get("types")).get(0);
        first.put("confidential", type);
        first.get("fields")
                .forEach(f -> ((ObjectNode) f)
                        .put(
                                "confidential",
                                List.of(fields).contains(f.get("field").asString())));
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
    }

    private String filed(String stream, Paper.Stack stack) throws Exception {
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        return no;
    }

    private static List<String> batches(JsonNode board) {
        List<String> numbers = new ArrayList<>();
        board.get("batches").forEach(b -> numbers.add(b.get("no").asString()));
        return numbers;
    }

    @Test
    void batchesOfAStreamAreWorkedOnByThoseWhoMayAndSeenByNobodyElse() throws Exception {
        String stream = streamLikeLetters("Letters of few");
        long few = group("The few");
        Api one = newcomer("q.hollis", "operator", few);
        String before = operator.open(stream, List.of());
        only("index", stream, "", few);
        only("file", stream, "", few);

        assertThat(batches(operator.get("/api/board"))).doesNotContain(before);
        assertThat(batches(one.get("/api/board"))).contains(before);
        assertThat(operator.get("/api/streams").findValuesAsString("name")).doesNotContain(stream);
        for (String path : List.of("", "/filing", "/log", "/pages/1/picture", "/image-report.csv")) {
            assertThatThrownBy(() -> operator.bytes("/api/batches/" + before + path))
                    .as(path)
                    .hasMessageContaining("403");
        }
        assertThatThrownBy(() -> operator.open(stream, List.of())).hasMessageContaining("You have no right");
        assertThatThrownBy(() -> operator.post("/api/batches/" + before + "/arrived", Map.of()))
                .hasMessageContaining("You have no right");
        assertThatThrownBy(() -> one.post("/api/batches/" + before + "/pass", Map.of("to", "m.tarrow")))
                .hasMessageContaining("has no right to work on");
        assertThat(one.get("/api/batches/" + before).get("no").asString()).isEqualTo(before);

        assertThatThrownBy(() -> supervisor.delete("/api/groups/" + few))
                .as("or the stream would be open to all")
                .hasMessageContaining(stream);
        only("index", stream, "");
        only("file", stream, "");
        assertThat(batches(operator.get("/api/board"))).contains(before);
    }

    @Test
    void typesAreIndexedAndFiledByThoseWhoMay() throws Exception {
        String stream = streamLikeLetters("Letters in part");
        String type = supervisor
                .get("/api/streams/" + stream)
                .get("types")
                .get(0)
                .get("type")
                .asString();
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 71);
        String no = bring(stream, stack.files());
        only("index", stream, type, group("Of one type"));
        only("file", stream, type, group("Filing one type"));
        JsonNode document = operator.get("/api/batches/" + no).get("documents").get(0);
        assertThatThrownBy(() -> settle(no, document, "amount", "12.00"))
                .hasMessageContaining("no right to this with documents of the type");
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/filing", Map.of()))
                .hasMessageContaining("no right to this with documents of the type");
        only("index", stream, type);
        only("file", stream, type);
        settle(no, document, "amount", "12.00");
    }

    @Test
    void whatIsConfidentialIsNeitherShownNorFoundNorTakenAlong() throws Exception {
        String stream = streamLikeLetters("Letters with a secret");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 72);
        var truth = stack.documents().get(0).fields();
        String no = filed(stream, stack);
        String in = "batch:" + no + " ";
        JsonNode open = find(reader, in + "vessel:" + truth.get("vessel"));
        assertThat(open.get("total").asInt()).isEqualTo(1);
        String document = "/api/archive/" + open.get("found").get(0).get("id").asLong();

        confidential(stream, false, "amount");
        JsonNode found = find(reader, in + "vessel:" + truth.get("vessel"));
        assertThat(found.get("total").asInt()).isEqualTo(1);
        JsonNode shown = found.get("found").get(0);
        assertThat(shown.get("pagesHidden").asBoolean()).isTrue();
        shown.get("fields")
                .forEach(f -> assertThat(f.get("value").isNull())
                        .as(f.get("name").asString())
                        .isEqualTo(f.get("name").asString().equals("amount")));
        assertThat(total(reader, in + "amount:" + truth.get("amount"))).isZero();
        assertThat(total(reader, in + "harbour"))
                .as("a word of the page that the value stands on")
                .isZero();
        assertThat(reader.get("/api/archive/suggestions?q=amount:" + truth.get("amount"))
                        .toString())
                .doesNotContain("\"documents\":1");
        for (String path : List.of("/file", "/pages/1/picture", "/pages/1/text")) {
            assertThatThrownBy(() -> reader.bytes(document + path)).as(path).hasMessageContaining("403");
        }
        assertThat(reader.get(document).get("pages")).isEmpty();
        assertThat(new String(
                        reader.bytes("/api/archive/results.csv?q=" + URLEncoder.encode(in, StandardCharsets.UTF_8)),
                        StandardCharsets.UTF_8))
                .contains(truth.get("vessel"))
                .doesNotContain(truth.get("amount"));
        assertThat(total(supervisor, in + "amount:" + truth.get("amount"))).isEqualTo(1);

        long trusted = group("Trusted");
        supervisor.put(
                "/api/people/i.ravenel", Map.of("name", "I. Ravenel", "role", "reader", "groups", List.of(trusted)));
        only("seeConfidential", stream, "", trusted);
        assertThatThrownBy(() -> find(reader, in))
                .as("the session from before has other rights")
                .hasMessageContaining("401");
        reader = api("i.ravenel", "merrow-reader");
        assertThat(total(reader, in + "amount:" + truth.get("amount"))).isEqualTo(1);
        assertThat(reader.bytes(document + "/file")).isNotEmpty();
        assertThat(find(supervisor, in).get("found").get(0).get("pagesHidden").asBoolean())
                .as("it is the group's alone now")
                .isTrue();

        confidential(stream, true);
        assertThat(total(supervisor, in)).isZero();
        assertThatThrownBy(() -> supervisor.bytes(document)).hasMessageContaining("404");
        assertThat(total(reader, in)).isEqualTo(1);

        only("seeConfidential", stream, "");
        confidential(stream, false);
        assertThat(total(reader, in + "harbour"))
                .as("found again by all that stands on it")
                .isEqualTo(1);
        only("see", stream, "", trusted);
        assertThat(total(operator, in)).isZero();
        assertThat(total(reader, in)).isEqualTo(1);

        JsonNode seen = supervisor.get(document + "/seen");
        assertThat(seen.findValuesAsString("who"))
                .contains("I. Ravenel", "T. Vane")
                .doesNotContain("N. q.hollis");
        assertThat(seen.findValuesAsString("what")).contains("found", "table", "opened", "file");
        assertThatThrownBy(() -> reader.bytes(document + "/seen")).hasMessageContaining("403");
    }

    @Test
    void pagesHideToWhereAConfidentialFieldWasNotRead() throws Exception {
        String stream = streamLikeLetters("Letters with an unread secret");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 73);
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + stream);
        ((ArrayNode) definition.get("types").get(0).get("fields"))
                .addObject()
                .put("field", "account")
                .put("title", "Account")
                .put("confidential", true);
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        String no = filed(stream, stack);
        JsonNode found = find(reader, "batch:" + no).get("found").get(0);
        assertThat(found.get("fields").findValuesAsString("name")).doesNotContain("account");
        assertThat(found.get("pagesHidden").asBoolean())
                .as("it may stand on them all the same")
                .isTrue();
        String file = "/api/archive/" + found.get("id").asLong() + "/file";
        assertThatThrownBy(() -> reader.bytes(file)).hasMessageContaining("403");
        assertThat(total(reader, "batch:" + no + " harbour")).isZero();
        assertThat(supervisor.bytes(file)).isNotEmpty();
        assertThat(supervisor.get("/api/log?who=i.ravenel").findValues("what"))
                .as("a refusal is in the log, whatever refused")
                .anyMatch(what -> what.get("act").asString().equals("refused")
                        && what.get("with").get("request").asString().equals("GET " + file));
    }

    @Test
    void whoIsNewChoosesAPasswordFirstAndWhoHasGoneSignsInNoMore() throws Exception {
        String given = supervisor
                .post("/api/people", Map.of("signIn", "b.newman", "name", "B. Newman", "role", "operator"))
                .get("password")
                .asString();
        Api newcomer = api("b.newman", given);
        assertThat(newcomer.get("/api/me").get("mustChange").asBoolean()).isTrue();
        for (String path : List.of("/api/board", "/api/archive", "/api/streams")) {
            assertThatThrownBy(() -> newcomer.get(path)).as(path).hasMessageContaining("403");
        }
        newcomer.post("/api/me/password", Map.of("before", given, "after", "thimble-harrow-quince-42"));
        assertThat(newcomer.get("/api/board").get("batches")).isNotNull();

        Map<String, Object> gone = Map.of("name", "B. Newman", "role", "operator", "locked", true);
        supervisor.put("/api/people/b.newman", gone);
        assertThatThrownBy(() -> newcomer.get("/api/board")).hasMessageContaining("401");
        assertThatThrownBy(() -> api("b.newman", "thimble-harrow-quince-42")).hasMessageContaining("401");
        assertThatThrownBy(() -> operator.get("/api/people")).hasMessageContaining("403");
        assertThatThrownBy(() -> supervisor.put(
                        "/api/people/t.vane", Map.of("name", "T. Vane", "role", "reader", "groups", List.of())))
                .hasMessageContaining("last supervisor");
        assertThatThrownBy(() ->
                        supervisor.post("/api/people", Map.of("signIn", "B Newman", "name", "x", "role", "reader")))
                .hasMessageContaining("sign-in name");
        assertThat(supervisor.get("/api/log?who=t.vane").findValuesAsString("act"))
                .contains("addedPerson", "lockedPerson");
    }
}
