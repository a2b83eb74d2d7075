package jalon.core.image;

import jalon.core.page.Box;
import java.util.Arrays;

/**
 * A page at about 100 dpi, with what all measures of the whole page need: how bright the paper is around each place, what
 * is ink on it, and which ink hangs together. Made once a page.
 */
final class InkMap {
    /** Faint pencil differs from white paper by about 40 of 255; show-through on usual paper by less than 28. */
    private static final double CLEARLY_DARKER = 30 / 255.0;

    /** About 5 mm: print never fills four fifths of such a cell. */
    static final int CELL = 20;

    /** A cell darker than this share of the page's paper shows no paper: a scan edge, a photo. */
    private static final double NO_PAPER = 0.6;

    private static final int DARKEST_PAPER = 90;

    final GrayPlane plane;
    final double pixelsPerMm;
    final int width;
    final int height;
    /** The paper's brightness of each cell as measured, row by row. */
    final int[] cells;

    final int columns;
    final int rows;
    /** Brightness of most of the page's paper. */
    final int paper;

    final boolean[] ink;
    final Blobs blobs;

    /** @param small the page at about 100 dpi, see {@link GrayPlane#small} */
    InkMap(GrayPlane small) {
        plane = small;
        width = small.width();
        height = small.height();
        pixelsPerMm = small.inPixels(1);
        columns = (width + CELL - 1) / CELL;
        rows = (height + CELL - 1) / CELL;
        cells = new int[columns * rows];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                cells[r * columns + c] = brightness(c * CELL, r * CELL);
            }
        }
        int[] sorted = cells.clone();
        Arrays.sort(sorted);
        int median = sorted[sorted.length / 2];
        paper = median < DARKEST_PAPER ? 200 : median;
        ink = ink();
        blobs = new Blobs(ink, width, height);
    }

    /** The 80th percentile of a cell, which print never reaches. */
    private int brightness(int left, int top) {
        int right = Math.min(left + CELL, width);
        int bottom = Math.min(top + CELL, height);
        return plane.percentile(left, top, right, bottom, 1, 0.8);
    }

    /** The paper's brightness around a pixel. */
    int paperAt(int x, int y) {
        int cell = cells[y / CELL * columns + x / CELL];
        return cell < NO_PAPER * paper ? paper : cell;
    }

    /** The paper's brightness at a point of the map, between the middles of the four cells around it. */
    double smoothPaperAt(double x, double y) {
        double cx = Math.max(0, Math.min(columns - 1, x / CELL - 0.5));
        double cy = Math.max(0, Math.min(rows - 1, y / CELL - 0.5));
        int c = Math.min((int) cx, Math.max(0, columns - 2));
        int r = Math.min((int) cy, Math.max(0, rows - 2));
        int right = Math.min(columns - 1, c + 1);
        int below = Math.min(rows - 1, r + 1);
        double fx = cx - c;
        double fy = cy - r;
        double above = cells[r * columns + c] * (1 - fx) + cells[r * columns + right] * fx;
        double under = cells[below * columns + c] * (1 - fx) + cells[below * columns + right] * fx;
        return above * (1 - fy) + under * fy;
    }

    private boolean[] ink() {
        boolean[] mask = new boolean[width * height];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                int around = paperAt(c * CELL, r * CELL);
                int below = (int) (around - CLEARLY_DARKER * around);
                int right = Math.min((c + 1) * CELL, width);
                int bottom = Math.min((r + 1) * CELL, height);
                for (int y = r * CELL; y < bottom; y++) {
                    for (int p = y * width + c * CELL, end = y * width + right; p < end; p++) {
                        mask[p] = (plane.pixels()[p] & 0xFF) < below;
                    }
                }
            }
        }
        return mask;
    }

    /** A rectangle of this map's pixels in millimetres; right and bottom are the first pixels outside. */
    Box box(int left, int top, int right, int bottom) {
        return new Box(
                left / pixelsPerMm, top / pixelsPerMm, (right - left) / pixelsPerMm, (bottom - top) / pixelsPerMm);
    }

    double mm(double pixels) {
        return pixels / pixelsPerMm;
    }
}
