package jalon.server.filing;

import jalon.core.disk.Disk;
import jalon.core.output.DocumentWriter;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.stream.Destination;
import jalon.server.JalonSettings;
import jalon.server.Times;
import jalon.server.live.RecurringWork;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * Documents as they are written once, kept until they lie where they belong: whatever happens to a delivery, the next try
 * brings the same bytes, by whatever version of Jalon it is made.
 */
@Component
class WrittenFiles implements RecurringWork {
    /** As {@link #name} makes them, and a page of its own has a number behind. */
    private static final Pattern NAME = Pattern.compile("(\\d+)[. ].*");

    private static final String LIST = "list-";

    /** Long enough for a database that is put back from yesterday. */
    private static final Duration KEPT_WITHOUT_DELIVERY = Duration.ofDays(7);

    /** No list is being written for so long. */
    private static final Duration LIST_KEPT = Duration.ofHours(1);

    private final DeliveryRows rows;
    private final Times times;
    private final Path folder;

    WrittenFiles(DeliveryRows rows, Times times, JalonSettings settings) {
        this.rows = rows;
        this.times = times;
        this.folder = settings.dataFolder().resolve("written");
    }

    /** Where a delivery's files are written, each under {@link #name} with its ending. */
    Path folder() throws IOException {
        Disk.makeFolders(folder);
        return folder;
    }

    static String name(long delivery) {
        return Long.toString(delivery);
    }

    /** What a growing list is called while it is written. */
    static String listName(long list) {
        return LIST + list + ".csv";
    }

    /** What was written at an earlier try; empty when nothing was, or when it is not whole any more. */
    Optional<List<FilingPlace.Ready>> of(long delivery, FiledDocument document, List<Destination.Format> formats)
            throws IOException {
        List<DocumentWriter.Target> targets = DocumentWriter.targets(folder, name(delivery), document, formats);
        List<FilingPlace.Ready> ready = new ArrayList<>();
        List<DeliveryRows.FileRow> known = rows.files(delivery);
        for (DocumentWriter.Target target : targets) {
            Optional<FilingPlace.Ready> file = known.stream()
                    .filter(k -> k.format() == target.format() && k.part() == target.part() && k.sha256() != null)
                    .map(k -> new FilingPlace.Ready(k.format(), k.part(), target.file(), k.sha256(), k.bytes()))
                    .findFirst();
            if (file.isEmpty() || !file.get().isWhole()) {
                return Optional.empty();
            }
            ready.add(file.get());
        }
        return ready.size() == known.size() ? Optional.of(ready) : Optional.empty();
    }

    /** What was written is from now on what this delivery brings. */
    void keep(long delivery, List<FilingPlace.Ready> files) throws IOException {
        Disk.syncNames(folder);
        for (FilingPlace.Ready file : files) {
            rows.keepFile(delivery, file);
        }
    }

    /** It lies where it belongs. */
    void drop(List<FilingPlace.Ready> files) throws IOException {
        for (FilingPlace.Ready file : files) {
            Files.deleteIfExists(file.file());
        }
    }

    @Override
    public String name() {
        return "written-files";
    }

    @Override
    public Duration pause() {
        return Duration.ofHours(1);
    }

    /** Takes away what a server left that stopped just after a delivery, or what belongs to one that was left out. */
    @Override
    public void run() throws IOException {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder)) {
            for (Path file : all) {
                Matcher name = NAME.matcher(file.getFileName().toString());
                boolean left = name.matches()
                        ? !needed(file, Long.parseLong(name.group(1)))
                        : file.getFileName().toString().startsWith(LIST) && isOlder(file, LIST_KEPT);
                if (left) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    private boolean needed(Path file, long delivery) throws IOException {
        Optional<DeliveryRows.DeliveryRow> its = rows.find(delivery);
        if (its.isPresent()) {
            return !its.get().state().ended();
        }
        return !isOlder(file, KEPT_WITHOUT_DELIVERY);
    }

    private boolean isOlder(Path file, Duration age) throws IOException {
        return !Files.getLastModifiedTime(file).toInstant().isAfter(times.now().minus(age));
    }
}
