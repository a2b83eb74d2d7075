package jalon.server.archive;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import jalon.core.image.Repair;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.server.JalonSettings;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Jalon's own archive: filed documents, opened again by those who may see them. */
@Service
public class Archive {
    private static final int MOST_HITS = 500;

    private final ArchiveRows rows;
    private final FoundDocuments documents;
    private final ArchiveSearch search;
    private final Sights sights;
    private final DocumentLog seen;
    private final ActivityLog log;
    private final Batches batches;
    private final Path root;

    Archive(
            ArchiveRows rows,
            FoundDocuments documents,
            ArchiveSearch search,
            Sights sights,
            DocumentLog seen,
            ActivityLog log,
            Batches batches,
            JalonSettings settings) {
        this.rows = rows;
        this.documents = documents;
        this.search = search;
        this.sights = sights;
        this.seen = seen;
        this.log = log;
        this.batches = batches;
        this.root = settings.dataFolder().resolve("archive");
    }

    public Path root() {
        return root;
    }

    /** A version as it is told. @param pageCount pages that it has, @param now whether it is the newest */
    public record DocumentVersion(int version, int pageCount, Instant filedAt, String filedBy, boolean now) {}

    /** All, the newest first. */
    private List<DocumentVersion> versions(ArchiveRows.DocumentRow d) {
        List<DocumentVersion> all = new ArrayList<>();
        all.add(new DocumentVersion(
                d.version(), d.pages().size(), d.filed().at(), d.filed().by(), true));
        rows.versions(d.id())
                .forEach(v -> all.add(new DocumentVersion(
                        v.version(), v.pages().size(), v.filed().at(), v.filed().by(), false)));
        return all;
    }

    /**
     * A document opened: where on its pages the hits are, and what it was before.
     *
     * @param path null where its file is hidden
     * @param fields all that its type has, with a value or without
     */
    public record Opened(
            FoundDocuments.Found document,
            List<FoundDocuments.Hit> hits,
            String path,
            List<DocumentVersion> versions,
            List<ArchiveSearch.SearchField> fields) {}

    /**
     * @param line that found it, whose words are marked
     * @param who opens it; without its pages where these are not for this person
     */
    public Opened open(long id, String line, String who) {
        Sight sight = sights.of(who);
        ArchiveRows.DocumentRow d = sights.document(id, sight);
        FoundDocuments.Found found =
                documents.of(List.of(id), FoundDocuments.Marked.NOTHING, sight).get(0);
        seen.seen(List.of(id), who, DocumentLog.What.OPENED);
        return found.pagesHidden()
                ? new Opened(found, List.of(), null, versions(d), List.of())
                : new Opened(
                        found,
                        documents.hits(d, search.marked(line, sight), MOST_HITS),
                        d.path(),
                        versions(d),
                        documents.titles(d));
    }

    /** The file of a version. @param who takes it along */
    public Path file(long id, int version, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        String path = d.version() == version
                ? d.path()
                : rows.versions(id).stream()
                        .filter(v -> v.version() == version)
                        .findFirst()
                        .orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with())
                        .path();
        taken(List.of(d), who);
        return file(path);
    }

    /** Where filed PDFs lie: all of them are there for this person, or none is given. @param who takes them along */
    public List<Path> files(List<Long> ids, String who) {
        Sight sight = sights.of(who);
        List<ArchiveRows.DocumentRow> all =
                ids.stream().map(id -> sights.whole(id, sight)).toList();
        List<Path> files = all.stream().map(d -> file(d.path())).toList();
        taken(all, who);
        return files;
    }

    private Path file(String path) {
        Path file = root.resolve(path).normalize();
        if (!file.startsWith(root)) {
            throw Problem.NOT_IN_ARCHIVE.with();
        }
        return file;
    }

    private void taken(List<ArchiveRows.DocumentRow> documents, String who) {
        seen.seen(documents.stream().map(ArchiveRows.DocumentRow::id).toList(), who, DocumentLog.What.FILE);
        documents.forEach(d -> log.add(who, d.batchId(), Act.TOOK_FILE.with(d.id())));
    }

    /** A page of a document as it is shown. @param no counted in the document, from 1 */
    public record Shown(int no, PageFacts facts, List<Repair> recipe) {}

    /** All of a document's pages; none where they are not for this person. */
    public List<Shown> pages(Opened opened, String who) {
        if (opened.path() == null) {
            return List.of();
        }
        ArchiveRows.DocumentRow d = sights.whole(opened.document().id(), sights.of(who));
        return shown(d, d.numbers());
    }

    /** A page of a document, counted in it from 1, for somebody who is shown its picture. */
    public Shown page(long id, int page, String who) {
        ArchiveRows.DocumentRow d = withPage(id, page, who);
        seen.seen(id, who, DocumentLog.What.PAGE, page);
        return shown(d, List.of(page)).get(0);
    }

    private List<Shown> shown(ArchiveRows.DocumentRow d, List<Integer> numbers) {
        List<ArchivePage> pages = d.inOrder();
        Map<Long, List<Integer>> byBatch = numbers.stream()
                .map(no -> pages.get(no - 1))
                .collect(groupingBy(ArchivePage::batch, mapping(ArchivePage::no, toList())));
        Map<Long, Map<Integer, List<Repair>>> recipes = new HashMap<>();
        byBatch.forEach((batch, its) -> recipes.put(batch, batches.filedRecipes(batches.get(batch), its)));
        Map<Integer, PageFacts> facts = documents.facts(d, numbers);
        return numbers.stream()
                .map(no -> {
                    ArchivePage page = pages.get(no - 1);
                    List<Repair> recipe = recipes.get(page.batch()).getOrDefault(page.no(), List.of());
                    return new Shown(no, facts.get(no), recipe);
                })
                .toList();
    }

    /** A printed line, for who wants to copy it. */
    public record TextLine(String text, Box box) {}

    /** What is printed on a page of a document, in reading order. */
    public List<TextLine> text(long id, int page, String who) {
        ArchiveRows.DocumentRow d = withPage(id, page, who);
        seen.seen(id, who, DocumentLog.What.TEXT, page);
        return documents.facts(d, List.of(page)).get(page).lines().stream()
                .map(line -> new TextLine(line.text(), line.box()))
                .toList();
    }

    private ArchiveRows.DocumentRow withPage(long id, int page, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        if (page < 1 || page > d.pages().size()) {
            throw Problem.DOCUMENT_HAS_NO_PAGE.with(page);
        }
        return d;
    }

    /** What a document was filed as first, and where the pages that it has now came in. */
    public record CameFrom(Batch.Continued document, List<ArchivePage> pages) {}

    /** For somebody who may see its pages. */
    public CameFrom cameFrom(long id, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        return new CameFrom(d.firstFiled(), d.inOrder());
    }

    /** For somebody who adds to it or corrects it. */
    public Batch.Continued goesOn(long id, String who) {
        return sights.workable(id, sights.of(who)).firstFiled();
    }
}
