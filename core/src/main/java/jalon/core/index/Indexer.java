package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
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
    private final Search search;
    private final Known known;
    private final Map<String, FieldValue> settled;
    private final Map<String, FieldValue> done = new LinkedHashMap<>();
    private final Set<String> underWay = new HashSet<>();

    private Indexer(
            DocumentType type, Document document, ZoneReader zones, Known known, Map<String, FieldValue> settled) {
        this.known = known;
        this.settled = settled;
        this.search = new Search(
                type, document, zones, known, name -> type.field(name).map(this::value));
    }

    /** @return the fields in the order of the type */
    public static Map<String, FieldValue> index(
            DocumentType type,
            Document document,
            ZoneReader zones,
            Map<String, Register> registers,
            LocalDate today,
            Map<String, FieldValue> settled) {
        var indexer = new Indexer(type, document, zones, new Known(registers, today), settled);
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
            return empty(field, List.of(Reason.Code.CIRCLE.with()));
        }
        FieldValue found = found(field);
        done.put(field.field(), found);
        return found;
    }

    private FieldValue found(Field field) {
        FieldValue failing = null;
        FieldValue doubtful = null;
        Set<String> readings = new LinkedHashSet<>();
        List<Reason> notes = new ArrayList<>();
        for (Finder finder : field.finders()) {
            Found found = FieldFinder.of(finder).find(search);
            notes.addAll(found.notes());
            for (Reading reading : found.readings()) {
                FieldValue value = judged(field, reading);
                readings.add(value.value());
                readings.addAll(reading.alternatives());
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
        Tidying.Tidied tidied = Tidy.tidy(reading.text(), steps(field));
        List<Reason> reasons = new ArrayList<>(reading.doubts());
        double certainty = reading.certainty();
        FieldValue.State state;
        if (tidied.problem() != null) {
            reasons.add(tidied.problem());
            state = FieldValue.State.WRONG;
        } else {
            Checks.Verdict verdict = Checks.check(tidied.value(), checks(field), known);
            reasons.addAll(verdict.problems());
            certainty = Certainty.backed(certainty, verdict.backing());
            boolean mended = !reading.doubts().isEmpty() && verdict.backing() < Certainty.MENDED_NEEDS;
            if (!verdict.passed()) {
                state = FieldValue.State.WRONG;
            } else if (certainty >= field.sureFrom() && !mended) {
                state = FieldValue.State.SURE;
                reasons.clear();
            } else {
                state = FieldValue.State.DOUBTFUL;
                if (certainty < field.sureFrom()) {
                    reasons.add(Reason.Code.HARD_TO_READ.with());
                }
            }
        }
        return new FieldValue(
                tidied.value(),
                state,
                Math.round(certainty * 1000) / 1000.0,
                new FieldValue.Source(reading.page(), reading.box(), reading.finder()),
                reasons,
                List.of(),
                null);
    }

    private static FieldValue withCandidates(FieldValue v, Set<String> readings) {
        List<String> others = readings.stream()
                .filter(r -> !r.isBlank() && !r.equals(v.value()))
                .limit(9)
                .toList();
        return new FieldValue(v.value(), v.state(), v.certainty(), v.source(), v.reasons(), others, null);
    }

    private static FieldValue empty(Field field, List<Reason> notes) {
        List<Reason> reasons = new ArrayList<>(notes);
        if (field.required()) {
            reasons.add(0, Reason.Code.REQUIRED.with());
        }
        return new FieldValue(null, FieldValue.State.EMPTY, 0, FieldValue.Source.NONE, reasons, List.of(), null);
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
            Field field, String typed, Map<String, Register> registers, LocalDate today, int page, Box box, String by) {
        var source = new FieldValue.Source(page, box, FoundBy.PERSON);
        if (typed == null || typed.isBlank()) {
            return new FieldValue(null, FieldValue.State.SETTLED, 1, source, List.of(), List.of(), by);
        }
        Tidying.Tidied tidied = Tidy.tidy(typed, steps(field));
        List<Reason> notes = tidied.problem() != null
                ? List.of(tidied.problem())
                : Checks.check(tidied.value(), checks(field), new Known(registers, today))
                        .problems();
        return new FieldValue(tidied.value(), FieldValue.State.SETTLED, 1, source, notes, List.of(), by);
    }
}
