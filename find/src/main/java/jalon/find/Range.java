package jalon.find;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * From one value to another, both included, as days and as numbers where what was typed can be one; a field has the one or
 * the other.
 *
 * @param days null when its ends are no days; @param numbers null when its ends are no numbers
 */
record Range(Ends<LocalDate> days, Ends<BigDecimal> numbers) {
    /** @param low null for no lowest, @param high null for no highest */
    record Ends<T>(T low, T high) {}

    private static final Pattern ENDS = Pattern.compile("(.*?)\\.\\.(.*)");
    private static final Pattern DAY = Pattern.compile("(\\d{4})(?:-(\\d{1,2})(?:-(\\d{1,2}))?)?");
    private static final Pattern POINTED_DAY = Pattern.compile("(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})");
    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,12}([.,]\\d{1,6})?");

    /** {@code 2026-03..05}, {@code ..2025}, {@code 100..}, {@code 1.3.2026..15.3.2026}; empty when it is no range. */
    static Optional<Range> of(String typed) {
        Matcher m = ENDS.matcher(typed);
        if (!m.matches() || m.group(1).isEmpty() && m.group(2).isEmpty()) {
            return Optional.empty();
        }
        String low = m.group(1);
        String high = m.group(2);
        Ends<LocalDate> days = null;
        Ends<BigDecimal> numbers = null;
        if (isDay(low) && isDay(full(low, high))) {
            try {
                days = new Ends<>(day(low, false), day(full(low, high), true));
            } catch (DateTimeException e) {
                return Optional.empty();
            }
        }
        if (isNumber(low) && isNumber(high)) {
            numbers = new Ends<>(number(low), number(high));
        }
        return days == null && numbers == null ? Optional.empty() : Optional.of(new Range(days, numbers));
    }

    /** The end of {@code 2026-03..05} is {@code 2026-05}. */
    private static String full(String low, String high) {
        boolean isShort = high.matches("\\d{1,2}");
        return isShort && low.contains("-") ? low.substring(0, low.lastIndexOf('-') + 1) + high : high;
    }

    private static boolean isDay(String text) {
        return text.isEmpty()
                || DAY.matcher(text).matches()
                || POINTED_DAY.matcher(text).matches();
    }

    private static LocalDate day(String text, boolean last) {
        if (text.isEmpty()) {
            return null;
        }
        Matcher pointed = POINTED_DAY.matcher(text);
        if (pointed.matches()) {
            return LocalDate.of(number(pointed, 3), number(pointed, 2), number(pointed, 1));
        }
        Matcher m = DAY.matcher(text);
        m.matches();
        int year = number(m, 1);
        if (m.group(2) == null) {
            return last ? LocalDate.of(year, 12, 31) : LocalDate.of(year, 1, 1);
        }
        YearMonth month = YearMonth.of(year, number(m, 2));
        if (m.group(3) == null) {
            return last ? month.atEndOfMonth() : month.atDay(1);
        }
        return month.atDay(number(m, 3));
    }

    private static int number(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static boolean isNumber(String text) {
        return text.isEmpty() || NUMBER.matcher(text).matches();
    }

    private static BigDecimal number(String text) {
        return text.isEmpty() ? null : new BigDecimal(text.replace(',', '.'));
    }
}
