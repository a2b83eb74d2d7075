package jalon.server.batch;

import jalon.core.run.ConfirmedReport;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Batches that people confirmed, to be replayed elsewhere ({@code ./jalon replay --confirmed}): a ZIP archive with a folder for
 * each, which holds its files as they were received and a {@code report.json} of its pages, documents and values.
 */
@Service
public class ConfirmedExport {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final BatchRows rows;
    private final Batches batches;
    private final FileStore store;

    ConfirmedExport(BatchRows rows, Batches batches, FileStore store) {
        this.rows = rows;
        this.batches = batches;
        this.store = store;
    }

    /** @param numbers of batches that were filed and of which nothing is erased */
    public void write(List<String> numbers, OutputStream out) throws IOException {
        try (var zip = new ZipOutputStream(out)) {
            for (String no : numbers) {
                write(batches.get(no), zip);
            }
        }
    }

    private void write(Batch batch, ZipOutputStream zip) throws IOException {
        Map<Long, String> names = new LinkedHashMap<>();
        for (BatchRows.FileRow file : rows.files(batch.id())) {
            if (file.rejected() == null) {
                String name = "%03d %s".formatted(names.size() + 1, file.name());
                names.put(file.id(), name);
                zip.putNextEntry(new ZipEntry(batch.no() + "/" + name));
                Files.copy(store.path(file.stored().sha256()), zip);
                zip.closeEntry();
            }
        }
        List<ConfirmedReport.Page> pages = rows.pages(batch.id()).stream()
                .filter(page -> page.rejected() == null)
                .map(page -> new ConfirmedReport.Page(
                        page.no(), names.get(page.in().fileId()), page.in().page()))
                .toList();
        zip.putNextEntry(new ZipEntry(batch.no() + "/report.json"));
        zip.write(JSON.writerWithDefaultPrettyPrinter()
                .writeValueAsBytes(ConfirmedReport.of(pages, batches.view(batch, true))));
        zip.closeEntry();
    }
}
