package jalon.server.filing;

import jalon.core.output.FilingPlaces;
import jalon.core.output.Fixity;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.SaidWhy;
import jalon.server.archive.ArchivedDocuments;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.WorkQueue;
import jalon.server.certainty.Certainties;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.register.Newcomers;
import java.io.IOException;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes the filing of a batch back while nothing left the house: what lies in Jalon's own folders and archive goes from there,
 * and the batch can be changed and filed again. What went to a place of the organisation's, or may have, stays filed.
 */
@Service
public class TakingBack {
    private final DeliveryRows rows;
    private final ReportRows reports;
    private final FilingLists lists;
    private final BatchFiling marks;
    private final Batches batches;
    private final FilingPlaces places;
    private final ArchivedDocuments archive;
    private final Certainties certainties;
    private final Newcomers newcomers;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final ApplicationEventPublisher told;

    TakingBack(
            DeliveryRows rows,
            ReportRows reports,
            FilingLists lists,
            BatchFiling marks,
            Batches batches,
            FilingPlaces places,
            ArchivedDocuments archive,
            Certainties certainties,
            Newcomers newcomers,
            WorkQueue work,
            ActivityLog log,
            Events events,
            ApplicationEventPublisher told) {
        this.rows = rows;
        this.reports = reports;
        this.lists = lists;
        this.marks = marks;
        this.batches = batches;
        this.places = places;
        this.archive = archive;
        this.certainties = certainties;
        this.newcomers = newcomers;
        this.work = work;
        this.log = log;
        this.events = events;
        this.told = told;
    }

    /** Done twice, after a stop in between, it does what is left. @param why as a person says */
    @Transactional
    public void takeBack(String no, String why, String who) {
        String reason = SaidWhy.of(why);
        Batch batch = marks.lock(no);
        if (!batch.filed()) {
            throw Problem.NOT_FILED_YET.with(no);
        }
        StreamDefinition stream = batches.stream(batch);
        List<DeliveryRows.DeliveryRow> deliveries = rows.ofBatch(batch.id());
        for (DeliveryRows.DeliveryRow delivery : deliveries) {
            check(delivery, destination(stream, delivery));
        }
        for (DeliveryRows.DeliveryRow delivery : deliveries) {
            if (!work.giveUp(delivery.id())) {
                throw Problem.BEING_DELIVERED.with();
            }
        }
        told.publishEvent(new FilingTakenBack(batch.id()));
        for (DeliveryRows.DeliveryRow delivery : deliveries) {
            erase(delivery, destination(stream, delivery));
            archive.remove(batch.id(), delivery.documentNo());
            rows.freeName(delivery.id());
            lists.gone(delivery);
            rows.forgetFiles(delivery.id());
        }
        rows.removeAll(batch.id());
        reports.erase(batch.id());
        reports.tellOn(batch.id(), null);
        certainties.forget(batch.id());
        newcomers.forget(batch.id());
        marks.takeBack(batch.id(), who);
        log.add(who, batch.id(), Act.TOOK_BACK.with(reason));
        events.changed(no);
    }

    private static Destination destination(StreamDefinition stream, DeliveryRows.DeliveryRow delivery) {
        return stream.destination(delivery.spot().destination()).orElseThrow();
    }

    private void erase(DeliveryRows.DeliveryRow delivery, Destination destination) {
        try {
            for (DeliveryRows.FileRow file : rows.files(delivery.id())) {
                if (file.path() != null) {
                    places.of(destination).erase(file.path(), file.sha256());
                }
            }
        } catch (IOException e) {
            throw OwnPlaces.trouble(destination.destination(), e);
        }
    }

    /** Nothing is touched before all of it can be. */
    private void check(DeliveryRows.DeliveryRow delivery, Destination destination) {
        String name = destination.destination();
        boolean tried = delivery.state() == DeliveryState.DONE
                || delivery.state() == DeliveryState.RUNNING
                || delivery.course().tries() > 0;
        if (tried && destination.to() == Destination.To.PLACE) {
            throw Problem.LEFT_THE_HOUSE.with(name);
        }
        if (delivery.follows() != null || rows.after(delivery.id()).isPresent()) {
            throw Problem.GOES_ON_THERE.with(delivery.documentNo(), name);
        }
        for (DeliveryRows.FileRow file : rows.files(delivery.id())) {
            if (file.erased() != null) {
                throw Problem.DOCUMENT_ERASED.with(delivery.documentNo(), Batch.no(delivery.batchId()));
            }
            if (file.path() != null && fixity(file, destination) == Fixity.CHANGED) {
                throw Problem.CHANGED_SINCE_FILED.with(file.path(), name);
            }
        }
    }

    private Fixity fixity(DeliveryRows.FileRow file, Destination destination) {
        try {
            return Fixity.of(places.of(destination), file.path(), file.sha256());
        } catch (IOException e) {
            throw OwnPlaces.trouble(destination.destination(), e);
        }
    }
}
