package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.Lookalikes;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Looks for one field's value: the finders in turn, each reading tidied and held against the checks, the one that passes
 * read once more by itself. What was passed over, and what else would pass, stays beside it and speaks against it.
 */
final class FieldSearch {
    /** So certain by its checks that a second reading could add nothing. */
    private static final double PROVEN = 0.999;

    private static final int MOST_LOOKS = 3;

    /** A list is as sure as its least sure value: each is read again. */
    private static final int MOST_LOOKS_AT_A_LIST = 12;

    private static final int MOST_CANDIDATES = 9;

    /** Whatever speaks for a value, with one of these it is not sure. */
    private static final Set<Reason.Code> NEVER_SURE = Set.of(
            Reason.Code.RIVALS,
            Reason.Code.FORM_TWO_WAYS,
            Reason.Code.FOUND_OTHERWISE,
            Reason.Code.OF_A_DOUBT,
            Reason.Code.RUNS_OVER,
            Reason.Code.PRINT_LEFT,
            Reason.Code.OUTSIDE_LIMITS,
            Reason.Code.LOST_BEFORE,
            Reason.Code.SEVERAL_ROWS,
            Reason.Code.OTHER_ROW,
            Reason.Code.ROW_OF_A_FAMILY,
            Reason.Code.NO_BARCODE,
            Reason.Code.SEVERAL_TICKED,
            Reason.Code.STRUCK_OUT,
            Reason.Code.FILLED_BOX,
            Reason.Code.NO_FRAME,
            Reason.Code.SUM_DIFFERS,
            Reason.Code.TOO_SOON_AFTER,
            Reason.Code.TOO_LONG_AFTER,
            Reason.Code.DIFFERS_FROM);

    private static final Set<FoundBy> FROM_PAPER =
            Set.of(FoundBy.ZONE, FoundBy.BARCODE, FoundBy.SHAPE, FoundBy.LABEL, FoundBy.TICKS);

    private final Field field;
    private final Search search;
    private final Judge judge;
    private final SecondLook again;
    private final Labels labels;
    private final List<Judged> failing = new ArrayList<>();
    private final List<Judged> missed = new ArrayList<>();
    private final List<Reason> notes = new ArrayList<>();
    private List<FieldValue.RowFound> rows = List.of();
    private final List<Judged> alsoFound = new ArrayList<>();
    private int looks;

    FieldSearch(Field field, Search search) {
        this.field = field;
        this.search = search;
        this.judge = new Judge(field, search.known());
        this.again = new SecondLook(search.zones(), search.document());
        this.labels = Labels.of(search.type());
    }

    FieldValue value() {
        for (Finder finder : field.finders()) {
            Found found = FieldFinder.of(finder, field).find(search);
            rows = found.rows();
            List<Judged> passing = passing(found.readings());
            if (!passing.isEmpty()) {
                if (field.several()) {
                    return listed(passing);
                }
                alsoFound.addAll(byTheOthers(finder));
                return chosen(passing);
            }
            notes.addAll(found.notes());
        }
        return failing.isEmpty() ? empty(field, notes) : wrong(failing.get(0));
    }

    /** What the finders after one find in what was read of the paper; only where none of them says the same it counts. */
    private List<Judged> byTheOthers(Finder finder) {
        if (field.ranked()) {
            return List.of();
        }
        Search read = search.onWhatWasRead();
        return field
                .finders()
                .subList(field.finders().indexOf(finder) + 1, field.finders().size())
                .stream()
                .flatMap(other -> FieldFinder.of(other, field).find(read).readings().stream())
                .filter(reading -> FROM_PAPER.contains(reading.source().finder()))
                .map(reading -> judge.judged(reading, Certainty.Look.NONE))
                .filter(Judged::passed)
                .toList();
    }

    private List<Judged> passing(List<Reading> readings) {
        List<Judged> passing = new ArrayList<>();
        for (Reading reading : readings) {
            Judged judged = judge.judged(reading, Certainty.Look.NONE);
            String value = judged.value();
            boolean mayPass = looks < most() && NearMiss.mayPass(value, field, search.known());
            boolean proven = judged.certainty() >= PROVEN;
            if (judged.passed() ? wanted(judged, passing) && reading.printed() && !proven : mayPass) {
                judged = lookedAgain(judged);
            }
            if (reading.source().finder() == FoundBy.LABEL && labels.says(judged.value())) {
                // Read better it is the next label, and this one has no value.
                continue;
            }
            if (judged.passed()) {
                passing.add(onlyOneOfItsForm(judged));
                continue;
            }
            boolean near = NearMiss.is(value, field, search.known());
            if (near && passing.isEmpty()) {
                missed.add(judged);
            }
            // What was found by its form anywhere and then is no date or amount was never the field's.
            boolean other =
                    judged.tidied().problem() != null && reading.source().finder() == FoundBy.SHAPE;
            if (near || !other) {
                failing.add(judged);
            }
        }
        return passing;
    }

    /** Of a value that could be another one by its form the checks may say which. */
    private Judged onlyOneOfItsForm(Judged judged) {
        Reading reading = judged.reading();
        boolean doubted = reading.doubts().stream().anyMatch(d -> d.code() == Reason.Code.FORM_TWO_WAYS);
        Optional<String> zero = reading.printed() ? Lookalikes.otherZero(judged.value()) : Optional.empty();
        if (!doubted && zero.isPresent() && judge.passes(zero.get())) {
            return judged.withReading(reading.alternative(zero.get())
                    .doubted(Reason.Code.FORM_TWO_WAYS.with(judged.value(), zero.get())));
        }
        boolean other = reading.alternatives().stream().anyMatch(text -> judge.passes(text));
        return doubted && !other ? judged.withReading(reading.without(Reason.Code.FORM_TWO_WAYS)) : judged;
    }

    private int most() {
        return field.several() ? MOST_LOOKS_AT_A_LIST : MOST_LOOKS;
    }

    /** Whether a reading would be taken that nothing speaks against. */
    private boolean wanted(Judged judged, List<Judged> passing) {
        return field.several()
                ? looks < most() && passing.stream().noneMatch(p -> p.value().equals(judged.value()))
                : passing.isEmpty();
    }

    private Judged lookedAgain(Judged first) {
        looks++;
        Reading reading = first.reading();
        SecondLook.Looked looked = again.at(
                reading,
                text -> judge.judged(reading.reread(text, 1), Certainty.Look.NONE)
                        .value());
        List<SecondLook.Seen> seen = looked.seen();
        List<Judged> all = new ArrayList<>();
        for (SecondLook.Seen one : seen) {
            Reading as = one.text().equals(reading.text())
                    ? reading.seen(one.certainty())
                    : reading.reread(one.text(), one.certainty());
            if (seen.size() > 1 && one.look() != Certainty.Look.ACCENTS) {
                String against = seen.get(one == seen.get(0) ? 1 : 0).text();
                as = as.doubted(Reason.Code.READ_TWO_WAYS.with(one.text(), against));
            }
            if (looked.printLeft()) {
                as = as.doubted(Reason.Code.PRINT_LEFT.with());
            }
            all.add(judge.judged(as, one.look()));
        }
        return all.stream().filter(Judged::passed).findFirst().orElse(all.get(0));
    }

    private FieldValue chosen(List<Judged> passing) {
        Judged first = passing.get(0);
        List<Reason> doubts = new ArrayList<>(notes);
        String value = first.value();
        List<String> rivals = passing.stream()
                .skip(1)
                .map(Judged::value)
                .filter(other -> !other.equals(value))
                .distinct()
                .toList();
        // Of ticked boxes their finder has said so, by what they mean.
        if (!rivals.isEmpty() && first.reading().source().finder() != FoundBy.TICKS) {
            doubts.add(
                    first.reading().source().finder() == FoundBy.REGISTER
                            ? Reason.Code.SEVERAL_ROWS.with(registerOf())
                            : Reason.Code.RIVALS.with(String.join(", ", rivals)));
        }
        missed.stream()
                .filter(m -> !m.value().equals(value))
                .findFirst()
                .ifPresent(m -> doubts.add(Reason.Code.LOST_BEFORE.with(m.value())));
        if (alsoFound.stream().noneMatch(other -> other.value().equals(value)) && !alsoFound.isEmpty()) {
            doubts.add(Reason.Code.FOUND_OTHERWISE.with(
                    alsoFound.stream().map(Judged::value).distinct().collect(Collectors.joining(", "))));
        }
        return finished(first, doubts, rivals);
    }

    /** All that passed, each once, in the order in which they stand; one that is not sure keeps the list from being so. */
    private FieldValue listed(List<Judged> passing) {
        Map<String, FieldValue> each = new LinkedHashMap<>();
        passing.forEach(judged -> each.computeIfAbsent(judged.value(), v -> finished(judged, List.of(), List.of())));
        List<FieldValue> values = List.copyOf(each.values());
        Set<Reason> reasons = new LinkedHashSet<>(notes);
        missed.forEach(m -> reasons.add(Reason.Code.LOST_BEFORE.with(m.value())));
        boolean sure = reasons.isEmpty() && values.stream().allMatch(v -> v.state() == FieldValue.State.SURE);
        values.forEach(v -> reasons.addAll(v.reasons()));
        double certainty =
                values.stream().mapToDouble(FieldValue::certainty).min().orElse(0);
        return new FieldValue(
                String.join(Field.JOINED_BY, each.keySet()),
                sure ? FieldValue.State.SURE : FieldValue.State.DOUBTFUL,
                certainty,
                values.get(0).source(),
                sure ? List.of() : List.copyOf(reasons),
                List.of(),
                List.of(),
                List.of(),
                null);
    }

    private FieldValue wrong(Judged judged) {
        List<Reason> reasons = new ArrayList<>(judged.verdict().problems());
        if (judged.tidied().problem() != null) {
            reasons.add(judged.tidied().problem());
        }
        return finished(judged, reasons, List.of());
    }

    private FieldValue finished(Judged judged, List<Reason> against, List<String> rivals) {
        Reading reading = judged.reading();
        List<Reason> reasons = new ArrayList<>(reading.doubts());
        reasons.addAll(judged.tidied().doubts());
        reasons.addAll(against);
        double certainty = judged.certainty();
        FieldValue.State state = FieldValue.State.WRONG;
        if (judged.passed()) {
            boolean sure = certainty >= field.sureFrom() && reasons.stream().noneMatch(FieldSearch::neverSure);
            state = sure ? FieldValue.State.SURE : FieldValue.State.DOUBTFUL;
            if (sure) {
                reasons.clear();
            } else if (reasons.isEmpty()) {
                reasons.add(
                        judged.look() == Certainty.Look.NONE && reading.printed()
                                ? Reason.Code.ONLY_READ_ONCE.with()
                                : Reason.Code.HARD_TO_READ.with());
            }
        }
        Set<String> candidates = new LinkedHashSet<>(rivals);
        candidates.addAll(judged.tidied().others());
        candidates.addAll(reading.alternatives());
        alsoFound.forEach(other -> candidates.add(other.value()));
        failing.forEach(f -> candidates.add(f.value()));
        candidates.addAll(field.choices().keySet());
        return new FieldValue(
                judged.value(),
                state,
                Math.round(certainty * 10_000) / 10_000.0,
                reading.source(),
                reasons,
                candidates.stream()
                        .filter(c -> !c.isBlank() && !c.equals(judged.value()))
                        .limit(MOST_CANDIDATES)
                        .toList(),
                rows,
                alsoFound.stream()
                        .map(other -> new FieldValue.AlsoFound(
                                other.value(), other.reading().source()))
                        .distinct()
                        .limit(MOST_CANDIDATES)
                        .toList(),
                null);
    }

    static boolean neverSure(Reason reason) {
        return NEVER_SURE.contains(reason.code());
    }

    private String registerOf() {
        return field.finders().stream()
                .filter(Finder.ByRegister.class::isInstance)
                .map(f -> ((Finder.ByRegister) f).register())
                .findFirst()
                .orElse("");
    }

    static FieldValue empty(Field field, List<Reason> notes) {
        List<Reason> reasons = new ArrayList<>(notes);
        if (field.required()) {
            reasons.add(0, Reason.Code.REQUIRED.with());
        } else {
            // A value that need not be there is not expected either.
            reasons.removeIf(r -> r.code() == Reason.Code.NO_BARCODE);
        }
        return new FieldValue(
                null,
                FieldValue.State.EMPTY,
                0,
                FieldValue.Source.NONE,
                reasons,
                field.choices().keySet().stream().limit(MOST_CANDIDATES).toList(),
                List.of(),
                List.of(),
                null);
    }
}
