package jalon.server.filing;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.name.SafeName;
import jalon.core.output.OutputFormat;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.DocumentFate;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.NotReadList;
import jalon.server.batch.WorkQueue;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Logged;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
    private final Times times;

    FilingDesk(
            Batches batches,
            DeliveryRows rows,
            BatchFiling marks,
            WorkQueue work,
            ActivityLog log,
            Events events,
            NotReadList notRead,
            Times times) {
        this.times = times;
        this.notRead = notRead;
        this.batches = batches;
        this.rows = rows;
        this.marks = marks;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /**
     * @param id null while it is only about to be
     * @param path where it will lie or lies, below the destination
     */
    public record DeskDelivery(
            Long id,
            int document,
            String destination,
            List<Destination.Format> formats,
            String path,
            DeliveryState state,
            @JsonUnwrapped Tries history) {}

    /**
     * @param reason why it failed or is refused, or null
     * @param tries that failed so far, @param nextAt when it is tried again, or null
     * @param leftOutBy by name, or null
     * @param remedies what a person may have become of it
     */
    public record Tries(Trouble reason, int tries, Instant nextAt, String leftOutBy, List<Remedy> remedies) {
        static final Tries NONE = new Tries(null, 0, null, null, List.of());
    }

    /** @param setAsideBy who set pages aside, by name */
    public record Plan(List<DeskDelivery> deliveries, Ledger ledger, List<String> setAsideBy, boolean begun) {}

    public Plan plan(String no) {
        Batch batch = batches.get(no);
        StreamDefinition stream = batches.stream(batch);
        BatchView view = batches.view(batch, !batch.filed());
        List<DeskDelivery> deliveries = new ArrayList<>();
        if (!batch.filed()) {
            for (Filing.Planned p : Filing.plan(stream, batch.no(), view, times.now())) {
                deliveries.add(new DeskDelivery(
                        null,
                        p.document(),
                        p.destination().destination(),
                        p.destination().formats(),
                        p.path(),
                        DeliveryState.PLANNED,
                        Tries.NONE));
            }
        } else {
            rows.ofBatch(batch.id()).forEach(r -> deliveries.add(shown(r, stream)));
        }
        Ledger ledger = ledger(batch, view);
        return new Plan(deliveries, ledger, setAsideBy(view), batch.filed());
    }

    private DeskDelivery shown(DeliveryRows.DeliveryRow r, StreamDefinition stream) {
        String planned = r.folder().isEmpty() ? r.name() : r.folder() + "/" + r.name();
        String path = r.files() == null || r.files().isEmpty()
                ? planned
                : OutputFormat.withoutEnding(r.files().get(0));
        return new DeskDelivery(
                r.id(),
                r.documentNo(),
                r.destination(),
                stream.destination(r.destination()).map(Destination::formats).orElse(List.of()),
                path,
                r.state(),
                new Tries(
                        Trouble.of(r.reason()),
                        r.tries(),
                        r.nextAt(),
                        r.leftOutBy() == null ? null : batches.nameOf(r.leftOutBy()),
                        Remedy.of(r.state())));
    }

    /** The page ledger of a batch as it stands now. */
    public Ledger ledger(Batch batch, BatchView view) {
        Map<Integer, List<DeliveryState>> states = new LinkedHashMap<>();
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            states.computeIfAbsent(r.documentNo(), d -> new ArrayList<>()).add(r.state());
        }
        Map<Integer, DocumentFate> fates = new LinkedHashMap<>();
        states.forEach((document, its) -> fates.put(document, DocumentFate.of(its)));
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

    /** Files a batch: from here on it cannot be changed, and each delivery is carried out on its own. */
    @Transactional
    public void file(String no, String who) {
        Batch batch = marks.changeable(no, who);
        if (marks.waiting(batch.id()) > 0) {
            throw Problem.PAGES_BEING_READ.with(no);
        }
        BatchView view = batches.view(batch, true);
        List<BatchView.PageView> asked = view.askedAgain();
        if (!asked.isEmpty()) {
            throw Problem.PAGE_ASKED_AGAIN.with(asked.get(0).no(), no);
        }
        if (view.gaps().stream().anyMatch(BatchView.Gap::open)) {
            throw Problem.OPEN_GAP.with(no);
        }
        if (view.cutDoubts() > 0 || view.fieldDoubts() > 0) {
            throw Problem.DOUBTS_LEFT.with(no, view.cutDoubts(), view.fieldDoubts());
        }
        StreamDefinition stream = batches.stream(batch);
        if (stream.destinations().isEmpty()) {
            throw Problem.NO_DESTINATION.with(stream.title());
        }
        Instant now = times.now();
        marks.begin(batch.id(), view, who, now);
        for (Filing.Planned p : Filing.plan(stream, batch.no(), view, now)) {
            rows.plan(batch.id(), p.document(), p.destination().destination(), String.join("/", p.folders()), p.name());
        }
        List<DeliveryRows.DeliveryRow> planned = rows.ofBatch(batch.id());
        planned.forEach(r -> work.deliver(r.id()));
        log.add(who, batch.id(), Act.FILED.with(planned.size()));
        if (planned.isEmpty()) {
            marks.finish(batch.id(), now);
        }
        events.changed(no);
    }

    /** What a person may have become of a delivery that is refused or waits for its next try. */
    public enum Remedy {
        /** It is tried at once. */
        @JsonProperty("now")
        NOW,
        /** It is tried at once under another name. */
        @JsonProperty("rename")
        RENAME,
        /** It is tried at once; where its name is taken it is numbered. */
        @JsonProperty("number")
        NUMBER,
        @JsonProperty("leaveOut")
        LEAVE_OUT;

        static List<Remedy> of(DeliveryState state) {
            return switch (state) {
                case REFUSED -> List.of(values());
                case RETRYING -> List.of(NOW, LEAVE_OUT);
                case PLANNED, RUNNING, DONE, LEFT_OUT -> List.of();
            };
        }
    }

    /** @param name the other name, without its ending; for {@link Remedy#RENAME} alone */
    @Transactional
    public void decide(String no, long deliveryId, Remedy remedy, String name, String who) {
        Batch batch = marks.lock(no);
        DeliveryRows.DeliveryRow delivery = rows.find(deliveryId)
                .filter(d -> d.batchId() == batch.id())
                .orElseThrow(() -> Problem.NO_SUCH_DELIVERY.with(no));
        if (delivery.state().ended()) {
            throw (delivery.state() == DeliveryState.DONE ? Problem.DELIVERY_IS_DONE : Problem.DELIVERY_LEFT_OUT)
                    .with();
        }
        if (remedy == Remedy.RENAME && (name == null || name.isBlank())) {
            throw Problem.TYPE_A_NAME.with();
        }
        Logged logged = carryOut(remedy, delivery, name, who);
        log.add(who, batch.id(), logged);
        if (remedy != Remedy.LEAVE_OUT) {
            work.deliver(deliveryId);
        } else if (rows.open(batch.id()) == 0) {
            marks.finish(batch.id(), times.now());
        }
        events.changed(no);
    }

    private Logged carryOut(Remedy remedy, DeliveryRows.DeliveryRow delivery, String name, String who) {
        String destination = delivery.destination();
        int document = delivery.documentNo();
        return switch (remedy) {
            case NOW -> {
                rows.anew(delivery.id(), delivery.name(), delivery.taken());
                yield Act.DELIVERY_TRIED_NOW.with(destination, document);
            }
            case NUMBER -> {
                rows.anew(delivery.id(), delivery.name(), Destination.Taken.NUMBER);
                yield Act.DELIVERY_NUMBERED.with(destination, document);
            }
            case RENAME -> {
                rows.anew(delivery.id(), SafeName.of(name), delivery.taken());
                yield Act.DELIVERY_RENAMED.with(destination, document, name);
            }
            case LEAVE_OUT -> {
                rows.leaveOut(delivery.id(), who);
                yield Act.DELIVERY_LEFT_OUT.with(destination, document);
            }
        };
    }

    public Report report(String no) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, true);
        Map<Integer, List<Report.Delivery>> deliveries = new LinkedHashMap<>();
        for (DeliveryRows.DeliveryRow r : rows.ofBatch(batch.id())) {
            if (r.state() == DeliveryState.DONE) {
                r.files()
                        .forEach(path -> deliveries
                                .computeIfAbsent(r.documentNo(), d -> new ArrayList<>())
                                .add(new Report.Delivery(r.destination(), path)));
            }
        }
        List<Report.Rejected> rejected = notRead.of(batch).stream()
                .map(r -> Report.Rejected.of(r.file(), r.filePage(), r.reason()))
                .toList();
        return Report.of(view, batches.facts(batch), ledger(batch, view), deliveries, rejected, List.of());
    }
}
