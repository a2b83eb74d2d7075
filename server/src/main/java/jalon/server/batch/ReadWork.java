package jalon.server.batch;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOnePage;
import jalon.core.apart.WorkFailed;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.run.HowToRead;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.picture.PageRenditions;
import jalon.server.store.FileStore;
import jalon.server.store.StoredFacts;
import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Reads a run of pages of one file. Done twice it does the same: a page that was read is passed over. A page that fails
 * does not keep the others; after three attempts it is told as not readable, and a person can have it tried again.
 */
@Component
public class ReadWork {
    /** Begun and neither ended nor failed: the machine went down each time, and nothing else did ten times. */
    private static final int MOST_BEGUN = 10;

    /** How many times the usual time a page gets that a person wants tried again. */
    private static final int PATIENTLY = 4;

    private final BatchRows rows;
    private final Batches batches;
    private final FileStore store;
    private final PageWorkers slowWork;
    private final Events events;
    private final PageRenditions renditions;
    private final ActivityLog log;

    ReadWork(
            BatchRows rows,
            Batches batches,
            FileStore store,
            PageWorkers slowWork,
            Events events,
            PageRenditions renditions,
            ActivityLog log) {
        this.rows = rows;
        this.batches = batches;
        this.store = store;
        this.slowWork = slowWork;
        this.events = events;
        this.renditions = renditions;
        this.log = log;
    }

    /**
     * @param from first page in the file, @param to last one
     * @param again whether pages that were read before are read again (they were turned)
     * @param patiently whether more time is given than usual
     */
    public record Run(long fileId, int from, int to, boolean again, boolean patiently) {}

    /** Some pages of a run are to be tried once more, later. */
    public static final class TryAgain extends RuntimeException {
        private static final long serialVersionUID = 1L;

        /** Where it was thrown says nothing; the log gets one line. */
        TryAgain(String message) {
            super(message, null, false, false);
        }
    }

    /**
     * @return whether the batch has no more pages waiting
     * @throws TryAgain when a page failed and has attempts left; the others are done
     */
    public boolean read(Run run) throws InterruptedException {
        BatchRows.FileRow file = rows.file(run.fileId());
        Batch batch = batches.get(file.batchId());
        if (batch.filed()) {
            return false;
        }
        String language = batches.stream(batch).language();
        // The rows before the decisions: what is decided in between is told by the rows when the page is written.
        List<BatchRows.PageRow> pages = rows.filePages(run.fileId(), run.from(), run.to());
        HowToRead decided = batches.howToRead(batch);
        String tryAgain = null;
        try (PageWorkers.Lent worker = slowWork.borrow()) {
            for (BatchRows.PageRow page : pages) {
                if (!run.again() && page.done()) {
                    continue;
                }
                if (rows.attempts(page.id()).attempts() >= MOST_BEGUN) {
                    giveUp(batch, page, Unread.Code.MACHINE_STOPPED.with().after(MOST_BEGUN), run.again());
                    continue;
                }
                rows.attempt(page.id());
                Path path = store.path(file.stored().sha256());
                var origin = new ReadPage.Origin(
                        page.no(), file.name(), page.in().page(), file.stored().sha256());
                var work = new ReadOnePage(path, origin, language, decided.page(page.no()));
                try {
                    PageFacts facts = worker.ask(work, run.patiently() ? PATIENTLY : 1);
                    if (rows.read(page, StoredFacts.write(facts)) == 0) {
                        rows.noAttempt(page.id());
                        continue;
                    }
                    renditions.makeUsual(facts, path, decided.recipe(facts), worker);
                } catch (UnreadableFile e) {
                    rows.rejected(page.id(), e.why());
                } catch (WorkFailed e) {
                    if (!e.counts()) {
                        rows.noAttempt(page.id());
                        throw new TryAgain(e.getMessage());
                    }
                    rows.attemptFailed(page.id());
                    boolean last = rows.attempts(page.id()).failures() >= PageWorkers.MOST_ATTEMPTS;
                    if (last && !(e.lostInReading() && keptWithoutWords(worker, work, batch, page, e.reason()))) {
                        giveUp(batch, page, e.reason().after(PageWorkers.MOST_ATTEMPTS), run.again());
                    } else if (!last) {
                        tryAgain = "page " + page.no() + " of batch " + batch.no() + ": " + e.getMessage();
                    }
                }
                events.changed(batch.no());
            }
        }
        if (tryAgain != null) {
            throw new TryAgain(tryAgain);
        }
        return rows.waiting(file.batchId()) == 0;
    }

    /** A page that can be decoded is kept, though the engine is lost in it: a drawing, or a fault of the engine. */
    private boolean keptWithoutWords(
            PageWorkers.Lent worker, ReadOnePage work, Batch batch, BatchRows.PageRow page, Unread why) {
        try {
            rows.read(page, StoredFacts.write(worker.ask(work.withoutWords())));
            log.add(
                    ActivityLog.JALON,
                    batch.id(),
                    Act.KEPT_WITHOUT_WORDS.with(page.no()).because(why));
            return true;
        } catch (UnreadableFile | WorkFailed e) {
            return false;
        }
    }

    /** A page that was read before stays as it was then. */
    private void giveUp(Batch batch, BatchRows.PageRow page, Unread reason, boolean again) {
        if (again && page.factsVersion() > 0) {
            rows.leaveAsRead(page.id());
        } else {
            rows.rejected(page.id(), reason);
        }
        log.add(ActivityLog.JALON, batch.id(), Act.NOT_READ.with(page.no()).because(reason));
        events.changed(batch.no());
    }

    public long batchOf(long fileId) {
        return rows.file(fileId).batchId();
    }
}
