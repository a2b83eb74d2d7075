package jalon.server.batch;

import jalon.core.page.PageFile;
import jalon.core.page.UnreadableFile;
import jalon.server.NewId;
import jalon.server.NotPossible;
import jalon.server.people.ActivityLog;
import jalon.server.store.FileStore;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes files in: stored first, then recorded, then acknowledged, then read. */
@Service
public class Receiving {
    /** Until streams carry their own: a working morning. */
    private static final Duration DUE_AFTER = Duration.ofHours(4);

    private final BatchRows rows;
    private final FileStore store;
    private final StreamLibrary streams;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final TransactionTemplate transaction;

    Receiving(
            BatchRows rows,
            FileStore store,
            StreamLibrary streams,
            WorkQueue work,
            ActivityLog log,
            Events events,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.store = store;
        this.streams = streams;
        this.work = work;
        this.log = log;
        this.events = events;
        this.transaction = transaction;
    }

    /** Opens a batch that files can be added to. */
    @Transactional
    public String open(String stream, String source, String who) {
        Instant now = Batches.now();
        var made = new NewId();
        rows.add(made, stream, streams.newest(stream), source, who, now, now.plus(DUE_AFTER));
        log.add(now, who, made.getId(), "opened", "from " + source);
        String no = Batch.no(made.getId());
        events.changed(no);
        return no;
    }

    /** @param rejected why nothing of the file can be read, or null */
    public record Received(String name, int pages, String rejected) {}

    /**
     * Stores a file and puts its pages to work.
     *
     * @param origin where a channel had it, or null for an upload
     */
    public Received add(String no, String name, InputStream in, String origin) {
        FileStore.Stored stored;
        try {
            stored = store.keep(in);
        } catch (IOException e) {
            throw NotPossible.now("\"" + name + "\" could not be stored (" + e.getMessage()
                    + "). Nothing of it was kept; make room on the server's disk and send it again.");
        }
        int pages = 0;
        String rejected = null;
        try (PageFile file = PageFile.open(store.path(stored.sha256()))) {
            pages = file.pageCount();
        } catch (UnreadableFile e) {
            rejected = e.getMessage();
        } catch (IOException e) {
            rejected = "the file could not be opened (" + e.getMessage() + ")";
        }
        return record(no, name, stored, pages, rejected, origin);
    }

    private Received record(
            String no, String name, FileStore.Stored stored, int pages, String rejected, String origin) {
        String shown = printable(name);
        transaction.executeWithoutResult(t -> {
            Batch batch =
                    rows.lock(Batch.id(no)).orElseThrow(() -> NotPossible.missing("There is no batch " + no + "."));
            if (batch.arrived()) {
                throw NotPossible.now("Batch " + no + " is complete; open a new one for more files.");
            }
            var made = new NewId();
            rows.addFile(
                    made, batch.id(), shown, stored.sha256(), stored.bytes(), pages, rejected, Batches.now(), origin);
            int next = rows.lastPageNo(batch.id()) + 1;
            for (int i = 1; i <= pages; i++) {
                rows.addPage(batch.id(), next++, made.getId(), i);
            }
            work.readFile(made.getId(), pages);
            events.changed(no);
        });
        return new Received(shown, pages, rejected);
    }

    /** A sender's file name, fit to be shown: the last part of a path, without what cannot be seen. */
    static String printable(String name) {
        String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
        String seen = last.replaceAll("\\p{Cntrl}|\\p{Cf}", "").strip();
        return seen.isEmpty() ? "unnamed" : seen;
    }

    /** All files are here. */
    @Transactional
    public void complete(String no, String who) {
        Batch batch = rows.lock(Batch.id(no)).orElseThrow(() -> NotPossible.missing("There is no batch " + no + "."));
        if (!batch.arrived()) {
            rows.arrived(batch.id());
            log.add(Batches.now(), who, batch.id(), "arrived", rows.lastPageNo(batch.id()) + " pages");
            work.advance(batch.id());
            events.changed(no);
        }
    }

    /** Whether a channel's file was recorded before. */
    public boolean takenBefore(String origin) {
        return rows.timesTaken(origin) > 0;
    }

    /** One file as a batch of its own; a file that cannot be read makes no batch. */
    public Received wholeBatch(String stream, String source, String name, InputStream in, String origin) {
        return transaction.execute(t -> {
            String no = open(stream, source, source);
            Received received = add(no, name, in, origin);
            if (received.rejected() != null) {
                t.setRollbackOnly();
            } else {
                complete(no, source);
            }
            return received;
        });
    }
}
