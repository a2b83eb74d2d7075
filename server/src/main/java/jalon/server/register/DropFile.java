package jalon.server.register;

import jalon.core.register.RegisterText;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.intake.WatchedFolders;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** A register's file that another program puts into a folder of the server. It is read, and stays where it is. */
@Component
class DropFile {
    private static final long MOST_BYTES = 50_000_000;

    /** One that was written to this short a time ago may not be whole. */
    private static final Duration SETTLED = Duration.ofSeconds(2);

    private final WatchedFolders folders;

    DropFile(WatchedFolders folders) {
        this.folders = folders;
    }

    /** @throws NotPossible when it is not there, still being written, or may not be read */
    String csv(SourceSettings.DropFile wanted, Instant now) {
        if (wanted.file() == null || !wanted.file().startsWith("/")) {
            throw Problem.WHOLE_PATH.with();
        }
        Path named = Path.of(wanted.file()).normalize();
        try {
            if (!Files.isRegularFile(named)) {
                throw Problem.SOURCE_NO_FILE.with(named);
            }
            Path file = named.toRealPath();
            folders.readable(file.getParent());
            if (Files.size(file) > MOST_BYTES) {
                throw Problem.SOURCE_FILE_LARGE.with(named, MOST_BYTES / 1_000_000);
            }
            if (Files.getLastModifiedTime(file).toInstant().isAfter(now.minus(SETTLED))) {
                throw Problem.SOURCE_FILE_CHANGING.with(named);
            }
            return RegisterText.of(Files.readAllBytes(file)).text();
        } catch (IOException e) {
            throw Problem.SOURCE_NO_FILE.with(named);
        }
    }
}
