package jalon.core.mark;

import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Finds patch codes: lines are run across the page in both directions, and where one crosses four bars of the right
 * widths, with the right spaces and clear paper before and after, the neighbouring lines must say the same for the
 * length of a bar. Text, table rules and barcodes never do: their strokes are too thin, too many or too short.
 *
 * <p>Works at about 100 dpi, where a narrow bar is 8 pixels; fails on bars printed under 0.06 inch or on sheets skewed by
 * more than about 15 degrees.
 */
final class PatchFinder {
    // A bar grows or shrinks by up to a millimetre with exposure and copying; a wide bar stays twice a narrow one.
    private static final double NARROW_LEAST = 1.1;
    private static final double NARROW_MOST = 3.3;
    private static final double WIDE_LEAST = 3.9;
    private static final double WIDE_MOST = 6.4;
    private static final double SPACE_LEAST = 1.0;
    private static final double SPACE_MOST = 3.1;

    private static final double PRINTED_NARROW = 2.032;
    private static final double PRINTED_WIDE = 5.08;

    /** Of worn patches of 150 dpi and more none was further off than 0.3 mm; four thick bars of chance are. */
    private static final double MOST_MISFIT_MM = 0.4;

    /** Clear paper before the first and after the last bar: more than any space between bars. */
    private static final double CLEAR_MM = 3.2;

    /** Printed patch bars are 50 mm or longer; half of one may be torn off or stamped over. */
    private static final double SHORTEST_BAR_MM = 25;

    /** Share of the lines within the bar's length that must agree. */
    private static final double AGREEING = 0.85;

    /** So far beyond its end all of a patch is paper, or under the same stamp. */
    private static final double[] BEYOND_MM = {2, 4, 6};

    private PatchFinder() {}

    /** @param small the page at about 100 dpi */
    static List<PatchBars> find(GrayPlane small, int threshold) {
        List<PatchBars> found = new ArrayList<>(scan(small, threshold, false));
        found.addAll(scan(small.turned(90), threshold, true));
        return found;
    }

    /** Runs down every column; for standing bars the plane comes turned clockwise, so that left becomes top. */
    private static List<PatchBars> scan(GrayPlane p, int threshold, boolean standing) {
        double mm = p.mm(1);
        List<Cluster> open = new ArrayList<>();
        List<Cluster> done = new ArrayList<>();
        int[] starts = new int[p.height() + 2];
        for (int x = 0; x < p.width(); x++) {
            int runs = runs(p, x, threshold, starts);
            for (int r = 1; r + 7 < runs; r += 2) {
                String bars = bars(starts, r, runs, mm, p.height());
                if (bars != null) {
                    place(open, x, Arrays.copyOfRange(starts, r, r + 8), bars);
                }
            }
            int column = x;
            open.removeIf(c -> {
                boolean over = column - c.lastX > 4;
                if (over) {
                    done.add(c);
                }
                return over;
            });
        }
        done.addAll(open);
        List<PatchBars> found = new ArrayList<>();
        for (Cluster c : done) {
            int length = c.lastX - c.firstX + 1;
            if (length * mm >= SHORTEST_BAR_MM
                    && c.hits >= AGREEING * length
                    && !ragged(p, threshold, c, c.firstX, c.first, -1)
                    && !ragged(p, threshold, c, c.lastX, c.last, 1)) {
                Box box = standing
                        // Turned clockwise: column x is the row counted from the bottom of the received image.
                        ? new Box(c.top * mm, (p.width() - 1 - c.lastX) * mm, (c.bottom - c.top) * mm, length * mm)
                        : new Box(c.firstX * mm, c.top * mm, length * mm, (c.bottom - c.top) * mm);
                found.add(new PatchBars(c.bars, standing, box));
            }
        }
        return found;
    }

    /** Fills {@code starts} with where each run begins: even numbers white, odd black, one past the last at the end. */
    private static int runs(GrayPlane p, int x, int threshold, int[] starts) {
        int n = 0;
        starts[n++] = 0;
        boolean black = false;
        for (int y = 0; y < p.height(); y++) {
            if ((p.at(x, y) < threshold) != black) {
                starts[n++] = y;
                black = !black;
            }
        }
        starts[n] = p.height();
        return n;
    }

    private static String bars(int[] starts, int r, int runs, double mm, int height) {
        double before = (starts[r] - starts[r - 1]) * mm;
        double after = ((r + 8 <= runs ? starts[r + 8] : height) - starts[r + 7]) * mm;
        boolean clearBefore = before >= CLEAR_MM || r == 1 && before >= SPACE_LEAST;
        boolean clearAfter = after >= CLEAR_MM || r + 8 >= runs && after >= SPACE_LEAST;
        if (!clearBefore || !clearAfter) {
            return null;
        }
        char[] bars = new char[4];
        int wide = 0;
        double[] lengths = new double[7];
        for (int i = 0; i < 7; i++) {
            double length = (starts[r + i + 1] - starts[r + i]) * mm;
            lengths[i] = length;
            if (i % 2 == 1) {
                if (length < SPACE_LEAST || length > SPACE_MOST) {
                    return null;
                }
            } else if (length >= WIDE_LEAST && length <= WIDE_MOST) {
                bars[i / 2] = 'W';
                wide++;
            } else if (length >= NARROW_LEAST && length <= NARROW_MOST) {
                bars[i / 2] = 'N';
            } else {
                return null;
            }
        }
        return wide == 2 && misfit(lengths, bars) <= MOST_MISFIT_MM ? new String(bars) : null;
    }

    /**
     * How far the bars and spaces are from printed ones that were copied larger or smaller and whose ink has spread or shrunk
     * by the same everywhere: least squares over the two, then the greatest that is left, mm.
     */
    private static double misfit(double[] lengths, char[] bars) {
        double ww = 0;
        double wg = 0;
        double wl = 0;
        double gl = 0;
        for (int i = 0; i < lengths.length; i++) {
            double printed = printed(bars, i);
            int spread = i % 2 == 0 ? 1 : -1;
            ww += printed * printed;
            wg += printed * spread;
            wl += printed * lengths[i];
            gl += spread * lengths[i];
        }
        int n = lengths.length;
        double det = ww * n - wg * wg;
        double scale = (wl * n - gl * wg) / det;
        double spread = (ww * gl - wg * wl) / det;
        double most = 0;
        for (int i = 0; i < n; i++) {
            most = Math.max(most, Math.abs(lengths[i] - scale * printed(bars, i) - (i % 2 == 0 ? spread : -spread)));
        }
        return most;
    }

    private static double printed(char[] bars, int i) {
        return i % 2 == 0 && bars[i / 2] == 'W' ? PRINTED_WIDE : PRINTED_NARROW;
    }

    /**
     * Whether some of the bars go on where others end: those of a patch are of one length, those of a chart are not.
     *
     * @param ends the edges of the bars in the last column
     * @param way 1 or -1, away from the bars
     */
    private static boolean ragged(GrayPlane p, int threshold, Cluster c, int x, int[] ends, int way) {
        double slope = (c.last[0] - c.first[0]) / (double) Math.max(1, c.lastX - c.firstX);
        for (double beyond : BEYOND_MM) {
            int step = way * (int) p.inPixels(beyond);
            int at = x + step;
            int shift = (int) Math.round(slope * step);
            int black = 0;
            for (int i = 0; i < 7; i++) {
                int middle = (ends[i] + ends[i + 1]) / 2 + shift;
                boolean inside = at >= 0 && at < p.width() && middle >= 0 && middle < p.height();
                boolean ink = inside && p.at(at, middle) < threshold;
                if (!inside || ink && i % 2 == 1) {
                    return false;
                }
                black += ink ? 1 : 0;
            }
            if (black == 0 || black == 4) {
                return false;
            }
        }
        return true;
    }

    private static void place(List<Cluster> open, int x, int[] edges, String bars) {
        for (Cluster c : open) {
            // A step of two pixels from column to column allows a skew well beyond what a feeder makes.
            if (c.bars.equals(bars) && Math.abs(c.last[0] - edges[0]) <= 2 * (x - c.lastX)) {
                c.add(x, edges);
                return;
            }
        }
        open.add(new Cluster(x, edges, bars));
    }

    private static final class Cluster {
        private final String bars;
        private final int firstX;
        private int lastX;
        private final int[] first;
        private int[] last;
        private int top;
        private int bottom;
        private int hits = 1;

        /** @param edges where its bars begin and end, from the top */
        Cluster(int x, int[] edges, String bars) {
            this.bars = bars;
            this.firstX = x;
            this.lastX = x;
            this.first = edges;
            this.last = edges;
            this.top = edges[0];
            this.bottom = edges[7];
        }

        void add(int x, int[] edges) {
            lastX = x;
            last = edges;
            top = Math.min(top, edges[0]);
            bottom = Math.max(bottom, edges[7]);
            hits++;
        }
    }
}
