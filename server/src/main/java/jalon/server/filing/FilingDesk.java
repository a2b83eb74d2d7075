package jalon.server.filing;

import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.StreamDefinition;
import jalon.server.NotPossible;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.Events;
import jalon.server.batch.WorkQueue;
import jalon.server.people.ActivityLog;
import java.time.Instant;
import java.util.ArrayList;
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

    FilingDesk(Batches batches, DeliveryRows rows, BatchFiling marks, WorkQueue work, ActivityLog log, Events events) {
        this.batches = batches;
        this.rows = rows;
        this.marks = marks;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /**
     * @param path where it will lie or lies, below the destination
     * @param state {@code planned}, {@code done} or {@code failed}
     * @param reason why it failed, or null
     */
    public record DeskDelivery(
            int document, String destination, List<String> formats, String path, String state, String reason) {}

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
                        p.document(), p.destination().destination(), formats, p.path(), "planned", null));
            }
        } else {
            for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
                String planned = r.folder().isEmpty() ? r.name() : r.folder() + "/" + r.name();
                String first = r.path() == null
                        ? planned
                        : r.path().lines().findFirst().orElse(planned);
                deliveries.add(new DeskDelivery(
                        r.documentNo(),
                        r.destination(),
                        formats(stream, r.destination()),
                        first.replaceFirst("\\.(pdf|csv|json)$", ""),
                        r.state(),
                        r.reason()));
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

    /** The page ledger: a page is filed when every delivery of its document is done. */
    public Ledger ledger(Batch batch, BatchView view) {
        Ledger l = view.ledger();
        if (batch.withdrawn()) {
            return new Ledger(l.received(), 0, l.blank(), l.separator(), l.setAside() + l.open(), 0);
        }
        int filed = 0;
        if (batch.filedAt() != null) {
            Map<Integer, Boolean> whole = new LinkedHashMap<>();
            for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
                whole.merge(r.documentNo(), r.state().equals("done"), Boolean::logicalAnd);
            }
            filed = view.documents().stream()
                    .filter(d -> whole.getOrDefault(d.no(), false))
                    .mapToInt(d -> d.pages().size())
                    .sum();
        }
        return new Ledger(l.received(), filed, l.blank(), l.separator(), l.setAside(), l.open() - filed);
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

    public Report report(String no) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, true);
        Map<Integer, List<Report.Delivery>> deliveries = new LinkedHashMap<>();
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            if (r.state().equals("done")) {
                r.path()
                        .lines()
                        .forEach(path -> deliveries
                                .computeIfAbsent(r.documentNo(), d -> new ArrayList<>())
                                .add(new Report.Delivery(r.destination(), path)));
            }
        }
        boolean filed = batch.filedAt() != null;
        return Report.of(view, batches.facts(batch), filed, deliveries, batches.rejected(batch), List.of());
    }
}
