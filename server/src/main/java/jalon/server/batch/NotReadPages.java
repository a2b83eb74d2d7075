package jalon.server.batch;

import jalon.server.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Pages and files that could not be read, when a person wants them tried again. */
@Service
public class NotReadPages {
    private final BatchRows rows;
    private final KeptFiles files;
    private final BatchPages pages;
    private final Decisions decisions;
    private final TransactionTemplate transaction;

    NotReadPages(
            BatchRows rows, KeptFiles files, BatchPages pages, Decisions decisions, TransactionTemplate transaction) {
        this.rows = rows;
        this.files = files;
        this.pages = pages;
        this.decisions = decisions;
        this.transaction = transaction;
    }

    /** Has a page tried again, with more time than usual. */
    @Transactional
    public void tryPage(String no, int page, String who) {
        Batch batch = decisions.changeable(no, who);
        BatchRows.PageRow row = rows.page(batch.id(), page)
                .filter(p -> p.rejected() != null)
                .orElseThrow(() -> Problem.PAGE_IS_READABLE.with(no, page));
        pages.readPatiently(batch, row, who);
    }

    /** Opens a file again; its pages come to stand at the end of the batch. */
    public void tryFile(String no, long fileId, String who) {
        BatchRows.FileRow file = rows.files(Batch.id(no)).stream()
                .filter(f -> f.id() == fileId && f.rejected() != null)
                .findFirst()
                .orElseThrow(() -> Problem.FILE_IS_READABLE.with(no));
        KeptFiles.Opened opened = files.open(file.stored());
        if (opened.rejected() != null) {
            throw Problem.FILE_NOT_READ.with(file.name(), opened.rejected().words());
        }
        transaction.executeWithoutResult(t -> {
            Batch batch = decisions.changeable(no, who);
            if (rows.file(fileId).rejected() != null) {
                pages.openAgain(batch, file, opened, who);
            }
        });
    }
}
