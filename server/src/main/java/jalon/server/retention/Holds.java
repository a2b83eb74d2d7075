package jalon.server.retention;

import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.SaidWhy;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reasons not to erase documents whose time is over, such as a case that they are evidence in. */
@Service
public class Holds {
    private static final int LONGEST_NAME = 120;

    private final HoldRows rows;
    private final KeptRows kept;
    private final Batches batches;
    private final ActivityLog log;
    private final Times times;

    Holds(HoldRows rows, KeptRows kept, Batches batches, ActivityLog log, Times times) {
        this.rows = rows;
        this.kept = kept;
        this.batches = batches;
        this.log = log;
        this.times = times;
    }

    /** @param ended null while it holds */
    public record Hold(long id, String name, String why, String by, Instant since, int documents, HoldEnd ended) {}

    public record HoldEnd(String by, String why, Instant at) {}

    /** Those that hold first, the newest of them first. */
    public List<Hold> all() {
        return rows.all().stream().map(this::shown).toList();
    }

    private Hold shown(HoldRows.Row row) {
        return new Hold(
                row.id(),
                row.name(),
                row.why(),
                batches.nameOf(row.who()),
                row.since(),
                row.documents(),
                row.endedAt() == null
                        ? null
                        : new HoldEnd(batches.nameOf(row.endedBy()), row.endedWhy(), row.endedAt()));
    }

    /** What keeps a document from being erased now. */
    public List<Hold> of(Batch.Continued document) {
        return rows.holding(document.batch(), document.document()).stream()
                .map(this::shown)
                .toList();
    }

    @Transactional
    public Hold begin(String name, String why, String who) {
        String called = name == null ? "" : name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw Problem.HOLD_NEEDS_NAME.with(LONGEST_NAME);
        }
        var made = new NewId();
        rows.add(made, called, SaidWhy.of(why), who, times.now());
        log.add(who, Act.BEGAN_HOLD.with(called, SaidWhy.of(why)));
        return shown(rows.lock(made.getId()).orElseThrow());
    }

    /** Nothing of them is erased until it ends; what is held twice is held until both end. */
    @Transactional
    public Hold add(long id, List<Batch.Continued> held, String who) {
        HoldRows.Row hold = holding(id);
        for (Batch.Continued document : held) {
            KeptRows.Row row = kept.lock(document.batch(), document.document())
                    .orElseThrow(() -> Problem.NOT_FILED_YET.with(Batch.no(document.batch())));
            if (row.course().askedAt() != null) {
                throw Problem.DOCUMENT_ERASED.with(document.document(), Batch.no(document.batch()));
            }
            rows.hold(id, document.batch(), document.document());
            log.add(who, document.batch(), Act.HELD_DOCUMENT.with(document.document(), hold.name()));
        }
        return shown(rows.lock(id).orElseThrow());
    }

    @Transactional
    public Hold end(long id, String why, String who) {
        HoldRows.Row hold = holding(id);
        rows.end(id, who, SaidWhy.of(why), times.now());
        log.add(who, Act.ENDED_HOLD.with(hold.name(), SaidWhy.of(why)));
        return shown(rows.lock(id).orElseThrow());
    }

    private HoldRows.Row holding(long id) {
        return rows.lock(id).filter(h -> h.endedAt() == null).orElseThrow(() -> Problem.NO_SUCH_HOLD.with());
    }
}
