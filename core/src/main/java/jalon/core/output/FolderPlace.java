package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts a document's files into a folder. They are written whole under a temporary name first and then linked to their
 * own, which fails where something is: nothing is ever overwritten, and nothing half written is ever seen. A file that is
 * there already with just these bytes is this document filed before, and is left as it is.
 */
final class FolderPlace implements FilingPlace {
    private static final int MOST_NUMBERS = 10_000;

    private final Path root;

    FolderPlace(Path root) {
        this.root = root;
    }

    @Override
    public String where() {
        return root.toString();
    }

    @Override
    public InputStream open(String file) throws IOException {
        Path path = root.resolve(file).normalize();
        if (!path.startsWith(root)) {
            throw new NoSuchFileException(file);
        }
        return Files.newInputStream(path);
    }

    @Override
    public List<String> put(Spot spot, Writer writer) throws IOException, UnreadableFile, InterruptedException {
        Path folder = spot.folder().isEmpty() ? root : root.resolve(spot.folder());
        Files.createDirectories(folder);
        Map<Destination.Format, Path> written = new LinkedHashMap<>();
        try {
            for (Destination.Format format : spot.formats()) {
                written.put(format, Files.createTempFile(folder, ".jalon-", ".part"));
            }
            writer.write(written);
            int names = spot.taken() == Destination.Taken.REFUSE ? 1 : MOST_NUMBERS;
            for (int number = 1; number <= names; number++) {
                String name = number == 1 ? spot.name() : spot.name() + " (" + number + ")";
                List<Path> placed = link(folder, name, written);
                if (!placed.isEmpty()) {
                    return placed.stream()
                            .map(p -> root.relativize(p).toString())
                            .toList();
                }
            }
            throw new NameTaken(root.relativize(folder.resolve(spot.name())).toString());
        } finally {
            for (Path part : written.values()) {
                Files.deleteIfExists(part);
            }
        }
    }

    /** Links all formats or none. */
    private static List<Path> link(Path folder, String name, Map<Destination.Format, Path> written) throws IOException {
        List<Path> placed = new ArrayList<>();
        List<Path> mine = new ArrayList<>();
        for (Map.Entry<Destination.Format, Path> file : written.entrySet()) {
            Path target = folder.resolve(name + OutputFormat.of(file.getKey()).ending());
            try {
                Files.createLink(target, file.getValue());
                mine.add(target);
            } catch (FileAlreadyExistsException e) {
                if (Files.mismatch(target, file.getValue()) != -1) {
                    for (Path made : mine) {
                        Files.delete(made);
                    }
                    return List.of();
                }
            }
            placed.add(target);
        }
        return placed;
    }
}
