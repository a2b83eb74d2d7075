package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The server is killed in the middle of its work, twice, and started again: nothing is lost and nothing doubled. */
@Tag("whole")
class KilledServerTest {
    @TempDir
    Path folder;

    private final String database = TestDatabase.fresh();

    @Test
    void aBatchIsFinishedAfterTheServerWasKilledWhileReadingAndWhileFiling() throws Exception {
        var stack =
                Paper.licenceRenewals(Files.createDirectories(folder.resolve("scans")), Harbour.portMerrow(), 3, 51);
        int port = ServerProcess.freePort();
        ServerProcess server = ServerProcess.start(folder, database, port);
        Api api = server.signedIn("m.tarrow", "merrow-operator");
        String no = api.post("/api/batches", Map.of("stream", "licence-renewals"))
                .get("no")
                .asString();
        api.upload("/api/batches/" + no + "/files", stack.files().get(0));
        api.post("/api/batches/" + no + "/arrived", Map.of());
        String path = "/api/batches/" + no;
        await().atMost(Duration.ofSeconds(60))
                .until(() -> api.get(path).get("pages").size() >= 2);
        server.kill();

        ServerProcess second = ServerProcess.start(folder, database, port);
        Api again = second.signedIn("m.tarrow", "merrow-operator");
        await().atMost(Duration.ofSeconds(120))
                .until(() -> !again.get(path).get("stage").asString().equals("intake"));
        JsonNode batch = again.get(path + "?fields=true");
        assertThat(batch.get("pages")).hasSize(stack.pages());
        assertThat(batch.get("documents")).hasSize(3);
        for (JsonNode document : batch.get("documents")) {
            var truth = stack.documents().get(document.get("no").asInt() - 1).fields();
            for (var field : document.get("fields").properties()) {
                again.post(
                        path + "/decisions",
                        Map.of(
                                "act",
                                "settle",
                                "page",
                                document.get("pages").get(0).asInt(),
                                "field",
                                field.getKey(),
                                "value",
                                truth.get(field.getKey()),
                                "valuePage",
                                0));
            }
        }
        again.post(path + "/filing", Map.of());
        second.kill();

        ServerProcess third = ServerProcess.start(folder, database, port);
        try {
            Api last = third.signedIn("m.tarrow", "merrow-operator");
            await().atMost(Duration.ofSeconds(120))
                    .until(() -> last.get(path).get("stage").asString().equals("done"));
            assertThat(last.get("/api/archive").get("archived").asInt()).isEqualTo(3);
            for (String where : List.of("data/filed/licences", "data/archive")) {
                try (var files = Files.walk(folder.resolve(where))) {
                    var names = files.filter(Files::isRegularFile)
                            .map(f -> f.getFileName().toString())
                            .toList();
                    assertThat(names.stream().filter(n -> n.endsWith(".pdf")))
                            .as(where)
                            .hasSize(3);
                    assertThat(names).noneMatch(n -> n.contains("(2)"));
                }
            }
            JsonNode ledger = last.get(path + "/filing").get("ledger");
            assertThat(ledger.get("received").asInt()).isEqualTo(stack.pages());
            assertThat(ledger.get("open").asInt()).isZero();
        } finally {
            third.kill();
        }
    }
}
