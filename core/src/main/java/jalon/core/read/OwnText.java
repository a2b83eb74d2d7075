package jalon.core.read;

import jalon.core.image.GrayPlane;
import jalon.core.image.PrintLeft;
import jalon.core.page.Box;
import jalon.core.page.OwnWord;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * The words that came with a page, as far as they are what is to be seen on it. They are taken for it where a look at a few
 * words of each font gives the same letters: files whose fonts do not say, or say wrongly, what their letters mean look
 * right and read as nonsense. And they are all of the page only where no print stands beside them: a scan with a line that
 * the sending machine wrote above it is a scan.
 */
final class OwnText {
    /** A logo, a signature, bullets and dashes are no print to be read. */
    private static final int LETTERS_BESIDE = 14;

    private static final int LOOKS_A_FONT = 3;
    private static final int LETTERS_LOOKED_AT = 4;
    private static final double AROUND_MM = 1.5;

    /** Read from the picture a word of clean print differs in a letter or two. */
    private static final double ALIKE = 0.6;

    /** A word read that well out of a picture stands there, whatever the file says. */
    private static final double WELL_READ = 0.8;

    private final List<OwnWord> words;
    private final Scan scan;
    private final boolean whole;

    private OwnText(List<OwnWord> words, Scan scan, boolean whole) {
        this.words = words;
        this.scan = scan;
        this.whole = whole;
    }

    static OwnText of(Scan scan, GrayPlane received, GrayPlane small, TextReader reader) {
        if (scan.ownWords().isEmpty()) {
            return new OwnText(List.of(), scan, false);
        }
        Map<Integer, List<OwnWord>> fonts = scan.ownWords().stream()
                .filter(OwnWord::meant)
                .collect(Collectors.groupingBy(OwnWord::font, TreeMap::new, Collectors.toList()));
        fonts.values().removeIf(font -> !isAsSeen(font, received, reader));
        List<OwnWord> words = scan.ownWords().stream()
                .filter(w -> w.meant() && fonts.containsKey(w.font()))
                .toList();
        List<Box> boxes = words.stream().map(w -> w.word().box()).toList();
        return new OwnText(words, scan, !words.isEmpty() && PrintLeft.letters(small, boxes) < LETTERS_BESIDE);
    }

    /** Of those words of a font that can be looked at, at least half give the same letters. */
    private static boolean isAsSeen(List<OwnWord> font, GrayPlane received, TextReader reader) {
        List<OwnWord> longest = font.stream()
                .filter(w -> letters(w.word().text()).length() >= LETTERS_LOOKED_AT)
                .sorted(Comparator.comparingInt(
                        w -> -Math.min(12, letters(w.word().text()).length())))
                .limit(LOOKS_A_FONT)
                .toList();
        long same = longest.stream().filter(w -> isAsSeen(w, received, reader)).count();
        return same * 2 >= longest.size();
    }

    private static boolean isAsSeen(OwnWord own, GrayPlane received, TextReader reader) {
        Box box = own.word().box().grown(AROUND_MM).within(received.widthMm(), received.heightMm());
        int left = (int) received.inPixels(box.x());
        int top = (int) received.inPixels(box.y());
        int wide = (int) received.inPixels(box.width());
        int tall = (int) received.inPixels(box.height());
        if (wide < 2 || tall < 2) {
            return false;
        }
        GrayPlane cut = received.cut(left, top, wide, tall).turned(own.direction());
        List<Word> seen = reader.read(cut, TextReader.Layout.LINE);
        String read = letters(Line.textOf(seen));
        String said = letters(own.word().text());
        if (said.codePoints().allMatch(OwnText::isLatin)) {
            return likeness(said, read) >= ALIKE;
        }
        // The engine may not know the letters; but where it reads others without doubt, the file says something else.
        return !(read.length() >= LETTERS_LOOKED_AT
                && read.codePoints().allMatch(OwnText::isLatin)
                && Line.certaintyOf(seen) > WELL_READ);
    }

    private static boolean isLatin(int c) {
        return c < 128 || Character.UnicodeScript.of(c) == Character.UnicodeScript.LATIN;
    }

    private static String letters(String text) {
        StringBuilder letters = new StringBuilder();
        text.toLowerCase(Locale.ROOT)
                .codePoints()
                .filter(Character::isLetterOrDigit)
                .forEach(letters::appendCodePoint);
        return letters.toString();
    }

    /** 1 for the same, 0 for nothing in common. */
    private static double likeness(String a, String b) {
        int changes = LevenshteinDistance.getDefaultInstance().apply(a, b);
        return 1 - (double) changes / Math.max(1, Math.max(a.length(), b.length()));
    }

    /** Whether nothing but these words is to be read on the page. */
    boolean isWhole() {
        return whole;
    }

    /** The turn that makes most of them upright. */
    int turn() {
        return words.stream()
                .collect(Collectors.groupingBy(OwnWord::direction, TreeMap::new, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(0);
    }

    /** The words on the page turned like this. */
    List<Word> upright(int turn) {
        return words.stream()
                .map(OwnWord::word)
                .map(w -> new Word(
                        w.text(), w.box().turned(turn, scan.widthMm(), scan.heightMm()), w.certainty(), w.line()))
                .toList();
    }

    /** Words read from the picture, with these in the place of what was read where they stand. */
    List<Word> over(List<Word> read, int turn) {
        if (words.isEmpty()) {
            return read;
        }
        List<Word> own = upright(turn);
        List<Box> places = own.stream().map(w -> w.box().grown(AROUND_MM / 2)).toList();
        List<List<Word>> lines = new ArrayList<>();
        Line.of(read.stream()
                        .filter(w -> places.stream().noneMatch(p -> p.holdsCentreOf(w.box())))
                        .toList())
                .forEach(l -> lines.add(l.words()));
        for (Line line : Line.of(own)) {
            double middle = line.box().centreY();
            int at = 0;
            while (at < lines.size() && new Line(lines.get(at)).box().centreY() < middle) {
                at++;
            }
            lines.add(at, line.words());
        }
        List<Word> all = new ArrayList<>();
        for (int no = 0; no < lines.size(); no++) {
            for (Word w : lines.get(no)) {
                all.add(new Word(w.text(), w.box(), w.certainty(), no));
            }
        }
        return List.copyOf(all);
    }
}
