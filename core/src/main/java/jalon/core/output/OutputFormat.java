package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;

/** One form in which a document is written; one class for each kind of {@link Destination.Format}. */
public interface OutputFormat {

    /** The ending of its files' names, with its dot. */
    String ending();

    /** Whether each page has a file of its own, which is written of a document of that page alone. */
    default boolean eachPage() {
        return false;
    }

    /**
     * What the name of one of its files ends with.
     *
     * @param part which page it has, from 1; 0 for a file that has them all
     */
    default String ending(int part) {
        return part == 0 ? ending() : String.format(Locale.ROOT, " p%03d", part) + ending();
    }

    /** @throws UnreadableFile when a page's image cannot be had again */
    void write(FiledDocument document, PageImages images, OutputStream out) throws IOException, UnreadableFile;

    static OutputFormat of(Destination.Format format) {
        return switch (format) {
            case PDF -> new SearchablePdf(false, false);
            case PDF_WITH_DATA -> new SearchablePdf(true, false);
            case PDF_COMPACT -> new SearchablePdf(false, true);
            case TIFF -> new TiffPages();
            case PNG -> new SinglePictures(SinglePictures.Kind.PNG);
            case JPEG -> new SinglePictures(SinglePictures.Kind.JPEG);
            case TEXT -> new PlainText();
            case DOCX -> new EditableText();
            case XML -> new XmlData();
            case ALTO -> new Alto();
            case CSV -> new CsvData();
            case JSON -> new JsonData();
        };
    }

    /** A file's name without the ending of its format and the page; one with no such ending stays as it is. */
    static String withoutEnding(String file) {
        String ending = endingOf(file);
        String name = file.substring(0, file.length() - ending.length());
        boolean eachPage = Arrays.stream(Destination.Format.values())
                .map(OutputFormat::of)
                .anyMatch(format -> format.eachPage() && format.ending().equals(ending));
        return eachPage ? name.replaceFirst(" p\\d{3,}$", "") : name;
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
