package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Holds the values of one document against each other, as the stream says: sums, the order of dates, what must be the same.
 * What agrees is worth more than its parts; where it does not, none of the parts is sure, since any may be the wrong one.
 */
final class AcrossFields {
    private final DocumentType type;
    private final Map<String, FieldValue> values;

    private AcrossFields(DocumentType type, Map<String, FieldValue> values) {
        this.type = type;
        this.values = new LinkedHashMap<>(values);
    }

    /** @param values in the order of the type, which is kept */
    static Map<String, FieldValue> judged(DocumentType type, Map<String, FieldValue> values) {
        var across = new AcrossFields(type, values);
        for (Field field : type.fields()) {
            for (Check check : field.checks()) {
                if (check instanceof Check.Sum sum) {
                    across.sum(field.field(), sum);
                } else if (check instanceof Check.After after) {
                    across.after(field.field(), after);
                } else if (check instanceof Check.SameAs same) {
                    across.same(field.field(), same);
                }
            }
        }
        return across.values;
    }

    private void sum(String field, Check.Sum sum) {
        Optional<BigDecimal> whole = number(field);
        List<Optional<BigDecimal>> parts = sum.of().stream().map(this::number).toList();
        if (whole.isEmpty() || parts.stream().anyMatch(Optional::isEmpty)) {
            return;
        }
        // What is taken off need not be there.
        BigDecimal is = Stream.concat(
                        parts.stream().flatMap(Optional::stream),
                        sum.less().stream()
                                .map(this::number)
                                .flatMap(Optional::stream)
                                .map(BigDecimal::negate))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        List<String> all = new ArrayList<>(sum.others());
        all.add(0, field);
        if (is.compareTo(whole.get()) == 0) {
            raise(all, Certainty.SUM_IS_RIGHT);
        } else {
            String titles =
                    String.join(", ", sum.others().stream().map(this::title).toList());
            doubt(field, all, Reason.Code.SUM_DIFFERS.with(titles, is.toPlainString()));
        }
    }

    private void after(String field, Check.After after) {
        Optional<LocalDate> day = day(field);
        Optional<LocalDate> other = day(after.field());
        if (day.isEmpty() || other.isEmpty()) {
            return;
        }
        long between = ChronoUnit.DAYS.between(other.get(), day.get());
        List<String> both = List.of(field, after.field());
        if (between < after.least()) {
            doubt(field, both, Reason.Code.TOO_SOON_AFTER.with(title(after.field()), other.get()));
        } else if (after.most() != null && between > after.most()) {
            doubt(field, both, Reason.Code.TOO_LONG_AFTER.with(title(after.field()), other.get(), after.most()));
        }
    }

    private void same(String field, Check.SameAs same) {
        FieldValue one = values.get(field);
        FieldValue other = values.get(same.field());
        if (one == null || other == null || one.value() == null || other.value() == null) {
            return;
        }
        List<String> both = List.of(field, same.field());
        if (one.value().equals(other.value())) {
            raise(both, Certainty.SAME_IN_TWO_PLACES);
        } else {
            doubt(field, both, Reason.Code.DIFFERS_FROM.with(title(same.field()), other.value()));
        }
    }

    private void raise(List<String> fields, double odds) {
        for (String name : fields) {
            double sureFrom = type.field(name).orElseThrow().sureFrom();
            values.computeIfPresent(name, (n, value) -> value.raised(odds, sureFrom));
        }
    }

    /** What a person settled keeps its state; only the field that the check belongs to says then what is odd. */
    private void doubt(String checked, List<String> fields, Reason why) {
        for (String name : fields) {
            values.computeIfPresent(
                    name,
                    (n, value) -> value.state() == FieldValue.State.SETTLED && !n.equals(checked)
                            ? value
                            : value.doubted(why));
        }
    }

    private String title(String field) {
        return type.field(field).map(Field::title).orElse(field);
    }

    private Optional<BigDecimal> number(String field) {
        try {
            return text(field).map(BigDecimal::new);
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private Optional<LocalDate> day(String field) {
        try {
            return text(field).map(LocalDate::parse);
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private Optional<String> text(String field) {
        return Optional.ofNullable(values.get(field)).map(FieldValue::value);
    }
}
