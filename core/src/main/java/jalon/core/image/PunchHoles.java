package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * Punch holes as a scanner shows them: solid dark discs of 4 to 9 mm near an edge of the sheet. Found by their outline:
 * about as wide as high, and filled as a disc is (pi / 4 of its square); a letter, a stamp or a signature is neither. A
 * hole that runs into a scan edge or into print is not found.
 */
final class PunchHoles {
    private static final int DARK = 110;
    private static final double LEAST_MM = 3.5;
    private static final double MOST_MM = 9.5;
    private static final double FROM_EDGE_MM = 28;
    private static final double LEAST_FILLED = 0.68;
    private static final double MOST_FILLED = 0.9;

    private PunchHoles() {}

    static List<Box> in(InkMap map) {
        boolean[] dark = new boolean[map.width * map.height];
        int strip = (int) (FROM_EDGE_MM * map.pixelsPerMm);
        for (int y = 0; y < map.height; y++) {
            boolean rowNear = y < strip || y >= map.height - strip;
            for (int x = 0; x < map.width; x++) {
                int i = y * map.width + x;
                dark[i] = (rowNear || x < strip || x >= map.width - strip)
                        && (map.plane.pixels()[i] & 0xFF) < DARK;
            }
        }
        Blobs blobs = new Blobs(dark, map.width, map.height);
        List<Box> holes = new ArrayList<>();
        for (int b = 0; b < blobs.count; b++) {
            double w = map.mm(blobs.width(b));
            double h = map.mm(blobs.height(b));
            double filled = (double) blobs.pixels[b] / ((double) blobs.width(b) * blobs.height(b));
            boolean disc = Math.min(w, h) >= LEAST_MM
                    && Math.max(w, h) <= MOST_MM
                    && Math.max(w, h) < 1.25 * Math.min(w, h)
                    && filled >= LEAST_FILLED
                    && filled <= MOST_FILLED;
            if (disc) {
                holes.add(map.box(blobs.left[b], blobs.top[b], blobs.right[b] + 1, blobs.bottom[b] + 1));
            }
        }
        return holes;
    }
}
