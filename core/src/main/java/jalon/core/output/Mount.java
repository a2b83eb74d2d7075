package jalon.core.output;

import jalon.core.disk.Disk;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Tells a folder from the empty place where a share is mounted, when that is away: a file in the folder says that Jalon files
 * there, and one of Jalon's own that it did. Without this, documents would be filed below the mount point, where nobody sees
 * them once the share is back.
 *
 * @param root the folder
 * @param known where Jalon remembers it, outside of it; null where nothing is remembered
 */
record Mount(Path root, Path known) {
    private static final String MARK = ".jalon";
    private static final String SAYS = "Jalon files here. By this file it knows that the folder is there.\n";

    static Mount notRemembered(Path root) {
        return new Mount(root, null);
    }

    /** Before something is put there: the first time the folder is made, where it is not. */
    void begin() throws IOException {
        check();
        Disk.makeFolders(root);
        if (known != null && !(Files.exists(known) && Files.exists(root.resolve(MARK)))) {
            write(root.resolve(MARK));
            write(known);
        }
    }

    /** @throws IOException when it was there before and is not now */
    void check() throws IOException {
        if (known != null && Files.exists(known) && !Files.exists(root.resolve(MARK))) {
            throw new IOException(
                    "nothing of what was filed there can be seen. Is its share mounted? If it was emptied on"
                            + " purpose, remove " + known);
        }
    }

    private static void write(Path file) throws IOException {
        Files.writeString(file, SAYS, StandardCharsets.UTF_8);
        Disk.sync(file);
        Disk.syncNames(file.getParent());
    }
}
