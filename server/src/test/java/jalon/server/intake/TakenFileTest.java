package jalon.server.intake;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.page.Sha256;
import jalon.server.store.FileStore;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TakenFileTest {
    @TempDir
    Path folder;

    private final Set<String> stored = new HashSet<>();
    private final TakenFile taken = new TakenFile(new FileStore() {
        @Override
        public Stored keep(InputStream in) {
            throw new UnsupportedOperationException();
        }

        @Override
        public boolean holds(String sha256) {
            return stored.contains(sha256);
        }

        @Override
        public void erase(String sha256) {
            throw new UnsupportedOperationException();
        }

        @Override
        public Path path(String sha256) {
            throw new UnsupportedOperationException();
        }
    });

    @Test
    void aFileLeavesOnlyAsItWasTaken() throws Exception {
        Path file = Files.writeString(folder.resolve("scan.tif"), "whole");
        FileState then = FileState.of(file);
        String sha256 = Sha256.of(file);
        assertThat(taken.remove(file, then, sha256))
                .as("it is not in the store")
                .isFalse();
        assertThat(file).hasContent("whole");
        stored.add(sha256);
        assertThat(taken.remove(file, FileState.of(file), sha256)).isTrue();
        assertThat(folder).isEmptyDirectory();
    }

    /** A writer that paused: the time can be the same, the bytes are not. */
    @Test
    void whatIsWrittenAfterItWasTakenStays() throws Exception {
        Path file = Files.writeString(folder.resolve("scan.tif"), "first half");
        FileState then = FileState.of(file);
        String sha256 = Sha256.of(file);
        stored.add(sha256);
        Files.writeString(file, "other half");
        Files.setLastModifiedTime(file, FileTime.fromMillis(then.modified() / 1_000_000));
        assertThat(taken.remove(file, then, sha256)).isFalse();
        assertThat(taken.remove(file, FileState.of(file), sha256)).isFalse();
        assertThat(file).hasContent("other half");
    }
}
