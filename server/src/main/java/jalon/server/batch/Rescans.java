package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;

/** Pages that are to be scanned again, of all batches: where the sheet lies, and how to know it. */
@Service
public class Rescans {
    private static final int WORDS_SHOWN = 14;

    private final BatchRows rows;
    private final Batches batches;

    Rescans(BatchRows rows, Batches batches) {
        this.rows = rows;
        this.batches = batches;
    }

    /** A page to be scanned again; its groups lie side by side in the JSON. */
    public record Rescan(
            String batch,
            String stream,
            String source,
            @JsonUnwrapped Page shown,
            @JsonUnwrapped Place place,
            String because,
            String by) {}

    /** @param words the first ones on it, from the top */
    public record Page(int page, int rotation, String words) {}

    /** @param sheet and @param side of a page scanned here, or null */
    public record Place(Integer sheet, Side side, String file, int filePage) {}

    /** @param wanted names of streams */
    public List<Rescan> all(Predicate<String> wanted) {
        List<Rescan> all = new ArrayList<>();
        for (Batch batch : rows.withRescans()) {
            if (!wanted.test(batch.stream().name())) {
                continue;
            }
            Map<Integer, Receiving.Sheet> sheets = batches.sheets(batch);
            Map<Integer, PageFacts> facts = batches.facts(batch);
            for (BatchView.PageView page : batches.view(batch, false).askedAgain()) {
                PageFacts seen = facts.get(page.no());
                Receiving.Sheet sheet = sheets.get(page.no());
                all.add(new Rescan(
                        batch.no(),
                        batches.stream(batch).title(),
                        batch.origin().source(),
                        new Page(page.no(), seen.image().rotation(), topWords(seen)),
                        new Place(
                                sheet == null ? null : sheet.no(),
                                sheet == null ? null : sheet.side(),
                                seen.file(),
                                seen.filePage()),
                        page.image().askedBecause(),
                        page.image().askedBy()));
            }
        }
        return all;
    }

    private static String topWords(PageFacts page) {
        return String.join(
                " ",
                page.words().stream()
                        .filter(w -> w.certainty() > 0.5)
                        .sorted(Comparator.comparingInt(Word::line))
                        .limit(WORDS_SHOWN)
                        .map(Word::text)
                        .toList());
    }
}
