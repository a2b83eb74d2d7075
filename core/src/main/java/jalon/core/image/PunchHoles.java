package jalon.core.image;

import java.util.ArrayDeque;

/**
 * Punch holes as a scanner shows them: solid dark discs of 4 to 9 mm near an edge of the sheet. Found by their outline:
 * about as wide as high, and filled as a disc is (pi / 4 of its square); a letter, a stamp or a signature is neither.
 */
final class PunchHoles {
    private static final int DARK = 110;
    private static final double LEAST_MM = 3.5;
    private static final double MOST_MM = 9.5;
    private static final double FROM_EDGE_MM = 28;
    private static final double LEAST_FILLED = 0.68;
    private static final double MOST_FILLED = 0.9;

    private final GrayPlane p;
    private final double pixelsPerMm;

    PunchHoles(GrayPlane p, double pixelsPerMm) {
        this.p = p;
        this.pixelsPerMm = pixelsPerMm;
    }

    /** True for the pixels of holes and a little around them. */
    boolean[] mask() {
        boolean[] mask = new boolean[p.width() * p.height()];
        boolean[] seen = new boolean[mask.length];
        int strip = (int) (FROM_EDGE_MM * pixelsPerMm);
        for (int y = 0; y < p.height(); y++) {
            for (int x = 0; x < p.width(); x++) {
                boolean near = x < strip || y < strip || x >= p.width() - strip || y >= p.height() - strip;
                if (near && !seen[y * p.width() + x] && p.at(x, y) < DARK) {
                    look(x, y, seen, mask);
                }
            }
        }
        return mask;
    }

    private void look(int startX, int startY, boolean[] seen, boolean[] mask) {
        int left = startX;
        int right = startX;
        int top = startY;
        int bottom = startY;
        int count = 0;
        var queue = new ArrayDeque<Integer>();
        queue.add(startY * p.width() + startX);
        seen[startY * p.width() + startX] = true;
        while (!queue.isEmpty()) {
            int at = queue.remove();
            int x = at % p.width();
            int y = at / p.width();
            count++;
            left = Math.min(left, x);
            right = Math.max(right, x);
            top = Math.min(top, y);
            bottom = Math.max(bottom, y);
            for (int i = 0; i < 4; i++) {
                int nx = x + (i == 0 ? 1 : i == 1 ? -1 : 0);
                int ny = y + (i == 2 ? 1 : i == 3 ? -1 : 0);
                if (nx >= 0 && ny >= 0 && nx < p.width() && ny < p.height()) {
                    int next = ny * p.width() + nx;
                    if (!seen[next] && p.at(nx, ny) < DARK) {
                        seen[next] = true;
                        queue.add(next);
                    }
                }
            }
        }
        double w = (right - left + 1) / pixelsPerMm;
        double h = (bottom - top + 1) / pixelsPerMm;
        double filled = (double) count / ((right - left + 1) * (bottom - top + 1));
        boolean disc = Math.min(w, h) >= LEAST_MM
                && Math.max(w, h) <= MOST_MM
                && Math.max(w, h) < 1.25 * Math.min(w, h)
                && filled >= LEAST_FILLED
                && filled <= MOST_FILLED;
        if (disc) {
            int rim = (int) Math.ceil(pixelsPerMm);
            for (int y = Math.max(0, top - rim); y <= Math.min(p.height() - 1, bottom + rim); y++) {
                for (int x = Math.max(0, left - rim); x <= Math.min(p.width() - 1, right + rim); x++) {
                    mask[y * p.width() + x] = true;
                }
            }
        }
    }
}
