package jalon.core.mark;

import com.google.zxing.BarcodeFormat;
import jalon.core.page.Box;
import java.util.List;
import java.util.Set;

/** Which barcodes are looked for: kinds by their names, none for all; and where on the upright page, or null. */
record BarcodesWanted(List<String> kinds, Box where) {
    private static final Set<BarcodeFormat> ROWS = Set.of(
            BarcodeFormat.CODE_128,
            BarcodeFormat.CODE_39,
            BarcodeFormat.CODE_93,
            BarcodeFormat.ITF,
            BarcodeFormat.CODABAR,
            BarcodeFormat.EAN_13,
            BarcodeFormat.EAN_8,
            BarcodeFormat.UPC_E);
    private static final List<BarcodeFormat> MATRICES =
            List.of(BarcodeFormat.QR_CODE, BarcodeFormat.DATA_MATRIX, BarcodeFormat.AZTEC);

    boolean kind(BarcodeFormat format) {
        // A UPC-A is read as the EAN-13 that it is.
        return kinds.isEmpty()
                || kinds.contains(format.name())
                || format == BarcodeFormat.EAN_13 && kinds.contains(BarcodeFormat.UPC_A.name());
    }

    boolean rows() {
        return ROWS.stream().anyMatch(this::kind) || kind(BarcodeFormat.PDF_417);
    }

    List<BarcodeFormat> matrices() {
        return MATRICES.stream().filter(this::kind).toList();
    }

    /** Whether a code in the box may be one; which way up the page is is not known yet, so that each may be. */
    boolean lies(Box box, double pageWidth, double pageHeight) {
        if (where == null) {
            return true;
        }
        for (int turn = 0; turn < 360; turn += 90) {
            if (where.overlaps(box.turned(turn, pageWidth, pageHeight))) {
                return true;
            }
        }
        return false;
    }
}
