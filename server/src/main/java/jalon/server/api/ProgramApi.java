package jalon.server.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.ExampleObject;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jalon.core.run.Report;
import jalon.server.NotPossible;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import jalon.server.filing.FilingDesk;
import jalon.server.intake.Sendings;
import jalon.server.people.Tokens;
import java.util.ArrayList;
import java.util.List;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** For programs, which show a token: {@code Authorization: Bearer jalon_...}. */
@RestController
@RequestMapping("/in")
class ProgramApi {
    private final Receiving receiving;
    private final Batches batches;
    private final FilingDesk filing;
    private final Sendings sendings;

    ProgramApi(Receiving receiving, Batches batches, FilingDesk filing, Sendings sendings) {
        this.receiving = receiving;
        this.batches = batches;
        this.filing = filing;
        this.sendings = sendings;
    }

    /** @param files each with its pages, or why it could not be read; empty when the key was used before */
    record Sent(String no, boolean before, List<Receiving.Received> files) {}

    @Operation(
            summary = "Send files as one batch",
            description = "The files become one batch of the stream, all of them or none. Sent again under the same"
                    + " Idempotency-Key (after a timeout, say) the first batch is answered and nothing is taken twice."
                    + " Example: curl -H 'Authorization: Bearer jalon_...' -H 'Idempotency-Key: 2026-11-23/17'"
                    + " -F files=@page-1.tif -F files=@page-2.tif http://jalon.office/in/streams/dues-letters/batches",
            responses =
                    @ApiResponse(
                            responseCode = "201",
                            content =
                                    @Content(
                                            examples =
                                                    @ExampleObject(
                                                            "{\"no\":\"B-0412\",\"before\":false,\"files\":[{\"name\":\"page-1.tif\",\"pages\":1,\"rejected\":null}]}"))))
    @PostMapping(value = "/streams/{stream}/batches", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ResponseEntity<Sent> send(
            @PathVariable String stream,
            @Parameter(description = "Your own name for this sending, at most 200 characters")
                    @RequestHeader("Idempotency-Key")
                    String key,
            @RequestParam("files") List<MultipartFile> files,
            @AuthenticationPrincipal Tokens.Token token) {
        if (!token.streams().contains(stream)) {
            throw NotPossible.forbidden(
                    "This token may send for " + String.join(", ", token.streams()) + ", not for " + stream + ".");
        }
        if (key.isBlank() || key.length() > 200) {
            throw NotPossible.input("The Idempotency-Key has 1 to 200 characters.");
        }
        var before = sendings.find(token.id(), key);
        if (before.isPresent()) {
            return ResponseEntity.ok(new Sent(Batch.no(before.get()), true, List.of()));
        }
        List<Receiving.Incoming> incoming = new ArrayList<>();
        for (MultipartFile f : files) {
            String name = f.getOriginalFilename() == null ? "unnamed" : f.getOriginalFilename();
            incoming.add(new Receiving.Incoming(name, f));
        }
        var wanted = NewBatch.of(stream, "program " + token.name(), "program", "program " + token.name());
        try {
            Receiving.Batched made =
                    receiving.wholeBatch(wanted, incoming, null, id -> sendings.add(token.id(), key, id));
            if (made.no() == null) {
                throw NotPossible.input("None of the files could be read. "
                        + String.join(
                                " ",
                                made.files().stream()
                                        .map(f -> f.name() + ": " + f.rejected() + ".")
                                        .toList()));
            }
            return ResponseEntity.status(HttpStatus.CREATED).body(new Sent(made.no(), false, made.files()));
        } catch (DuplicateKeyException e) {
            // The same sending came twice at the same moment: the other one was quicker, this one left nothing.
            Long id = sendings.find(token.id(), key).orElseThrow(() -> e);
            return ResponseEntity.ok(new Sent(Batch.no(id), true, List.of()));
        }
    }

    /** @param stage {@code intake}, {@code pages}, {@code index}, {@code filing} or {@code done} */
    record Status(String no, String stage, int documents, int doubts, boolean filed, boolean withdrawn) {}

    @Operation(summary = "Where a batch is that this token sent")
    @GetMapping("/batches/{no}")
    Status status(@PathVariable String no, @AuthenticationPrincipal Tokens.Token token) {
        Batch b = mine(no, token);
        return new Status(
                b.no(),
                b.stage().name(),
                b.documents(),
                b.doubts(),
                b.filedAt() != null && !b.withdrawn(),
                b.withdrawn());
    }

    @Operation(summary = "What was found on the pages and what became of them; complete when the batch is done")
    @GetMapping("/batches/{no}/report")
    Report report(@PathVariable String no, @AuthenticationPrincipal Tokens.Token token) {
        return filing.report(mine(no, token).no());
    }

    private Batch mine(String no, Tokens.Token token) {
        Batch batch = batches.get(no);
        if (sendings.mine(token.id(), batch.id()) == 0) {
            throw NotPossible.missing("There is no batch " + no + " that this token sent.");
        }
        return batch;
    }
}
