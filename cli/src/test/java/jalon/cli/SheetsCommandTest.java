package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SheetsCommandTest {
    @TempDir
    Path folder;

    private Path stream;
    private Path pdf;
    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    @BeforeEach
    void stream() throws Exception {
        pdf = folder.resolve("sheets.pdf");
        stream = Files.writeString(
                folder.resolve("stream.json"),
                "{\"jalon\":1,\"stream\":\"post\",\"title\":\"Post\",\"types\":[{\"type\":\"paper\"}],"
                        + "\"cut\":{\"rules\":[{\"by\":\"patch\",\"codes\":{\"2\":\"document\"}}]}}");
    }

    private int run(String... more) {
        PrintStream before = System.err;
        System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            return JalonCommand.run(Stream.concat(
                            Stream.of("sheets", "--stream", stream.toString(), "--out", pdf.toString()),
                            Stream.of(more))
                    .toArray(String[]::new));
        } finally {
            System.setErr(before);
        }
    }

    private String printed(int sheets) throws Exception {
        try (var document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(sheets);
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void aStreamsSheetsAreWrittenWithoutAServer() throws Exception {
        assertThat(run("--kind", "document", "--copies", "3", "--paper", "letter"))
                .isZero();
        assertThat(printed(3)).contains("Post");
        assertThat(run("--kind", "header", "--pages", "40")).isZero();
        assertThat(printed(1)).contains("40 pages");
        Path boats = Files.writeString(
                folder.resolve("boats.csv"),
                "registration,vessel\nPM-1111-A,Tern\nPM-2222-B,Gull\nPM-3333-C,Tern II\n");
        String[] covers = {
            "--kind", "cover", "--register", boats.toString(), "--column", "registration", "--named", "vessel"
        };
        assertThat(run(covers)).isZero();
        assertThat(printed(3)).contains("Gull", "Tern II");
        assertThat(run(Stream.concat(Stream.of(covers), Stream.of("--find", "tern"))
                        .toArray(String[]::new)))
                .isZero();
        assertThat(printed(2)).doesNotContain("Gull");
    }

    @Test
    void whatCannotBePrintedIsSaidAndNothingIsWritten() {
        assertThat(run("--kind", "gap")).isEqualTo(2);
        assertThat(said.toString(StandardCharsets.UTF_8))
                .contains("would not know such a sheet; it knows: header, document");
        assertThat(run("--kind", "cover")).isEqualTo(2);
        assertThat(run("--kind", "document", "--copies", "0")).isEqualTo(2);
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("--register and --column", "from 1 to");
        assertThat(pdf).doesNotExist();
    }
}
