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
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Carries out one delivery. Done twice it does the same: what lies there already with the same bytes is left. */
@Component
public class DeliverWork {
    private final DeliveryRows rows;
    private final Batches batches;
    private final FileStore store;
    private final FilingPlaces places;
    private final PageWorkers slowWork;
    private final DeliveryEnds ends;

    DeliverWork(
            DeliveryRows rows,
            Batches batches,
            FileStore store,
            FilingPlaces places,
            PageWorkers slowWork,
            DeliveryEnds ends) {
        this.rows = rows;
        this.batches = batches;
        this.store = store;
        this.places = places;
        this.slowWork = slowWork;
        this.ends = ends;
    }

    public void deliver(long id) {
        DeliveryRows.DeliveryRow delivery = rows.find(id).orElse(null);
        if (delivery == null || delivery.state().ended() || delivery.state() == DeliveryState.REFUSED) {
            return;
        }
        Batch batch = batches.get(delivery.batchId());
        DeliveryRows.Spot planned = delivery.spot();
        StreamDefinition stream = batches.stream(batch);
        Destination streams = stream.destination(planned.destination()).orElseThrow();
        Destination destination = planned.taken() == null ? streams : streams.whenTaken(planned.taken());
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
        var spot = new FilingPlace.Spot(planned.folder(), planned.name(), destination.formats(), destination.taken());
        rows.running(id);
        List<String> placed;
        try {
            placed = place.put(spot, files -> slowWork.ask(new WriteDocument(document, received, files)));
        } catch (NameTaken e) {
            ends.refused(delivery, Problem.DELIVERY_NAME_TAKEN.with(e.path()));
            return;
        } catch (UnreadableFile e) {
            ends.refused(delivery, Problem.DELIVERY_PAGE_LOST.with(e.getMessage()));
            return;
        } catch (WorkFailed e) {
            if (e.counts()
                    && e.why() != WorkFailed.Why.DISK
                    && delivery.course().tries() + 1 >= PageWorkers.MOST_ATTEMPTS) {
                ends.refused(delivery, Problem.DELIVERY_NOT_WRITTEN.with(PageWorkers.MOST_ATTEMPTS, e.getMessage()));
                return;
            }
            throw ends.tryAgain(delivery, place, e);
        } catch (IOException e) {
            throw ends.tryAgain(delivery, place, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped while filing", e);
        }
        ends.done(delivery, batch, destination.to().searchable() ? document : null, placed);
    }
}
