package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlace.Ready;
import jalon.core.output.FilingPlace.Spot;
import jalon.core.output.NameTaken;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
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

    private Ready written(String text) throws IOException {
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

    @Test
    void aDocumentIsFiledOnceAndNothingIsOverwritten() throws Exception {
        var place = new RemotePlace(settings());
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
        List<String> at = place.put(spot(Destination.Taken.NUMBER), List.of(first), remembered);
        assertThat(at).containsExactly("Berths/2026 Käthe/Berth 1.pdf").isEqualTo(about);
        assertThat(place.put(spot(Destination.Taken.NUMBER), List.of(first), remembered))
                .as("tried again after the answer was lost")
                .isEqualTo(at);
        var another =
                place.put(spot(Destination.Taken.NUMBER), List.of(written("second")), FilingPlace.Remembered.nothing());
        assertThat(another).containsExactly("Berths/2026 Käthe/Berth 1 (2).pdf");
        assertThat(filed()).hasSize(2);
        try (InputStream back = place.open(at.get(0))) {
            assertThat(new String(back.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo("first");
        }
        assertThatThrownBy(() -> place.put(
                        spot(Destination.Taken.REFUSE), List.of(written("third")), FilingPlace.Remembered.nothing()))
                .isInstanceOf(NameTaken.class);
        assertThat(filed()).as("nothing is left of what was refused").hasSize(2);
    }

    @Test
    void ofSeveralFilesAllAreFiledUnderOneNameOrNone() throws Exception {
        var place = new RemotePlace(settings());
        Path data = Files.writeString(folder.resolve("d.json"), "{}");
        List<Ready> both = List.of(written("first"), Ready.of(Destination.Format.JSON, data));
        var spot = new Spot(
                "", "Berth", List.of(Destination.Format.PDF, Destination.Format.JSON), Destination.Taken.NUMBER);
        Files.writeString(share.resolve("Berth.json"), "somebody else's");
        assertThat(place.put(spot, both, FilingPlace.Remembered.nothing()))
                .containsExactly("Berth (2).pdf", "Berth (2).json");
        assertThat(filed()).containsExactly("Berth (2).json", "Berth (2).pdf", "Berth.json");
    }

    static PlaceTrouble trouble(PlaceSettings settings) {
        return catchThrowableOfType(PlaceTrouble.class, () -> new RemotePlace(settings).tryIt());
    }
}
