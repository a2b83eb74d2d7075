package jalon.core.mark;

import jalon.core.image.GrayPlane;
import jalon.core.image.Threshold;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * The marks of one page. Barcodes read the same from every side; patch codes wait for the page's direction, which is
 * known only after reading: {@link #found} first, {@link #upright} then.
 */
public final class Marks {
    private final List<Mark> barcodes;
    private final List<PatchBars> patches;
    private final Box where;
    private final double widthMm;
    private final double heightMm;

    private Marks(List<Mark> barcodes, List<PatchBars> patches, Box where, double widthMm, double heightMm) {
        this.where = where;
        this.barcodes = barcodes;
        this.patches = patches;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    /** Looks for every mark on the page as received. */
    public static Marks found(GrayPlane page) {
        return found(page, page.small(), List.of(), null);
    }

    /**
     * @param small the same page at about 100 dpi
     * @param kinds of barcodes that are looked for, none for all
     * @param where the part of the upright page that they lie in, or null
     */
    public static Marks found(GrayPlane page, GrayPlane small, List<String> kinds, Box where) {
        int threshold = Threshold.of(small);
        return new Marks(
                BarcodeReader.read(page, threshold, new BarcodesWanted(kinds, where)),
                PatchFinder.find(small, threshold),
                where,
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
            Box box = m.box().turned(rotation, widthMm, heightMm);
            if (where == null || where.holdsCentreOf(box)) {
                all.add(new Mark(m.kind(), m.symbology(), m.value(), box, null, m.agreement()));
            }
        }
        List<PatchBars> twice = PatchDirection.alongBothEdges(patches, widthMm, heightMm);
        if (!twice.isEmpty()) {
            all.add(PatchDirection.eitherWay(twice, rotation, widthMm, heightMm));
        }
        for (PatchBars p : patches) {
            if (twice.contains(p)) {
                continue;
            }
            all.add(PatchDirection.settle(p, rotation, fromPrint, widthMm, heightMm));
        }
        return all;
    }
}
