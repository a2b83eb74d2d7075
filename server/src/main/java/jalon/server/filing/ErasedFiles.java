package jalon.server.filing;

import jalon.core.output.Erasure;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.store.DocumentTrace;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Filed files that are erased, wherever they lie, and what is kept about them. */
@Service
public class ErasedFiles implements DocumentTrace {
    private final DeliveryRows rows;
    private final FilingLists lists;
    private final WishRows wishes;
    private final HeldRows held;
    private final CorrectionRows corrections;
    private final ReportRows reports;
    private final Batches batches;
    private final FilingPlaces places;
    private final Times times;

    ErasedFiles(
            DeliveryRows rows,
            FilingLists lists,
            WishRows wishes,
            HeldRows held,
            CorrectionRows corrections,
            ReportRows reports,
            Batches batches,
            FilingPlaces places,
            Times times) {
        this.rows = rows;
        this.lists = lists;
        this.wishes = wishes;
        this.held = held;
        this.corrections = corrections;
        this.reports = reports;
        this.batches = batches;
        this.places = places;
        this.times = times;
    }

    /** A document and all others that lie in one file with it somewhere, one as the newer version of the other. */
    public Set<Batch.Continued> together(Batch.Continued document) {
        Set<Batch.Continued> all = new LinkedHashSet<>();
        Deque<Batch.Continued> next = new ArrayDeque<>(List.of(document));
        while (!next.isEmpty()) {
            Batch.Continued one = next.pop();
            if (all.add(one)) {
                deliveries(one)
                        .flatMap(d -> Stream.concat(
                                rows.after(d.id()).stream(),
                                d.follows() == null ? Stream.empty() : rows.find(d.follows()).stream()))
                        .map(d -> new Batch.Continued(d.batchId(), d.documentNo()))
                        .forEach(next::push);
            }
        }
        return all;
    }

    private Stream<DeliveryRows.DeliveryRow> deliveries(Batch.Continued document) {
        return rows.ofBatch(document.batch()).stream().filter(d -> d.documentNo() == document.document());
    }

    /** Whether something of it is still on its way somewhere. */
    public boolean onItsWay(Batch.Continued document) {
        return deliveries(document).anyMatch(d -> !d.state().ended());
    }

    /** What is filed under its names from now on is another document. */
    public void freeNames(Batch.Continued document) {
        deliveries(document).forEach(d -> rows.freeName(d.id()));
    }

    /** A file that could not be erased now. */
    public record NotNow(String destination, Trouble why) {}

    /** Erases the files of documents that lie together, those filed last first: at a place that keeps versions these hold all. */
    public List<NotNow> erase(Collection<Batch.Continued> documents) {
        List<NotNow> left = new ArrayList<>();
        for (DeliveryRows.DeliveryRow delivery : filed(documents)) {
            String destination = delivery.spot().destination();
            try {
                erase(delivery);
            } catch (IOException e) {
                left.add(new NotNow(
                        destination, OwnPlaces.trouble(destination, e).trouble()));
            } catch (NotPossible e) {
                left.add(new NotNow(destination, e.trouble()));
            }
            lists.gone(delivery);
            lists.holding(delivery).forEach(list -> left.add(notNow(list)));
        }
        return left;
    }

    /** Lists are written soon, each by itself. */
    private static NotNow notNow(ListRows.Holding list) {
        Trouble why = list.reason() == null ? Problem.LIST_WRITTEN_FIRST.with().trouble() : list.reason();
        return new NotNow(list.place(), why);
    }

    private List<DeliveryRows.DeliveryRow> filed(Collection<Batch.Continued> documents) {
        return documents.stream()
                .flatMap(this::deliveries)
                .filter(d -> d.state() == DeliveryState.DONE)
                .sorted(Comparator.comparing(DeliveryRows.DeliveryRow::id).reversed())
                .toList();
    }

    private void erase(DeliveryRows.DeliveryRow delivery) throws IOException {
        for (DeliveryRows.FileRow file : rows.files(delivery.id())) {
            if (file.path() == null || file.erased() != null) {
                continue;
            }
            Destination destination = batches.stream(batches.get(delivery.batchId()))
                    .destination(delivery.spot().destination())
                    .orElseThrow();
            FilingPlace place = places.of(destination);
            rows.erased(file, place.erase(file.path(), file.sha256()), times.now());
        }
    }

    /** What cannot be erased now is left where it is, since a person says so. */
    public void leave(Collection<Batch.Continued> documents) {
        for (DeliveryRows.DeliveryRow delivery : filed(documents)) {
            lists.leave(delivery);
            rows.files(delivery.id()).stream()
                    .filter(f -> f.path() != null && f.erased() == null)
                    .forEach(f -> rows.erased(f, Erasure.LEFT, times.now()));
        }
    }

    /** Where a document lay. @param became what became of its file there */
    public record Lay(String destination, Destination.Format format, Erasure became) {}

    public List<Lay> lay(Batch.Continued document) {
        return deliveries(document)
                .flatMap(d -> rows.files(d.id()).stream()
                        .filter(f -> f.erased() != null)
                        .map(f -> new Lay(d.spot().destination(), f.format(), f.erased()))
                        .distinct())
                .toList();
    }

    /** Paths that its files have, below their destinations, and folders and names that they were to have. */
    public List<String> paths(Batch.Continued document) {
        return deliveries(document)
                .flatMap(d -> Stream.concat(
                        Stream.of(d.spot().path(), d.spot().name()),
                        rows.files(d.id()).stream()
                                .map(DeliveryRows.FileRow::path)
                                .filter(path -> path != null)))
                .distinct()
                .toList();
    }

    /** What it is called where it was filed first, for people to know it by; empty where it was filed nowhere. */
    public String name(Batch.Continued document) {
        return deliveries(document)
                .filter(d -> d.state() == DeliveryState.DONE)
                .findFirst()
                .map(d -> d.spot().path())
                .orElse("");
    }

    @Override
    public void erase(Erased document) {
        rows.eraseNames(document.batch(), document.no());
        rows.erasePaths(document.batch(), document.no());
        document.pages().forEach(page -> {
            wishes.erase(document.batch(), page);
            held.remove(document.batch(), page);
        });
        corrections.erase(document.batch(), document.no());
        if (document.batchToo()) {
            reports.erase(document.batch());
        }
    }
}
