package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Lists of what is filed, which grow with it. */
class FilingListsTest extends ServerCase {
    @TempDir
    private Path scans;

    private int stacks;

    private String stream() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        String name = supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", "Listed letters"))
                .get("name")
                .asString();
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + name);
        ObjectNode listed = definition.putArray("destinations").addObject();
        listed.putArray("formats").add("pdf").add("png");
        listed.put("destination", "listed")
                .put("to", "folder")
                .put("folder", name)
                .put("file", "{batch}-{no}")
                .put("list", "folder");
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        return name;
    }

    private String filed(String stream, int documents) throws Exception {
        stacks++;
        var stack = Paper.duesLetters(
                Files.createDirectories(scans.resolve("stack" + stacks)),
                Harbour.portMerrow(),
                documents,
                400 + stacks);
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        JsonNode planned = operator.get("/api/batches/" + no + "/filing").get("lists");
        assertThat(planned.findValuesAsString("path")).containsExactly(stream + "/list.csv");
        file(no);
        return no;
    }

    private void file(String no) throws Exception {
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        await().until(() -> !operator.get("/api/batches/" + no + "/filing")
                .get("lists")
                .get(0)
                .get("behind")
                .asBoolean());
    }

    private static List<String> lines(Path list) throws IOException {
        return Files.readAllLines(list);
    }

    @Test
    void itGrowsWithEachBatchLosesWhatIsTakenBackAndLeavesAloneWhatSomebodyElseWrote() throws Exception {
        String stream = stream();
        Path list = DATA.resolve("data/filed/listed").resolve(stream).resolve("list.csv");
        String first = filed(stream, 2);
        assertThat(lines(list)).hasSize(3);
        assertThat(lines(list).get(0))
                .startsWith("file,stream,type,batch,document,pages,filed,")
                .contains("vessel");
        assertThat(lines(list).get(1)).startsWith(first + "-1.pdf," + stream + ",dues-letter," + first + ",1,");
        assertThat(list.resolveSibling(first + "-1 p001.png"))
                .as("a picture for each page")
                .isNotEmptyFile();
        String second = filed(stream, 1);
        assertThat(lines(list)).hasSize(4);

        operator.post("/api/batches/" + first + "/filing/take-back", Map.of("why", "wrong batch"));
        await().until(() -> lines(list).size() == 2);
        assertThat(lines(list).get(1)).startsWith(second + "-1.pdf");
        assertThat(list.resolveSibling(first + "-1 p001.png")).doesNotExist();
        file(first);
        assertThat(lines(list)).hasSize(4);

        Files.writeString(list, Files.readString(list) + "a note,by,somebody\r\n");
        filed(stream, 1);
        assertThat(lines(list)).as("theirs stays").hasSize(5);
        assertThat(lines(list.resolveSibling("list (2).csv"))).hasSize(5);
        filed(stream, 1);
        assertThat(lines(list)).hasSize(5);
        assertThat(lines(list.resolveSibling("list (2).csv"))).hasSize(6);
        try (var all = Files.list(list.getParent())) {
            assertThat(all.filter(f -> f.toString().endsWith(".csv"))).hasSize(2);
        }
    }
}
