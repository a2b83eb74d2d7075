package jalon.core.index;

import com.google.re2j.Pattern;
import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import jalon.core.stream.Shape;
import java.util.Optional;
import java.util.function.Function;

/** One check at work. */
interface ValueCheck {

    ValueCheck PASSED = simple(1, false, value -> null);

    /** What speaks against the value, or nothing. */
    Optional<Reason> against(String value, Known known);

    /** How much more likely a value that passes is right than before: 1 for not at all. See {@link Certainty}. */
    double odds(String value, Known known);

    /** Whether it looks at the form alone, which a finder by form has looked at already. */
    default boolean ofForm() {
        return false;
    }

    static ValueCheck of(Check check) {
        return check.match(new Check.Cases<>() {
            @Override
            public ValueCheck like(Check.Like like) {
                Shape shape = Shape.of(like.like());
                return form(
                        Certainty.OF_ITS_FORM,
                        value -> shape.fits(value) ? null : Reason.Code.NOT_OF_FORM.with(like.like()));
            }

            @Override
            public ValueCheck matches(Check.Matches matches) {
                Pattern pattern = Pattern.compile(matches.pattern());
                return form(
                        Certainty.LOOSE_CHECK,
                        value -> pattern.matches(value) ? null : Reason.Code.DOES_NOT_MATCH.with(matches.pattern()));
            }

            @Override
            public ValueCheck length(Check.Length length) {
                return form(Certainty.LOOSE_CHECK, value -> {
                    int has = value.codePointCount(0, value.length());
                    boolean fits = (length.least() == null || has >= length.least())
                            && (length.most() == null || has <= length.most());
                    return fits ? null : Reason.Code.LENGTH.with(has);
                });
            }

            @Override
            public ValueCheck date(Check.Date date) {
                return new DateCheck(date);
            }

            @Override
            public ValueCheck range(Check.Range range) {
                return new RangeCheck(range);
            }

            @Override
            public ValueCheck oneOf(Check.OneOf oneOf) {
                return simple(
                        Certainty.OF_A_LIST,
                        false,
                        value -> oneOf.values().contains(value)
                                ? null
                                : Reason.Code.NOT_ONE_OF.with(String.join(", ", oneOf.values())));
            }

            @Override
            public ValueCheck inRegister(Check.InRegister inRegister) {
                return new InRegisterCheck(inRegister);
            }

            @Override
            public ValueCheck checkDigit(Check.CheckDigit digit) {
                return simple(
                        digit.by().oneIn(digit.modulus()),
                        false,
                        value -> digit.by().prove(value, digit.weights(), digit.modulus())
                                ? null
                                : Reason.Code.CHECK_DIGIT_FAILS.with());
            }

            /** See {@link AcrossFields}, and what holds documents against each other. */
            @Override
            public ValueCheck between(Check.Between between) {
                return PASSED;
            }
        });
    }

    private static ValueCheck form(double odds, Function<String, Reason> test) {
        return simple(odds, true, test);
    }

    /** @param test gives what speaks against a value, or null; it needs nothing but the value */
    private static ValueCheck simple(double odds, boolean ofForm, Function<String, Reason> test) {
        return new ValueCheck() {
            @Override
            public Optional<Reason> against(String value, Known known) {
                return Optional.ofNullable(test.apply(value));
            }

            @Override
            public double odds(String value, Known known) {
                return odds;
            }

            @Override
            public boolean ofForm() {
                return ofForm;
            }
        };
    }
}
