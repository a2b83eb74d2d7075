package jalon.core.image;

import java.util.Arrays;

/**
 * How wide the step from ink to paper is: along rows, between the last pixel that is ink and the first that is paper
 * (P. Marziliano, F. Dufaux, S. Winkler, T. Ebrahimi, "A no-reference perceptual blur metric", 2002), from 10 to 90 % of
 * the step, between pixels by straight lines; the median of all clear steps. A bitonal page has no steps to measure.
 *
 * @param millimetres 10 to 90 %, or NaN where fewer than 40 steps were found
 */
record Blur(double millimetres) {
    private static final int FEWEST = 40;
    private static final int ROWS = 220;

    /** A step is clear when it is this much of full black to white. */
    private static final int LEAST_STEP = 40;

    private static final double WIDEST_MM = 3;

    static Blur of(GrayPlane p) {
        int longest = (int) Math.max(4, p.inPixels(WIDEST_MM));
        float[] widths = new float[60_000];
        int n = 0;
        int every = Math.max(1, p.height() / ROWS);
        for (int y = every / 2; y < p.height() && n < widths.length; y += every) {
            int row = y * p.width();
            int x = 1;
            while (x < p.width() && n < widths.length) {
                int d = value(p, row + x) - value(p, row + x - 1);
                int up = d > 2 ? 1 : d < -2 ? -1 : 0;
                if (up == 0) {
                    x++;
                    continue;
                }
                int from = x - 1;
                while (x < p.width() && (value(p, row + x) - value(p, row + x - 1)) * up > 0) {
                    x++;
                }
                int to = x - 1;
                int step = Math.abs(value(p, row + to) - value(p, row + from));
                if (step >= LEAST_STEP && to - from <= longest) {
                    widths[n++] = (float) width(p, row, from, to, up);
                }
            }
        }
        if (n < FEWEST) {
            return new Blur(Double.NaN);
        }
        Arrays.sort(widths, 0, n);
        return new Blur(p.mm(widths[n / 2]));
    }

    private static int value(GrayPlane p, int i) {
        return p.pixels()[i] & 0xFF;
    }

    private static double width(GrayPlane p, int row, int from, int to, int up) {
        double low = value(p, row + from);
        double high = value(p, row + to);
        return crossing(p, row, from, to, low + 0.9 * (high - low), up)
                - crossing(p, row, from, to, low + 0.1 * (high - low), up);
    }

    private static double crossing(GrayPlane p, int row, int from, int to, double level, int up) {
        for (int x = from + 1; x <= to; x++) {
            double v = value(p, row + x);
            if ((v - level) * up >= 0) {
                double before = value(p, row + x - 1);
                return x - 1 + (level - before) / (v - before);
            }
        }
        return to;
    }
}
