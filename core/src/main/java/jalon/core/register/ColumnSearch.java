package jalon.core.register;

import jalon.core.evidence.RowWeights;
import jalon.core.register.RowMatch.Compared;
import jalon.core.register.RowMatch.Level;
import java.util.Optional;
import java.util.stream.Stream;

/** One column of a register: the keys by which its rows are found, and how its values are held against a paper. */
final class ColumnSearch {
    final String column;
    final ColumnKind kind;
    private final RowIndex index;
    private final int rows;

    ColumnSearch(String column, ColumnKind kind, RowIndex index, int rows) {
        this.column = column;
        this.kind = kind;
        this.index = index;
        this.rows = rows;
    }

    /** The keys that a row with this value is found by. */
    static Stream<String> keys(String column, ColumnKind kind, String value) {
        return Stream.concat(
                Stream.of(valueKey(column, value)),
                kind.look().keys(value).stream().map(key -> column + "|" + key));
    }

    private static String valueKey(String column, String value) {
        return column + "=" + String.join(" ", Plain.tokens(value));
    }

    /** The keys that rows which this paper may be about have. */
    Stream<String> probes(Paper paper) {
        return kind.look().probes(paper).stream().map(key -> column + "|" + key);
    }

    /** Nothing is said of a value that the row does not have. */
    Optional<Compared> compared(String value, Paper paper) {
        if (value.isBlank()) {
            return Optional.empty();
        }
        ValueLook.Seen seen = kind.look().on(paper, value);
        RowWeights weights = kind.weights();
        double bits = switch (seen.level()) {
            case SAME -> weights.bitsOfSame(share(valueKey(column, value)));
            case NEAR -> weights.bitsOfNear(share(valueKey(column, value)));
            case PART -> weights.bitsOfPart(share(column + "|" + seen.part()));
            case ABSENT -> weights.bitsOfAbsent();
        };
        return Optional.of(
                seen.level() == Level.ABSENT
                        ? new Compared(column, Level.ABSENT, 0, null, bits)
                        : new Compared(
                                column,
                                seen.level(),
                                seen.spot().page(),
                                seen.spot().box(),
                                bits));
    }

    private double share(String key) {
        return Math.max(1.0, index.count(key)) / rows;
    }
}
