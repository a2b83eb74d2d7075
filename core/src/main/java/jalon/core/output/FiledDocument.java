package jalon.core.output;

import jalon.core.read.PageFacts;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A document ready to be written.
 *
 * @param title for the file's properties and readers' windows
 * @param batch number of the batch
 * @param no of the document in the batch, from 1
 * @param fields values by field name, in order, those without a value left out
 * @param pages in order
 * @param at when it is filed
 */
public record FiledDocument(
        String title,
        String stream,
        String type,
        String batch,
        int no,
        Map<String, String> fields,
        List<PageFacts> pages,
        Instant at) {}
