package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.server.NewId;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.stream.StreamLibrary;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Opens batches. */
@Component
public class BatchOpening {
    private final BatchRows rows;
    private final StreamLibrary streams;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    BatchOpening(BatchRows rows, StreamLibrary streams, ActivityLog log, Events events, Times times) {
        this.rows = rows;
        this.streams = streams;
        this.log = log;
        this.events = events;
        this.times = times;
    }

    /** Pages by which a stream is made and tried: no version says how they are worked on, and nobody waits for them. */
    @Transactional
    public String openSamples(String stream, String by) {
        Instant now = times.now();
        var made = new NewId();
        rows.add(made, NewBatch.of(stream, "samples", CameBy.SAMPLES, by), 0, IntakeRules.Priority.NORMAL, now, now);
        return Batch.no(made.getId());
    }

    @Transactional
    String open(NewBatch wanted) {
        Instant now = times.now();
        var made = new NewId();
        // What its document was filed by knows that document's type.
        int version = wanted.continues() == null
                ? streams.newest(wanted.stream())
                : rows.find(wanted.continues().batch()).orElseThrow().stream().version();
        IntakeRules rules = streams.definition(wanted.stream(), version).intake();
        Instant due = now.plus(Duration.ofMinutes(rules.dueMinutes()));
        rows.add(made, wanted, version, rules.priority(), now, due);
        log.add(wanted.by(), made.getId(), Act.OPENED.with(wanted.source()));
        String no = Batch.no(made.getId());
        events.changed(no);
        return no;
    }
}
