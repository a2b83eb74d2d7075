package jalon.core.index;

import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.stream.Finder;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the finders may look at. Not for use by two at once. */
public final class Document {
    private final List<PageFacts> pages;
    private final Optional<PageFacts> separator;
    private final Map<Finder.Inherited.From, String> inherited;
    private final Map<PageFacts, PageRows> rows = new IdentityHashMap<>();

    /**
     * @param pages in order, at least one
     * @param separator the dropped sheet before them, if there was one
     * @param inherited what is known of its batch
     */
    public Document(
            List<PageFacts> pages, Optional<PageFacts> separator, Map<Finder.Inherited.From, String> inherited) {
        this.pages = pages;
        this.separator = separator;
        this.inherited = inherited;
    }

    public Document(List<PageFacts> pages, Optional<PageFacts> separator) {
        this(pages, separator, Map.of());
    }

    public List<PageFacts> pages() {
        return pages;
    }

    public Optional<PageFacts> separator() {
        return separator;
    }

    public Map<Finder.Inherited.From, String> inherited() {
        return inherited;
    }

    List<PageFacts> pages(Finder.Pages which) {
        return switch (which) {
            case FIRST -> pages.subList(0, 1);
            case LAST -> pages.subList(pages.size() - 1, pages.size());
            case ANY -> pages;
        };
    }

    /** @return null when it is none of the document's */
    PageFacts page(int no) {
        return pages.stream().filter(p -> p.no() == no).findFirst().orElse(null);
    }

    /** The words of one of its pages by where they stand; worked out once. */
    PageRows rows(PageFacts page) {
        return rows.computeIfAbsent(page, PageRows::of);
    }
}
