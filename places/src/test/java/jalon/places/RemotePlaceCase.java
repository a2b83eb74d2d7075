package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jalon.core.output.Erasure;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlace.Ready;
import jalon.core.output.FilingPlace.Spot;
import jalon.core.output.NameTaken;
import jalon.core.output.NameTooLong;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What holds for every kind of place on another machine. */
abstract class RemotePlaceCase {
    @TempDir
    Path folder;

    /** Where the server's files lie. */
    Path share;

    /** As they are to be said to file there. */
    abstract PlaceSettings settings();

    Ready written(String text) throws IOException {
        Path file = Files.writeString(Files.createTempFile(folder, "written", ".pdf"), text);
        return Ready.of(Destination.Format.PDF, file);
    }

    private static Spot spot(Destination.Taken taken) {
        return new Spot("Berths/2026 Käthe", "Berth 1", List.of(Destination.Format.PDF), taken);
    }

    List<String> filed() throws IOException {
        try (Stream<Path> all = Files.walk(share)) {
            return all.filter(Files::isRegularFile)
                    .map(f -> share.relativize(f).toString())
                    .sorted()
                    .toList();
        }
    }

    /** What the place is told of a document. */
    Map<String, String> said() {
        return Map.of();
    }

    List<String> put(OwnPlace place, Spot spot, List<Ready> files, FilingPlace.Remembered remembered)
            throws IOException {
        var origin = new FiledDocument.Origin("letters", "dues", "B-0001", 1);
        var document =
                new FiledDocument("Letter", origin, Map.of("vessel", "Käthe"), List.of(), Map.of(), Instant.EPOCH);
        var parcel = new FilingPlace.Parcel(spot, document, said(), files);
        return place.put(parcel, remembered).stream()
                .map(FilingPlace.Placed::path)
                .toList();
    }

    @Test
    void aDocumentIsFiledOnceAndNothingIsOverwritten() throws Exception {
        OwnPlace place = settings().place();
        Ready first = written("first");
        List<String> about = new ArrayList<>();
        var remembered = new FilingPlace.Remembered() {
            @Override
            public List<String> before() {
                return List.copyOf(about);
            }

            @Override
            public void about(List<String> files) {
                about.clear();
                about.addAll(files);
            }
        };
        List<String> at = put(place, spot(Destination.Taken.NUMBER), List.of(first), remembered);
        assertThat(at).containsExactly("Berths/2026 Käthe/Berth 1.pdf").isEqualTo(about);
        assertThat(put(place, spot(Destination.Taken.NUMBER), List.of(first), remembered))
                .as("tried again after the answer was lost")
                .isEqualTo(at);
        var another = put(
                place, spot(Destination.Taken.NUMBER), List.of(written("second")), FilingPlace.Remembered.nothing());
        assertThat(another).containsExactly("Berths/2026 Käthe/Berth 1 (2).pdf");
        assertThat(filed()).hasSize(2);
        try (InputStream back = place.open(at.get(0))) {
            assertThat(new String(back.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo("first");
        }
        assertThatThrownBy(() -> put(
                        place,
                        spot(Destination.Taken.REFUSE),
                        List.of(written("third")),
                        FilingPlace.Remembered.nothing()))
                .isInstanceOf(NameTaken.class);
        assertThat(filed()).as("nothing is left of what was refused").hasSize(2);
    }

    @Test
    void whatIsErasedIsGoneAndWhatSomebodyElsePutThereStays() throws Exception {
        OwnPlace place = settings().place();
        Ready first = written("first");
        String at = put(place, spot(Destination.Taken.NUMBER), List.of(first), FilingPlace.Remembered.nothing())
                .get(0);
        assertThat(place.erase(at, written("another").sha256())).isEqualTo(Erasure.CHANGED);
        assertThat(filed()).hasSize(1);
        assertThat(place.erase(at, first.sha256())).isEqualTo(Erasure.ERASED);
        assertThat(filed()).isEmpty();
        assertThat(place.erase(at, first.sha256())).isEqualTo(Erasure.NOT_THERE);
    }

    @Test
    void whatJalonWroteBeforeIsReplacedAndNothingElse() throws Exception {
        OwnPlace place = settings().place();
        Ready one = written("one");
        Ready two = written("one, two");
        place.rewrite("Berths/2026/list.csv", one, List.of());
        assertThatThrownBy(() -> place.rewrite("Berths/2026/list.csv", two, List.of()))
                .isInstanceOf(NameTaken.class);
        place.rewrite("Berths/2026/list.csv", two, List.of(one.sha256()));
        place.rewrite("Berths/2026/list.csv", two, List.of());
        try (InputStream back = place.open("Berths/2026/list.csv")) {
            assertThat(new String(back.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo("one, two");
        }
        assertThat(filed()).hasSize(1);
    }

    /**
     * A program that has nothing to do with either side, which writes a file of the place into one here.
     *
     * @param path as in an address
     */
    abstract ProcessBuilder anotherClient(String path, Path into) throws IOException;

    @Test
    void anotherMakersClientFetchesJustWhatWasFiled() throws Exception {
        put(
                settings().place(),
                spot(Destination.Taken.NUMBER),
                List.of(written("fïrst")),
                FilingPlace.Remembered.nothing());
        Path into = folder.resolve("fetched");
        Process client = anotherClient("Berths/2026%20K%C3%A4the/Berth%201.pdf", into)
                .redirectErrorStream(true)
                .start();
        String said = new String(client.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(into).as(said).hasContent("fïrst");
    }

    static ProcessBuilder curl(String address, Path into, String... more) {
        List<String> command = new ArrayList<>(List.of("curl", "-sS", "-f", "-o", into.toString()));
        command.addAll(List.of(more));
        command.add(address);
        return new ProcessBuilder(command);
    }

    void somebodyElsesLies(String name) throws IOException {
        Files.writeString(share.resolve(name), "somebody else's");
    }

    @Test
    void ofSeveralFilesAllAreFiledUnderOneNameOrNone() throws Exception {
        OwnPlace place = settings().place();
        Path data = Files.writeString(folder.resolve("d.json"), "{}");
        List<Ready> both = List.of(written("first"), Ready.of(Destination.Format.JSON, data));
        var spot = new Spot(
                "", "Berth", List.of(Destination.Format.PDF, Destination.Format.JSON), Destination.Taken.NUMBER);
        somebodyElsesLies("Berth.json");
        assertThat(put(place, spot, both, FilingPlace.Remembered.nothing()))
                .containsExactly("Berth (2).pdf", "Berth (2).json");
        assertThat(filed()).containsExactly("Berth (2).json", "Berth (2).pdf", "Berth.json");
    }

    /** Trying again does not help, and people are told so. */
    void isTooLong(String folder, String name) throws IOException {
        Ready file = written("first");
        var spot = new Spot(folder, name, List.of(Destination.Format.PDF), Destination.Taken.NUMBER);
        assertThatThrownBy(() -> put(settings().place(), spot, List.of(file), FilingPlace.Remembered.nothing()))
                .isInstanceOf(NameTooLong.class);
        assertThat(filed()).isEmpty();
    }

    @Test
    void aTrialLeavesNothingAndAnOldPasswordIsTold() throws Exception {
        settings().place().tryIt();
        assertThat(filed()).as("the trial takes away what it wrote").isEmpty();
        assertThat(trouble(settings().withSecrets(new PlaceSettings.Secrets("old", null)))
                        .why())
                .isEqualTo(PlaceTrouble.Why.NOT_LET_IN);
    }

    static PlaceTrouble trouble(PlaceSettings settings) {
        return catchThrowableOfType(PlaceTrouble.class, () -> settings.place().tryIt());
    }
}
