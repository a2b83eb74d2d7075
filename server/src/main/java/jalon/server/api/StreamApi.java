package jalon.server.api;

import jalon.core.index.Register;
import jalon.core.output.HeaderSheet;
import jalon.core.split.BatchHeader;
import jalon.server.Problem;
import jalon.server.stream.StreamLibrary;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.Principal;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Stream definitions and registers, in and out. */
@RestController
@RequestMapping("/api")
class StreamApi {
    private final StreamLibrary library;

    StreamApi(StreamLibrary library) {
        this.library = library;
    }

    @GetMapping("/streams")
    List<StreamLibrary.Listed> streams() {
        return library.current();
    }

    /** The definition in force, as it was written. */
    @GetMapping(value = "/streams/{name}", produces = MediaType.APPLICATION_JSON_VALUE)
    String stream(@PathVariable String name) {
        return library.json(name, library.newest(name));
    }

    record StreamText(String json) {}

    @PostMapping("/streams")
    StreamLibrary.Listed saveStream(@RequestBody StreamText text, Principal who) {
        return library.save(text.json(), who.getName());
    }

    record RegisterInfo(String name, List<String> columns, int rows, List<String> faults) {}

    @GetMapping("/registers")
    List<RegisterInfo> registers() {
        return library.registers().values().stream().map(StreamApi::info).toList();
    }

    private static RegisterInfo info(Register r) {
        return new RegisterInfo(r.name(), r.columns(), r.rows().size(), r.faults());
    }

    record RegisterText(String csv) {}

    /** @return what is wrong with single lines */
    @PostMapping("/registers/{name}")
    List<String> saveRegister(@PathVariable String name, @RequestBody RegisterText text, Principal who) {
        return library.saveRegister(name, text.csv(), who.getName());
    }

    /** A sheet to print and lay on a stack: @param pages images that follow, @param documents documents among them. */
    @GetMapping(value = "/streams/{name}/header-sheet", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> headerSheet(
            @PathVariable String name,
            @RequestParam(required = false) Integer pages,
            @RequestParam(required = false) Integer documents)
            throws IOException {
        String title = library.definition(name, library.newest(name)).title();
        if (pages != null && (pages < 1 || pages > 999_999)
                || documents != null && (documents < 1 || documents > 999_999)) {
            throw Problem.HEADER_COUNTS.with();
        }
        var pdf = new ByteArrayOutputStream();
        var header = new BatchHeader(name, pages, documents);
        HeaderSheet.write(header.barcode(), title, header.counts(), pdf);
        return ResponseEntity.ok(pdf.toByteArray());
    }
}
