package jalon.core.index;

import jalon.core.stream.TidyStep;
import java.util.List;
import java.util.Locale;

/** Does a field's tidy steps, in order. */
final class Tidy {
    private Tidy() {}

    /** @param problem why a step could not be done, in the operator's words; null when all were */
    record Tidied(String value, String problem) {}

    static Tidied tidy(String raw, List<TidyStep> steps) {
        String value = raw.strip();
        for (TidyStep step : steps) {
            if (step instanceof TidyStep.Trim) {
                value = value.strip().replaceAll("\\s+", " ");
            } else if (step instanceof TidyStep.Case c) {
                value = c.to() == TidyStep.Case.To.UPPER
                        ? value.toUpperCase(Locale.ROOT)
                        : value.toLowerCase(Locale.ROOT);
            } else if (step instanceof TidyStep.Replace r) {
                value = value.replace(r.what(), r.with());
            } else if (step instanceof TidyStep.Keep k) {
                value = filter(value, k.characters(), true);
            } else if (step instanceof TidyStep.Drop d) {
                value = filter(value, d.characters(), false);
            } else if (step instanceof TidyStep.Pad p) {
                value = p.with().repeat(Math.max(0, p.length() - value.length())) + value;
            } else if (step instanceof TidyStep.Date d) {
                var date = Dates.parse(value, d.order() == TidyStep.Date.Order.DAY_FIRST);
                if (date.isEmpty()) {
                    return new Tidied(value, "\"" + value + "\" is not a date");
                }
                value = date.get().toString();
            } else if (step instanceof TidyStep.Amount) {
                var amount = Amounts.parse(value);
                if (amount.isEmpty()) {
                    return new Tidied(value, "\"" + value + "\" is not an amount");
                }
                value = amount.get().toPlainString();
            }
        }
        return new Tidied(value, null);
    }

    private static String filter(String value, String characters, boolean keep) {
        StringBuilder out = new StringBuilder();
        value.codePoints().filter(c -> characters.indexOf(c) >= 0 == keep).forEach(out::appendCodePoint);
        return out.toString();
    }
}
