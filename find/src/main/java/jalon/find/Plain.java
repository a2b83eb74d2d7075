package jalon.find;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Text as it is compared: letters and digits alone, without case and accents, the same for what is filed and what is asked. */
public final class Plain {
    private static final Pattern MARKS = Pattern.compile("\\p{M}+");
    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");

    /** Letters that have no accent to lose, and what people type who do not have them on their keys. */
    private static final String[][] ONE_LETTER = {
        {"ß", "ss"}, {"æ", "ae"}, {"œ", "oe"}, {"ø", "o"}, {"ł", "l"}, {"đ", "d"}, {"ð", "d"}, {"þ", "th"}, {"ı", "i"}
    };

    private Plain() {}

    /** The words of a text, in its order. */
    public static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        for (String word : BETWEEN.split(folded(text))) {
            if (!word.isEmpty()) {
                words.add(word);
            }
        }
        return words;
    }

    /** All of its letters and digits as one. */
    public static String whole(String text) {
        return BETWEEN.matcher(folded(text)).replaceAll("");
    }

    private static String folded(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) >= 0x80) {
                return foldedOfAnyScript(text);
            }
        }
        return text.toLowerCase(Locale.ROOT);
    }

    private static String foldedOfAnyScript(String text) {
        String flat = MARKS.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
        for (String[] letter : ONE_LETTER) {
            flat = flat.replace(letter[0], letter[1]);
        }
        return flat;
    }
}
