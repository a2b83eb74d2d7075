package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import java.util.stream.Stream;

/**
 * A reading, tidied and held against its field's checks.
 *
 * @param look what a second reading said
 */
record Judged(Reading reading, Tidying.Tidied tidied, Checks.Verdict verdict, Certainty.Look look) {
    boolean passed() {
        return tidied.problem() == null && verdict.passed();
    }

    String value() {
        return tidied.value();
    }

    Judged withReading(Reading other) {
        return new Judged(other, tidied, verdict, look);
    }

    double certainty() {
        if (!reading.printed()) {
            return reading.seen() * reading.placed();
        }
        boolean mended = Stream.concat(reading.doubts().stream(), tidied.doubts().stream())
                .anyMatch(d -> d.code() == Reason.Code.LOOKALIKES_MENDED);
        return Certainty.print(reading.seen(), reading.placed(), look, mended, verdict.odds());
    }
}
