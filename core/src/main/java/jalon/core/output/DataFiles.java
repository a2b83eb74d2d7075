package jalon.core.output;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.json.JsonMapper;

/** A document's data beside its pages: CSV (RFC 4180, one line of names, one of values) and JSON, both UTF-8. */
final class DataFiles {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private DataFiles() {}

    static void csv(FiledDocument document, OutputStream out) throws IOException {
        List<String> names = new ArrayList<>(List.of("stream", "type", "batch", "document", "pages"));
        List<String> values = new ArrayList<>(List.of(
                document.stream(),
                document.type(),
                document.batch(),
                Integer.toString(document.no()),
                Integer.toString(document.pages().size())));
        document.fields().forEach((name, value) -> {
            names.add(name);
            values.add(value);
        });
        var printer = new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
        printer.printRecord(names);
        printer.printRecord(values);
        printer.flush();
    }

    static void json(FiledDocument document, OutputStream out) throws IOException {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("stream", document.stream());
        data.put("type", document.type());
        data.put("batch", document.batch());
        data.put("document", document.no());
        data.put("filedAt", document.at().toString());
        data.put("fields", document.fields());
        data.put(
                "pages",
                document.pages().stream()
                        .map(p ->
                                Map.of("no", p.no(), "file", p.file(), "filePage", p.filePage(), "sha256", p.sha256()))
                        .toList());
        out.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(data));
    }
}
