package jalon.core.stream;

import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Letters and digits that reading engines and people mistake for each other. */
public final class Lookalikes {
    private static final Map<Character, Character> TO_DIGIT = Map.ofEntries(
            Map.entry('O', '0'),
            Map.entry('o', '0'),
            Map.entry('Q', '0'),
            Map.entry('D', '0'),
            Map.entry('I', '1'),
            Map.entry('l', '1'),
            Map.entry('i', '1'),
            Map.entry('|', '1'),
            Map.entry('Z', '2'),
            Map.entry('z', '2'),
            Map.entry('A', '4'),
            Map.entry('S', '5'),
            Map.entry('s', '5'),
            Map.entry('B', '8'),
            Map.entry('ß', '8'),
            Map.entry('g', '9'));
    private static final Map<Character, Character> TO_CAPITAL = Map.ofEntries(
            Map.entry('0', 'O'),
            Map.entry('1', 'I'),
            Map.entry('2', 'Z'),
            Map.entry('4', 'A'),
            Map.entry('5', 'S'),
            Map.entry('6', 'G'),
            Map.entry('8', 'B'),
            Map.entry('|', 'I'),
            Map.entry('$', 'S'),
            Map.entry('§', 'S'),
            Map.entry('@', 'Q'));

    /** Signs among them, as a character class has them. */
    static final String SIGNS = "$§@";

    private Lookalikes() {}

    public static char digit(char c) {
        return TO_DIGIT.getOrDefault(c, c);
    }

    /** The same text with each letter that is read for a digit as that digit. */
    public static String digits(String text) {
        StringBuilder out = new StringBuilder(text.length());
        text.chars().forEach(c -> out.append(digit((char) c)));
        return out.toString();
    }

    /** In a shorter word of capitals beside a number nothing tells an O from a 0. */
    private static final int SHORT_WORD = 4;

    /**
     * A code with the first O or 0 that nothing around it tells from the other as that other one: beside a letter and a digit,
     * or in a short word of capitals beside a number. Nothing where all are clear.
     */
    public static Optional<String> otherZero(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if ((c == 'O' || c == '0') && !clear(text, i)) {
                return Optional.of(text.substring(0, i) + (c == 'O' ? '0' : 'O') + text.substring(i + 1));
            }
        }
        return Optional.empty();
    }

    private static boolean clear(String text, int at) {
        int from = at;
        int to = at + 1;
        while (from > 0 && Character.isLetterOrDigit(text.charAt(from - 1))) {
            from--;
        }
        while (to < text.length() && Character.isLetterOrDigit(text.charAt(to))) {
            to++;
        }
        String word = text.substring(from, to);
        if (word.chars().anyMatch(Character::isLowerCase)) {
            return true;
        }
        boolean zero = text.charAt(at) == '0';
        boolean otherKind = IntStream.of(at - 1, at + 1)
                .filter(i -> i >= 0 && i < text.length())
                .mapToObj(text::charAt)
                .anyMatch(c -> zero ? Character.isLetter(c) : Character.isDigit(c));
        if (otherKind || word.length() == 1 && !zero) {
            return false;
        }
        return zero || word.length() > SHORT_WORD || !besideNumber(text, from, to);
    }

    private static boolean besideNumber(String text, int from, int to) {
        int before = from - 1;
        while (before >= 0 && !Character.isLetterOrDigit(text.charAt(before))) {
            before--;
        }
        int behind = to;
        while (behind < text.length() && !Character.isLetterOrDigit(text.charAt(behind))) {
            behind++;
        }
        return before >= 0 && Character.isDigit(text.charAt(before))
                || behind < text.length() && Character.isDigit(text.charAt(behind));
    }

    public static char capital(char c) {
        return TO_CAPITAL.getOrDefault(c, Character.toUpperCase(c));
    }

    /** What {@code c} may have been read as; safe inside a character class. */
    static String of(char c) {
        var all = new StringBuilder();
        TO_DIGIT.forEach((letter, digit) -> {
            if (digit == c) {
                all.append(letter);
            }
        });
        TO_CAPITAL.forEach((digit, letter) -> {
            if (letter == c) {
                all.append(digit);
            }
        });
        if (Character.isLetter(c)) {
            all.append(Character.toLowerCase(c));
        }
        return all.toString();
    }
}
