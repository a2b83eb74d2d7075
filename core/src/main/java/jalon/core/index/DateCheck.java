package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** A real date, as near to today as the field wants it. */
record DateCheck(Check.Date wanted) implements ValueCheck {
    @Override
    public Optional<Reason> against(String value, Known known) {
        LocalDate date;
        try {
            date = LocalDate.parse(value);
        } catch (DateTimeParseException e) {
            return Optional.of(Reason.Code.NOT_A_DATE.with(value));
        }
        if (!wanted.future() && date.isAfter(known.today())) {
            return Optional.of(Reason.Code.IN_THE_FUTURE.with());
        }
        if (wanted.yearsBack() != null && date.isBefore(known.today().minusYears(wanted.yearsBack()))) {
            return Optional.of(Reason.Code.TOO_LONG_AGO.with(wanted.yearsBack()));
        }
        return Optional.empty();
    }

    @Override
    public double odds(String value, Known known) {
        return Certainty.DATE_CHECK;
    }
}
