package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.OutputStream;

/** Writes a document in one of the formats of a destination. */
public final class DocumentWriter {
    private DocumentWriter() {}

    public static void write(Destination.Format format, FiledDocument document, PageImages images, OutputStream out)
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
