package jalon.core.register;

import jalon.core.page.Box;
import java.util.List;
import java.util.Map;

/**
 * A row of a register that a paper may be about.
 *
 * @param row its values by column
 * @param certainty 0..1, that it is this row and neither another nor none
 * @param telling whether what agrees can be nobody else's: not only what a family shares
 * @param columns what the paper says of each of its columns, the most telling first
 */
public record RowMatch(Map<String, String> row, double certainty, boolean telling, List<Compared> columns) {
    /** How a value of the row stands on the paper. */
    public enum Level {
        SAME,
        NEAR,
        /** A telling part of it, such as the last name. */
        PART,
        /** Not there. */
        ABSENT
    }

    /**
     * @param page the page it stands on, 0 for none
     * @param box where on it, or null
     * @param bits how much it speaks for the row, or against it below 0
     */
    public record Compared(String column, Level level, int page, Box box, double bits) {}

    /** The columns that agree so far. */
    public List<String> at(Level level) {
        return columns.stream()
                .filter(c -> c.level() == level)
                .map(Compared::column)
                .toList();
    }
}
