package jalon.core.mark;

import com.google.zxing.ChecksumException;
import com.google.zxing.FormatException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.common.PerspectiveTransform;
import com.google.zxing.datamatrix.decoder.Decoder;
import jalon.core.image.GrayPlane;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Reads a Data Matrix code that fills its place, the square and the oblong ones (ISO/IEC 16022). The library's detector
 * starts from the middle and follows the two solid sides, which wear and slant break; here the four sides are fitted as
 * lines along the outermost ink, every size is laid into them, and the one whose rim is solid on two sides and broken on
 * the other two is decoded. The code's own correction says whether it was right.
 */
final class DataMatrixGrid {
    /** Rows and columns. */
    private static final int[][] SIZES = {
        {10, 10}, {12, 12}, {14, 14}, {16, 16}, {18, 18}, {20, 20}, {22, 22}, {24, 24}, {26, 26}, {32, 32}, {36, 36},
        {40, 40}, {44, 44}, {48, 48}, {52, 52}, {8, 18}, {8, 32}, {12, 26}, {12, 36}, {16, 36}, {16, 48}
    };

    private static final int LEAST_CONTRAST = 30;

    /** Of the rim's cells. */
    private static final double LEAST_RIM = 0.85;

    private static final int TRIED = 3;

    /** Ink beyond this from the rest is dust or a neighbour, mm. */
    private static final double GAP_MM = 1.2;

    private final GrayPlane p;
    private final int middle;

    private DataMatrixGrid(GrayPlane p, int middle) {
        this.p = p;
        this.middle = middle;
    }

    /** @return what the code says */
    static Optional<String> read(GrayPlane place) {
        int dark = place.percentile(0, 0, place.width(), place.height(), 1, 0.05);
        int light = place.percentile(0, 0, place.width(), place.height(), 1, 0.9);
        if (light - dark < LEAST_CONTRAST) {
            return Optional.empty();
        }
        return new DataMatrixGrid(place, (dark + light) / 2).read();
    }

    private boolean ink(int x, int y) {
        return p.at(x, y) < middle;
    }

    /** A side as a line: x = at + lean * y for upright ones, y = at + lean * x for level ones. */
    private record Side(double at, double lean) {
        /** Of this upright one with a level one. */
        float crossingX(Side level) {
            return (float) (at + lean * crossingY(level));
        }

        float crossingY(Side level) {
            return (float) ((level.at + level.lean * at) / (1 - level.lean * lean));
        }
    }

    private Optional<String> read() {
        int[] across = extent(true);
        int[] down = extent(false);
        if (across == null || down == null) {
            return Optional.empty();
        }
        Side left = side(true, false, across, down);
        Side right = side(true, true, across, down);
        Side top = side(false, false, down, across);
        Side bottom = side(false, true, down, across);
        PerspectiveTransform map = PerspectiveTransform.squareToQuadrilateral(
                left.crossingX(top),
                left.crossingY(top),
                right.crossingX(top),
                right.crossingY(top),
                right.crossingX(bottom),
                right.crossingY(bottom),
                left.crossingX(bottom),
                left.crossingY(bottom));
        List<Laid> laid = new ArrayList<>();
        for (int[] size : SIZES) {
            for (int turn = 0; turn < 4; turn++) {
                var grid = new Laid(map, turn % 2 == 0 ? size[0] : size[1], turn % 2 == 0 ? size[1] : size[0], turn);
                grid.rim = rim(grid);
                if (grid.rim >= LEAST_RIM) {
                    laid.add(grid);
                }
            }
        }
        laid.sort(Comparator.comparingDouble((Laid l) -> -l.rim));
        for (Laid l : laid.subList(0, Math.min(TRIED, laid.size()))) {
            try {
                return Optional.of(new Decoder().decode(cells(l)).getText());
            } catch (ChecksumException | FormatException | IllegalArgumentException e) {
                // Another size or turn may be the right one.
            }
        }
        return Optional.empty();
    }

    /** A grid laid over the picture: so many rows and columns as they lie there, the code turned in it by quarters. */
    private static final class Laid {
        final PerspectiveTransform map;
        final int rows;
        final int columns;
        final int turn;
        double rim;

        Laid(PerspectiveTransform map, int rows, int columns, int turn) {
            this.map = map;
            this.rows = rows;
            this.columns = columns;
            this.turn = turn;
        }

        /** Columns and rows of the code as it is when it stands upright. */
        int width() {
            return turn % 2 == 0 ? columns : rows;
        }

        int height() {
            return turn % 2 == 0 ? rows : columns;
        }
    }

    /** The longest stretch with ink in it, or null. */
    private int[] extent(boolean columns) {
        int length = columns ? p.width() : p.height();
        int across = columns ? p.height() : p.width();
        int gap = Math.max(2, (int) p.inPixels(GAP_MM));
        int[] longest = null;
        int from = -1;
        int last = -1;
        for (int i = 0; i <= length; i++) {
            int dark = 0;
            for (int j = 0; i < length && j < across; j++) {
                dark += ink(columns ? i : j, columns ? j : i) ? 1 : 0;
            }
            boolean has = dark >= Math.max(2, p.inPixels(0.3));
            if (from >= 0 && (i == length || has && i - last > gap)) {
                if (longest == null || last - from > longest[1] - longest[0]) {
                    longest = new int[] {from, last};
                }
                from = -1;
            }
            if (has) {
                from = from < 0 ? i : from;
                last = i;
            }
        }
        return longest;
    }

    /**
     * The line that the outermost ink lies along: of the lines through two such points, the one that most others touch and
     * fewest lie outside of.
     *
     * @param along the extent that the side bounds, @param over the extent that it runs over
     */
    private Side side(boolean upright, boolean far, int[] along, int[] over) {
        int n = over[1] - over[0] + 1;
        double[] at = new double[n];
        for (int i = 0; i < n; i++) {
            int found = far ? along[1] : along[0];
            int step = far ? -1 : 1;
            while (found >= along[0]
                    && found <= along[1]
                    && !(upright ? ink(found, over[0] + i) : ink(over[0] + i, found))) {
                found += step;
            }
            at[i] = far ? found + 1 : found;
        }
        double near = Math.max(0.8, p.inPixels(0.12));
        Side best = new Side(far ? along[1] + 1 : along[0], 0);
        double score = Double.NEGATIVE_INFINITY;
        int step = Math.max(1, n / 12);
        for (int i = 0; i < n / 2; i += step) {
            for (int j = n - 1; j > i + n / 3; j -= step) {
                double lean = (at[j] - at[i]) / (j - i);
                double fits = 0;
                for (int k = 0; k < n; k += 3) {
                    double off = (at[k] - (at[i] + lean * (k - i))) * (far ? -1 : 1);
                    fits += off < -near ? -3 : off <= near ? 1 : 0;
                }
                if (fits > score && Math.abs(lean) < 0.35) {
                    score = fits;
                    best = new Side(at[i] - lean * (i + over[0]), lean);
                }
            }
        }
        return best;
    }

    /** Whether the cell in this column and row of the upright code is dark, by its middle part. */
    private boolean dark(Laid l, int x, int y) {
        int column = l.turn == 0 ? x : l.turn == 1 ? l.columns - 1 - y : l.turn == 2 ? l.columns - 1 - x : y;
        int row = l.turn == 0 ? y : l.turn == 1 ? x : l.turn == 2 ? l.rows - 1 - y : l.rows - 1 - x;
        float[] at = new float[10];
        for (int i = 0; i < 5; i++) {
            at[2 * i] = (float) ((column + 0.5 + (i == 1 ? 0.2 : i == 2 ? -0.2 : 0)) / l.columns);
            at[2 * i + 1] = (float) ((row + 0.5 + (i == 3 ? 0.2 : i == 4 ? -0.2 : 0)) / l.rows);
        }
        l.map.transformPoints(at);
        double sum = 0;
        for (int i = 0; i < at.length; i += 2) {
            int px = (int) at[i];
            int py = (int) at[i + 1];
            boolean inside = px >= 0 && py >= 0 && px < p.width() && py < p.height();
            sum += inside ? p.at(px, py) : 255;
        }
        return sum < 5 * middle;
    }

    private BitMatrix cells(Laid l) {
        var cells = new BitMatrix(l.width(), l.height());
        for (int y = 0; y < l.height(); y++) {
            for (int x = 0; x < l.width(); x++) {
                if (dark(l, x, y)) {
                    cells.set(x, y);
                }
            }
        }
        return cells;
    }

    /** The share of the rim's cells that are as they must be: left and bottom solid, top and right broken. */
    private double rim(Laid l) {
        int w = l.width();
        int h = l.height();
        int solid = 0;
        for (int x = 0; x < w; x++) {
            solid += dark(l, x, h - 1) ? 1 : 0;
        }
        for (int y = 0; y < h; y++) {
            solid += dark(l, 0, y) ? 1 : 0;
        }
        if (solid < LEAST_RIM * (w + h)) {
            return 0;
        }
        int broken = 0;
        for (int x = 0; x < w; x++) {
            broken += dark(l, x, 0) == (x % 2 == 0) ? 1 : 0;
        }
        for (int y = 0; y < h; y++) {
            broken += dark(l, w - 1, y) == (y % 2 == 1) ? 1 : 0;
        }
        return (solid + broken) / (2.0 * (w + h));
    }
}
