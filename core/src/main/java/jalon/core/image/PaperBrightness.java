package jalon.core.image;

import java.util.Arrays;

/**
 * The paper itself: how dark, and how unevenly lit, from the brightness of the paper in cells of 5 mm (their 80th
 * percentile, which print does not reach).
 *
 * @param darkness 0 white to 1 black: of the brighter half of the cells, so that photos and edges do not count. A bitonal
 *     page has no grey; there it is the share of the page that is black
 * @param uneven the difference between the 95th and the 5th percentile of the cells, as a share of the brighter; cells that
 *     show no paper are left out. 0 for bitonal pages
 */
record PaperBrightness(double darkness, double uneven) {
    /** A lamp's or a shadow's fall-off leaves the paper at least this bright against the rest; darker is no paper. */
    private static final double NO_PAPER = 0.35;

    static PaperBrightness of(InkMap map, boolean bitonal) {
        if (bitonal) {
            long black = 0;
            for (byte p : map.plane.pixels()) {
                black += 255 - (p & 0xFF);
            }
            return new PaperBrightness(black / (255.0 * map.plane.pixels().length), 0);
        }
        int[] inner = inner(map);
        Arrays.sort(inner);
        double darkness = 1 - inner[inner.length * 3 / 4] / 255.0;
        double high = inner[(int) ((inner.length - 1) * 0.95)];
        int[] seen = Arrays.stream(inner).filter(c -> c > NO_PAPER * high).toArray();
        double low = seen.length == 0 ? high : seen[(int) ((seen.length - 1) * 0.05)];
        return new PaperBrightness(darkness, high < 1 ? 0 : 1 - low / high);
    }

    /** Without the outermost cells, where scan edges lie, when there are enough others. */
    private static int[] inner(InkMap map) {
        if (map.columns < 5 || map.rows < 5) {
            return map.cells.clone();
        }
        int[] inner = new int[(map.columns - 2) * (map.rows - 2)];
        int n = 0;
        for (int r = 1; r < map.rows - 1; r++) {
            for (int c = 1; c < map.columns - 1; c++) {
                inner[n++] = map.cells[r * map.columns + c];
            }
        }
        return inner;
    }
}
