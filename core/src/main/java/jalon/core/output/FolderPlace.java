package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
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
public final class FolderPlace {
    private static final int MOST_NUMBERS = 10_000;

    private FolderPlace() {}

    /** Writes a document's files. */
    @FunctionalInterface
    public interface Writer {
        /** @param files one for each format, empty yet */
        void write(Map<Destination.Format, Path> files) throws IOException, UnreadableFile, InterruptedException;
    }

    /**
     * @param folder made if it is missing
     * @param name without ending
     * @param writer is asked once, whatever name is free then
     * @return the files, one for each format
     * @throws FileAlreadyExistsException when the name is taken and the destination refuses
     */
    public static List<Path> put(Path folder, String name, Destination destination, Writer writer)
            throws IOException, UnreadableFile, InterruptedException {
        Files.createDirectories(folder);
        Map<Destination.Format, Path> written = new LinkedHashMap<>();
        try {
            for (Destination.Format format : destination.formats()) {
                written.put(format, Files.createTempFile(folder, ".jalon-", ".part"));
            }
            writer.write(written);
            for (int number = 1; number <= MOST_NUMBERS; number++) {
                List<Path> placed = link(folder, number == 1 ? name : name + " (" + number + ")", written);
                if (!placed.isEmpty()) {
                    return placed;
                }
                if (destination.taken() == Destination.Taken.REFUSE) {
                    throw new FileAlreadyExistsException(folder.resolve(name).toString());
                }
            }
            throw new FileAlreadyExistsException(folder.resolve(name).toString());
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
            Path target = folder.resolve(name + DocumentWriter.ending(file.getKey()));
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
