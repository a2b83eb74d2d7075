package jalon.core.read;

import jalon.core.image.GrayPlane;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.List;

/**
 * Print of the other side that shows through a blank page: read in a mirror it is print. What is on the page itself never is.
 */
final class ShowThrough {
    /** A page of dense print has so much. */
    private static final double MOST_INK = 0.1;

    private static final int LETTERS = 4;
    private static final double CERTAIN = 0.75;

    /** So many words, and so much of all that is read in the mirror, must be certain there. */
    private static final int FEWEST = 4;

    private static final double MOST_OF_ALL = 0.4;

    /** Of words that stand on the page; of print in a mirror a sixth looks like words. */
    private static final double FEW_OF_ALL = 0.3;

    private static final int TIMES_MORE = 2;

    private ShowThrough() {}

    /**
     * @param small the same page at about 100 dpi
     * @param ink its share of the page
     * @param words as read from the page itself
     */
    static boolean isAll(GrayPlane page, GrayPlane small, double ink, List<Word> words, TextReader reader) {
        if (ink <= 0 || ink > MOST_INK || share(words) > FEW_OF_ALL) {
            return false;
        }
        double share = share(words);
        var mirror = new WayUp(mirrored(page), mirrored(small), reader);
        // A sheet is turned over its long or its short side; some lines of it tell.
        return isPrint(mirror.strip(0), share) || isPrint(mirror.strip(180), share);
    }

    private static boolean isPrint(List<Word> strip, double share) {
        return certain(strip) >= FEWEST && share(strip) >= Math.max(MOST_OF_ALL, TIMES_MORE * share);
    }

    private static double share(List<Word> words) {
        return (double) certain(words) / Math.max(1, longer(words));
    }

    private static long longer(List<Word> words) {
        return words.stream().filter(w -> letters(w) >= LETTERS).count();
    }

    private static long certain(List<Word> words) {
        return words.stream()
                .filter(w -> letters(w) >= LETTERS && w.certainty() > CERTAIN)
                .count();
    }

    private static long letters(Word w) {
        return w.text().chars().filter(Character::isLetterOrDigit).count();
    }

    private static GrayPlane mirrored(GrayPlane p) {
        int w = p.width();
        byte[] from = p.pixels();
        byte[] to = new byte[from.length];
        for (int y = 0; y < p.height(); y++) {
            for (int x = 0; x < w; x++) {
                to[y * w + x] = from[y * w + w - 1 - x];
            }
        }
        return new GrayPlane(w, p.height(), to, p.dpi());
    }
}
