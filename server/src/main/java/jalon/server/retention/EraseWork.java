package jalon.server.retention;

import jalon.core.run.BatchView;
import jalon.core.words.Words;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.ReceivedOriginals;
import jalon.server.filing.ErasedFiles;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.DocumentTrace;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Erases what lies together with a document: first the files at all destinations, each by itself, then, when nothing is left
 * of these, what was received and all that Jalon keeps of it. Done twice it does what is left.
 */
@Component
public class EraseWork {
    private final KeptRows rows;
    private final ErasedFiles files;
    private final ReceivedOriginals originals;
    private final List<DocumentTrace> traces;
    private final Batches batches;
    private final BatchFiling marks;
    private final ActivityLog log;
    private final Events events;
    private final TransactionTemplate transaction;
    private final Times times;

    EraseWork(
            KeptRows rows,
            ErasedFiles files,
            ReceivedOriginals originals,
            List<DocumentTrace> traces,
            Batches batches,
            BatchFiling marks,
            ActivityLog log,
            Events events,
            TransactionTemplate transaction,
            Times times) {
        this.rows = rows;
        this.files = files;
        this.originals = originals;
        this.traces = traces;
        this.batches = batches;
        this.marks = marks;
        this.log = log;
        this.events = events;
        this.transaction = transaction;
        this.times = times;
    }

    /** @param id of the kept document that the others are erased together with */
    public void erase(long id) {
        List<KeptRows.Row> together = rows.together(id);
        List<ErasedFiles.NotNow> left =
                files.erase(together.stream().map(KeptRows.Row::document).toList());
        if (!left.isEmpty()) {
            String trouble = left.stream()
                    .map(l -> l.destination() + ": " + l.why().words())
                    .distinct()
                    .collect(Collectors.joining("\n"));
            rows.trouble(id, trouble);
            together.forEach(row -> events.changed(Batch.no(row.batchId())));
            throw new IllegalStateException("not all of kept document " + id + " could be erased yet: " + trouble);
        }
        for (KeptRows.Row row : together) {
            if (!row.isErased()) {
                transaction.executeWithoutResult(t -> forget(row));
                events.changed(Batch.no(row.batchId()));
            }
        }
    }

    /** One document of a batch after the other: the last one takes the rest of it along. */
    private void forget(KeptRows.Row row) {
        Batch batch = marks.lock(Batch.no(row.batchId()));
        rows.erased(row.id(), times.now());
        List<BatchView.DocumentView> documents = batches.view(batch, false).documents();
        Set<Integer> gone = rows.ofBatch(batch.id()).stream()
                .filter(KeptRows.Row::isErased)
                .map(KeptRows.Row::documentNo)
                .collect(Collectors.toSet());
        boolean batchToo = gone.size() == documents.size();
        List<String> lay = files.lay(row.document()).stream()
                .map(l -> l.destination() + " " + Words.name(l.became()))
                .distinct()
                .toList();
        var erased = new DocumentTrace.Erased(
                batch.id(),
                row.documentNo(),
                documents.get(row.documentNo() - 1).pages(),
                gone,
                files.paths(row.document()),
                batchToo);
        traces.forEach(trace -> trace.erase(erased));
        try {
            originals.eraseUnneeded(batch.id(), batchToo);
        } catch (IOException e) {
            throw new UncheckedIOException("what was received of " + batch.no() + " could not be erased", e);
        }
        log.add(row.course().by(), batch.id(), Act.ERASED.with(row.documentNo(), String.join(", ", lay)));
    }
}
