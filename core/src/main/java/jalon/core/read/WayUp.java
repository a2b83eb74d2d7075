package jalon.core.read;

import jalon.core.image.GrayPlane;
import jalon.core.image.PrintLeft;
import jalon.core.image.Skew;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.List;

/**
 * Finds out which way is up by reading: a strip of well-inked lines is read at the other turns, and upright print is read
 * with much more certainty than print on its head (0.7 to 0.9 against 0.2 to 0.4 on worn pages). The engine's own detector
 * is sure of itself and wrong on worn print and silent on forms, so it is asked only where reading does not tell.
 */
final class WayUp {
    private static final double STRIP_MM = 45;
    private static final double QUICK_DPI = 200;

    /** Words of so many letters tell; shorter ones are read into anything. */
    private static final int LETTERS = 3;

    /** With fewer words a strip tells in proportion. */
    private static final double ENOUGH_WORDS = 4;

    /** Whatever way it lies, there is nothing to be read: a sheet of bars. */
    private static final int FEWEST_WORDS = 3;

    /** With fewer things of the size of letters it is a sheet of bars, or empty. */
    private static final int FEWEST_LETTERS = 8;

    /** The engine finds so many words in lines that lie as they should, or on their heads. */
    private static final int MANY_WORDS = 10;

    /** Print on its head gives less than this. */
    private static final double UPRIGHT_FROM = 0.5;

    /** So much better must another turn be than the page as it came. */
    private static final double CLEARLY = 0.12;

    private final GrayPlane received;
    private final GrayPlane small;
    private final TextReader reader;

    WayUp(GrayPlane received, GrayPlane small, TextReader reader) {
        this.received = received;
        this.small = small;
        this.reader = reader;
    }

    /**
     * @param asReceived what was read with the page as it came
     * @param sideways whether the engine's lines ran down the page then
     * @return the clockwise turn that makes it upright, or 0 when nothing speaks for another
     */
    int likelyTurn(List<Word> asReceived, boolean sideways) {
        if (telling(asReceived).isEmpty() && PrintLeft.letters(small, List.of()) < FEWEST_LETTERS) {
            return 0;
        }
        double now = sideways ? 0 : certainty(asReceived);
        int best = 0;
        double most = Math.max(UPRIGHT_FROM, now + CLEARLY);
        int words = telling(asReceived).size();
        int[] turns = sideways ? new int[] {90, 270} : words >= MANY_WORDS ? new int[] {180} : new int[] {180, 90, 270};
        for (int turn : turns) {
            List<Word> strip = strip(turn);
            words = Math.max(words, telling(strip).size());
            double certainty = certainty(strip);
            if (certainty > most) {
                most = certainty;
                best = turn;
            }
            if (best == 180) {
                break;
            }
        }
        boolean told = best != 0 || now > UPRIGHT_FROM || words < FEWEST_WORDS;
        return told ? best : reader.uprightTurn(received);
    }

    private static List<Word> telling(List<Word> words) {
        return words.stream()
                .filter(w -> w.text().chars().filter(Character::isLetterOrDigit).count() >= LETTERS)
                .toList();
    }

    private static double certainty(List<Word> words) {
        List<Word> telling = telling(words);
        double mean = telling.stream().mapToDouble(Word::certainty).average().orElse(0);
        return mean * Math.min(1, telling.size() / ENOUGH_WORDS);
    }

    /** Some lines of the page at this turn. */
    List<Word> strip(int turn) {
        GrayPlane turned = small.turned(turn);
        int top = richest(turned, (int) turned.inPixels(STRIP_MM));
        GrayPlane whole = received.turned(turn);
        double scale = (double) whole.height() / turned.height();
        int from = (int) (top * scale);
        int height = Math.min(whole.height() - from, (int) whole.inPixels(STRIP_MM));
        GrayPlane strip = whole.cut(0, from, whole.width(), height);
        double skew = Skew.of(turned).degrees();
        double size = Math.min(1, Math.max(0.5, QUICK_DPI / whole.dpi()));
        return reader.read(strip.rotated(-skew, size), TextReader.Layout.PAGE);
    }

    /** The first row of the band with the most changes between ink and paper: print, rather than bars or pictures. */
    private static int richest(GrayPlane plane, int rows) {
        long[] changes = new long[plane.height() + 1];
        int middle = plane.width() / 2;
        for (int y = 0; y < plane.height(); y++) {
            int here = 0;
            for (int x = 1; x < plane.width(); x++) {
                here += Math.abs(plane.at(x, y) - plane.at(x - 1, y)) > 60 ? 1 : 0;
            }
            changes[y + 1] = changes[y] + Math.min(here, middle);
        }
        int best = 0;
        for (int y = 0; y + rows <= plane.height(); y++) {
            if (changes[y + rows] - changes[y] > changes[Math.min(plane.height(), best + rows)] - changes[best]) {
                best = y;
            }
        }
        return best;
    }
}
