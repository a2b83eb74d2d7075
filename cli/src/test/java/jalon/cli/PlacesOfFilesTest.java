package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.FileServerStandIn;
import jalon.standins.ProgramStandIn;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Files run through a stream whose documents go to places of the organisation's. */
class PlacesOfFilesTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    Path folder;

    @Test
    void aPlaceThatIsDownKeepsNothingElseFromBeingFiledAndWhatIsFiledCanBeVerified() throws Exception {
        var stack = Paper.duesLetters(folder, Harbour.portMerrow(), 2, 9);
        Path stream = stream();
        Path places = folder.resolve("places.json");
        try (var office = FileServerStandIn.start(0, folder.resolve("office"), "secret");
                var ledger = ProgramStandIn.start(0, "merrow-secret")) {
            String program = "{\"name\":\"ledger\",\"settings\":" + ledger.settings() + "}";
            String moved = office.settings().replace("\"port\":" + office.port(), "\"port\":9");
            Files.writeString(places, "[{\"name\":\"office\",\"settings\":" + moved + "}," + program + "]");
            assertThat(run("process", stream, places, stack.files())).isEqualTo(3);
            JsonNode report = JSON.readTree(Files.readString(folder.resolve("out/report.json")));
            assertThat(report.get("rejected")).isNotEmpty();
            assertThat(report.get("rejected").get(0).get("reason").asString()).contains("nothing answers");
            assertThat(report.get("documents").get(0).get("deliveries"))
                    .extracting(d -> d.get("destination").asString())
                    .containsOnly("folder", "ledger");

            Files.writeString(places, "[{\"name\":\"office\",\"settings\":" + office.settings() + "}," + program + "]");
            assertThat(run("process", stream, places, stack.files())).isZero();
            assertThat(ledger.arrived().get(0).data()).contains("\"account\":\"dues-letters ");
            assertThat(run("verify", stream, places, List.of())).isZero();
            try (var filed = Files.walk(office.folder())) {
                Path one = filed.filter(f -> f.toString().endsWith(".pdf"))
                        .findFirst()
                        .orElseThrow();
                Files.writeString(one, "somebody else's");
            }
            assertThat(run("verify", stream, places, List.of())).isEqualTo(1);
        }
    }

    private Path stream() throws Exception {
        var stream = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/dues-letters.json")));
        stream.putArray("destinations")
                .add(JSON.readTree("{\"destination\":\"folder\",\"to\":\"folder\"}"))
                .add(JSON.readTree("{\"destination\":\"office\",\"to\":\"place\",\"place\":\"office\"}"))
                .add(
                        JSON.readTree(
                                "{\"destination\":\"ledger\",\"to\":\"place\",\"place\":\"ledger\",\"properties\":{\"account\":\"{stream} {no:000}\"}}"));
        return Files.writeString(folder.resolve("stream.json"), JSON.writeValueAsString(stream));
    }

    private int run(String command, Path stream, Path places, List<Path> files) {
        List<String> args = new ArrayList<>(List.of(
                command,
                "--stream",
                stream.toString(),
                "--places",
                places.toString(),
                "--out",
                folder.resolve("out").toString()));
        files.forEach(f -> args.add(f.toString()));
        return JalonCommand.run(args.toArray(String[]::new));
    }
}
