package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.Map;
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
        return register.find(wanted.column(), key.get().value())
                .filter(row -> !row.getOrDefault(wanted.take(), "").isBlank())
                .map(row -> Found.of(List.of(reading(row, key.get()))))
                .orElseGet(() -> Found.nothing(Reason.Code.NO_ROW.with(
                        wanted.register(), wanted.column(), key.get().value())));
    }

    /** A row is as good as the key it was found by; what a person settled is certain. */
    private Reading reading(Map<String, String> row, FieldValue key) {
        double certainty = key.state() == FieldValue.State.SETTLED ? 1 : key.certainty();
        return Reading.of(row.get(wanted.take()), certainty, key.page(), key.boxMm(), FoundBy.REGISTER);
    }
}
