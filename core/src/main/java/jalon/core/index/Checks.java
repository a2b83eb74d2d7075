package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.Check;
import java.util.ArrayList;
import java.util.List;

/** Holds a value against a field's checks. */
final class Checks {
    private Checks() {}

    /**
     * @param problems what the value fails; empty when it passes all
     * @param backing 0..1: how much the passed checks speak for the value (a register row more than a form)
     */
    record Verdict(List<Reason> problems, double backing) {
        boolean passed() {
            return problems.isEmpty();
        }
    }

    static Verdict check(String value, List<Check> checks, Known known) {
        List<Reason> problems = new ArrayList<>();
        double backing = 0;
        for (Check check : checks) {
            ValueCheck atWork = ValueCheck.of(check);
            atWork.against(value, known).ifPresent(problems::add);
            backing = Math.max(backing, atWork.backing());
        }
        return new Verdict(problems, backing);
    }
}
