package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.server.Times;
import jalon.server.store.DocumentTrace;
import jalon.server.store.StoredFacts;
import org.springframework.stereotype.Component;

/**
 * What was read on a document's pages, what people decided about it, and what its values were when it was filed. That its
 * pages were there and what they were in their batch stays. Pages out of the flow go with the last document of their batch.
 */
@Component
class BatchTrace implements DocumentTrace {
    private final BatchRows rows;
    private final ErasureRows erasure;
    private final Times times;

    BatchTrace(BatchRows rows, ErasureRows erasure, Times times) {
        this.rows = rows;
        this.erasure = erasure;
        this.times = times;
    }

    @Override
    public void erase(Erased document) {
        for (ErasureRows.PageRow page : erasure.pages(document.batch())) {
            if (!page.erased() && (document.batchToo() || document.pages().contains(page.no()))) {
                erasure.erasePage(
                        page.id(),
                        page.facts() == null
                                ? null
                                : StoredFacts.write(
                                        StoredFacts.read(page.facts()).erased()));
            }
        }
        erasure.eraseReplays(document.batch());
        document.pages().forEach(page -> eraseSamples(SamplePages.origin(document.batch(), page)));
        for (BatchRows.DecisionRow row : rows.decisions(document.batch())) {
            if (document.batchToo() || isAbout(StoredDecision.read(row.body()), document)) {
                erasure.eraseDecision(row.id());
            }
        }
        BatchRows.FiledView kept = rows.filedView(document.batch());
        if (kept != null) {
            BatchView view = StoredView.read(kept.body());
            erasure.replaceFiledView(document.batch(), StoredView.write(view.without(document.gone())));
        }
        if (document.batchToo()) {
            erasure.eraseOrigin(document.batch());
        }
        erasure.newRevision(document.batch());
    }

    /** What was kept of it to make streams by. */
    private void eraseSamples(String origin) {
        for (ErasureRows.SampleRow sample : erasure.samples(origin)) {
            erasure.eraseAnswer(sample.batchId(), sample.no());
            erasure.removePage(sample.id());
            erasure.fileErased(sample.fileId(), times.now());
            erasure.newRevision(sample.batchId());
        }
    }

    /** What speaks of other pages too is about the cut, and says nothing of what stands on them. */
    private static boolean isAbout(Decision decision, Erased document) {
        return document.pages().containsAll(decision.named());
    }
}
