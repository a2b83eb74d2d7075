package jalon.server.filing;

import jalon.core.name.SafeName;
import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.run.FilingWish;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Logged;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people want of single documents at single destinations, from when a batch can be looked at until it is filed. */
@Service
public class FilingWishes {
    /** Longer paths are refused by many file systems, and longer reasons are read by nobody. */
    private static final int MOST_OF_A_WISH = 400;

    private final WishRows rows;
    private final Batches batches;
    private final BatchFiling marks;
    private final ActivityLog log;
    private final Events events;

    FilingWishes(WishRows rows, Batches batches, BatchFiling marks, ActivityLog log, Events events) {
        this.rows = rows;
        this.batches = batches;
        this.marks = marks;
        this.log = log;
        this.events = events;
    }

    List<WishRows.Row> ofBatch(long batchId) {
        return rows.ofBatch(batchId);
    }

    static List<FilingWish> plain(List<WishRows.Row> rows) {
        return rows.stream()
                .map(w -> new FilingWish(w.page(), w.destination(), w.path(), w.leftOut()))
                .toList();
    }

    /** Whose wish made a delivery what it is. */
    static Optional<WishRows.Row> of(Filing.Planned planned, List<WishRows.Row> wished) {
        FilingWish wish = planned.wish();
        return wished.stream()
                .filter(w -> wish != null
                        && w.page() == wish.page()
                        && w.destination().equals(wish.destination()))
                .findFirst();
    }

    /**
     * What a person wants of one document at one destination, before the batch is filed.
     *
     * @param path folder and name, or null for what the stream says
     * @param leftOut why it does not go there, or null when it does
     */
    @Transactional
    public void wish(String no, int document, String destination, String path, String leftOut, String who) {
        Batch batch = marks.lock(no);
        if (batch.filed()) {
            throw Problem.BATCH_IS_FILED.with(no);
        }
        BatchView view = batches.view(batch, true);
        boolean known = document >= 1
                && document <= view.documents().size()
                && batches.stream(batch).destination(destination).isPresent();
        if (!known) {
            throw Problem.NO_SUCH_DELIVERY.with(no);
        }
        if (path != null && SafeName.path(path).isEmpty() || leftOut != null && leftOut.isBlank()) {
            throw (path != null ? Problem.TYPE_A_NAME : Problem.SAY_WHY_LEFT_OUT).with();
        }
        String safe = path == null ? null : String.join("/", SafeName.path(path));
        if (longer(safe) || longer(leftOut)) {
            throw Problem.WISH_TOO_LONG.with(MOST_OF_A_WISH);
        }
        int page = view.documents().get(document - 1).pages().get(0);
        if (path == null && leftOut == null) {
            rows.remove(batch.id(), page, destination);
            log.add(who, batch.id(), Act.FILED_AS_STREAM_SAYS.with(destination, document));
        } else {
            rows.save(batch.id(), new WishRows.Row(page, destination, safe, leftOut, who));
            Logged logged = leftOut == null
                    ? Act.DELIVERY_RENAMED.with(destination, document, path)
                    : Act.DELIVERY_LEFT_OUT_WHY.with(destination, document, leftOut);
            log.add(who, batch.id(), logged);
        }
        events.changed(no);
    }

    private static boolean longer(String text) {
        return text != null && text.length() > MOST_OF_A_WISH;
    }
}
