package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.server.NotPossible;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** The marks that filing leaves on a batch. */
@Component
public class BatchFiling {
    private final BatchRows rows;

    BatchFiling(BatchRows rows) {
        this.rows = rows;
    }

    /** For as long as the transaction lasts nobody else changes this batch. */
    public Batch lock(String no) {
        return rows.lock(Batch.id(no)).orElseThrow(() -> NotPossible.missing("There is no batch " + no + "."));
    }

    /** Nothing about the batch can be changed from now on, and it stays what it is seen as now. */
    public void begin(long batchId, BatchView view, String who, Instant now) {
        rows.keepFiledView(batchId, FactsCodec.write(view));
        rows.moveTo(batchId, Stage.filing, now);
        rows.takenBy(batchId, who);
        rows.filed(batchId, now);
    }

    /** All deliveries are done. */
    public void finish(long batchId, Instant now) {
        rows.moveTo(batchId, Stage.done, now);
    }
}
