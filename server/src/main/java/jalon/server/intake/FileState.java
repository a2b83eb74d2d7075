package jalon.server.intake;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;

/**
 * A file as it is at this moment. Its name and times can be given again to another file, but not together with its number
 * on the disk and the time of its last change there, which no program can set: so a file that is still the one that was
 * taken before a crash is told from another like it.
 *
 * @param changed nanoseconds of the last change of the file or what is known of it, or of its content where the system
 *     does not keep that
 * @param number on its disk, or 0 where it has none
 */
record FileState(long size, long modified, long changed, long number) {

    static FileState of(Path file) throws IOException {
        var basic = Files.readAttributes(file, BasicFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
        long modified = nanos(basic.lastModifiedTime());
        try {
            var unix = Files.readAttributes(file, "unix:ino,ctime", LinkOption.NOFOLLOW_LINKS);
            return new FileState(
                    basic.size(),
                    modified,
                    nanos((FileTime) unix.get("ctime")),
                    ((Number) unix.get("ino")).longValue());
        } catch (UnsupportedOperationException | IllegalArgumentException e) {
            return new FileState(basic.size(), modified, modified, 0);
        }
    }

    private static long nanos(FileTime time) {
        var instant = time.toInstant();
        return instant.getEpochSecond() * 1_000_000_000L + instant.getNano();
    }

    /** As it is recorded with a file that was taken. */
    String mark() {
        return Long.toHexString(number) + "." + Long.toHexString(changed) + "." + Long.toHexString(size);
    }
}
