package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;

/**
 * How much of a page is content: ink that hangs together over more than a speck of dust, and is no scan edge, punch hole,
 * ruled line or form grid. Show-through is not dark enough to be ink at all. One figure "7" in small print is content.
 *
 * @param share 0..1 of the page's area
 */
public record Ink(double share) {
    /** Dust is smaller, both ways; a full stop of small print is too, but never stands alone. */
    private static final double DUST_MM = 1.2;

    /** Somewhere it must be as dark as faint pencil; show-through is not. */
    private static final double DARKEST_POINT = 36 / 255.0;

    private static final double LINE_MM = 20;
    private static final double LINE_THICK_MM = 1;

    /** Only a line as long as this may lean with the sheet: a shorter one that does is a flat scribble. */
    private static final double LONG_LINE_MM = 60;

    private static final double MOST_LEAN = 0.06;
    private static final double GRID_MM = 60;
    private static final double GRID_FILLED = 0.15;
    private static final double RIM_MM = 2;

    /**
     * @param outside black edges and missing corners: what of the ink lies there is none; all else that reaches the image's
     *     side is, so that a page too dark to be read, or printed to its rim, is never taken for a blank one
     */
    static Ink of(InkMap map, List<Box> holes, List<Box> outside) {
        Blobs blobs = map.blobs;
        boolean[] possible = new boolean[blobs.count];
        for (int b = 0; b < blobs.count; b++) {
            possible[b] = shaped(map, b) && !inHole(map, b, holes);
        }
        boolean[] dark = new boolean[blobs.count];
        blobs.eachRun(possible, (blob, row, left, right) -> {
            int below = (int) (map.paperAt(left, row) * (1 - DARKEST_POINT));
            for (int x = left; x <= right && !dark[blob]; x++) {
                dark[blob] = map.plane.at(x, row) < below;
            }
        });
        boolean[] edge = new boolean[map.width * map.height];
        outside.forEach(box -> fill(edge, map, box.grown(RIM_MM)));
        long[] ink = {0};
        blobs.eachRun(dark, (blob, row, left, right) -> {
            for (int i = row * map.width + left; i <= row * map.width + right; i++) {
                ink[0] += edge[i] ? 0 : 1;
            }
        });
        return new Ink((double) ink[0] / ((long) map.width * map.height));
    }

    private static void fill(boolean[] mask, InkMap map, Box box) {
        int left = (int) Math.max(0, box.x() * map.pixelsPerMm);
        int right = (int) Math.min(map.width, Math.ceil(box.right() * map.pixelsPerMm));
        int bottom = (int) Math.min(map.height, Math.ceil(box.bottom() * map.pixelsPerMm));
        for (int y = (int) Math.max(0, box.y() * map.pixelsPerMm); y < bottom; y++) {
            java.util.Arrays.fill(mask, y * map.width + left, y * map.width + right, true);
        }
    }

    private static boolean shaped(InkMap map, int b) {
        Blobs blobs = map.blobs;
        double w = map.mm(blobs.width(b));
        double h = map.mm(blobs.height(b));
        double longer = Math.max(w, h);
        double rim = RIM_MM * map.pixelsPerMm;
        boolean atRim = blobs.right[b] < rim
                || blobs.bottom[b] < rim
                || blobs.left[b] > map.width - rim
                || blobs.top[b] > map.height - rim;
        boolean line = longer > LINE_MM
                && map.mm(map.mm(blobs.pixels[b])) / longer < LINE_THICK_MM
                && Math.min(w, h) < LINE_THICK_MM + (longer > LONG_LINE_MM ? MOST_LEAN * longer : 0);
        boolean grid =
                Math.min(w, h) > GRID_MM && blobs.pixels[b] < GRID_FILLED * blobs.width(b) * (double) blobs.height(b);
        return longer >= DUST_MM && !atRim && !line && !grid;
    }

    private static boolean inHole(InkMap map, int b, List<Box> holes) {
        Box box = map.box(map.blobs.left[b], map.blobs.top[b], map.blobs.right[b] + 1, map.blobs.bottom[b] + 1);
        return holes.stream().anyMatch(hole -> hole.grown(1.5).holdsCentreOf(box));
    }
}
