package jalon.bench.propose;

import jalon.core.read.Phrase;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Whether what was read is what was printed. */
final class Likeness {
    private Likeness() {}

    /** Readings of worn print may be off by a letter in four. */
    static boolean like(String read, String made) {
        if (made == null) {
            return false;
        }
        String a = Phrase.plain(read);
        String b = Phrase.plain(made);
        return LevenshteinDistance.getDefaultInstance().apply(a, b) <= Math.max(a.length(), b.length()) / 4;
    }
}
