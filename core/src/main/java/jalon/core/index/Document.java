package jalon.core.index;

import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the finders may look at.
 *
 * @param pages in order, at least one
 * @param separator the dropped sheet before them, if there was one
 * @param inherited what is known of its batch
 */
public record Document(
        List<PageFacts> pages, Optional<PageFacts> separator, Map<Finder.Inherited.From, String> inherited) {
    public Document(List<PageFacts> pages, Optional<PageFacts> separator) {
        this(pages, separator, Map.of());
    }

    List<PageFacts> pages(Finder.Pages which) {
        return switch (which) {
            case FIRST -> pages.subList(0, 1);
            case LAST -> pages.subList(pages.size() - 1, pages.size());
            case ANY -> pages;
        };
    }
}
