package jalon.core.index;

import jalon.core.evidence.Reason;
import java.util.List;

/**
 * What a finder brought.
 *
 * @param readings best first
 * @param notes why there are none, where more is to be said
 * @param rows see {@link FieldValue#rows}
 */
record Found(List<Reading> readings, List<Reason> notes, List<FieldValue.RowFound> rows) {
    static Found of(List<Reading> readings) {
        return new Found(readings, List.of(), List.of());
    }

    /** A value that is known without looking at a page, if it is. */
    static Found known(String value, FoundBy by) {
        return of(value == null || value.isBlank() ? List.of() : List.of(Reading.of(value, 1, 0, null, by)));
    }

    static Found nothing(Reason why) {
        return new Found(List.of(), List.of(why), List.of());
    }
}
