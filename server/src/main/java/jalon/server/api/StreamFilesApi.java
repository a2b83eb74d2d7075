package jalon.server.api;

import jalon.server.batch.ConfirmedExport;
import jalon.server.workbench.ReplayRuns;
import jalon.server.workbench.StreamBundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.Principal;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Streams and what people confirmed by them, as files to take along and to bring in. */
@RestController
@RequestMapping("/api/workbench")
class StreamFilesApi {
    private final StreamBundles bundles;
    private final ConfirmedExport confirmed;
    private final ReplayRuns replays;

    StreamFilesApi(StreamBundles bundles, ConfirmedExport confirmed, ReplayRuns replays) {
        this.bundles = bundles;
        this.confirmed = confirmed;
        this.replays = replays;
    }

    /** A version with its samples, what is right on them, and the columns that it needs of registers. */
    @GetMapping(value = "/{stream}/versions/{version}/export.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> exportStream(@PathVariable String stream, @PathVariable int version) {
        return Attached.as(stream + "-" + version + ".zip", out -> bundles.write(stream, version, out));
    }

    /** What was exported, or a definition alone, as a draft. @param title to give it, or nothing for its own */
    @PostMapping(value = "/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    StreamBundles.Brought importStream(
            @RequestParam("file") MultipartFile file, @RequestParam(required = false) String title, Principal who)
            throws IOException {
        Path kept = Files.createTempFile("jalon-import-", ".zip");
        try {
            file.transferTo(kept);
            return bundles.bring(kept, title, who.getName());
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    /**
     * Batches that people confirmed, to be replayed elsewhere.
     *
     * @param most so many at most, the newest, @param days filed in the last so many days; 0 for ever
     */
    @GetMapping(value = "/{stream}/confirmed.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> exportConfirmed(
            @PathVariable String stream,
            @RequestParam(defaultValue = "20") int most,
            @RequestParam(defaultValue = "0") int days) {
        List<String> numbers = replays.confirmed(stream, days, most);
        return Attached.as(stream + "-confirmed.zip", out -> confirmed.write(numbers, out));
    }
}
