package jalon.server.filing;

import jalon.core.name.NameCounts;
import jalon.core.page.Sha256;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Numbers for names, of all servers together: one that was taken is not given again, whatever becomes of the document. */
@Component
class FilingCounts implements NameCounts {
    private final CountRows rows;
    private final TransactionTemplate atOnce;

    FilingCounts(CountRows rows, PlatformTransactionManager transactions) {
        this.rows = rows;
        this.atOnce = new TransactionTemplate(transactions);
        // No filing waits for another, and one that is given up gives no number back.
        atOnce.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    @Override
    public long next(String of) {
        String key = Sha256.of(of);
        return atOnce.execute(t -> {
            rows.take(key);
            return rows.last(key);
        });
    }

    /** What they would be now; nothing is taken. */
    NameCounts shown() {
        Map<String, Long> given = new HashMap<>();
        return of -> given.merge(of, rows.last(Sha256.of(of)) + 1, (before, first) -> before + 1);
    }
}
