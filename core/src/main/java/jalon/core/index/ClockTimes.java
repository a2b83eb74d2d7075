package jalon.core.index;

import jalon.core.stream.Lookalikes;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of day as people write them: 15:45, 15.45, 15h45, 3:45 pm, 3 p.m., 15 Uhr, kl. 15.45. */
final class ClockTimes {
    private static final String FIGURE = "[0-9OoIl|]";
    private static final Pattern TIME = Pattern.compile("(?<![\\p{L}\\d.,:/-])(" + FIGURE + "{1,2})"
            + "(?:\\s?(?:[:.]|[hH]|Uhr)\\s?(" + FIGURE + "{2})(?:[:.](" + FIGURE + "{2}))?)?"
            + "\\s?([aApP]\\.?\\s?[mM]\\b\\.?|[uU]hr\\b|[hH]\\b)?(?![\\p{L}\\d/-]|[.,:]\\d)");
    private static final int LAST_HOUR = 24;
    private static final int NOON = 12;

    private ClockTimes() {}

    /** All times in a text, in their order there. */
    static List<Spelled<LocalTime>> find(String text) {
        String plain = Digits.latin(text);
        List<Spelled<LocalTime>> found = new ArrayList<>();
        Matcher time = TIME.matcher(plain);
        while (time.find()) {
            of(time).ifPresent(found::add);
        }
        return found;
    }

    private static Optional<Spelled<LocalTime>> of(Matcher time) {
        String minutes = time.group(2);
        String half = time.group(4);
        if (minutes == null && half == null) {
            return Optional.empty();
        }
        String read = time.group(1) + (minutes == null ? "" : minutes);
        int hour = Integer.parseInt(Lookalikes.digits(time.group(1)));
        int minute = minutes == null ? 0 : Integer.parseInt(Lookalikes.digits(minutes));
        boolean halves = half != null && half.toLowerCase(Locale.ROOT).matches("[ap].*");
        if (hour > (halves ? NOON : LAST_HOUR)
                || minute > 59
                || hour == LAST_HOUR && minute > 0
                || halves && hour == 0) {
            return Optional.empty();
        }
        if (halves) {
            hour = hour % NOON + (half.toLowerCase(Locale.ROOT).startsWith("p") ? NOON : 0);
        }
        boolean mended = !Lookalikes.digits(read).equals(read);
        return Optional.of(new Spelled<>(LocalTime.of(hour % LAST_HOUR, minute), mended, time.start(), time.end()));
    }
}
