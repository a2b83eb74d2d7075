package jalon.core.mark;

import jalon.core.image.GrayPlane;
import jalon.core.image.Threshold;
import java.util.ArrayList;
import java.util.List;

/**
 * The marks of one page. Barcodes read the same from every side; patch codes wait for the page's direction, which is
 * known only after reading: {@link #found} first, {@link #upright} then.
 */
public final class Marks {
    private final List<Mark> barcodes;
    private final List<PatchBars> patches;
    private final double widthMm;
    private final double heightMm;

    private Marks(List<Mark> barcodes, List<PatchBars> patches, double widthMm, double heightMm) {
        this.barcodes = barcodes;
        this.patches = patches;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    /** Looks for every mark on the page as received. */
    public static Marks found(GrayPlane page) {
        return found(page, page.small());
    }

    /** @param small the same page at about 100 dpi */
    public static Marks found(GrayPlane page, GrayPlane small) {
        int threshold = Threshold.of(small);
        return new Marks(
                BarcodeReader.read(page, threshold),
                PatchFinder.find(small, threshold),
                page.widthMm(),
                page.heightMm());
    }

    public boolean isEmpty() {
        return barcodes.isEmpty() && patches.isEmpty();
    }

    /**
     * The marks on the upright page.
     *
     * @param rotation clockwise turn that makes the received page upright, a multiple of 90
     * @param fromPrint whether that turn was seen from the page's print, and is not just the default
     */
    public List<Mark> upright(int rotation, boolean fromPrint) {
        List<Mark> all = new ArrayList<>();
        for (Mark m : barcodes) {
            all.add(new Mark(m.kind(), m.symbology(), m.value(), m.box().turned(rotation, widthMm, heightMm), null));
        }
        for (PatchBars p : patches) {
            all.add(PatchDirection.settle(p, rotation, fromPrint, widthMm, heightMm));
        }
        return all;
    }
}
