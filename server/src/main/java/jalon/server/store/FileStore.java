package jalon.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;

/** Received files, kept as they came and addressed by their SHA-256. */
public interface FileStore {
    /** @param sha256 in hex */
    record Stored(String sha256, long bytes) {}

    /** What was to be kept could not be read to its end: the store is not to blame. */
    final class SourceFailed extends IOException {
        private static final long serialVersionUID = 1L;

        SourceFailed(IOException cause) {
            super(cause.getMessage(), cause);
        }
    }

    /**
     * Keeps a file; when this returns, it is on disk. The same bytes are kept once.
     *
     * @throws SourceFailed when it could not be read to its end
     * @throws IOException when the store has no room or fails
     */
    Stored keep(InputStream in) throws IOException;

    /** Whether exactly these bytes lie in the store: they are looked at again. */
    boolean holds(String sha256) throws IOException;

    /**
     * Takes a file away for good; nothing happens when it is not there. Whoever asks has seen to it that nobody needs it, and
     * that nobody can come to need it at this moment.
     */
    void erase(String sha256) throws IOException;

    /** A readable copy of a kept file, not to be written to. */
    Path path(String sha256);
}
