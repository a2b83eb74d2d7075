package jalon.server.api;

import jalon.core.output.ControlSheet;
import jalon.core.output.ControlSheets;
import jalon.core.output.StreamSheets;
import jalon.core.register.Register;
import jalon.core.split.BatchHeader;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.stream.StreamLibrary;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sheets to be printed and laid into stacks. */
@RestController
@RequestMapping(value = "/api/streams/{name}", produces = MediaType.APPLICATION_PDF_VALUE)
class SheetApi {
    private static final int MOST = 500;

    private final StreamLibrary library;

    SheetApi(StreamLibrary library) {
        this.library = library;
    }

    /** A sheet to lay on a stack: @param pages images that follow, @param documents documents among them. */
    @GetMapping("/header-sheet")
    byte[] headerSheet(
            @PathVariable String name,
            @RequestParam(required = false) Integer pages,
            @RequestParam(required = false) Integer documents,
            @RequestParam(defaultValue = "A4") ControlSheet.Paper paper)
            throws IOException {
        if (!isCount(pages) || !isCount(documents)) {
            throw Problem.HEADER_COUNTS.with();
        }
        var header = new BatchHeader(name, pages, documents);
        return pdf(List.of(StreamSheets.header(stream(name), header.barcode(), header.counts())), paper);
    }

    private static boolean isCount(Integer count) {
        return count == null || count >= 1 && count <= BatchHeader.HIGHEST_COUNT;
    }

    @GetMapping("/sheets")
    byte[] sheets(
            @PathVariable String name,
            @RequestParam StreamSheets.Kind kind,
            @RequestParam(defaultValue = "1") int copies,
            @RequestParam(defaultValue = "A4") ControlSheet.Paper paper)
            throws IOException {
        if (copies < 1 || copies > MOST) {
            throw Problem.SHEET_COUNT.with(MOST);
        }
        StreamDefinition stream = stream(name);
        List<ControlSheet> sheets = StreamSheets.copies(stream, kind, copies);
        if (sheets.isEmpty()) {
            throw Problem.NO_SHEET_RULE.with(stream.title());
        }
        return pdf(sheets, paper);
    }

    /**
     * A cover sheet for each row of a register.
     *
     * @param column whose value the barcode says, @param named a column for people, or null
     * @param find words that a row must have, or none for all rows
     */
    @GetMapping("/cover-sheets")
    byte[] coverSheets(
            @PathVariable String name,
            @RequestParam String register,
            @RequestParam String column,
            @RequestParam(required = false) String named,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "A4") ControlSheet.Paper paper)
            throws IOException {
        StreamDefinition stream = stream(name);
        Register rows = library.registers().get(register);
        if (rows == null
                || !rows.columns().contains(column)
                || named != null && !rows.columns().contains(named)) {
            throw Problem.NO_SUCH_COLUMN.with(register, named == null ? column : column + ", " + named);
        }
        List<ControlSheet> sheets = StreamSheets.covers(stream, rows.holding(find), column, named)
                .orElseThrow(() -> Problem.NO_SHEET_RULE.with(stream.title()));
        if (sheets.isEmpty()) {
            throw Problem.NO_SUCH_ROW.with(register, find);
        }
        if (sheets.size() > MOST) {
            throw Problem.SHEET_COUNT.with(MOST);
        }
        return pdf(sheets, paper);
    }

    private StreamDefinition stream(String name) {
        return library.definition(name, library.newest(name));
    }

    private static byte[] pdf(List<ControlSheet> sheets, ControlSheet.Paper paper) throws IOException {
        var pdf = new ByteArrayOutputStream();
        ControlSheets.write(sheets, paper, pdf);
        return pdf.toByteArray();
    }
}
