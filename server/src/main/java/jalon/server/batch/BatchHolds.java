package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.core.words.Words;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.People;
import jalon.server.people.Person;
import jalon.server.people.Role;
import jalon.server.rights.Rights;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who has a batch, how urgent it is, and whether it may be worked on at all. */
@Service
public class BatchHolds {

    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("HH:mm 'UTC'").withZone(ZoneOffset.UTC);

    private final BatchRows rows;
    private final Batches batches;
    private final People people;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Rights rights;
    private final Times times;

    BatchHolds(
            BatchRows rows,
            Batches batches,
            People people,
            WorkQueue work,
            ActivityLog log,
            Events events,
            Rights rights,
            Times times) {
        this.rights = rights;
        this.work = work;
        this.times = times;
        this.rows = rows;
        this.batches = batches;
        this.people = people;
        this.log = log;
        this.events = events;
    }

    static void refuseIfWithAnother(Batch batch, String who, Batches batches, Instant now) {
        if (batch.isWithAnother(who, now)) {
            throw Problem.HELD_BY_ANOTHER.with(
                    batches.nameOf(batch.holder().person()),
                    batch.no(),
                    CLOCK.format(batch.holder().since()));
        }
    }

    /** @param over whether it may be taken from the one who has it now */
    @Transactional
    public void take(String no, boolean over, String who) {
        Batch batch = lock(no);
        if (batch.filed() || batch.withdrawn()) {
            throw Problem.NOBODY_NEEDS_IT.with(no);
        }
        if (!over) {
            refuseIfWithAnother(batch, who, batches, times.now());
        }
        if (!who.equals(batch.holder().person())) {
            log.add(who, batch.id(), over ? Act.TOOK_OVER.with(batch.holder().person()) : Act.TOOK.with());
        }
        rows.takenBy(batch.id(), who, times.now());
        events.changed(no);
    }

    /** @param to sign-in of who gets it, or null: whoever takes it next */
    @Transactional
    public void pass(String no, String to, String who) {
        Batch batch = lock(no);
        refuseIfWithAnother(batch, who, batches, times.now());
        if (to != null) {
            Person person = people.find(to).orElseThrow(() -> Problem.NO_SUCH_PERSON.with(to));
            if (person.role() == Role.READER) {
                throw Problem.READS_ONLY.with(person.name());
            }
            if (!rights.worksOn(to, batch.stream().name())) {
                throw Problem.NOT_THEIR_STREAM.with(
                        person.name(), batches.stream(batch).title());
            }
        }
        rows.takenBy(batch.id(), to, to == null ? null : times.now());
        log.add(who, batch.id(), to == null ? Act.HANDED_BACK.with() : Act.HANDED_ON.with(to));
        if (to == null) {
            fileIfReady(batch);
        }
        events.changed(no);
    }

    /** @param why null to release it */
    @Transactional
    public void hold(String no, String why, String who) {
        Batch batch = open(no);
        refuseIfWithAnother(batch, who, batches, times.now());
        String reason = why == null ? null : said(why, Problem.WHY_ON_HOLD);
        rows.hold(batch.id(), reason);
        log.add(who, batch.id(), why == null ? Act.RELEASED.with() : Act.HELD.with(reason));
        if (why == null) {
            fileIfReady(batch);
        }
        events.changed(no);
    }

    /** One that would have gone by itself, had nobody had it, goes now. */
    private void fileIfReady(Batch batch) {
        if (batch.stage() == Stage.FILING) {
            work.file(batch.id());
        }
    }

    @Transactional
    public void prioritise(String no, IntakeRules.Priority priority, String who) {
        Batch batch = open(no);
        rows.prioritise(batch.id(), priority);
        log.add(who, batch.id(), Act.PRIORITISED.with(Words.name(batch.urgency().priority()), Words.name(priority)));
        events.changed(no);
    }

    @Transactional
    public void due(String no, Instant due, String who) {
        Batch batch = open(no);
        rows.due(batch.id(), due);
        log.add(who, batch.id(), Act.SET_DUE.with(batch.urgency().dueAt(), due));
        events.changed(no);
    }

    /** @param pages images, or null for what the batch header sheet says */
    @Transactional
    public void expect(String no, Integer pages, Integer documents, String who) {
        Batch batch = open(no);
        if (pages != null && pages < 0 || documents != null && documents < 0) {
            throw Problem.COUNT_BELOW_NOTHING.with();
        }
        rows.expect(batch.id(), pages, documents);
        log.add(who, batch.id(), Act.EXPECTED.with(pages == null ? "" : pages, documents == null ? "" : documents));
        events.changed(no);
    }

    /** Takes a batch out of the work for good. Its pages stay, and its ledger says what became of them. */
    @Transactional
    public void withdraw(String no, String why, String who) {
        Batch batch = open(no);
        String reason = said(why, Problem.WHY_WITHDRAWN);
        rows.withdraw(batch.id(), who, reason, times.now());
        log.add(who, batch.id(), Act.WITHDREW.with(reason));
        events.changed(no);
    }

    private static String said(String reason, Problem ask) {
        if (reason == null || reason.isBlank()) {
            throw ask.with();
        }
        return reason.strip();
    }

    private Batch open(String no) {
        Batch batch = lock(no);
        if (batch.filed() || batch.withdrawn()) {
            throw Problem.BATCH_IS_DONE.with(no);
        }
        return batch;
    }

    private Batch lock(String no) {
        return rows.locked(no);
    }
}
