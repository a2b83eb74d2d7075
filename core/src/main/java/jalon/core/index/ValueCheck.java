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

    /** What speaks against the value, or nothing. */
    Optional<Reason> against(String value, Known known);

    /** 0..1: how much it speaks for a value that passes. */
    double backing();

    static ValueCheck of(Check check) {
        return check.match(new Check.Cases<>() {
            @Override
            public ValueCheck like(Check.Like like) {
                Shape shape = Shape.of(like.like());
                return simple(
                        Certainty.OF_ITS_FORM,
                        value -> shape.fits(value) ? null : Reason.Code.NOT_OF_FORM.with(like.like()));
            }

            @Override
            public ValueCheck matches(Check.Matches matches) {
                Pattern pattern = Pattern.compile(matches.pattern());
                return simple(
                        Certainty.LOOSE_CHECK,
                        value -> pattern.matches(value) ? null : Reason.Code.DOES_NOT_MATCH.with(matches.pattern()));
            }

            @Override
            public ValueCheck length(Check.Length length) {
                return simple(Certainty.LOOSE_CHECK, value -> {
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
                        Certainty.OF_ITS_FORM,
                        value -> oneOf.values().contains(value)
                                ? null
                                : Reason.Code.NOT_ONE_OF.with(String.join(", ", oneOf.values())));
            }

            @Override
            public ValueCheck inRegister(Check.InRegister inRegister) {
                return new InRegisterCheck(inRegister);
            }
        });
    }

    /** @param test gives what speaks against a value, or null; it needs nothing but the value */
    private static ValueCheck simple(double backing, Function<String, Reason> test) {
        return new ValueCheck() {
            @Override
            public Optional<Reason> against(String value, Known known) {
                return Optional.ofNullable(test.apply(value));
            }

            @Override
            public double backing() {
                return backing;
            }
        };
    }
}
