package jalon.core.image;

import java.util.Arrays;

/**
 * How far the ink stands out from its paper: in each cell of 5 mm that has ink, the darkest of its pixels at full
 * resolution against the cell's paper, as a share of the paper's brightness (Weber's contrast); of all cells the median. A
 * bitonal page is all black or white and has none to measure.
 *
 * @param share 0 nothing to be seen to 1 black on white, or NaN where hardly any ink is
 */
record Contrast(double share) {
    private static final int FEWEST_CELLS = 3;

    static Contrast of(InkMap map, GrayPlane full) {
        double scale = (double) full.width() / map.width;
        double[] found = new double[map.cells.length];
        int n = 0;
        for (int r = 0; r < map.rows; r++) {
            for (int c = 0; c < map.columns; c++) {
                int paper = map.cells[r * map.columns + c];
                if (paper >= 0.6 * map.paper && hasInk(map, c, r)) {
                    int darkest = darkest(full, scale, c, r);
                    found[n++] = Math.max(0, paper - darkest) / (double) Math.max(1, paper);
                }
            }
        }
        if (n < FEWEST_CELLS) {
            return new Contrast(Double.NaN);
        }
        Arrays.sort(found, 0, n);
        return new Contrast(found[n / 2]);
    }

    private static boolean hasInk(InkMap map, int c, int r) {
        int ink = 0;
        for (int y = r * InkMap.CELL; y < Math.min(map.height, (r + 1) * InkMap.CELL); y++) {
            for (int x = c * InkMap.CELL; x < Math.min(map.width, (c + 1) * InkMap.CELL); x++) {
                ink += map.ink[y * map.width + x] ? 1 : 0;
            }
        }
        return ink >= 12;
    }

    /** The 2nd percentile, every other row: one speck does not make ink black. */
    private static int darkest(GrayPlane full, double scale, int c, int r) {
        int left = (int) (c * InkMap.CELL * scale);
        int right = (int) Math.min(full.width(), (c + 1) * InkMap.CELL * scale);
        int top = (int) (r * InkMap.CELL * scale);
        int bottom = (int) Math.ceil(Math.min(full.height(), (r + 1) * InkMap.CELL * scale));
        return full.percentile(left, top, right, bottom, 2, 0.02);
    }
}
