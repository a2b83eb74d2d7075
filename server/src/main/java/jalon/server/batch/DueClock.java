package jalon.server.batch;

import jakarta.mail.MessagingException;
import jalon.core.stream.IntakeRules;
import jalon.server.JalonSettings;
import jalon.server.mail.Letters;
import jalon.server.people.ActivityLog;
import java.time.Duration;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Raises the priority of batches that are nearly due, and tells by mail of those that are late, once a stage. */
@Component
class DueClock extends TickingClock {
    private static final Logger LOG = LoggerFactory.getLogger(DueClock.class);
    private static final Duration TICK = Duration.ofSeconds(10);

    private final BatchRows rows;
    private final Batches batches;
    private final Letters letters;
    private final ActivityLog log;
    private final Events events;
    private final JalonSettings settings;
    private final TransactionTemplate transaction;

    DueClock(
            BatchRows rows,
            Batches batches,
            Letters letters,
            ActivityLog log,
            Events events,
            JalonSettings settings,
            TransactionTemplate transaction) {
        super("due-clock", TICK, TICK);
        this.rows = rows;
        this.batches = batches;
        this.letters = letters;
        this.log = log;
        this.events = events;
        this.settings = settings;
        this.transaction = transaction;
    }

    @Override
    void tick() {
        if (settings.isWorker()) {
            look(Batches.now());
        }
    }

    void look(Instant now) {
        for (Batch batch : rows.notRaised()) {
            if (batches.stream(batch).intake().raises(now, batch.dueAt())) {
                transaction.executeWithoutResult(t -> raise(batch.id(), now));
            }
        }
        for (Batch batch : rows.notToldLate()) {
            IntakeRules rules = batches.stream(batch).intake();
            if (rules.isLate(now, batch.dueAt(), batch.stage().name(), batch.stageSince())) {
                tell(batch, now);
            }
        }
    }

    private void raise(long id, Instant now) {
        Batch batch = rows.lock(id).orElseThrow();
        IntakeRules.Priority raised = batch.priority().raised();
        rows.raise(id, raised);
        log.add(now, "Jalon", id, "priority", batch.priority() + " to " + raised + ", nearly due");
        events.changed(batch.no());
    }

    private void tell(Batch batch, Instant now) {
        var stream = batches.stream(batch);
        if (stream.intake().tell().isEmpty() || !letters.possible()) {
            return;
        }
        String text = "Batch " + batch.no() + " (" + stream.title() + ") is late.\n\nStage: " + batch.stage()
                + " since "
                + batch.stageSince() + "\nDue: " + batch.dueAt() + "\nWith: "
                + (batch.withPerson() == null ? "nobody" : batches.nameOf(batch.withPerson())) + "\nDoubts left: "
                + batch.doubts() + "\n";
        try {
            letters.send(
                    null, String.join(",", stream.intake().tell()), "Late: " + batch.no() + " " + stream.title(), text);
            rows.toldLate(batch.id());
            log.add(
                    now,
                    "Jalon",
                    batch.id(),
                    "told late",
                    String.join(", ", stream.intake().tell()));
        } catch (MessagingException e) {
            LOG.warn("nobody could be told that {} is late; it is tried again: {}", batch.no(), e.getMessage());
        }
    }
}
