package jalon.server.batch;

import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.stream.StakeRule;
import jalon.server.NewId;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.StoredFacts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Parts what one feeding brought in where its sheets say that the next batch begins. Each part is a batch of its own from
 * then on; the first one keeps the number.
 */
@Component
class BatchSplitting {
    private final BatchRows rows;
    private final Batches batches;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    BatchSplitting(BatchRows rows, Batches batches, WorkQueue work, ActivityLog log, Events events, Times times) {
        this.rows = rows;
        this.batches = batches;
        this.work = work;
        this.log = log;
        this.events = events;
        this.times = times;
    }

    /**
     * @param batch locked by the caller, all of its pages read
     * @return whether it has fewer pages now; what people decided about already is left as it is
     */
    boolean split(Batch batch, BatchView view) {
        List<Integer> begins = beginnings(view);
        if (begins.isEmpty() || !batches.decisions(batch).isEmpty()) {
            return false;
        }
        List<BatchRows.PageRow> pages = rows.pages(batch.id());
        for (int i = 0; i < begins.size(); i++) {
            int from = begins.get(i);
            int to = i + 1 < begins.size() ? begins.get(i + 1) : Integer.MAX_VALUE;
            part(
                    batch,
                    pages.stream().filter(p -> p.no() >= from && p.no() < to).toList());
        }
        return true;
    }

    /** Pages at which a further batch begins: not the one at which this one does. */
    private static List<Integer> beginnings(BatchView view) {
        List<Integer> begins = new ArrayList<>();
        int first = view.documents().stream()
                .map(d -> d.separator() == null ? d.pages().get(0) : d.separator())
                .findFirst()
                .orElse(0);
        for (BatchView.GroupView g : view.groups()) {
            if (g.opens() == StakeRule.Opens.BATCH && g.page() > first) {
                begins.add(g.page());
            }
        }
        return begins;
    }

    private void part(Batch batch, List<BatchRows.PageRow> pages) {
        var made = new NewId();
        rows.addLike(made, batch.id(), times.now());
        Map<Long, Long> files = new HashMap<>();
        Map<Integer, PageFacts> seen = batches.facts(batch);
        int no = 0;
        for (BatchRows.PageRow page : pages) {
            no++;
            long file = files.computeIfAbsent(page.in().fileId(), id -> fileLike(id, made.getId(), pages));
            PageFacts facts = seen.get(page.no());
            byte[] renumbered = facts == null ? null : StoredFacts.write(facts.numbered(no));
            rows.movePage(page.id(), made.getId(), no, file, renumbered);
        }
        String newNo = Batch.no(made.getId());
        log.add(ActivityLog.JALON, batch.id(), Act.SPLIT_OFF.with(newNo, pages.size()));
        log.add(ActivityLog.JALON, made.getId(), Act.SPLIT_FROM.with(batch.no(), pages.size()));
        work.advance(made.getId());
        events.changed(newNo);
    }

    /** The received file, as one of the new batch with as many pages as went there. */
    private long fileLike(long fileId, long batchId, List<BatchRows.PageRow> pages) {
        long moved = pages.stream().filter(p -> p.in().fileId() == fileId).count();
        var made = new NewId();
        rows.addFileLike(made, fileId, batchId, (int) moved);
        rows.fewerPages(fileId, (int) moved);
        return made.getId();
    }
}
