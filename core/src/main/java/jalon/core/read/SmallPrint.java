package jalon.core.read;

import jalon.core.page.Word;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Whether a page that was made coarser before reading was read well enough, or has to be read as it came. Two signs: lines
 * of small print, whose letters have too few pixels then, and many words the engine is unsure of.
 */
final class SmallPrint {
    /** Capitals and ascenders of 7 point print stand 1.75 mm high: 14 pixels at 200 dpi. */
    private static final double SMALL_MM = 1.75;

    private static final int FEW = 3;
    private static final double UNSURE = 0.6;
    private static final double MOST_UNSURE = 0.25;

    private SmallPrint() {}

    static boolean readWell(List<Word> words) {
        Map<Integer, Double> tallest = new HashMap<>();
        List<Word> longer = words.stream()
                .filter(w -> w.text().chars().filter(Character::isLetterOrDigit).count() >= 3)
                .toList();
        longer.forEach(w -> tallest.merge(w.line(), w.box().height(), Math::max));
        long small =
                longer.stream().filter(w -> tallest.get(w.line()) < SMALL_MM).count();
        long unsure = longer.stream().filter(w -> w.certainty() < UNSURE).count();
        return small <= FEW && unsure <= Math.max(FEW, MOST_UNSURE * longer.size());
    }
}
