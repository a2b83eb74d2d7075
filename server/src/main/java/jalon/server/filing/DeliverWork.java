package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.FolderPlace;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.run.ReceivedFiles;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.JalonSettings;
import jalon.server.archive.Archive;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.Events;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Path;
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
    private final JalonSettings settings;
    private final Events events;
    private final TransactionTemplate transaction;

    DeliverWork(
            DeliveryRows rows,
            Batches batches,
            BatchFiling marks,
            FileStore store,
            Archive archive,
            JalonSettings settings,
            Events events,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.batches = batches;
        this.marks = marks;
        this.store = store;
        this.archive = archive;
        this.settings = settings;
        this.events = events;
        this.transaction = transaction;
    }

    public void deliver(long id) {
        DeliveryRows.DeliveryRow delivery = rows.find(id);
        if (delivery == null || delivery.state().equals("done")) {
            return;
        }
        Batch batch = batches.get(delivery.batchId());
        StreamDefinition stream = batches.stream(batch);
        Destination destination = stream.destination(delivery.destination()).orElseThrow();
        Map<Integer, PageFacts> facts = batches.facts(batch);
        BatchView view = batches.view(batch, true);
        FiledDocument document =
                Filing.document(stream, batch.no(), view, delivery.documentNo(), facts, batch.filedAt());
        Path root = destination.to() == Destination.To.ARCHIVE
                ? archive.root()
                : settings.filingFolder().resolve(destination.destination());
        List<Path> placed;
        try (var images = new ReceivedFiles(p -> store.path(p.sha256()))) {
            Path folder = delivery.folder().isEmpty() ? root : root.resolve(delivery.folder());
            placed = FolderPlace.put(folder, delivery.name(), destination, document, images);
        } catch (FileAlreadyExistsException e) {
            fail(delivery, "the name is taken and the stream does not allow numbering: " + e.getMessage());
            return;
        } catch (IOException | UnreadableFile e) {
            fail(delivery, "could not be written below " + root + " (" + e.getMessage() + "); it is tried again");
            throw new IllegalStateException("delivery " + id + " will be tried again", e);
        }
        String paths = String.join(
                "\n", placed.stream().map(p -> root.relativize(p).toString()).toList());
        transaction.executeWithoutResult(t -> {
            marks.lock(batch.no());
            if (destination.to() == Destination.To.ARCHIVE) {
                archive.add(batch, document, root.relativize(placed.get(0)).toString());
            }
            rows.done(id, paths, Batches.now());
            if (rows.open(batch.id()) == 0) {
                marks.finish(batch.id(), Batches.now());
            }
            events.changed(batch.no());
        });
    }

    private void fail(DeliveryRows.DeliveryRow delivery, String reason) {
        rows.failed(delivery.id(), reason);
        events.changed(Batch.no(delivery.batchId()));
    }
}
