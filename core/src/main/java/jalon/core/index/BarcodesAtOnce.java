package jalon.core.index;

import jalon.core.mark.Mark;
import jalon.core.read.BarcodeSearch;
import jalon.core.read.PageFacts;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What a page's barcodes say for the fields of a stream as soon as the page is read: while its batch is still being scanned
 * nothing is known of documents, but whoever feeds the paper sees whether its codes are read.
 */
public final class BarcodesAtOnce {
    private BarcodesAtOnce() {}

    /** @param field its title */
    public record Said(String field, String value) {}

    /** @return each title and value once, in the order of the stream's types and fields, and of the page */
    public static List<Said> on(PageFacts page, StreamDefinition stream) {
        Set<Said> said = new LinkedHashSet<>();
        for (StreamDefinition.DocumentType type : stream.types()) {
            for (Field field : type.fields()) {
                for (Finder finder : field.finders()) {
                    if (finder instanceof Finder.ByBarcode barcode) {
                        for (Mark mark : new BarcodeSearch(barcode.form()).on(page)) {
                            said.add(new Said(field.title(), mark.value()));
                        }
                    }
                }
            }
        }
        return List.copyOf(said);
    }
}
