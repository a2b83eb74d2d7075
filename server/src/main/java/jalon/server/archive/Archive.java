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
    private final Sights sights;
    private final DocumentLog log;
    private final Batches batches;
    private final Times times;
    private final Path root;

    Archive(
            ArchiveRows rows,
            FoundDocuments documents,
            ArchiveSearch search,
            Sights sights,
            DocumentLog log,
            Batches batches,
            Times times,
            JalonSettings settings) {
        this.rows = rows;
        this.documents = documents;
        this.search = search;
        this.sights = sights;
        this.log = log;
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

    /**
     * @param line that found it, whose words are marked
     * @param who opens it; without its pages where these are not for this person
     */
    public Opened open(long id, String line, String who) {
        Sight sight = sights.of(who);
        ArchiveRows.DocumentRow d = sights.document(id, sight);
        FoundDocuments.Found found =
                documents.of(List.of(id), FoundDocuments.Marked.NOTHING, sight).get(0);
        log.seen(List.of(id), who, DocumentLog.What.OPENED);
        return found.pagesHidden()
                ? new Opened(found, List.of(), List.of(), null)
                : new Opened(
                        found,
                        FoundDocuments.pages(d),
                        documents.hits(d, search.marked(line, sight), MOST_HITS),
                        d.path());
    }

    /** A printed line, for who wants to copy it. */
    public record TextLine(String text, Box box) {}

    /** What is printed on a page of a document, in reading order. */
    public List<TextLine> text(long id, int page, String who) {
        Batch batch = batchOf(id, page, who);
        log.seen(id, who, DocumentLog.What.TEXT, page);
        return batches.facts(batch, List.of(page)).get(page).lines().stream()
                .map(line -> new TextLine(line.text(), line.box()))
                .toList();
    }

    /** Where the filed PDF lies. @param who takes it along */
    public Path file(long id, String who) {
        Path file = root.resolve(sights.whole(id, sights.of(who)).path()).normalize();
        if (!file.startsWith(root)) {
            throw Problem.NOT_IN_ARCHIVE.with();
        }
        log.seen(List.of(id), who, DocumentLog.What.FILE);
        return file;
    }

    /** The batch that a document came in, for somebody who may see its pages. */
    public Batch batchOf(long id, String who) {
        return batches.get(sights.whole(id, sights.of(who)).batchId());
    }

    /** The batch with a page of a document, for somebody who is shown its picture. */
    public Batch shown(long id, int page, String who) {
        Batch batch = batchOf(id, page, who);
        log.seen(id, who, DocumentLog.What.PAGE, page);
        return batch;
    }

    private Batch batchOf(long id, int page, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        if (!FoundDocuments.pages(d).contains(page)) {
            throw Problem.DOCUMENT_HAS_NO_PAGE.with(page);
        }
        return batches.get(d.batchId());
    }
}
