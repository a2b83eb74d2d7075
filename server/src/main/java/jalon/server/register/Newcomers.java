package jalon.server.register;

import jalon.core.evidence.Reason;
import jalon.core.run.BatchView;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.batch.Batch;
import jalon.server.stream.StreamLibrary;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/** What people found on filed paper that a register did not have: for those who keep the register. */
@Service
public class Newcomers {
    private static final int MOST = 200;

    private final NewcomerRows rows;
    private final StreamLibrary library;

    Newcomers(NewcomerRows rows, StreamLibrary library) {
        this.rows = rows;
        this.library = library;
    }

    /** @param field as people call it, @param batch number of the batch it was filed with, @param document in it */
    public record Newcomer(String field, String value, String batch, int document, String settledBy, Instant filedAt) {}

    /** Values of a batch whose filing was taken back. */
    public void forget(long batchId) {
        rows.forget(batchId);
    }

    /** Keeps those of a batch that is filed now. */
    public void keep(long batchId, StreamDefinition stream, BatchView view, Instant now) {
        for (BatchView.DocumentView document : view.documents()) {
            document.fields()
                    .forEach((name, value) -> value.reasons().stream()
                            .filter(why -> why.code() == Reason.Code.NOT_IN_REGISTER && value.by() != null)
                            .forEach(why -> rows.add(
                                    why.with().get("register"),
                                    new NewcomerRows.Row(
                                            batchId,
                                            document.no(),
                                            name,
                                            stream.type(document.type().type())
                                                    .flatMap(t -> t.field(name))
                                                    .map(Field::title)
                                                    .orElse(name),
                                            value.value(),
                                            value.by(),
                                            now))));
        }
    }

    /** Those that the register still does not have, the latest first. */
    public List<Newcomer> of(String register) {
        var known = library.register(register);
        return rows.all(register, MOST).stream()
                .filter(r -> known.columns().stream()
                        .allMatch(c -> known.rows(c, r.value()).isEmpty()))
                .map(r -> new Newcomer(
                        r.title(), r.value(), Batch.no(r.batchId()), r.document(), r.settledBy(), r.filedAt()))
                .toList();
    }
}
