package jalon.server.archive;

import jalon.core.output.FiledDocument;
import jalon.core.page.Box;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.server.JalonSettings;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.ActivityLog;
import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Service;

/** Jalon's own archive: filed documents, taken in and opened again. */
@Service
public class Archive {
    private static final int MOST_HITS = 500;

    private final ArchiveRows rows;
    private final FoundDocuments documents;
    private final ArchiveSearch search;
    private final Batches batches;
    private final Times times;
    private final Path root;

    Archive(
            ArchiveRows rows,
            FoundDocuments documents,
            ArchiveSearch search,
            Batches batches,
            Times times,
            JalonSettings settings) {
        this.rows = rows;
        this.documents = documents;
        this.search = search;
        this.batches = batches;
        this.times = times;
        this.root = settings.dataFolder().resolve("archive");
    }

    public Path root() {
        return root;
    }

    /** Takes a document in; a second time changes nothing. */
    public void add(Batch batch, FiledDocument document, String path) {
        var made = new NewId();
        List<Integer> pages = document.pages().stream().map(PageFacts::no).toList();
        String person = batch.wentByItself() ? null : batch.holder().person();
        String filedBy = person == null ? ActivityLog.JALON : batches.nameOf(person);
        var row = new ArchiveRows.DocumentRow(
                0,
                batch.id(),
                document.origin().no(),
                new FoundDocuments.Kind(
                        document.origin().stream(), document.origin().type(), document.title()),
                pages.stream().map(String::valueOf).toList(),
                path,
                new ArchiveRows.Filed(filedBy, document.at()));
        if (rows.add(made, row) == 0) {
            return;
        }
        document.fields().forEach((name, value) -> rows.addField(made.getId(), name, value));
        for (PageFacts page : document.pages()) {
            rows.addText(
                    made.getId(),
                    page.no(),
                    String.join("\n", page.lines().stream().map(Line::text).toList()));
        }
        rows.changed(made.getId(), times.now());
    }

    /** A document opened: its pages and where on them the hits are. */
    public record Opened(
            FoundDocuments.Found document, List<Integer> pages, List<FoundDocuments.Hit> hits, String path) {}

    /** @param line that found it, whose words are marked */
    public Opened open(long id, String line) {
        ArchiveRows.DocumentRow d = row(id);
        FoundDocuments.Marked marked = search.marked(line);
        return new Opened(
                documents.of(List.of(id), FoundDocuments.Marked.NOTHING).get(0),
                FoundDocuments.pages(d),
                documents.hits(d, marked, MOST_HITS),
                d.path());
    }

    /** A printed line, for who wants to copy it. */
    public record TextLine(String text, Box box) {}

    /** What is printed on a page of a document, in reading order. */
    public List<TextLine> text(long id, int page) {
        return batches.facts(batchOf(id, page), List.of(page)).get(page).lines().stream()
                .map(line -> new TextLine(line.text(), line.box()))
                .toList();
    }

    /** Where the filed PDF lies. */
    public Path file(long id) {
        Path file = root.resolve(row(id).path()).normalize();
        if (!file.startsWith(root)) {
            throw Problem.NOT_IN_ARCHIVE.with();
        }
        return file;
    }

    /** The batch that a document came in. */
    public Batch batchOf(long id) {
        return batches.get(row(id).batchId());
    }

    /** The batch page behind a page of an archived document; others are not for readers. */
    public Batch batchOf(long id, int page) {
        ArchiveRows.DocumentRow d = row(id);
        if (!FoundDocuments.pages(d).contains(page)) {
            throw Problem.DOCUMENT_HAS_NO_PAGE.with(page);
        }
        return batches.get(d.batchId());
    }

    private ArchiveRows.DocumentRow row(long id) {
        return rows.find(id).orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with());
    }
}
