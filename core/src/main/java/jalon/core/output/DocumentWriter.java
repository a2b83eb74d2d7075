package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** Writes a document in the formats of a destination. */
public final class DocumentWriter {
    private DocumentWriter() {}

    /** @param files one for each format, which are overwritten */
    public static void write(Map<Destination.Format, Path> files, FiledDocument document, PageImages images)
            throws IOException, UnreadableFile {
        for (Map.Entry<Destination.Format, Path> file : files.entrySet()) {
            try (var out = new BufferedOutputStream(Files.newOutputStream(file.getValue()), 1 << 16)) {
                OutputFormat.of(file.getKey()).write(document, images, out);
            }
        }
    }
}
