package jalon.server.batch;

import jalon.core.run.Decision;
import jalon.server.Problem;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Puts pages that come later where they belong: each is received like any other, and then moved by a decision. */
@Service
public class PageInsertion {
    private final BatchRows rows;
    private final KeptFiles files;
    private final BatchPages pages;
    private final Batches batches;
    private final Decisions decisions;
    private final TransactionTemplate transaction;

    PageInsertion(
            BatchRows rows,
            KeptFiles files,
            BatchPages pages,
            Batches batches,
            Decisions decisions,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.files = files;
        this.pages = pages;
        this.batches = batches;
        this.decisions = decisions;
        this.transaction = transaction;
    }

    /**
     * Where pages that come later are to stand.
     *
     * @param before the page they come to stand before, or 0 for the end of the batch
     * @param replaces the page they take the place of, which is set aside; or null
     * @param fills the page after which the gap is that they fill, or null
     */
    public record Place(int before, Integer replaces, Integer fills) {}

    /** The place after a page (0: at the front), as the pages stand now. */
    public Place after(String no, int page, boolean fillsGap) {
        List<Integer> order = batches.order(batches.get(no));
        if (page == 0) {
            return new Place(order.isEmpty() ? 0 : order.get(0), null, null);
        }
        int at = order.indexOf(page) + 1;
        if (at == 0) {
            throw Problem.NAMED_PAGE_MISSING.with(no, page);
        }
        return new Place(at < order.size() ? order.get(at) : 0, null, fillsGap ? page : null);
    }

    /** The place of a page that is scanned again. */
    public Place insteadOf(String no, int page) {
        return new Place(after(no, page, false).before(), page, null);
    }

    /** More pages for a batch that was complete: a rescan, a forgotten sheet, what fills a gap. */
    public Receiving.Received insert(
            String no, String name, InputStream in, Place place, Receiving.Sheet sheet, String who) {
        KeptFiles.Kept kept = files.keep(name, in);
        return transaction.execute(t -> {
            Batch batch = rows.locked(no);
            decisions.refuseUnchangeable(batch, who);
            BatchPages.Recorded recorded = pages.record(batch, kept, null, sheet);
            if (!recorded.pages().isEmpty()) {
                List<Decision> acts = new ArrayList<>();
                acts.add(new Decision.MovePages(recorded.pages(), place.before(), true));
                if (place.replaces() != null) {
                    acts.add(new Decision.SetAside(List.of(place.replaces())));
                }
                if (place.fills() != null) {
                    acts.add(new Decision.CloseGap(place.fills(), null));
                }
                decisions.write(batch, acts, who);
            }
            return recorded.received();
        });
    }

    /** Sets aside the sides of a sheet whose other side did not arrive: the sheet is scanned again. */
    public void setHalfAside(String no, int sheet) {
        transaction.executeWithoutResult(t -> {
            Batch batch = rows.locked(no);
            List<Integer> sides = rows.pages(batch.id()).stream()
                    .filter(p -> p.sheet() != null && p.sheet().no() == sheet)
                    .map(BatchRows.PageRow::no)
                    .toList();
            if (sides.isEmpty()) {
                return;
            }
            rows.forgetSheet(batch.id(), sheet);
            decisions.write(batch, List.of(new Decision.SetAside(sides)), "Jalon");
            rows.takenBy(batch.id(), batch.holder().person(), batch.holder().since());
        });
    }
}
