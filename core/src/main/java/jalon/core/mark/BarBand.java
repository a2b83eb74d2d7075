package jalon.core.mark;

import com.google.zxing.common.BitArray;
import jalon.core.image.GrayPlane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A band across upright bars, averaged along them, which takes grain and specks out, and made finer between its pixels.
 *
 * @param profile brightness from left to right, {@link #FINER} to a pixel
 * @param top where the band begins and @param bottom ends, from 0 to 1 of the place's height
 */
record BarBand(double[] profile, double top, double bottom) {
    /** A cell of two pixels becomes one of eight. */
    static final int FINER = 4;

    /** A code has at least so many edges. */
    static final int LEAST_EDGES = 16;

    private static final int BANDS = 9;

    /** Bars are the same along their length: less of the differences being left in the average is no code. */
    private static final double LEAST_ALIKE = 0.2;

    private static final int LEAST_CONTRAST = 18;

    /** Of the whole row's contrast: with less near by it is inside of a wide bar, or of the quiet zone. */
    private static final double NEAR_CONTRAST = 0.22;

    /** None where the place has no bars. */
    static List<BarBand> across(GrayPlane p) {
        List<BarBand> bands = new ArrayList<>();
        int rows = Math.max(1, p.height() / BANDS);
        for (int b = 0; b < BANDS; b++) {
            int from = b * p.height() / BANDS;
            int to = Math.min(p.height(), from + rows);
            double[] sums = new double[p.width()];
            double single = 0;
            for (int y = from; y < to; y++) {
                for (int x = 0; x < p.width(); x++) {
                    int v = p.at(x, y);
                    sums[x] += v;
                    single += x == 0 ? 0 : Math.abs(v - p.at(x - 1, y));
                }
            }
            double together = 0;
            int edges = 0;
            for (int x = 0; x < p.width(); x++) {
                sums[x] /= to - from;
                double step = x == 0 ? 0 : Math.abs(sums[x] - sums[x - 1]);
                together += step;
                edges += step > LEAST_CONTRAST / 2.0 ? 1 : 0;
            }
            if (edges >= LEAST_EDGES && together * (to - from) > LEAST_ALIKE * single) {
                bands.add(new BarBand(finer(sums), (double) from / p.height(), (double) to / p.height()));
            }
        }
        return bands;
    }

    private static double[] finer(double[] v) {
        double[] out = new double[v.length * FINER];
        for (int i = 0; i < out.length; i++) {
            double at = (i + 0.5) / FINER - 0.5;
            int a = (int) Math.floor(at);
            double f = at - a;
            out[i] = cubic(v, a, f);
        }
        return out;
    }

    /** Catmull-Rom: keeps a narrow bar between wide spaces as dark as it is. */
    private static double cubic(double[] v, int i, double f) {
        double a = v[Math.max(0, Math.min(v.length - 1, i - 1))];
        double b = v[Math.max(0, Math.min(v.length - 1, i))];
        double c = v[Math.max(0, Math.min(v.length - 1, i + 1))];
        double d = v[Math.max(0, Math.min(v.length - 1, i + 2))];
        return b + 0.5 * f * (c - a + f * (2 * a - 5 * b + 4 * c - d + f * (3 * (b - c) + d - a)));
    }

    /**
     * Black where it is darker than the middle between the darkest and the lightest that is near.
     *
     * @param window how wide that is, in pixels of the place
     */
    BitArray black(int window) {
        double[] v = profile;
        int half = Math.max(FINER * 2, window * FINER / 2);
        double[] low = extremes(v, half, false);
        double[] high = extremes(v, half, true);
        double lightest = Arrays.stream(v).max().orElse(255);
        double darkest = Arrays.stream(v).min().orElse(0);
        double least = Math.max(LEAST_CONTRAST, NEAR_CONTRAST * (lightest - darkest));
        var bits = new BitArray(v.length);
        for (int i = 0; i < v.length; i++) {
            double middle = high[i] - low[i] < least ? (lightest + darkest) / 2 : (high[i] + low[i]) / 2;
            if (v[i] < middle) {
                bits.set(i);
            }
        }
        return bits;
    }

    /** The least or greatest within so many steps to either side, by a queue of candidates. */
    private static double[] extremes(double[] v, int half, boolean greatest) {
        double[] out = new double[v.length];
        int[] queue = new int[v.length];
        int head = 0;
        int tail = 0;
        int next = 0;
        for (int i = 0; i < v.length; i++) {
            for (; next < v.length && next <= i + half; next++) {
                while (tail > head && (greatest ? v[queue[tail - 1]] <= v[next] : v[queue[tail - 1]] >= v[next])) {
                    tail--;
                }
                queue[tail++] = next;
            }
            while (queue[head] < i - half) {
                head++;
            }
            out[i] = v[queue[head]];
        }
        return out;
    }
}
