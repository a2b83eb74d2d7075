package jalon.core.image;

/**
 * How much of a page is ink: the share of its area, in the middle part (without the outer 8 mm, where scan edges are,
 * and without {@linkplain PunchHoles punch holes}), that is clearly darker than the paper around it, specks of dust left out.
 *
 * @param share 0..1 of the measured area
 */
public record Ink(double share) {
    private static final double MARGIN_MM = 8;

    /** Faint pencil differs from the paper by about 40 of 255; show-through on usual paper by less than 30. */
    private static final int CLEARLY_DARKER = 34;

    /** A cell of about 5 mm must hold this many dark pixels to count: dust is one or two. */
    private static final int MORE_THAN_DUST = 4;

    private static final int CELL = 20;

    /**
     * @param p the page at about 100 dpi, see {@link GrayPlane#small}
     * @param widthMm of the page
     */
    public static Ink of(GrayPlane p, double widthMm) {
        double pixelsPerMm = p.width() / widthMm;
        int margin = (int) Math.min(MARGIN_MM * pixelsPerMm, Math.min(p.width(), p.height()) / 4.0);
        boolean[] hole = new PunchHoles(p, pixelsPerMm).mask();
        long ink = 0;
        long area = 0;
        for (int cy = margin; cy < p.height() - margin; cy += CELL) {
            for (int cx = margin; cx < p.width() - margin; cx += CELL) {
                int right = Math.min(cx + CELL, p.width() - margin);
                int bottom = Math.min(cy + CELL, p.height() - margin);
                int paper = brightest(p, cx, cy, right, bottom);
                int dark = 0;
                for (int y = cy; y < bottom; y++) {
                    for (int x = cx; x < right; x++) {
                        if (p.at(x, y) < paper - CLEARLY_DARKER && !hole[y * p.width() + x]) {
                            dark++;
                        }
                    }
                }
                ink += dark >= MORE_THAN_DUST ? dark : 0;
                area += (long) (right - cx) * (bottom - cy);
            }
        }
        return new Ink(area == 0 ? 0 : (double) ink / area);
    }

    /** The paper's brightness in a cell: its 80th percentile, which print never reaches. */
    private static int brightest(GrayPlane p, int left, int top, int right, int bottom) {
        int[] counts = new int[256];
        int n = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                counts[p.at(x, y)]++;
                n++;
            }
        }
        int below = 0;
        for (int i = 0; i < 256; i++) {
            below += counts[i];
            if (below >= 0.8 * n) {
                return i;
            }
        }
        return 255;
    }
}
