package jalon.core.sort;

import java.util.List;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** How alike two readings of small print are, letters that the engine takes for each other counted as the same. */
final class Misread {
    private static final String OFTEN_TAKEN = "o0l1i1s5b8z2g6q9d0";

    private Misread() {}

    /** 0..1 */
    static double likeness(String one, String other) {
        String a = folded(one);
        String b = folded(other);
        int longest = Math.max(a.length(), b.length());
        return longest == 0
                ? 0
                : 1 - (double) LevenshteinDistance.getDefaultInstance().apply(a, b) / longest;
    }

    static double most(String read, List<String> among) {
        return among.stream().mapToDouble(a -> likeness(read, a)).max().orElse(0);
    }

    private static String folded(String text) {
        StringBuilder out = new StringBuilder();
        for (char c : text.toCharArray()) {
            int at = OFTEN_TAKEN.indexOf(c);
            out.append(at >= 0 && at % 2 == 0 ? OFTEN_TAKEN.charAt(at + 1) : c);
        }
        return out.toString();
    }
}
