package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.PageBuilder;
import jalon.core.Pictures;
import jalon.core.disk.Disk;
import jalon.core.page.Encoded;
import jalon.core.page.Scan;
import jalon.core.page.Sha256;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    @TempDir
    Path folder;

    @TempDir
    Path elsewhere;

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
    void aTryThatBrokeOffIsEndedWhereItBegan() throws Exception {
        List<FilingPlace.Ready> files = written(document("PM-4821-K"), WHITE);
        var remembered = new Remembering();
        Files.writeString(folder.resolve("letter.pdf"), "somebody else's");
        // The machine goes down when the first of three names is given.
        var broken = new Disk((name, file) -> {
            if (name.toString().endsWith(".csv")) {
                throw new IllegalStateException("power cut");
            }
            Files.createLink(name, file);
        });
        assertThatThrownBy(() ->
                        put(new FolderPlace(folder, broken, Mount.notRemembered(folder)), NUMBERED, files, remembered))
                .hasMessage("power cut");
        // Meanwhile the name that the document would have liked is free.
        Files.delete(folder.resolve("letter.pdf"));
        assertThat(put(new FolderPlace(folder), NUMBERED, files, remembered))
                .extracting(p -> p.getFileName().toString())
                .containsExactly("letter (2).pdf", "letter (2).csv", "letter (2).json");
        onlyWhatWasThere(3);
    }

    @Test
    void filesThatCanHaveOneNameOnlyAreFiledAsWell() throws Exception {
        var oneName = new Disk((name, file) -> {
            throw new FileSystemException(name.toString(), file.toString(), "Operation not permitted");
        });
        var place = new FolderPlace(folder, oneName, Mount.notRemembered(folder));
        Files.writeString(folder.resolve("letter.csv"), "somebody else's");
        List<FilingPlace.Ready> files = written(document("PM-4821-K"), WHITE);
        for (int time = 0; time < 2; time++) {
            assertThat(put(place, NUMBERED, files, FilingPlace.Remembered.nothing()))
                    .extracting(p -> p.getFileName().toString())
                    .containsExactly("letter (2).pdf", "letter (2).csv", "letter (2).json");
        }
        assertThat(folder.resolve("letter.csv")).hasContent("somebody else's");
        onlyWhatWasThere(4);
    }

    @Test
    void aNameThatWasReservedWhenTheMachineWentDownIsUsed() throws Exception {
        List<FilingPlace.Ready> files = written(document("PM-4821-K"), WHITE);
        var remembered = new Remembering();
        remembered.about(List.of("letter.pdf", "letter.csv", "letter.json"));
        Files.createFile(folder.resolve("letter.pdf"));
        assertThat(put(new FolderPlace(folder), NUMBERED, files, remembered))
                .allSatisfy(f -> assertThat(f).isNotEmptyFile());
        onlyWhatWasThere(3);
    }

    /** What a database would remember. */
    @Test
    void whatIsErasedTakesItsEmptyFoldersAlongAndLeavesWhatIsNotIts() throws Exception {
        var place = new FolderPlace(folder);
        Path file = Files.createDirectories(folder.resolve("Owners/Lind")).resolve("letter.pdf");
        Files.writeString(file, "filed");
        String filed = Sha256.of(file);
        assertThat(place.erase("Owners/Lind/letter.pdf", Sha256.of("another"))).isEqualTo(Erasure.CHANGED);
        assertThat(file).hasContent("filed");
        assertThat(place.erase("Owners/Lind/letter.pdf", filed)).isEqualTo(Erasure.ERASED);
        assertThat(folder).isEmptyDirectory();
        assertThat(place.erase("Owners/Lind/letter.pdf", filed)).isEqualTo(Erasure.NOT_THERE);
    }

    @Test
    void aShareThatIsNotMountedIsToldAndNothingIsFiledBelowItsMountPoint() throws Exception {
        var place = new FolderPlace(folder, new Disk(), new Mount(folder, elsewhere.resolve(".share")));
        Path file = put(place, NUMBERED, written(document("PM-4821-K"), WHITE), FilingPlace.Remembered.nothing())
                .get(0);
        String name = folder.relativize(file).toString();
        String filed = Sha256.of(file);
        Path away = elsewhere.resolve("away");
        Files.move(folder, away);
        Files.createDirectories(folder);
        assertThatThrownBy(() ->
                        put(place, NUMBERED, written(document("PM-1111-A"), WHITE), FilingPlace.Remembered.nothing()))
                .hasMessageContaining("mounted");
        assertThatThrownBy(() -> place.erase(name, filed)).hasMessageContaining("mounted");
        assertThat(folder).isEmptyDirectory();
        Files.delete(folder);
        Files.move(away, folder);
        assertThat(place.erase(name, filed)).isEqualTo(Erasure.ERASED);
    }

    @Test
    void whatJalonWroteBeforeIsReplacedAndNothingElse() throws Exception {
        FilingPlace place = new FolderPlace(folder);
        Path first = Files.writeString(elsewhere.resolve("first"), "one");
        Path second = Files.writeString(elsewhere.resolve("second"), "one, two");
        var one = FilingPlace.Ready.of(Destination.Format.CSV, first);
        var two = FilingPlace.Ready.of(Destination.Format.CSV, second);
        place.rewrite("Dues/list.csv", one, List.of());
        assertThatThrownBy(() -> place.rewrite("Dues/list.csv", two, List.of())).isInstanceOf(NameTaken.class);
        place.rewrite("Dues/list.csv", two, List.of(one.sha256()));
        place.rewrite("Dues/list.csv", two, List.of());
        assertThat(folder.resolve("Dues/list.csv")).hasContent("one, two");
        try (var all = Files.list(folder.resolve("Dues"))) {
            assertThat(all).hasSize(1);
        }
    }

    private static final class Remembering implements FilingPlace.Remembered {
        private List<String> files = List.of();

        @Override
        public List<String> before() {
            return files;
        }

        @Override
        public void about(List<String> about) {
            files = about;
        }
    }

    /** Looking at one name after the other took longer with each document that had the same. */
    @Test
    void amongThousandsOfOneNameTheNextNumberIsFoundWithoutLookingAtAll() throws Exception {
        List<Integer> looked = new ArrayList<>();
        var spot = new FilingPlace.Spot("", "letter", NUMBERED.formats(), NUMBERED.taken());
        int number = spot.free(0, n -> {
            looked.add(n);
            return n > 20_000;
        });
        assertThat(number).isEqualTo(20_001);
        assertThat(looked).hasSizeLessThan(130);
        assertThat(spot.free(0, n -> n >= 7)).isEqualTo(7);
        assertThat(spot.free(20_001, n -> true)).as("somebody was quicker").isEqualTo(20_002);
        var refusing = new FilingPlace.Spot("", "letter", NUMBERED.formats(), Destination.Taken.REFUSE);
        assertThat(refusing.free(0, n -> false)).isZero();
    }

    @Test
    void aNameLongerThanTheFolderTakesIsToldAndLeavesNothing() throws Exception {
        var spot = new FilingPlace.Spot("", "x".repeat(300), NUMBERED.formats(), NUMBERED.taken());
        var parcel = new FilingPlace.Parcel(spot, document("a"), Map.of(), written(document("a"), WHITE));
        assertThatThrownBy(() -> new FolderPlace(folder).put(parcel, FilingPlace.Remembered.nothing()))
                .isInstanceOf(NameTooLong.class);
        onlyWhatWasThere(0);
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
        return put(new FolderPlace(folder), destination, written(document, images), FilingPlace.Remembered.nothing());
    }

    private List<Path> put(
            FilingPlace place,
            Destination destination,
            List<FilingPlace.Ready> files,
            FilingPlace.Remembered remembered)
            throws Exception {
        var spot = new FilingPlace.Spot("", "letter", destination.formats(), destination.taken());
        var parcel = new FilingPlace.Parcel(spot, document("a"), Map.of(), files);
        return place.put(parcel, remembered).stream()
                .map(p -> folder.resolve(p.path()))
                .toList();
    }

    private List<FilingPlace.Ready> written(FiledDocument document, PageImages images) throws Exception {
        List<DocumentWriter.Target> targets = DocumentWriter.targets(
                Files.createTempDirectory(elsewhere, ""), "written", document, NUMBERED.formats());
        DocumentWriter.write(targets, document, images);
        List<FilingPlace.Ready> ready = new ArrayList<>();
        for (var file : targets) {
            ready.add(FilingPlace.Ready.of(file.format(), file.part(), file.file()));
        }
        return ready;
    }

    private void onlyWhatWasThere(int files) throws IOException {
        try (var all = Files.list(folder)) {
            assertThat(all).hasSize(files);
        }
    }

    private static Destination destination(Destination.Taken taken) {
        var formats = List.of(Destination.Format.PDF, Destination.Format.CSV, Destination.Format.JSON);
        return new Destination("office", Destination.To.FOLDER, null, "", "x", formats, taken, Map.of(), null);
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
