package jalon.core.register;

import jalon.core.register.Paper.Spot;
import jalon.core.register.RowMatch.Level;
import java.util.Set;

/** How values of one kind are looked for on a paper: the keys that bring rows which may be meant, and the value itself. */
interface ValueLook {
    /** The keys by which a row with this value is found. */
    Set<String> keys(String value);

    /** The keys of rows that the paper may be about. */
    Set<String> probes(Paper paper);

    Seen on(Paper paper, String value);

    /**
     * How a value stands on a paper.
     *
     * @param part the word that stands there, where it is all that does
     */
    record Seen(Level level, Spot spot, String part) {
        static final Seen NOT = new Seen(Level.ABSENT, null, null);

        static Seen same(Spot spot) {
            return new Seen(Level.SAME, spot, null);
        }

        static Seen near(Spot spot) {
            return new Seen(Level.NEAR, spot, null);
        }

        boolean worseThan(Level other) {
            return other.compareTo(level) < 0;
        }
    }
}
