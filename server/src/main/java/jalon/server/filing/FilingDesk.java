package jalon.server.filing;

import jalon.core.name.SafeName;
import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.NotPossible;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.Events;
import jalon.server.batch.NotReadList;
import jalon.server.batch.WorkQueue;
import jalon.server.people.ActivityLog;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is about to be filed, the word to file it, and what became of it. */
@Service
public class FilingDesk {
    private final Batches batches;
    private final DeliveryRows rows;
    private final BatchFiling marks;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final NotReadList notRead;

    FilingDesk(
            Batches batches,
            DeliveryRows rows,
            BatchFiling marks,
            WorkQueue work,
            ActivityLog log,
            Events events,
            NotReadList notRead) {
        this.notRead = notRead;
        this.batches = batches;
        this.rows = rows;
        this.marks = marks;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /**
     * @param path where it will lie or lies, below the destination
     * @param id null while it is only about to be
     * @param reason why it failed or is refused, or null
     * @param tries that failed so far, @param nextAt when it is tried again, or null
     * @param leftOutBy by name, or null
     */
    public record DeskDelivery(
            Long id,
            int document,
            String destination,
            List<String> formats,
            String path,
            DeliveryState state,
            String reason,
            int tries,
            Instant nextAt,
            String leftOutBy) {}

    /** @param sentence the ledger in words */
    public record Plan(List<DeskDelivery> deliveries, Ledger ledger, String sentence, boolean begun) {}

    public Plan plan(String no) {
        Batch batch = batches.get(no);
        StreamDefinition stream = batches.stream(batch);
        BatchView view = batches.view(batch, batch.filedAt() == null);
        List<DeskDelivery> deliveries = new ArrayList<>();
        if (batch.filedAt() == null) {
            for (Filing.Planned p : Filing.plan(stream, batch.no(), view, Instant.now())) {
                var formats = formats(stream, p.destination().destination());
                deliveries.add(new DeskDelivery(
                        null,
                        p.document(),
                        p.destination().destination(),
                        formats,
                        p.path(),
                        DeliveryState.planned,
                        null,
                        0,
                        null,
                        null));
            }
        } else {
            for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
                String planned = r.folder().isEmpty() ? r.name() : r.folder() + "/" + r.name();
                String first = r.path() == null
                        ? planned
                        : r.path().lines().findFirst().orElse(planned);
                deliveries.add(new DeskDelivery(
                        r.id(),
                        r.documentNo(),
                        r.destination(),
                        formats(stream, r.destination()),
                        first.replaceFirst("\\.(pdf|csv|json)$", ""),
                        r.state(),
                        r.reason(),
                        r.tries(),
                        r.nextAt(),
                        r.leftOutBy() == null ? null : batches.nameOf(r.leftOutBy())));
            }
        }
        Ledger ledger = ledger(batch, view);
        return new Plan(deliveries, ledger, sentence(view, ledger), batch.filedAt() != null);
    }

    private static List<String> formats(StreamDefinition stream, String destination) {
        return stream.destination(destination)
                .map(d -> d.formats().stream()
                        .map(f -> f.name().toLowerCase(java.util.Locale.ROOT))
                        .toList())
                .orElse(List.of());
    }

    /** The page ledger: a page is filed when every delivery of its document is done or left out, and one is done. */
    public Ledger ledger(Batch batch, BatchView view) {
        Ledger l = view.ledger();
        if (batch.withdrawn()) {
            return new Ledger(l.received(), 0, l.blank(), l.separator(), l.setAside() + l.open(), 0);
        }
        if (batch.filedAt() == null) {
            return l;
        }
        Map<Integer, Set<DeliveryState>> states = new LinkedHashMap<>();
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            states.computeIfAbsent(r.documentNo(), d -> EnumSet.noneOf(DeliveryState.class))
                    .add(r.state());
        }
        int filed = 0;
        int leftOut = 0;
        for (BatchView.DocumentView d : view.documents()) {
            Set<DeliveryState> its = states.getOrDefault(d.no(), Set.of());
            boolean ended = !its.isEmpty() && its.stream().allMatch(DeliveryState::ended);
            filed += ended && its.contains(DeliveryState.done) ? d.pages().size() : 0;
            leftOut += ended && !its.contains(DeliveryState.done) ? d.pages().size() : 0;
        }
        return new Ledger(
                l.received(), filed, l.blank(), l.separator(), l.setAside() + leftOut, l.open() - filed - leftOut);
    }

    private static String sentence(BatchView view, Ledger l) {
        List<String> parts = new ArrayList<>();
        parts.add(l.filed() + " filed");
        if (l.separator() > 0) {
            parts.add(l.separator() + (l.separator() == 1 ? " separator" : " separators"));
        }
        if (l.blank() > 0) {
            parts.add(l.blank() + " blank");
        }
        if (l.setAside() > 0) {
            Set<String> by = new TreeSet<>();
            view.pages().forEach(p -> {
                if (p.role() == BatchView.Role.SET_ASIDE && p.by() != null) {
                    by.add(p.by());
                }
            });
            parts.add(l.setAside() + " set aside" + (by.isEmpty() ? "" : " by " + String.join(", ", by)));
        }
        parts.add(l.open() + " open");
        return l.received()
                + (l.received() == 1 ? " page received = " : " pages received = ")
                + String.join(" + ", parts);
    }

    /** Files a batch: from here on it cannot be changed, and each delivery is carried out on its own. */
    @Transactional
    public void file(String no, String who) {
        Batch batch = marks.changeable(no, who);
        if (marks.waiting(batch.id()) > 0) {
            throw NotPossible.now("Pages of batch " + no + " are still being read; wait a moment.");
        }
        BatchView view = batches.view(batch, true);
        List<BatchView.PageView> asked = view.askedAgain();
        if (!asked.isEmpty()) {
            throw NotPossible.now("Page " + asked.get(0).no() + " of batch " + no
                    + " is to be scanned again; scan it in its place, or say that it need not be.");
        }
        if (view.gaps().stream().anyMatch(BatchView.Gap::open)) {
            throw NotPossible.now("Batch " + no + " has an open gap; fill it or waive it with a reason.");
        }
        if (view.cutDoubts() > 0 || view.fieldDoubts() > 0) {
            throw NotPossible.now("Batch " + no + " still has " + view.cutDoubts() + " doubts in its pages and "
                    + view.fieldDoubts() + " in its fields; settle them first.");
        }
        StreamDefinition stream = batches.stream(batch);
        if (stream.destinations().isEmpty()) {
            throw NotPossible.now("Stream " + stream.title() + " has no destination; give it one.");
        }
        Instant now = Batches.now();
        marks.begin(batch.id(), view, who, now);
        for (Filing.Planned p : Filing.plan(stream, batch.no(), view, now)) {
            rows.plan(batch.id(), p.document(), p.destination().destination(), String.join("/", p.folders()), p.name());
        }
        List<DeliveryRows.DeliveryRow> planned = rows.ofBatch(batch.id());
        planned.forEach(r -> work.deliver(r.id()));
        log.add(now, who, batch.id(), "filed", planned.size() + " deliveries");
        if (planned.isEmpty()) {
            marks.finish(batch.id(), now);
        }
        events.changed(no);
    }

    /** What a person says is to become of a delivery that is refused or waits for its next try. */
    public enum Fate {
        /** It is tried at once. */
        now,
        /** It is tried at once under another name. */
        rename,
        /** It is tried at once; where its name is taken it is numbered. */
        number,
        leaveOut
    }

    /** @param name the other name, without its ending; for {@link Fate#rename} alone */
    @Transactional
    public void decide(String no, long deliveryId, Fate fate, String name, String who) {
        Batch batch = marks.lock(no);
        DeliveryRows.DeliveryRow delivery = rows.find(deliveryId)
                .filter(d -> d.batchId() == batch.id())
                .orElseThrow(() -> NotPossible.missing("Batch " + no + " has no such delivery."));
        if (delivery.state().ended()) {
            throw NotPossible.now("This delivery is " + (delivery.state() == DeliveryState.done ? "done" : "left out")
                    + "; nothing more can be changed about it.");
        }
        switch (fate) {
            case now -> rows.anew(deliveryId, delivery.name(), delivery.taken());
            case number -> rows.anew(deliveryId, delivery.name(), Destination.Taken.NUMBER);
            case rename -> {
                if (name == null || name.isBlank()) {
                    throw NotPossible.input("Type the other name.");
                }
                rows.anew(deliveryId, SafeName.of(name), delivery.taken());
            }
            case leaveOut -> rows.leaveOut(deliveryId, who);
            default -> throw new IllegalStateException("unknown: " + fate);
        }
        String what = delivery.destination() + ", document " + delivery.documentNo();
        log.add(Batches.now(), who, batch.id(), "delivery: " + said(fate), what + (name == null ? "" : ": " + name));
        if (fate != Fate.leaveOut) {
            work.deliver(deliveryId);
        } else if (rows.open(batch.id()) == 0) {
            marks.finish(batch.id(), Batches.now());
        }
        events.changed(no);
    }

    private static String said(Fate fate) {
        return switch (fate) {
            case now -> "tried at once";
            case number -> "numbered where its name is taken";
            case rename -> "under another name";
            case leaveOut -> "left out";
        };
    }

    public Report report(String no) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, true);
        Map<Integer, List<Report.Delivery>> deliveries = new LinkedHashMap<>();
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            if (r.state() == DeliveryState.done) {
                r.path()
                        .lines()
                        .forEach(path -> deliveries
                                .computeIfAbsent(r.documentNo(), d -> new ArrayList<>())
                                .add(new Report.Delivery(r.destination(), path)));
            }
        }
        boolean filed = batch.filedAt() != null;
        List<Report.Rejected> rejected = notRead.of(batch).stream()
                .map(r -> new Report.Rejected(r.file(), r.reason()))
                .toList();
        return Report.of(view, batches.facts(batch), filed, deliveries, rejected, List.of());
    }
}
