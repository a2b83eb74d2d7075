package jalon.core.stream;

import java.util.Map;

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
