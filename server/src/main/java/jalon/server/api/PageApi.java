package jalon.server.api;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.text.Model;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.ReceivedOriginals;
import jalon.server.picture.PageRenditions;
import jalon.server.picture.PageZones;
import jalon.server.picture.Recipes;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The pages of a batch: their pictures and words. */
@RestController
@RequestMapping("/api/batches")
class PageApi {
    private final Batches batches;
    private final ReceivedOriginals originals;
    private final PageRenditions renditions;
    private final PageZones zones;

    PageApi(Batches batches, ReceivedOriginals originals, PageRenditions renditions, PageZones zones) {
        this.batches = batches;
        this.originals = originals;
        this.renditions = renditions;
        this.zones = zones;
    }

    /** Pages as they arrive, read or not. */
    @GetMapping("/{no}/arriving")
    List<Batches.Arriving> arrivingPages(@PathVariable String no) {
        return batches.arriving(batches.get(no));
    }

    /** The picture of a page that may not be read yet, as it was received. */
    @GetMapping("/{no}/arriving/{page}/picture")
    ResponseEntity<Resource> arrivingPicture(@PathVariable String no, @PathVariable int page) {
        return picture(batches.received(there(no, page), page)
                .map(r -> renditions.picture(r.no(), r.sha256(), r.filePage(), 0, 200))
                .orElseThrow(() -> Problem.NO_SUCH_PAGE.with(no, page)));
    }

    /** @param recipe repairs to look through, as in a stream's definition */
    @GetMapping("/{no}/pages/{page}/picture")
    ResponseEntity<Resource> pagePicture(
            @PathVariable String no,
            @PathVariable int page,
            @RequestParam(defaultValue = "900") int width,
            @RequestParam(defaultValue = "[]") String recipe) {
        return picture(renditions.picture(facts(no, page), width, Recipes.read(recipe)));
    }

    static ResponseEntity<Resource> picture(Path file) {
        // The address carries the turn, so what is behind it never changes.
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .body(new FileSystemResource(file));
    }

    @GetMapping("/{no}/pages/{page}/words")
    List<Word> pageWords(@PathVariable String no, @PathVariable int page) {
        return facts(no, page).words();
    }

    record ReadBox(Box box) {}

    record ReadText(String text, Box box) {}

    /** Reads a box that somebody dragged. */
    @PostMapping("/{no}/pages/{page}/read")
    ReadText readBox(@PathVariable String no, @PathVariable int page, @RequestBody ReadBox wanted) {
        PageZones.Reading reading = zones.in(batches.stream(batches.get(no)).language());
        List<Word> words = reading.read(facts(no, page), wanted.box(), Model.OTHER);
        if (reading.missed() > 0) {
            throw Problem.BOX_NOT_READ.with(page);
        }
        String text = words.stream().filter(w -> !w.isUnread()).map(Word::text).collect(Collectors.joining(" "));
        return new ReadText(text, wanted.box());
    }

    private PageFacts facts(String no, int page) {
        PageFacts facts = batches.facts(there(no, page)).get(page);
        if (facts == null) {
            throw Problem.NO_READABLE_PAGE.with(no, page);
        }
        return facts;
    }

    /** The batch of a page that is not erased. */
    private Batch there(String no, int page) {
        Batch batch = batches.get(no);
        if (originals.isErased(batch, page)) {
            throw Problem.PAGE_ERASED.with(page);
        }
        return batch;
    }
}
