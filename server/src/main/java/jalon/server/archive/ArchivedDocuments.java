package jalon.server.archive;

import jalon.core.output.FiledDocument;
import jalon.core.read.Line;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.ActivityLog;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Takes filed documents into the archive, as new ones or as newer versions of some that are there. */
@Service
public class ArchivedDocuments {
    private final ArchiveRows rows;
    private final Batches batches;
    private final Times times;

    ArchivedDocuments(ArchiveRows rows, Batches batches, Times times) {
        this.rows = rows;
        this.batches = batches;
        this.times = times;
    }

    /** The document that was filed first as this one of a batch. */
    public Optional<Long> of(long batch, int document) {
        return rows.of(batch, document);
    }

    /** The document that one here was filed first as. */
    public Batch.Continued filedAs(long id) {
        return rows.find(id).orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with()).firstFiled();
    }

    /**
     * Takes a document in; a second time changes nothing.
     *
     * @param batch that it came in, or what came last of it
     * @param pages where each of its pages came in
     * @param path of the file that people look at, below the archive
     * @param goesOn the document that it is a newer version of; empty for a new one
     * @param by sign-in of who corrected it; empty where its batch says on whose word it is filed
     */
    public void add(
            Batch batch,
            FiledDocument document,
            List<ArchivePage> pages,
            String path,
            Optional<Long> goesOn,
            Optional<String> by) {
        String person = by.orElse(batch.wentByItself() ? null : batch.holder().person());
        String filedBy = person == null ? ActivityLog.JALON : batches.nameOf(person);
        long own = goesOn.map(id -> rows.find(id).orElseThrow().batchId()).orElse(batch.id());
        var row = new ArchiveRows.DocumentRow(
                0,
                batch.id(),
                document.origin().no(),
                new FoundDocuments.Kind(
                        document.origin().stream(), document.origin().type(), document.title()),
                pages.stream().map(page -> page.written(own)).toList(),
                path,
                1,
                new ArchiveRows.Filed(filedBy, document.at()));
        (goesOn.isPresent() ? wentOn(goesOn.get(), row) : added(row)).ifPresent(id -> fill(id, document));
    }

    /** @return empty when it is there already */
    private Optional<Long> added(ArchiveRows.DocumentRow row) {
        var made = new NewId();
        return rows.add(made, row) == 0 ? Optional.empty() : Optional.of(made.getId());
    }

    /** The version so far stays readable. @return empty when the newer one is there already */
    private Optional<Long> wentOn(long id, ArchiveRows.DocumentRow row) {
        boolean known = rows.find(id).orElseThrow().path().equals(row.path())
                || rows.versions(id).stream().anyMatch(v -> v.path().equals(row.path()));
        if (known) {
            return Optional.empty();
        }
        rows.keepVersion(id);
        rows.goOn(id, row);
        rows.clearFields(id);
        rows.clearText(id);
        return Optional.of(id);
    }

    /** Nobody finds or opens it any more, and nothing says who did; its files are not the archive's to erase. */
    public void remove(long batch, int document) {
        rows.of(batch, document).ifPresent(id -> {
            rows.clearFields(id);
            rows.clearText(id);
            rows.clearVersions(id);
            rows.clearSeen(id);
            rows.remove(id);
            rows.changed(id, times.now());
        });
    }

    private void fill(long id, FiledDocument document) {
        document.fields().forEach((name, value) -> rows.addField(id, name, value));
        for (int i = 0; i < document.pages().size(); i++) {
            List<String> lines =
                    document.pages().get(i).lines().stream().map(Line::text).toList();
            rows.addText(id, i + 1, String.join("\n", lines));
        }
        rows.changed(id, times.now());
    }
}
