package jalon.server.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.ExampleObject;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jalon.core.page.Sha256;
import jalon.core.run.Report;
import jalon.core.stream.Stage;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.CameBy;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import jalon.server.filing.FiledFiles;
import jalon.server.filing.FilingPlan;
import jalon.server.intake.Sendings;
import jalon.server.people.Tokens;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.Resource;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
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
@Tag(name = "Programs", description = "Sending batches and fetching what became of them, with a token")
@RestController
@RequestMapping("/in/v1")
class ProgramApi {
    private static final int MOST_LISTED = 200;

    private final Receiving receiving;
    private final Batches batches;
    private final FilingPlan filing;
    private final FiledFiles files;
    private final Sendings sendings;

    ProgramApi(Receiving receiving, Batches batches, FilingPlan filing, FiledFiles files, Sendings sendings) {
        this.receiving = receiving;
        this.batches = batches;
        this.filing = filing;
        this.files = files;
        this.sendings = sendings;
    }

    /** @param files each with its pages, or why it could not be read; empty when the key was used before */
    record Sent(String no, boolean before, List<Receiving.Received> files) {}

    @Operation(
            summary = "Send files as one batch",
            description =
                    "The files become one batch of the stream, all of them or none. Sent again under the same"
                            + " Idempotency-Key (after a timeout, say) the first batch is answered and nothing is taken twice;"
                            + " other files under a key that was used are refused (422)."
                            + " Example: curl -H 'Authorization: Bearer jalon_...' -H 'Idempotency-Key: 2026-11-23/17'"
                            + " -F files=@page-1.tif -F files=@page-2.tif http://jalon.office/in/v1/streams/dues-letters/batches")
    @ApiResponse(
            responseCode = "201",
            description = "The batch was made",
            content =
                    @Content(
                            schema = @Schema(implementation = Sent.class),
                            examples =
                                    @ExampleObject(
                                            "{\"no\":\"B-0412\",\"before\":false,\"files\":[{\"name\":\"page-1.tif\",\"pages\":1,\"rejected\":null}]}")))
    @ApiResponse(
            responseCode = "200",
            description = "The key was used before for the same files; this is the batch that was made then",
            content = @Content(schema = @Schema(implementation = Sent.class)))
    @PostMapping(value = "/streams/{stream}/batches", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ResponseEntity<Sent> sendBatch(
            @PathVariable String stream,
            @Parameter(description = "Your own name for this sending, at most 200 characters")
                    @RequestHeader("Idempotency-Key")
                    String key,
            @RequestParam("files") List<MultipartFile> sent,
            @AuthenticationPrincipal Tokens.Token token)
            throws IOException {
        if (!token.streams().contains(stream)) {
            throw Problem.TOKEN_NOT_FOR_STREAM.with(String.join(", ", token.streams()), stream);
        }
        if (key.isBlank() || key.length() > 200) {
            throw Problem.KEY_LENGTH.with();
        }
        String content = content(stream, sent);
        Optional<Sent> before = before(token, key, content);
        if (before.isPresent()) {
            return ResponseEntity.ok(before.get());
        }
        List<Receiving.Incoming> incoming = new ArrayList<>();
        for (MultipartFile f : sent) {
            incoming.add(new Receiving.Incoming(name(f), f));
        }
        var wanted = NewBatch.of(stream, "program " + token.name(), CameBy.PROGRAM, "program " + token.name());
        try {
            Receiving.Batched made =
                    receiving.wholeBatch(wanted, incoming, null, id -> sendings.add(token.id(), key, content, id));
            if (made.no() == null) {
                throw Problem.NO_FILE_READABLE.with(String.join(
                        " ",
                        made.files().stream()
                                .map(f -> f.name() + ": " + f.rejected().words() + ".")
                                .toList()));
            }
            return ResponseEntity.status(HttpStatus.CREATED).body(new Sent(made.no(), false, made.files()));
        } catch (DuplicateKeyException e) {
            // The same sending came twice at the same moment: the other one was quicker, this one left nothing.
            return ResponseEntity.ok(before(token, key, content).orElseThrow(() -> e));
        }
    }

    private Optional<Sent> before(Tokens.Token token, String key, String content) {
        return sendings.find(token.id(), key).map(sending -> {
            if (sending.content() != null && !sending.content().equals(content)) {
                throw Problem.KEY_USED.with(key, Batch.no(sending.batchId()));
            }
            return new Sent(Batch.no(sending.batchId()), true, List.of());
        });
    }

    private static String name(MultipartFile file) {
        return file.getOriginalFilename() == null ? "unnamed" : file.getOriginalFilename();
    }

    /** SHA-256 of what is sent: the stream, and each file's name and bytes in their order. */
    private static String content(String stream, List<MultipartFile> files) throws IOException {
        var all = new StringBuilder(stream);
        for (MultipartFile file : files) {
            try (var in = file.getInputStream()) {
                all.append('\n').append(Sha256.of(in)).append(' ').append(name(file));
            }
        }
        return Sha256.of(all.toString());
    }

    /** @param documents found so far, @param doubts that a person still has to look at */
    record Status(String no, Stage stage, int documents, int doubts, boolean filed, boolean withdrawn) {}

    /** @param next to be given as {@code before} for the next page, or null when this was the last */
    record Listed(List<Status> batches, String next) {}

    @Operation(summary = "The batches that this token sent, newest first")
    @GetMapping("/batches")
    Listed listSentBatches(
            @Parameter(description = "Only batches older than this one, such as B-0412") @RequestParam(required = false)
                    String before,
            @Parameter(description = "How many at most, 1 to 200") @RequestParam(defaultValue = "50") int limit,
            @AuthenticationPrincipal Tokens.Token token) {
        if (limit < 1 || limit > MOST_LISTED) {
            throw Problem.LIST_LENGTH.with(MOST_LISTED);
        }
        long from = before == null ? Long.MAX_VALUE : batches.get(before).id();
        List<Status> page = sendings.page(token.id(), from, limit + 1).stream()
                .map(id -> status(batches.get(id)))
                .toList();
        boolean more = page.size() > limit;
        List<Status> shown = more ? page.subList(0, limit) : page;
        return new Listed(shown, more ? shown.get(limit - 1).no() : null);
    }

    @Operation(summary = "Where a batch is that this token sent")
    @GetMapping("/batches/{no}")
    Status sentBatchStatus(@PathVariable String no, @AuthenticationPrincipal Tokens.Token token) {
        return status(mine(no, token));
    }

    private static Status status(Batch b) {
        return new Status(
                b.no(),
                b.stage(),
                b.counted().documents(),
                b.counted().doubts(),
                b.filed() && !b.withdrawn(),
                b.withdrawn());
    }

    @Operation(summary = "What was found on the pages and what became of them; complete when the batch is done")
    @GetMapping("/batches/{no}/report")
    Report sentBatchReport(@PathVariable String no, @AuthenticationPrincipal Tokens.Token token) {
        return filing.report(mine(no, token).no());
    }

    @Operation(
            summary = "A filed document, in one of the formats it was filed in",
            responses =
                    @ApiResponse(
                            responseCode = "200",
                            description = "The file",
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @GetMapping(value = "/batches/{no}/documents/{document}/file", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<Resource> sentBatchDocument(
            @PathVariable String no,
            @Parameter(description = "Number of the document in the batch, from 1") @PathVariable int document,
            @RequestParam(defaultValue = "pdf") String format,
            @AuthenticationPrincipal Tokens.Token token) {
        FiledFiles.Filed file = files.find(mine(no, token), document, format);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file.bytes());
    }

    private Batch mine(String no, Tokens.Token token) {
        Batch batch = batches.get(no);
        if (sendings.mine(token.id(), batch.id()) == 0) {
            throw Problem.NOT_SENT_BY_TOKEN.with(no);
        }
        return batch;
    }
}
