package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a page looks like beside its words: what a form is known by though its print is hard to read. Everything lies on the
 * upright page made straight about its middle, in millimetres. About 6 kB a page, a fifth of that when packed.
 *
 * @param rules ruled lines, across and down; a line's box has the length of its line and hardly any thickness
 * @param boxes small empty or ticked boxes with all four sides, up to 15 mm
 * @param ink how much ink each cell of {@value #CELL_MM} mm holds, row by row from the top left, three cells to a character of
 *     {@value #SIX_BITS}, the first in its lowest bits: 0 none, 1 a touch, 2 print, 3 dark
 * @param columns cells in a row
 */
public record PageLayout(List<Box> rules, List<Box> boxes, String ink, int columns) {
    /** Side of a cell of the ink grid. */
    public static final double CELL_MM = 2;

    /** So many rules at most, the longest ones: a sheet of squared paper has hundreds. */
    private static final int MOST_RULES = 160;

    private static final int MOST_BOXES = 60;

    /** Strokes of letters are shorter, but for those of large headings, which are as much of the form as its rules. */
    private static final double SHORTEST_RULE_MM = 3.6;

    /** Rules are thinner; what is thicker is a bar or a picture. */
    private static final double THICKEST_MM = 1.3;

    /** A run of ink as long belongs to a rule; a rule that a bad scan breaks up is several of them. */
    private static final double SHORTEST_RUN_MM = 3;

    /** Runs of one rule that is a little askew touch, or miss each other by so much. */
    private static final double BROKEN_MM = 1;

    /** Letters of headings have four sides too, but are smaller. */
    private static final double SMALLEST_BOX_MM = 3.2;

    private static final double LARGEST_BOX_MM = 15;

    /** Share of each side of a box that must be ink. */
    private static final double SIDE_INKED = 0.85;

    /** A speck is no ink. */
    private static final double[] INKED = {0.03, 0.12, 0.45};

    static final String SIX_BITS = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
    private static final int CELLS_IN_SIX = 3;

    public PageLayout {
        rules = rules == null ? List.of() : List.copyOf(rules);
        boxes = boxes == null ? List.of() : List.copyOf(boxes);
    }

    /** How dark it is at a place: 0 to 3, and -1 beside the page. */
    public int inkAt(double x, double y) {
        int column = (int) Math.floor(x / CELL_MM);
        int row = (int) Math.floor(y / CELL_MM);
        if (column < 0 || column >= columns || row < 0) {
            return -1;
        }
        int at = row * columns + column;
        return at / CELLS_IN_SIX >= ink.length() ? -1 : level(at);
    }

    private int level(int at) {
        return bits(ink.charAt(at / CELLS_IN_SIX)) >> 2 * (at % CELLS_IN_SIX) & 3;
    }

    private static int bits(char c) {
        return c >= 'A' && c <= 'Z'
                ? c - 'A'
                : c >= 'a' && c <= 'z' ? c - 'a' + 26 : c >= '0' && c <= '9' ? c - '0' + 52 : c == '+' ? 62 : 63;
    }

    /** The darkest cell that a box touches, 0 to 3. */
    public int darkestIn(Box box) {
        int most = 0;
        for (double[] cell : cells(box)) {
            most = Math.max(most, inkAt(cell[0], cell[1]));
        }
        return most;
    }

    /**
     * The share of a straight rule's length along which there is no ink.
     *
     * @param beside so far to either side of it none, mm
     */
    public double clearAlong(Box rule, double beside) {
        boolean across = rule.width() > rule.height();
        double from = across ? rule.x() : rule.y();
        double to = across ? rule.right() : rule.bottom();
        double middle = across ? rule.centreY() : rule.centreX();
        int clear = 0;
        int all = 0;
        for (double at = from + CELL_MM / 2; at < to || all == 0; at += CELL_MM) {
            double thick = beside + Math.min(rule.width(), rule.height()) / 2;
            Box piece = across ? new Box(at, middle - thick, 0, 2 * thick) : new Box(middle - thick, at, 2 * thick, 0);
            clear += darkestIn(piece) == 0 ? 1 : 0;
            all++;
        }
        return (double) clear / all;
    }

    /** A point in each cell that a box touches. */
    private static List<double[]> cells(Box box) {
        List<double[]> cells = new ArrayList<>();
        for (double y = box.y(); y < box.bottom() + CELL_MM; y += CELL_MM) {
            for (double x = box.x(); x < box.right() + CELL_MM; x += CELL_MM) {
                cells.add(new double[] {Math.min(x, box.right()), Math.min(y, box.bottom())});
            }
        }
        return cells;
    }

    /**
     * @param received the page's ink as received
     * @param rotation clockwise turn, a multiple of 90, that makes it upright
     * @param skew clockwise skew of the print on the upright page, degrees
     */
    static PageLayout of(InkMap received, int rotation, double skew) {
        var page = new Straight(received, rotation, skew);
        return new PageLayout(rules(page), boxes(page), grid(page), page.columns());
    }

    /** The ink of the upright, straight page. */
    private static final class Straight {
        private final int width;
        private final int height;
        private final double pixelsPerMm;
        private final boolean[] ink;

        Straight(InkMap map, int rotation, double skew) {
            boolean sideways = rotation % 180 != 0;
            width = sideways ? map.height : map.width;
            height = sideways ? map.width : map.height;
            pixelsPerMm = map.pixelsPerMm;
            ink = new boolean[width * height];
            double cos = Math.cos(Math.toRadians(skew));
            double sin = Math.sin(Math.toRadians(skew));
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    double dx = x + 0.5 - width / 2.0;
                    double dy = y + 0.5 - height / 2.0;
                    int ux = (int) Math.floor(width / 2.0 + dx * cos - dy * sin);
                    int uy = (int) Math.floor(height / 2.0 + dx * sin + dy * cos);
                    ink[y * width + x] =
                            ux >= 0 && uy >= 0 && ux < width && uy < height && map.ink[received(map, rotation, ux, uy)];
                }
            }
        }

        /** Where a pixel of the upright page lies on the received one. */
        private int received(InkMap map, int rotation, int x, int y) {
            return switch (rotation) {
                case 90 -> (map.height - 1 - x) * map.width + y;
                case 180 -> (map.height - 1 - y) * map.width + map.width - 1 - x;
                case 270 -> x * map.width + map.width - 1 - y;
                default -> y * map.width + x;
            };
        }

        private Straight(boolean[] ink, int width, int height, double pixelsPerMm) {
            this.ink = ink;
            this.width = width;
            this.height = height;
            this.pixelsPerMm = pixelsPerMm;
        }

        /** Rows become columns. */
        Straight transposed() {
            boolean[] out = new boolean[ink.length];
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    out[x * height + y] = ink[y * width + x];
                }
            }
            return new Straight(out, height, width, pixelsPerMm);
        }

        /** Whether ink lies along most of a side, at it or up to two pixels further in. */
        boolean inkedAlong(int fromX, int fromY, int toX, int toY, int inX, int inY) {
            int inked = 0;
            for (int y = fromY; y <= toY; y++) {
                for (int x = fromX; x <= toX; x++) {
                    boolean any = false;
                    for (int d = 0; d < 3 && !any; d++) {
                        any = ink[(y + d * inY) * width + x + d * inX];
                    }
                    inked += any ? 1 : 0;
                }
            }
            return inked >= SIDE_INKED * Math.max(toX - fromX + 1, toY - fromY + 1);
        }

        int columns() {
            return (int) Math.ceil(width / pixelsPerMm / CELL_MM);
        }

        Box box(double left, double top, double right, double bottom) {
            return new Box(
                    left / pixelsPerMm, top / pixelsPerMm, (right - left) / pixelsPerMm, (bottom - top) / pixelsPerMm);
        }
    }

    private static List<Box> rules(Straight page) {
        var across = across(page);
        var down = across(page.transposed()).stream().map(b -> new Box(b.y(), b.x(), b.height(), b.width()));
        return Stream.concat(across.stream(), down)
                .sorted(Comparator.comparingDouble((Box b) -> -Math.max(b.width(), b.height())))
                .limit(MOST_RULES)
                .toList();
    }

    private static List<Box> across(Straight page) {
        int shortest = (int) (SHORTEST_RUN_MM * page.pixelsPerMm);
        int gap = Math.max(1, (int) (BROKEN_MM * page.pixelsPerMm));
        boolean[] runs = new boolean[page.ink.length];
        for (int y = 0; y < page.height; y++) {
            int row = y * page.width;
            for (int x = 0; x < page.width; x++) {
                if (!page.ink[row + x]) {
                    continue;
                }
                int from = x;
                while (x + 1 < page.width && page.ink[row + x + 1]) {
                    x++;
                }
                if (x - from + 1 >= shortest) {
                    // A little longer to the right, so that the runs of one rule meet.
                    Arrays.fill(runs, row + from, Math.min(row + page.width, row + x + 1 + gap), true);
                }
            }
        }
        var lines = new Blobs(runs, page.width, page.height);
        List<Box> found = new ArrayList<>();
        for (int i = 0; i < lines.count; i++) {
            double length = lines.width(i) - gap;
            double thick = (double) lines.pixels[i] / lines.width(i);
            boolean isLine = length / page.pixelsPerMm >= SHORTEST_RULE_MM
                    && thick / page.pixelsPerMm <= THICKEST_MM
                    && lines.height(i) / page.pixelsPerMm <= 2 * THICKEST_MM;
            if (isLine) {
                double middle = (lines.top[i] + lines.bottom[i] + 1) / 2.0;
                found.add(page.box(lines.left[i], middle - thick / 2, lines.right[i] + 1 - gap, middle + thick / 2));
            }
        }
        return found;
    }

    private static List<Box> boxes(Straight page) {
        var blobs = new Blobs(page.ink, page.width, page.height);
        double least = SMALLEST_BOX_MM * page.pixelsPerMm;
        double most = LARGEST_BOX_MM * page.pixelsPerMm;
        List<Box> found = new ArrayList<>();
        for (int i = 0; i < blobs.count && found.size() < MOST_BOXES; i++) {
            int w = blobs.width(i);
            int h = blobs.height(i);
            boolean size = w >= least && h >= least && w <= most && h <= most;
            if (size && blobs.pixels[i] < 0.7 * w * h && hasFourSides(page, blobs, i)) {
                found.add(page.box(blobs.left[i], blobs.top[i], blobs.right[i] + 1.0, blobs.bottom[i] + 1.0));
            }
        }
        return found;
    }

    private static boolean hasFourSides(Straight page, Blobs blobs, int i) {
        int left = blobs.left[i];
        int right = blobs.right[i];
        int top = blobs.top[i];
        int bottom = blobs.bottom[i];
        return page.inkedAlong(left, top, right, top, 0, 1)
                && page.inkedAlong(left, bottom, right, bottom, 0, -1)
                && page.inkedAlong(left, top, left, bottom, 1, 0)
                && page.inkedAlong(right, top, right, bottom, -1, 0);
    }

    private static String grid(Straight page) {
        int columns = page.columns();
        int rows = (int) Math.ceil(page.height / page.pixelsPerMm / CELL_MM);
        int[] dark = new int[columns * rows];
        double cell = CELL_MM * page.pixelsPerMm;
        for (int y = 0; y < page.height; y++) {
            int row = (int) (y / cell) * columns;
            for (int x = 0; x < page.width; x++) {
                if (page.ink[y * page.width + x]) {
                    dark[row + (int) (x / cell)]++;
                }
            }
        }
        StringBuilder out = new StringBuilder(dark.length / CELLS_IN_SIX + 1);
        int six = 0;
        for (int i = 0; i < dark.length; i++) {
            double share = dark[i] / (cell * cell);
            int level = 0;
            while (level < INKED.length && share >= INKED[level]) {
                level++;
            }
            six |= level << 2 * (i % CELLS_IN_SIX);
            if (i % CELLS_IN_SIX == CELLS_IN_SIX - 1 || i == dark.length - 1) {
                out.append(SIX_BITS.charAt(six));
                six = 0;
            }
        }
        return out.toString();
    }
}
