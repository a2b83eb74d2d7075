package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.sort.Specimen;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class LearnCommandTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    Path folder;

    /** First sides of documents of a demo stream, the same for a seed. */
    private static List<Sheet> firsts(String stream, int seed) {
        return Paper.sheets(stream, Harbour.portMerrow(), 3, seed).stream()
                .map(d -> d.stream().filter(s -> s != Sheet.BLANK).findFirst().orElseThrow())
                .toList();
    }

    private static Path scanned(Sheet sheet, Path file, int seed) throws IOException {
        Files.createDirectories(file.getParent());
        var setting = Scanner.Setting.feeder(Scanner.Mode.GREY, 150, new Random(seed));
        ImageIO.write(Scanner.scan(sheet, setting, new Random(seed)), "png", file.toFile());
        return file;
    }

    private Path stream(String cut) throws IOException {
        return Files.writeString(
                folder.resolve("plain.json"),
                "{\"jalon\":1,\"stream\":\"post\",\"title\":\"Post\",\"cut\":{\"rules\":[" + cut
                        + "]},\"types\":[{\"type\":\"paper\",\"fields\":[{\"field\":\"vessel\",\"finders\":[{\"by\":\"shape\",\"like\":\"PM-9999-A\"}]}]}]}");
    }

    private record Ran(int exit, String said) {}

    private static Ran run(Object... args) {
        PrintStream before = System.err;
        var said = new ByteArrayOutputStream();
        System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            int exit = JalonCommand.run(Stream.of(args).map(String::valueOf).toArray(String[]::new));
            return new Ran(exit, said.toString(StandardCharsets.UTF_8));
        } finally {
            System.setErr(before);
        }
    }

    @Test
    void twoSamplesTeachATypeAndWhatIsNoneOfThemIsADoubt() throws Exception {
        for (String type : List.of("berth-applications", "dues-letters")) {
            List<Sheet> sheets = firsts(type, 11);
            for (int i = 0; i < 2; i++) {
                scanned(sheets.get(i), folder.resolve("samples/" + type + "/" + i + ".png"), i);
            }
        }
        Path learned = folder.resolve("learned");
        Ran learning = run(
                "learn",
                "--stream",
                stream("{\"by\":\"file\"}"),
                "--samples",
                folder.resolve("samples"),
                "--out",
                learned,
                "--like",
                "paper");
        assertThat(learning.said()).isEmpty();
        assertThat(learning.exit()).isZero();
        JsonNode definition = JSON.readTree(Files.readString(learned.resolve("stream.json")));
        assertThat(definition.get("types").valueStream().map(t -> t.get("type").asString()))
                .containsExactly("paper", "berth-applications", "dues-letters");
        assertThat(definition.at("/types/1/fields/0/field").asString()).isEqualTo("vessel");

        List<Object> args = new ArrayList<>(
                List.of("process", "--stream", learned.resolve("stream.json"), "--out", folder.resolve("out")));
        args.add(scanned(firsts("berth-applications", 12).get(0), folder.resolve("in/a.png"), 5));
        args.add(scanned(firsts("dues-letters", 12).get(0), folder.resolve("in/b.png"), 6));
        args.add(scanned(firsts("licence-renewals", 12).get(0), folder.resolve("in/c.png"), 7));
        assertThat(run(args.toArray()).exit()).isZero();
        JsonNode documents = JSON.readTree(Files.readString(folder.resolve("out/report.json")))
                .get("documents");
        assertThat(documents.get(0).get("type").asString()).isEqualTo("berth-applications");
        assertThat(documents.get(0).get("typeDoubtful").asBoolean()).isFalse();
        assertThat(documents.get(0).at("/guesses/0/type").asString()).isEqualTo("berth-applications");
        assertThat(documents.get(0).get("variant").asString()).isEqualTo("1");
        assertThat(documents.get(1).get("type").asString()).isEqualTo("dues-letters");
        assertThat(documents.get(2).get("typeDoubtful").asBoolean()).isTrue();
    }

    @Test
    void whatCannotBeLearnedFromIsNamedAndWhatWasThereStays() throws Exception {
        Path learned = folder.resolve("learned");
        Path samples = folder.resolve("samples");
        assertThat(run("learn", "--stream", stream(""), "--samples", samples, "--out", learned))
                .isEqualTo(new Ran(2, "jalon: there is no folder " + samples + " with samples\n"));
        Files.createDirectories(samples.resolve("Parking Permit"));
        assertThat(run("learn", "--stream", stream(""), "--samples", samples, "--out", learned)
                        .said())
                .contains("make one for each type");
        assertThat(run("learn", "--stream", stream(""), "--samples", samples, "--out", learned, "--like", "nothing")
                        .said())
                .contains("no type nothing");
        Files.writeString(samples.resolve("Parking Permit/rotten.tif"), "II*\0 nothing");
        scanned(Sheet.BLANK, samples.resolve("Parking Permit/empty.png"), 1);
        Ran ran = run("learn", "--stream", stream(""), "--samples", samples, "--out", learned);
        assertThat(ran.exit()).isEqualTo(3);
        assertThat(ran.said()).contains("rotten.tif could not be read", "empty.png is blank");
        JsonNode type =
                JSON.readTree(Files.readString(learned.resolve("stream.json"))).at("/types/1");
        assertThat(type.get("type").asString()).isEqualTo("parking-permit");
        assertThat(type.get("title").asString()).isEqualTo("Parking Permit");
    }

    @Test
    void everySampleIsKeptWhateverItsFileIsCalledAndOneOfTwoTypesIsNamed() throws Exception {
        List<Sheet> sheets = firsts("dues-letters", 11);
        Path samples = folder.resolve("samples");
        Path one = scanned(sheets.get(0), samples.resolve("letter/a b.png"), 1);
        scanned(sheets.get(1), samples.resolve("letter/a_b.png"), 2);
        Files.createDirectories(samples.resolve("other"));
        Files.copy(one, samples.resolve("other/a b.png"));
        Path learned = folder.resolve("learned");
        Ran ran = run("learn", "--stream", stream(""), "--samples", samples, "--out", learned);
        assertThat(ran.said()).contains("is a sample of letter too");
        List<Specimen> kept =
                SampleFolder.beside(learned.resolve("stream.json")).read();
        assertThat(kept).extracting(Specimen::type).containsExactly("letter", "letter", "other");
        assertThat(kept).allSatisfy(s -> assertThat(s.pages()).hasSize(1));
        Files.writeString(learned.resolve("samples/letter/2.json.gz"), "not a sample");
        Ran after = run("process", "--stream", learned.resolve("stream.json"), "--out", folder.resolve("out"), one);
        assertThat(after.exit()).isEqualTo(2);
        assertThat(after.said()).contains("2.json.gz", "take it away");
    }
}
