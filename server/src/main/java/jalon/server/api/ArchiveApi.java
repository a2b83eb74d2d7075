package jalon.server.api;

import jalon.core.image.Repair;
import jalon.server.Problem;
import jalon.server.archive.Archive;
import jalon.server.archive.ArchiveSearch;
import jalon.server.archive.DocumentBundle;
import jalon.server.archive.DocumentLog;
import jalon.server.archive.SavedSearches;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.CameBy;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import jalon.server.filing.Corrections;
import jalon.server.filing.DocumentStory;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.picture.PageRenditions;
import jalon.server.register.FiledVersions;
import jalon.server.retention.DueDocuments;
import java.nio.file.Path;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Finding filed documents. All that a reader sees. */
@RestController
@RequestMapping("/api/archive")
class ArchiveApi {
    private final Archive archive;
    private final ArchiveSearch search;
    private final SavedSearches searches;
    private final DocumentBundle bundle;
    private final Batches batches;
    private final FiledVersions versions;
    private final PageRenditions renditions;
    private final Receiving receiving;
    private final Corrections corrections;
    private final DocumentStory story;
    private final DueDocuments due;
    private final ActivityLog log;
    private final DocumentLog documentLog;

    ArchiveApi(
            Archive archive,
            ArchiveSearch search,
            SavedSearches searches,
            DocumentBundle bundle,
            Batches batches,
            FiledVersions versions,
            PageRenditions renditions,
            Receiving receiving,
            Corrections corrections,
            DocumentStory story,
            DueDocuments due,
            ActivityLog log,
            DocumentLog documentLog) {
        this.documentLog = documentLog;
        this.search = search;
        this.searches = searches;
        this.bundle = bundle;
        this.log = log;
        this.receiving = receiving;
        this.corrections = corrections;
        this.story = story;
        this.due = due;
        this.archive = archive;
        this.batches = batches;
        this.versions = versions;
        this.renditions = renditions;
    }

    /**
     * @param sort name of a field, behind a minus for the largest first; empty for what was filed last
     * @param from how many results to pass over
     */
    @GetMapping
    ArchiveSearch.Result searchArchive(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "0") int from,
            Principal who) {
        return search.search(q, sort, Math.max(0, from), who.getName());
    }

    @GetMapping("/suggestions")
    List<ArchiveSearch.Suggestion> archiveSuggestions(@RequestParam(defaultValue = "") String q, Principal who) {
        return search.suggest(q, who.getName());
    }

    @GetMapping(value = "/results.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> archiveResults(
            @RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String sort, Principal who) {
        String csv = search.csv(q, sort, who.getName());
        log.add(who.getName(), Act.TOOK_RESULTS.with(q));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"found.csv\"")
                .body(csv);
    }

    /** One after the other in one file. @param ids of the documents, in the order wanted */
    @GetMapping(value = "/files.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<StreamingResponseBody> archivedFilesAsPdf(@RequestParam List<Long> ids, Principal who) {
        List<Path> files = bundle.files(ids, who.getName());
        return Attached.as("documents.pdf", out -> bundle.pdf(files, out));
    }

    /** Each as a file of its own. @param ids of the documents */
    @GetMapping(value = "/files.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> archivedFilesAsZip(@RequestParam List<Long> ids, Principal who) {
        List<Path> files = bundle.files(ids, who.getName());
        return Attached.as("documents.zip", out -> bundle.zip(files, out));
    }

    @GetMapping("/searches")
    List<SavedSearches.SavedSearch> savedSearches(Principal who) {
        return searches.of(who.getName());
    }

    @PutMapping("/searches")
    List<SavedSearches.SavedSearch> keepSearch(@RequestBody SavedSearches.SavedSearch wanted, Principal who) {
        return searches.keep(who.getName(), wanted);
    }

    @DeleteMapping("/searches")
    List<SavedSearches.SavedSearch> removeSearch(@RequestParam String name, Principal who) {
        return searches.remove(who.getName(), name);
    }

    /**
     * @param no of the page in the document, from 1
     * @param lean clockwise, in degrees, of the print on the page as it was received
     * @param repairs done to the page before it was filed
     */
    record PageInfo(int no, double widthMm, double heightMm, double lean, List<Repair> repairs) {}

    /** @param registers that its values were looked up in, in the version of then */
    record OpenedDocument(Archive.Opened document, List<PageInfo> pages, List<FiledVersions.Used> registers) {}

    @GetMapping("/{id}")
    OpenedDocument archivedDocument(@PathVariable long id, @RequestParam(defaultValue = "") String q, Principal who) {
        Archive.Opened opened = archive.open(id, q, who.getName());
        Batch batch = batches.get(opened.document().batch());
        log.add(who.getName(), batch.id(), Act.LOOKED_AT.with(id));
        return new OpenedDocument(
                opened,
                archive.pages(opened, who.getName()).stream()
                        .map(page -> new PageInfo(
                                page.no(),
                                page.facts().image().widthMm(),
                                page.facts().image().heightMm(),
                                page.facts().image().skewDegrees(),
                                page.recipe()))
                        .toList(),
                versions.of(batch.id(), opened.document().kind().type()));
    }

    /** What was shown of it to whom, for supervisors. */
    @GetMapping("/{id}/seen")
    List<DocumentLog.SeenOn> archivedDocumentSeen(@PathVariable long id) {
        return documentLog.of(id);
    }

    /** How it came to be what it is, and where it lies, for those who work on batches. */
    @GetMapping("/{id}/story")
    DocumentStory.Story archivedDocumentStory(@PathVariable long id, Principal who) {
        return story.of(archive.cameFrom(id, who.getName()));
    }

    /** For how long it is kept, and what holds it; for those who work on batches. */
    @GetMapping("/{id}/kept")
    DueDocuments.DueDocument archivedDocumentKept(@PathVariable long id, Principal who) {
        return due.of(archive.cameFrom(id, who.getName()).document())
                .orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with());
    }

    @GetMapping("/{id}/pages/{page}/text")
    List<Archive.TextLine> archivedPageText(@PathVariable long id, @PathVariable int page, Principal who) {
        return archive.text(id, page, who.getName());
    }

    /** @param received whether the page is wanted as it was received, and not as it was filed */
    @GetMapping("/{id}/pages/{page}/picture")
    ResponseEntity<Resource> archivedPagePicture(
            @PathVariable long id,
            @PathVariable int page,
            @RequestParam(defaultValue = "900") int width,
            @RequestParam(defaultValue = "false") boolean received,
            Principal who) {
        Archive.Shown shown = archive.page(id, page, who.getName());
        return PageApi.picture(renditions.picture(shown.facts(), width, received ? List.of() : shown.recipe()));
    }

    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<Resource> archivedFile(@PathVariable long id, Principal who) {
        return shown(archive.files(List.of(id), who.getName()).get(0));
    }

    /** As it was before it went on. */
    @GetMapping(value = "/{id}/versions/{version}/file", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<Resource> archivedVersion(@PathVariable long id, @PathVariable int version, Principal who) {
        return shown(archive.file(id, version, who.getName()));
    }

    /** Opens a batch that brings more pages for a document; from there on it goes its way like any other. */
    @PostMapping("/{id}/pages")
    BatchApi.NewBatchNo openMorePages(@PathVariable long id, Principal who) {
        Batch.Continued document = archive.goesOn(id, who.getName());
        String stream = batches.get(document.batch()).stream().name();
        NewBatch more = NewBatch.of(stream, "upload", CameBy.UPLOAD, who.getName());
        return new BatchApi.NewBatchNo(receiving.open(more.moreOf(document)));
    }

    /**
     * @param values as typed, by field name; null for one that is not on the document, @param why as a person says
     * @param sure whether values that do not pass their fields' checks are meant so
     */
    record Correction(Map<String, String> values, String why, boolean sure) {}

    /** Corrects values after filing: a newer version, wherever one can be brought. */
    @PostMapping("/{id}/values")
    Corrections.Corrected correctArchived(@PathVariable long id, @RequestBody Correction wanted, Principal who) {
        return corrections.correct(
                archive.goesOn(id, who.getName()), wanted.values(), wanted.why(), wanted.sure(), who.getName());
    }

    private static ResponseEntity<Resource> shown(Path file) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(file.getFileName().toString(), java.nio.charset.StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(new FileSystemResource(file));
    }
}
