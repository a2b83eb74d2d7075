package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.stream.Stage;
import jalon.server.Times;
import jalon.server.people.ActivityLog;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The marks that filing leaves on a batch. */
@Component
public class BatchFiling {
    private final BatchRows rows;
    private final Decisions decisions;
    private final Times times;

    BatchFiling(BatchRows rows, Decisions decisions, Times times) {
        this.times = times;
        this.decisions = decisions;
        this.rows = rows;
    }

    /** @return the locked batch, or empty when it was filed under this very request */
    public Optional<Batch> begun(String no, Asked asked) {
        Batch batch = rows.locked(no);
        return decisions.begins(batch, asked) ? Optional.of(batch) : Optional.empty();
    }

    /** For as long as the transaction lasts nobody else changes this batch. */
    public Batch lock(String no) {
        return rows.locked(no);
    }

    /**
     * Nothing about the batch can be changed from now on, and it stays what it is seen as now.
     *
     * @param who sign-in of a person, or {@link ActivityLog#JALON} when it goes by itself
     */
    public void begin(long batchId, BatchView view, String who, Instant now) {
        rows.keepFiledView(batchId, StoredView.write(view));
        rows.moveTo(batchId, Stage.FILING, now);
        boolean byItself = ActivityLog.JALON.equals(who);
        rows.takenBy(batchId, byItself ? null : who, byItself ? null : now);
        long untouched =
                view.documents().stream().filter(BatchFiling::untouched).count();
        long pages = view.documents().stream().mapToLong(d -> d.pages().size()).sum();
        rows.outcome(batchId, untouched, pages);
        rows.filed(batchId, who, now);
    }

    private static boolean untouched(BatchView.DocumentView document) {
        return document.stake().by() == null
                && document.type().by() == null
                && document.fields().values().stream().noneMatch(f -> f.by() != null);
    }

    /** Pages of a batch that were not read yet. */
    public int waiting(long batchId) {
        return rows.waiting(batchId);
    }

    /** Whether pages of it are still to be read, for the first time or as they are turned now. */
    public boolean beingRead(long batchId) {
        return rows.waiting(batchId) > 0 || rows.readAgain(batchId) > 0;
    }

    /** It can be changed again, and waits to be filed; it is with whoever took it back. */
    public void takeBack(long batchId, String who) {
        rows.notFiled(batchId);
        rows.forgetFiledView(batchId);
        rows.moveTo(batchId, Stage.FILING, times.now());
        rows.takenBy(batchId, who, times.now());
        rows.acted(batchId);
    }

    /** All deliveries are done. */
    public void finish(long batchId, Instant now) {
        rows.moveTo(batchId, Stage.DONE, now);
    }
}
