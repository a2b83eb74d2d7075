package jalon.server.archive;

import static java.util.stream.Collectors.groupingBy;

import jalon.core.image.Repair;
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
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Jalon's own archive: filed documents, taken in and opened again. */
@Service
public class Archive {
    private static final int MOST_HITS = 500;
    private static final JsonMapper JSON = JsonMapper.builder().build();

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

    /** The document that was filed first as this one of a batch. */
    public Optional<Long> of(long batch, int document) {
        return rows.of(batch, document);
    }

    /**
     * Takes a document in; a second time changes nothing.
     *
     * @param batch that it came in, or what came last of it
     * @param pages where each of its pages came in
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
        var row = new ArchiveRows.DocumentRow(
                0,
                batch.id(),
                document.origin().no(),
                new FoundDocuments.Kind(
                        document.origin().stream(), document.origin().type(), document.title()),
                pages.stream().map(page -> page.written(batch.id())).toList(),
                path,
                1,
                new ArchiveRows.Filed(filedBy, document.at()));
        Optional<Long> id = goesOn.isPresent() ? wentOn(goesOn.get(), row, pages) : added(row);
        id.ifPresent(taken -> {
            document.fields().forEach((name, value) -> rows.addField(taken, name, value));
            for (int i = 0; i < document.pages().size(); i++) {
                rows.addText(
                        taken,
                        i + 1,
                        String.join(
                                "\n",
                                document.pages().get(i).lines().stream()
                                        .map(Line::text)
                                        .toList()));
            }
            rows.changed(taken, times.now());
        });
    }

    /** @return empty when it is there already */
    private Optional<Long> added(ArchiveRows.DocumentRow row) {
        var made = new NewId();
        return rows.add(made, row) == 0 ? Optional.empty() : Optional.of(made.getId());
    }

    /** The version so far stays readable. @return empty when the newer one is there already */
    private Optional<Long> wentOn(long id, ArchiveRows.DocumentRow row, List<ArchivePage> pages) {
        ArchiveRows.DocumentRow before = rows.find(id).orElseThrow();
        boolean known = before.path().equals(row.path())
                || rows.versions(id).stream().anyMatch(v -> v.path().equals(row.path()));
        if (known) {
            return Optional.empty();
        }
        Map<String, String> values = new LinkedHashMap<>();
        rows.fields(id).forEach(f -> values.put(f.name(), f.value()));
        rows.keepVersion(id, JSON.writeValueAsString(values));
        rows.goOn(
                id,
                new ArchiveRows.DocumentRow(
                        id,
                        before.batchId(),
                        before.documentNo(),
                        row.kind(),
                        pages.stream()
                                .map(page -> page.written(before.batchId()))
                                .toList(),
                        row.path(),
                        before.version() + 1,
                        row.filed()));
        rows.clearFields(id);
        rows.clearText(id);
        return Optional.of(id);
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
        log.seen(List.of(id), who, DocumentLog.What.OPENED);
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
        return taken(id, path, who);
    }

    /** A page of a document as it is shown. @param no counted in the document, from 1 */
    public record Shown(int no, PageFacts facts, List<Repair> recipe) {}

    /** All of a document's pages; none where they are not for this person. */
    public List<Shown> pages(Opened opened, String who) {
        return opened.path() == null
                ? List.of()
                : shown(sights.whole(opened.document().id(), sights.of(who)));
    }

    private List<Shown> shown(ArchiveRows.DocumentRow d) {
        List<ArchivePage> pages = d.inOrder();
        Map<Long, Map<Integer, List<Repair>>> recipes = new HashMap<>();
        pages.stream()
                .collect(groupingBy(ArchivePage::batch))
                .forEach((batch, its) -> recipes.put(
                        batch,
                        batches.filedRecipes(
                                batches.get(batch),
                                its.stream().map(ArchivePage::no).toList())));
        Map<Integer, PageFacts> facts = documents.facts(d);
        List<Shown> all = new ArrayList<>();
        for (int i = 0; i < pages.size(); i++) {
            ArchivePage page = pages.get(i);
            all.add(new Shown(i + 1, facts.get(i + 1), recipes.get(page.batch()).getOrDefault(page.no(), List.of())));
        }
        return all;
    }

    /** A printed line, for who wants to copy it. */
    public record TextLine(String text, Box box) {}

    /** What is printed on a page of a document, in reading order. */
    public List<TextLine> text(long id, int page, String who) {
        ArchiveRows.DocumentRow d = withPage(id, page, who);
        log.seen(id, who, DocumentLog.What.TEXT, page);
        return documents.facts(d).get(page).lines().stream()
                .map(line -> new TextLine(line.text(), line.box()))
                .toList();
    }

    /** Where the filed PDF lies. @param who takes it along */
    public Path file(long id, String who) {
        return taken(id, sights.whole(id, sights.of(who)).path(), who);
    }

    private Path taken(long id, String path, String who) {
        Path file = root.resolve(path).normalize();
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

    /** A page of a document, counted in it from 1, for somebody who is shown its picture. */
    public Shown page(long id, int page, String who) {
        ArchiveRows.DocumentRow d = withPage(id, page, who);
        log.seen(id, who, DocumentLog.What.PAGE, page);
        ArchivePage in = d.inOrder().get(page - 1);
        Batch batch = batches.get(in.batch());
        return new Shown(
                page,
                batches.facts(batch, List.of(in.no())).get(in.no()),
                batches.filedRecipes(batch, List.of(in.no())).getOrDefault(in.no(), List.of()));
    }

    private ArchiveRows.DocumentRow withPage(long id, int page, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        if (page < 1 || page > d.pages().size()) {
            throw Problem.DOCUMENT_HAS_NO_PAGE.with(page);
        }
        return d;
    }

    /** Where its pages came in, for somebody who may see them. */
    public List<ArchivePage> cameIn(long id, String who) {
        return sights.whole(id, sights.of(who)).inOrder();
    }

    /** What somebody who may see its pages can add pages to. @return the batch and number that it was filed as first */
    public Batch.Continued goesOn(long id, String who) {
        ArchiveRows.DocumentRow d = sights.whole(id, sights.of(who));
        return new Batch.Continued(d.batchId(), d.documentNo());
    }
}
