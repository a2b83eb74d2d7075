package jalon.core.register;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.lang3.StringUtils;

/** Letters and digits as they are compared: capitals without accents, and what is heard or misread alike as one. */
public final class Plain {
    private Plain() {}

    /** The runs of letters and digits in a text. */
    public static List<String> tokens(String text) {
        List<String> found = new ArrayList<>();
        StringBuilder one = new StringBuilder();
        for (char c : (of(text) + " ").toCharArray()) {
            if (Character.isLetterOrDigit(c)) {
                one.append(c);
            } else if (c != '\'' && c != '’' && one.length() > 0) {
                found.add(one.toString());
                one.setLength(0);
            }
        }
        return found;
    }

    /** All of its letters and digits in a row. */
    public static String joined(String text) {
        return String.join("", tokens(text));
    }

    static String of(String text) {
        String upper = text.toUpperCase(Locale.ROOT);
        if (upper.chars().allMatch(c -> c < 128)) {
            return upper;
        }
        return StringUtils.stripAccents(upper)
                .replace("Æ", "AE")
                .replace("Ø", "O")
                .replace("Œ", "OE")
                .replace("Đ", "D");
    }

    static String digits(String text) {
        StringBuilder out = new StringBuilder();
        text.chars().filter(Character::isDigit).forEach(c -> out.append(Character.digit(c, 10)));
        return out.toString();
    }

    /** How a name sounds, roughly and in any language: its consonants, those that are written for each other as one. */
    static String sound(String token) {
        String t = token.replace("PH", "F")
                .replace("TH", "T")
                .replace("SCH", "S")
                .replace("QU", "KV")
                .replace("CK", "K");
        StringBuilder out = new StringBuilder();
        for (char c : t.toCharArray()) {
            char as = switch (c) {
                case 'C', 'Q', 'G' -> 'K';
                case 'Z', 'X' -> 'S';
                case 'W', 'U' -> 'V';
                case 'D' -> 'T';
                case 'B' -> 'P';
                default -> c;
            };
            boolean kept = "AEIOUYHJ".indexOf(c) < 0 || out.isEmpty();
            if (kept && (out.isEmpty() || out.charAt(out.length() - 1) != as)) {
                out.append("AEIOUYHJ".indexOf(as) >= 0 ? 'A' : as);
            }
        }
        return out.toString();
    }
}
