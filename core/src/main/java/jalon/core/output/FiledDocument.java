package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.read.PageFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A document ready to be written.
 *
 * @param title for the file's properties and readers' windows
 * @param fields values by field name, in order, those without a value left out
 * @param pages in order
 * @param recipes repairs by page number
 * @param at when it is filed
 */
public record FiledDocument(
        String title,
        Origin origin,
        Map<String, String> fields,
        List<PageFacts> pages,
        Map<Integer, List<Repair>> recipes,
        Instant at) {

    /**
     * @param batch number of the batch
     * @param no of the document in the batch, from 1
     */
    public record Origin(String stream, String type, String batch, int no) {}

    /**
     * With the pages of another behind its own, and the values of that one where it has any. Pages are numbered anew, from 1,
     * since those of another batch may have the same numbers.
     */
    public FiledDocument with(FiledDocument more) {
        List<PageFacts> both = new ArrayList<>();
        Map<Integer, List<Repair>> repairs = new LinkedHashMap<>();
        for (FiledDocument part : List.of(this, more)) {
            for (PageFacts page : part.pages) {
                int no = both.size() + 1;
                both.add(page.numbered(no));
                if (!part.recipe(page.no()).isEmpty()) {
                    repairs.put(no, part.recipe(page.no()));
                }
            }
        }
        Map<String, String> values = new LinkedHashMap<>(fields);
        values.putAll(more.fields);
        return new FiledDocument(title, origin, values, both, repairs, more.at);
    }

    /** The same with one of its pages alone. @param part which, from 1 */
    FiledDocument only(int part) {
        return new FiledDocument(title, origin, fields, List.of(pages.get(part - 1)), recipes, at);
    }

    /** A page's words where they stand on its image as it is filed. */
    PageFacts asFiled(PageFacts page) {
        return Repair.straightens(recipe(page.no())) ? page.straight() : page;
    }

    /** What is done to a page's image before it is filed; empty when it is filed as it was received. */
    List<Repair> recipe(int page) {
        return recipes.getOrDefault(page, List.of());
    }
}
