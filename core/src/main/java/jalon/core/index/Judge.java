package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.register.Register;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import java.util.List;
import java.util.Optional;

/** Brings readings to their field's form, and holds them against its checks. */
record Judge(Field field, Known known) {
    /** Letters of any script, and what stands between the parts of names. */
    private static final String A_NAME = "[\\p{L}\\p{M} .,'’&/()-]+";

    Judged judged(Reading reading, Certainty.Look look) {
        Tidying.Tidied tidied = Tidy.tidy(reading.text(), field, known.today());
        if (tidied.problem() != null) {
            return new Judged(reading, tidied, new Checks.Verdict(List.of(), 1), look);
        }
        Tidying.Tidied spelled = tidied.as(spelling(tidied.value()));
        boolean byForm = reading.source().finder() == FoundBy.SHAPE;
        return new Judged(reading, spelled, Checks.check(spelled.value(), checks(field), known, byForm), look);
    }

    /** Whether a text could be the field's value, as it stands. */
    boolean passes(String text) {
        Tidying.Tidied tidied = Tidy.tidy(text, field, known.today());
        return tidied.problem() == null
                && Checks.check(tidied.value(), checks(field), known, false).passed();
    }

    /** The accents that a register has and the reading may have lost. */
    private String spelling(String value) {
        for (Check check : field.checks()) {
            if (check instanceof Check.InRegister in && known.registers().get(in.register()) != null) {
                Register register = known.registers().get(in.register());
                Optional<String> its = register.spelling(in.column(), value);
                if (its.isPresent()) {
                    return its.get();
                }
            }
        }
        return value;
    }

    /** What a field's kind asks for where the stream names no check. */
    static List<Check> checks(Field field) {
        if (field.kind() == Field.Kind.NUMBER && field.checks().isEmpty()) {
            return List.of(new Check.Matches("[0-9]+"));
        }
        if (!field.choices().isEmpty() && field.checks().isEmpty()) {
            return List.of(new Check.OneOf(List.copyOf(field.choices().keySet())));
        }
        if (field.kind() == Field.Kind.NAME && field.checks().isEmpty()) {
            return List.of(new Check.Matches(A_NAME));
        }
        return field.checks();
    }
}
