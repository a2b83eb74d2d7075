package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Filed documents go on: more pages make a newer version, and the ones before stay readable. */
class GoingOnTest extends ServerCase {
    private Api supervisor;

    /** A stream like the one of letters, whose destinations do as said when a name is taken. */
    private String stream(String title, String file, Map<String, String> taken) throws Exception {
        supervisor = api("t.vane", "merrow-supervisor");
        String name = supervisor
                .post("/api/streams/dues-letters/versions/1/copy", Map.of("title", title))
                .get("name")
                .asString();
        ObjectNode definition = (ObjectNode) supervisor.get("/api/streams/" + name);
        var destinations = definition.putArray("destinations");
        taken.forEach((destination, how) -> destinations
                .addObject()
                .put("destination", destination)
                .put("to", destination.equals("archive") ? "archive" : "folder")
                .put("folder", name)
                .put("file", file)
                .put("taken", how));
        supervisor.post("/api/streams", Map.of("json", definition.toString()));
        return name;
    }

    private String filed(String stream, Paper.Stack stack) throws Exception {
        String no = bring(stream, stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");
        return no;
    }

    private static JsonNode find(Api who, String line) throws Exception {
        return who.get("/api/archive?q=" + URLEncoder.encode(line, StandardCharsets.UTF_8));
    }

    private static int pages(byte[] pdf) throws Exception {
        try (var opened = Loader.loadPDF(pdf)) {
            return opened.getNumberOfPages();
        }
    }

    private static List<String> lying(String destination, String stream) throws Exception {
        Path folder = DATA.resolve("data/filed").resolve(destination).resolve(stream);
        List<String> names = new ArrayList<>();
        try (Stream<Path> all = Files.list(folder)) {
            for (Path file : all.sorted().toList()) {
                names.add(file.getFileName() + " " + pages(Files.readAllBytes(file)));
            }
        }
        return names;
    }

    @Test
    void pagesAddedToAFiledDocumentMakeANewerVersionWhereverItLies() throws Exception {
        String stream = stream(
                "Letters that go on",
                "{batch}-{no}",
                Map.of("archive", "number", "shelf", "version", "safe", "refuse"));
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 91);
        String no = filed(stream, stack);
        JsonNode found = find(operator, "batch:" + no).get("found").get(0);
        String document = "/api/archive/" + found.get("id").asLong();
        int before = found.get("pageCount").asInt();

        Api reader = api("i.ravenel", "merrow-reader");
        assertThatThrownBy(() -> reader.post(document + "/pages", Map.of())).hasMessageContaining("403");
        String more = operator.post(document + "/pages", Map.of()).get("no").asString();
        var others = Paper.duesLetters(Files.createDirectories(scans.resolve("more")), Harbour.portMerrow(), 2, 92);
        int added = 0;
        for (Path file : others.files()) {
            added += operator.upload("/api/batches/" + more + "/files", file)
                    .get("pages")
                    .asInt();
        }
        operator.post("/api/batches/" + more + "/arrived", Map.of());
        awaitStage(more, "filing");
        assertThat(operator.get("/api/batches/" + more).get("documents"))
                .as("whatever stands on them, they are one document's")
                .hasSize(1);
        JsonNode plan = operator.get("/api/batches/" + more + "/filing").get("deliveries");
        assertThat(plan.findValuesAsString("saidWhy"))
                .anyMatch(why -> why.contains("Names that are taken are refused"));
        operator.post("/api/batches/" + more + "/filing", Map.of());
        awaitStage(more, "done");

        JsonNode now = find(operator, "batch:" + no).get("found").get(0);
        assertThat(now.get("id").asLong()).isEqualTo(found.get("id").asLong());
        assertThat(now.get("version").asInt()).isEqualTo(2);
        assertThat(now.get("pageCount").asInt()).isEqualTo(before + added);
        assertThat(now.get("fields")).as("its values stay").isEqualTo(found.get("fields"));
        assertThat(pages(operator.bytes(document + "/file"))).isEqualTo(before + added);
        assertThat(pages(operator.bytes(document + "/versions/1/file"))).isEqualTo(before);
        assertThat(operator.get(document).get("document").get("versions").findValuesAsString("version"))
                .containsExactly("2", "1");
        assertThat(operator.bytes(document + "/pages/" + (before + added) + "/picture"))
                .isNotEmpty();
        assertThat(operator.get(document + "/pages/" + (before + 1) + "/text").toString())
                .isNotEqualTo(operator.get(document + "/pages/1/text").toString());
        assertThat(lying("shelf", stream))
                .as("nothing that was filed is touched")
                .containsExactly(no + "-1 v2.pdf " + (before + added), no + "-1.pdf " + before);
        assertThat(lying("safe", stream)).containsExactly(no + "-1.pdf " + before);
        assertThat(supervisor.get("/api/streams/" + stream + "/samples").findValuesAsString("batch"))
                .as("they teach nothing about how such a document begins")
                .doesNotContain(more);
        assertThat(operator.get("/api/batches/" + more)
                        .get("continues")
                        .get("batch")
                        .asString())
                .isEqualTo(no);
        assertThat(operator.get("/api/batches/" + more + "/report")
                        .get("ledger")
                        .get("filed")
                        .asInt())
                .as("every page that came is accounted for")
                .isEqualTo(added);

        String third = operator.post(document + "/pages", Map.of()).get("no").asString();
        operator.upload("/api/batches/" + third + "/files", others.files().get(0));
        operator.post("/api/batches/" + third + "/arrived", Map.of());
        awaitStage(third, "filing");
        operator.post("/api/batches/" + third + "/filing", Map.of());
        awaitStage(third, "done");
        assertThat(find(operator, "batch:" + no)
                        .get("found")
                        .get(0)
                        .get("version")
                        .asInt())
                .isEqualTo(3);
        assertThat(lying("shelf", stream)).hasSize(3);
        try (var pdf = Loader.loadPDF(operator.bytes(document + "/file"))) {
            assertThat(new PDFTextStripper().getText(pdf)).isNotBlank();
        }
        operator.post("/api/batches/" + no + "/filing/check", Map.of());
        org.awaitility.Awaitility.await()
                .until(() ->
                        operator
                                .get("/api/batches/" + no + "/filing")
                                .get("deliveries")
                                .findValuesAsString("found")
                                .stream()
                                .allMatch("same"::equals));
    }

    @Test
    void valuesCorrectedAfterFilingMakeANewerVersionAndTheOnesBeforeStay() throws Exception {
        String stream = stream("Letters to correct", "{batch}-{no}", Map.of("archive", "number", "safe", "refuse"));
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 95);
        String no = filed(stream, stack);
        JsonNode found = find(operator, "batch:" + no).get("found").get(0);
        String document = "/api/archive/" + found.get("id").asLong();
        assertThatThrownBy(() -> operator.post(document + "/values", Map.of("values", Map.of("amount", "12.50"))))
                .hasMessageContaining("Say why");
        assertThatThrownBy(() ->
                        operator.post(document + "/values", Map.of("values", Map.of("colour", "red"), "why", "wrong")))
                .hasMessageContaining("no field colour");
        Map<String, Object> unlikely = Map.of("values", Map.of("vessel", "9012"), "why", "misread");
        assertThatThrownBy(() -> operator.post(document + "/values", unlikely)).hasMessageContaining("all the same");
        JsonNode corrected =
                operator.post(document + "/values", Map.of("values", Map.of("amount", "9 012,50"), "why", "misread"));
        assertThat(corrected.get("to").get(0).asString()).isEqualTo("archive");
        assertThat(corrected.get("not").get(0).asString()).isEqualTo("safe");
        org.awaitility.Awaitility.await()
                .until(() -> find(operator, "batch:" + no)
                                .get("found")
                                .get(0)
                                .get("version")
                                .asInt()
                        == 2);
        assertThat(find(operator, "amount:9012.50")
                        .get("found")
                        .get(0)
                        .get("batch")
                        .asString())
                .as("in the field's form")
                .isEqualTo(no);
        assertThat(operator.get(document).get("document").get("versions")).hasSize(2);
        assertThat(operator.get("/api/batches/" + no + "/log").toString()).contains("misread");
        assertThat(operator.stage(no)).isEqualTo("done");
        assertThat(operator.get("/api/batches/" + no + "/report")
                        .get("ledger")
                        .get("open")
                        .asInt())
                .isZero();

        String more = operator.post(document + "/pages", Map.of()).get("no").asString();
        operator.upload("/api/batches/" + more + "/files", stack.files().get(0));
        operator.post("/api/batches/" + more + "/arrived", Map.of());
        awaitStage(more, "filing");
        operator.post("/api/batches/" + more + "/filing", Map.of());
        awaitStage(more, "done");
        JsonNode story = operator.get(document + "/story");
        assertThat(story.get("came").findValuesAsString("batch")).containsExactly(no, more);
        assertThat(story.get("stake").get("evidence")).isNotEmpty();
        assertThat(story.get("values").findValuesAsString("title")).contains("Amount");
        assertThat(story.get("corrections").get(0).get("why").asString()).isEqualTo("misread");
        assertThat(story.get("corrections").get(0).get("by").asString()).isEqualTo("M. Tarrow");
        assertThat(story.get("lies").findValuesAsString("path"))
                .contains(
                        stream + "/" + no + "-1.pdf", stream + "/" + no + "-1 v2.pdf", stream + "/" + no + "-1 v3.pdf");
        assertThatThrownBy(() -> api("i.ravenel", "merrow-reader").get(document + "/story"))
                .hasMessageContaining("403");
        JsonNode now = find(operator, "amount:9012.50").get("found").get(0);
        assertThat(now.get("version").asInt()).as("what was corrected stays so").isEqualTo(3);
        assertThat(now.get("pageCount").asInt())
                .isGreaterThan(found.get("pageCount").asInt());
    }

    @Test
    void documentsOfOneNameGoOnInOneFileInTheirOrderOrAreVersionsOfEachOther() throws Exception {
        String stream = stream("One file for all", "all letters", Map.of("archive", "version", "shelf", "append"));
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 3, 93);
        String no = filed(stream, stack);
        List<Integer> each = new ArrayList<>();
        operator.get("/api/batches/" + no)
                .get("documents")
                .forEach(d -> each.add(d.get("pages").size()));
        assertThat(lying("shelf", stream))
                .containsExactly(
                        "all letters v2.pdf " + (each.get(0) + each.get(1)),
                        "all letters v3.pdf " + (each.get(0) + each.get(1) + each.get(2)),
                        "all letters.pdf " + each.get(0));
        JsonNode found = find(operator, "stream:\"One file for all\"");
        assertThat(found.get("total").asInt())
                .as("one document of three versions")
                .isEqualTo(1);
        assertThat(found.get("found").get(0).get("version").asInt()).isEqualTo(3);

        String next = filed(
                stream, Paper.duesLetters(Files.createDirectories(scans.resolve("next")), Harbour.portMerrow(), 1, 94));
        assertThat(lying("shelf", stream)).hasSize(4).anyMatch(file -> file.startsWith("all letters v4.pdf"));
        assertThat(operator.get("/api/batches/" + next + "/filing").get("deliveries"))
                .hasSize(2);
    }

    @Test
    void aFilingIsTakenBackWhileNothingLeftTheHouseAndTheBatchIsFiledAgain() throws Exception {
        String stream =
                stream("Letters taken back", "{batch}-{no} {amount}", Map.of("archive", "number", "shelf", "number"));
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 96);
        String no = filed(stream, stack);
        String filing = "/api/batches/" + no + "/filing";
        assertThat(lying("shelf", stream)).hasSize(1);
        assertThatThrownBy(() -> operator.post(filing + "/take-back", Map.of("why", " ")))
                .hasMessageContaining("Say why");
        long id = find(operator, "batch:" + no).get("found").get(0).get("id").asLong();
        long hold = supervisor
                .post("/api/retention/holds", Map.of("name", "Case 9", "why", "asked for"))
                .get("id")
                .asLong();
        supervisor.post("/api/retention/holds/" + hold + "/documents", Map.of("archived", List.of(id)));
        assertThatThrownBy(() -> operator.post(filing + "/take-back", Map.of("why", "wrong amount")))
                .hasMessageContaining("held");
        supervisor.post("/api/retention/holds/" + hold + "/end", Map.of("why", "over"));
        Path lies;
        try (Stream<Path> all = Files.list(DATA.resolve("data/filed/shelf").resolve(stream))) {
            lies = all.findFirst().orElseThrow();
        }
        byte[] whole = Files.readAllBytes(lies);
        Files.writeString(lies, "somebody else's");
        assertThatThrownBy(() -> operator.post(filing + "/take-back", Map.of("why", "wrong amount")))
                .hasMessageContaining("not what was filed any more");
        assertThat(find(operator, "batch:" + no).get("total").asInt())
                .as("nothing is touched before all of it can be")
                .isEqualTo(1);
        Files.write(lies, whole);

        JsonNode plan = operator.post(filing + "/take-back", Map.of("why", "wrong amount"));
        assertThat(plan.get("begun").asBoolean()).isFalse();
        assertThat(operator.stage(no)).isEqualTo("filing");
        assertThat(lies).doesNotExist();
        assertThatThrownBy(() -> operator.get("/api/archive/" + id)).hasMessageContaining("404");
        assertThat(operator.get("/api/batches/" + no + "/log").toString()).contains("wrong amount");

        settle(no, operator.get("/api/batches/" + no).get("documents").get(0), "amount", "12.50");
        operator.post(filing, Map.of());
        awaitStage(no, "done");
        assertThat(lying("shelf", stream)).singleElement().asString().contains("12.50");
        assertThat(find(operator, "batch:" + no + " amount:12.50").get("total").asInt())
                .isEqualTo(1);

        String more = operator.post(
                        "/api/archive/"
                                + find(operator, "batch:" + no)
                                        .get("found")
                                        .get(0)
                                        .get("id")
                                        .asLong() + "/pages",
                        Map.of())
                .get("no")
                .asString();
        operator.upload("/api/batches/" + more + "/files", stack.files().get(0));
        operator.post("/api/batches/" + more + "/arrived", Map.of());
        awaitStage(more, "filing");
        operator.post("/api/batches/" + more + "/filing", Map.of());
        awaitStage(more, "done");
        assertThatThrownBy(() -> operator.post(filing + "/take-back", Map.of("why", "again")))
                .hasMessageContaining("goes on");
    }
}
