package jalon.server.store;

import jalon.core.disk.Disk;
import jalon.core.page.Sha256;
import jalon.server.JalonSettings;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.util.HexFormat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** The store as a folder: {@code received/ab/cdef...}. */
@Component
class FolderStore implements FileStore {
    private static final Logger LOG = LoggerFactory.getLogger(FolderStore.class);

    private final Path root;
    private final Disk disk;

    @Autowired
    FolderStore(JalonSettings settings) {
        this(settings, new Disk());
    }

    FolderStore(JalonSettings settings, Disk disk) {
        this.root = settings.dataFolder().resolve("received");
        this.disk = disk;
    }

    @Override
    public Stored keep(InputStream in) throws IOException {
        Disk.makeFolders(root);
        Path part = Files.createTempFile(root, ".arriving-", ".part");
        try {
            MessageDigest digest = Sha256.digest();
            long bytes = 0;
            try (FileChannel out = FileChannel.open(part, StandardOpenOption.WRITE)) {
                byte[] buffer = new byte[1 << 16];
                for (int n = next(in, buffer); n >= 0; n = next(in, buffer)) {
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
            Disk.makeFolders(kept.getParent());
            if (!disk.name(part, kept)) {
                // The same bytes were kept before, or something else has become of them since.
                if (Files.mismatch(kept, part) == -1) {
                    Disk.sync(kept);
                    Disk.syncNames(kept.getParent());
                } else {
                    LOG.error("{} was damaged in the store; it came again and is whole now", kept);
                    Disk.replace(part, kept);
                }
            }
            return new Stored(sha256, bytes);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static int next(InputStream in, byte[] buffer) throws SourceFailed {
        try {
            return in.read(buffer);
        } catch (IOException e) {
            throw new SourceFailed(e);
        }
    }

    @Override
    public boolean holds(String sha256) throws IOException {
        Path kept = path(sha256);
        if (!Files.exists(kept)) {
            return false;
        }
        return Sha256.of(kept).equals(sha256);
    }

    @Override
    public void erase(String sha256) throws IOException {
        Path kept = path(sha256);
        if (Files.deleteIfExists(kept)) {
            Disk.syncNames(kept.getParent());
        }
    }

    @Override
    public Path path(String sha256) {
        return root.resolve(sha256.substring(0, 2)).resolve(sha256.substring(2));
    }
}
