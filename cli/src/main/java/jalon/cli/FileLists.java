package jalon.cli;

import jalon.core.disk.Disk;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingList;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.page.Sha256;
import jalon.core.run.Filing;
import jalon.core.stream.Destination;
import jalon.places.PlaceTrouble;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiConsumer;

/**
 * The lists of what is filed, gone on with at the end of a run: what lies there is read, and the run's documents stand behind
 * it. Runs into the same folder do so one after the other.
 */
final class FileLists {
    private static final String LOCK = ".jalon-lists.lock";
    private static final int MOST_NAMES = 1_000;

    private final Path folder;
    private final LocalDate today = LocalDate.now(ZoneId.systemDefault());

    /** New lines in the order of their documents, by destination and list. */
    private final Map<Destination, Map<String, Map<Integer, FilingList.Line>>> added = new LinkedHashMap<>();

    FileLists(Path folder) {
        this.folder = folder;
    }

    /** @param path where the document lies, below its destination */
    synchronized void add(Filing.Planned planned, String path, FiledDocument document) {
        Destination destination = planned.destination();
        if (destination.list() != null) {
            String list = FilingList.path(destination.list(), String.join("/", planned.folders()), today);
            added.computeIfAbsent(destination, d -> new TreeMap<>())
                    .computeIfAbsent(list, l -> new TreeMap<>())
                    .put(planned.document(), FilingList.Line.of(list, path, document, today));
        }
    }

    /** @param failed told which list could not be gone on with, and why */
    void write(FilingPlaces places, BiConsumer<String, String> failed) throws IOException {
        if (added.isEmpty()) {
            return;
        }
        Disk.makeFolders(folder);
        try (FileChannel file =
                        FileChannel.open(folder.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                var lock = file.lock()) {
            for (var of : added.entrySet()) {
                for (var list : of.getValue().entrySet()) {
                    write(
                            places,
                            of.getKey(),
                            list.getKey(),
                            List.copyOf(list.getValue().values()),
                            failed);
                }
            }
        }
    }

    private static void write(
            FilingPlaces places,
            Destination destination,
            String list,
            List<FilingList.Line> lines,
            BiConsumer<String, String> failed) {
        try {
            goOn(places.of(destination), list, lines);
        } catch (PlaceTrouble e) {
            failed.accept(destination.destination() + "/" + list, "could not be gone on with: " + PlacesFile.words(e));
        } catch (IOException e) {
            failed.accept(destination.destination() + "/" + list, "could not be gone on with: " + e.getMessage());
        }
    }

    /** One that is none of Jalon's lists, or not any more, stays: the next name has the lines. */
    private static void goOn(FilingPlace place, String list, List<FilingList.Line> lines) throws IOException {
        for (int number = 1; number <= MOST_NAMES; number++) {
            String path = FilingList.numbered(list, number);
            byte[] before = lies(place, path);
            List<FilingList.Line> all = new ArrayList<>();
            if (before.length > 0) {
                try {
                    all.addAll(FilingList.read(new StringReader(new String(before, StandardCharsets.UTF_8))));
                } catch (IOException e) {
                    continue;
                }
            }
            all.addAll(lines);
            Path written = Files.createTempFile("jalon-list-", ".csv");
            try {
                try (var out = Files.newOutputStream(written)) {
                    FilingList.write(all, out);
                }
                place.rewrite(
                        path,
                        FilingPlace.Ready.of(Destination.Format.CSV, written),
                        Set.of(Sha256.of(new ByteArrayInputStream(before))));
                return;
            } finally {
                Files.deleteIfExists(written);
            }
        }
        throw new NameTaken(list);
    }

    private static byte[] lies(FilingPlace place, String path) throws IOException {
        try (InputStream there = place.open(path)) {
            return there.readAllBytes();
        } catch (NoSuchFileException e) {
            return new byte[0];
        }
    }
}
