package jalon.find;

import java.util.Collection;

/**
 * What is asked of the index.
 *
 * @param kinds keys of the kinds of documents that may be seen; null for all
 * @param sort what comes first
 * @param from how many to pass over, @param most how many to give
 */
public record Search(SearchLine line, Collection<String> kinds, Sort sort, int from, int most) {
    /**
     * An order.
     *
     * @param by a field; null for when they were filed
     * @param down the largest or newest first
     */
    public record Sort(String by, boolean down) {
        public static final Sort NEWEST = new Sort(null, true);
    }
}
