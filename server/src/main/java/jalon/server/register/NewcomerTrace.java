package jalon.server.register;

import jalon.server.store.DocumentTrace;
import org.springframework.stereotype.Component;

/** Values that a register did not have. */
@Component
class NewcomerTrace implements DocumentTrace {
    private final NewcomerRows rows;

    NewcomerTrace(NewcomerRows rows) {
        this.rows = rows;
    }

    @Override
    public void erase(Erased document) {
        rows.erase(document.batch(), document.no());
    }
}
