package jalon.server.batch;

import jakarta.mail.MessagingException;
import jalon.core.stream.IntakeRules;
import jalon.core.words.Words;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.live.RecurringWork;
import jalon.server.mail.Letters;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.time.Duration;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Raises the priority of batches that are nearly due, and tells by mail of those that are late, once a stage. */
@Component
class LateBatches implements RecurringWork {
    private static final Logger LOG = LoggerFactory.getLogger(LateBatches.class);
    private static final Duration PAUSE = Duration.ofSeconds(10);

    private final BatchRows rows;
    private final Batches batches;
    private final Letters letters;
    private final ActivityLog log;
    private final Events events;
    private final TransactionTemplate transaction;
    private final Times times;

    LateBatches(
            BatchRows rows,
            Batches batches,
            Letters letters,
            ActivityLog log,
            Events events,
            TransactionTemplate transaction,
            Times times) {
        this.times = times;
        this.rows = rows;
        this.batches = batches;
        this.letters = letters;
        this.log = log;
        this.events = events;
        this.transaction = transaction;
    }

    @Override
    public String name() {
        return "late-batches";
    }

    @Override
    public Duration pause() {
        return PAUSE;
    }

    @Override
    public void run() {
        look(times.now());
    }

    void look(Instant now) {
        for (Batch batch : rows.notRaised()) {
            boolean raises = batches.usableStream(batch)
                    .filter(s -> s.intake().raises(now, batch.urgency().dueAt()))
                    .isPresent();
            if (raises) {
                transaction.executeWithoutResult(t -> raise(batch.id()));
            }
        }
        for (Batch batch : rows.notToldLate()) {
            boolean late = batches.usableStream(batch)
                    .filter(s -> s.intake()
                            .isLate(
                                    now,
                                    batch.urgency().dueAt(),
                                    batch.stage(),
                                    batch.course().since()))
                    .isPresent();
            if (late) {
                tell(batch);
            }
        }
    }

    private void raise(long id) {
        Batch batch = rows.lock(id).orElseThrow();
        IntakeRules.Priority raised = batch.urgency().priority().raised();
        rows.raise(id, raised);
        log.add(
                ActivityLog.JALON,
                id,
                Act.RAISED.with(Words.name(batch.urgency().priority()), Words.name(raised)));
        events.changed(batch.no());
    }

    private void tell(Batch batch) {
        var stream = batches.stream(batch);
        if (stream.intake().tell().isEmpty() || !letters.possible() || rows.tellsLate(batch.id()) == 0) {
            return;
        }
        String text = "Batch " + batch.no() + " (" + stream.title() + ") is late.\n\nStage: "
                + Words.name(batch.stage())
                + " since "
                + batch.course().since() + "\nDue: " + batch.urgency().dueAt() + "\nWith: "
                + (batch.holder().person() == null
                        ? "nobody"
                        : batches.nameOf(batch.holder().person())) + "\nDoubts left: "
                + batch.counted().doubts() + "\n";
        try {
            letters.send(
                    null, String.join(",", stream.intake().tell()), "Late: " + batch.no() + " " + stream.title(), text);
            rows.toldLate(batch.id(), true);
            log.add(
                    ActivityLog.JALON,
                    batch.id(),
                    Act.TOLD_LATE.with(String.join(", ", stream.intake().tell())));
        } catch (MessagingException e) {
            rows.toldLate(batch.id(), false);
            LOG.warn("nobody could be told that {} is late; it is tried again: {}", batch.no(), e.getMessage());
        }
    }
}
