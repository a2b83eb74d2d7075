package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.List;

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
}
