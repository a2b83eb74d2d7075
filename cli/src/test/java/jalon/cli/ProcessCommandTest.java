package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.stream.Streams;
import jalon.demo.Harbour;
import jalon.demo.Hostile;
import jalon.demo.Paper;
import jalon.demo.PaperDocument;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class ProcessCommandTest {
    private static final Path DEMO = Path.of("../demo");

    @TempDir
    Path folder;

    @Test
    void berthApplicationsAreCutReadAndFiledAndARottenFileHurtsNoOther() throws Exception {
        var stack = Paper.berthApplications(folder, Harbour.portMerrow(), 3, 5);
        Path rotten = Files.writeString(folder.resolve("rotten.tif"), "II*\0 nothing");
        Path endless = Files.write(folder.resolve("endless.pdf"), Hostile.selfDrawingPdf());
        int exit = process("berth-applications", stack.files(), List.of(rotten, endless));
        JsonNode report = report();
        assertThat(exit).isEqualTo(3);
        JsonNode rejected = report.get("rejected");
        assertThat(rejected.get(0).get("file").asString()).isEqualTo("rotten.tif");
        assertThat(rejected.get(1).get("file").asString()).isEqualTo("endless.pdf");
        assertThat(rejected.get(1).get("reason").asString()).contains("3 attempts failed", "did not end within");
        assertThat(rejected.get(1).get("why").get("code").asString()).isEqualTo("timeUp");
        isTrue(report, stack, "telephone", "applied");
        JsonNode ledger = report.get("ledger");
        assertThat(ledger.get("unreadable").asInt()).as("the endless page").isEqualTo(1);
        assertThat(ledger.get("received").asInt()).isEqualTo(stack.pages() + 1);
        assertThat(ledger.get("open").asInt()).isZero();
        for (JsonNode document : report.get("documents")) {
            assertThat(document.get("deliveries")).hasSize(3);
            document.get("deliveries")
                    .forEach(d -> assertThat(
                                    folder.resolve("out").resolve(d.get("path").asString()))
                            .isNotEmptyFile());
        }
    }

    @Test
    void renewalsBehindPatchSheetsFromAPdf() throws Exception {
        var stack = Paper.licenceRenewals(folder, Harbour.portMerrow(), 2, 6);
        assertThat(process("licence-renewals", stack.files(), List.of())).isZero();
        isTrue(report(), stack, "licence", "vessel");
    }

    @Test
    void theReportKeepsItsPromisedFormAndNothingIsOverwritten() throws Exception {
        var stack = Paper.duesLetters(folder, Harbour.portMerrow(), 2, 9);
        process("dues-letters", stack.files(), List.of());
        assertThat(Streams.schema("report.schema.json").validate(report())).isEmpty();
        isTrue(report(), stack, "written", "amount");
        Path first = folder.resolve("out")
                .resolve(report().get("documents")
                        .get(0)
                        .get("deliveries")
                        .get(0)
                        .get("path")
                        .asString());
        Files.writeString(first, "somebody else's");
        process("dues-letters", stack.files(), List.of());
        assertThat(first).hasContent("somebody else's");
        assertThat(report().get("documents")
                        .get(0)
                        .get("deliveries")
                        .get(0)
                        .get("path")
                        .asString())
                .contains("(2)");
    }

    @Test
    void aListOfWhatIsFiledGrowsRunByRun() throws Exception {
        var stack = Paper.duesLetters(folder, Harbour.portMerrow(), 2, 9);
        JsonNode demo = JsonMapper.shared().readTree(Path.of("../demo/streams/dues-letters.json"));
        ((ObjectNode) demo.get("destinations").get(0)).put("list", "day");
        Path stream = Files.writeString(folder.resolve("listed.json"), demo.toString());
        for (int run = 1; run <= 2; run++) {
            assertThat(process(stream, stack.files(), List.of())).isZero();
            String destination =
                    demo.get("destinations").get(0).get("destination").asString();
            try (var all = Files.list(folder.resolve("out").resolve(destination))) {
                Path list = all.filter(f -> f.getFileName().toString().startsWith("list "))
                        .findFirst()
                        .orElseThrow();
                assertThat(Files.readAllLines(list)).hasSize(1 + 2 * run);
            }
        }
    }

    @Test
    void anUnusableStreamIsRefusedWithThePointerOfItsFault() throws Exception {
        Path stream = Files.writeString(
                folder.resolve("s.json"),
                "{\"jalon\":1,\"stream\":\"x\",\"title\":\"X\",\"types\":[{\"type\":\"a\",\"fields\":[{\"field\":\"f\",\"finders\":[{\"by\":\"magic\"}]}]}]}");
        var said = new ByteArrayOutputStream();
        PrintStream before = System.err;
        System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            int exit = JalonCommand.run(
                    "process",
                    "--stream",
                    stream.toString(),
                    "--out",
                    folder.resolve("out").toString(),
                    "x.tif");
            assertThat(exit).isEqualTo(2);
        } finally {
            System.setErr(before);
        }
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("/types/0/fields/0/finders/0/by");
        assertThat(JalonCommand.run("process", "--out", "x")).isEqualTo(2);
    }

    private int process(String stream, List<Path> files, List<Path> more) {
        return process(DEMO.resolve("streams/" + stream + ".json"), files, more);
    }

    private int process(Path stream, List<Path> files, List<Path> more) {
        List<String> args = new ArrayList<>(List.of(
                "process",
                "--stream",
                stream.toString(),
                "--registers",
                DEMO.resolve("registers").toString(),
                "--patience",
                "0.3",
                "--out",
                folder.resolve("out").toString()));
        files.forEach(f -> args.add(f.toString()));
        more.forEach(f -> args.add(f.toString()));
        return JalonCommand.run(args.toArray(String[]::new));
    }

    private JsonNode report() throws Exception {
        return JsonMapper.builder().build().readTree(Files.readString(folder.resolve("out/report.json")));
    }

    /** Cut and fields are what the paper says; no wrong value may be sure. */
    private static void isTrue(JsonNode report, Paper.Stack stack, String... read) {
        assertThat(report.get("documents")).hasSize(stack.documents().size());
        for (int i = 0; i < stack.documents().size(); i++) {
            PaperDocument truth = stack.documents().get(i);
            JsonNode fields = report.get("documents").get(i).get("fields");
            truth.fields().forEach((name, value) -> {
                JsonNode found = fields.get(name);
                if (found.get("state").asString().equals("sure")) {
                    assertThat(found.get("value").asString()).as(name).isEqualTo(value);
                }
            });
            if (i == 0) {
                for (String name : read) {
                    assertThat(fields.get(name).path("value").asString())
                            .as(name)
                            .isEqualTo(truth.fields().get(name));
                }
            }
        }
    }
}
