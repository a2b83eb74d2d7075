package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class ReplayCommandTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Path STREAM = Path.of("../demo/streams/dues-letters.json");

    @TempDir
    Path folder;

    @Test
    void aChangedStreamIsHeldAgainstWhatPeopleConfirmedAndTheOneBefore() throws Exception {
        Path batch = Files.createDirectories(folder.resolve("confirmed/B-0001"));
        var stack = Paper.duesLetters(batch, Harbour.portMerrow(), 2, 9);
        String[] process = {
            "process",
            "--stream",
            STREAM.toString(),
            "--registers",
            "../demo/registers",
            "--out",
            folder.resolve("out").toString(),
            stack.files().get(0).toString()
        };
        assertThat(JalonCommand.run(process)).isZero();
        Files.copy(folder.resolve("out/report.json"), batch.resolve("report.json"));

        List<String> warnings = new ArrayList<>();
        RegisterFolder.read(null, StreamFile.read(STREAM).definition(), warnings);
        assertThat(warnings).as("doubts for want of a register are told of").anyMatch(w -> w.contains("vessels.csv"));
        assertThat(replay(STREAM, STREAM)).as("the same is not worse").isZero();
        assertThat(written().get("batches").get(0).get("replay").get("differences"))
                .isEmpty();
        ObjectNode changed = (ObjectNode) JSON.readTree(Files.readString(STREAM));
        changed.get("types").get(0).get("fields").forEach(field -> {
            if (field.get("field").asString().equals("vessel")) {
                ((ObjectNode) field.get("finders").get(0)).put("like", "XX-99");
            }
        });
        Path worse = Files.writeString(folder.resolve("worse.json"), changed.toString());
        assertThat(replay(worse, STREAM)).isEqualTo(3);
        JsonNode differences = written().get("batches").get(0).get("replay").get("differences");
        assertThat(differences.findValuesAsString("field")).contains("vessel");
        assertThat(differences.findValuesAsString("worse")).contains("true");
        assertThat(replay(worse, null)).as("beside people").isEqualTo(3);

        Files.delete(stack.files().get(0));
        assertThat(replay(STREAM, null)).as("its pages are gone").isEqualTo(4);
        assertThat(replay(folder.resolve("none.json"), null)).isEqualTo(2);
    }

    private JsonNode written() throws Exception {
        return JSON.readTree(Files.readString(folder.resolve("replayed/replay.json")));
    }

    private int replay(Path stream, Path before) {
        var args = new ArrayList<>(List.of(
                "replay",
                "--stream",
                stream.toString(),
                "--confirmed",
                folder.resolve("confirmed").toString(),
                "--registers",
                "../demo/registers",
                "--out",
                folder.resolve("replayed").toString()));
        if (before != null) {
            args.add("--before");
            args.add(before.toString());
        }
        return JalonCommand.run(args.toArray(String[]::new));
    }
}
