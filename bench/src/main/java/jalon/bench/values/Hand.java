package jalon.bench.values;

import java.math.BigDecimal;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Random;

/** Chance, and the ways in which people write dates, amounts and numbers. */
final class Hand {
    private final Random r;

    Hand(long seed) {
        this.r = new Random(seed);
    }

    Random random() {
        return r;
    }

    int upTo(int n) {
        return r.nextInt(n);
    }

    double between(double least, double most) {
        return least + r.nextDouble() * (most - least);
    }

    boolean oneIn(int n) {
        return r.nextInt(n) == 0;
    }

    <T> T any(List<T> all) {
        return all.get(r.nextInt(all.size()));
    }

    /** 9 becomes a digit, A a capital that is not taken for a digit. */
    String like(String form) {
        StringBuilder out = new StringBuilder();
        for (char c : form.toCharArray()) {
            out.append(
                    switch (c) {
                        case '9' -> (char) ('0' + r.nextInt(10));
                        case 'A' -> "ABCDEFGHJKLMNPQRSTUVWXYZ".charAt(r.nextInt(24));
                        default -> c;
                    });
        }
        return out.toString();
    }

    LocalDate day(int fromYear, int toYear) {
        return LocalDate.of(fromYear + r.nextInt(toYear - fromYear + 1), 1 + r.nextInt(12), 1 + r.nextInt(28));
    }

    String date(LocalDate d, Tongue tongue) {
        String month = d.getMonth().getDisplayName(TextStyle.FULL, tongue.locale());
        String shorter = d.getMonth().getDisplayName(TextStyle.SHORT, tongue.locale());
        int day = d.getDayOfMonth();
        int year = d.getYear();
        String language = tongue.locale().getLanguage();
        return switch (r.nextInt(7)) {
            case 0 -> String.format("%02d.%02d.%d", day, d.getMonthValue(), year);
            case 1 -> String.format("%02d/%02d/%d", day, d.getMonthValue(), year);
            case 2 -> d.toString();
            case 3 -> String.format("%02d-%s-%d", day, shorter.replace(".", "").toUpperCase(tongue.locale()), year);
            case 4 -> String.format("%02d.%02d.%02d", day, d.getMonthValue(), year % 100);
            default ->
                switch (language) {
                    case "de", "cs" -> day + ". " + month + " " + year;
                    case "es", "pt" -> day + " de " + month + " de " + year;
                    case "fr" -> (day == 1 ? "1er" : String.valueOf(day)) + " " + month + " " + year;
                    case "en" -> r.nextBoolean() ? day + " " + month + " " + year : month + " " + day + ", " + year;
                    default -> day + " " + month + " " + year;
                };
        };
    }

    BigDecimal money() {
        return BigDecimal.valueOf(r.nextInt(3) == 0 ? 100_000 + r.nextInt(9_000_000) : 500 + r.nextInt(99_500), 2);
    }

    String amount(BigDecimal a, Tongue tongue) {
        DecimalFormatSymbols marks = DecimalFormatSymbols.getInstance(tongue.locale());
        DecimalFormat form = (DecimalFormat) NumberFormat.getNumberInstance(tongue.locale());
        form.setMinimumFractionDigits(2);
        form.setMaximumFractionDigits(2);
        if (Character.isSpaceChar(marks.getGroupingSeparator())) {
            // What is typed has a plain blank, or a point.
            marks.setGroupingSeparator(r.nextBoolean() ? ' ' : '.');
            form.setDecimalFormatSymbols(marks);
        }
        return form.format(a);
    }
}
