package jalon.core.image;

/**
 * Damage by a block codec such as JPEG: how much larger the steps between neighbouring pixels are across the borders of its
 * 8 x 8 blocks than inside them (after Z. Wang, A. Bovik, B. Evans, "Blind measurement of blocking artifacts in images",
 * 2000), along rows, where the page is not plain. Moiré is not measured: on printed halftones it cannot be told from them.
 *
 * @param ratio 0 for none; 1 when border steps are twice those inside
 */
record Blocks(double ratio) {
    private static final int BLOCK = 8;
    private static final int ROWS = 260;

    /** Larger steps are print's own. */
    private static final int PRINT = 40;

    static Blocks of(GrayPlane p) {
        double[] sums = new double[BLOCK];
        long[] counts = new long[BLOCK];
        int every = Math.max(1, p.height() / ROWS) | 1;
        for (int y = 0; y < p.height(); y += every) {
            int row = y * p.width();
            for (int x = 1; x < p.width(); x++) {
                int step = Math.abs((p.pixels()[row + x] & 0xFF) - (p.pixels()[row + x - 1] & 0xFF));
                if (step < PRINT) {
                    sums[x % BLOCK] += step;
                    counts[x % BLOCK]++;
                }
            }
        }
        if (counts[0] < 1000) {
            return new Blocks(0);
        }
        double inside = 0;
        for (int i = 1; i < BLOCK; i++) {
            inside += sums[i] / counts[i] / (BLOCK - 1);
        }
        double border = sums[0] / counts[0];
        return new Blocks(Math.max(0, (border + 0.1) / (inside + 0.1) - 1));
    }
}
