package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ServerTest extends ServerCase {
    @Test
    void fromUploadToFoundAgain() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 41);
        Path rotten = Files.writeString(scans.resolve("rotten.pdf"), "%PDF-1.4 nothing");
        List<Path> files = new ArrayList<>(stack.files());
        files.add(rotten);
        String no = bring("dues-letters", files);
        JsonNode batch = operator.get("/api/batches/" + no + "?fields=true");
        assertThat(batch.get("rejected").get(0).get("file").asString()).isEqualTo("rotten.pdf");
        assertThat(batch.get("documents")).hasSize(3);
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/filing", Map.of()))
                .as("with doubts left")
                .hasMessageContaining("settle them first");

        assertThatThrownBy(() -> settle(no, batch.get("documents").get(2), "owner", " "))
                .as("nothing typed is not the word that there is nothing")
                .hasMessageContaining("Owner is needed");
        String registration = stack.documents().get(2).fields().get("vessel");
        for (String field : List.of("vessel", "owner")) {
            settle(
                    no,
                    batch.get("documents").get(2),
                    field,
                    stack.documents().get(2).fields().get(field));
        }
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");

        JsonNode plan = operator.get("/api/batches/" + no + "/filing");
        assertThat(plan.get("deliveries"))
                .hasSize(6)
                .allMatch(d -> d.get("state").asString().equals("done"));
        JsonNode ledger = plan.get("ledger");
        assertThat(ledger.get("filed").asInt()).isEqualTo(ledger.get("received").asInt());
        assertThat(operator.get("/api/batches/" + no + "/report").get("ledger"))
                .as("report and screen agree")
                .isEqualTo(ledger);
        for (JsonNode delivery : plan.get("deliveries")) {
            if (delivery.get("destination").asString().equals("accounts")) {
                assertThat(DATA.resolve("data/filed/accounts")
                                .resolve(delivery.get("path").asString() + ".pdf"))
                        .isNotEmptyFile();
            }
        }
        assertThatThrownBy(() ->
                        operator.post("/api/batches/" + no + "/decisions", Map.of("act", "plantStake", "page", 1)))
                .hasMessageContaining("is filed");

        for (String words : List.of(
                "harbour", "\"Dear Harbour Master\"", registration, "vessel:" + registration.substring(3, 6), "haRb")) {
            assertThat(found(words)).as(words).contains(no);
        }
        for (String odd : List.of("+", "@", "(foo", "\"", "-", "zzyzx", "vessel:%", "*", "a:b:c")) {
            assertThat(found(odd)).as(odd).doesNotContain(no);
        }
        assertThat(operator.get("/api/batches/" + no + "/log").toString())
                .contains("\"filed\"", "m.tarrow", "\"settled\"");
    }

    @Test
    void decisionsAreUndoneAndDoneAgainAndATurnedPageIsReadAgain() throws Exception {
        String no = bring(
                "dues-letters",
                Paper.duesLetters(scans, Harbour.portMerrow(), 2, 43).files());
        String path = "/api/batches/" + no;
        int documents = operator.get(path).get("documents").size();
        anActIsAnsweredWithWhatItChanged(path, Map.of("act", "liftStake", "page", lastFirstPage(no)));
        assertThat(operator.get(path).get("documents")).hasSize(documents - 1);
        operator.post(path + "/undo", Map.of());
        assertThat(operator.get(path).get("documents")).hasSize(documents);
        operator.post(path + "/redo", Map.of());
        assertThat(operator.get(path).get("documents")).hasSize(documents - 1);
        assertThatThrownBy(() -> operator.post(path + "/redo", Map.of())).hasMessageContaining("nothing to do again");

        var some = Map.of("act", "setAside", "pages", List.of(1));
        assertThatThrownBy(() -> operator.post(
                        path + "/decisions/together", List.of(some, Map.of("act", "setAside", "pages", List.of(999)))))
                .hasMessageContaining("999");
        assertThat(page(no, 1).get("role").asString())
                .as("none of them is done")
                .isEqualTo("content");
        operator.post(path + "/decisions/together", List.of(some, Map.of("act", "setAside", "pages", List.of(2))));
        operator.post(path + "/undo", Map.of());
        assertThat(List.of(page(no, 1), page(no, 2)))
                .allMatch(p -> p.get("role").asString().equals("content"));

        operator.post(path + "/decisions", Map.of("act", "turn", "page", 1, "rotation", 90));
        await().atMost(Duration.ofSeconds(30))
                .until(() -> page(no, 1).get("rotation").asInt() == 90);
        assertThat(page(no, 1).get("widthMm").asDouble()).isGreaterThan(290);
        operator.post(path + "/undo", Map.of());
        await().atMost(Duration.ofSeconds(30))
                .until(() -> page(no, 1).get("rotation").asInt() == 0);
    }

    /** On the answer that a screen has: joined to the one before, a document changes that one only. */
    private void anActIsAnsweredWithWhatItChanged(String path, Map<String, Object> lift) throws Exception {
        JsonNode known = operator.get(path);
        int documents = known.get("documents").size();
        JsonNode answer =
                operator.post(path + "/decisions?since=" + known.get("tag").asString(), lift);
        assertThat(answer.get("since")).isEqualTo(known.get("tag"));
        assertThat(answer.get("pages"))
                .as("only their documents' numbers are others")
                .isEmpty();
        assertThat(answer.get("types").isNull()).isTrue();
        assertThat(answer.get("order")).hasSameSizeAs(known.get("pages"));
        assertThat(answer.get("firsts")).hasSize(documents - 1);
        assertThat(answer.get("documents")).hasSize(1);
        assertThat(answer.get("documents").get(0).get("pages").valueStream().map(JsonNode::asInt))
                .contains((Integer) lift.get("page"))
                .contains(known.get("documents")
                        .get(documents - 2)
                        .get("pages")
                        .get(0)
                        .asInt());
        assertThat(operator.get(path + "?since=" + known.get("tag").asString()).get("documents"))
                .hasSize(1);
        assertThat(operator.get(path + "?since=of-another-server").get("documents"))
                .hasSize(documents - 1);
    }

    @Test
    void aWatchedFolderIsEmptiedIntoBatchesAndWhatCannotBeReadIsMovedAside() throws Exception {
        Path copier = DATA.resolve("copier");
        Path letter =
                Paper.duesLetters(scans, Harbour.portMerrow(), 1, 47).files().get(0);
        Files.copy(letter, copier.resolve("from the copier.jpg"));
        Files.writeString(copier.resolve("odd.tif"), "II*\0");
        await().atMost(Duration.ofSeconds(30)).untilAsserted(() -> {
            assertThat(copier.resolve("from the copier.jpg")).doesNotExist();
            assertThat(copier.resolve("odd.tif")).doesNotExist();
        });
        assertThat(copier.resolve("rejected/odd.tif")).exists();
        assertThat(copier.resolve("rejected/odd.tif.reason.txt")).content().contains("damaged");
        await().atMost(Duration.ofSeconds(30))
                .until(() -> operator.get("/api/board").toString().contains("folder copier"));
    }

    @Test
    void nothingIsReachedWithoutSignInAndEachRoleItsOwn() throws Exception {
        HttpClient stranger = HttpClient.newHttpClient();
        for (String path :
                List.of("/api/board", "/api/archive", "/api/streams", "/v3/api-docs", "/api/events", "/anything")) {
            assertThat(status(stranger, path)).as(path).isIn(401, 403);
        }
        var post = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/sign-in"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=m.tarrow&password=merrow-operator"))
                .build();
        assertThat(stranger.send(post, HttpResponse.BodyHandlers.ofString()).statusCode())
                .as("no token")
                .isEqualTo(403);
        assertThatThrownBy(() -> api("m.tarrow", "wrong")).hasMessageContaining("do not go together");

        Api reader = api("i.ravenel", "merrow-reader");
        assertThat(reader.get("/api/archive").has("found")).isTrue();
        assertThatThrownBy(() -> reader.get("/api/board")).hasMessageContaining("403");
        String stream = Files.readString(Path.of("../demo/streams/dues-letters.json"));
        assertThatThrownBy(() -> operator.post("/api/streams", Map.of("json", stream)))
                .hasMessageContaining("403");
        Api supervisor = api("t.vane", "merrow-supervisor");
        assertThatThrownBy(() -> supervisor.post("/api/streams", Map.of("json", "{\"jalon\":1}")))
                .hasMessageContaining("/: ");
        assertThat(supervisor
                        .post("/api/streams", Map.of("json", stream))
                        .get("version")
                        .asInt())
                .isGreaterThan(1);
    }

    @Test
    void thePublishedApiIsTheOneThatRuns() throws Exception {
        var json = JsonMapper.builder().build();
        JsonNode published = json.readTree(Files.readString(Path.of("../docs/openapi.json")));
        JsonNode running = operator.get("/v3/api-docs");
        Files.writeString(
                Path.of("../server/target/openapi.json"),
                json.writerWithDefaultPrettyPrinter().writeValueAsString(running));
        assertThat(published)
                .as("copy server/target/openapi.json to docs/openapi.json")
                .isEqualTo(running);
    }
}
