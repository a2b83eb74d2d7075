package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** Writes a document in one of the formats of a destination. */
public final class DocumentWriter {
    private DocumentWriter() {}

    /** @param files one for each format, which are overwritten */
    public static void write(Map<Destination.Format, Path> files, FiledDocument document, PageImages images)
            throws IOException, UnreadableFile {
        for (Map.Entry<Destination.Format, Path> file : files.entrySet()) {
            try (var out = new BufferedOutputStream(Files.newOutputStream(file.getValue()), 1 << 16)) {
                write(file.getKey(), document, images, out);
            }
        }
    }

    private static void write(Destination.Format format, FiledDocument document, PageImages images, OutputStream out)
            throws IOException, UnreadableFile {
        switch (format) {
            case PDF -> SearchablePdf.write(document, images, out);
            case CSV -> DataFiles.csv(document, out);
            case JSON -> DataFiles.json(document, out);
        }
    }

    /** File name ending with its dot. */
    public static String ending(Destination.Format format) {
        return switch (format) {
            case PDF -> ".pdf";
            case CSV -> ".csv";
            case JSON -> ".json";
        };
    }
}
