package jalon.server.batch;

import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Files and pages as they come into a batch that the caller has locked. */
@Component
class BatchPages {
    private final BatchRows rows;
    private final KeptFiles files;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    BatchPages(BatchRows rows, KeptFiles files, WorkQueue work, ActivityLog log, Events events, Times times) {
        this.rows = rows;
        this.files = files;
        this.work = work;
        this.log = log;
        this.events = events;
        this.times = times;
    }

    /** @param pages numbers of the pages it added */
    record Recorded(Receiving.Received received, List<Integer> pages) {}

    /**
     * Writes down a stored file, and puts its pages to work.
     *
     * @param origin where a channel had it, or null; what was recorded under it once is not recorded again
     * @param sheet where the page was when it was scanned, or null for a file
     */
    Recorded record(Batch batch, KeptFiles.Kept kept, String origin, Receiving.Sheet sheet) {
        Optional<BatchRows.FileRow> before = origin == null ? Optional.empty() : rows.byOrigin(batch.id(), origin);
        if (before.isPresent()) {
            BatchRows.FileRow f = before.get();
            var opened = new KeptFiles.Opened(f.pages(), f.rejected());
            return new Recorded(new KeptFiles.Kept(f.name(), f.stored(), opened).received(), List.of());
        }
        var made = new NewId();
        KeptFiles.Opened opened = kept.opened();
        var file = new BatchRows.FileRow(
                0, batch.id(), kept.name(), kept.stored(), opened.pages(), opened.rejected(), origin);
        rows.addFile(made, file, times.now());
        if (!files.isThere(kept.stored())) {
            // It was kept for another batch whose documents were erased just now. Nothing is acknowledged yet.
            throw Problem.CAME_WHILE_ERASED.with(kept.name());
        }
        return new Recorded(kept.received(), add(batch, made.getId(), opened.pages(), sheet));
    }

    /** Gives the pages of a file their numbers in its batch, and puts them to work. */
    List<Integer> add(Batch batch, long fileId, int pages, Receiving.Sheet sheet) {
        int next = rows.lastPageNo(batch.id()) + 1;
        List<Integer> added = new ArrayList<>();
        for (int i = 1; i <= pages; i++) {
            rows.addPage(batch.id(), next, new BatchRows.InFile(fileId, i), sheet);
            added.add(next++);
        }
        work.readFile(fileId, pages);
        events.changed(batch.no());
        return added;
    }

    /** Puts a page to work once more that could not be read, with more time than usual. */
    void readPatiently(Batch batch, BatchRows.PageRow page, String who) {
        rows.wantAgain(page.id());
        work.readPatiently(page.in().fileId(), page.in().page());
        log.add(who, batch.id(), Act.PAGE_TRIED_AGAIN.with(page.no()).because(page.rejected()));
        events.changed(batch.no());
    }

    /** Takes in the pages of a file that could not be opened when it came. */
    void openAgain(Batch batch, BatchRows.FileRow file, KeptFiles.Opened opened, String who) {
        rows.opened(file.id(), opened.pages());
        add(batch, file.id(), opened.pages(), null);
        log.add(who, batch.id(), Act.FILE_TRIED_AGAIN.with(file.name()));
    }

    /** All files are here. */
    void complete(Batch batch, String who) {
        if (!batch.course().arrived()) {
            rows.arrived(batch.id());
            log.add(who, batch.id(), Act.ARRIVED.with(rows.lastPageNo(batch.id())));
            work.advance(batch.id());
            events.changed(batch.no());
        }
    }
}
