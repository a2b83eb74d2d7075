package jalon.server.filing;

import jalon.core.name.SafeName;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.Filing;
import jalon.core.stream.Destination;
import jalon.core.stream.FilingRules;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Asked;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.WorkQueue;
import jalon.server.certainty.Certainties;
import jalon.server.learning.Samples;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Logged;
import jalon.server.register.FiledVersions;
import jalon.server.register.Newcomers;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The word to file a batch, and what people say about deliveries that do not go through. */
@Service
public class FilingDesk {
    private final Batches batches;
    private final DeliveryRows rows;
    private final BatchFiling marks;
    private final Samples samples;
    private final Certainties certainties;
    private final Newcomers newcomers;
    private final FiledVersions versions;
    private final FilingWishes wishes;
    private final HeldDocuments heldBack;
    private final FilingPlan plan;
    private final GoingOn goingOn;
    private final FilingEnd end;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    FilingDesk(
            Batches batches,
            DeliveryRows rows,
            BatchFiling marks,
            Samples samples,
            Certainties certainties,
            Newcomers newcomers,
            FiledVersions versions,
            FilingWishes wishes,
            HeldDocuments heldBack,
            FilingPlan plan,
            GoingOn goingOn,
            FilingEnd end,
            WorkQueue work,
            ActivityLog log,
            Events events,
            Times times) {
        this.times = times;
        this.batches = batches;
        this.rows = rows;
        this.marks = marks;
        this.samples = samples;
        this.certainties = certainties;
        this.newcomers = newcomers;
        this.versions = versions;
        this.wishes = wishes;
        this.heldBack = heldBack;
        this.end = end;
        this.plan = plan;
        this.goingOn = goingOn;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /** Files a batch: from here on it cannot be changed, and each delivery is carried out on its own. */
    @Transactional
    public void file(String no, Asked asked) {
        marks.begun(no, asked).ifPresent(batch -> file(batch, asked.who()));
    }

    private void file(Batch batch, String who) {
        String no = batch.no();
        if (marks.beingRead(batch.id())) {
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
        begin(batch, view, who);
    }

    /**
     * Files a batch that nobody had to touch, on Jalon's own word. One that somebody has meanwhile, or that is in doubt after
     * all, is left for people.
     */
    @Transactional
    public void fileUntouched(long id) {
        Batch batch = marks.lock(Batch.no(id));
        boolean ready = batches.stream(batch).filing().by() == FilingRules.By.ITSELF
                && batch.stage() == Stage.FILING
                && !batch.filed()
                && !batch.withdrawn()
                && batch.holder().person() == null
                && batch.holder().onHold() == null
                && !marks.beingRead(id)
                && batches.decisions(batch).isEmpty();
        if (!ready || batches.stream(batch).destinations().isEmpty()) {
            return;
        }
        BatchView view = batches.view(batch, true);
        if (view.withoutDoubt()) {
            begin(batch, view, ActivityLog.JALON);
        }
    }

    private void begin(Batch batch, BatchView view, String who) {
        StreamDefinition stream = batches.stream(batch);
        if (stream.destinations().isEmpty()) {
            throw Problem.NO_DESTINATION.with(stream.title());
        }
        Instant now = times.now();
        marks.begin(batch.id(), view, who, now);
        if (batch.origin().continues() == null) {
            certainties.keep(batch.id(), stream.stream(), batches.outcomes(batch, view));
            newcomers.keep(batch.id(), stream, view, now);
            versions.keep(batch.id(), stream, view);
        }
        List<WishRows.Row> wished = wishes.ofBatch(batch.id());
        if (batch.origin().continues() != null) {
            // One after the other: each goes on where the one before ended.
            marks.lock(Batch.no(batch.origin().continues().batch()));
        }
        Map<String, Long> last = new HashMap<>();
        List<HeldRows.Row> held = heldBack.ofBatch(batch.id());
        plan.planned(batch, stream, view).forEach(p -> {
            var document = view.documents().get(p.planned().document() - 1);
            plan(batch, p, wished, HeldDocuments.of(document, held), last);
        });
        List<DeliveryRows.DeliveryRow> planned = rows.ofBatch(batch.id()).stream()
                .filter(r -> r.state() == DeliveryState.PLANNED)
                .toList();
        planned.forEach(r -> work.deliver(r.id()));
        log.add(who, batch.id(), Act.FILED.with(planned.size()));
        // Pages that go on a document say nothing about how one of its type begins.
        boolean teaches = !ActivityLog.JALON.equals(who) && batch.origin().continues() == null;
        if (teaches && samples.confirmed(stream, batch.id(), view, batches.facts(batch), who)) {
            work.learn(stream.stream());
        }
        end.look(batch);
        events.changed(batch.no());
    }

    /** @param last planned of the batch at a destination, by its name: what goes on goes on there */
    private void plan(
            Batch batch,
            GoingOn.Plan plan,
            List<WishRows.Row> wished,
            Optional<HeldRows.Row> held,
            Map<String, Long> last) {
        Filing.Planned p = plan.planned();
        var made = new NewId();
        rows.plan(
                made, batch.id(), p.document(), p.destination().destination(), String.join("/", p.folders()), p.name());
        if (p.isLeftOut()) {
            String who = FilingWishes.of(p, wished).map(WishRows.Row::who).orElse(ActivityLog.JALON);
            rows.leaveOutPlanned(
                    batch.id(),
                    p.document(),
                    p.destination().destination(),
                    who,
                    p.wish().leftOut());
        } else if (held.isPresent()) {
            rows.holdBack(made.getId(), held.get().who(), held.get().why());
        } else if (plan.follows() != null) {
            long before = last.getOrDefault(p.destination().destination(), plan.follows());
            goingOn.follow(made.getId(), before);
            last.put(p.destination().destination(), made.getId());
        } else {
            goingOn.link(made.getId(), p.destination(), p.path());
        }
    }

    /** Has a batch's files looked at where they lie. */
    @Transactional
    public void checkFiled(String no, String who) {
        Batch batch = batches.get(no);
        if (!batch.filed()) {
            throw Problem.NOT_FILED_YET.with(no);
        }
        work.checkFiled(batch.id());
        log.add(who, batch.id(), Act.ASKED_TO_CHECK_FILED.with());
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
        } else {
            end.look(batch);
        }
        events.changed(no);
    }

    private Logged carryOut(Remedy remedy, DeliveryRows.DeliveryRow delivery, String name, String who) {
        DeliveryRows.Spot spot = delivery.spot();
        String destination = spot.destination();
        int document = delivery.documentNo();
        return switch (remedy) {
            case NOW -> {
                rows.anew(delivery.id(), spot.name(), spot.taken());
                yield Act.DELIVERY_TRIED_NOW.with(destination, document);
            }
            case NUMBER -> {
                rows.forgetPlaces(delivery.id());
                rows.anew(delivery.id(), spot.name(), Destination.Taken.NUMBER);
                yield Act.DELIVERY_NUMBERED.with(destination, document);
            }
            case RENAME -> {
                rows.forgetPlaces(delivery.id());
                rows.anew(delivery.id(), SafeName.of(name), spot.taken());
                yield Act.DELIVERY_RENAMED.with(destination, document, name);
            }
            case AS_STREAM_SAYS -> throw Problem.BATCH_IS_FILED.with(Batch.no(delivery.batchId()));
            case LEAVE_OUT -> {
                goingOn.part(delivery);
                rows.leaveOut(delivery.id(), who);
                yield Act.DELIVERY_LEFT_OUT.with(destination, document);
            }
        };
    }
}
