package jalon.server.api;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.core.run.Report;
import jalon.core.stream.Stage;
import jalon.server.NotPossible;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.CameBy;
import jalon.server.batch.Decisions;
import jalon.server.batch.NotReadList;
import jalon.server.batch.NotReadPages;
import jalon.server.batch.PageInsertion;
import jalon.server.batch.Receiving;
import jalon.server.filing.FilingDesk;
import jalon.server.people.ActivityLog;
import jalon.server.picture.PageRenditions;
import jalon.server.picture.PageZones;
import jalon.server.picture.Recipes;
import java.io.IOException;
import java.nio.file.Path;
import java.security.Principal;
import java.time.Duration;
import java.util.List;
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
import org.springframework.web.multipart.MultipartFile;

/** One batch: bringing it in, looking at it, deciding about it, filing it. */
@RestController
@RequestMapping("/api/batches")
class BatchApi {
    private final Batches batches;
    private final Decisions decisions;
    private final Receiving receiving;
    private final PageInsertion insertion;
    private final PageRenditions renditions;
    private final PageZones zones;
    private final FilingDesk filing;
    private final ActivityLog log;
    private final NotReadPages notRead;
    private final NotReadList notReadList;
    private final Times times;

    BatchApi(
            Batches batches,
            Decisions decisions,
            Receiving receiving,
            PageInsertion insertion,
            PageRenditions renditions,
            PageZones zones,
            FilingDesk filing,
            ActivityLog log,
            NotReadPages notRead,
            NotReadList notReadList,
            Times times) {
        this.times = times;
        this.notReadList = notReadList;
        this.notRead = notRead;
        this.batches = batches;
        this.decisions = decisions;
        this.receiving = receiving;
        this.insertion = insertion;
        this.renditions = renditions;
        this.zones = zones;
        this.filing = filing;
        this.log = log;
    }

    record NewBatch(String stream) {}

    record NewBatchNo(String no) {}

    @PostMapping
    NewBatchNo openBatch(@RequestBody NewBatch wanted, Principal who) {
        return new NewBatchNo(receiving.open(
                jalon.server.batch.NewBatch.of(wanted.stream(), "upload", CameBy.UPLOAD, who.getName())));
    }

    @PostMapping(value = "/{no}/files", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Receiving.Received addFile(
            @PathVariable String no,
            @RequestParam("file") MultipartFile file,
            @RequestParam(required = false) String key)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "unnamed" : file.getOriginalFilename();
        try (var in = file.getInputStream()) {
            return receiving.add(no, name, in, key == null ? null : "upload:" + no + ":" + key);
        }
    }

    /**
     * More pages for a batch that was complete.
     *
     * @param after the page after which they come; 0 for the front
     * @param replaces the page whose place they take, or null
     * @param fillsGap whether they fill the gap after {@code after}
     */
    @PostMapping(value = "/{no}/insert", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Receiving.Received insertPages(
            @PathVariable String no,
            @RequestParam("file") MultipartFile file,
            @RequestParam(required = false) Integer after,
            @RequestParam(required = false) Integer replaces,
            @RequestParam(defaultValue = "false") boolean fillsGap,
            Principal who)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "unnamed" : file.getOriginalFilename();
        PageInsertion.Place place = replaces != null
                ? insertion.insteadOf(no, replaces)
                : insertion.after(no, after == null ? 0 : after, fillsGap);
        try (var in = file.getInputStream()) {
            return insertion.insert(no, name, in, place, null, who.getName());
        }
    }

    /** Pages as they arrive, read or not. */
    @GetMapping("/{no}/arriving")
    List<Batches.Arriving> arrivingPages(@PathVariable String no) {
        return batches.arriving(batches.get(no));
    }

    /** The picture of a page that may not be read yet, as it was received. */
    @GetMapping("/{no}/arriving/{page}/picture")
    ResponseEntity<Resource> arrivingPicture(@PathVariable String no, @PathVariable int page) {
        return picture(batches.received(batches.get(no), page)
                .map(r -> renditions.picture(r.no(), r.sha256(), r.filePage(), 0, 200))
                .orElseThrow(() -> NotPossible.missing("Batch " + no + " has no page " + page + ".")));
    }

    /** All files are here. */
    @PostMapping("/{no}/arrived")
    void completeBatch(@PathVariable String no, Principal who) {
        receiving.complete(no, who.getName());
    }

    /** @param fields whether the values of the fields are wanted too */
    @GetMapping("/{no}")
    BatchDetail batch(@PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, fields);
        if (fields && batch.filedAt() == null && !batch.withdrawn() && batch.stage() != Stage.INTAKE) {
            batches.counted(batch, view);
        }
        return BatchDetail.of(
                batch,
                batches.stream(batch),
                batches.facts(batch),
                view,
                filing.ledger(batch, view),
                notReadList.of(batch),
                batches.sheets(batch),
                batch.withPerson() == null ? null : batches.nameOf(batch.withPerson()),
                batch.isFree(who.getName(), times.now()),
                batch.filedAt() == null && batches.canStep(batch, true),
                batch.filedAt() == null && batches.canStep(batch, false));
    }

    @PostMapping("/{no}/decisions")
    BatchDetail decide(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestBody Decision decision,
            Principal who) {
        decisions.decide(no, decision, who.getName());
        return batch(no, fields, who);
    }

    @PostMapping("/{no}/undo")
    BatchDetail undoDecision(
            @PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        decisions.step(no, true, who.getName());
        return batch(no, fields, who);
    }

    @PostMapping("/{no}/redo")
    BatchDetail redoDecision(
            @PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        decisions.step(no, false, who.getName());
        return batch(no, fields, who);
    }

    record Move(Stage to) {}

    @PostMapping("/{no}/stage")
    BatchDetail moveToStage(@PathVariable String no, @RequestBody Move move, Principal who) {
        decisions.moveTo(no, move.to(), who.getName());
        return batch(no, true, who);
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
        List<Word> words = reading.read(facts(no, page), wanted.box());
        if (reading.missed() > 0) {
            throw NotPossible.now("This part of page " + page + " could not be read just now. Try it again later.");
        }
        String text = String.join(" ", words.stream().map(Word::text).toList());
        return new ReadText(text, wanted.box());
    }

    private PageFacts facts(String no, int page) {
        PageFacts facts = batches.facts(batches.get(no)).get(page);
        if (facts == null) {
            throw NotPossible.missing("Batch " + no + " has no page " + page + " that could be read.");
        }
        return facts;
    }

    @GetMapping("/{no}/filing")
    FilingDesk.Plan filingPlan(@PathVariable String no) {
        return filing.plan(no);
    }

    @PostMapping("/{no}/filing")
    FilingDesk.Plan fileBatch(@PathVariable String no, Principal who) {
        filing.file(no, who.getName());
        return filing.plan(no);
    }

    /** @param name the other name, for {@code rename} */
    record DeliveryFate(FilingDesk.Remedy fate, String name) {}

    /** What is to become of a delivery that is refused or waits for its next try. */
    @PostMapping("/{no}/deliveries/{id}")
    FilingDesk.Plan decideDelivery(
            @PathVariable String no, @PathVariable long id, @RequestBody DeliveryFate wanted, Principal who) {
        if (wanted.fate() == null) {
            throw NotPossible.input("Say what is to become of it: now, rename, number or leaveOut.");
        }
        filing.decide(no, id, wanted.fate(), wanted.name(), who.getName());
        return filing.plan(no);
    }

    /** Has a page that could not be read tried again, with more time than usual. */
    @PostMapping("/{no}/pages/{page}/try-again")
    BatchDetail tryPageAgain(@PathVariable String no, @PathVariable int page, Principal who) {
        notRead.tryPage(no, page, who.getName());
        return batch(no, false, who);
    }

    /** Has a file that could not be opened tried again. */
    @PostMapping("/{no}/files/{file}/try-again")
    BatchDetail tryFileAgain(@PathVariable String no, @PathVariable long file, Principal who) {
        notRead.tryFile(no, file, who.getName());
        return batch(no, false, who);
    }

    @GetMapping("/{no}/report")
    Report batchReport(@PathVariable String no) {
        return filing.report(no);
    }

    @GetMapping("/{no}/log")
    List<ActivityLog.Entry> batchLog(@PathVariable String no) {
        return log.ofBatch(batches.get(no).id());
    }
}
