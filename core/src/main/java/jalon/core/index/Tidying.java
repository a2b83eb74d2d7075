package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.TidyStep;
import java.util.Locale;

/** One tidy step at work. */
@FunctionalInterface
interface Tidying {

    Tidied on(String value);

    /** @param problem why the step could not be done; null when it was */
    record Tidied(String value, Reason problem) {
        static Tidied to(String value) {
            return new Tidied(value, null);
        }
    }

    static Tidying of(TidyStep step) {
        return step.match(new TidyStep.Cases<>() {
            @Override
            public Tidying trim(TidyStep.Trim step) {
                return value -> Tidied.to(value.strip().replaceAll("\\s+", " "));
            }

            @Override
            public Tidying inCase(TidyStep.Case step) {
                return switch (step.to()) {
                    case UPPER -> value -> Tidied.to(value.toUpperCase(Locale.ROOT));
                    case LOWER -> value -> Tidied.to(value.toLowerCase(Locale.ROOT));
                };
            }

            @Override
            public Tidying replace(TidyStep.Replace step) {
                return value -> Tidied.to(value.replace(step.what(), step.with()));
            }

            @Override
            public Tidying keep(TidyStep.Keep step) {
                return value -> Tidied.to(only(value, step.characters(), true));
            }

            @Override
            public Tidying drop(TidyStep.Drop step) {
                return value -> Tidied.to(only(value, step.characters(), false));
            }

            @Override
            public Tidying pad(TidyStep.Pad step) {
                return value -> Tidied.to(step.with().repeat(Math.max(0, step.length() - value.length())) + value);
            }

            @Override
            public Tidying date(TidyStep.Date step) {
                return value -> Dates.parse(value, step.order() == TidyStep.Date.Order.DAY_FIRST)
                        .map(date -> Tidied.to(date.toString()))
                        .orElseGet(() -> new Tidied(value, Reason.Code.NOT_A_DATE.with(value)));
            }

            @Override
            public Tidying amount(TidyStep.Amount step) {
                return value -> Amounts.parse(value)
                        .map(amount -> Tidied.to(amount.toPlainString()))
                        .orElseGet(() -> new Tidied(value, Reason.Code.NOT_AN_AMOUNT.with(value)));
            }
        });
    }

    private static String only(String value, String characters, boolean those) {
        StringBuilder out = new StringBuilder();
        value.codePoints().filter(c -> characters.indexOf(c) >= 0 == those).forEach(out::appendCodePoint);
        return out.toString();
    }
}
