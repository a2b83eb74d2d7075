package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Photographs and halftones: places that are neither paper nor ink but in between, over more than print ever is. At about
 * 100 dpi the dots of a screen have become grey, and letters have paper around them. A reading engine takes each dot for
 * something to be read. Places with lines of print on them are none.
 */
public final class Halftones {
    private static final double PAPER_FROM = 0.85;
    private static final double INK_BELOW = 0.2;

    /** Print has a third at most, thin as its strokes are at this resolution. */
    private static final double BETWEEN = 0.6;

    /** Of a coarse newspaper's screen; small print has about half, across. */
    private static final double DOTS_A_MM = 2.6;

    /** The rim of a picture goes as far as half of its row or column is picture. */
    private static final double OF_A_RIM = 0.5;

    private static final double LEAST_MM = 18;
    private static final double FILLED = 0.7;

    /** Letters in a row, in a place that is to be left out. */
    private static final int LETTERS_IN_A_ROW = 5;

    private static final double LEAST_LETTER_MM = 1.1;
    private static final double MOST_LETTER_MM = 7;

    private static final double AROUND_MM = 2.5;
    private static final int CLEARLY = 45;

    private final GrayPlane plane;
    private final InkMap map;

    private final GrayPlane page;

    private Halftones(GrayPlane page, GrayPlane small) {
        this.page = page;
        plane = small;
        map = new InkMap(small);
    }

    /**
     * Where pictures stand, in mm.
     *
     * @param small the same page at about 100 dpi, see {@link GrayPlane#small}
     */
    public static List<Box> in(GrayPlane page, GrayPlane small) {
        return new Halftones(page, small).places();
    }

    private List<Box> places() {
        boolean[] between = new boolean[map.columns * map.rows];
        for (int r = 0; r < map.rows; r++) {
            for (int c = 0; c < map.columns; c++) {
                int left = c * InkMap.CELL;
                int top = r * InkMap.CELL;
                int right = Math.min(map.width, left + InkMap.CELL);
                int bottom = Math.min(map.height, top + InkMap.CELL);
                between[r * map.columns + c] =
                        between(left, top, right, bottom) >= BETWEEN || dotted(map.box(left, top, right, bottom));
            }
        }
        List<Box> places = new ArrayList<>();
        boolean[] seen = new boolean[between.length];
        for (int cell = 0; cell < between.length; cell++) {
            if (between[cell] && !seen[cell]) {
                place(cell, between, seen, places);
            }
        }
        return places;
    }

    /** The share of pixels that are neither paper nor ink. */
    private double between(int left, int top, int right, int bottom) {
        int paper = (int) (PAPER_FROM * map.paper);
        int ink = (int) (INK_BELOW * map.paper);
        int between = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                int p = plane.at(x, y);
                between += p < paper && p > ink ? 1 : 0;
            }
        }
        return (double) between / Math.max(1, (right - left) * (bottom - top));
    }

    /** Whether ink and paper change as often as in a screen of dots, across and down: print does so across at most. */
    private boolean dotted(Box box) {
        int left = (int) page.inPixels(box.x());
        int top = (int) page.inPixels(box.y());
        int right = (int) Math.min(page.width() - 1, page.inPixels(box.right()));
        int bottom = (int) Math.min(page.height() - 1, page.inPixels(box.bottom()));
        int middle = map.paper * 2 / 3;
        int across = 0;
        int down = 0;
        for (int y = top; y < bottom; y += 2) {
            for (int x = left; x < right; x++) {
                boolean dark = page.at(x, y) < middle;
                across += dark != page.at(x + 1, y) < middle ? 1 : 0;
                down += dark != page.at(x, y + 1) < middle ? 1 : 0;
            }
        }
        double looked = page.mm(1) * Math.max(1, (right - left) * ((bottom - top + 1) / 2));
        return Math.min(across, down) / looked > DOTS_A_MM;
    }

    private void place(int start, boolean[] between, boolean[] seen, List<Box> places) {
        int columns = map.columns;
        int left = columns;
        int right = 0;
        int top = map.rows;
        int bottom = 0;
        int cells = 0;
        Deque<Integer> queue = new ArrayDeque<>(List.of(start));
        seen[start] = true;
        while (!queue.isEmpty()) {
            int cell = queue.remove();
            int c = cell % columns;
            int r = cell / columns;
            cells++;
            left = Math.min(left, c);
            right = Math.max(right, c);
            top = Math.min(top, r);
            bottom = Math.max(bottom, r);
            for (int nr = Math.max(0, r - 1); nr <= Math.min(map.rows - 1, r + 1); nr++) {
                for (int nc = Math.max(0, c - 1); nc <= Math.min(columns - 1, c + 1); nc++) {
                    int next = nr * columns + nc;
                    if (between[next] && !seen[next]) {
                        seen[next] = true;
                        queue.add(next);
                    }
                }
            }
        }
        int wide = right - left + 1;
        int tall = bottom - top + 1;
        double cellMm = map.mm(InkMap.CELL);
        if (Math.min(wide, tall) * cellMm >= LEAST_MM && cells >= FILLED * wide * tall) {
            int[] rectangle = grown(
                    left * InkMap.CELL,
                    top * InkMap.CELL,
                    Math.min(map.width, (right + 1) * InkMap.CELL),
                    Math.min(map.height, (bottom + 1) * InkMap.CELL));
            Box box = map.box(rectangle[0], rectangle[1], rectangle[2], rectangle[3]);
            if (!hasPrint(box)) {
                places.add(box);
            }
        }
    }

    /** A rectangle grown by its rims, a cell at most each way. */
    private int[] grown(int left, int top, int right, int bottom) {
        int l = left;
        int t = top;
        int r = right;
        int b = bottom;
        while (l > Math.max(0, left - InkMap.CELL) && between(l - 1, top, l, bottom) >= OF_A_RIM) {
            l--;
        }
        while (r < Math.min(map.width, right + InkMap.CELL) && between(r, top, r + 1, bottom) >= OF_A_RIM) {
            r++;
        }
        while (t > Math.max(0, top - InkMap.CELL) && between(left, t - 1, right, t) >= OF_A_RIM) {
            t--;
        }
        while (b < Math.min(map.height, bottom + InkMap.CELL) && between(left, b, right, b + 1) >= OF_A_RIM) {
            b++;
        }
        return new int[] {l, t, r, b};
    }

    /** Whether things of one height and the size of letters stand side by side in it, darker or lighter than around them. */
    private boolean hasPrint(Box place) {
        GrayPlane cut = plane.cut(
                (int) plane.inPixels(place.x()),
                (int) plane.inPixels(place.y()),
                Math.min(plane.width() - (int) plane.inPixels(place.x()), (int) plane.inPixels(place.width())),
                Math.min(plane.height() - (int) plane.inPixels(place.y()), (int) plane.inPixels(place.height())));
        int[] around = means(cut, (int) Math.round(cut.inPixels(AROUND_MM)));
        // Without the dots that are left of a screen.
        int[] smooth = means(cut, 1);
        return hasRow(cut, mask(around, smooth, 1)) || hasRow(cut, mask(around, smooth, -1));
    }

    /** @param darker 1 for what is darker than around, -1 for what is lighter */
    private static boolean[] mask(int[] around, int[] smooth, int darker) {
        boolean[] mask = new boolean[around.length];
        for (int i = 0; i < mask.length; i++) {
            mask[i] = darker * (around[i] - smooth[i]) > CLEARLY;
        }
        return mask;
    }

    private static boolean hasRow(GrayPlane cut, boolean[] mask) {
        var blobs = new Blobs(mask, cut.width(), cut.height());
        List<Box> letters = new ArrayList<>();
        for (int b = 0; b < blobs.count; b++) {
            double tall = cut.mm(blobs.height(b));
            double wide = cut.mm(blobs.width(b));
            if (tall >= LEAST_LETTER_MM && tall <= MOST_LETTER_MM && wide <= 6 * tall) {
                letters.add(new Box(cut.mm(blobs.left[b]), cut.mm(blobs.top[b]), wide, tall));
            }
        }
        return letters.stream()
                .anyMatch(a -> letters.stream().filter(b -> besides(a, b)).count() >= LETTERS_IN_A_ROW);
    }

    /** The mean around each pixel, in a square that reaches so far (sums over rectangles; F. Crow, 1984). */
    private static int[] means(GrayPlane p, int reach) {
        int w = p.width();
        int h = p.height();
        long[] sums = new long[(w + 1) * (h + 1)];
        for (int y = 0; y < h; y++) {
            long row = 0;
            for (int x = 0; x < w; x++) {
                row += p.at(x, y);
                sums[(y + 1) * (w + 1) + x + 1] = sums[y * (w + 1) + x + 1] + row;
            }
        }
        int[] means = new int[w * h];
        for (int y = 0; y < h; y++) {
            int top = Math.max(0, y - reach);
            int bottom = Math.min(h, y + reach + 1);
            for (int x = 0; x < w; x++) {
                int left = Math.max(0, x - reach);
                int right = Math.min(w, x + reach + 1);
                long sum = sums[bottom * (w + 1) + right]
                        - sums[top * (w + 1) + right]
                        - sums[bottom * (w + 1) + left]
                        + sums[top * (w + 1) + left];
                means[y * w + x] = (int) (sum / ((long) (right - left) * (bottom - top)));
            }
        }
        return means;
    }

    private static boolean besides(Box a, Box b) {
        double shared = Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
        return shared > 0.6 * Math.max(a.height(), b.height())
                && Math.max(a.height(), b.height()) < 1.7 * Math.min(a.height(), b.height())
                && Math.abs(a.centreX() - b.centreX()) < 12 * a.height();
    }
}
