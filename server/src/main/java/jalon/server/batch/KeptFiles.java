package jalon.server.batch;

import jalon.core.apart.CountPages;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.server.Problem;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import org.springframework.stereotype.Component;

/** Files that came in, stored as they are and looked at for how many pages they have. */
@Component
class KeptFiles {
    private final FileStore store;
    private final PageWorkers openingWork;

    KeptFiles(FileStore store, PageWorkers openingWork) {
        this.store = store;
        this.openingWork = openingWork;
    }

    /**
     * A file that is stored, and not yet written down anywhere.
     *
     * @param name fit to be shown
     */
    record Kept(String name, FileStore.Stored stored, Opened opened) {
        Receiving.Received received() {
            return new Receiving.Received(name, stored.sha256(), opened.pages(), opened.rejected());
        }
    }

    /** @param rejected why nothing of the file can be read, or null */
    record Opened(int pages, Unread rejected) {}

    Kept keep(String name, InputStream in) {
        String shown = printable(name);
        try {
            FileStore.Stored stored = store.keep(in);
            return new Kept(shown, stored, open(stored));
        } catch (FileStore.SourceFailed e) {
            throw Problem.SOURCE_BROKE.with(shown, e.getMessage());
        } catch (IOException e) {
            throw Problem.NOT_STORED.with(shown, e.getMessage());
        }
    }

    /** Whether its bytes still lie in the store; they are not looked at. */
    boolean isThere(FileStore.Stored file) {
        return Files.exists(store.path(file.sha256()));
    }

    Opened open(FileStore.Stored file) {
        try {
            CountPages.Count counted = openingWork.insist(new CountPages(store.path(file.sha256())));
            return new Opened(counted.pages(), null);
        } catch (UnreadableFile e) {
            return new Opened(0, e.why());
        } catch (WorkFailed e) {
            if (!e.counts()) {
                throw Problem.CANNOT_OPEN_NOW.with(e.getMessage());
            }
            return new Opened(0, e.reason().after(PageWorkers.MOST_ATTEMPTS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.STOPPING.with();
        }
    }

    /** A sender's file name, fit to be shown: the last part of a path, without what cannot be seen. */
    static String printable(String name) {
        String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
        String seen = last.replaceAll("\\p{Cntrl}|\\p{Cf}", "").strip();
        return seen.isEmpty() ? "unnamed" : seen;
    }
}
