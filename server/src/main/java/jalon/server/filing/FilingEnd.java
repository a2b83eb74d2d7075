package jalon.server.filing;

import jalon.core.stream.FilingRules;
import jalon.core.stream.Stage;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.WorkQueue;
import org.springframework.stereotype.Component;

/** When the last delivery of a batch has ended. */
@Component
class FilingEnd {
    private final DeliveryRows rows;
    private final ReportRows reports;
    private final BatchFiling marks;
    private final Batches batches;
    private final WorkQueue work;
    private final Times times;

    FilingEnd(DeliveryRows rows, ReportRows reports, BatchFiling marks, Batches batches, WorkQueue work, Times times) {
        this.reports = reports;
        this.rows = rows;
        this.marks = marks;
        this.batches = batches;
        this.work = work;
        this.times = times;
    }

    /** In the transaction in which a delivery ended. */
    void look(Batch batch) {
        // What was corrected later makes it no younger.
        if (batch.stage() == Stage.DONE || rows.open(batch.id()) > 0) {
            return;
        }
        marks.finish(batch.id(), times.now());
        FilingRules rules = batches.stream(batch).filing();
        if (rules.report().isEmpty()) {
            return;
        }
        if (rules.reportEvery() == FilingRules.Every.DAY) {
            reports.tellOn(batch.id(), times.day(times.now()));
        } else {
            work.report(batch.id());
        }
    }
}
