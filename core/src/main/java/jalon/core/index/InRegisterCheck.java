package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.register.Register;
import jalon.core.stream.Check;
import java.util.Optional;

/** A value that one of the organisation's records has. */
record InRegisterCheck(Check.InRegister wanted) implements ValueCheck {
    @Override
    public Optional<Reason> against(String value, Known known) {
        Register register = known.registers().get(wanted.register());
        if (register == null) {
            return Optional.of(Reason.Code.NO_REGISTER.with(wanted.register()));
        }
        return register.rows(wanted.column(), value).isEmpty()
                ? Optional.of(Reason.Code.NOT_IN_REGISTER.with(wanted.register()))
                : Optional.empty();
    }

    @Override
    public double odds(String value, Known known) {
        Register register = known.registers().get(wanted.register());
        if (register == null) {
            return 1;
        }
        Register.Neighbours near = register.neighbours(wanted.column(), value);
        return Certainty.inRegister(near.possible(), near.known().size());
    }
}
