package jalon.core.index;

import jalon.core.stream.TidyStep;
import java.util.List;

/** Does a field's tidy steps, in order; stops at the first that cannot be done. */
final class Tidy {
    private Tidy() {}

    static Tidying.Tidied tidy(String raw, List<TidyStep> steps) {
        var tidied = Tidying.Tidied.to(raw.strip());
        for (TidyStep step : steps) {
            tidied = Tidying.of(step).on(tidied.value());
            if (tidied.problem() != null) {
                break;
            }
        }
        return tidied;
    }
}
