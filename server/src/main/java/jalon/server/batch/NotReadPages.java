package jalon.server.batch;

import jalon.server.Problem;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Pages and files that could not be read, when a person wants them tried again. */
@Service
public class NotReadPages {
    private final BatchRows rows;
    private final Receiving receiving;
    private final Decisions decisions;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final TransactionTemplate transaction;

    NotReadPages(
            BatchRows rows,
            Receiving receiving,
            Decisions decisions,
            WorkQueue work,
            ActivityLog log,
            Events events,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.receiving = receiving;
        this.decisions = decisions;
        this.work = work;
        this.log = log;
        this.events = events;
        this.transaction = transaction;
    }

    /** Has a page tried again, with more time than usual. */
    public void tryPage(String no, int page, String who) {
        transaction.executeWithoutResult(t -> {
            Batch batch = decisions.changeable(no, who);
            BatchRows.PageRow row = rows.page(batch.id(), page)
                    .filter(p -> p.rejected() != null)
                    .orElseThrow(() -> Problem.PAGE_IS_READABLE.with(no, page));
            rows.wantAgain(row.id());
            work.readPatiently(row.fileId(), row.filePage());
            log.add(who, batch.id(), Act.PAGE_TRIED_AGAIN.with(page).because(row.rejected()));
            events.changed(no);
        });
    }

    /** Opens a file again; its pages come to stand at the end of the batch. */
    public void tryFile(String no, long fileId, String who) {
        BatchRows.FileRow file = rows.files(Batch.id(no)).stream()
                .filter(f -> f.id() == fileId && f.rejected() != null)
                .findFirst()
                .orElseThrow(() -> Problem.FILE_IS_READABLE.with(no));
        Receiving.Opened opened = receiving.opened(file.sha256());
        if (opened.rejected() != null) {
            throw Problem.FILE_NOT_READ.with(file.name(), opened.rejected().words());
        }
        transaction.executeWithoutResult(t -> {
            Batch batch = decisions.changeable(no, who);
            if (rows.file(fileId).rejected() != null) {
                rows.opened(fileId, opened.pages());
                receiving.addPages(batch, fileId, opened.pages(), null);
                log.add(who, batch.id(), Act.FILE_TRIED_AGAIN.with(file.name()));
            }
        });
    }
}
