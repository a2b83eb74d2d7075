package jalon.server.picture;

import jalon.server.store.FileStore;
import java.io.InputStream;
import java.nio.file.Path;

/** A store in which every name leads to one file. */
record OneFileStore(Path file) implements FileStore {
    @Override
    public Stored keep(InputStream in) {
        throw new UnsupportedOperationException();
    }

    @Override
    public boolean holds(String sha256) {
        return true;
    }

    @Override
    public void erase(String sha256) {
        throw new UnsupportedOperationException();
    }

    @Override
    public Path path(String sha256) {
        return file;
    }
}
