package jalon.server.filing;

import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.server.Problem;
import jalon.server.SaidWhy;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.WorkQueue;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Documents that people hold back: when their batch is filed they go nowhere, until somebody releases them. What goes on under
 * their name meanwhile does not wait for them.
 */
@Service
public class HeldDocuments {
    private final HeldRows held;
    private final DeliveryRows rows;
    private final GoingOn goingOn;
    private final Batches batches;
    private final BatchFiling marks;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;

    HeldDocuments(
            HeldRows held,
            DeliveryRows rows,
            GoingOn goingOn,
            Batches batches,
            BatchFiling marks,
            WorkQueue work,
            ActivityLog log,
            Events events) {
        this.held = held;
        this.rows = rows;
        this.goingOn = goingOn;
        this.batches = batches;
        this.marks = marks;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /** Who holds a document back, and why; empty for one that nobody does. */
    static Optional<HeldRows.Row> of(BatchView.DocumentView document, List<HeldRows.Row> held) {
        return held.stream().filter(h -> h.page() == document.pages().get(0)).findFirst();
    }

    List<HeldRows.Row> ofBatch(long batchId) {
        return held.ofBatch(batchId);
    }

    /** Has a document of a batch that is not filed yet held back. */
    @Transactional
    public void hold(String no, int document, String why, String who) {
        Batch batch = marks.lock(no);
        if (batch.filed()) {
            throw Problem.BATCH_IS_FILED.with(no);
        }
        String reason = SaidWhy.of(why);
        held.save(batch.id(), new HeldRows.Row(firstPage(batch, document), reason, who));
        log.add(who, batch.id(), Act.HELD_BACK.with(document, reason));
        events.changed(no);
    }

    /** A document goes where it is to go, at once if its batch is filed. Done twice it does nothing the second time. */
    @Transactional
    public void release(String no, int document, String who) {
        Batch batch = marks.lock(no);
        if (held.remove(batch.id(), firstPage(batch, document)) == 0) {
            return;
        }
        rows.ofBatch(batch.id()).stream()
                .filter(d -> d.documentNo() == document && d.state() == DeliveryState.HELD_BACK)
                .forEach(d -> release(batch, d));
        log.add(who, batch.id(), Act.DOCUMENT_RELEASED.with(document));
        events.changed(no);
    }

    private void release(Batch batch, DeliveryRows.DeliveryRow delivery) {
        Destination destination =
                batches.stream(batch).destination(delivery.spot().destination()).orElseThrow();
        Batch.Continued continued = batch.origin().continues();
        if (continued == null) {
            goingOn.link(delivery.id(), destination, delivery.spot().path());
        } else {
            marks.lock(Batch.no(continued.batch()));
            GoingOn.There there = goingOn.there(continued, destination)
                    .orElseThrow(() -> Problem.NOT_FILED_THERE.with(Batch.no(continued.batch())));
            goingOn.follow(delivery.id(), there.newest().id());
        }
        rows.release(delivery.id());
        work.deliver(delivery.id());
    }

    private int firstPage(Batch batch, int document) {
        List<BatchView.DocumentView> documents = batches.view(batch, false).documents();
        if (document < 1 || document > documents.size()) {
            throw Problem.NO_SUCH_DELIVERY.with(batch.no());
        }
        return documents.get(document - 1).pages().get(0);
    }
}
