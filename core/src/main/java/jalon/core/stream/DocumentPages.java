package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;

/**
 * Which pages of the document are looked at.
 *
 * @param at from 1; negative counts from the last; 0 for all of them
 */
public record DocumentPages(int at) {
    public static final DocumentPages FIRST = new DocumentPages(1);
    public static final DocumentPages LAST = new DocumentPages(-1);
    public static final DocumentPages ANY = new DocumentPages(0);

    @JsonCreator
    static DocumentPages of(Object written) {
        if (written instanceof Number at) {
            return new DocumentPages(at.intValue());
        }
        return "first".equals(written) ? FIRST : "last".equals(written) ? LAST : ANY;
    }

    /** As it stands in a stream's JSON. */
    @JsonValue
    Object written() {
        return equals(FIRST) ? "first" : equals(LAST) ? "last" : equals(ANY) ? "any" : at;
    }

    /** Those of a document's pages, in their order; none where it has not so many. */
    public <P> List<P> of(List<P> pages) {
        if (at == 0) {
            return pages;
        }
        int i = at > 0 ? at - 1 : pages.size() + at;
        return i < 0 || i >= pages.size() ? List.of() : List.of(pages.get(i));
    }
}
