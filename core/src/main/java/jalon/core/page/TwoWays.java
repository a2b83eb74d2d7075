package jalon.core.page;

import java.text.Bidi;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Text that runs from right to left, or both ways: from the order in which it stands to the order in which it is read
 * (Unicode Standard Annex 9).
 */
public final class TwoWays {
    private TwoWays() {}

    /** @param seen letters from left to right as they stand, without blanks */
    static String inReadingOrder(List<String> seen) {
        String all = String.join("", seen);
        if (!goesBothWays(all)) {
            return all;
        }
        List<String> read = new ArrayList<>(seen);
        Collections.reverse(read);
        turnRuns(read, letter -> !isLeftwards(letter));
        return String.join("", read);
    }

    /**
     * A line's words in reading order.
     *
     * @param seen from left to right as they stand
     */
    public static <T> List<T> inReadingOrder(List<T> seen, Function<T, String> text) {
        long leftwards = seen.stream().filter(w -> isLeftwards(text.apply(w))).count();
        long rightwards = seen.stream().filter(w -> isRightwards(text.apply(w))).count();
        if (leftwards <= rightwards) {
            return seen;
        }
        List<T> read = new ArrayList<>(seen);
        Collections.reverse(read);
        turnRuns(read, word -> !isLeftwards(text.apply(word)));
        return List.copyOf(read);
    }

    /** What runs to the right inside what runs to the left: figures, a name in other letters. */
    private static <T> void turnRuns(List<T> all, Predicate<T> rightwards) {
        for (int from = 0; from < all.size(); from++) {
            int to = from;
            while (to < all.size() && rightwards.test(all.get(to))) {
                to++;
            }
            if (to > from) {
                Collections.reverse(all.subList(from, to));
                from = to;
            }
        }
    }

    private static boolean goesBothWays(String text) {
        char[] letters = text.toCharArray();
        return Bidi.requiresBidi(letters, 0, letters.length);
    }

    private static boolean isLeftwards(String text) {
        return text.codePoints().anyMatch(c -> switch (Character.getDirectionality(c)) {
            case Character.DIRECTIONALITY_RIGHT_TO_LEFT, Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC -> true;
            default -> false;
        });
    }

    private static boolean isRightwards(String text) {
        return text.codePoints()
                .anyMatch(c -> Character.getDirectionality(c) == Character.DIRECTIONALITY_LEFT_TO_RIGHT);
    }
}
