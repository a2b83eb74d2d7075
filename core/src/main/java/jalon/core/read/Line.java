package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Words of one printed line. */
public record Line(List<Word> words) {

    static List<Line> of(List<Word> words) {
        List<Line> lines = new ArrayList<>();
        List<Word> current = new ArrayList<>();
        for (Word w : words) {
            if (!current.isEmpty() && current.get(0).line() != w.line()) {
                lines.add(new Line(List.copyOf(current)));
                current.clear();
            }
            current.add(w);
        }
        if (!current.isEmpty()) {
            lines.add(new Line(List.copyOf(current)));
        }
        return lines;
    }

    public String text() {
        return textOf(words);
    }

    /** The words as they stand, parted by blanks. */
    public static String textOf(List<Word> words) {
        return String.join(" ", words.stream().map(Word::text).toList());
    }

    /** Rests of rules, specks and borders that the engine took for print, at the ends of a value. */
    private static final Pattern MARKS_BEFORE = Pattern.compile("^(?:[^\\p{L}\\p{N}(+€$£#−-]|-(?!\\d))+");

    private static final Pattern MARKS_BEHIND =
            Pattern.compile("(?:\\s+[^\\p{L}\\p{N}%€$£]+|[^\\p{L}\\p{N})%€$£.-]+|(?<!\\b\\p{L})\\.)+$");

    /** One blank beside a dash or slash is the engine's; two are the writer's. */
    private static final Pattern BLANK_BEFORE_MARK = Pattern.compile("(?<=[\\p{L}\\p{N}]) (?=[-/][\\p{L}\\p{N}])");

    private static final Pattern BLANK_BEHIND_MARK = Pattern.compile("(?<=[\\p{L}\\p{N}][-/]) (?=[\\p{L}\\p{N}])");

    /** A value as it was written, without what print and engine left around it. */
    public static String value(String read) {
        String bare = MARKS_BEHIND
                .matcher(MARKS_BEFORE.matcher(read.strip()).replaceAll(""))
                .replaceAll("");
        return BLANK_BEHIND_MARK
                .matcher(BLANK_BEFORE_MARK.matcher(bare).replaceAll(""))
                .replaceAll("")
                .strip();
    }

    /** The words that characters {@code from} (inclusive) to {@code to} (exclusive) of {@link #text} touch. */
    public List<Word> wordsAt(int from, int to) {
        List<Word> touched = new ArrayList<>();
        int at = 0;
        for (Word w : words) {
            int end = at + w.text().length();
            if (at < to && end > from) {
                touched.add(w);
            }
            at = end + 1;
        }
        return touched;
    }

    public Box box() {
        return boxOf(words);
    }

    /** The box around some words, which must not be none. */
    public static Box boxOf(List<Word> words) {
        return words.stream().map(Word::box).reduce(Box::union).orElseThrow();
    }

    /** The least certain word decides: a value is as good as its worst part. */
    public static double certaintyOf(List<Word> words) {
        return words.stream().mapToDouble(Word::certainty).min().orElse(0);
    }

    /** For several words of several values. */
    public static double meanOf(List<Word> words) {
        return words.stream().mapToDouble(Word::certainty).average().orElse(0);
    }

    /** How many letters and digits are likely to be right, among several readings of one place the measure of the best. */
    public static double lettersOf(List<Word> words) {
        return words.stream()
                .mapToDouble(w -> w.certainty()
                        * w.text()
                                .codePoints()
                                .filter(Character::isLetterOrDigit)
                                .count())
                .sum();
    }

    /** The same of the words that say something: a rule's rest beside a value takes nothing from it. */
    public static double certaintyOfValue(List<Word> words) {
        List<Word> saying = words.stream()
                .filter(w -> w.text().codePoints().anyMatch(Character::isLetterOrDigit))
                .toList();
        return certaintyOf(saying.isEmpty() ? words : saying);
    }
}
