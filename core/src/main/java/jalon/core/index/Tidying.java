package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.TidyStep;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** One tidy step at work. */
@FunctionalInterface
interface Tidying {

    Tidied on(String value);

    /**
     * @param problem why the step could not be done; null when it was
     * @param doubts what speaks against what was made of it
     * @param others what else stands there that could be meant
     */
    record Tidied(String value, Reason problem, List<Reason> doubts, List<String> others) {
        static Tidied to(String value) {
            return new Tidied(value, null, List.of(), List.of());
        }

        /** The same, written otherwise. */
        Tidied as(String written) {
            return new Tidied(written, problem, doubts, others);
        }

        static Tidied failed(String value, Reason problem) {
            return new Tidied(value, problem, List.of(), List.of());
        }
    }

    /**
     * @param today for years of two figures
     * @param future whether such a year may lie ahead
     */
    static Tidying of(TidyStep step, LocalDate today, boolean future) {
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
                var dates = new Dates(step.order() == TidyStep.Date.Order.DAY_FIRST, today, future);
                return value -> spelled(value, dates.find(value), LocalDate::toString, Reason.Code.NOT_A_DATE);
            }

            @Override
            public Tidying time(TidyStep.Time step) {
                return value -> spelled(value, ClockTimes.find(value), LocalTime::toString, Reason.Code.NOT_A_TIME);
            }

            @Override
            public Tidying amount(TidyStep.Amount step) {
                return value ->
                        spelled(value, Amounts.find(value), BigDecimal::toPlainString, Reason.Code.NOT_AN_AMOUNT);
            }
        });
    }

    /** The first of what a text spells; what had to be made good is a doubt, and so is another value beside it. */
    private static <T> Tidied spelled(
            String text, List<Spelled<T>> found, Function<T, String> form, Reason.Code notThere) {
        if (found.isEmpty()) {
            return Tidied.failed(text, notThere.with(text));
        }
        Spelled<T> first = found.get(0);
        String value = form.apply(first.value());
        List<String> others = found.stream()
                .map(s -> form.apply(s.value()))
                .filter(other -> !other.equals(value))
                .distinct()
                .toList();
        List<Reason> doubts = new ArrayList<>();
        if (first.mended()) {
            String read = text.substring(first.from(), first.to());
            doubts.add(Reason.Code.LOOKALIKES_MENDED.with(read, value));
        }
        if (!others.isEmpty()) {
            doubts.add(Reason.Code.RIVALS.with(String.join(", ", others)));
        }
        return new Tidied(value, null, doubts, others);
    }

    private static String only(String value, String characters, boolean those) {
        StringBuilder out = new StringBuilder();
        value.codePoints().filter(c -> characters.indexOf(c) >= 0 == those).forEach(out::appendCodePoint);
        return out.toString();
    }
}
