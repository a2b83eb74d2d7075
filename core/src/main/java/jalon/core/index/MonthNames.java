package jalon.core.index;

import java.text.Normalizer;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Names of months in the languages written with Latin letters, from the Unicode locale data that Java ships. */
final class MonthNames {
    private static final List<String> LANGUAGES = List.of(
            "en", "de", "fr", "es", "it", "nl", "pt", "sv", "pl", "da", "nb", "fi", "cs", "sk", "hu", "ro", "sl", "et",
            "lv", "lt", "tr", "ca", "is", "ga");

    private static final int FIRST_ONES = 9;
    private static final List<TextStyle> STYLES =
            List.of(TextStyle.FULL, TextStyle.FULL_STANDALONE, TextStyle.SHORT, TextStyle.SHORT_STANDALONE);
    private static final Pattern MARKS = Pattern.compile("\\p{M}+");
    private static final int SHORTEST = 3;

    /** A name this long is still told from the others with a letter misread. */
    private static final int LONG = 5;

    private static final Map<String, Integer> NAMES = names();
    private static final LevenshteinDistance ONE_LETTER = new LevenshteinDistance(1);

    private MonthNames() {}

    /** @param mended whether a letter had to be overlooked */
    record Named(int month, boolean mended) {}

    static Optional<Named> month(String written) {
        String name = folded(written.replace('0', 'o'));
        boolean noughts = written.indexOf('0') >= 0;
        Integer exact = NAMES.get(name);
        if (exact != null) {
            return Optional.of(new Named(exact, noughts));
        }
        if (name.length() < SHORTEST) {
            return Optional.empty();
        }
        Set<Integer> begun = new HashSet<>();
        Set<Integer> near = new HashSet<>();
        NAMES.forEach((known, month) -> {
            if (known.startsWith(name)) {
                begun.add(month);
            }
            if (name.length() >= LONG && ONE_LETTER.apply(known, name) >= 0) {
                near.add(month);
            }
        });
        if (begun.size() == 1) {
            return Optional.of(new Named(begun.iterator().next(), noughts));
        }
        return near.size() == 1 ? Optional.of(new Named(near.iterator().next(), true)) : Optional.empty();
    }

    /** What means different months in different languages (Croatian June is Polish July) is left out, the first ones' apart. */
    private static Map<String, Integer> names() {
        Map<String, Integer> names = new HashMap<>();
        Set<String> unclear = new HashSet<>();
        for (int i = 0; i < LANGUAGES.size(); i++) {
            Locale locale = Locale.forLanguageTag(LANGUAGES.get(i));
            for (TextStyle style : STYLES) {
                for (Month month : Month.values()) {
                    String name = folded(month.getDisplayName(style, locale));
                    if (name.length() < SHORTEST) {
                        continue;
                    }
                    Integer before = names.putIfAbsent(name, month.getValue());
                    if (before != null && before != month.getValue() && i < FIRST_ONES) {
                        unclear.add(name);
                    }
                }
            }
        }
        names.keySet().removeAll(unclear);
        // English clerks write Sept., Germans Mrz.
        names.putIfAbsent("sept", 9);
        names.putIfAbsent("mrz", 3);
        return Map.copyOf(names);
    }

    /** Lower case, without accents and points. */
    private static String folded(String name) {
        return MARKS.matcher(Normalizer.normalize(name, Normalizer.Form.NFD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT)
                .replace(".", "");
    }
}
