package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.register.Register;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads a document's fields. What a person settled is taken as it is, and fields that are looked up from it follow it.
 */
public final class Indexer {
    private final Search search;
    private final RowsOfDocument rows;
    private final Known known;
    private final Map<String, FieldValue> settled;
    private final Map<String, FieldValue> done = new LinkedHashMap<>();
    private final Set<String> underWay = new HashSet<>();

    private Indexer(
            DocumentType type, Document document, ZoneReader zones, Known known, Map<String, FieldValue> settled) {
        this.known = known;
        this.settled = settled;
        this.rows = new RowsOfDocument(type, document, known, settled);
        this.search = new Search(
                type,
                document,
                zones,
                known,
                new TicksOfDocument(type, document, zones),
                name -> type.field(name).map(this::value),
                rows::of);
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
        type.fields().forEach(indexer::value);
        indexer.holdRowsTogether(type);
        Map<String, FieldValue> inOrder = new LinkedHashMap<>();
        type.fields().forEach(field -> inOrder.put(field.field(), indexer.value(field)));
        return AcrossFields.judged(type, inOrder);
    }

    /** What was looked up by a value is as good as that value, once the other values of its row have spoken. */
    private void holdRowsTogether(DocumentType type) {
        Map<String, FieldValue> all = new LinkedHashMap<>(done);
        all.putAll(settled);
        SameRow.judged(type, all, known).forEach((name, value) -> {
            if (!settled.containsKey(name)) {
                done.put(name, value);
            }
        });
        done.values().removeIf(value -> value.finder() == FoundBy.REGISTER || value.finder() == FoundBy.FIELDS);
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
            return FieldSearch.empty(field, List.of(Reason.Code.CIRCLE.with()));
        }
        FieldValue found = new FieldSearch(field, search).value();
        if (found.state() == FieldValue.State.EMPTY && Boolean.TRUE.equals(field.mayBeAbsent())) {
            found = noneOfTheRows(field).orElse(found);
        }
        underWay.remove(field.field());
        done.put(field.field(), found);
        return found;
    }

    /** One answer, that no row of a register is meant, holds for all that such a row would fill. */
    private Optional<FieldValue> noneOfTheRows(Field field) {
        return field.finders().stream()
                .filter(finder -> finder instanceof Finder.ByRegister by && by.byPaper())
                .flatMap(finder ->
                        Optional.ofNullable(known.registers().get(((Finder.ByRegister) finder).register())).stream())
                .flatMap(register -> rows.noneOf(register).stream())
                .findFirst();
    }

    /** A row that a settled value would have to stand in, where there is none: it is new to the register. */
    private static List<Reason> newTo(Field field, String value, Map<String, Register> registers) {
        return field.finders().stream()
                .filter(finder -> finder instanceof Finder.ByRegister by && by.byPaper())
                .map(Finder.ByRegister.class::cast)
                .filter(by -> registers.containsKey(by.register())
                        && registers.get(by.register()).rows(by.take(), value).isEmpty())
                .map(by -> Reason.Code.NOT_IN_REGISTER.with(by.register()))
                .toList();
    }

    /** Brings what a person typed to the field's form, and says what speaks against it without refusing it. */
    public static FieldValue settle(
            Field field, String typed, Map<String, Register> registers, LocalDate today, int page, Box box, String by) {
        var source = new FieldValue.Source(page, box, FoundBy.PERSON);
        if (typed == null || typed.isBlank()) {
            return new FieldValue(
                    null, FieldValue.State.SETTLED, 1, source, List.of(), List.of(), List.of(), List.of(), by);
        }
        List<String> values = new ArrayList<>();
        List<Reason> notes = new ArrayList<>();
        for (String one : field.values(typed)) {
            Tidying.Tidied tidied = Tidy.tidy(one, field, today);
            values.add(tidied.value());
            notes.addAll(newTo(field, tidied.value(), registers));
            notes.addAll(
                    tidied.problem() != null
                            ? List.of(tidied.problem())
                            : Checks.check(tidied.value(), Judge.checks(field), new Known(registers, today), false)
                                    .problems());
        }
        return new FieldValue(
                String.join(Field.JOINED_BY, values),
                FieldValue.State.SETTLED,
                1,
                source,
                notes,
                List.of(),
                List.of(),
                List.of(),
                by);
    }
}
