package jalon.server;

import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Paper;
import jalon.standins.DirectoryStandIn;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A running server with the demo's streams and people; classes that extend this share one. */
@Tag("whole")
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public abstract class ServerCase {
    /** Of the server, which outlives a test class. */
    static final Path DATA = folder();

    /** Where people can sign in by. */
    static final DirectoryStandIn DIRECTORY = directory();

    @TempDir
    protected Path scans;

    @LocalServerPort
    int port;

    protected Api operator;

    @DynamicPropertySource
    static void settings(DynamicPropertyRegistry settings) throws IOException {
        Path copier = Files.createDirectories(DATA.resolve("copier"));
        String database = TestDatabase.fresh();
        settings.add("spring.datasource.url", () -> database);
        settings.add("spring.datasource.username", () -> "root");
        settings.add("jalon.data", () -> DATA.resolve("data").toString());
        settings.add("jalon.setup", () -> "../demo");
        int smtp;
        try (var free = new java.net.ServerSocket(0)) {
            smtp = free.getLocalPort();
        }
        settings.add("jalon.mail.host", () -> "127.0.0.1");
        settings.add("jalon.mail.port", () -> smtp);
        settings.add("jalon.mail.from", () -> "jalon@merrow.example");
        Path channels = Files.writeString(
                DATA.resolve("channels.json"),
                "[{\"name\":\"copier\",\"stream\":\"dues-letters\",\"settings\":{\"kind\":\"folder\",\"folder\":\""
                        + copier.toAbsolutePath() + "\",\"everySeconds\":1,\"settleSeconds\":0}}]");
        settings.add("jalon.directory.name", () -> "Port Merrow directory");
        settings.add("jalon.directory.issuer", DIRECTORY::issuer);
        settings.add("jalon.directory.client-id", () -> DirectoryStandIn.CLIENT);
        settings.add("jalon.directory.client-secret", () -> "between us");
        settings.add("jalon.directory.supervisors", () -> "records-keepers");
        settings.add("jalon.directory.operators", () -> "scanning");
        settings.add("jalon.directory.readers", () -> "harbour-office");
        settings.add("jalon.intake.channels", channels::toString);
        settings.add(
                "jalon.intake.folder-roots", () -> System.getProperty("java.io.tmpdir") + "," + DATA.toAbsolutePath());
        settings.add("jalon.intake.hosts", () -> "127.0.0.0/8,localhost");
        settings.add("server.forward-headers-strategy", () -> "native");
        settings.add("jalon.reading.patience", () -> "0.3");
    }

    private static Path folder() {
        // A stand-in whose peer hangs up throws in a thread of its own; that is not the test's failure.
        org.awaitility.Awaitility.doNotCatchUncaughtExceptionsByDefault();
        // Other test programs may have both cores: a wait that ends early is no finding.
        org.awaitility.Awaitility.setDefaultTimeout(Duration.ofSeconds(180));
        try {
            return Files.createTempDirectory(Path.of("target"), "server-case");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static DirectoryStandIn directory() {
        try {
            return DirectoryStandIn.start(0, "between us");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @BeforeEach
    void signIn() throws Exception {
        operator = api("m.tarrow", "merrow-operator");
    }

    protected Api api(String name, String password) throws Exception {
        Api api = new Api("http://127.0.0.1:" + port);
        api.signIn(name, password);
        return api;
    }

    protected String bring(String stream, List<Path> files) throws Exception {
        String no = operator.bring(stream, files);
        leftIntake(no);
        return no;
    }

    /** Of a problem as the API tells it. */
    static String words(JsonNode problem) {
        return JsonMapper.shared().treeToValue(problem, Trouble.class).words();
    }

    void leftIntake(String no) {
        await().until(() -> !operator.stage(no).equals("intake"));
    }

    protected void awaitStage(String no, String stage) {
        await().until(() -> operator.stage(no).equals(stage));
    }

    void settle(String no, JsonNode document, String field, String value) throws Exception {
        Map<String, Object> settle = new LinkedHashMap<>();
        settle.put("act", "settle");
        settle.put("page", document.get("pages").get(0).asInt());
        settle.put("field", field);
        settle.put("value", value);
        operator.post("/api/batches/" + no + "/decisions", settle);
    }

    protected void settleTheRest(String no, Paper.Stack stack) throws Exception {
        for (JsonNode document :
                operator.get("/api/batches/" + no + "?fields=true").get("documents")) {
            var truth = stack.documents().get(document.get("no").asInt() - 1).fields();
            for (var field : document.get("fields").properties()) {
                if (List.of("doubtful", "wrong", "empty")
                        .contains(field.getValue().get("state").asString())) {
                    settle(no, document, field.getKey(), truth.get(field.getKey()));
                }
            }
        }
    }

    int lastFirstPage(String no) throws Exception {
        JsonNode documents = operator.get("/api/batches/" + no).get("documents");
        return documents.get(documents.size() - 1).get("pages").get(0).asInt();
    }

    JsonNode page(String no, int page) throws Exception {
        return operator.get("/api/batches/" + no).get("pages").get(page - 1);
    }

    List<String> found(String words) throws Exception {
        List<String> batches = new ArrayList<>();
        operator.get("/api/archive?q=" + java.net.URLEncoder.encode(words, StandardCharsets.UTF_8))
                .get("found")
                .forEach(d -> batches.add(d.get("batch").asString()));
        return batches;
    }

    int status(HttpClient client, String path) throws Exception {
        var request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .build();
        return client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
    }
}
