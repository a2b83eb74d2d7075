package jalon.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.server.JalonSettings;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class InstallationKeyTest {
    @TempDir
    Path data;

    @Test
    void whatIsSealedIsOpenedAfterTheNextStartAndByNoOtherInstallation() throws Exception {
        String sealed = keyIn(data.resolve("one")).seal("berth-17");
        assertThat(sealed).doesNotContain("berth-17");
        assertThat(keyIn(data.resolve("one")).open(sealed)).isEqualTo("berth-17");
        InstallationKey other = keyIn(data.resolve("two"));
        assertThatThrownBy(() -> other.open(sealed)).isInstanceOf(IllegalStateException.class);
        assertThat(Files.getPosixFilePermissions(data.resolve("one/installation.key")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
    }

    /** A password from before there were keys. */
    @Test
    void whatWasNeverSealedIsGivenAsItIs() {
        assertThat(keyIn(data).open("berth-17")).isEqualTo("berth-17");
    }

    @Test
    void aDamagedKeyIsSaidAndNotReplaced() throws Exception {
        Path file = Files.writeString(data.resolve("installation.key"), "half\n");
        assertThatThrownBy(() -> keyIn(data)).hasMessageContaining("put back the one from the backup");
        assertThat(file).hasContent("half\n");
    }

    private static InstallationKey keyIn(Path folder) {
        return new InstallationKey(JalonSettings.in(folder.toString()));
    }
}
