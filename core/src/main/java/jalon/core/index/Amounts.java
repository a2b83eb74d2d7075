package jalon.core.index;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Amounts as people write them: 1,234.50 or 1.234,50 or 1 234,50 or 1'234.50. */
final class Amounts {
    private static final Pattern NUMBER = Pattern.compile("-?\\d[\\d.,'\\u00A0 ]*");

    private Amounts() {}

    static Optional<BigDecimal> parse(String text) {
        Matcher m = NUMBER.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        String number = m.group().strip().replaceAll("[' \u00A0]", "");
        number = number.replaceAll("[.,]+$", "");
        int point = number.lastIndexOf('.');
        int comma = number.lastIndexOf(',');
        int last = Math.max(point, comma);
        if (last >= 0) {
            char mark = number.charAt(last);
            boolean several = number.indexOf(mark) != last;
            boolean both = point >= 0 && comma >= 0;
            // A single mark before exactly three digits parts thousands: nobody writes thousandths of money or kg.
            boolean parts = several || !both && number.length() - last - 1 == 3 && !number.matches("-?0[.,].*");
            String whole = (parts ? number : number.substring(0, last)).replaceAll("[.,]", "");
            number = parts ? whole : whole + "." + number.substring(last + 1);
        }
        return Optional.of(new BigDecimal(number));
    }
}
