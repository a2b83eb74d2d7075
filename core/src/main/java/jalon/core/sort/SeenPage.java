package jalon.core.sort;

import jalon.core.fit.WordFit;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A page made straight, with its words where they can be looked up by what they say and by where they stand. */
final class SeenPage {
    /** Side of a cell in which words are looked up. */
    private static final double CELL_MM = 10;

    private static final int SHORTEST = 2;
    private static final int FEWEST_DIGITS = 4;
    private static final double PRINT_MM = 0.4;

    final List<Seen> words = new ArrayList<>();
    final List<WordFit.At> anchors = new ArrayList<>();
    final Map<String, List<WordFit.At>> byWord;
    final PageLayout layout;
    /** Those of the layout that are not print. */
    final List<Box> rules;

    private final Map<Long, List<Seen>> cells = new HashMap<>();

    /** @param plain letters and digits, lower case, without accents */
    record Seen(String plain, Box box, double certainty, Word word) {}

    SeenPage(PageFacts page) {
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
                    cells.computeIfAbsent(key(c, cell(box.centreY())), k -> new ArrayList<>(4))
                            .add(seen);
                }
            }
        }
        byWord = WordFit.byWord(anchors);
        rules = layout == null
                ? List.of()
                : layout.rules().stream().filter(this::isDrawn).toList();
    }

    /** Rows of soft print run together and look like short rules. */
    private boolean isDrawn(Box rule) {
        return length(rule) >= LONG_MM
                || around(rule.centreX(), rule.centreY(), REACH_MM).stream()
                        .noneMatch(s -> s.box.grown(PRINT_MM).overlaps(rule));
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

    /** How a printed word stands on a page where it is looked for. */
    enum Standing {
        /** It is there, letter for letter. */
        THERE,
        /** With a letter or two misread. */
        NEARLY,
        /** A number that differs in one place: this one misread, or the next one. */
        NEARLY_NUMBER,
        /** Something is there that could not be read. */
        UNREAD,
        /** Another word is there. */
        OTHER,
        /** Nothing is there. */
        NOTHING
    }

    private static final double REACH_MM = 3;

    /** A word that the engine was not sure of does not gainsay the one that should stand there. */
    static final double WELL_READ = 0.6;

    /** @param there where it should stand on this page */
    Standing standing(String plain, Box there) {
        double x = there.centreX();
        double y = there.centreY();
        boolean other = false;
        boolean unread = false;
        boolean nearly = false;
        boolean nearlyNumber = false;
        for (Seen s : around(x, y, REACH_MM)) {
            if (s.plain.equals(plain)) {
                return Standing.THERE;
            }
            nearly |= isNearly(plain, s.plain);
            int differing = differing(plain, s.plain);
            nearlyNumber |= differing == 1;
            // What only touches its place may be what was written beside it.
            boolean onIt = s.box.x() < x && s.box.right() > x;
            other |= onIt && (s.certainty >= WELL_READ || differing > 1 || isQuiteOther(plain, s.plain));
            unread |= s.certainty < WELL_READ;
        }
        if (nearly) {
            return Standing.NEARLY;
        }
        if (nearlyNumber) {
            return Standing.NEARLY_NUMBER;
        }
        if (other) {
            return Standing.OTHER;
        }
        boolean inked = layout == null || layout.darkestIn(there) >= 2;
        return unread || inked ? Standing.UNREAD : Standing.NOTHING;
    }

    /** The word whose middle is nearest to that of a box. */
    Optional<Seen> wordAt(Box there) {
        return around(there.centreX(), there.centreY(), REACH_MM).stream()
                .min(Comparator.comparingDouble(
                        s -> Math.hypot(s.box.centreX() - there.centreX(), s.box.centreY() - there.centreY())));
    }

    /** A letter or two misread, or joined with a neighbour, or a part of it; numbers that differ are other numbers. */
    private static boolean isNearly(String wanted, String seen) {
        boolean joined = seen.length() > wanted.length() && wanted.length() >= 4 && seen.contains(wanted)
                || seen.length() >= 4 && seen.length() >= wanted.length() - 2 && wanted.contains(seen);
        boolean misread = wanted.length() >= 5 && Misread.likeness(wanted, seen) >= MISREAD_AT_MOST;
        return joined || !isNumber(wanted) && (misread || Phrase.likeness(wanted, seen) > 0);
    }

    private static final double MISREAD_AT_MOST = 0.72;

    /** Hard to read or not, it cannot be that word. */
    private static boolean isQuiteOther(String wanted, String seen) {
        return seen.length() >= 4 && Misread.likeness(wanted, seen) < NOTHING_ALIKE;
    }

    private static final double NOTHING_ALIKE = 0.35;

    /** In how many places two numbers of one length differ; 0 where they are not such. */
    private static int differing(String wanted, String seen) {
        if (wanted.length() != seen.length()
                || wanted.length() < FEWEST_DIGITS
                || !isNumber(wanted)
                || !isNumber(seen)) {
            return 0;
        }
        int differ = 0;
        for (int i = 0; i < wanted.length(); i++) {
            differ += wanted.charAt(i) == seen.charAt(i) ? 0 : 1;
        }
        return differ;
    }

    /** Half of it digits: a misread letter makes no number of a word. */
    static boolean isNumber(String plain) {
        return 2 * plain.chars().filter(Character::isDigit).count() >= plain.length();
    }

    /** Whether a rule of the form is there, which may be broken. */
    boolean hasRule(Box there) {
        return covered(there, rules) >= MOST_OF_IT;
    }

    private static final double MOST_OF_IT = 0.6;
    private static final double SAME_RULE_MM = 2;

    /** A short rule, such as the side of a tick box, stands close to others. */
    private static final double SAME_SHORT_RULE_MM = 1.2;

    private static final double LONG_MM = 9;

    private static double covered(Box rule, List<Box> others) {
        boolean across = rule.width() > rule.height();
        double from = across ? rule.x() : rule.y();
        double to = across ? rule.right() : rule.bottom();
        double at = across ? rule.centreY() : rule.centreX();
        double covered = 0;
        double near = to - from < LONG_MM ? SAME_SHORT_RULE_MM : SAME_RULE_MM;
        for (Box o : others) {
            boolean alike =
                    o.width() > o.height() == across && Math.abs((across ? o.centreY() : o.centreX()) - at) <= near;
            if (alike) {
                double begin = Math.max(from, across ? o.x() : o.y());
                covered += Math.max(0, Math.min(to, across ? o.right() : o.bottom()) - begin);
            }
        }
        return Math.min(1, covered / Math.max(1, to - from));
    }

    boolean hasBox(Box there) {
        return layout.boxes().stream()
                .anyMatch(o -> Math.abs(o.centreX() - there.centreX()) <= SAME_RULE_MM
                        && Math.abs(o.centreY() - there.centreY()) <= SAME_RULE_MM
                        && Math.abs(o.width() - there.width()) <= SAME_RULE_MM
                        && Math.abs(o.height() - there.height()) <= SAME_RULE_MM);
    }

    /** Whether hardly anything is where a rule should be, so that it was not just overlooked. */
    boolean isClearOfRule(Box there) {
        return layout.clearAlong(there, BESIDE_MM) >= MOSTLY_CLEAR;
    }

    /** Whether hardly anything is where the sides of a box should be. */
    boolean isClearOfBox(Box there) {
        Box top = new Box(there.x(), there.y(), there.width(), 0);
        Box left = new Box(there.x(), there.y(), 0, there.height());
        double clear = layout.clearAlong(top, BESIDE_MM)
                + layout.clearAlong(new Box(top.x(), there.bottom(), top.width(), 0), BESIDE_MM)
                + layout.clearAlong(left, BESIDE_MM)
                + layout.clearAlong(new Box(there.right(), left.y(), 0, left.height()), BESIDE_MM);
        return clear / 4 >= MOSTLY_CLEAR;
    }

    private static final double MOSTLY_CLEAR = 0.5;

    /** A form is not laid on a page more exactly than this. */
    private static final double BESIDE_MM = 1;

    /** The length of a rule, mm. */
    static double length(Box rule) {
        return Math.max(rule.width(), rule.height());
    }
}
