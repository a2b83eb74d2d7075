package jalon.server.filing;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.name.NameCounts;
import jalon.core.output.Erasure;
import jalon.core.output.Fixity;
import jalon.core.output.OutputFormat;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.DocumentFate;
import jalon.core.run.Filing;
import jalon.core.run.FilingWish;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.NotReadList;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What is about to be filed, or what became of it. */
@Service
public class FilingPlan {
    private final Batches batches;
    private final DeliveryRows rows;
    private final FilingLists lists;
    private final BatchFiling marks;
    private final NotReadList notRead;
    private final FilingWishes wishes;
    private final HeldDocuments heldBack;
    private final GoingOn goingOn;
    private final FilingCounts counts;
    private final Times times;

    FilingPlan(
            Batches batches,
            DeliveryRows rows,
            FilingLists lists,
            BatchFiling marks,
            NotReadList notRead,
            FilingWishes wishes,
            HeldDocuments heldBack,
            GoingOn goingOn,
            FilingCounts counts,
            Times times) {
        this.counts = counts;
        this.goingOn = goingOn;
        this.wishes = wishes;
        this.heldBack = heldBack;
        this.batches = batches;
        this.rows = rows;
        this.lists = lists;
        this.marks = marks;
        this.notRead = notRead;
        this.times = times;
    }

    /**
     * @param id null while it is only about to be
     * @param path where it will lie or lies, below the destination
     * @param checked null where nothing lies yet
     * @param erased what became of its files when the document was erased, or null
     */
    public record DeskDelivery(
            Long id,
            int document,
            String destination,
            List<Destination.Format> formats,
            String path,
            DeliveryState state,
            Checked checked,
            Erasure erased,
            @JsonUnwrapped Tries history) {}

    /** Whether the files still were what was filed when that was looked at last, the worst of them. */
    public record Checked(Fixity found, Instant at) {
        static Checked of(List<DeliveryRows.FileRow> files) {
            return files.stream()
                    .filter(f -> f.checked() != null)
                    .max(Comparator.comparing(f -> f.checked().isTrouble()))
                    .map(f -> new Checked(f.checked(), f.checkedAt()))
                    .orElse(null);
        }
    }

    /**
     * @param reason why it failed or is refused, or null
     * @param tries that failed so far, @param nextAt when it is tried again, or null
     * @param saidBy who left it out, holds it back or wants another name, by name, or null
     * @param saidWhy as a person said, or null
     * @param remedies what a person may have become of it
     */
    public record Tries(
            Trouble reason, int tries, Instant nextAt, String saidBy, String saidWhy, List<Remedy> remedies) {
        static final Tries NONE = new Tries(null, 0, null, null, null, List.of(Remedy.RENAME, Remedy.LEAVE_OUT));
    }

    /** @param by who holds it back, by name */
    public record HeldDocument(int document, String by, String why) {}

    /** @param setAsideBy who set pages aside, by name */
    public record Plan(
            List<DeskDelivery> deliveries,
            List<HeldDocument> heldBack,
            List<FilingLists.DeskList> lists,
            Ledger ledger,
            List<String> setAsideBy,
            boolean begun) {}

    public Plan plan(String no) {
        Batch batch = batches.get(no);
        StreamDefinition stream = batches.stream(batch);
        BatchView view = batches.view(batch, !batch.filed());
        List<HeldDocument> held = new ArrayList<>(held(batch, view));
        List<DeskDelivery> deliveries = new ArrayList<>();
        if (!batch.filed()) {
            List<WishRows.Row> wished = wishes.ofBatch(batch.id());
            planned(batch, stream, view, counts.shown()).forEach(p -> deliveries.add(shown(p, wished, held)));
        } else {
            Map<Long, List<DeliveryRows.FileRow>> files = files(batch);
            rows.ofBatch(batch.id())
                    .forEach(r -> deliveries.add(shown(r, files.getOrDefault(r.id(), List.of()), stream)));
        }
        // One that was left out meanwhile goes nowhere, whether it is released or not.
        held.removeIf(h -> deliveries.stream()
                .noneMatch(d -> d.document() == h.document() && d.state() == DeliveryState.HELD_BACK));
        Ledger ledger = ledger(batch, view);
        List<FilingLists.DeskList> lists =
                batch.filed() ? this.lists.of(batch, stream) : this.lists.planned(stream, deliveries);
        return new Plan(deliveries, held, lists, ledger, setAsideBy(view), batch.filed());
    }

    private List<HeldDocument> held(Batch batch, BatchView view) {
        List<HeldRows.Row> rows = heldBack.ofBatch(batch.id());
        return view.documents().stream()
                .flatMap(document -> HeldDocuments.of(document, rows).stream()
                        .map(h -> new HeldDocument(document.no(), batches.nameOf(h.who()), h.why())))
                .toList();
    }

    /** Where each document of a batch goes, just before it does: its numbers are taken. */
    List<GoingOn.Plan> planned(Batch batch, StreamDefinition stream, BatchView view) {
        return planned(batch, stream, view, counts);
    }

    private List<GoingOn.Plan> planned(Batch batch, StreamDefinition stream, BatchView view, NameCounts numbers) {
        List<FilingWish> wished = FilingWishes.plain(wishes.ofBatch(batch.id()));
        if (batch.origin().continues() != null) {
            return goingOn.ofMore(stream, batch, view, wished);
        }
        return Filing.plan(stream, names(batch, numbers), view, wished).stream()
                .map(p -> new GoingOn.Plan(p, null))
                .toList();
    }

    /** What its documents' names would be made of now; no number is taken. */
    Filing.NamedBy shownNames(Batch batch) {
        return names(batch, counts.shown());
    }

    private Filing.NamedBy names(Batch batch, NameCounts numbers) {
        return new Filing.NamedBy(
                batch.no(), batches.about(batch), batches.facts(batch), times.day(times.now()), numbers);
    }

    private DeskDelivery shown(GoingOn.Plan plan, List<WishRows.Row> wished, List<HeldDocument> held) {
        Filing.Planned p = plan.planned();
        Tries tries = FilingWishes.of(p, wished).map(this::wished).orElse(p.isLeftOut() ? notThere(p) : tries(plan));
        DeliveryState state = p.isLeftOut() ? DeliveryState.LEFT_OUT : DeliveryState.PLANNED;
        Optional<HeldDocument> back = held.stream()
                .filter(h -> !p.isLeftOut() && h.document() == p.document())
                .findFirst();
        if (back.isPresent()) {
            state = DeliveryState.HELD_BACK;
            tries = new Tries(null, 0, null, back.get().by(), back.get().why(), tries.remedies());
        }
        return new DeskDelivery(
                null,
                p.document(),
                p.destination().destination(),
                p.destination().formats(),
                p.path(),
                state,
                null,
                null,
                tries);
    }

    private static Tries tries(GoingOn.Plan plan) {
        return plan.follows() == null ? Tries.NONE : new Tries(null, 0, null, null, null, List.of(Remedy.LEAVE_OUT));
    }

    private static Tries notThere(Filing.Planned planned) {
        return new Tries(null, 0, null, null, planned.wish().leftOut(), List.of());
    }

    private Tries wished(WishRows.Row wish) {
        return new Tries(null, 0, null, batches.nameOf(wish.who()), wish.leftOut(), List.of(Remedy.AS_STREAM_SAYS));
    }

    private Map<Long, List<DeliveryRows.FileRow>> files(Batch batch) {
        return rows.filesOfBatch(batch.id()).stream().collect(Collectors.groupingBy(DeliveryRows.FileRow::deliveryId));
    }

    private DeskDelivery shown(DeliveryRows.DeliveryRow r, List<DeliveryRows.FileRow> files, StreamDefinition stream) {
        DeliveryRows.Spot spot = r.spot();
        DeliveryRows.Course course = r.course();
        String path = r.state() == DeliveryState.DONE
                        && !files.isEmpty()
                        && files.get(0).path() != null
                ? OutputFormat.withoutEnding(files.get(0).path())
                : spot.path();
        return new DeskDelivery(
                r.id(),
                r.documentNo(),
                spot.destination(),
                stream.destination(spot.destination()).map(Destination::formats).orElse(List.of()),
                path,
                r.state(),
                r.state() == DeliveryState.DONE ? Checked.of(files) : null,
                files.stream()
                        .map(DeliveryRows.FileRow::erased)
                        .filter(Objects::nonNull)
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                new Tries(
                        course.reason(),
                        course.tries(),
                        course.nextAt(),
                        course.saidBy() == null ? null : batches.nameOf(course.saidBy()),
                        course.saidWhy(),
                        Remedy.of(r.state())));
    }

    /** The page ledger of a batch as it stands now. */
    public Ledger ledger(Batch batch, BatchView view) {
        Map<Integer, List<DeliveryState>> states = new LinkedHashMap<>();
        Set<Integer> erased = rows.erasedOf(batch.id());
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            if (r.correction() == 0) {
                states.computeIfAbsent(r.documentNo(), d -> new ArrayList<>()).add(r.state());
            }
        }
        Map<Integer, DocumentFate> fates = new LinkedHashMap<>();
        states.forEach((document, its) -> fates.put(document, DocumentFate.of(its)));
        erased.forEach(document -> fates.put(document, DocumentFate.ERASED));
        int unreadable =
                (int) notRead.of(batch).stream().filter(r -> r.page() != null).count();
        return Ledger.of(view, new Ledger.Beside(unreadable, marks.waiting(batch.id()), batch.withdrawn(), fates));
    }

    /** Who set pages of it aside, by name. */
    private static List<String> setAsideBy(BatchView view) {
        return view.pages().stream()
                .filter(p -> p.role() == BatchView.Role.SET_ASIDE && p.by() != null)
                .map(BatchView.PageView::by)
                .distinct()
                .sorted()
                .toList();
    }

    public Report report(String no) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, true);
        Map<Integer, List<Report.Delivery>> deliveries = new LinkedHashMap<>();
        Map<Long, List<DeliveryRows.FileRow>> files = files(batch);
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            if (r.state() == DeliveryState.DONE) {
                files.getOrDefault(r.id(), List.of()).stream()
                        .filter(f -> f.path() != null)
                        .forEach(f -> deliveries
                                .computeIfAbsent(r.documentNo(), d -> new ArrayList<>())
                                .add(new Report.Delivery(
                                        r.spot().destination(), f.path(), f.sha256(), f.bytes(), f.identifier())));
            }
        }
        List<Report.Rejected> rejected = notRead.of(batch).stream()
                .map(r -> Report.Rejected.of(r.file(), r.filePage(), r.reason()))
                .toList();
        return Report.of(view, batches.facts(batch), ledger(batch, view), deliveries, rejected, List.of());
    }
}
