package jalon.server.store;

import jalon.core.disk.Disk;
import jalon.server.JalonSettings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import org.springframework.security.crypto.encrypt.Encryptors;
import org.springframework.security.crypto.encrypt.TextEncryptor;
import org.springframework.security.crypto.keygen.KeyGenerators;
import org.springframework.stereotype.Component;

/**
 * What the installation must be able to say to others, such as a mailbox's password, is kept sealed in the database; the
 * key lies beside the received files, readable by the server's user only. A copy of the database alone gives nothing away.
 */
@Component
public class InstallationKey {
    private static final String SEALED = "sealed:";

    private final TextEncryptor cipher;

    InstallationKey(JalonSettings settings) {
        List<String> key = keyLines(settings.dataFolder().resolve("installation.key"));
        this.cipher = Encryptors.delux(key.get(0), key.get(1));
    }

    /** Two lines of hexadecimal: secret and salt. Several servers that start at once agree on the first one written. */
    private static List<String> keyLines(Path file) {
        try {
            Disk.makeFolders(file.getParent());
            if (!Files.exists(file)) {
                var made = KeyGenerators.string();
                String text = made.generateKey() + made.generateKey() + "\n" + made.generateKey() + "\n";
                Path part = Files.createTempFile(
                        file.getParent(),
                        ".key",
                        "",
                        PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
                Files.writeString(part, text, StandardCharsets.US_ASCII, StandardOpenOption.SYNC);
                try {
                    // Where another server was quicker, its key is the one.
                    new Disk().name(part, file);
                } finally {
                    Files.deleteIfExists(part);
                }
            }
            List<String> lines = Files.readAllLines(file, StandardCharsets.US_ASCII);
            if (lines.size() < 2) {
                throw new IllegalStateException(file + " is damaged; put back the one from the backup.");
            }
            return lines;
        } catch (IOException e) {
            throw new UncheckedIOException(
                    "The installation's key " + file + " cannot be read or made: " + e.getMessage(), e);
        }
    }

    public String seal(String open) {
        return SEALED + cipher.encrypt(open);
    }

    /** @throws IllegalStateException when it was sealed with another key */
    public String open(String kept) {
        return kept.startsWith(SEALED) ? cipher.decrypt(kept.substring(SEALED.length())) : kept;
    }
}
