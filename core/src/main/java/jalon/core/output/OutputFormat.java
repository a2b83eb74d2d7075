package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.Comparator;

/** One form in which a document is written; one class for each kind of {@link Destination.Format}. */
public interface OutputFormat {

    /** The ending of its files' names, with its dot. */
    String ending();

    /** @throws UnreadableFile when a page's image cannot be had again */
    void write(FiledDocument document, PageImages images, OutputStream out) throws IOException, UnreadableFile;

    static OutputFormat of(Destination.Format format) {
        return switch (format) {
            case PDF -> new SearchablePdf(false);
            case PDF_WITH_DATA -> new SearchablePdf(true);
            case TIFF -> new TiffPages();
            case TEXT -> new PlainText();
            case DOCX -> new EditableText();
            case XML -> new XmlData();
            case ALTO -> new Alto();
            case CSV -> new CsvData();
            case JSON -> new JsonData();
        };
    }

    /** A file's name without the ending of its format; one with no such ending stays as it is. */
    static String withoutEnding(String file) {
        return file.substring(0, file.length() - endingOf(file).length());
    }

    /** The ending of a format that the file's name has, with its dot; empty for none. */
    static String endingOf(String file) {
        return Arrays.stream(Destination.Format.values())
                .map(format -> of(format).ending())
                .filter(file::endsWith)
                .max(Comparator.comparingInt(String::length))
                .orElse("");
    }
}
