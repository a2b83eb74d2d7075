package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.PageBuilder;
import jalon.core.Pictures;
import jalon.core.page.Encoded;
import jalon.core.page.Scan;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FolderPlaceTest {
    private static final Destination NUMBERED = destination(Destination.Taken.NUMBER);
    private static final PageImages WHITE = new PageImages() {
        @Override
        public Optional<Encoded> asIs(PageFacts page) {
            return Optional.empty();
        }

        @Override
        public Scan scan(PageFacts page) {
            return new Scan(Pictures.page(50, 0, g -> {}), 50, true, List.of());
        }
    };

    private Path folder;

    @BeforeEach
    void aFolderNamedLikeItsDestination(@TempDir Path places) throws IOException {
        folder = Files.createDirectory(places.resolve("office"));
    }

    @Test
    void allFormatsShareAFreeNameAndNothingIsOverwritten() throws Exception {
        Files.writeString(folder.resolve("letter.csv"), "somebody else's");
        List<Path> placed = put(NUMBERED, document("PM-4821-K"), WHITE);
        assertThat(placed)
                .extracting(p -> p.getFileName().toString())
                .containsExactly("letter (2).pdf", "letter (2).csv", "letter (2).json");
        assertThat(folder.resolve("letter.pdf")).doesNotExist();
        assertThat(folder.resolve("letter.csv")).hasContent("somebody else's");
        assertThat(placed.get(1)).content().contains("vessel").contains("PM-4821-K");
        assertThat(placed.get(2)).content().contains("\"sha256\"");
    }

    @Test
    void theSameDocumentPutTwiceLiesThereOnce() throws Exception {
        put(NUMBERED, document("PM-4821-K"), WHITE);
        put(NUMBERED, document("PM-4821-K"), WHITE);
        try (var files = Files.list(folder)) {
            assertThat(files).hasSize(3);
        }
        put(NUMBERED, document("PM-5510-A"), WHITE);
        assertThat(folder.resolve("letter (2).pdf")).exists();
    }

    @Test
    void aTakenNameIsRefusedWhereTheStreamSaysSo() throws Exception {
        Files.writeString(folder.resolve("letter.pdf"), "x");
        assertThatThrownBy(() -> put(destination(Destination.Taken.REFUSE), document("a"), WHITE))
                .isInstanceOf(NameTaken.class)
                .hasMessage("letter");
        onlyWhatWasThere(1);
    }

    @Test
    void whatFailsHalfWayLeavesNothingBehind() throws Exception {
        PageImages gone = new PageImages() {
            @Override
            public Optional<Encoded> asIs(PageFacts page) throws UnreadableFile {
                throw new UnreadableFile(Unread.Code.PICTURE_DAMAGED.with());
            }

            @Override
            public Scan scan(PageFacts page) throws IOException {
                throw new IOException("the disk is full");
            }
        };
        assertThatThrownBy(() -> put(NUMBERED, document("a"), gone)).isInstanceOf(UnreadableFile.class);
        onlyWhatWasThere(0);
    }

    private List<Path> put(Destination destination, FiledDocument document, PageImages images) throws Exception {
        var spot = new FilingPlace.Spot("", "letter", destination.formats(), destination.taken());
        return FilingPlaces.withoutArchive(folder.getParent())
                .of(destination)
                .put(spot, files -> DocumentWriter.write(files, document, images))
                .stream()
                .map(folder::resolve)
                .toList();
    }

    private void onlyWhatWasThere(int files) throws IOException {
        try (var all = Files.list(folder)) {
            assertThat(all).hasSize(files);
        }
    }

    private static Destination destination(Destination.Taken taken) {
        var formats = List.of(Destination.Format.PDF, Destination.Format.CSV, Destination.Format.JSON);
        return new Destination("office", Destination.To.FOLDER, "", "x", formats, taken);
    }

    private static FiledDocument document(String vessel) {
        return new FiledDocument(
                "Letter",
                new FiledDocument.Origin("letters", "dues", "B-0001", 1),
                Map.of("vessel", vessel),
                List.of(PageBuilder.page(1).seen()),
                Map.of(),
                Instant.parse("2026-11-23T10:00:00Z"));
    }
}
