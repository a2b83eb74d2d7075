package jalon.core.split;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageNumbering;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What tells first pages from later ones, taken from one page; measures in shares of the page's height unless said. */
final class PageTraits {
    static final double HEAD = 0.17;
    static final double FOOT = 0.9;
    private static final double UPPER = 0.45;
    private static final int LONG_NUMBER = 4;

    final PageFacts page;
    final Optional<PageNumbering> number;
    final String greeting;
    final String closing;
    final boolean goesOnAtEnd;
    final boolean goesOnAtHead;
    final boolean dateAbove;
    /** The largest print of the upper part, in heights of the page's usual print. */
    final double largest;

    final String largestText;
    /** Where the first and the last line of print stand, head and foot lines counted. */
    final double top;

    final double bottom;
    final boolean endsSentence;
    final boolean beginsSmall;
    final double printMm;
    final double leftMm;
    final int words;
    /** Cells of dark ink in the head. */
    final double darkHead;
    /** The share of the page's width that lines of print take, at the median. */
    final double lineWidth;

    final Set<String> vocabulary = new HashSet<>();
    final Set<String> numbers = new HashSet<>();
    final Map<String, Word> placed = new HashMap<>();
    final List<Coded> coded = new ArrayList<>();
    final List<Word> straight;

    PageTraits(PageFacts page) {
        this.page = page;
        straight = page.straight().words();
        number = PageNumbering.on(page);
        double height = page.image().heightMm();
        List<Line> lines = page.lines().stream()
                .filter(l -> l.words().stream().anyMatch(PageTraits::says))
                .toList();
        String greets = null;
        String closes = null;
        boolean onEnd = false;
        boolean onHead = false;
        boolean dated = false;
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            double y = line.box().centreY() / height;
            if (y < 0.7 && LetterWords.greets(line)) {
                greets = line.text();
            }
            if (y > 0.12 && LetterWords.closes(line)) {
                closes = line.text();
            }
            boolean on = LetterWords.goesOn(line);
            onEnd |= on && y > 0.6;
            onHead |= on && y < 0.3;
            dated |= y < UPPER && LetterWords.hasDate(line);
        }
        greeting = greets;
        closing = closes;
        goesOnAtEnd = onEnd;
        goesOnAtHead = onHead;
        dateAbove = dated;
        double[] heights = page.words().stream()
                .filter(PageTraits::says)
                .mapToDouble(w -> w.box().height())
                .sorted()
                .toArray();
        printMm = heights.length == 0 ? 0 : heights[heights.length / 2];
        double most = 0;
        String mostText = "";
        for (Line line : lines) {
            if (line.box().centreY() / height > UPPER || line.text().length() < 4) {
                continue;
            }
            double[] its = line.words().stream()
                    .mapToDouble(w -> w.box().height())
                    .sorted()
                    .toArray();
            double size = its[its.length / 2];
            if (size > most && line.words().stream().anyMatch(w -> w.certainty() > 0.6)) {
                most = size;
                mostText = line.text();
            }
        }
        largest = printMm == 0 ? 0 : Math.min(4, most / printMm);
        largestText = mostText;
        List<Line> body =
                lines.stream().filter(l -> l.box().centreY() / height < FOOT).toList();
        top = lines.isEmpty()
                ? 1
                : lines.stream().mapToDouble(l -> l.box().y()).min().orElse(0) / height;
        bottom = body.isEmpty()
                ? 0
                : body.stream().mapToDouble(l -> l.box().bottom()).max().orElse(0) / height;
        Line last = body.isEmpty() ? null : body.get(body.size() - 1);
        endsSentence = last == null
                || last.text().stripTrailing().matches(".*[.!?:)]$")
                || last.words().size() < 4;
        Line first = lines.stream()
                .filter(l -> l.box().centreY() / height > 0.04 && l.words().size() > 3)
                .findFirst()
                .orElse(null);
        beginsSmall =
                first != null && Character.isLowerCase(first.text().strip().codePointAt(0));
        double[] lefts = lines.stream().mapToDouble(l -> l.box().x()).sorted().toArray();
        leftMm = lefts.length == 0 ? 0 : lefts[lefts.length / 4];
        double[] widths =
                lines.stream().mapToDouble(l -> l.box().width()).sorted().toArray();
        lineWidth = widths.length == 0
                ? 0
                : widths[widths.length / 2] / page.image().widthMm();
        words = (int) page.words().stream().filter(PageTraits::says).count();
        darkHead = dark(page.image().layout(), height);
        for (Word w : straight) {
            String plain = Phrase.plain(w.text());
            if (plain.length() < 2) {
                continue;
            }
            long digits = plain.chars().filter(Character::isDigit).count();
            if (digits >= LONG_NUMBER) {
                numbers.add(plain);
                coded.add(new Coded(plain, plain.replaceAll("\\d", "9").replaceAll("\\pL", "A"), w.box()));
            } else if (digits == 0 && plain.length() >= 4) {
                vocabulary.add(plain);
            }
            placed.putIfAbsent(key(plain, w.box(), 0, 0), w);
        }
    }

    /** @param form the number with a 9 for every digit and an A for every letter */
    record Coded(String number, String form, Box box) {}

    private static boolean says(Word w) {
        return w.text().codePoints().anyMatch(Character::isLetterOrDigit);
    }

    private static double dark(PageLayout layout, double height) {
        if (layout == null) {
            return 0;
        }
        double dark = 0;
        for (double y = 2; y < HEAD * height; y += PageLayout.CELL_MM) {
            for (int c = 1; c < layout.columns() - 1; c++) {
                dark += layout.inkAt((c + 0.5) * PageLayout.CELL_MM, y) == 3 ? 1 : 0;
            }
        }
        return Math.min(1, dark / 64);
    }

    private static String key(String plain, Box box, int dx, int dy) {
        return plain + '@' + (Math.round(box.centreX() / 6) + dx) + ',' + (Math.round(box.centreY() / 6) + dy);
    }

    /** The words of a band of this page that stand at the same place on another. @return those, and how many there are */
    Shared shared(PageTraits other, double from, double to) {
        double height = page.image().heightMm();
        List<Word> same = new ArrayList<>();
        int all = 0;
        for (Word w : straight) {
            double y = w.box().centreY() / height;
            String plain = Phrase.plain(w.text());
            if (y < from || y >= to || plain.length() < 3) {
                continue;
            }
            all++;
            boolean there = false;
            for (int dx = -1; dx <= 1 && !there; dx++) {
                for (int dy = -1; dy <= 1 && !there; dy++) {
                    there = other.placed.containsKey(key(plain, w.box(), dx, dy));
                }
            }
            if (there) {
                same.add(w);
            }
        }
        return new Shared(same, all);
    }

    record Shared(List<Word> words, int of) {
        double share() {
            return of == 0 ? 0 : (double) words.size() / of;
        }
    }
}
