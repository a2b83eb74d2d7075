package jalon.core.sort;

import jalon.core.read.PageFacts;
import java.util.List;

/**
 * A document whose type is known: a sample that the type is recognised by.
 *
 * @param id its own, within the stream
 * @param type name of the document type
 * @param variant name of the layout that a person gave it, or null where Jalon finds the layouts itself
 * @param pages what was seen on its pages, never none
 */
public record Specimen(String id, String type, String variant, List<PageFacts> pages) {
    public Specimen {
        if (pages == null || pages.isEmpty()) {
            throw new IllegalArgumentException("a sample of " + type + " has no page");
        }
        pages = List.copyOf(pages);
    }
}
