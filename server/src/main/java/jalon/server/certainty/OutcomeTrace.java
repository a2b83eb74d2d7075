package jalon.server.certainty;

import jalon.server.store.DocumentTrace;
import org.springframework.stereotype.Component;

/** How sure values were and whether they were right stays; what they were goes. */
@Component
class OutcomeTrace implements DocumentTrace {
    private final OutcomeRows rows;

    OutcomeTrace(OutcomeRows rows) {
        this.rows = rows;
    }

    @Override
    public void erase(Erased document) {
        rows.forgetValues(document.batch(), document.no());
    }
}
