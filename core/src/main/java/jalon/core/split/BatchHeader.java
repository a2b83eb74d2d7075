package jalon.core.split;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import java.util.Optional;

/**
 * What a batch header sheet says: for which stream, and how many pages and documents follow it. The barcode on the sheet
 * (Code 128) holds {@code JALON stream P40 D12}; either count may be missing.
 *
 * @param pages how many images follow the sheet, or null when nobody counted
 * @param documents how many documents, or null
 */
public record BatchHeader(String stream, Integer pages, Integer documents) {
    /** Of pages or documents: six digits have room. */
    public static final int HIGHEST_COUNT = 999_999;

    private static final Pattern FORM =
            Pattern.compile("JALON ([a-z][a-z0-9-]{0,62})(?: P(\\d{1,6}))?(?: D(\\d{1,6}))?");

    public String barcode() {
        return "JALON " + stream + (pages == null ? "" : " P" + pages) + (documents == null ? "" : " D" + documents);
    }

    /** What it says, for whoever lays it on a stack. */
    public String counts() {
        String images = pages == null ? "" : pages + " pages (printed or scanned sides) follow. ";
        return images + (documents == null ? "" : documents + " documents.");
    }

    /** The header on a page, if the page is a batch header sheet. */
    public static Optional<BatchHeader> on(PageFacts page) {
        return page.marks().stream()
                .filter(m -> m.kind() == Mark.Kind.BARCODE)
                .map(m -> FORM.matcher(m.value()))
                .filter(Matcher::matches)
                .findFirst()
                .map(m -> new BatchHeader(m.group(1), number(m.group(2)), number(m.group(3))));
    }

    private static Integer number(String digits) {
        return digits == null ? null : Integer.valueOf(digits);
    }
}
