package jalon.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.disk.Disk;
import jalon.server.JalonSettings;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FolderStoreTest {
    @TempDir
    Path data;

    @Test
    void filesAreKeptWhereTheyCanHaveOneNameOnly() throws Exception {
        var oneName = new Disk((name, file) -> {
            throw new UnsupportedOperationException();
        });
        var store = new FolderStore(JalonSettings.in(data.toString()), oneName);
        String sha256 = store.keep(sheet()).sha256();
        assertThat(store.keep(sheet()).sha256()).isEqualTo(sha256);
        assertThat(store.holds(sha256)).isTrue();
        onlyThatFile();
    }

    /** The server went down when the name was reserved, or the disk lost what it had said to have. */
    @Test
    void whatIsNotWholeUnderItsNameIsMadeWholeWhenItComesAgain() throws Exception {
        var store = new FolderStore(JalonSettings.in(data.toString()));
        String sha256 = store.keep(sheet()).sha256();
        Files.write(store.path(sha256), new byte[0]);
        assertThat(store.holds(sha256)).isFalse();
        store.keep(sheet());
        assertThat(store.holds(sha256)).isTrue();
        onlyThatFile();
    }

    private static InputStream sheet() {
        return new ByteArrayInputStream("a sheet".getBytes(StandardCharsets.UTF_8));
    }

    private void onlyThatFile() throws Exception {
        try (var all = Files.walk(data)) {
            assertThat(all.filter(Files::isRegularFile)).hasSize(1);
        }
    }
}
