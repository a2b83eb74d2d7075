package jalon.core.image;

/**
 * Damage by a lossy codec such as JPEG, which leaves ripples on the paper beside print, inside the same 8 x 8 block: how
 * much more the paper's brightness varies in blocks that hold print than in plain ones, as a share of black to white.
 * Borders of blocks say less on paper: the coarsest setting makes plain blocks all alike. Moire is not measured: on printed
 * halftones it cannot be told from them.
 *
 * @param share of the full range; about 0.01 for a good copier, 0.05 where small print suffers
 */
record Ripples(double share) {
    private static final int BLOCK = 8;

    /** Every so many rows of blocks is enough for a figure. */
    private static final int EVERY = 5;

    private static final int INK = 100;
    private static final int PAPER = 60;
    private static final int FEWEST_PIXELS = 20;

    static Ripples of(GrayPlane p, int paper) {
        double[] variance = new double[2];
        long[] blocks = new long[2];
        for (int top = 0; top + BLOCK <= p.height(); top += BLOCK * EVERY) {
            for (int left = 0; left + BLOCK <= p.width(); left += BLOCK) {
                look(p, left, top, paper, variance, blocks);
            }
        }
        if (blocks[0] < 50 || blocks[1] < 50) {
            return new Ripples(0);
        }
        double beside = Math.sqrt(variance[1] / blocks[1]);
        double plain = Math.sqrt(variance[0] / blocks[0]);
        return new Ripples(Math.max(0, beside - plain) / 255);
    }

    private static void look(GrayPlane p, int left, int top, int paper, double[] variance, long[] blocks) {
        boolean ink = false;
        int n = 0;
        long sum = 0;
        long squares = 0;
        for (int y = top; y < top + BLOCK; y++) {
            for (int i = y * p.width() + left, end = i + BLOCK; i < end; i++) {
                int v = p.pixels()[i] & 0xFF;
                ink |= v < paper - INK;
                if (v > paper - PAPER) {
                    n++;
                    sum += v;
                    squares += (long) v * v;
                }
            }
        }
        if (n >= FEWEST_PIXELS && (ink || n == BLOCK * BLOCK)) {
            int kind = ink ? 1 : 0;
            variance[kind] += (squares - (double) sum * sum / n) / n;
            blocks[kind]++;
        }
    }
}
