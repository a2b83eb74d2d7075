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
     * @param odds how much more likely the passed checks make it: their product
     */
    record Verdict(List<Reason> problems, double odds) {
        boolean passed() {
            return problems.isEmpty();
        }
    }

    /** @param byForm whether the value was found by its form, so that having that form proves nothing more */
    static Verdict check(String value, List<Check> checks, Known known, boolean byForm) {
        List<Reason> problems = new ArrayList<>();
        double odds = 1;
        for (Check check : checks) {
            ValueCheck atWork = ValueCheck.of(check);
            atWork.against(value, known).ifPresent(problems::add);
            if (problems.isEmpty() && !(byForm && atWork.ofForm())) {
                odds *= atWork.odds(value, known);
            }
        }
        return new Verdict(problems, odds);
    }
}
