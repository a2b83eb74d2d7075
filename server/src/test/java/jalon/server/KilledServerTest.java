package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The server is killed in the middle of its work, twice, and started again: nothing is lost and nothing doubled. */
class KilledServerTest {
    @TempDir
    Path folder;

    private final String database = TestDatabase.fresh();

    @Test
    void aBatchIsFinishedAfterTheServerWasKilledWhileReadingAndWhileFiling() throws Exception {
        var stack =
                Paper.licenceRenewals(Files.createDirectories(folder.resolve("scans")), Harbour.portMerrow(), 3, 51);
        int port = freePort();
        Process server = start(port);
        Api api = signedIn(port, server);
        String no = api.post("/api/batches", Map.of("stream", "licence-renewals"))
                .get("no")
                .asString();
        api.upload("/api/batches/" + no + "/files", stack.files().get(0));
        api.post("/api/batches/" + no + "/arrived", Map.of());
        String path = "/api/batches/" + no;
        await().atMost(Duration.ofSeconds(60))
                .until(() -> api.get(path).get("pages").size() >= 2);
        server.destroyForcibly().waitFor();

        Process second = start(port);
        Api again = signedIn(port, second);
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
        second.destroyForcibly().waitFor();

        Process third = start(port);
        try {
            Api last = signedIn(port, third);
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
            third.destroyForcibly().waitFor();
        }
    }

    private Process start(int port) throws IOException {
        var builder = new ProcessBuilder(
                System.getProperty("java.home") + "/bin/java",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                JalonServer.class.getName(),
                "--server.port=" + port,
                "--spring.datasource.url=" + database,
                "--jalon.data=" + folder.resolve("data"),
                "--jalon.setup=../demo");
        builder.environment().put("OMP_THREAD_LIMIT", "1");
        return builder.redirectErrorStream(true)
                .redirectOutput(folder.resolve("server.log").toFile())
                .start();
    }

    private Api signedIn(int port, Process server) {
        Api api = new Api("http://127.0.0.1:" + port);
        await().atMost(Duration.ofSeconds(60))
                .ignoreExceptionsMatching(e -> e instanceof IOException)
                .until(() -> {
                    if (!server.isAlive()) {
                        throw new IllegalStateException(Files.readString(folder.resolve("server.log")));
                    }
                    api.signIn("m.tarrow", "merrow-operator");
                    return true;
                });
        return api;
    }

    private static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            return free.getLocalPort();
        }
    }
}
