package jalon.core.propose;

import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.stream.Field;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** What values are, from how they are written. */
final class ValueKind {
    private static final double MOST = 0.75;
    private static final int FEW = 3;

    private static final Pattern AMOUNT = Pattern.compile(
            ".*(\\d[.,]\\d{2}(?!\\d)|[€$£¥]|\\b(EUR|USD|GBP|CHF|SEK|NOK|DKK|PLN|CZK|HUF|RON)\\b).*|.*\\d[.,]-.*");
    private static final Pattern NAME =
            Pattern.compile("\\p{Lu}[\\p{L}'’.-]*( \\p{Lu}[\\p{L}'’.-]*| (?:de|da|van|von|der|den|di|la|le)){1,3}");
    private static final Pattern DIGITS = Pattern.compile("[\\d ]+");
    private static final Pattern DAY_BEHIND = Pattern.compile("(\\d{1,2})[./-](\\d{1,2})[./-].*");
    private static final int MOST_DAYS = 12;

    private ValueKind() {}

    /**
     * @param parts of a field's JSON beside its name and finders: kind, checks, tidy steps
     * @param telling whether values of any other kind would not pass for it
     */
    record Told(Field.Kind kind, Map<String, Object> parts, boolean telling) {}

    /** @param values as read, at least one */
    static Told of(List<String> values, LocalDate today) {
        if (most(values, v -> passes(v, Field.Kind.DATE, today))) {
            return new Told(Field.Kind.DATE, date(values), true);
        }
        if (most(values, v -> v.length() <= 8 && passes(v, Field.Kind.TIME, today))) {
            return new Told(Field.Kind.TIME, Map.of(), true);
        }
        if (most(values, v -> AMOUNT.matcher(v).matches() && passes(v, Field.Kind.AMOUNT, today))) {
            return new Told(Field.Kind.AMOUNT, Map.of(), true);
        }
        Optional<String> shape =
                shape(values.stream().map(v -> v.replaceAll("[.,;:]+$", "")).toList());
        if (shape.isPresent()) {
            return new Told(
                    Field.Kind.TEXT,
                    values.size() < FEW
                            ? Map.of()
                            : Map.of("checks", List.of(Map.of("check", "like", "like", shape.get()))),
                    true);
        }
        if (most(values, v -> DIGITS.matcher(v).matches())) {
            return new Told(Field.Kind.NUMBER, Map.of(), true);
        }
        return most(values, v -> NAME.matcher(v).matches())
                ? new Told(Field.Kind.NAME, Map.of(), false)
                : new Told(Field.Kind.TEXT, Map.of(), false);
    }

    private static boolean most(List<String> values, Predicate<String> are) {
        return values.stream().filter(are).count() >= MOST * values.size();
    }

    private static boolean passes(String value, Field.Kind kind, LocalDate today) {
        Field field = Field.of("value", kind, null);
        FieldValue settled = Indexer.settle(field, value, Map.of(), today, 0, null, "");
        return settled.value() != null
                && settled.reasons().isEmpty()
                && value.chars().anyMatch(Character::isDigit);
    }

    private static Map<String, Object> date(List<String> values) {
        boolean monthFirst = values.stream().anyMatch(v -> part(v, 2) > MOST_DAYS)
                && values.stream().noneMatch(v -> part(v, 1) > MOST_DAYS);
        return monthFirst
                ? Map.of("tidy", List.of(Map.of("do", "date", "order", "monthFirst")))
                : new LinkedHashMap<>();
    }

    private static int part(String value, int group) {
        var day = DAY_BEHIND.matcher(value);
        return day.matches() ? Integer.parseInt(day.group(group)) : 0;
    }

    /** Of those that have one at all: a misread one or two do not take it away. */
    private static Optional<String> shape(List<String> values) {
        for (int left = 0; left <= values.size() / 3; left++) {
            int without = left;
            Optional<String> shape = values.stream()
                    .map(v -> values.stream().filter(o -> alike(v, o)).toList())
                    .filter(like -> like.size() >= values.size() - without)
                    .findFirst()
                    .flatMap(ValueShape::of);
            if (shape.isPresent()) {
                boolean digits = values.stream().allMatch(v -> v.chars().anyMatch(Character::isDigit));
                boolean mixed = shape.get()
                        .chars()
                        .anyMatch(c -> c != '9' && c != '{' && c != '}' && c != ',' && !Character.isDigit(c));
                boolean fixed = !shape.get().contains(",");
                return digits && (mixed || fixed && length(values) >= FEW) ? shape : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private static int length(List<String> values) {
        return values.stream().mapToInt(String::length).max().orElse(0);
    }

    private static boolean alike(String a, String b) {
        return ValueShape.of(List.of(a, b)).isPresent();
    }
}
