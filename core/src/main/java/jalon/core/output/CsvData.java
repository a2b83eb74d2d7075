package jalon.core.output;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A document's data beside its pages: CSV (RFC 4180, one line of names, one of values), UTF-8. */
record CsvData() implements OutputFormat {
    @Override
    public String ending() {
        return ".csv";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException {
        List<String> names = new ArrayList<>(List.of("stream", "type", "batch", "document", "pages"));
        List<String> values = new ArrayList<>(List.of(
                document.origin().stream(),
                document.origin().type(),
                document.origin().batch(),
                Integer.toString(document.origin().no()),
                Integer.toString(document.pages().size())));
        document.fields().forEach((name, value) -> {
            names.add(name);
            values.add(Spreadsheet.plain(value));
        });
        var printer = new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
        printer.printRecord(names);
        printer.printRecord(values);
        printer.flush();
    }
}
