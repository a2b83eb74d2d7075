package jalon.server.api;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.core.run.Report;
import jalon.server.NotPossible;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.Deciding;
import jalon.server.batch.Holding;
import jalon.server.batch.Inserting;
import jalon.server.batch.NotReadList;
import jalon.server.batch.NotReadPages;
import jalon.server.batch.PageRenditions;
import jalon.server.batch.PageZones;
import jalon.server.batch.Receiving;
import jalon.server.batch.Recipes;
import jalon.server.batch.Stage;
import jalon.server.filing.FilingDesk;
import jalon.server.people.ActivityLog;
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
    private final Deciding deciding;
    private final Receiving receiving;
    private final Inserting inserting;
    private final PageRenditions renditions;
    private final PageZones zones;
    private final FilingDesk filing;
    private final ActivityLog log;
    private final NotReadPages notRead;
    private final NotReadList notReadList;

    BatchApi(
            Batches batches,
            Deciding deciding,
            Receiving receiving,
            Inserting inserting,
            PageRenditions renditions,
            PageZones zones,
            FilingDesk filing,
            ActivityLog log,
            NotReadPages notRead,
            NotReadList notReadList) {
        this.notReadList = notReadList;
        this.notRead = notRead;
        this.batches = batches;
        this.deciding = deciding;
        this.receiving = receiving;
        this.inserting = inserting;
        this.renditions = renditions;
        this.zones = zones;
        this.filing = filing;
        this.log = log;
    }

    record NewBatch(String stream) {}

    record NewBatchNo(String no) {}

    @PostMapping
    NewBatchNo open(@RequestBody NewBatch wanted, Principal who) {
        return new NewBatchNo(
                receiving.open(jalon.server.batch.NewBatch.of(wanted.stream(), "upload", "upload", who.getName())));
    }

    @PostMapping(value = "/{no}/files", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Receiving.Received add(
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
    Receiving.Received insert(
            @PathVariable String no,
            @RequestParam("file") MultipartFile file,
            @RequestParam(required = false) Integer after,
            @RequestParam(required = false) Integer replaces,
            @RequestParam(defaultValue = "false") boolean fillsGap,
            Principal who)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "unnamed" : file.getOriginalFilename();
        Inserting.Place place = replaces != null
                ? inserting.insteadOf(no, replaces)
                : inserting.after(no, after == null ? 0 : after, fillsGap);
        try (var in = file.getInputStream()) {
            return inserting.insert(no, name, in, place, null, who.getName());
        }
    }

    /** Pages as they arrive, read or not. */
    @GetMapping("/{no}/arriving")
    List<Batches.Arriving> arriving(@PathVariable String no) {
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
    void arrived(@PathVariable String no, Principal who) {
        receiving.complete(no, who.getName());
    }

    /** @param fields whether the values of the fields are wanted too */
    @GetMapping("/{no}")
    BatchDetail get(@PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        Batch batch = batches.get(no);
        BatchView view = batches.view(batch, fields);
        if (fields && batch.filedAt() == null && !batch.withdrawn() && batch.stage() != Stage.intake) {
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
                Holding.isFree(batch, who.getName()),
                batch.filedAt() == null && batches.canStep(batch, true),
                batch.filedAt() == null && batches.canStep(batch, false));
    }

    @PostMapping("/{no}/decisions")
    BatchDetail decide(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestBody Decision decision,
            Principal who) {
        deciding.decide(no, decision, who.getName());
        return get(no, fields, who);
    }

    @PostMapping("/{no}/undo")
    BatchDetail undo(@PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        deciding.step(no, true, who.getName());
        return get(no, fields, who);
    }

    @PostMapping("/{no}/redo")
    BatchDetail redo(@PathVariable String no, @RequestParam(defaultValue = "false") boolean fields, Principal who) {
        deciding.step(no, false, who.getName());
        return get(no, fields, who);
    }

    record Move(Stage to) {}

    @PostMapping("/{no}/stage")
    BatchDetail move(@PathVariable String no, @RequestBody Move move, Principal who) {
        deciding.moveTo(no, move.to(), who.getName());
        return get(no, true, who);
    }

    /** @param recipe repairs to look through, as in a stream's definition */
    @GetMapping("/{no}/pages/{page}/picture")
    ResponseEntity<Resource> picture(
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
    List<Word> words(@PathVariable String no, @PathVariable int page) {
        return facts(no, page).words();
    }

    record ReadBox(Box box) {}

    record ReadText(String text, Box box) {}

    /** Reads a box that somebody dragged. */
    @PostMapping("/{no}/pages/{page}/read")
    ReadText read(@PathVariable String no, @PathVariable int page, @RequestBody ReadBox wanted) {
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
    FilingDesk.Plan plan(@PathVariable String no) {
        return filing.plan(no);
    }

    @PostMapping("/{no}/filing")
    FilingDesk.Plan file(@PathVariable String no, Principal who) {
        filing.file(no, who.getName());
        return filing.plan(no);
    }

    /** @param name the other name, for {@code rename} */
    record DeliveryFate(FilingDesk.Fate fate, String name) {}

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
    BatchDetail tryAgain(@PathVariable String no, @PathVariable int page, Principal who) {
        notRead.tryPage(no, page, who.getName());
        return get(no, false, who);
    }

    /** Has a file that could not be opened tried again. */
    @PostMapping("/{no}/files/{file}/try-again")
    BatchDetail tryFileAgain(@PathVariable String no, @PathVariable long file, Principal who) {
        notRead.tryFile(no, file, who.getName());
        return get(no, false, who);
    }

    @GetMapping("/{no}/report")
    Report report(@PathVariable String no) {
        return filing.report(no);
    }

    @GetMapping("/{no}/log")
    List<ActivityLog.Entry> log(@PathVariable String no) {
        return log.ofBatch(batches.get(no).id());
    }
}
