package jalon.core.index;

import jalon.core.stream.Lookalikes;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Amounts as people write them: 1,234.50 or 1.234,50 or 1 234,50 or 1'234.50, with a sign before or behind or in brackets.
 * Percentages, times, fractions and the digits of a longer number or name are none.
 */
final class Amounts {
    /** Digits, letters that are read for them, and what stands between; ends in a digit. */
    private static final Pattern RUN =
            Pattern.compile("[0-9OoQIl|SB](?:[0-9OoQIl|SB.,'’ \\u00A0\\u2009\\u202F\\u066B\\u066C]*[0-9OoQIl|SB])?");

    private static final Pattern PLAIN = Pattern.compile("\\d+");
    private static final Pattern DECIMAL = Pattern.compile("(\\d+)[.,](\\d+)");
    private static final Pattern IN_THOUSANDS =
            Pattern.compile("(\\d{1,3}(?:([.,' ])\\d{3})(?:\\2\\d{3})*)(?:([.,])(\\d+))?");
    private static final Pattern IN_LAKHS = Pattern.compile("(\\d{1,2}(?:,\\d{2})+,\\d{3})(?:\\.(\\d+))?");

    /** One mark throughout, and then two figures: the last mark was misread. */
    private static final Pattern ONE_MARK = Pattern.compile("(\\d{1,3}(?:([.,])\\d{3})+)\\2(\\d{2})");

    private static final Pattern GAP_AT_MARK = Pattern.compile(" ?([.,']) ?(?=\\d)");

    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());
    private static final Set<String> UNITS = Set.of(
            "KG", "G", "T", "L", "ML", "M", "KM", "CM", "MM", "LB", "LBS", "OZ", "KWH", "H", "FR", "KR", "RS", "ZŁ",
            "KČ", "FT", "LEI", "EURO", "RON", "SFR", "R$");
    private static final String DASHES = "-−–";

    private Amounts() {}

    /** All amounts in a text, in their order there. */
    static List<Spelled<BigDecimal>> find(String text) {
        String plain = Digits.latin(text);
        List<Spelled<BigDecimal>> found = new ArrayList<>();
        Matcher run = RUN.matcher(plain);
        for (int from = 0; run.find(from); from = run.end()) {
            whole(plain, run.start(), run.end())
                    .or(() -> gapped(plain, run.start(), run.end()))
                    .ifPresentOrElse(found::add, () -> parts(plain, run.start(), run.end(), found));
        }
        return found;
    }

    /** {@code 181, 84} is one number with a gap behind the mark, if it is one at all without the gap. */
    private static Optional<Spelled<BigDecimal>> gapped(String text, int from, int to) {
        String run = text.substring(from, to);
        String closed = GAP_AT_MARK.matcher(run).replaceAll("$1");
        if (closed.equals(run)) {
            return Optional.empty();
        }
        String all = text.substring(0, from) + closed + text.substring(to);
        int shorter = run.length() - closed.length();
        return whole(all, from, from + closed.length())
                .map(s -> new Spelled<>(s.value(), true, s.from(), s.to() + shorter));
    }

    /** A run that is not one number is several, with blanks between. */
    private static void parts(String text, int from, int to, List<Spelled<BigDecimal>> found) {
        int begin = from;
        for (int i = from; i <= to; i++) {
            if (i == to || blank(text.charAt(i))) {
                if (i > begin) {
                    int end = i;
                    while (end > begin && !Character.isLetterOrDigit(text.charAt(end - 1))) {
                        end--;
                    }
                    whole(text, begin, end).ifPresent(found::add);
                }
                begin = i + 1;
            }
        }
    }

    private static Optional<Spelled<BigDecimal>> whole(String text, int from, int to) {
        if (to <= from) {
            return Optional.empty();
        }
        String run = text.substring(from, to)
                .replaceAll("[’']", "'")
                .replaceAll("[\\s\\u00A0\\u2009\\u202F]", " ")
                .replace('\u066B', '.')
                .replace('\u066C', ',');
        String digits = Lookalikes.digits(run);
        boolean letters = !digits.equals(run);
        long real = run.chars().filter(c -> c >= '0' && c <= '9').count();
        long all = digits.chars().filter(c -> c >= '0' && c <= '9').count();
        if (real * 2 < all) {
            return Optional.empty();
        }
        Around around = Around.of(text, from, to);
        if (around == null) {
            return Optional.empty();
        }
        return number(digits).map(n -> {
            BigDecimal value = around.minus() ? n.value().negate() : n.value();
            return new Spelled<>(value, letters || n.mended(), around.from(), around.to());
        });
    }

    private record Number(BigDecimal value, boolean mended) {}

    private static Optional<Number> number(String run) {
        Matcher m = IN_THOUSANDS.matcher(run);
        if (PLAIN.matcher(run).matches()) {
            return Optional.of(new Number(new BigDecimal(run), false));
        }
        // A single mark before exactly three digits parts thousands: nobody writes thousandths of money or kg.
        if (m.matches() && !run.startsWith("0") && !m.group(2).equals(m.group(3))) {
            return Optional.of(new Number(decimal(m.group(1), m.group(4)), false));
        }
        m = DECIMAL.matcher(run);
        if (m.matches()) {
            return Optional.of(new Number(decimal(m.group(1), m.group(2)), false));
        }
        m = IN_LAKHS.matcher(run);
        if (m.matches()) {
            return Optional.of(new Number(decimal(m.group(1), m.group(2)), false));
        }
        m = ONE_MARK.matcher(run);
        return m.matches() ? Optional.of(new Number(decimal(m.group(1), m.group(3)), true)) : Optional.empty();
    }

    private static BigDecimal decimal(String whole, String fraction) {
        String digits = whole.replaceAll("[^0-9]", "");
        return new BigDecimal(fraction == null ? digits : digits + "." + fraction);
    }

    private static boolean blank(char c) {
        return c == ' ' || c == '\u00A0' || c == '\u2009' || c == '\u202F';
    }

    /**
     * What stands around a number: sign, brackets, currency.
     *
     * @param from where all of it begins, @param to where it ends
     */
    private record Around(boolean minus, int from, int to) {

        /** @return null when what stands there makes it something else than an amount */
        static Around of(String text, int from, int to) {
            int begin = beforeCurrency(text, from);
            int end = afterUnit(text, to);
            if (begin < 0 || end < 0) {
                return null;
            }
            int spaced = begin > 1 && blank(text.charAt(begin - 1)) ? beforeCurrency(text, begin - 1) : -1;
            if (spaced >= 0 && spaced < begin - 1) {
                begin = spaced;
            }
            boolean minus = false;
            char before = begin > 0 ? text.charAt(begin - 1) : ' ';
            if (DASHES.indexOf(before) >= 0) {
                int sign = begin - 1;
                int ahead = beforeCurrency(text, sign);
                if (sign > 0
                        && ahead == sign
                        && !Character.isWhitespace(text.charAt(sign - 1))
                        && "([:=".indexOf(text.charAt(sign - 1)) < 0) {
                    return null;
                }
                minus = true;
                begin = ahead < 0 ? sign : ahead;
            } else if ("/:#".indexOf(before) >= 0 || before == '.' || before == ',') {
                boolean digits = begin > 1 && Character.isDigit(text.charAt(begin - 2));
                if (digits || before == '#') {
                    return null;
                }
            }
            char after = end < text.length() ? text.charAt(end) : ' ';
            if (DASHES.indexOf(after) >= 0) {
                if (end + 1 < text.length() && Character.isLetterOrDigit(text.charAt(end + 1))) {
                    return null;
                }
                minus = true;
                end++;
            } else if ("/:".indexOf(after) >= 0 && end + 1 < text.length() && Character.isDigit(text.charAt(end + 1))) {
                return null;
            } else if (after == ')' && begin > 0 && text.charAt(begin - 1) == '(') {
                minus = true;
            }
            return percent(text, end) ? null : new Around(minus, begin, end);
        }

        private static boolean percent(String text, int end) {
            int at = end;
            while (at < text.length() && blank(text.charAt(at))) {
                at++;
            }
            return at < text.length() && "%‰°".indexOf(text.charAt(at)) >= 0;
        }

        /** Past a currency that is written against the number; -1 when other letters are. */
        private static int beforeCurrency(String text, int from) {
            int at = from;
            while (at > 0 && Character.getType(text.charAt(at - 1)) == Character.CURRENCY_SYMBOL) {
                at--;
            }
            int letters = at;
            while (letters > 0 && Character.isLetterOrDigit(text.charAt(letters - 1))) {
                letters--;
            }
            return letters == at ? at : known(text.substring(letters, at)) ? letters : -1;
        }

        private static int afterUnit(String text, int to) {
            int at = to;
            while (at < text.length() && Character.getType(text.charAt(at)) == Character.CURRENCY_SYMBOL) {
                at++;
            }
            int letters = at;
            while (letters < text.length() && Character.isLetterOrDigit(text.charAt(letters))) {
                letters++;
            }
            return letters == at ? at : known(text.substring(at, letters)) ? letters : -1;
        }

        private static boolean known(String letters) {
            String upper = letters.toUpperCase(Locale.ROOT);
            return CURRENCIES.contains(upper) || UNITS.contains(upper);
        }
    }
}
