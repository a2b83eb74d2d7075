package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Programs send with a token: once under each key, only for their streams, and see only what they sent. */
class ProgramsTest extends ServerCase {
    private final HttpClient http = HttpClient.newHttpClient();
    private Api supervisor;
    private String secret;
    private long token;
    private Paper.Stack stack;
    private List<Path> letters;

    @BeforeEach
    void token() throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
        JsonNode made = supervisor.post("/api/tokens", Map.of("name", "port gate", "streams", List.of("dues-letters")));
        secret = made.get("secret").asString();
        token = made.get("token").get("id").asLong();
        stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 97);
        letters = stack.files();
    }

    @Test
    void whatIsSentTwiceUnderOneKeyIsTakenOnceEvenAtTheSameMoment() throws Exception {
        List<CompletableFuture<HttpResponse<String>>> sent = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            sent.add(http.sendAsync(request("dues-letters", "gate/1", letters), HttpResponse.BodyHandlers.ofString()));
        }
        List<String> numbers = new ArrayList<>();
        List<Integer> codes = new ArrayList<>();
        for (var answer : sent) {
            codes.add(answer.get().statusCode());
            numbers.add(json(answer.get()).get("no").asString());
        }
        assertThat(codes).containsOnlyOnce(201).allMatch(c -> c == 200 || c == 201);
        assertThat(numbers.stream().distinct()).hasSize(1);
        String no = numbers.get(0);
        await().atMost(Duration.ofSeconds(60))
                .until(() -> !json(get("/in/v1/batches/" + no))
                        .get("stage")
                        .asString()
                        .equals("intake"));
        JsonNode report = json(get("/in/v1/batches/" + no + "/report"));
        assertThat(report.get("pages")).hasSize(letters.size());
        assertThat(json(send("dues-letters", "gate/1", letters)).get("before").asBoolean())
                .isTrue();
        assertThat(json(send("dues-letters", "gate/2", letters)).get("no").asString())
                .isNotEqualTo(no);
    }

    @Test
    void otherFilesUnderAUsedKeyAreRefusedAndTheListShowsWhatWasSent() throws Exception {
        String first = json(send("dues-letters", "gate/6", letters.subList(0, 1)))
                .get("no")
                .asString();
        HttpResponse<String> other = send("dues-letters", "gate/6", letters.subList(1, 2));
        assertThat(other.statusCode()).isEqualTo(422);
        assertThat(other.body()).contains("was used for other files", first);
        String second = json(send("dues-letters", "gate/7", letters.subList(1, 2)))
                .get("no")
                .asString();
        JsonNode newest = json(get("/in/v1/batches?limit=1"));
        assertThat(newest.get("batches").get(0).get("no").asString()).isEqualTo(second);
        JsonNode rest = json(get("/in/v1/batches?before=" + newest.get("next").asString()));
        assertThat(rest.get("batches").get(0).get("no").asString()).isEqualTo(first);
        assertThat(rest.get("next").isNull()).isTrue();
        assertThat(get("/in/v1/batches?limit=0").statusCode()).isEqualTo(422);
    }

    @Test
    void aFiledDocumentIsFetchedInTheFormatsItWasFiledIn() throws Exception {
        String no = json(send("dues-letters", "gate/8", letters)).get("no").asString();
        await().atMost(Duration.ofSeconds(60))
                .until(() -> !json(get("/in/v1/batches/" + no))
                        .get("stage")
                        .asString()
                        .equals("intake"));
        assertThat(get("/in/v1/batches/" + no + "/documents/1/file").statusCode())
                .as("not filed yet")
                .isEqualTo(404);
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        HttpResponse<String> pdf = get("/in/v1/batches/" + no + "/documents/1/file");
        assertThat(pdf.statusCode()).isEqualTo(200);
        assertThat(pdf.body()).startsWith("%PDF");
        assertThat(pdf.headers().firstValue("Content-Disposition").orElseThrow())
                .contains(".pdf");
        assertThat(get("/in/v1/batches/" + no + "/documents/1/file?format=docx").statusCode())
                .isEqualTo(404);
    }

    @Test
    void aTokenReachesItsStreamsAndItsBatchesAndNothingElse() throws Exception {
        assertThat(send("berth-applications", "gate/3", letters).statusCode()).isEqualTo(403);
        String other = bring("dues-letters", letters);
        assertThat(get("/in/v1/batches/" + other).statusCode()).isEqualTo(404);
        assertThat(get("/api/board").statusCode()).isEqualTo(401);
        assertThat(http.send(
                                HttpRequest.newBuilder(URI.create(base() + "/in/v1/batches/" + other))
                                        .build(),
                                HttpResponse.BodyHandlers.ofString())
                        .body())
                .contains("Send a valid token");
        Path rotten = Files.writeString(scans.resolve("rotten.pdf"), "%PDF nothing");
        HttpResponse<String> refused = send("dues-letters", "gate/4", List.of(rotten));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("rotten.pdf", "None of the files");
        HttpResponse<String> some = send("dues-letters", "gate/4", List.of(rotten, letters.get(0)));
        assertThat(json(some).get("files").get(0).get("rejected").get("code").asString())
                .isEqualTo("unknownKind");
        assertThat(supervisor.get("/api/tokens").toString()).doesNotContain(secret);
        supervisor.post("/api/tokens/" + token + "/revoke", Map.of());
        assertThat(send("dues-letters", "gate/5", letters).statusCode()).isEqualTo(401);
    }

    private String base() {
        return "http://127.0.0.1:" + port;
    }

    private HttpResponse<String> get(String path) throws Exception {
        return http.send(
                HttpRequest.newBuilder(URI.create(base() + path))
                        .header("Authorization", "Bearer " + secret)
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> send(String stream, String key, List<Path> files) throws Exception {
        return http.send(request(stream, key, files), HttpResponse.BodyHandlers.ofString());
    }

    private HttpRequest request(String stream, String key, List<Path> files) throws Exception {
        var body = new ByteArrayOutputStream();
        for (Path file : files) {
            body.writeBytes(("--b\r\nContent-Disposition: form-data; name=\"files\"; filename=\"" + file.getFileName()
                            + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(Files.readAllBytes(file));
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes("--b--\r\n".getBytes(StandardCharsets.UTF_8));
        return HttpRequest.newBuilder(URI.create(base() + "/in/v1/streams/" + stream + "/batches"))
                .header("Authorization", "Bearer " + secret)
                .header("Idempotency-Key", key)
                .header("Content-Type", "multipart/form-data; boundary=b")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build();
    }

    private static JsonNode json(HttpResponse<String> answer) {
        return JsonMapper.builder().build().readTree(answer.body());
    }
}
