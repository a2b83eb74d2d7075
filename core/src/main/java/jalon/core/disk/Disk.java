package jalon.core.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryNotEmptyException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayDeque;
import java.util.Deque;

/**
 * Puts files on the disk so that they are there after the machine went down: their bytes, and their names, which are bytes
 * of the folder (POSIX {@code fsync}: the entry of a file is on the disk when its folder is).
 */
public final class Disk {
    /** What Linux answers where a file system has no such thing as a folder that is forced to the disk. */
    private static final String NOT_FOR_FOLDERS = "Invalid argument";

    private final Links links;

    /** Gives a file one more name, and fails where something has it. */
    @FunctionalInterface
    public interface Links {
        void link(Path name, Path file) throws IOException;
    }

    public Disk() {
        this(Files::createLink);
    }

    /** @param links how a file gets one more name here */
    public Disk(Links links) {
        this.links = links;
    }

    /** Forces a file's bytes to the disk. */
    public static void sync(Path file) throws IOException {
        try (FileChannel open = FileChannel.open(file, StandardOpenOption.READ)) {
            open.force(true);
        }
    }

    /** Forces the names in a folder to the disk, where its file system knows how. */
    public static void syncNames(Path folder) throws IOException {
        try {
            sync(folder);
        } catch (IOException e) {
            if (!String.valueOf(e.getMessage()).contains(NOT_FOR_FOLDERS)) {
                throw e;
            }
        }
    }

    /** Makes a folder and those above it that are missing. */
    public static void makeFolders(Path folder) throws IOException {
        Deque<Path> missing = new ArrayDeque<>();
        for (Path f = folder.toAbsolutePath(); f != null && !Files.exists(f); f = f.getParent()) {
            missing.push(f);
        }
        Files.createDirectories(folder);
        for (Path made : missing) {
            syncNames(made.getParent());
        }
    }

    /** @return false when something lies in the folder */
    public static boolean removeEmpty(Path folder) throws IOException {
        try {
            Files.deleteIfExists(folder);
            syncNames(folder.getParent());
            return true;
        } catch (DirectoryNotEmptyException e) {
            return false;
        }
    }

    /** Copies a file to one that is not there yet, bytes on the disk. */
    public static void copy(Path from, Path to) throws IOException {
        Files.copy(from, to);
        sync(to);
    }

    /**
     * Gives a file that is whole its name. Nothing is ever overwritten, and nothing half written is seen under the name.
     * Where files have one name only, the name is reserved by an empty file first.
     *
     * @param part in the same folder; it may still be there afterwards, and is not needed any more
     * @return false when something has the name
     */
    public boolean name(Path part, Path name) throws IOException {
        try {
            links.link(name, part);
        } catch (FileAlreadyExistsException e) {
            return false;
        } catch (UnsupportedOperationException | FileSystemException e) {
            if (!reserved(name)) {
                return false;
            }
            rename(part, name);
        }
        syncNames(name.getParent());
        return true;
    }

    /** Puts a file in the place of another. */
    public static void replace(Path part, Path name) throws IOException {
        Files.move(part, name, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        syncNames(name.getParent());
    }

    private static boolean reserved(Path name) throws IOException {
        try {
            Files.createFile(name);
            return true;
        } catch (FileAlreadyExistsException e) {
            return false;
        }
    }

    private static void rename(Path part, Path name) throws IOException {
        try {
            replace(part, name);
        } catch (IOException e) {
            if (isEmpty(name)) {
                Files.delete(name);
            }
            throw e;
        }
    }

    /** Whether a name is reserved and no more. */
    public static boolean isEmpty(Path name) throws IOException {
        return Files.isRegularFile(name, LinkOption.NOFOLLOW_LINKS) && Files.size(name) == 0;
    }
}
