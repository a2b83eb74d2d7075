package jalon.server.api;

import jalon.core.read.PageFacts;
import jalon.server.archive.Archive;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.PageRenditions;
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
    private final PageRenditions renditions;

    ArchiveApi(Archive archive, Batches batches, PageRenditions renditions) {
        this.archive = archive;
        this.batches = batches;
        this.renditions = renditions;
    }

    @GetMapping
    Archive.Result search(@RequestParam(defaultValue = "") String q) {
        return archive.search(q);
    }

    /** @param page number in its batch, @param rotation of the picture */
    record PageInfo(int no, double widthMm, double heightMm) {}

    record OpenedDocument(Archive.Opened document, java.util.List<PageInfo> pages) {}

    @GetMapping("/{id}")
    OpenedDocument open(@PathVariable long id, @RequestParam(defaultValue = "") String q) {
        Archive.Opened opened = archive.open(id, q);
        var facts = batches.facts(batches.get(opened.document().batch()));
        return new OpenedDocument(
                opened,
                opened.pages().stream()
                        .map(no -> new PageInfo(
                                no,
                                facts.get(no).image().widthMm(),
                                facts.get(no).image().heightMm()))
                        .toList());
    }

    @GetMapping("/{id}/pages/{page}/picture")
    ResponseEntity<Resource> picture(
            @PathVariable long id, @PathVariable int page, @RequestParam(defaultValue = "900") int width) {
        Batch batch = archive.batchOf(id, page);
        PageFacts facts = batches.facts(batch).get(page);
        return BatchApi.picture(renditions.picture(facts, width));
    }

    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<Resource> file(@PathVariable long id) {
        var file = archive.file(id);
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
