package jalon.core.read;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The number that a page gives itself: "2 of 3", "Seite 2/3", "p. 2", "- 2 -".
 *
 * @param page from 1
 * @param of how many pages there are, or 0 where it does not say
 * @param box where it stands
 * @param certainty 0..1: the engine's own of the least certain word
 */
public record PageNumbering(int page, int of, Box box, double certainty) {
    /** Page, in the languages that letters of the house come in; short forms need their dot. */
    private static final String PAGE =
            "(?:page|pagina|página|pàgina|seite|blatt|bladzijde|blad|strona|strana|stránka|sida|side|sivu|oldal|sayfa|leht"
                    + "|lapa|puslapis|stran|(?:pg|p|s|bl|blz|pág|pag|str|sid)\\.)";

    private static final String OF = "(?:of|von|sur|de|di|da|van|z|ze|av|af|din|from|/|∕|\\|)";

    /** Before a total, what is read instead of a lone 1. */
    private static final String ONE = "[liI|]";

    /** "Page 2 of 3", "Seite 2/3", "p. 2"; before or behind it may stand what belongs to a head or foot line. */
    private static final Pattern WITH_WORD =
            Pattern.compile("(?i)(?:^|[^\\pL\\pN])(" + PAGE + "\\s*(?::\\s*|n[o°º]\\.?\\s*)?(?:(\\d{1,3})(?:\\s*" + OF
                    + "\\s*(\\d{1,3}))?|" + ONE + "\\s*" + OF + "\\s*(\\d{1,3})))(?:$|[^\\pL\\pN/.,-]|[.,](?:$|\\s))");

    /** "2. oldal", "2 / 3 oldal". */
    private static final Pattern WORD_BEHIND = Pattern.compile(
            "(?i)(?:^|[^\\pL\\pN])((\\d{1,3})\\.?(?:\\s*/\\s*(\\d{1,3})\\.?)?\\s*(?:oldal|sivu|lk|lpp))\\b");

    /** Alone on its line: "2 of 3", "2/3", "(2 von 3)". */
    private static final Pattern ALONE = Pattern.compile(
            "(?i)^[\\s(\\[{–—-]*((?:(\\d{1,3})|" + ONE + ")\\s*" + OF + "\\s*(\\d{1,3}))[\\s)\\]}.–—-]*$");

    /** Alone on its line between dashes: "- 2 -". */
    private static final Pattern DASHED = Pattern.compile("^\\s*([-–—]\\s*(\\d{1,3})\\s*[-–—])\\s*$");

    /** Words of a head or foot stand so near to an edge, as a share of the page's height. */
    private static final double MARGIN = 0.2;

    /** What has no word for page beside it stands nearer. */
    private static final double EDGE = 0.13;

    /** Between cells of a head or foot line there is as much room at least. */
    private static final double APART_MM = 8;

    private static final int MOST_PAGES = 500;

    /** The numbering of a page; none where two places disagree, since one of them numbers something else. */
    public static Optional<PageNumbering> on(PageFacts page) {
        List<PageNumbering> found = new ArrayList<>();
        double height = page.image().heightMm();
        for (Line line : page.lines()) {
            if (fromEdge(line.box(), height) <= MARGIN) {
                in(line, WITH_WORD).or(() -> in(line, WORD_BEHIND)).ifPresent(found::add);
            }
            if (isAtEdge(line.box(), height)) {
                cells(line)
                        .forEach(cell ->
                                in(cell, ALONE).or(() -> in(cell, DASHED)).ifPresent(found::add));
            }
        }
        boolean agree = found.stream()
                .allMatch(n ->
                        n.page == found.get(0).page && (n.of == 0 || found.get(0).of == 0 || n.of == found.get(0).of));
        // The one that says most: how many there are.
        return agree ? found.stream().reduce((a, b) -> a.of == 0 && b.of > 0 ? b : a) : Optional.empty();
    }

    /** What stands apart in a head or foot line, such as a title and a number. */
    static List<Line> cells(Line line) {
        List<Line> cells = new ArrayList<>();
        List<Word> words = line.words();
        int from = 0;
        for (int i = 1; i <= words.size(); i++) {
            if (i == words.size()
                    || words.get(i).box().x() - words.get(i - 1).box().right() > APART_MM) {
                cells.add(new Line(words.subList(from, i)));
                from = i;
            }
        }
        return cells;
    }

    private static double fromEdge(Box box, double height) {
        double middle = box.centreY() / height;
        return Math.min(middle, 1 - middle);
    }

    /** Whether a number without a word for page may stand there. */
    static boolean isAtEdge(Box box, double height) {
        return fromEdge(box, height) <= EDGE;
    }

    private static Optional<PageNumbering> in(Line line, Pattern form) {
        Matcher m = form.matcher(line.text());
        if (!m.find()) {
            return Optional.empty();
        }
        boolean one = m.group(2) == null;
        String total = one && m.groupCount() > 3 ? m.group(4) : m.groupCount() > 2 ? m.group(3) : null;
        int page = one ? 1 : Integer.parseInt(m.group(2));
        int of = total == null ? 0 : Integer.parseInt(total);
        List<Word> words = line.wordsAt(m.start(1), m.end(1));
        boolean told = of > 0 || standsAlone(line, words);
        boolean counts = page >= 1 && page <= MOST_PAGES && (of == 0 || page <= of && of <= MOST_PAGES);
        return told && counts
                ? Optional.of(new PageNumbering(page, of, Line.boxOf(words), Line.certaintyOf(words)))
                : Optional.empty();
    }

    /** A number without "of" may be in a sentence ("see page 3"), or a house's ("Lange Str. 12"): there words are close. */
    private static boolean standsAlone(Line line, List<Word> words) {
        Box own = Line.boxOf(words);
        return line.words().stream()
                .filter(w -> !words.contains(w))
                .map(Word::box)
                .allMatch(b -> Math.max(own.x() - b.right(), b.x() - own.right()) > APART_MM);
    }

    /** Whether this page goes on where the other one was: the next number, and as many pages where both say. */
    public boolean follows(PageNumbering before) {
        return page == before.page + 1 && (of == 0 || before.of == 0 || of == before.of);
    }

    /** Whether no page comes after this one. */
    public boolean isLast() {
        return of > 0 && page == of;
    }
}
