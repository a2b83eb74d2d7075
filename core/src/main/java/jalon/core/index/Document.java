package jalon.core.index;

import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.stream.DocumentPages;
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
    private final Map<String, FieldValue> group;
    private final String variant;
    private final List<PageFacts> related;
    private final Map<PageFacts, PageRows> rows = new IdentityHashMap<>();

    /**
     * @param pages in order, at least one
     * @param separator the dropped sheet before them, if there was one
     * @param inherited what is known of its batch
     * @param group the fields of the group that it is in, none where there is none
     * @param variant the layout of its type that it has, or null where none is known
     * @param related pages of the other documents of its group, in order
     */
    public Document(
            List<PageFacts> pages,
            Optional<PageFacts> separator,
            Map<Finder.Inherited.From, String> inherited,
            Map<String, FieldValue> group,
            String variant,
            List<PageFacts> related) {
        this.related = related;
        this.group = group;
        this.variant = variant;
        this.pages = pages;
        this.separator = separator;
        this.inherited = inherited;
    }

    public Document(List<PageFacts> pages, Optional<PageFacts> separator) {
        this(pages, separator, Map.of(), Map.of(), null, List.of());
    }

    /** Pages of the other documents of its group. */
    public List<PageFacts> related() {
        return related;
    }

    public List<PageFacts> pages() {
        return pages;
    }

    public Optional<PageFacts> separator() {
        return separator;
    }

    /** The file is the one that its first page came in, where that has a name. */
    String inherited(Finder.Inherited.From from) {
        String file = pages.get(0).file();
        return from == Finder.Inherited.From.FILE_NAME && file != null && !file.isBlank() ? file : inherited.get(from);
    }

    /** Whether the same is known of both beside their pages and group. */
    public boolean knowsTheSameAs(Document other) {
        return inherited.equals(other.inherited);
    }

    public Map<String, FieldValue> group() {
        return group;
    }

    /** The layout of its type that it has, or null where none is known. */
    public String variant() {
        return variant;
    }

    List<PageFacts> pages(DocumentPages which) {
        return which.of(pages);
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
