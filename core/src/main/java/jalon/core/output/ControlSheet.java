package jalon.core.output;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * A sheet that steers the cut and is not filed: a separator, a batch header, a cover sheet.
 *
 * @param title for people, large
 * @param lines for people, below it
 * @param patch the patch code printed along both short edges, so that it reads the same whichever goes first; or null
 * @param barcode what its barcode says, or null
 * @param barcodeMm where the middle of the barcode stands from the top, mm
 */
public record ControlSheet(String title, List<String> lines, String patch, String barcode, double barcodeMm) {
    /** Clear of the title and of both patches on all papers. */
    public static final double USUAL_BARCODE_MM = 128;

    public ControlSheet {
        lines = List.copyOf(lines);
    }

    public static ControlSheet of(String title, List<String> lines, String patch, String barcode) {
        return new ControlSheet(title, lines, patch, barcode, USUAL_BARCODE_MM);
    }

    /** What it is printed on. */
    public enum Paper {
        @JsonProperty("a4")
        A4(PDRectangle.A4),
        @JsonProperty("letter")
        LETTER(PDRectangle.LETTER);

        final PDRectangle size;

        Paper(PDRectangle size) {
            this.size = size;
        }
    }
}
