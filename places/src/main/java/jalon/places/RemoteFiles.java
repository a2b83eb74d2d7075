package jalon.places;

import jalon.core.page.Sha256;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;

/** Files of a place on another machine; one class for each protocol. Paths are below the place, parted by slashes. */
public interface RemoteFiles extends Closeable {
    /** Enough of a hash to tell one try from another. */
    int LENGTH_OF_PARTS = 24;

    int LONGEST_NAME = 255;

    /**
     * Where a file is written before it is given its name: beside it, under a name of no meaning that each try of the same
     * file has.
     */
    static String part(String path, Path file) throws IOException {
        String own = Sha256.of(path + "/" + Sha256.of(file)).substring(0, LENGTH_OF_PARTS);
        return path.substring(0, path.lastIndexOf('/') + 1) + ".jalon-" + own + ".part";
    }

    /**
     * Whether a folder or name on the way is longer than file systems take it, in bytes ({@code NAME_MAX}). Servers that have no answer of
     * their own for it only say that something failed.
     */
    static boolean hasLongName(String path) {
        return Arrays.stream(path.split("/"))
                .anyMatch(name -> name.getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME);
    }

    /**
     * Gives a place a file of this name, whole or not at all, unless it has one.
     *
     * @param properties what is said of it where a place keeps more than files
     * @return false when the name is taken
     */
    boolean putNew(String path, Path file, Map<String, String> properties) throws IOException;

    /** @return what it is called there beside its path, or null */
    default String identifier(String path) throws IOException {
        return null;
    }

    /**
     * Whether a newer version can take the place of a file without that being lost.
     *
     * @param properties what is said of it
     */
    default boolean keepsVersions(Map<String, String> properties) throws IOException {
        return false;
    }

    /** Makes a file the newest version of what has this name, at a place that keeps versions; the others stay. */
    default void putVersion(String path, Path file, Map<String, String> properties) throws IOException {
        throw new UnsupportedOperationException("versions are not kept here");
    }

    boolean exists(String path) throws IOException;

    /** @return bytes; -1 where the place does not say */
    long size(String path) throws IOException;

    InputStream open(String path) throws IOException;

    /** Nothing happens when it is not there. */
    void delete(String path) throws IOException;

    /** Takes a file away for good, with all versions that the place keeps of it. */
    default void erase(String path) throws IOException {
        delete(path);
    }

    /** Makes a folder and those above it that are missing, but not the one that all lies below. */
    void makeFolders(String path) throws IOException;
}
