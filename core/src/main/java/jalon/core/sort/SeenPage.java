package jalon.core.sort;

import jalon.core.fit.WordFit;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A page made straight, with its words where they can be looked up by what they say and by where they stand. */
final class SeenPage {
    /** Side of a cell in which words are looked up. */
    private static final double CELL_MM = 10;

    private static final int SHORTEST = 2;

    final List<Seen> words = new ArrayList<>();
    final List<WordFit.At> anchors = new ArrayList<>();
    final Map<String, List<WordFit.At>> byWord;
    final PageLayout layout;
    final double widthMm;
    final double heightMm;
    private final Map<Long, List<Seen>> cells = new HashMap<>();

    /** @param plain letters and digits, lower case, without accents */
    record Seen(String plain, Box box, double certainty, Word word) {}

    SeenPage(PageFacts page) {
        widthMm = page.image().widthMm();
        heightMm = page.image().heightMm();
        layout = page.image().layout();
        List<Word> received = page.words();
        List<Word> straight = page.straight().words();
        for (int i = 0; i < straight.size(); i++) {
            String plain = Phrase.plain(straight.get(i).text());
            if (plain.length() >= SHORTEST) {
                Box box = straight.get(i).box();
                var seen = new Seen(plain, box, straight.get(i).certainty(), received.get(i));
                words.add(seen);
                anchors.add(new WordFit.At(plain, box.centreX(), box.centreY()));
                for (int c = cell(box.x()); c <= cell(box.right()); c++) {
                    cells.computeIfAbsent(key(c, cell(box.centreY())), k -> new ArrayList<>(4)).add(seen);
                }
            }
        }
        byWord = WordFit.byWord(anchors);
    }

    private static int cell(double mm) {
        return (int) Math.floor(mm / CELL_MM);
    }

    private static long key(int column, int row) {
        return (long) row << 32 ^ column & 0xFFFFFFFFL;
    }

    /** Words whose line passes within so much of a point, and that reach it or nearly so. */
    List<Seen> around(double x, double y, double reach) {
        List<Seen> found = new ArrayList<>(4);
        for (int r = cell(y - reach); r <= cell(y + reach); r++) {
            for (int c = cell(x - reach); c <= cell(x + reach); c++) {
                for (Seen s : cells.getOrDefault(key(c, r), List.of())) {
                    boolean near = Math.abs(s.box.centreY() - y) <= reach
                            && x >= s.box.x() - reach
                            && x <= s.box.right() + reach;
                    if (near && !found.contains(s)) {
                        found.add(s);
                    }
                }
            }
        }
        return found;
    }
}
