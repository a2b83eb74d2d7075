package jalon.server.filing;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.apart.WriteDocument;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.Filing;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.Pauses;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.archive.Archive;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.live.Events;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Carries out one delivery. Done twice it does the same: what lies there already with the same bytes is left. */
@Component
public class DeliverWork {
    private final DeliveryRows rows;
    private final Batches batches;
    private final BatchFiling marks;
    private final FileStore store;
    private final Archive archive;
    private final FilingPlaces places;
    private final Events events;
    private final PageWorkers slowWork;
    private final TransactionTemplate transaction;
    private final Times times;

    DeliverWork(
            DeliveryRows rows,
            Batches batches,
            BatchFiling marks,
            FileStore store,
            Archive archive,
            JalonSettings settings,
            Events events,
            PageWorkers slowWork,
            TransactionTemplate transaction,
            Times times) {
        this.times = times;
        this.rows = rows;
        this.batches = batches;
        this.marks = marks;
        this.store = store;
        this.archive = archive;
        this.places = new FilingPlaces(settings.filingFolder(), archive.root());
        this.events = events;
        this.slowWork = slowWork;
        this.transaction = transaction;
    }

    public void deliver(long id) {
        DeliveryRows.DeliveryRow delivery = rows.find(id).orElse(null);
        if (delivery == null || delivery.state().ended() || delivery.state() == DeliveryState.REFUSED) {
            return;
        }
        Batch batch = batches.get(delivery.batchId());
        StreamDefinition stream = batches.stream(batch);
        Destination streams = stream.destination(delivery.destination()).orElseThrow();
        Destination destination = delivery.taken() == null ? streams : streams.whenTaken(delivery.taken());
        Map<Integer, PageFacts> facts = batches.facts(batch);
        BatchView view = batches.view(batch, true);
        FiledDocument document = Filing.document(
                stream,
                batch.no(),
                view,
                delivery.documentNo(),
                facts,
                batch.course().filedAt());
        FilingPlace place = places.of(destination);
        Map<String, Path> received = new HashMap<>();
        document.pages().forEach(p -> received.put(p.sha256(), store.path(p.sha256())));
        var spot = new FilingPlace.Spot(delivery.folder(), delivery.name(), destination.formats(), destination.taken());
        rows.running(id);
        List<String> placed;
        try {
            placed = place.put(spot, files -> slowWork.ask(new WriteDocument(document, received, files)));
        } catch (NameTaken e) {
            refuse(delivery, Problem.DELIVERY_NAME_TAKEN.with(e.path()));
            return;
        } catch (UnreadableFile e) {
            refuse(delivery, Problem.DELIVERY_PAGE_LOST.with(e.getMessage()));
            return;
        } catch (WorkFailed e) {
            if (e.counts() && e.why() != WorkFailed.Why.DISK && delivery.tries() + 1 >= PageWorkers.MOST_ATTEMPTS) {
                refuse(delivery, Problem.DELIVERY_NOT_WRITTEN.with(PageWorkers.MOST_ATTEMPTS, e.getMessage()));
                return;
            }
            throw tryAgain(delivery, place, e);
        } catch (IOException e) {
            throw tryAgain(delivery, place, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped while filing", e);
        }
        transaction.executeWithoutResult(t -> {
            marks.lock(batch.no());
            if (destination.to().searchable()) {
                archive.add(batch, document, placed.get(0));
            }
            rows.done(id, placed, times.now());
            if (rows.open(batch.id()) == 0) {
                marks.finish(batch.id(), times.now());
            }
            events.changed(batch.no());
        });
    }

    private void refuse(DeliveryRows.DeliveryRow delivery, NotPossible reason) {
        rows.refused(delivery.id(), reason.trouble().json());
        events.changed(Batch.no(delivery.batchId()));
    }

    private RuntimeException tryAgain(DeliveryRows.DeliveryRow delivery, FilingPlace place, IOException e) {
        Instant next = times.now().plus(Pauses.after(delivery.tries() + 1));
        String reason = Problem.DELIVERY_FAILED
                .with(place.where(), e.getMessage())
                .trouble()
                .json();
        rows.retrying(delivery.id(), reason, next);
        events.changed(Batch.no(delivery.batchId()));
        return new IllegalStateException("delivery " + delivery.id() + " is tried again at " + next, e);
    }
}
