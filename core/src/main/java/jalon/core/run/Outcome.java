package jalon.core.run;

import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.index.FoundBy;
import jalon.core.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * What the machine made of one field of one document, beside what people made of it by the time it was filed.
 *
 * @param document number in the batch
 * @param value the machine's, or null
 * @param certainty the machine's, 0..1
 * @param sure whether it was sure of it
 * @param held whether something kept it from being sure that no lower limit would let through
 * @param looked whether a person looked at it
 * @param right whether what was filed is what the machine had; null where nobody looked
 * @param reasons codes of what spoke against it
 */
public record Outcome(
        int document,
        String type,
        String field,
        FoundBy finder,
        String value,
        double certainty,
        boolean sure,
        boolean held,
        boolean looked,
        Boolean right,
        List<String> reasons) {

    /**
     * @param machine the batch as it is without anything that a person settled
     * @param filed the same documents as they are filed
     */
    static List<Outcome> of(BatchView machine, BatchView filed, Limits limits) {
        List<Outcome> all = new ArrayList<>();
        for (int i = 0; i < filed.documents().size(); i++) {
            BatchView.DocumentView now = filed.documents().get(i);
            BatchView.DocumentView then = machine.documents().get(i);
            then.fields().forEach((name, value) -> {
                FieldValue last = now.fields().get(name);
                if (value.finder() != FoundBy.FIXED && last != null) {
                    all.add(of(
                            now, name, value, last, limits.sureFrom(now.type().type(), name)));
                }
            });
        }
        return all;
    }

    /** From which certainty on a field of a type is sure. */
    @FunctionalInterface
    interface Limits {
        double sureFrom(String type, String field);
    }

    private static Outcome of(
            BatchView.DocumentView document, String field, FieldValue then, FieldValue now, double sureFrom) {
        boolean same = Objects.equals(then.value(), now.value());
        boolean looked = now.state() == FieldValue.State.SETTLED || !same;
        boolean sure = then.state() == FieldValue.State.SURE;
        return new Outcome(
                document.no(),
                document.type().type(),
                field,
                then.finder(),
                then.value(),
                then.certainty(),
                sure,
                !sure
                        && (then.value() == null
                                || then.certainty() >= sureFrom
                                || then.state() == FieldValue.State.WRONG),
                looked,
                looked ? same : null,
                then.reasons().stream().map(Reason::code).map(Words::name).toList());
    }
}
