package jalon.core.index;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Dates as people write them, in figures or with the month in words. */
final class Dates {
    private static final Pattern ISO = Pattern.compile("(\\d{4})[-/., ](\\d{1,2})[-/., ](\\d{1,2})");
    private static final Pattern FIGURES =
            Pattern.compile("(\\d{1,2}) ?[-/., ] ?(\\d{1,2}) ?[-/., ] ?(\\d{4}|\\d{2})(?!\\d)");
    private static final Pattern DAY_WORD =
            Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)? *(?:of )?(\\p{L}{3,})\\.?,? *(\\d{4}|\\d{2})(?!\\d)");
    private static final Pattern WORD_DAY =
            Pattern.compile("(\\p{L}{3,})\\.? (\\d{1,2})(?:st|nd|rd|th)?,? +(\\d{4}|\\d{2})(?!\\d)");

    /** English, French, German and Spanish by their first letters, which are enough to tell months apart. */
    private static final List<List<String>> MONTHS = List.of(
            List.of("jan", "ene"),
            List.of("feb", "fév", "fev"),
            List.of("mar", "mär", "mrz"),
            List.of("apr", "avr", "abr"),
            List.of("may", "mai"),
            List.of("jun", "juin"),
            List.of("jul", "juil"),
            List.of("aug", "aoû", "aou", "ago"),
            List.of("sep", "set"),
            List.of("oct", "okt"),
            List.of("nov"),
            List.of("dec", "dez", "déc", "dic"));

    private Dates() {}

    static Optional<LocalDate> parse(String text, boolean dayFirst) {
        Matcher m = ISO.matcher(text);
        if (m.find()) {
            return date(m.group(1), number(m.group(2)), m.group(3));
        }
        m = DAY_WORD.matcher(text);
        if (m.find() && month(m.group(2)) > 0) {
            return date(m.group(3), month(m.group(2)), m.group(1));
        }
        m = WORD_DAY.matcher(text);
        if (m.find() && month(m.group(1)) > 0) {
            return date(m.group(3), month(m.group(1)), m.group(2));
        }
        m = FIGURES.matcher(text);
        if (m.find()) {
            return dayFirst
                    ? date(m.group(3), number(m.group(2)), m.group(1))
                    : date(m.group(3), number(m.group(1)), m.group(2));
        }
        return Optional.empty();
    }

    private static int month(String word) {
        String w = word.toLowerCase(Locale.ROOT);
        // juin and juil both begin with jui; the longer beginnings are listed and looked at first by length.
        for (int length = 4; length >= 3; length--) {
            for (int i = 0; i < MONTHS.size(); i++) {
                for (String beginning : MONTHS.get(i)) {
                    if (beginning.length() == length && w.startsWith(beginning)) {
                        return i + 1;
                    }
                }
            }
        }
        return 0;
    }

    private static Optional<LocalDate> date(String year, int month, String day) {
        int y = number(year);
        // Two figures: the hundred years that end twenty years from now hold all dates on letters and births.
        int full = year.length() > 2
                ? y
                : y + (y > LocalDate.now(java.time.ZoneOffset.UTC).getYear() % 100 + 20 ? 1900 : 2000);
        try {
            return Optional.of(LocalDate.of(full, month, number(day)));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }
}
