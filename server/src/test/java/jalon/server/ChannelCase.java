package jalon.server;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/** A running server, and a channel of the test's own that is removed after it. */
abstract class ChannelCase extends ServerCase {
    final Duration soon = Duration.ofSeconds(40);
    Api supervisor;
    Path letter;
    Long made;

    @BeforeEach
    void paper() throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
        letter = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 47).files().get(0);
    }

    @AfterEach
    void remove() throws Exception {
        if (made != null) {
            supervisor.delete("/api/channels/" + made);
        }
    }

    Path folder(String name) throws Exception {
        return Files.createDirectories(scans.resolve(name));
    }

    static Map<String, Object> folderSettings(Path folder, int gatherSeconds, boolean byStream) {
        return Map.of(
                "kind",
                "folder",
                "folder",
                folder.toString(),
                "byStream",
                byStream,
                "everySeconds",
                1,
                "gatherSeconds",
                gatherSeconds,
                "settleSeconds",
                0);
    }

    List<JsonNode> batches(String source) throws Exception {
        List<JsonNode> all = new ArrayList<>();
        for (JsonNode b : operator.get("/api/board").get("batches")) {
            if (b.get("source").asString().equals(source)) {
                all.add(b);
            }
        }
        return all;
    }

    void channel(String name, Map<String, ?> what) throws Exception {
        made = supervisor
                .post("/api/channels", Map.of("name", name, "stream", "dues-letters", "settings", what))
                .get("id")
                .asLong();
    }

    void save(String name, Map<String, ?> what) throws Exception {
        supervisor.put("/api/channels/" + made, Map.of("name", name, "stream", "dues-letters", "settings", what));
    }

    JsonNode seen(String name) throws Exception {
        for (JsonNode c : operator.get("/api/channels").get("channels")) {
            if (c.get("name").asString().equals(name)) {
                return c;
            }
        }
        throw new AssertionError("no channel " + name);
    }

    String problem(String name) throws Exception {
        JsonNode problem = seen(name).get("problem");
        return problem.isNull() ? "" : words(problem);
    }

    int count(String source) throws Exception {
        return batches(source).size();
    }

    String batchFrom(String source) throws Exception {
        List<JsonNode> all = batches(source);
        return all.isEmpty() ? null : all.get(0).get("no").asString();
    }
}
