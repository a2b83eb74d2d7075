package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.TidyStep;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Does a field's tidy steps, in order; stops at the first that cannot be done. */
final class Tidy {
    private Tidy() {}

    static Tidying.Tidied tidy(String raw, Field field, LocalDate today) {
        String value = raw.strip();
        List<Reason> doubts = new ArrayList<>();
        Set<String> others = new LinkedHashSet<>();
        for (Tidying.Tidied tidied : each(value, field, today)) {
            if (tidied.problem() != null) {
                return tidied;
            }
            value = tidied.value();
            doubts.addAll(tidied.doubts());
            others.addAll(tidied.others());
        }
        if (!field.choices().isEmpty()) {
            Tidying.Tidied chosen = Choices.of(field).meant(value);
            doubts.addAll(chosen.doubts());
            return new Tidying.Tidied(chosen.value(), chosen.problem(), doubts, List.copyOf(others));
        }
        return new Tidying.Tidied(value, null, doubts, List.copyOf(others));
    }

    /** What a value is after each step; the last one may have failed. */
    static List<Tidying.Tidied> each(String value, Field field, LocalDate today) {
        boolean future = field.checks().stream().noneMatch(c -> c instanceof Check.Date date && !date.future());
        List<Tidying.Tidied> each = new ArrayList<>();
        for (TidyStep step : steps(field)) {
            Tidying.Tidied before = each.isEmpty() ? Tidying.Tidied.to(value) : each.get(each.size() - 1);
            if (before.problem() != null) {
                break;
            }
            each.add(Tidying.of(step, today, future).on(before.value()));
        }
        return each;
    }

    /** A date, time or amount is brought to its one form even where the stream does not say so. */
    private static List<TidyStep> steps(Field field) {
        List<TidyStep> steps = new ArrayList<>(field.tidy());
        if (field.kind() == Field.Kind.DATE && steps.stream().noneMatch(TidyStep.Date.class::isInstance)) {
            steps.add(new TidyStep.Date(null));
        } else if (field.kind() == Field.Kind.AMOUNT && steps.stream().noneMatch(TidyStep.Amount.class::isInstance)) {
            steps.add(new TidyStep.Amount());
        } else if (field.kind() == Field.Kind.TIME && steps.stream().noneMatch(TidyStep.Time.class::isInstance)) {
            steps.add(new TidyStep.Time());
        }
        return steps;
    }
}
