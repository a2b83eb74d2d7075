package jalon.core.index;

import jalon.core.stream.Lookalikes;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Dates as people write them, in figures or with the month in words, over whole tokens: a time, a percentage or a number of
 * items beside a date is no part of it.
 */
final class Dates {
    /** Digits, and letters that are read for them. */
    private static final String N = "[0-9OoQDIl|ZzSsB]";

    private static final String DAY = "(" + N + "{1,2})";
    private static final String YEAR = "['’]?(" + N + "{4}|" + N + "{2})";
    private static final String MARK = " ?([-/.,–]) ?";
    private static final String ORDINAL = "(?:st|nd|rd|th|er|re|ère|de|[.ºª°]|:a|:e)?";
    private static final String OF = "(?:(?:day of|of|de|del|di|du|den) |d['’] ?)?";
    private static final String WORD = "([0\\p{L}]{3,14})";
    private static final String GAP = "[ .,/–-]{0,3}";
    private static final String BEGIN = "(?<![\\p{L}\\p{N}])(?<!\\p{N}[-/.])";
    private static final String END = "(?![\\p{L}\\p{N}]|[-/.]\\p{N})";

    /** The hundred years of two figures end so long from today: that holds all dates on letters. */
    private static final int YEARS_AHEAD = 20;

    private static final int EARLIEST = 1500;
    private static final int LATEST = 2199;
    private static final List<String> ROMAN =
            List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X", "XI", "XII");

    /** Three parts that could be day, month and year, whatever became of their letters. */
    private static final Pattern LIKE_ONE = Pattern.compile(
            "(?<![\\p{L}\\p{N}])[\\p{L}\\p{N}]{1,2}[.,/-] ?[\\p{L}\\p{N}]{1,2}[.,/-] ?[\\p{L}\\p{N}]{2,4}(?![\\p{L}\\p{N}])"
                    + "|\\d{1,2}\\S{0,3} ?\\p{L}{3,12}\\S? ?\\d{2,4}(?!\\d)|\\d{4}-\\d{1,2}-");

    private final boolean dayFirst;
    private final LocalDate today;
    private final boolean future;
    private final List<Spelling> spellings;

    private record Spelling(Pattern pattern, Function<MatchResult, Optional<Part>> meaning) {}

    private record Part(LocalDate date, boolean mended) {}

    private record Figure(int value, boolean mended) {}

    private record Year(int value, boolean inFull, boolean mended) {}

    /**
     * @param dayFirst whether 03/04 is 3 April
     * @param today for years of two figures
     * @param future whether such a year may lie ahead
     */
    Dates(boolean dayFirst, LocalDate today, boolean future) {
        this.dayFirst = dayFirst;
        this.today = today;
        this.future = future;
        this.spellings = List.of(
                spelling(
                        DAY + "[ ./-]{1,2}([IVX]{1,4})[ ./-]{1,2}" + YEAR,
                        m -> romanMonth(m.group(1), m.group(2), m.group(3))),
                spelling(
                        "(" + N + "{4})" + MARK + DAY + "\\.?" + MARK + DAY,
                        m -> same(m.group(2), m.group(4))
                                ? date(year(m.group(1)), figure(m.group(5), 31), figure(m.group(3), 12))
                                : Optional.empty()),
                spelling(
                        DAY + MARK + DAY + MARK + YEAR,
                        m -> same(m.group(2), m.group(4))
                                ? inFigures(m.group(1), m.group(3), m.group(5))
                                : Optional.empty()),
                spelling(
                        "(" + N + "{2}) (" + N + "{2}) (" + N + "{4})",
                        m -> inFigures(m.group(1), m.group(2), m.group(3))),
                spelling(
                        DAY + ORDINAL + GAP + OF + WORD + GAP + OF + YEAR,
                        m -> inWords(m.group(1), m.group(2), m.group(3))),
                spelling(
                        WORD + GAP + "(?:the )?" + DAY + ORDINAL + "[ .,/–-]{1,3}" + YEAR,
                        m -> inWords(m.group(2), m.group(1), m.group(3))),
                spelling(
                        "(" + N + "{4})[ .,/–-]{1,3}" + WORD + "[ .,/–-]{1,3}" + DAY + "\\.?",
                        m -> inWords(m.group(3), m.group(2), m.group(1))),
                spelling(
                        "([0-9]{4})年 ?([0-9]{1,2})月 ?([0-9]{1,2})日",
                        m -> date(year(m.group(1)), figure(m.group(3), 31), figure(m.group(2), 12))));
    }

    /** Whether a text that is no date looks like one that was badly read. */
    static boolean looksLikeOne(String text) {
        return LIKE_ONE.matcher(text).find();
    }

    private static Spelling spelling(String pattern, Function<MatchResult, Optional<Part>> meaning) {
        return new Spelling(
                Pattern.compile(BEGIN + pattern + END, Pattern.UNICODE_CASE | Pattern.CASE_INSENSITIVE), meaning);
    }

    /** All dates in a text, in their order there. */
    List<Spelled<LocalDate>> find(String text) {
        String plain = Digits.latin(text).replaceAll("[\\s\\u00A0\\u2009\\u202F]", " ");
        List<Spelled<LocalDate>> found = new ArrayList<>();
        for (Spelling spelling : spellings) {
            Matcher m = spelling.pattern().matcher(plain);
            int from = 0;
            while (m.find(from)) {
                Optional<Part> part = spelling.meaning().apply(m);
                part.ifPresent(p -> found.add(new Spelled<>(p.date(), p.mended(), m.start(), m.end())));
                // "Date 12" may be a misread day and month and a year, and is none; the 12 is a day all the same.
                from = part.isPresent() ? m.end() : m.start() + 1;
            }
        }
        if (found.isEmpty()) {
            runTogether(plain).ifPresent(found::add);
        }
        return apart(found);
    }

    /** Where spellings lie over each other the longest is meant. */
    private static List<Spelled<LocalDate>> apart(List<Spelled<LocalDate>> found) {
        List<Spelled<LocalDate>> kept = new ArrayList<>();
        found.sort(Comparator.comparingInt((Spelled<LocalDate> s) -> s.from() - s.to())
                .thenComparing(Spelled::mended));
        for (Spelled<LocalDate> s : found) {
            if (kept.stream().noneMatch(k -> k.from() < s.to() && s.from() < k.to())) {
                kept.add(s);
            }
        }
        kept.sort(Comparator.comparingInt(Spelled::from));
        return kept;
    }

    /** Eight digits and nothing else, as a form with a box for each digit gives them. */
    private Optional<Spelled<LocalDate>> runTogether(String text) {
        String digits = text.replace(" ", "");
        if (!digits.matches("[0-9]{8}")) {
            return Optional.empty();
        }
        Optional<Part> yearLast = inFigures(digits.substring(0, 2), digits.substring(2, 4), digits.substring(4));
        Optional<Part> yearFirst = date(
                year(digits.substring(0, 4)), exactly(digits.substring(6), 31), exactly(digits.substring(4, 6), 12));
        boolean unclear = yearLast.isPresent() && yearFirst.isPresent();
        return yearLast.or(() -> yearFirst).map(p -> new Spelled<>(p.date(), p.mended() || unclear, 0, text.length()));
    }

    /** A comma is a point that was read so; other marks are not mixed. */
    private static boolean same(String first, String second) {
        return kind(first) == kind(second);
    }

    private static char kind(String mark) {
        char c = mark.charAt(0);
        return c == ',' ? '.' : c == '–' ? '-' : c;
    }

    /** As the stream orders days and months; else as they stand in the other order; else with letters and noughts made good. */
    private Optional<Part> inFigures(String first, String second, String year) {
        String day = dayFirst ? first : second;
        String month = dayFirst ? second : first;
        return date(year(year), exactly(day, 31), exactly(month, 12))
                .or(() -> date(year(year), mended(exactly(month, 31)), exactly(day, 12)))
                .or(() -> date(year(year), figure(day, 31), figure(month, 12)));
    }

    private Optional<Part> inWords(String day, String name, String year) {
        return MonthNames.month(name)
                .flatMap(named -> date(year(year), figure(day, 31), new Figure(named.month(), named.mended())));
    }

    /** {@code II} may be an eleven that was read so. */
    private Optional<Part> romanMonth(String day, String roman, String year) {
        int month = ROMAN.indexOf(roman) + 1;
        return month == 0 ? Optional.empty() : date(year(year), figure(day, 31), new Figure(month, roman.equals("II")));
    }

    /** As it stands, without mending; null when it is no number from 1 to {@code most}. */
    private static Figure exactly(String digits, int most) {
        if (!digits.matches("[0-9]+")) {
            return null;
        }
        int value = Integer.parseInt(digits);
        return value >= 1 && value <= most ? new Figure(value, false) : null;
    }

    /** The same, with what looks like a digit taken for it. */
    private static Figure figure(String digits, int most) {
        Figure asItIs = exactly(digits, most);
        if (asItIs != null) {
            return asItIs;
        }
        Figure letters = exactly(Lookalikes.digits(digits), most);
        return mended(letters != null ? letters : exactly(roundAsNought(Lookalikes.digits(digits)), most));
    }

    private static Figure mended(Figure figure) {
        return figure == null ? null : new Figure(figure.value(), true);
    }

    private static Year year(String written) {
        String digits = Lookalikes.digits(written);
        boolean mended = !digits.equals(written);
        if (!digits.matches("[0-9]+")) {
            return null;
        }
        int value = Integer.parseInt(digits);
        if (digits.length() == 2 || plausible(value)) {
            return new Year(value, digits.length() == 4, mended);
        }
        // 2615 can only be 2015; the figures of the year itself are left as they are.
        int round = Integer.parseInt(digits.charAt(0) + roundAsNought(digits.substring(1, 2)) + digits.substring(2));
        return plausible(round) ? new Year(round, true, true) : null;
    }

    private static boolean plausible(int year) {
        return year >= EARLIEST && year <= LATEST;
    }

    /** Noughts with a fault in the print are read as 6 and 8. */
    private static String roundAsNought(String digits) {
        return digits.replace('6', '0').replace('8', '0');
    }

    /** @param year, month, day null where there is none */
    private Optional<Part> date(Year year, Figure day, Figure month) {
        if (year == null || month == null || day == null) {
            return Optional.empty();
        }
        boolean mended = year.mended() || month.mended() || day.mended();
        try {
            if (year.inFull()) {
                return Optional.of(new Part(LocalDate.of(year.value(), month.value(), day.value()), mended));
            }
            LocalDate latest = LocalDate.of(2000 + year.value(), month.value(), day.value());
            boolean before = latest.isAfter(future ? today.plusYears(YEARS_AHEAD) : today);
            return Optional.of(new Part(before ? latest.minusYears(100) : latest, mended));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
