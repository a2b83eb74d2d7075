package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.Optional;

/** A value of the register row that another field's value names. */
record RegisterFinder(Finder.ByRegister wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
        Register register = search.known().registers().get(wanted.register());
        if (register == null) {
            return Found.nothing(Reason.Code.NO_REGISTER.with(wanted.register()));
        }
        Optional<FieldValue> key = search.values().apply(wanted.from()).filter(v -> v.value() != null);
        if (key.isEmpty()) {
            return Found.of(List.of());
        }
        List<String> values = register.rows(wanted.column(), key.get().value()).stream()
                .map(row -> row.getOrDefault(wanted.take(), ""))
                .filter(value -> !value.isBlank())
                .distinct()
                .toList();
        if (values.isEmpty()) {
            return Found.nothing(Reason.Code.NO_ROW.with(
                    wanted.register(), wanted.column(), key.get().value()));
        }
        return Found.of(values.stream().map(value -> reading(value, key.get())).toList());
    }

    /** A row is as good as the key it was found by; what a person settled is certain. */
    private static Reading reading(String value, FieldValue key) {
        double certainty = key.state() == FieldValue.State.SETTLED ? 1 : key.certainty();
        return Reading.of(value, certainty, key.page(), key.boxMm(), FoundBy.REGISTER);
    }
}
