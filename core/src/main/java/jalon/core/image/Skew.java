package jalon.core.image;

import java.util.Arrays;

/**
 * How far a page's lines lean, by projection profiles (W. Postl, "Detection of linear oblique structures and skew scan
 * in digitized documents", 1986): at the right angle, rows of ink are either full or empty, so neighbouring row sums
 * differ most. Works on the lower edges of ink only, at about 100 dpi, first in half degrees, then finer; a drawing is left
 * out where it would turn the print beside it. It fails where there are fewer than a few lines of print; then it says 0 with
 * no certainty.
 *
 * @param degrees clockwise; turning the page by the negative makes it straight
 * @param certain whether the angle stands out enough to act on
 */
public record Skew(double degrees, boolean certain) {
    private static final double WIDEST = 15;
    private static final int FEWEST_EDGES = 120;

    /** A page seldom lies so; drawings lean any way. */
    private static final double FAR = 3;

    /** No word and no ruled line is as large both ways. */
    private static final double DRAWN_MM = 25;

    /** @param small the page at about 100 dpi, see {@link GrayPlane#small} */
    public static Skew of(GrayPlane small) {
        int threshold = Threshold.of(small);
        Skew all = of(Edges.lower(small, threshold, new boolean[small.width() * small.height()]));
        if (Math.abs(all.degrees()) < FAR) {
            return all;
        }
        Skew beside = of(Edges.lower(small, threshold, drawn(small)));
        return beside.certain() ? beside : all;
    }

    /** Where something stands that is large both ways. */
    private static boolean[] drawn(GrayPlane small) {
        var map = new InkMap(small);
        boolean[] large = new boolean[map.blobs.count];
        for (int b = 0; b < large.length; b++) {
            large[b] = map.mm(Math.min(map.blobs.width(b), map.blobs.height(b))) > DRAWN_MM;
        }
        boolean[] drawn = new boolean[map.width * map.height];
        map.blobs.eachRun(
                large,
                (blob, row, left, right) ->
                        Arrays.fill(drawn, row * map.width + left, row * map.width + right + 1, true));
        return drawn;
    }

    private static Skew of(Edges edges) {
        if (edges.count < FEWEST_EDGES) {
            return new Skew(0, false);
        }
        double best = 0;
        double bestScore = edges.score(0);
        double sum = 0;
        int tried = 0;
        for (double a = -WIDEST; a <= WIDEST; a += 0.5) {
            double score = edges.score(a);
            sum += score;
            tried++;
            if (score > bestScore) {
                bestScore = score;
                best = a;
            }
        }
        boolean certain = bestScore > 1.25 * sum / tried;
        for (double step : new double[] {0.1, 0.02}) {
            double centre = best;
            for (double a = centre - 5 * step; a <= centre + 5 * step + 1e-9; a += step) {
                double score = edges.score(a);
                if (score > bestScore) {
                    bestScore = score;
                    best = a;
                }
            }
        }
        return certain ? new Skew(Math.round(best * 100) / 100.0, true) : new Skew(0, false);
    }

    /** Pixels that are ink with paper below them. */
    private static final class Edges {
        private final int[] xs;
        private final int[] ys;
        private final int count;
        private final int width;
        private final int height;

        private Edges(int[] xs, int[] ys, int count, int width, int height) {
            this.xs = xs;
            this.ys = ys;
            this.count = count;
            this.width = width;
            this.height = height;
        }

        static Edges lower(GrayPlane p, int threshold, boolean[] without) {
            // The outer 3 % are left out: scan edges there run along the scanner, not along the print.
            int mx = p.width() * 3 / 100 + 1;
            int my = p.height() * 3 / 100 + 1;
            int[] xs = new int[p.width() * p.height() / 2 + 1];
            int[] ys = new int[xs.length];
            int n = 0;
            for (int y = my; y < p.height() - my - 1; y++) {
                for (int x = mx; x < p.width() - mx; x++) {
                    boolean edge = p.at(x, y) < threshold && p.at(x, y + 1) >= threshold;
                    if (edge && !without[y * p.width() + x] && n < xs.length) {
                        xs[n] = x;
                        ys[n++] = y;
                    }
                }
            }
            return new Edges(xs, ys, n, p.width(), p.height());
        }

        double score(double degrees) {
            double tan = Math.tan(Math.toRadians(degrees));
            int reach = (int) Math.ceil(Math.abs(tan) * width) + 2;
            int[] rows = new int[height + 2 * reach + 1];
            for (int i = 0; i < count; i++) {
                rows[(int) Math.floor(ys[i] - xs[i] * tan + 0.5) + reach]++;
            }
            double score = 0;
            for (int i = 1; i < rows.length; i++) {
                double d = rows[i] - rows[i - 1];
                score += d * d;
            }
            return score;
        }
    }
}
