package jalon.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;

/** Received files, kept as they came and addressed by their SHA-256. */
public interface FileStore {
    /** @param sha256 in hex */
    record Stored(String sha256, long bytes) {}

    /** Keeps a file; when this returns, it is on disk. The same bytes are kept once. */
    Stored keep(InputStream in) throws IOException;

    /** A readable copy of a kept file, not to be written to. */
    Path path(String sha256);
}
