package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.Fixity;
import jalon.core.stream.Destination;
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
    private final FilingLists lists;
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
            FilingLists lists,
            WorkQueue work,
            Events events,
            Times times) {
        this.goingOn = goingOn;
        this.corrected = corrected;
        this.lists = lists;
        this.work = work;
        this.end = end;
        this.rows = rows;
        this.marks = marks;
        this.archive = archive;
        this.events = events;
        this.times = times;
    }

    /**
     * What was delivered.
     *
     * @param placed where the files lie, one for each
     * @param keeps whether they were read back there
     */
    record Delivered(
            Destination destination,
            FiledDocument document,
            List<FilingPlace.Ready> files,
            List<FilingPlace.Placed> placed,
            boolean keeps) {
        /** Where the file lies that people look at. */
        String path() {
            return FilingPlace.shown(files, placed).path();
        }
    }

    @Transactional
    public void done(DeliveryRows.DeliveryRow delivery, Batch batch, Delivered delivered) {
        marks.lock(batch.no());
        FiledDocument document = delivered.document();
        if (delivered.destination().to().searchable()) {
            archive.add(
                    batch,
                    document,
                    goingOn.pages(delivery),
                    delivered.path(),
                    archived(delivery),
                    corrected.by(delivery));
        }
        for (int i = 0; i < delivered.files().size(); i++) {
            Fixity checked = delivered.keeps() ? Fixity.SAME : Fixity.NOT_KEPT;
            FilingPlace.Ready file = delivered.files().get(i);
            FilingPlace.Placed placed = delivered.placed().get(i);
            rows.lies(delivery.id(), file, placed, checked, times.now());
            rows.replaced(delivery.id(), file.format(), placed.path());
        }
        lists.filed(delivery, batch, delivered.destination(), document, delivered.path());
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
