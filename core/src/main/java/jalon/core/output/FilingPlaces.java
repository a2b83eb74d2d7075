package jalon.core.output;

import jalon.core.disk.Disk;
import jalon.core.stream.Destination;
import java.nio.file.Path;
import java.util.function.Function;

/**
 * Opens the places that streams name, for the server and the headless command alike.
 *
 * @param folders holds a folder for each folder destination
 * @param archive where the archive's files lie
 * @param own opens the organisation's own places
 */
public record FilingPlaces(Path folders, Path archive, Function<Destination, FilingPlace> own) {

    /** For where there is no archive: its documents go into a folder like the others. */
    public static FilingPlaces withoutArchive(Path folders, Function<Destination, FilingPlace> own) {
        return new FilingPlaces(folders, null, own);
    }

    public FilingPlace of(Destination destination) {
        Path folder = folders.resolve(destination.destination());
        return switch (destination.to()) {
            case FOLDER ->
                archive == null
                        ? new FolderPlace(folder)
                        : new FolderPlace(
                                folder,
                                new Disk(),
                                new Mount(folder, folders.resolve("." + destination.destination())));
            case ARCHIVE -> new FolderPlace(archive == null ? folder : archive);
            case PLACE -> own.apply(destination);
        };
    }
}
