package jalon.core.output;

import java.io.IOException;
import java.io.OutputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** A document's data beside its pages, as JSON in UTF-8. */
record JsonData() implements OutputFormat {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String ending() {
        return ".json";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException {
        out.write(bytes(document));
    }

    static byte[] bytes(FiledDocument document) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("stream", document.origin().stream());
        data.put("type", document.origin().type());
        data.put("batch", document.origin().batch());
        data.put("document", document.origin().no());
        data.put("filedAt", document.at().toString());
        data.put("fields", document.fields());
        data.put(
                "pages",
                document.pages().stream()
                        .map(p ->
                                Map.of("no", p.no(), "file", p.file(), "filePage", p.filePage(), "sha256", p.sha256()))
                        .toList());
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(data);
    }
}
