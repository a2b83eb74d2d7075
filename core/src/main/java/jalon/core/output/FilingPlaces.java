package jalon.core.output;

import jalon.core.stream.Destination;
import java.nio.file.Path;

/**
 * Opens the places that streams name, for the server and the headless command alike.
 *
 * @param folders holds a folder for each folder destination
 * @param archive where the archive's files lie
 */
public record FilingPlaces(Path folders, Path archive) {

    /** For where there is no archive: its documents go into a folder like the others. */
    public static FilingPlaces withoutArchive(Path folders) {
        return new FilingPlaces(folders, null);
    }

    public FilingPlace of(Destination destination) {
        Path own = folders.resolve(destination.destination());
        return switch (destination.to()) {
            case FOLDER -> new FolderPlace(own);
            case ARCHIVE -> new FolderPlace(archive == null ? own : archive);
        };
    }
}
