package jalon.server.api;

import jalon.core.image.Repair;
import jalon.server.archive.Archive;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.picture.PageRenditions;
import jalon.server.register.FiledVersions;
import java.security.Principal;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finding filed documents. All that a reader sees. */
@RestController
@RequestMapping("/api/archive")
class ArchiveApi {
    private final Archive archive;
    private final Batches batches;
    private final FiledVersions versions;
    private final PageRenditions renditions;
    private final ActivityLog log;

    ArchiveApi(Archive archive, Batches batches, FiledVersions versions, PageRenditions renditions, ActivityLog log) {
        this.log = log;
        this.archive = archive;
        this.batches = batches;
        this.versions = versions;
        this.renditions = renditions;
    }

    @GetMapping
    Archive.Result searchArchive(@RequestParam(defaultValue = "") String q) {
        return archive.search(q);
    }

    /**
     * @param no of the page in its batch
     * @param lean clockwise, in degrees, of the print on the page as it was received
     * @param repairs done to the page before it was filed
     */
    record PageInfo(int no, double widthMm, double heightMm, double lean, List<Repair> repairs) {}

    /** @param registers that its values were looked up in, in the version of then */
    record OpenedDocument(Archive.Opened document, List<PageInfo> pages, List<FiledVersions.Used> registers) {}

    @GetMapping("/{id}")
    OpenedDocument archivedDocument(@PathVariable long id, @RequestParam(defaultValue = "") String q, Principal who) {
        Archive.Opened opened = archive.open(id, q);
        Batch batch = batches.get(opened.document().batch());
        log.add(who.getName(), batch.id(), Act.LOOKED_AT.with(id));
        var facts = batches.facts(batch);
        var recipes = batches.filedRecipes(batch, opened.pages());
        return new OpenedDocument(
                opened,
                opened.pages().stream()
                        .map(no -> new PageInfo(
                                no,
                                facts.get(no).image().widthMm(),
                                facts.get(no).image().heightMm(),
                                facts.get(no).image().skewDegrees(),
                                recipes.getOrDefault(no, List.of())))
                        .toList(),
                versions.of(batch.id(), opened.document().kind().type()));
    }

    /** @param received whether the page is wanted as it was received, and not as it was filed */
    @GetMapping("/{id}/pages/{page}/picture")
    ResponseEntity<Resource> archivedPagePicture(
            @PathVariable long id,
            @PathVariable int page,
            @RequestParam(defaultValue = "900") int width,
            @RequestParam(defaultValue = "false") boolean received) {
        Batch batch = archive.batchOf(id, page);
        List<Repair> recipe = received
                ? List.of()
                : batches.filedRecipes(batch, List.of(page)).getOrDefault(page, List.of());
        return PageApi.picture(renditions.picture(batches.facts(batch).get(page), width, recipe));
    }

    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<Resource> archivedFile(@PathVariable long id, Principal who) {
        var file = archive.file(id);
        Archive.Found document = archive.open(id, "").document();
        log.add(who.getName(), batches.get(document.batch()).id(), Act.TOOK_FILE.with(id));
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
