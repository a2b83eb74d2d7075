package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.core.stream.Stage;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.live.Events;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who has which document of a batch open to index: several people can index one batch, each documents of their own. A document
 * is theirs when they open it and free when they leave it, or when they have said nothing for a while.
 */
@Service
public class DocumentClaims {
    /** The desk says it again every minute. */
    private static final Duration FRESH = Duration.ofMinutes(3);

    private static final int NONE = 0;

    private final ClaimRows rows;
    private final BatchRows batchRows;
    private final Batches batches;
    private final Events events;
    private final Times times;

    DocumentClaims(ClaimRows rows, BatchRows batchRows, Batches batches, Events events, Times times) {
        this.rows = rows;
        this.batchRows = batchRows;
        this.batches = batches;
        this.events = events;
        this.times = times;
    }

    /** @param page first of the document, @param with who has it, by name, @param mine whether it is the one who asks */
    public record Claim(int page, String with, boolean mine) {}

    /** Takes the document that a page is in, and gives up the one before. */
    @Transactional
    public void claim(String no, int page, String who) {
        Batch batch = batchRows.locked(no);
        if (batch.filed() || batch.withdrawn() || batch.stage() != Stage.INDEX) {
            return;
        }
        int first = firstOf(batch, page);
        List<ClaimRows.Row> all = rows.fresh(batch.id(), since());
        refuseIfAnothers(batch, all, first, who);
        rows.claim(batch.id(), first, who, times.now());
        boolean moved = rows.free(batch.id(), who, first) > 0
                || all.stream().noneMatch(c -> c.page() == first && c.person().equals(who));
        if (moved && all.stream().anyMatch(c -> !c.person().equals(who))) {
            events.changed(no);
        }
    }

    /** Gives up what this person has open of a batch. */
    @Transactional
    public void free(String no, String who) {
        Batch batch = batchRows.locked(no);
        if (rows.free(batch.id(), who, NONE) > 0 && isShared(batch, who)) {
            events.changed(no);
        }
    }

    public List<Claim> of(Batch batch, String who) {
        return rows.fresh(batch.id(), since()).stream()
                .map(c -> new Claim(
                        c.page(), batches.nameOf(c.person()), c.person().equals(who)))
                .toList();
    }

    /**
     * Whether these decisions are values of documents that this person has open, which others who have the batch or documents
     * of it need not wait for.
     */
    boolean areBeside(Batch batch, List<Decision> decisions, String who) {
        List<ClaimRows.Row> all = rows.fresh(batch.id(), since());
        boolean shared = batch.isWithAnother(who, times.now())
                || all.stream().anyMatch(c -> !c.person().equals(who));
        boolean values = decisions.stream().allMatch(Decision.Settle.class::isInstance);
        if (!shared || !values || batch.stage() != Stage.INDEX) {
            return false;
        }
        return decisions.stream().allMatch(d -> {
            int first = firstOf(batch, ((Decision.Settle) d).page());
            refuseIfAnothers(batch, all, first, who);
            return all.stream().anyMatch(c -> c.page() == first && c.person().equals(who));
        });
    }

    /** Whether somebody else has documents of a batch open, or the batch. */
    boolean isShared(Batch batch, String who) {
        return batch.isWithAnother(who, times.now())
                || rows.fresh(batch.id(), since()).stream()
                        .anyMatch(c -> !c.person().equals(who));
    }

    /** Whether this person has one of its documents open. */
    boolean isIn(Batch batch, String who) {
        return rows.fresh(batch.id(), since()).stream().anyMatch(c -> c.person().equals(who));
    }

    private void refuseIfAnothers(Batch batch, List<ClaimRows.Row> all, int first, String who) {
        all.stream()
                .filter(c -> c.page() == first && !c.person().equals(who))
                .findFirst()
                .ifPresent(c -> {
                    throw Problem.DOCUMENT_WITH_ANOTHER.with(batches.nameOf(c.person()), batch.no());
                });
    }

    private int firstOf(Batch batch, int page) {
        return batches.view(batch, false).documents().stream()
                .map(BatchView.DocumentView::pages)
                .filter(pages -> pages.contains(page))
                .findFirst()
                .orElseThrow(() -> Problem.NOT_A_DOCUMENT.with(page))
                .get(0);
    }

    private Instant since() {
        return times.now().minus(FRESH);
    }
}
