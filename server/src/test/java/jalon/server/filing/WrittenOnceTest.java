package jalon.server.filing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.core.output.FilingPlace;
import jalon.core.stream.Destination;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.server.JalonSettings;
import jalon.server.ServerCase;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class WrittenOnceTest extends ServerCase {
    private final Duration soon = Duration.ofSeconds(60);

    @Autowired
    private DeliveryRows rows;

    @Autowired
    private WrittenFiles written;

    @Autowired
    private JalonSettings settings;

    @Test
    void theNextTryBringsWhatWasWrittenAtTheFirst() throws Exception {
        ObjectNode stream = (ObjectNode) operator.get("/api/streams/dues-letters");
        stream.put("stream", "blocked-letters");
        ((ObjectNode) stream.get("destinations").get(0)).put("destination", "blocked");
        api("t.vane", "merrow-supervisor").post("/api/streams", Map.of("json", stream.toString()));
        // Where the folder should be is a file: nothing can be filed below it.
        Path inTheWay = Files.writeString(
                Files.createDirectories(settings.filingFolder()).resolve("blocked"), "in the way");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 73);
        String no = bring("blocked-letters", stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        await().atMost(soon).until(() -> blocked(no).get("state").asString().equals("retrying"));

        // An older version wrote it, in its own way.
        long id = blocked(no).get("id").asLong();
        Path file = written.folder().resolve(id + ".pdf");
        Files.writeString(file, "as the older version wrote it");
        FilingPlace.Ready ready = FilingPlace.Ready.of(Destination.Format.PDF, file);
        rows.keepFile(id, ready);
        Files.delete(inTheWay);
        operator.post("/api/batches/" + no + "/deliveries/" + id, Map.of("fate", "now"));
        awaitStage(no, "done");
        assertThat(inTheWay.resolve(blocked(no).get("path").asString() + ".pdf"))
                .hasContent("as the older version wrote it");
        assertThat(operator.get("/api/batches/" + no + "/report").toString()).contains(ready.sha256());
        await().atMost(soon).until(() -> Files.notExists(file));
    }

    /** What a server left that stopped in between: a page of its own was not known by its name, nor a list. */
    @Test
    void nothingIsLeftOfPagesAndListsThatNoDeliveryNeeds() throws Exception {
        Path folder = written.folder();
        Instant longAgo = Instant.now().minus(Duration.ofDays(30));
        List<Path> left = List.of(
                folder.resolve("999999999.pdf"),
                folder.resolve("999999999 p001.png"),
                folder.resolve(WrittenFiles.listName(999)));
        for (Path file : left) {
            Files.setLastModifiedTime(Files.writeString(file, "left"), FileTime.from(longAgo));
        }
        Path now = Files.writeString(folder.resolve(WrittenFiles.listName(998)), "being written");
        written.run();
        assertThat(left).allSatisfy(file -> assertThat(file).doesNotExist());
        assertThat(now).exists();
        Files.delete(now);
    }

    private JsonNode blocked(String no) throws Exception {
        for (JsonNode d : operator.get("/api/batches/" + no + "/filing").get("deliveries")) {
            if (d.get("destination").asString().equals("blocked")) {
                return d;
            }
        }
        throw new AssertionError("no such delivery");
    }
}
