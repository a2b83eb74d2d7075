package jalon.core.page;

/**
 * A word on a page.
 *
 * @param text as read, never empty
 * @param box on the upright page; on a skewed page its width and height run along the text and its centre is where
 *     the word stands
 * @param certainty 0..1 as the reading engine says; 1 for text that came with the file
 * @param line words of one printed line share this number; lines are numbered in reading order from 0
 */
public record Word(String text, Box box, double certainty, int line) {
    /** The text of print that no word was read from. */
    public static final String UNREAD = "\uFFFD";

    public boolean isUnread() {
        return text.equals(UNREAD);
    }
}
