package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.core.page.Sha256;
import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents are kept as long as their stream says, and when that is over they can be erased, wherever they are. */
class RetentionTest extends ServerCase {
    /** On no paper and in no register. */
    private static final String OWNER = "Zuleika Quillfeather";

    @Autowired
    private JdbcTemplate database;

    private Api supervisor;

    @BeforeEach
    void supervise() throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
    }

    /** One like that of letters, kept for a month from the day on which they were written. */
    private String stream(String title, String file, String taken) throws Exception {
        String name = supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", title))
                .get("name")
                .asString();
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + name);
        ((ObjectNode) definition.get("types").get(0))
                .putObject("keep")
                .put("from", "written")
                .put("months", 1);
        var destinations = definition.putArray("destinations");
        for (String to : List.of("archive", "folder")) {
            ObjectNode destination = destinations.addObject();
            if (to.equals("folder")) {
                destination.put("list", "folder");
            }
            destination
                    .put("destination", to.equals("folder") ? "shelf" : to)
                    .put("to", to)
                    .put("folder", name + "/{owner}")
                    .put("file", file)
                    .put("taken", taken);
        }
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        return name;
    }

    private String filed(String stream, Paper.Stack stack, String owner) throws Exception {
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        for (JsonNode document : operator.get("/api/batches/" + no).get("documents")) {
            settle(no, document, "owner", owner);
        }
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        return no;
    }

    private JsonNode due(String stream) throws Exception {
        return supervisor.get("/api/retention/due/documents?type=dues-letter&stream=" + stream);
    }

    private static Map<String, Object> erase(String why, String batch, int... documents) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (int no : documents) {
            all.add(Map.of("batch", batch, "document", no));
        }
        return Map.of("documents", all, "why", why);
    }

    private void awaitErased(String no, int pages) {
        await().until(() -> operator.get("/api/batches/" + no + "/report")
                        .get("ledger")
                        .get("erased")
                        .asInt()
                == pages);
    }

    private static List<Path> files(Path below, String named) throws IOException {
        try (Stream<Path> all = Files.walk(below)) {
            return all.filter(p -> below.relativize(p).toString().contains(named))
                    .filter(p -> Files.isRegularFile(p) && !p.endsWith("list.csv"))
                    .toList();
        }
    }

    @Test
    void whatIsDueIsErasedEverywhereAndTheLedgerSaysSo() throws Exception {
        String stream = stream("Letters for a month", "{owner} {batch}-{no}", "number");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 301);
        Path unread = Files.writeString(scans.resolve("unread.tif"), "no picture of letter 301");
        List<Path> brought = new ArrayList<>(stack.files());
        brought.add(unread);
        String no = filed(stream, new Paper.Stack(stack.stream(), brought, stack.documents(), stack.pages()), OWNER);
        List<String> notRead = List.of(Sha256.of(unread));
        assertThat(kept(notRead)).isEqualTo(1);
        JsonNode documents = operator.get("/api/batches/" + no).get("documents");
        int first = documents.get(0).get("pages").size();
        int second = documents.get(1).get("pages").size();
        List<String> received = received(no);
        assertThat(kept(received)).isEqualTo(received.size());
        Path shelf = DATA.resolve("data/filed/shelf").resolve(stream);
        assertThat(files(shelf, OWNER)).hasSize(2);
        Path list = shelf.resolve(OWNER).resolve("list.csv");
        await().until(() -> Files.exists(list) && Files.readAllLines(list).size() == 3);

        String samples = usedToMakeStreams(stream, no);

        JsonNode due = due(stream);
        assertThat(due).hasSize(2);
        assertThat(due.get(0).get("kept").get("field").asString()).isEqualTo("Written on");
        assertThat(due.get(0).get("name").asString()).contains(OWNER);
        assertThat(supervisor.get("/api/retention/due").findValuesAsString("stream"))
                .contains(stream);
        assertThatThrownBy(() -> operator.post("/api/retention/erase", erase("over", no, 1)))
                .hasMessageContaining("403");
        assertThatThrownBy(() -> supervisor.post("/api/retention/erase", erase(" ", no, 1)))
                .hasMessageContaining("Say why");

        long archived = due.get(0).get("archived").asLong();
        long hold = supervisor
                .post("/api/retention/holds", Map.of("name", "Case 7", "why", "asked for by the court"))
                .get("id")
                .asLong();
        supervisor.post("/api/retention/holds/" + hold + "/documents", Map.of("archived", List.of(archived)));
        assertThat(operator.get("/api/archive/" + archived + "/kept")
                        .get("holds")
                        .get(0)
                        .asString())
                .isEqualTo("Case 7");
        assertThatThrownBy(() -> supervisor.post("/api/retention/erase", erase("over", no, 2, 1)))
                .hasMessageContaining("Case 7");
        assertThat(due(stream)).as("all of those named, or none").hasSize(2);
        supervisor.post("/api/retention/holds/" + hold + "/end", Map.of("why", "decided"));

        supervisor.post("/api/retention/erase", erase("its time is over", no, 1));
        assertThatThrownBy(() -> operator.get("/api/archive/" + archived)).hasMessageContaining("404");
        awaitErased(no, first);
        assertThat(files(shelf, OWNER)).hasSize(1);
        await("its line in the list goes too")
                .until(() -> Files.readAllLines(list).size() == 2);
        assertThat(found("batch:" + no)).hasSize(1);
        assertThatThrownBy(() -> operator.get("/api/batches/" + no + "/pages/1/words"))
                .hasMessageContaining("erased");
        assertThat(operator.get("/api/batches/" + no + "/pages/" + (first + 1) + "/words"))
                .as("the others stay")
                .isNotEmpty();
        assertThat(kept(received)).as("each page came in a file of its own").isEqualTo(second);
        assertThat(operator.get("/api/batches/" + samples).get("pages"))
                .as("what was kept of it as a sample")
                .isEmpty();

        assertThat(kept(notRead)).as("nobody knows what is in it").isEqualTo(1);
        supervisor.post("/api/retention/erase", erase("its time is over", no, 2));
        awaitErased(no, first + second);
        await().until(() -> kept(received) == 0 && kept(notRead) == 0);
        await("with folders whose names say of whom they were").until(() -> !Files.exists(shelf));
        await().untilAsserted(() -> assertThat(wherever(OWNER)).isEmpty());
        JsonNode gone = supervisor.get("/api/retention/erased").get(0);
        assertThat(gone.get("why").asString()).isEqualTo("its time is over");
        assertThat(gone.get("lay").findValuesAsString("became")).containsOnly("erased");
        assertThat(operator.get("/api/batches/" + no + "/log").toString())
                .contains("its time is over")
                .contains("Case 7")
                .doesNotContain(OWNER);
        assertThat(operator.get("/api/batches/" + no + "/filing")
                        .get("deliveries")
                        .findValuesAsString("erased"))
                .containsOnly("erased");
        assertThat(due(stream)).isEmpty();
    }

    private List<String> received(String no) throws Exception {
        List<String> all = new ArrayList<>();
        operator.get("/api/batches/" + no + "/report")
                .get("pages")
                .forEach(p -> all.add(p.get("sha256").asString()));
        return all.stream().distinct().toList();
    }

    /** How many of these received files lie in the store. */
    private static long kept(List<String> received) {
        return received.stream()
                .map(sha -> DATA.resolve("data/received")
                        .resolve(sha.substring(0, 2))
                        .resolve(sha.substring(2)))
                .filter(Files::exists)
                .count();
    }

    /** Tables and columns that say this, packed or not. */
    private List<String> wherever(String text) {
        List<String> where = new ArrayList<>();
        database.query(
                "select table_name, column_name, data_type from information_schema.columns where table_schema = database()"
                        + " and data_type in ('varchar', 'text', 'mediumtext', 'longtext', 'mediumblob')",
                column -> {
                    String table = column.getString(1);
                    String name = column.getString(2);
                    boolean packed = column.getString(3).equals("mediumblob");
                    database.query(
                            "select `" + name + "` from `" + table + "` where `" + name + "` is not null", row -> {
                                if ((packed ? unpacked(row.getBytes(1)) : row.getString(1)).contains(text)) {
                                    where.add(table + "." + name);
                                }
                            });
                });
        return where;
    }

    private static String unpacked(byte[] bytes) {
        try (var in = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            return new String(bytes, StandardCharsets.ISO_8859_1);
        }
    }

    /** A paper of a batch is kept as a sample, and the batch is replayed. Tells the number of the samples. */
    private String usedToMakeStreams(String stream, String no) throws Exception {
        String bench = "/api/workbench/" + stream;
        supervisor.post(bench + "/samples/papers", Map.of("batch", no, "page", 1));
        String json = supervisor.get(bench).get("draft").get("definition").asString();
        var other = (ObjectNode) JsonMapper.shared().readTree(json);
        other.putObject("cut").putArray("rules").addObject().put("by", "pages").put("every", 100);
        supervisor.post(bench + "/replay", Map.of("json", other.toString(), "most", 5, "days", 0));
        await().until(() -> !supervisor.get(bench + "/replay").get("running").asBoolean());
        assertThat(supervisor.get(bench + "/replay").get("done").get(0).get("places"))
                .isNotEmpty();
        return supervisor.get(bench).get("samples").asString();
    }

    @Test
    void whatLiesInOneFileGoesTogetherAndWhatIsKeptLongerKeepsTheRest() throws Exception {
        String stream = stream("Letters in one file", "all letters", "append");
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 302);
        String no = filed(stream, stack, "E. Else");
        long archived = operator.get("/api/archive?q=batch:" + no)
                .get("found")
                .get(0)
                .get("id")
                .asLong();
        String more = operator.post("/api/archive/" + archived + "/pages", Map.of())
                .get("no")
                .asString();
        assertThatThrownBy(() -> supervisor.post("/api/retention/erase", erase("over", no, 1)))
                .hasMessageContaining("Batch " + more + " is to bring more pages");
        operator.upload("/api/batches/" + more + "/files", stack.files().get(0));
        operator.post("/api/batches/" + more + "/arrived", Map.of());
        awaitStage(more, "filing");
        operator.post("/api/batches/" + more + "/filing", Map.of());
        awaitStage(more, "done");
        assertThat(due(stream)).as("pages added have no time of their own").hasSize(2);

        // A corrected date counts from then on.
        JsonNode corrected = operator.post(
                "/api/archive/" + archived + "/values",
                Map.of("values", Map.of("written", "2150-01-01"), "why", "misread", "sure", true));
        assertThat(corrected.get("to")).hasSize(2);
        await().until(() -> operator.get("/api/archive/" + archived)
                        .get("document")
                        .get("versions")
                        .size()
                == 4);
        await("wherever it is corrected")
                .until(() -> database.queryForObject(
                                "select count(*) from delivery d join batch b on b.id = d.batch_id where b.stream = ?"
                                        + " and d.state not in ('done', 'leftOut')",
                                Integer.class,
                                stream)
                        == 0);
        assertThat(due(stream).findValuesAsString("document")).containsExactly("2");
        assertThatThrownBy(() -> supervisor.post("/api/retention/erase", erase("over", no, 2)))
                .hasMessageContaining("lies in one file with document 1");

        // So does what the stream says from now on, for what was filed before.
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + stream);
        ((ObjectNode) definition.get("types").get(0)).putObject("keep").put("years", 10);
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        assertThat(due(stream)).isEmpty();
        database.update("update batch set filed_at = filed_at - interval 11 year where stream = ?", stream);
        ((ObjectNode) definition.get("types").get(0)).putObject("keep").put("years", 9);
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        assertThat(due(stream)).hasSize(2);

        // What cannot be counted by what its stream says now is kept, whatever was counted before.
        byte[] view = database.queryForObject(
                "select body from filed_view f join batch b on b.id = f.batch_id where b.stream = ? order by b.id limit 1",
                byte[].class,
                stream);
        String ofFirst = "update filed_view set body = ? where batch_id = (select min(id) from batch where stream = ?)";
        database.update(ofFirst, new byte[] {1}, stream);
        database.update("update batch set revision = revision + 1 where stream = ?", stream);
        ((ObjectNode) definition.get("types").get(0)).putObject("keep").put("years", 10);
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        assertThat(due(stream)).isEmpty();
        assertThatThrownBy(() -> supervisor.post("/api/retention/erase", erase("over", no, 2)))
                .hasMessageContaining("kept longer");
        database.update(ofFirst, view, stream);
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        assertThat(due(stream)).hasSize(2);

        supervisor.post("/api/retention/erase", erase("over", no, 2));
        for (String batch : List.of(no, more)) {
            JsonNode ledger = operator.get("/api/batches/" + batch + "/report").get("ledger");
            awaitErased(batch, ledger.get("received").asInt());
        }
        assertThatThrownBy(() -> operator.get("/api/archive/" + archived)).hasMessageContaining("404");
        assertThat(DATA.resolve("data/filed/shelf").resolve(stream))
                .as("all versions, and the folder with them")
                .doesNotExist();
        assertThat(DATA.resolve("data/archive").resolve(stream)).doesNotExist();
        assertThat(kept(received(more))).isZero();
    }

    @Test
    void whatCannotBeErasedNowWaitsAndIsSaid() throws Exception {
        String stream = stream("Letters on a share", "{batch}-{no}", "number");
        String no = filed(stream, Paper.duesLetters(scans, Harbour.portMerrow(), 1, 303), "E. Else");
        Path shelf = DATA.resolve("data/filed/shelf");
        Path away = Files.move(shelf, DATA.resolve("away"));
        Files.createDirectories(shelf);
        supervisor.post("/api/retention/erase", erase("over", no, 1));
        await().until(() -> supervisor
                .get("/api/retention/erased")
                .get(0)
                .path("trouble")
                .asString("")
                .contains("mounted"));
        assertThat(operator.get("/api/batches/" + no + "/report")
                        .get("ledger")
                        .get("erased")
                        .asInt())
                .as("nothing is called erased before all of it is")
                .isZero();
        Files.delete(shelf);
        Files.move(away, shelf);
        Path file = files(shelf.resolve(stream), no).get(0);
        Files.writeString(file, "somebody else's");
        Map<String, Object> asked = Map.of("batch", no, "document", 1);
        assertThatThrownBy(() -> operator.post("/api/retention/erase/leave", Map.of("document", asked, "why", "x")))
                .hasMessageContaining("403");
        supervisor.post("/api/retention/erase/again", Map.of("batch", no, "document", 1));
        await().until(() -> !supervisor
                .get("/api/retention/erased")
                .get(0)
                .path("erasedAt")
                .asString("")
                .isEmpty());
        assertThat(supervisor.get("/api/retention/erased").get(0).get("lay").findValuesAsString("became"))
                .containsExactlyInAnyOrder("erased", "changed");
        assertThat(file).hasContent("somebody else's");
    }
}
