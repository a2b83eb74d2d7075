package jalon.server.retention;

import jalon.core.run.BatchView;
import jalon.core.stream.Retention;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.filing.FiledValues;
import jalon.server.filing.FilingTakenBack;
import jalon.server.filing.ValuesCorrected;
import jalon.server.live.RecurringWork;
import jalon.server.stream.StreamLibrary;
import jalon.server.stream.StreamSaved;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Counts for how long each filed document is kept: as its stream says now, for what was filed before too. What is filed,
 * corrected or said otherwise is counted within a minute, and before anybody is shown what is due.
 */
@Service
public class KeptDocuments implements RecurringWork {
    private static final Logger LOG = LoggerFactory.getLogger(KeptDocuments.class);
    private static final Duration PAUSE = Duration.ofMinutes(1);
    private static final int AT_ONCE = 200;
    /** More than this is left to the worker: nobody waits for it at the screen. */
    private static final int AT_THE_SCREEN = 400;

    private final KeptRows rows;
    private final Batches batches;
    private final FiledValues values;
    private final StreamLibrary streams;
    private final TransactionTemplate transaction;
    private final Times times;

    KeptDocuments(
            KeptRows rows,
            Batches batches,
            FiledValues values,
            StreamLibrary streams,
            TransactionTemplate transaction,
            Times times) {
        this.rows = rows;
        this.batches = batches;
        this.values = values;
        this.streams = streams;
        this.transaction = transaction;
        this.times = times;
    }

    @Override
    public String name() {
        return "count-retention";
    }

    @Override
    public Duration pause() {
        return PAUSE;
    }

    @Override
    public void run() {
        countUpTo(Integer.MAX_VALUE);
    }

    /** So that what is shown is as the streams say now, unless there is very much of it. */
    void countForScreen() {
        countUpTo(AT_THE_SCREEN);
    }

    private void countUpTo(int most) {
        int left = most;
        List<Long> some;
        do {
            some = rows.uncounted(Math.min(left, AT_ONCE));
            some.forEach(this::countOrSkip);
            left -= some.size();
        } while (!some.isEmpty() && left > 0);
    }

    /** One that cannot be counted keeps no other waiting; its documents are kept until its stream is saved anew. */
    private void countOrSkip(long batchId) {
        try {
            count(batchId);
        } catch (RuntimeException e) {
            LOG.warn("for how long the documents of {} are kept is not known: {}", Batch.no(batchId), e.toString());
            rows.keepAll(batchId);
            rows.counted(batchId);
        }
    }

    /** What a batch brought for a document of another has no time of its own. */
    private void count(long batchId) {
        transaction.executeWithoutResult(t -> {
            Batch batch = batches.get(batchId);
            rows.counted(batchId);
            boolean more = batch.origin().continues() != null;
            for (BatchView.DocumentView document : batches.view(batch, true).documents()) {
                rows.keep(more ? row(batch, document, KeptRows.FOR_GOOD, false) : counted(batch, document));
            }
        });
    }

    private KeptRows.Row counted(Batch batch, BatchView.DocumentView document) {
        Optional<Retention> rule = rule(batch.stream().name(), document.type().type());
        if (rule.isEmpty()) {
            return row(batch, document, KeptRows.FOR_GOOD, false);
        }
        FiledValues.Values its = values.of(batch, document);
        LocalDate filed = times.day(batch.course().filedAt());
        Retention.Kept kept = rule.get().of(its.values(), filed);
        return row(batch, document, kept, its.byPeople().contains(kept.field()));
    }

    private static KeptRows.Row row(
            Batch batch, BatchView.DocumentView document, Retention.Kept kept, boolean settled) {
        return new KeptRows.Row(
                0,
                batch.id(),
                document.no(),
                batch.stream().name(),
                document.type().type(),
                kept,
                settled,
                null);
    }

    /** As the stream says now. */
    private Optional<Retention> rule(String stream, String type) {
        return streams.inForce(stream)
                .flatMap(definition -> definition.type(type))
                .map(StreamDefinition.DocumentType::keep);
    }

    @EventListener
    void saved(StreamSaved saved) {
        rows.countAllAgain(saved.name());
    }

    /** What is filed no longer has no time to be kept. */
    @EventListener
    void takenBack(FilingTakenBack taken) {
        if (rows.heldOrAsked(taken.batch())) {
            throw Problem.HELD_OR_ERASED.with(Batch.no(taken.batch()));
        }
        rows.forget(taken.batch());
    }

    @EventListener
    void corrected(ValuesCorrected corrected) {
        rows.countAgain(corrected.batch());
    }
}
