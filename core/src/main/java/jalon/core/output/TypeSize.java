package jalon.core.output;

import jalon.core.page.Word;
import java.util.Collection;
import java.util.List;

/**
 * How large print is set, told from the boxes of words: a box of small letters without strokes up or down is about half as high
 * as the type, one with strokes both ways nearly as high. Shares as most text faces have them.
 */
final class TypeSize {
    private static final double SMALL_LETTERS = 0.52;
    private static final double ONE_WAY = 0.73;
    private static final double BOTH_WAYS = 0.94;

    private static final String DOWN = "gjpqy,;Q()[]|ßçşţģķļņ";
    private static final String NO_STROKE = "acemnorsuvwxz.-–:~«»";

    private TypeSize() {}

    /** The middle one of these words, in millimetres; 0 for none. */
    static double of(Collection<Word> words) {
        List<Double> sizes = words.stream().map(TypeSize::of).sorted().toList();
        return sizes.isEmpty() ? 0 : sizes.get(sizes.size() / 2);
    }

    private static double of(Word word) {
        boolean down = word.text().codePoints().anyMatch(c -> DOWN.indexOf(c) >= 0);
        boolean up = word.text().codePoints().anyMatch(c -> NO_STROKE.indexOf(c) < 0 && "gpqy,;".indexOf(c) < 0);
        double share = up && down ? BOTH_WAYS : up || down ? ONE_WAY : SMALL_LETTERS;
        return word.box().height() / share;
    }
}
