package jalon.core.read;

import jalon.core.image.TickBox;
import jalon.core.image.Ticked;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import java.util.ArrayList;
import java.util.List;

/** Looks at boxes to tick on a page's image as it was received; see {@link TickBox}. */
public final class SeeTicks {
    /** More, for a cut that leans. */
    private static final double LEAN_MM = 1;

    private SeeTicks() {}

    /**
     * A box to look at.
     *
     * @param box on the upright page, its sides along the print
     * @param printed see {@link TickBox#on}
     */
    public record Place(Box box, double printed) {}

    /** @return as many, in this order; null for one that does not lie on the page */
    public static List<Ticked> of(Scan scan, PageFacts page, List<Place> places) {
        List<Ticked> seen = new ArrayList<>();
        for (Place place : places) {
            Box box = place.box();
            PagePart part = PagePart.around(scan.image(), scan.dpi(), page, box, around(box) + LEAN_MM);
            PagePart.Cut cut = part.straight(part.picture(), box, around(box));
            if (cut.plane() == null) {
                seen.add(null);
                continue;
            }
            Ticked ticked = TickBox.on(cut.plane(), cut.of(box), place.printed());
            seen.add(ticked.on(cut.onPage(ticked.boxMm())));
        }
        return seen;
    }

    private static double around(Box box) {
        return TickBox.AROUND_MM + Math.max(box.width(), box.height()) / 2;
    }
}
