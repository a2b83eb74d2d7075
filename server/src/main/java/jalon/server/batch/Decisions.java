package jalon.server.batch;

import jalon.core.run.Decision;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.core.words.Words;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Logged;
import jalon.server.picture.Recipes;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people decide about batches: written down in order, undone and done again, never deleted. */
@Service
public class Decisions {
    private final BatchRows rows;
    private final Batches batches;
    private final DocumentClaims claims;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    Decisions(
            BatchRows rows,
            Batches batches,
            DocumentClaims claims,
            WorkQueue work,
            ActivityLog log,
            Events events,
            Times times) {
        this.times = times;
        this.rows = rows;
        this.batches = batches;
        this.claims = claims;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /** Writes down what was decided in one act; all of it, or nothing where one part cannot be. */
    @Transactional
    public void decide(String no, List<Decision> decisions, Asked asked) {
        Batch batch = rows.locked(no);
        boolean beside = !decisions.isEmpty() && claims.areBeside(batch, decisions, asked.who());
        if (begins(batch, asked, beside)) {
            if (decisions.isEmpty()) {
                throw Problem.SAY_WHICH_PAGES.with();
            }
            decisions.forEach(decision -> check(batch, decision));
            write(batch, decisions, asked.who(), beside);
        }
    }

    /** Writes down decisions about a batch that the caller has locked: one act, undone and done again as one. */
    void write(Batch batch, List<Decision> decisions, String who) {
        write(batch, decisions, who, false);
    }

    private void write(Batch batch, List<Decision> decisions, String who, boolean beside) {
        rows.dropUndone(batch.id());
        if (decisions.stream().allMatch(Decision.Settle.class::isInstance)) {
            rows.settled(batch.id());
        } else {
            rows.acted(batch.id());
        }
        if (!beside) {
            rows.takenBy(batch.id(), who, times.now());
        }
        Long act = null;
        for (Decision decision : decisions) {
            var made = new NewId();
            rows.decide(
                    made,
                    batch.id(),
                    StoredDecision.kind(decision),
                    StoredDecision.write(decision),
                    who,
                    times.now(),
                    act);
            act = act == null ? Long.valueOf(made.getId()) : act;
            log.add(who, batch.id(), DecisionLog.of(decision));
            readAgainAfter(batch, decision);
        }
        events.changed(batch.no());
    }

    private void check(Batch batch, Decision decision) {
        if (decision.named().isEmpty() && !(decision instanceof Decision.AcceptCounts)) {
            throw Problem.SAY_WHICH_PAGES.with();
        }
        for (Integer page : decision.named()) {
            if (page == null || rows.page(batch.id(), page).isEmpty()) {
                throw Problem.NAMED_PAGE_MISSING.with(batch.no(), page);
            }
        }
        if (decision instanceof Decision.NameType t
                && batches.stream(batch).type(t.type()).isEmpty()) {
            throw Problem.NO_SUCH_TYPE.with(t.type());
        }
        if (decision instanceof Decision.SplitEvery s && s.every() < 1) {
            throw Problem.SPLIT_INTO_PAGES.with();
        }
        if (decision instanceof Decision.RepairPage r && r.recipe() != null) {
            Recipes.check(r.recipe());
        }
        if (decision instanceof Decision.AskAgain a
                && a.because() != null
                && a.because().isBlank()) {
            throw Problem.SAY_WHY_AGAIN.with();
        }
        if (decision instanceof Decision.Turn t && t.rotation() % 90 != 0) {
            throw Problem.QUARTERS_ONLY.with();
        }
        if (decision instanceof Decision.Settle s
                && (s.value() == null || s.value().isBlank())) {
            checkAbsent(batches.stream(batch), s);
        }
    }

    /** Nothing typed is not the same as the word that there is nothing. */
    private static void checkAbsent(StreamDefinition stream, Decision.Settle settle) {
        stream.types().stream().flatMap(t -> t.field(settle.field()).stream()).forEach(field -> {
            if (settle.value() != null && field.required()) {
                throw Problem.VALUE_MISSING.with(field.title());
            }
            if (settle.value() == null && !field.mayBeAbsent()) {
                throw Problem.MUST_BE_THERE.with(field.title());
            }
        });
    }

    /** Takes the last act back, all that was decided in it, or does the last one taken back again. */
    @Transactional
    public void step(String no, boolean back, Asked asked) {
        Batch batch = rows.locked(no);
        boolean beside =
                batch.stage() == Stage.INDEX && claims.isIn(batch, asked.who()) && claims.isShared(batch, asked.who());
        if (begins(batch, asked, beside)) {
            step(batch, back, asked.who(), beside);
        }
    }

    /** @param beside whether others work on the batch too, whose acts stay */
    private void step(Batch batch, boolean back, String who, boolean beside) {
        List<BatchRows.DecisionRow> all = rows.decisions(batch.id()).stream()
                .filter(row -> !beside
                        || row.decidedBy().equals(who) && StoredDecision.read(row.body()) instanceof Decision.Settle)
                .toList();
        BatchRows.DecisionRow chosen = null;
        for (BatchRows.DecisionRow row : all) {
            if (back && row.state() == DecisionState.ACTIVE) {
                chosen = row;
            } else if (!back && row.state() == DecisionState.UNDONE && chosen == null) {
                chosen = row;
            }
        }
        if (chosen == null) {
            throw (back ? Problem.NOTHING_TO_UNDO : Problem.NOTHING_TO_DO_AGAIN).with();
        }
        rows.acted(batch.id());
        for (BatchRows.DecisionRow row : all) {
            if (row.act() == chosen.act() && row.state().equals(chosen.state())) {
                rows.mark(row.id(), back ? DecisionState.UNDONE : DecisionState.ACTIVE);
                Decision decision = StoredDecision.read(row.body());
                log.add(
                        who,
                        batch.id(),
                        DecisionLog.of(decision).as(back ? Logged.Step.UNDONE : Logged.Step.DONE_AGAIN));
                readAgainAfter(batch, decision);
            }
        }
        events.changed(batch.no());
    }

    /** A page that was turned or repaired is read again as it is now. */
    private void readAgainAfter(Batch batch, Decision decision) {
        boolean repairedForReading = decision instanceof Decision.RepairPage
                && batches.stream(batch).pages().repairFor().reading();
        if (decision instanceof Decision.Turn || repairedForReading) {
            decision.named()
                    .forEach(page -> rows.page(batch.id(), page).ifPresent(row -> {
                        rows.ask(row.id());
                        work.readAgain(row.in().fileId(), row.in().page());
                    }));
        }
    }

    /**
     * Whether an act that was asked for is to be done now; its batch is locked.
     *
     * @return false when it was done under this very request
     */
    boolean begins(Batch batch, Asked asked) {
        return begins(batch, asked, false);
    }

    /** @param beside whether it is about values of documents that this person alone has open */
    private boolean begins(Batch batch, Asked asked, boolean beside) {
        if (asked.request() != null) {
            if (rows.requested(batch.id(), asked.request())) {
                return false;
            }
            rows.request(batch.id(), asked.request());
        }
        refuseUnchangeable(batch, asked.who(), beside);
        boolean known = asked.revision() == null
                || (beside
                        ? asked.revision() >= batch.course().cutRevision()
                        : asked.revision() == batch.course().revision());
        if (!known) {
            throw Problem.BATCH_CHANGED.with(batch.no());
        }
        return true;
    }

    /** Locks a batch that this person may change now. */
    Batch changeable(String no, String who) {
        Batch batch = rows.locked(no);
        refuseUnchangeable(batch, who);
        return batch;
    }

    /** Refuses what this person may not change now; the caller has locked it. */
    void refuseUnchangeable(Batch batch, String who) {
        refuseUnchangeable(batch, who, false);
    }

    private void refuseUnchangeable(Batch batch, String who, boolean beside) {
        String no = batch.no();
        if (batch.withdrawn()) {
            throw Problem.WITHDRAWN_BY.with(no, batches.nameOf(batch.course().withdrawnBy()));
        }
        if (batch.filed()) {
            throw Problem.BATCH_IS_FILED.with(no);
        }
        if (batch.holder().onHold() != null) {
            throw Problem.BATCH_ON_HOLD.with(no, batch.holder().onHold());
        }
        if (!beside) {
            BatchHolds.refuseIfWithAnother(batch, who, batches, times.now());
        }
        if (batch.stage() == Stage.INTAKE) {
            throw Problem.BEING_READ.with(no);
        }
    }

    /** Moves a batch to another stage by hand. */
    @Transactional
    public void moveTo(String no, Stage to, Asked asked) {
        Batch batch = rows.locked(no);
        if (!begins(batch, asked)) {
            return;
        }
        String who = asked.who();
        if (to == Stage.INTAKE || to == Stage.DONE) {
            throw Problem.NOT_BY_HAND.with(to);
        }
        rows.moveTo(batch.id(), to, times.now());
        rows.acted(batch.id());
        rows.takenBy(batch.id(), who, times.now());
        log.add(who, batch.id(), Act.MOVED.with(Words.name(batch.stage()), Words.name(to)));
        batches.counted(batch, batches.view(batch, true));
        events.changed(batch.no());
    }
}
