package jalon.server.filing;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.apart.WriteDocument;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.output.NameTooLong;
import jalon.core.page.UnreadableFile;
import jalon.core.run.DeliveryState;
import jalon.core.run.Filing;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Carries out one delivery. Done twice it does the same: the bytes are those of the first try, and what lies there is left. */
@Component
public class DeliverWork {
    private static final Logger LOG = LoggerFactory.getLogger(DeliverWork.class);

    private final DeliveryRows rows;
    private final Batches batches;
    private final FileStore store;
    private final FilingPlaces places;
    private final PageWorkers slowWork;
    private final WrittenFiles written;
    private final GoingOn goingOn;
    private final DeliveryEnds ends;
    private final Times times;
    private final PlaceTurns turns;

    DeliverWork(
            DeliveryRows rows,
            Batches batches,
            FileStore store,
            FilingPlaces places,
            PageWorkers slowWork,
            WrittenFiles written,
            GoingOn goingOn,
            DeliveryEnds ends,
            Times times,
            JalonSettings settings) {
        this.turns = new PlaceTurns(settings.reading().workers() + 1);
        this.times = times;
        this.rows = rows;
        this.batches = batches;
        this.store = store;
        this.places = places;
        this.slowWork = slowWork;
        this.written = written;
        this.goingOn = goingOn;
        this.ends = ends;
    }

    /** @return false when too many are at its place already, so that it is to be tried a little later */
    public boolean deliver(long id) {
        DeliveryRows.DeliveryRow delivery = rows.find(id).orElse(null);
        if (delivery == null || delivery.state().ended() || delivery.state() == DeliveryState.REFUSED) {
            return true;
        }
        Batch batch = batches.get(delivery.batchId());
        StreamDefinition stream = batches.stream(batch);
        Destination destination =
                stream.destination(delivery.spot().destination()).orElseThrow();
        Instant now = times.now();
        if (!turns.enter(destination.where(), now)) {
            return false;
        }
        try {
            deliver(delivery, batch, stream, destination);
        } finally {
            turns.leave(destination.where(), now);
        }
        return true;
    }

    private void deliver(DeliveryRows.DeliveryRow delivery, Batch batch, StreamDefinition stream, Destination streams) {
        long id = delivery.id();
        DeliveryRows.Spot planned = delivery.spot();
        Destination destination = streams.whenTaken(taken(delivery, streams));
        if (goingOn.waits(delivery)) {
            throw ends.waits(delivery);
        }
        FiledDocument document = goingOn.document(delivery);
        FilingPlace place;
        try {
            place = places.of(destination);
        } catch (NotPossible e) {
            ends.refused(delivery, e);
            return;
        }
        var spot = new FilingPlace.Spot(planned.folder(), planned.name(), destination.formats(), destination.taken());
        Map<String, String> properties = Filing.properties(
                stream, destination, document, times.day(batch.course().filedAt()));
        rows.running(id);
        List<FilingPlace.Placed> placed;
        List<FilingPlace.Ready> files;
        try {
            files = files(id, document, destination.formats());
            placed = place.put(new FilingPlace.Parcel(spot, document, properties, files), remembered(id, files));
        } catch (NameTaken e) {
            ends.refused(delivery, Problem.DELIVERY_NAME_TAKEN.with(e.path()));
            return;
        } catch (NameTooLong e) {
            ends.refused(delivery, Problem.DELIVERY_PATH_TOO_LONG.with(planned.path()));
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
        ends.done(delivery, batch, new DeliveryEnds.Delivered(destination, document, files, placed, place.keeps()));
        drop(files);
    }

    /** What follows another comes as its version, whatever the stream says of names that are taken. */
    private static Destination.Taken taken(DeliveryRows.DeliveryRow delivery, Destination destination) {
        if (delivery.spot().taken() != null) {
            return delivery.spot().taken();
        }
        return delivery.follows() != null && !destination.taken().isVersion()
                ? Destination.Taken.APPEND
                : destination.taken();
    }

    /** As they were written at the first try, or written now. */
    private List<FilingPlace.Ready> files(long id, FiledDocument document, List<Destination.Format> formats)
            throws IOException, UnreadableFile, InterruptedException {
        Optional<List<FilingPlace.Ready>> before = written.of(id, document, formats);
        if (before.isPresent()) {
            return before.get();
        }
        Map<String, Path> received = new HashMap<>();
        document.pages().forEach(p -> received.put(p.sha256(), store.path(p.sha256())));
        var work = WriteDocument.into(written.folder(), WrittenFiles.name(id), document, formats, received);
        List<FilingPlace.Ready> files = slowWork.ask(work).files();
        written.keep(id, files);
        return files;
    }

    private FilingPlace.Remembered remembered(long id, List<FilingPlace.Ready> files) {
        return new FilingPlace.Remembered() {
            @Override
            public List<String> before() {
                List<DeliveryRows.FileRow> known = rows.files(id);
                return files.stream()
                        .flatMap(file -> known.stream()
                                .filter(k -> k.format() == file.format() && k.part() == file.part())
                                .map(DeliveryRows.FileRow::path)
                                .filter(Objects::nonNull))
                        .toList();
            }

            @Override
            public void about(List<String> placed) {
                for (int i = 0; i < files.size(); i++) {
                    rows.place(id, files.get(i), placed.get(i));
                }
            }
        };
    }

    /** What cannot be taken away now is taken away later. */
    private void drop(List<FilingPlace.Ready> files) {
        try {
            written.drop(files);
        } catch (IOException e) {
            LOG.warn("what was written for {} stays for now: {}", files.get(0).file(), e.toString());
        }
    }
}
