package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.register.Register;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Holds the values that were read from one document against each other: those that a register knows must stand in one row of
 * it. Together they are worth much more than each alone; apart none of them is sure, whatever the register says of each.
 */
final class SameRow {
    private SameRow() {}

    /** A read value and the column that has it. */
    private record Held(Field field, FieldValue value, String column) {}

    /** @return the values that are judged otherwise now, by field */
    static Map<String, FieldValue> judged(DocumentType type, Map<String, FieldValue> values, Known known) {
        Map<String, List<Held>> byRegister = new LinkedHashMap<>();
        for (Field field : type.fields()) {
            FieldValue value = values.get(field.field());
            if (value == null || value.value() == null || value.finder() == FoundBy.REGISTER) {
                continue;
            }
            for (Check check : field.checks()) {
                if (check instanceof Check.InRegister in) {
                    find(in, value, known)
                            .ifPresent(rows -> byRegister
                                    .computeIfAbsent(in.register(), r -> new ArrayList<>())
                                    .add(new Held(field, value, in.column())));
                }
            }
        }
        Map<String, FieldValue> changed = new HashMap<>();
        byRegister.forEach((register, held) -> {
            if (held.size() > 1) {
                boolean together = together(known.registers().get(register), held);
                held.forEach(h -> changed.put(
                        h.field().field(),
                        together
                                ? h.value().raised(Certainty.SAME_ROW, h.field().sureFrom())
                                : apart(h.value(), register)));
            }
        });
        return changed;
    }

    private static Optional<List<Map<String, String>>> find(Check.InRegister in, FieldValue value, Known known) {
        return Optional.ofNullable(known.registers().get(in.register()))
                .map(register -> register.rows(in.column(), value.value()))
                .filter(rows -> !rows.isEmpty());
    }

    private static boolean together(Register register, List<Held> held) {
        List<Map<String, String>> rows = new ArrayList<>(
                register.rows(held.get(0).column(), held.get(0).value().value()));
        for (Held h : held) {
            rows.retainAll(register.rows(h.column(), h.value().value()));
        }
        return !rows.isEmpty();
    }

    private static FieldValue apart(FieldValue value, String register) {
        return value.state() == FieldValue.State.SETTLED ? value : value.doubted(Reason.Code.OTHER_ROW.with(register));
    }
}
