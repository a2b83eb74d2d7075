package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import java.math.BigDecimal;
import java.util.Optional;

/** A number within bounds. */
record RangeCheck(Check.Range wanted) implements ValueCheck {
    @Override
    public Optional<Reason> against(String value, Known known) {
        BigDecimal number;
        try {
            number = new BigDecimal(value);
        } catch (NumberFormatException e) {
            return Optional.of(Reason.Code.NOT_A_NUMBER.with());
        }
        if (wanted.least() != null && number.compareTo(wanted.least()) < 0) {
            return Optional.of(Reason.Code.LESS_THAN.with(wanted.least().toPlainString()));
        }
        if (wanted.most() != null && number.compareTo(wanted.most()) > 0) {
            return Optional.of(Reason.Code.MORE_THAN.with(wanted.most().toPlainString()));
        }
        return Optional.empty();
    }

    @Override
    public double odds(String value, Known known) {
        return Certainty.LOOSE_CHECK;
    }
}
