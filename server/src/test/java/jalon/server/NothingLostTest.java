package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.core.page.Sha256;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Whatever reaches Jalon is kept, and leaves where it came from only then. */
class NothingLostTest extends ChannelCase {
    private static final FileTime THEN = FileTime.from(Instant.parse("2026-11-23T08:00:00Z"));

    @Autowired
    private JdbcTemplate database;

    @Test
    void anotherFileOfTheSameNameAndTimeIsTakenAndTheSameBytesSentTwiceAreTwoSendings() throws Exception {
        Path folder = folder("same");
        channel("same", folderSettings(folder, 0, false));
        Path other = other();
        Path file = folder.resolve("scan0001.jpg");
        int sent = 0;
        for (Path what : List.of(letter, other, other)) {
            put(what, file);
            sent++;
            int until = sent;
            await().atMost(soon).until(() -> !Files.exists(file) && count("folder same") == until);
        }
        assertThat(stored(letter)).isTrue();
        assertThat(stored(other)).isTrue();
        Path accented = folder.resolve("SCÁN0001.jpg");
        put(letter, accented);
        await().atMost(soon).until(() -> !Files.exists(accented) && count("folder same") == 4);
    }

    @Test
    void aFileThatWasRecordedWhenTheServerDiedIsOnlyRemovedAndOneHalfRemovedIsLookedAtAgain() throws Exception {
        Path folder = folder("crash");
        channel("crash", folderSettings(folder, 0, false));
        Path file = folder.resolve("one.jpg");
        put(letter, file);
        await().atMost(soon).until(() -> !Files.exists(file) && count("folder crash") == 1);
        supervisor.post("/api/channels/" + made + "/pause", Map.of());
        // As if it had died between recording this very file and removing it.
        put(letter, file);
        var unix = Files.readAttributes(file, "unix:ino,ctime,size");
        Instant changed = ((FileTime) unix.get("ctime")).toInstant();
        String mark = Long.toHexString(((Number) unix.get("ino")).longValue()) + "."
                + Long.toHexString(changed.getEpochSecond() * 1_000_000_000L + changed.getNano()) + "."
                + Long.toHexString(Files.size(file));
        database.update(
                "update received_file set origin = ? where origin like ?",
                "folder:" + made + ":one.jpg#" + mark,
                "folder:" + made + ":%");
        // And as if it had died while these two were out of reach: one that is stored, one that was written to since.
        Path done = folder.resolve(".jalon-taken-" + Sha256.of(letter) + "-two.jpg");
        put(letter, done);
        Path changedSince = folder.resolve(".jalon-taken-" + Sha256.of(letter) + "-three.jpg");
        put(other(), changedSince);
        supervisor.post("/api/channels/" + made + "/resume", Map.of());
        await().atMost(soon).until(() -> count("folder crash") == 2);
        await().atMost(soon).until(() -> filesIn(folder) == 0);
        assertThat(stored(other())).isTrue();
    }

    @Test
    void eachStreamGathersItsOwnBatchAndWithdrawnOnesTakeNothingMore() throws Exception {
        Path folder = folder("gathering");
        Path letters = Files.createDirectories(folder.resolve("dues-letters"));
        Path applications = Files.createDirectories(folder.resolve("berth-applications"));
        channel("gathering", folderSettings(folder, 3600, true));
        put(letter, letters.resolve("a.jpg"));
        put(letter, applications.resolve("b.jpg"));
        await().atMost(soon).until(() -> count("folder gathering") == 2);
        assertThat(batches("folder gathering"))
                .extracting(b -> b.get("stream").asString())
                .containsExactlyInAnyOrder("dues-letters", "berth-applications");
        String no = batches("folder gathering").stream()
                .filter(b -> b.get("stream").asString().equals("dues-letters"))
                .findFirst()
                .orElseThrow()
                .get("no")
                .asString();
        supervisor.post("/api/batches/" + no + "/withdraw", Map.of("why", "the wrong stack"));
        put(letter, letters.resolve("c.jpg"));
        await().atMost(soon).until(() -> count("folder gathering") == 3);
        assertThat(database.queryForObject(
                        "select count(*) from page where batch_id = ?", Integer.class, Long.parseLong(no.substring(2))))
                .isEqualTo(1);
        assertThatThrownBy(() -> operator.upload("/api/batches/" + no + "/files", letter))
                .hasMessageContaining("was withdrawn");
        // A channel that goes leaves nothing behind that waits for ever.
        supervisor.delete("/api/channels/" + made);
        made = null;
        for (JsonNode b : batches("folder gathering")) {
            leftIntake(b.get("no").asString());
        }
    }

    @Test
    void aPageInAnothersPlaceIsTakenBackWithOneUndo() throws Exception {
        String no = bring("dues-letters", List.of(letter));
        operator.upload("/api/batches/" + no + "/insert?replaces=1", other());
        await().atMost(soon)
                .until(() -> operator.get("/api/batches/" + no).get("pages").size() == 2);
        assertThat(roles(no)).containsExactly("setAside", "content");
        operator.post("/api/batches/" + no + "/undo", Map.of());
        assertThat(roles(no))
                .as("the page that came is kept, out of the way; the one it replaced is back")
                .containsExactly("content", "setAside");
        operator.post("/api/batches/" + no + "/redo", Map.of());
        assertThat(roles(no)).containsExactly("setAside", "content");
    }

    private List<String> roles(String no) throws Exception {
        List<JsonNode> pages = new ArrayList<>();
        operator.get("/api/batches/" + no).get("pages").forEach(pages::add);
        return pages.stream()
                .sorted(java.util.Comparator.comparingInt(p -> p.get("no").asInt()))
                .map(p -> p.get("role").asString())
                .toList();
    }

    private Path other() throws Exception {
        return Paper.duesLetters(scans, Harbour.portMerrow(), 1, 48).files().get(0);
    }

    private static void put(Path what, Path where) throws Exception {
        Path part = where.resolveSibling(where.getFileName() + ".part");
        Files.copy(what, part);
        Files.setLastModifiedTime(part, THEN);
        Files.move(part, where);
    }

    private static boolean stored(Path file) throws Exception {
        String sha256 = Sha256.of(file);
        return Files.mismatch(file, DATA.resolve("data/received/" + sha256.substring(0, 2) + "/" + sha256.substring(2)))
                == -1;
    }

    private static long filesIn(Path folder) throws Exception {
        try (var all = Files.list(folder)) {
            return all.count();
        }
    }
}
