package jalon.server.filing;

import jalon.core.output.FilingList;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.stream.Destination;
import jalon.server.NotPossible;
import jalon.server.Pauses;
import jalon.server.Times;
import jalon.server.live.RecurringWork;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Writes lists of what is filed that have changed, whole and anew, in the place of what Jalon wrote before. One that somebody
 * else wrote in, or that lies where a list is to lie, is left alone: the list goes on under the next name.
 */
@Component
class ListWork implements RecurringWork {
    private static final Duration PAUSE = Duration.ofSeconds(5);
    private static final int MOST_NAMES = 1_000;

    private final ListRows rows;
    private final FilingPlaces places;
    private final WrittenFiles written;
    private final Times times;

    ListWork(ListRows rows, FilingPlaces places, WrittenFiles written, Times times) {
        this.rows = rows;
        this.places = places;
        this.written = written;
        this.times = times;
    }

    @Override
    public String name() {
        return "filing-lists";
    }

    @Override
    public Duration pause() {
        return PAUSE;
    }

    @Override
    public void run() {
        rows.behind(times.now()).forEach(this::write);
    }

    private void write(ListRows.Row list) {
        Instant next = times.now().plus(Pauses.after(list.tries() + 1));
        Destination at = destination(list);
        try {
            FilingPlace place = places.of(at);
            List<FilingList.Line> lines =
                    rows.lines(list.id()).stream().map(FilingLists::line).toList();
            if (lines.isEmpty()) {
                gone(place, list);
            } else {
                rows.written(list.id(), list.revision(), lies(place, list, lines));
            }
            rows.removeEmptied(list.id(), list.revision());
            if (lines.isEmpty()) {
                rows.remove(list.id(), list.revision());
            }
        } catch (IOException e) {
            rows.failed(list.id(), OwnPlaces.trouble(at.destination(), e).trouble(), next);
        } catch (NotPossible e) {
            rows.failed(list.id(), e.trouble(), next);
        }
    }

    private static Destination destination(ListRows.Row list) {
        Destination.To to = list.own() ? Destination.To.PLACE : Destination.To.FOLDER;
        return new Destination(list.place(), to, list.own() ? list.place() : null, null, null, null, null, null, null);
    }

    /** Nothing stands in it any more, and its name may say what its lines did. */
    private void gone(FilingPlace place, ListRows.Row list) throws IOException {
        String path = FilingList.numbered(list.path(), list.number());
        for (String ours : ours(list)) {
            place.erase(path, ours);
        }
        rows.written(list.id(), list.revision(), null);
    }

    private static List<String> ours(ListRows.Row list) {
        return Stream.of(list.sha256(), list.next()).filter(Objects::nonNull).toList();
    }

    /** @return SHA-256 of what lies there now, in hex */
    private String lies(FilingPlace place, ListRows.Row list, List<FilingList.Line> lines) throws IOException {
        Path file = written.folder().resolve(WrittenFiles.listName(list.id()));
        try {
            try (var out = new BufferedOutputStream(Files.newOutputStream(file))) {
                FilingList.write(lines, out);
            }
            FilingPlace.Ready ready = FilingPlace.Ready.of(Destination.Format.CSV, file);
            for (int number = list.number(); number < MOST_NAMES; number++) {
                rows.about(list.id(), number, ready.sha256());
                try {
                    place.rewrite(FilingList.numbered(list.path(), number), ready, ours(list));
                    return ready.sha256();
                } catch (NameTaken e) {
                    rows.elsewhere(list.id());
                }
            }
            throw new NameTaken(list.path());
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
