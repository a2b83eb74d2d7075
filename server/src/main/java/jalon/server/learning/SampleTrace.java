package jalon.server.learning;

import jalon.server.store.DocumentTrace;
import org.springframework.stereotype.Component;

/** Samples of a type: what stood on the pages of a document that it is known by. The type is known by the others then. */
@Component
class SampleTrace implements DocumentTrace {
    private final SampleRows rows;

    SampleTrace(SampleRows rows) {
        this.rows = rows;
    }

    @Override
    public void erase(Erased document) {
        document.pages().forEach(page -> rows.erase(document.batch(), page));
    }
}
