package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.Fixity;
import jalon.core.output.OutputFormat;
import jalon.core.output.SearchablePdf;
import jalon.server.NotPossible;
import jalon.server.Pauses;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.archive.ArchivedDocuments;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.WorkQueue;
import jalon.server.live.Events;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is written down when a delivery ends, or this attempt at it. */
@Component
class DeliveryEnds {
    private final DeliveryRows rows;
    private final BatchFiling marks;
    private final FilingEnd end;
    private final ArchivedDocuments archive;
    private final GoingOn goingOn;
    private final CorrectedValues corrected;
    private final WorkQueue work;
    private final Events events;
    private final Times times;

    DeliveryEnds(
            DeliveryRows rows,
            BatchFiling marks,
            FilingEnd end,
            ArchivedDocuments archive,
            GoingOn goingOn,
            CorrectedValues corrected,
            WorkQueue work,
            Events events,
            Times times) {
        this.goingOn = goingOn;
        this.corrected = corrected;
        this.work = work;
        this.end = end;
        this.rows = rows;
        this.marks = marks;
        this.archive = archive;
        this.events = events;
        this.times = times;
    }

    /**
     * @param toBeFound the document, if it is to be found in the archive; else null
     * @param placed where its files lie, one for each
     * @param keeps whether they were read back there
     */
    @Transactional
    public void done(
            DeliveryRows.DeliveryRow delivery,
            Batch batch,
            FiledDocument toBeFound,
            List<FilingPlace.Ready> files,
            List<FilingPlace.Placed> placed,
            boolean keeps) {
        marks.lock(batch.no());
        if (toBeFound != null) {
            archive.add(
                    batch,
                    toBeFound,
                    goingOn.pages(delivery),
                    placed.get(shown(files)).path(),
                    archived(delivery),
                    corrected.by(delivery));
        }
        for (int i = 0; i < files.size(); i++) {
            Fixity checked = keeps ? Fixity.SAME : Fixity.NOT_KEPT;
            rows.lies(delivery.id(), files.get(i).format(), placed.get(i), checked, times.now());
            rows.replaced(delivery.id(), files.get(i).format(), placed.get(i).path());
        }
        rows.done(delivery.id(), times.now());
        rows.after(delivery.id()).ifPresent(next -> work.wake(next.id()));
        end.look(batch);
        events.changed(batch.no());
    }

    /** The archived document that a delivery is a newer version of. */
    private Optional<Long> archived(DeliveryRows.DeliveryRow delivery) {
        if (delivery.follows() == null) {
            return Optional.empty();
        }
        DeliveryRows.DeliveryRow first = goingOn.first(delivery);
        return archive.of(first.batchId(), first.documentNo());
    }

    /** @return what tells the queue that what it follows is not there yet */
    RuntimeException waits(DeliveryRows.DeliveryRow delivery) {
        rows.waits(delivery.id(), Problem.DELIVERY_WAITS.with().trouble());
        events.changed(Batch.no(delivery.batchId()));
        return new IllegalStateException("delivery " + delivery.id() + " waits for the one before it");
    }

    /** Which of the files people look at. */
    private static int shown(List<FilingPlace.Ready> files) {
        for (int i = 0; i < files.size(); i++) {
            if (OutputFormat.of(files.get(i).format()) instanceof SearchablePdf) {
                return i;
            }
        }
        return 0;
    }

    void refused(DeliveryRows.DeliveryRow delivery, NotPossible reason) {
        rows.refused(delivery.id(), reason.trouble());
        events.changed(Batch.no(delivery.batchId()));
    }

    /** @return what tells the queue that it did not work */
    RuntimeException tryAgain(DeliveryRows.DeliveryRow delivery, FilingPlace place, IOException e) {
        Instant next = times.now().plus(Pauses.after(delivery.course().tries() + 1));
        NotPossible reason = OwnPlaces.trouble(place.where(), e);
        rows.retrying(delivery.id(), reason.trouble(), next);
        events.changed(Batch.no(delivery.batchId()));
        return new IllegalStateException("delivery " + delivery.id() + " is tried again at " + next, e);
    }
}
