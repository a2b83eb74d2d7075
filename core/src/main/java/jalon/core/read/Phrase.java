package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Looks for a phrase among a page's words, forgiving case, punctuation and a misread letter in every five: print on a
 * poor copy rarely comes through whole.
 */
public final class Phrase {
    private static final double LETTERS_PER_MISTAKE = 5;

    /** What a misread letter takes away, as a share of its part of the word: a little less than if it were not there. */
    private static final double LOST_BY_A_LETTER = 0.8;

    private final List<String> parts;

    private Phrase(List<String> parts) {
        this.parts = parts;
    }

    public static Phrase of(String text) {
        List<String> parts = new ArrayList<>();
        for (String part : text.split("\\s+")) {
            String plain = plain(part);
            if (!plain.isEmpty()) {
                parts.add(plain);
            }
        }
        return new Phrase(parts);
    }

    /** @param score 0..1: how alike the letters are, times how sure the engine was of them */
    public record Hit(List<Word> words, int from, double score) {
        public Box box() {
            return Line.boxOf(words);
        }
    }

    /** The best place of the phrase among words in reading order. */
    public Optional<Hit> find(List<Word> words) {
        return find(words, null);
    }

    /** @param where the part of the page that the hit's middle must lie in, or null for all of it */
    public Optional<Hit> find(List<Word> words, Box where) {
        Hit best = null;
        for (int from = 0; !parts.isEmpty() && from + parts.size() <= words.size(); from++) {
            double score = 1;
            for (int i = 0; i < parts.size() && score > 0; i++) {
                score *= likeness(parts.get(i), plain(words.get(from + i).text()));
            }
            if (score == 0) {
                continue;
            }
            List<Word> hit = words.subList(from, from + parts.size());
            double certainty =
                    hit.stream().mapToDouble(Word::certainty).average().orElse(0);
            if ((best == null || score * certainty > best.score())
                    && (where == null || where.holdsCentreOf(Line.boxOf(hit)))) {
                best = new Hit(List.copyOf(hit), from, score * certainty);
            }
        }
        return Optional.ofNullable(best);
    }

    /** Letters and digits only, without accents, lower case. */
    static String plain(String text) {
        StringBuilder out = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') {
                out.append(c);
            } else if (c >= 'A' && c <= 'Z') {
                out.append((char) (c + 'a' - 'A'));
            } else if (c >= 0x80) {
                return plainOfAnyScript(text);
            }
        }
        return out.toString();
    }

    /** The same, whatever the letters. Much slower, and each word of a batch is asked for at every look at the batch. */
    private static String plainOfAnyScript(String text) {
        String flat = Normalizer.normalize(text, Normalizer.Form.NFD).toLowerCase(Locale.ROOT);
        StringBuilder out = new StringBuilder();
        flat.codePoints().filter(Character::isLetterOrDigit).forEach(out::appendCodePoint);
        return out.toString();
    }

    /** 1 for equal words, less for each misread letter, 0 when there are too many. */
    public static double likeness(String wanted, String seen) {
        if (wanted.equals(seen)) {
            return 1;
        }
        int allowed = (int) (wanted.length() / LETTERS_PER_MISTAKE);
        if (allowed == 0 || Math.abs(wanted.length() - seen.length()) > allowed) {
            return 0;
        }
        int distance = new LevenshteinDistance(allowed).apply(wanted, seen);
        return distance < 0 ? 0 : 1 - LOST_BY_A_LETTER * distance / wanted.length();
    }
}
