package jalon.core.index;

import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.TidyStep;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Reads a document's fields. What a person settled is taken as it is, and fields that are looked up from it follow it.
 */
public final class Indexer {
    private final DocumentType type;
    private final Finders finders;
    private final Map<String, Register> registers;
    private final LocalDate today;
    private final Map<String, FieldValue> settled;
    private final Map<String, FieldValue> done = new LinkedHashMap<>();
    private final Set<String> underWay = new HashSet<>();

    private Indexer(
            DocumentType type,
            Finders finders,
            Map<String, Register> registers,
            LocalDate today,
            Map<String, FieldValue> settled) {
        this.type = type;
        this.finders = finders;
        this.registers = registers;
        this.today = today;
        this.settled = settled;
    }

    /** @return the fields in the order of the type */
    public static Map<String, FieldValue> index(
            DocumentType type,
            Document document,
            ZoneReader zones,
            Map<String, Register> registers,
            LocalDate today,
            Map<String, FieldValue> settled) {
        var indexer = new Indexer(type, new Finders(type, document, zones), registers, today, settled);
        Map<String, FieldValue> inOrder = new LinkedHashMap<>();
        for (Field field : type.fields()) {
            inOrder.put(field.field(), indexer.value(field));
        }
        return inOrder;
    }

    private FieldValue value(Field field) {
        if (settled.containsKey(field.field())) {
            return settled.get(field.field());
        }
        FieldValue known = done.get(field.field());
        if (known != null) {
            return known;
        }
        if (!underWay.add(field.field())) {
            return empty(field, List.of("fields are looked up from each other in a circle"));
        }
        FieldValue found = found(field);
        done.put(field.field(), found);
        return found;
    }

    private FieldValue found(Field field) {
        FieldValue failing = null;
        FieldValue doubtful = null;
        Set<String> readings = new LinkedHashSet<>();
        List<String> notes = new ArrayList<>();
        for (Finder finder : field.finders()) {
            List<Reading> found =
                    finder instanceof Finder.ByRegister row ? fromRegister(row, notes) : finders.find(finder);
            for (Reading reading : found) {
                FieldValue value = judged(field, reading);
                readings.add(value.value());
                readings.addAll(reading.others());
                if (value.state() == FieldValue.State.SURE) {
                    return value;
                }
                if (value.state() == FieldValue.State.DOUBTFUL) {
                    doubtful = doubtful == null ? value : doubtful;
                } else {
                    failing = failing == null ? value : failing;
                }
            }
            if (doubtful != null) {
                break;
            }
        }
        FieldValue best = doubtful != null ? doubtful : failing;
        return best == null ? empty(field, notes) : withCandidates(best, readings);
    }

    private FieldValue judged(Field field, Reading reading) {
        Tidy.Tidied tidied = Tidy.tidy(reading.text(), steps(field));
        List<String> reasons = new ArrayList<>(reading.doubts());
        double certainty = reading.certainty();
        FieldValue.State state;
        if (tidied.problem() != null) {
            reasons.add(tidied.problem());
            state = FieldValue.State.WRONG;
        } else {
            Checks.Verdict verdict = Checks.check(tidied.value(), checks(field), registers, today);
            reasons.addAll(verdict.problems());
            // A check that could have failed and did not takes its share of the doubt away.
            certainty = 1 - (1 - certainty) * (1 - verdict.backing());
            boolean mended = !reading.doubts().isEmpty() && verdict.backing() < 0.8;
            if (!verdict.passed()) {
                state = FieldValue.State.WRONG;
            } else if (certainty >= field.sureFrom() && !mended) {
                state = FieldValue.State.SURE;
                reasons.clear();
            } else {
                state = FieldValue.State.DOUBTFUL;
                if (certainty < field.sureFrom()) {
                    reasons.add("hard to read");
                }
            }
        }
        return new FieldValue(
                tidied.value(),
                state,
                Math.round(certainty * 1000) / 1000.0,
                reading.page(),
                reading.box(),
                reading.finder(),
                reasons,
                List.of(),
                null);
    }

    private List<Reading> fromRegister(Finder.ByRegister row, List<String> notes) {
        Register register = registers.get(row.register());
        if (register == null) {
            notes.add("register " + row.register() + " is not there");
            return List.of();
        }
        FieldValue key = type.field(row.from()).map(this::value).orElse(null);
        if (key == null || key.value() == null) {
            return List.of();
        }
        return register.find(row.column(), key.value())
                .filter(r -> !r.getOrDefault(row.take(), "").isBlank())
                .map(r -> List.of(new Reading(
                        r.get(row.take()),
                        // A row is as good as the key it was found by; what a person settled is certain.
                        key.state() == FieldValue.State.SETTLED ? 1 : key.certainty(),
                        key.page(),
                        key.boxMm(),
                        "register",
                        List.of(),
                        List.of())))
                .orElseGet(() -> {
                    notes.add("register " + row.register() + " has no " + row.column() + " \"" + key.value() + "\"");
                    return List.of();
                });
    }

    private static FieldValue withCandidates(FieldValue v, Set<String> readings) {
        List<String> others = readings.stream()
                .filter(r -> !r.isBlank() && !r.equals(v.value()))
                .limit(9)
                .toList();
        return new FieldValue(
                v.value(), v.state(), v.certainty(), v.page(), v.boxMm(), v.finder(), v.reasons(), others, null);
    }

    private static FieldValue empty(Field field, List<String> notes) {
        List<String> reasons = new ArrayList<>(notes);
        if (field.required()) {
            reasons.add(0, "nothing found, but it is required");
        }
        return new FieldValue(null, FieldValue.State.EMPTY, 0, 0, null, "none", reasons, List.of(), null);
    }

    /** A date or amount is brought to its one form even where the stream does not say so. */
    private static List<TidyStep> steps(Field field) {
        List<TidyStep> steps = new ArrayList<>(field.tidy());
        if (field.kind() == Field.Kind.DATE && steps.stream().noneMatch(TidyStep.Date.class::isInstance)) {
            steps.add(new TidyStep.Date(null));
        } else if (field.kind() == Field.Kind.AMOUNT && steps.stream().noneMatch(TidyStep.Amount.class::isInstance)) {
            steps.add(new TidyStep.Amount());
        }
        return steps;
    }

    private static List<Check> checks(Field field) {
        if (field.kind() == Field.Kind.NUMBER && field.checks().isEmpty()) {
            return List.of(new Check.Matches("[0-9]+"));
        }
        return field.checks();
    }

    /** Brings what a person typed to the field's form, and says what speaks against it without refusing it. */
    public static FieldValue settle(
            Field field,
            String typed,
            Map<String, Register> registers,
            LocalDate today,
            int page,
            jalon.core.page.Box box,
            String by) {
        if (typed == null || typed.isBlank()) {
            return new FieldValue(null, FieldValue.State.SETTLED, 1, page, box, "person", List.of(), List.of(), by);
        }
        Tidy.Tidied tidied = Tidy.tidy(typed, steps(field));
        List<String> notes = tidied.problem() != null
                ? List.of(tidied.problem())
                : Checks.check(tidied.value(), checks(field), registers, today).problems();
        return new FieldValue(tidied.value(), FieldValue.State.SETTLED, 1, page, box, "person", notes, List.of(), by);
    }
}
