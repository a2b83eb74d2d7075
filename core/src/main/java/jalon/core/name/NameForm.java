package jalon.core.name;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is taken of a value for a name. */
interface NameForm {
    NameForm WHOLE = value -> value;

    Pattern PIECE = Pattern.compile("(first|last|word) ([1-9]\\d{0,2})");
    Pattern PART = Pattern.compile("part ([1-9]\\d?) by (.)");

    String of(String value);

    /**
     * By its text in a template: {@code first 3}, {@code last 4} (characters), {@code word 2}, {@code part 1 by -}, zeros for the least
     * number of digits, or a date's pattern.
     */
    static NameForm parse(String form) {
        Matcher piece = PIECE.matcher(form);
        if (piece.matches()) {
            int n = Integer.parseInt(piece.group(2));
            return switch (piece.group(1)) {
                case "first" -> value -> characters(value, 0, n);
                case "last" ->
                    value -> characters(value, value.codePointCount(0, value.length()) - n, Integer.MAX_VALUE);
                default -> value -> nth(value.strip().split("\\s+"), n);
            };
        }
        Matcher part = PART.matcher(form);
        if (part.matches()) {
            int n = Integer.parseInt(part.group(1));
            String by = Pattern.quote(part.group(2));
            return value -> nth(value.split(by), n);
        }
        if (form.isEmpty()) {
            return WHOLE;
        }
        if (form.chars().allMatch(c -> c == '0')) {
            return value -> padded(value, form.length());
        }
        return value -> date(value, form);
    }

    /** With zeros before it, where it has fewer digits. */
    static String padded(String number, int digits) {
        return "0".repeat(Math.max(0, digits - number.length())) + number;
    }

    private static String characters(String value, int from, int most) {
        int[] all = value.codePoints().toArray();
        int begin = Math.max(0, from);
        return new String(all, begin, Math.min(most, all.length - begin));
    }

    /** What has not so many parts has none of this number. */
    private static String nth(String[] parts, int n) {
        return n <= parts.length ? parts[n - 1].strip() : "";
    }

    /** What is no date stands as it is. */
    private static String date(String value, String pattern) {
        try {
            return LocalDate.parse(value).format(DateTimeFormatter.ofPattern(pattern, Locale.ROOT));
        } catch (DateTimeParseException | IllegalArgumentException e) {
            return value;
        }
    }
}
