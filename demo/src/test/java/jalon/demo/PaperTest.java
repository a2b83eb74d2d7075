package jalon.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The demo's paper is evidence in tests and benchmarks: it must be the same each time, and its truth must hold. */
class PaperTest {
    @TempDir
    Path folder;

    @Test
    void theSameSeedGivesTheSameScansAndAnotherSeedOthers() throws Exception {
        var first = Paper.duesLetters(folder("a"), Harbour.portMerrow(), 2, 5);
        var again = Paper.duesLetters(folder("b"), Harbour.portMerrow(), 2, 5);
        var other = Paper.duesLetters(folder("c"), Harbour.portMerrow(), 2, 6);
        for (int i = 0; i < first.files().size(); i++) {
            assertThat(first.files().get(i))
                    .hasSameBinaryContentAs(again.files().get(i));
        }
        assertThat(Files.readAllBytes(first.files().get(0)))
                .isNotEqualTo(Files.readAllBytes(other.files().get(0)));
    }

    @Test
    void theTruthSpeaksOfVesselsThatTheRegisterKnowsSaveThePlantedMistakes() throws Exception {
        String register = Files.readString(Path.of("registers/vessels.csv"));
        assertThat(register).isEqualTo(Harbour.portMerrow().csv());
        assertThat(register.lines().count()).isEqualTo(201);
        var stack = Paper.berthApplications(folder("d"), Harbour.portMerrow(), 12, 9);
        assertThat(stack.documents()).hasSize(12);
        assertThat(stack.documents()).allSatisfy(d -> {
            assertThat(d.fields().get("vessel")).matches("PM-\\d{4}-[A-Z]");
            assertThat(register).contains(d.fields().get("vessel"));
            assertThat(d.pages()).isNotEmpty();
        });
        Set<String> vessels = new TreeSet<>();
        stack.documents().forEach(d -> vessels.add(d.fields().get("vessel")));
        assertThat(vessels).as("different vessels").hasSizeGreaterThan(8);
    }

    @Test
    void everyStreamOfTheDemoGetsAboutAsManyPagesAsAskedFor() throws Exception {
        var stacks = Paper.write(folder("e"), 3, 18);
        assertThat(stacks)
                .extracting(Paper.Stack::stream)
                .doesNotHaveDuplicates()
                .hasSize(3);
        assertThat(stacks.stream().mapToInt(Paper.Stack::pages).sum()).isBetween(12, 26);
        assertThat(Files.readString(folder.resolve("e/truth.json"))).contains("berth-applications", "documents");
        assertThat(stacks).allMatch(s -> Files.exists(Path.of("streams/" + s.stream() + ".json")));
    }

    private Path folder(String name) throws Exception {
        return Files.createDirectories(folder.resolve(name));
    }
}
