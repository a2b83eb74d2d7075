package jalon.find;

/**
 * What is asked of the index.
 *
 * @param seen what who asks may see
 * @param sort what comes first
 * @param from how many to pass over, @param most how many to give
 */
public record Search(SearchLine line, Seen seen, Sort sort, int from, int most) {
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
