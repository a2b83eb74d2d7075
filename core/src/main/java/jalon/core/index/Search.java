package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.register.Register;
import jalon.core.register.RowMatch;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a finder may use.
 *
 * @param type of the document
 * @param rows of a register that the document may be about, worked out once
 * @param ticks its boxes to tick, looked at once
 * @param values other fields' values by their names, worked out when they are asked for; empty for a name there is not
 */
record Search(
        DocumentType type,
        Document document,
        ZoneReader zones,
        Known known,
        TicksOfDocument ticks,
        Function<String, Optional<FieldValue>> values,
        Function<Register, List<RowMatch>> rows) {

    /** Why nothing is found by other fields that have no value. */
    Found nothingOf(List<String> names) {
        boolean circle = names.stream()
                .flatMap(name -> values.apply(name).stream())
                .anyMatch(v -> v.reasons().contains(Reason.Code.CIRCLE.with()));
        return circle ? Found.nothing(Reason.Code.CIRCLE.with()) : Found.of(List.of());
    }

    /** Whether another field's value is not one to build on. */
    boolean ofADoubt(String name) {
        return values.apply(name)
                .filter(v -> v.state() == FieldValue.State.DOUBTFUL || v.state() == FieldValue.State.WRONG)
                .isPresent();
    }

    String title(String name) {
        return type.field(name).map(Field::title).orElse(name);
    }

    /** The same without a picture to look at again. */
    Search onWhatWasRead() {
        return new Search(type, document, ZoneReader.NONE, known, ticks, values, rows);
    }
}
