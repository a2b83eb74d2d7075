package jalon.server.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.run.Decision;
import jalon.core.stream.Stage;
import jalon.server.Problem;
import jalon.server.batch.Asked;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchVersions;
import jalon.server.batch.Batches;
import jalon.server.batch.CameBy;
import jalon.server.batch.Decisions;
import jalon.server.batch.NotReadPages;
import jalon.server.batch.PageInsertion;
import jalon.server.batch.Receiving;
import jalon.server.people.ActivityLog;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import java.io.IOException;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** One batch: bringing it in, looking at it, deciding about it. */
@RestController
@RequestMapping("/api/batches")
class BatchApi {
    /** A key of the caller's own for one act: sent again it is done once. */
    static final String REQUEST = "Idempotency-Key";

    private final Batches batches;
    private final BatchDetails details;
    private final Decisions decisions;
    private final Receiving receiving;
    private final PageInsertion insertion;
    private final ActivityLog log;
    private final NotReadPages notRead;
    private final BatchVersions versions;
    private final Rights rights;
    private final BatchRights batchRights;

    BatchApi(
            Batches batches,
            BatchDetails details,
            Decisions decisions,
            Receiving receiving,
            PageInsertion insertion,
            ActivityLog log,
            NotReadPages notRead,
            BatchVersions versions,
            Rights rights,
            BatchRights batchRights) {
        this.rights = rights;
        this.batchRights = batchRights;
        this.batches = batches;
        this.details = details;
        this.decisions = decisions;
        this.receiving = receiving;
        this.insertion = insertion;
        this.log = log;
        this.notRead = notRead;
        this.versions = versions;
    }

    /** What the newest version of its stream would make of it. */
    @GetMapping("/{no}/version")
    BatchVersions.NewerVersion newerVersion(@PathVariable String no) {
        return versions.newer(no);
    }

    record VersionWanted(int version) {}

    /** Has it go on by the newest version. */
    @PostMapping("/{no}/version")
    void useVersion(@PathVariable String no, @RequestBody VersionWanted wanted, Principal who) {
        versions.move(no, wanted.version(), who.getName());
    }

    record NewBatch(String stream) {}

    record NewBatchNo(String no) {}

    @PostMapping
    NewBatchNo openBatch(@RequestBody NewBatch wanted, Principal who) {
        rights.require(who.getName(), Right.INDEX, wanted.stream());
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

    /** All files are here. */
    @PostMapping("/{no}/arrived")
    void completeBatch(@PathVariable String no, Principal who) {
        receiving.complete(no, who.getName());
    }

    /** @param revision as an entity tag, in quotation marks or bare (RFC 9110, 13.1.1) */
    static Asked asked(Principal who, String revision, String request) {
        if (request != null && !request.matches("[!-~]{1,200}")) {
            throw Problem.KEY_LENGTH.with();
        }
        if (revision != null && !revision.matches("\"?\\d{1,9}\"?")) {
            throw Problem.REVISION_FORM.with();
        }
        return new Asked(who.getName(), revision == null ? null : Integer.valueOf(revision.replace("\"", "")), request);
    }

    /**
     * @param fields whether the values of the fields are wanted too
     * @param since the tag of the answer that is known already: only what is other than in it is answered
     */
    @GetMapping("/{no}")
    BatchDetail batch(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestParam(required = false) String since,
            Principal who) {
        return details.of(batches.get(no), fields, since, who.getName());
    }

    /** @param revision that they are of */
    record BatchDoubts(int revision, @JsonUnwrapped BatchDetail.Doubts left) {}

    @GetMapping("/{no}/doubts")
    BatchDoubts batchDoubts(@PathVariable String no) {
        Batch batch = batches.get(no);
        return new BatchDoubts(batch.course().revision(), details.doubts(batch));
    }

    @PostMapping("/{no}/decisions")
    BatchDetail decide(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestParam(required = false) String since,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = REQUEST, required = false) String request,
            @RequestBody Decision decision,
            Principal who) {
        batchRights.requireOfTypes(no, List.of(decision), who);
        decisions.decide(no, List.of(decision), asked(who, revision, request));
        return batch(no, fields, since, who);
    }

    /** Several decisions as one act: all of them or none, undone as one. */
    @PostMapping("/{no}/decisions/together")
    BatchDetail decideTogether(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestParam(required = false) String since,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = REQUEST, required = false) String request,
            @RequestBody List<Decision> together,
            Principal who) {
        batchRights.requireOfTypes(no, together, who);
        decisions.decide(no, together, asked(who, revision, request));
        return batch(no, fields, since, who);
    }

    @PostMapping("/{no}/undo")
    BatchDetail undoDecision(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestParam(required = false) String since,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = REQUEST, required = false) String request,
            Principal who) {
        decisions.step(no, true, asked(who, revision, request));
        return batch(no, fields, since, who);
    }

    @PostMapping("/{no}/redo")
    BatchDetail redoDecision(
            @PathVariable String no,
            @RequestParam(defaultValue = "false") boolean fields,
            @RequestParam(required = false) String since,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = REQUEST, required = false) String request,
            Principal who) {
        decisions.step(no, false, asked(who, revision, request));
        return batch(no, fields, since, who);
    }

    record Move(Stage to) {}

    @PostMapping("/{no}/stage")
    BatchDetail moveToStage(
            @PathVariable String no,
            @RequestParam(required = false) String since,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = REQUEST, required = false) String request,
            @RequestBody Move move,
            Principal who) {
        decisions.moveTo(no, move.to(), asked(who, revision, request));
        return batch(no, true, since, who);
    }

    /** Has a page that could not be read tried again, with more time than usual. */
    @PostMapping("/{no}/pages/{page}/try-again")
    BatchDetail tryPageAgain(@PathVariable String no, @PathVariable int page, Principal who) {
        notRead.tryPage(no, page, who.getName());
        return batch(no, false, null, who);
    }

    /** Has a file that could not be opened tried again. */
    @PostMapping("/{no}/files/{file}/try-again")
    BatchDetail tryFileAgain(@PathVariable String no, @PathVariable long file, Principal who) {
        notRead.tryFile(no, file, who.getName());
        return batch(no, false, null, who);
    }

    @GetMapping("/{no}/log")
    List<ActivityLog.Entry> batchLog(@PathVariable String no) {
        return log.ofBatch(batches.get(no).id());
    }
}
