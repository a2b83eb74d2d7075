package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.OutputFormat;
import jalon.core.page.Sha256;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.Filing;
import jalon.core.run.FilingWish;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.archive.ArchivePage;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Documents that go on: deliveries that follow what was filed at the same destination under the same name, as its newer version
 * or with its pages before their own.
 */
@Component
class GoingOn {
    private final DeliveryRows rows;
    private final Batches batches;
    private final CorrectedValues corrected;

    GoingOn(DeliveryRows rows, Batches batches, CorrectedValues corrected) {
        this.corrected = corrected;
        this.rows = rows;
        this.batches = batches;
    }

    /** A delivery as it is planned, and the one that it follows, or null. */
    record Plan(Filing.Planned planned, Long follows) {}

    /**
     * A filed document at one of its destinations.
     *
     * @param first delivery of it there, @param newest of those that follow that
     * @param folder and @param name that a newer version is filed under
     */
    record There(DeliveryRows.DeliveryRow first, DeliveryRows.DeliveryRow newest, String folder, String name) {}

    /** Empty where it was not filed there, was left out, or is erased. */
    Optional<There> there(Batch.Continued document, Destination destination) {
        return rows.at(document.batch(), document.document(), destination.destination())
                .filter(first -> rows.files(first.id()).stream().allMatch(f -> f.erased() == null))
                .map(first -> {
                    String path = path(first(first));
                    int slash = path.lastIndexOf('/');
                    return new There(
                            first, newest(first), slash < 0 ? "" : path.substring(0, slash), path.substring(slash + 1));
                })
                .filter(there -> there.newest().state() != DeliveryState.LEFT_OUT);
    }

    /**
     * Where more pages of a filed document go: wherever it was filed, under its name, unless the destination refuses names that
     * are taken.
     *
     * @param view of the batch that brings them; all its documents go there, one behind the other
     * @param wishes of people, of which those to leave one out mean something
     */
    List<Plan> ofMore(StreamDefinition stream, Batch batch, BatchView view, List<FilingWish> wishes) {
        List<Plan> plans = new ArrayList<>();
        for (Destination destination : stream.destinations()) {
            Optional<There> there = there(batch.origin().continues(), destination);
            for (BatchView.DocumentView document : view.documents()) {
                FilingWish leftOut = wishes.stream()
                        .filter(w -> w.leftOut() != null
                                && w.page() == document.pages().get(0)
                                && w.destination().equals(destination.destination()))
                        .findFirst()
                        .orElseGet(() -> cannot(
                                destination, document, there, batch.origin().continues()));
                plans.add(plan(destination, document, there, leftOut));
            }
        }
        return plans;
    }

    /** @param leftOut null where nothing is in the way */
    private static Plan plan(
            Destination destination, BatchView.DocumentView document, Optional<There> there, FilingWish leftOut) {
        String folder = there.map(There::folder).orElse("");
        Destination taken =
                destination.taken().isVersion() ? destination : destination.whenTaken(Destination.Taken.APPEND);
        return new Plan(
                new Filing.Planned(
                        document.no(),
                        taken,
                        folder.isEmpty() ? List.of() : List.of(folder.split("/")),
                        there.map(There::name).orElse(""),
                        leftOut),
                leftOut == null ? there.orElseThrow().newest().id() : null);
    }

    /** @return null where nothing is in the way */
    private static FilingWish cannot(
            Destination destination, BatchView.DocumentView document, Optional<There> there, Batch.Continued filed) {
        if (there.isPresent() && destination.taken() != Destination.Taken.REFUSE) {
            return null;
        }
        Problem why = there.isPresent() ? Problem.TAKES_NO_VERSIONS : Problem.NOT_FILED_THERE;
        return new FilingWish(
                document.pages().get(0),
                destination.destination(),
                null,
                why.with(Batch.no(filed.batch())).getMessage());
    }

    /** Where a delivery lies without its ending, or is going to lie. */
    String path(DeliveryRows.DeliveryRow delivery) {
        return rows.files(delivery.id()).stream()
                .filter(f -> f.path() != null)
                .findFirst()
                .map(f -> OutputFormat.withoutEnding(f.path()))
                .orElse(delivery.spot().path());
    }

    private DeliveryRows.DeliveryRow newest(DeliveryRows.DeliveryRow delivery) {
        DeliveryRows.DeliveryRow last = delivery;
        for (Optional<DeliveryRows.DeliveryRow> next = rows.after(last.id()); next.isPresent(); ) {
            last = next.get();
            next = rows.after(last.id());
        }
        return last;
    }

    /** Has a delivery that was just planned go on under its name, where its destination says so. */
    void link(long delivery, Destination destination, String path) {
        if (!destination.taken().isVersion()) {
            return;
        }
        String place = destination.where();
        String name = Sha256.of(path.toLowerCase(Locale.ROOT));
        Long before = rows.lastUnder(place, name);
        rows.nowUnder(place, name, delivery);
        if (before != null) {
            rows.follow(delivery, before);
        }
    }

    /** Has a delivery go on another one, under its name. */
    void follow(long delivery, long before) {
        rows.follow(delivery, before);
        rows.passName(before, delivery);
    }

    /** One that is left out goes on no longer; what followed it follows what it followed. */
    void part(DeliveryRows.DeliveryRow delivery) {
        rows.follow(delivery.id(), null);
        if (delivery.follows() != null) {
            rows.forgetFiles(delivery.id());
        }
        rows.after(delivery.id()).ifPresent(next -> rows.follow(next.id(), delivery.follows()));
        if (delivery.follows() == null) {
            rows.freeName(delivery.id());
        } else {
            rows.passName(delivery.id(), delivery.follows());
        }
    }

    /** Those whose pages come first, the first of them first, and then the delivery itself. */
    private List<DeliveryRows.DeliveryRow> parts(DeliveryRows.DeliveryRow delivery) {
        List<DeliveryRows.DeliveryRow> parts = new ArrayList<>(List.of(delivery));
        DeliveryRows.DeliveryRow part = delivery;
        while (part.follows() != null && appends(part)) {
            part = rows.find(part.follows()).orElseThrow();
            parts.add(part);
        }
        Collections.reverse(parts);
        return parts;
    }

    /** Whether the pages of what it follows come before its own. */
    private boolean appends(DeliveryRows.DeliveryRow delivery) {
        Batch batch = batches.get(delivery.batchId());
        return delivery.correction() > 0
                || batch.origin().continues() != null
                || batches.stream(batch)
                                .destination(delivery.spot().destination())
                                .orElseThrow()
                                .taken()
                        == Destination.Taken.APPEND;
    }

    /** Whether what a delivery follows does not lie in its place yet. */
    boolean waits(DeliveryRows.DeliveryRow delivery) {
        return delivery.follows() != null
                && rows.find(delivery.follows()).orElseThrow().state() != DeliveryState.DONE;
    }

    /** The document as a delivery brings it, with all that comes before its own pages. */
    FiledDocument document(DeliveryRows.DeliveryRow delivery) {
        FiledDocument whole = null;
        for (DeliveryRows.DeliveryRow part : parts(delivery)) {
            if (part.correction() > 0) {
                whole = corrected.of(whole, part);
                continue;
            }
            Batch batch = batches.get(part.batchId());
            FiledDocument own = Filing.document(
                    batches.stream(batch),
                    batch.no(),
                    batches.view(batch, true),
                    part.documentNo(),
                    batches.facts(batch),
                    batch.course().filedAt());
            whole = whole == null ? own : whole.with(own);
        }
        return whole;
    }

    /** Where the pages of that document came in. */
    List<ArchivePage> pages(DeliveryRows.DeliveryRow delivery) {
        List<ArchivePage> pages = new ArrayList<>();
        for (DeliveryRows.DeliveryRow part : parts(delivery)) {
            if (part.correction() == 0) {
                batches.view(batches.get(part.batchId()), false)
                        .documents()
                        .get(part.documentNo() - 1)
                        .pages()
                        .forEach(no -> pages.add(new ArchivePage(part.batchId(), no)));
            }
        }
        return pages;
    }

    /** The first one of all that follow each other up to this. */
    DeliveryRows.DeliveryRow first(DeliveryRows.DeliveryRow delivery) {
        DeliveryRows.DeliveryRow first = delivery;
        while (first.follows() != null) {
            first = rows.find(first.follows()).orElseThrow();
        }
        return first;
    }
}
