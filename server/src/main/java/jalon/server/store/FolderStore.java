package jalon.server.store;

import jalon.server.JalonSettings;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import org.springframework.stereotype.Component;

/** The store as a folder: {@code received/ab/cdef...}. */
@Component
class FolderStore implements FileStore {
    private final Path root;

    FolderStore(JalonSettings settings) {
        this.root = settings.dataFolder().resolve("received");
    }

    @Override
    public Stored keep(InputStream in) throws IOException {
        Files.createDirectories(root);
        Path part = Files.createTempFile(root, ".arriving-", ".part");
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            long bytes = 0;
            try (FileChannel out = FileChannel.open(part, StandardOpenOption.WRITE)) {
                byte[] buffer = new byte[1 << 16];
                for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                    digest.update(buffer, 0, n);
                    ByteBuffer b = ByteBuffer.wrap(buffer, 0, n);
                    while (b.hasRemaining()) {
                        out.write(b);
                    }
                    bytes += n;
                }
                // Acknowledged means on disk: the sender may destroy its copy now.
                out.force(true);
            }
            String sha256 = HexFormat.of().formatHex(digest.digest());
            Path kept = path(sha256);
            Files.createDirectories(kept.getParent());
            try {
                Files.createLink(kept, part);
                try (FileChannel folder = FileChannel.open(kept.getParent())) {
                    folder.force(true);
                }
            } catch (FileAlreadyExistsException e) {
                // The same bytes were kept before.
                return new Stored(sha256, bytes);
            }
            return new Stored(sha256, bytes);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    @Override
    public Path path(String sha256) {
        return root.resolve(sha256.substring(0, 2)).resolve(sha256.substring(2));
    }
}
