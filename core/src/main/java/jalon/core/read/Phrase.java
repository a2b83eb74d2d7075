package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Looks for a phrase among a page's words, forgiving case, punctuation and a misread letter in every five: print on a
 * poor copy rarely comes through whole.
 */
public final class Phrase {
    private static final double LETTERS_PER_MISTAKE = 5;

    /** What the engine is as sure of is hardly ever another letter. */
    private static final double CLEAR = 0.9;

    /** What a misread letter takes away, as a share of its part of the word: a little less than if it were not there. */
    private static final double LOST_BY_A_LETTER = 0.8;

    /** What a letter with an accent becomes when a page's model does not know it: one letter, two, or nothing. */
    private static final String LOST_ACCENT = ".{0,2}";

    /** What a capital I before small letters is taken for: an l, a 1, and with its feet a T or a J. */
    private static final String CAPITAL_I = "[iltj1]";

    /** With fewer letters left that are sure, an accent is taken for exactly one letter. */
    private static final int ENOUGH_LETTERS = 4;

    private static final double BUT_FOR_BLANKS = 0.97;
    private static final double BUT_FOR_ONE_SIGN = 0.95;

    private final List<String> parts;

    /** For each part what it may come as, its accents lost or its first letter mistaken; null for one that has neither. */
    private final List<Pattern> mistaken;

    private final String letters;
    private final int mistakes;

    private Phrase(List<String> parts, List<Pattern> mistaken) {
        this.mistaken = mistaken;
        this.parts = parts;
        this.letters = String.join("", parts);
        this.mistakes = parts.stream().mapToInt(Phrase::allowed).sum();
    }

    public static Phrase of(String text) {
        List<String> parts = new ArrayList<>();
        List<Pattern> mistaken = new ArrayList<>();
        for (String part : text.split("\\s+")) {
            String plain = plain(part);
            if (!plain.isEmpty()) {
                parts.add(plain);
                mistaken.add(mistaken(part));
            }
        }
        return new Phrase(parts, mistaken);
    }

    private static Pattern mistaken(String part) {
        List<String> letters = part.codePoints()
                .filter(Character::isLetterOrDigit)
                .mapToObj(Character::toString)
                .toList();
        long sure = letters.stream().filter(l -> l.charAt(0) < 0x80).count();
        boolean begins = letters.size() > 1
                && letters.get(0).equals("I")
                && Character.isLowerCase(letters.get(1).charAt(0));
        if (!begins && sure == letters.size() || sure == 0) {
            return null;
        }
        String lost = sure < ENOUGH_LETTERS ? "." : LOST_ACCENT;
        StringBuilder pattern = new StringBuilder(begins ? CAPITAL_I : "");
        letters.stream()
                .skip(begins ? 1 : 0)
                .forEach(l -> pattern.append(l.charAt(0) < 0x80 ? l.toLowerCase(Locale.ROOT) : lost));
        return Pattern.compile(pattern.toString());
    }

    /** @param score 0..1: how alike the letters are, times how sure the engine was of them */
    public record Hit(List<Word> words, int from, double score) {
        public Box box() {
            return Line.boxOf(words);
        }
    }

    /**
     * The best place of the phrase, unless it begins with another letter there that is clear to read: {@code Nostro} is no worn
     * {@code Vostro}.
     */
    public Optional<Hit> findClear(List<Word> words) {
        return find(words).filter(hit -> {
            Word first = hit.words().get(0);
            String seen = plain(first.text());
            return seen.isEmpty()
                    || seen.charAt(0) == letters.charAt(0)
                    || first.certainty() < CLEAR
                    || mistaken.get(0) != null && mistaken.get(0).matcher(seen).matches();
        });
    }

    /** The best place of the phrase among words in reading order. */
    public Optional<Hit> find(List<Word> words) {
        return find(words, null);
    }

    /** @param where the part of the page that the hit's middle must lie in, or null for all of it */
    public Optional<Hit> find(List<Word> words, Box where) {
        List<String> plain = words.stream().map(w -> plain(w.text())).toList();
        Hit best = null;
        for (int from = 0; !parts.isEmpty() && from < words.size(); from++) {
            Alike alike = alike(plain, from);
            if (alike == null) {
                continue;
            }
            List<Word> hit = words.subList(from, alike.end());
            double certainty = hit.stream()
                    .filter(w -> !plain(w.text()).isEmpty())
                    .mapToDouble(Word::certainty)
                    .average()
                    .orElse(0);
            double score = alike.score() * certainty;
            if ((best == null || score > best.score()) && (where == null || where.holdsCentreOf(Line.boxOf(hit)))) {
                best = new Hit(List.copyOf(hit), from, score);
            }
        }
        return Optional.ofNullable(best);
    }

    /** @param end index of the word after it */
    private record Alike(int end, double score) {}

    /** The phrase at a word: part for part, or, where a word was split, joined or parted by a speck, all letters in a row. */
    private Alike alike(List<String> plain, int from) {
        if (plain.get(from).isEmpty()) {
            return null;
        }
        if (from + parts.size() <= plain.size()) {
            double score = 1;
            for (int i = 0; i < parts.size() && score > 0; i++) {
                score *= likeness(i, plain.get(from + i));
            }
            if (score > 0) {
                return new Alike(from + parts.size(), score);
            }
        }
        if (plain.get(from).charAt(0) != letters.charAt(0)) {
            return null;
        }
        StringBuilder row = new StringBuilder();
        for (int end = from; end < plain.size() && row.length() < letters.length(); end++) {
            row.append(plain.get(end));
            if (Math.abs(row.length() - letters.length()) <= mistakes
                    && !plain.get(end).isEmpty()) {
                double score = likeness(letters, row.toString(), mistakes);
                if (score > 0) {
                    return new Alike(end + 1, score * BUT_FOR_BLANKS);
                }
            }
        }
        return null;
    }

    private double likeness(int part, String seen) {
        double likeness = likeness(parts.get(part), seen);
        Pattern other = mistaken.get(part);
        return likeness == 0 && other != null && other.matcher(seen).matches() ? BUT_FOR_ONE_SIGN : likeness;
    }

    /** Letters and digits only, without accents, lower case. */
    public static String plain(String text) {
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
        return likeness(wanted, seen, allowed(wanted));
    }

    private static int allowed(String wanted) {
        return (int) (wanted.length() / LETTERS_PER_MISTAKE);
    }

    private static double likeness(String wanted, String seen, int allowed) {
        if (wanted.equals(seen)) {
            return 1;
        }
        if (allowed == 0 || Math.abs(wanted.length() - seen.length()) > allowed) {
            return 0;
        }
        int distance = new LevenshteinDistance(allowed).apply(wanted, seen);
        return distance < 0 ? 0 : 1 - LOST_BY_A_LETTER * distance / wanted.length();
    }
}
