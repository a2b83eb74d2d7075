package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * Photographs and halftones: places that are neither paper nor ink but in between, over more than print ever is. At about
 * 100 dpi the dots of a screen have become grey, and letters have paper around them. A reading engine takes each dot for
 * something to be read. Places with lines of print on them are none.
 */
public final class Halftones {
    private static final double PAPER_FROM = 0.85;
    private static final double INK_BELOW = 0.2;

    /** Print has a third at most, thin as its strokes are at this resolution. */
    private static final double BETWEEN = 0.6;

    /** A coarse screen's dots and gaps blend in part; plain paper has none, and need not be looked at in full. */
    private static final double SOME_GREY = 0.15;

    /** Of a coarse newspaper's screen; small print has about half, across. */
    private static final double DOTS_A_MM = 2.6;

    /** The rim of a picture goes as far as half of its row or column is picture. */
    private static final double OF_A_RIM = 0.5;

    private static final double LEAST_MM = 18;
    private static final double FILLED = 0.7;

    /** Letters in a row, in a place that is to be left out. */
    private static final int LETTERS_IN_A_ROW = 5;

    private static final double LEAST_LETTER_MM = 1.1;
    private static final double MOST_LETTER_MM = 7;

    private static final double AROUND_MM = 2.5;
    private static final int CLEARLY = 45;

    private final GrayPlane page;

    /** The same at about 100 dpi. */
    private final GrayPlane plane;

    private final InkMap map;

    private Halftones(GrayPlane page, GrayPlane small) {
        this.page = page;
        plane = small;
        map = new InkMap(small);
    }

    /**
     * Where pictures stand, in mm.
     *
     * @param small the same page at about 100 dpi, see {@link GrayPlane#small}
     */
    public static List<Box> in(GrayPlane page, GrayPlane small) {
        return new Halftones(page, small).places();
    }

    private List<Box> places() {
        boolean[] between = new boolean[map.columns * map.rows];
        for (int r = 0; r < map.rows; r++) {
            for (int c = 0; c < map.columns; c++) {
                int left = c * InkMap.CELL;
                int top = r * InkMap.CELL;
                int right = Math.min(map.width, left + InkMap.CELL);
                int bottom = Math.min(map.height, top + InkMap.CELL);
                double grey = between(left, top, right, bottom);
                between[r * map.columns + c] =
                        grey >= BETWEEN || grey >= SOME_GREY && dotted(map.box(left, top, right, bottom));
            }
        }
        var blobs = new Blobs(between, map.columns, map.rows);
        double cellMm = map.mm(InkMap.CELL);
        List<Box> places = new ArrayList<>();
        for (int b = 0; b < blobs.count; b++) {
            int wide = blobs.width(b);
            int tall = blobs.height(b);
            if (Math.min(wide, tall) * cellMm >= LEAST_MM && blobs.pixels[b] >= FILLED * wide * tall) {
                Box place = grown(
                        blobs.left[b] * InkMap.CELL,
                        blobs.top[b] * InkMap.CELL,
                        Math.min(map.width, (blobs.right[b] + 1) * InkMap.CELL),
                        Math.min(map.height, (blobs.bottom[b] + 1) * InkMap.CELL));
                if (!hasPrint(place)) {
                    places.add(place);
                }
            }
        }
        return places;
    }

    /** The share of pixels that are neither paper nor ink. */
    private double between(int left, int top, int right, int bottom) {
        int paper = (int) (PAPER_FROM * map.paper);
        int ink = (int) (INK_BELOW * map.paper);
        int between = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                int p = plane.at(x, y);
                between += p < paper && p > ink ? 1 : 0;
            }
        }
        return (double) between / Math.max(1, (right - left) * (bottom - top));
    }

    /** Whether ink and paper change as often as in a screen of dots, across and down: print does so across at most. */
    private boolean dotted(Box box) {
        int left = (int) page.inPixels(box.x());
        int top = (int) page.inPixels(box.y());
        int right = (int) Math.min(page.width() - 1, page.inPixels(box.right()));
        int bottom = (int) Math.min(page.height() - 1, page.inPixels(box.bottom()));
        int middle = map.paper * 2 / 3;
        int across = 0;
        int down = 0;
        for (int y = top; y < bottom; y += 2) {
            for (int x = left; x < right; x++) {
                boolean dark = page.at(x, y) < middle;
                across += dark != page.at(x + 1, y) < middle ? 1 : 0;
                down += dark != page.at(x, y + 1) < middle ? 1 : 0;
            }
        }
        double looked = page.mm(1) * Math.max(1, (right - left) * ((bottom - top + 1) / 2));
        return Math.min(across, down) / looked > DOTS_A_MM;
    }

    /** A rectangle grown by its rims, a cell at most each way. */
    private Box grown(int left, int top, int right, int bottom) {
        int l = left;
        int t = top;
        int r = right;
        int b = bottom;
        while (l > Math.max(0, left - InkMap.CELL) && between(l - 1, top, l, bottom) >= OF_A_RIM) {
            l--;
        }
        while (r < Math.min(map.width, right + InkMap.CELL) && between(r, top, r + 1, bottom) >= OF_A_RIM) {
            r++;
        }
        while (t > Math.max(0, top - InkMap.CELL) && between(left, t - 1, right, t) >= OF_A_RIM) {
            t--;
        }
        while (b < Math.min(map.height, bottom + InkMap.CELL) && between(left, b, right, b + 1) >= OF_A_RIM) {
            b++;
        }
        return map.box(l, t, r, b);
    }

    /** Whether things of one height and the size of letters stand side by side in it, darker or lighter than around them. */
    private boolean hasPrint(Box place) {
        GrayPlane cut = plane.cut(
                (int) plane.inPixels(place.x()),
                (int) plane.inPixels(place.y()),
                Math.min(plane.width() - (int) plane.inPixels(place.x()), (int) plane.inPixels(place.width())),
                Math.min(plane.height() - (int) plane.inPixels(place.y()), (int) plane.inPixels(place.height())));
        var means = new BoxMeans(i -> cut.pixels()[i] & 0xFF, cut.width(), cut.height());
        int around = (int) Math.round(cut.inPixels(AROUND_MM));
        boolean[] darker = new boolean[cut.width() * cut.height()];
        boolean[] lighter = new boolean[darker.length];
        for (int y = 0; y < cut.height(); y++) {
            for (int x = 0; x < cut.width(); x++) {
                // Without the dots that are left of a screen.
                double more = means.around(x, y, 1) - means.around(x, y, around);
                darker[y * cut.width() + x] = more < -CLEARLY;
                lighter[y * cut.width() + x] = more > CLEARLY;
            }
        }
        return hasRow(cut, darker) || hasRow(cut, lighter);
    }

    private static boolean hasRow(GrayPlane cut, boolean[] mask) {
        var blobs = new Blobs(mask, cut.width(), cut.height());
        List<Box> letters = new ArrayList<>();
        for (int b = 0; b < blobs.count; b++) {
            double tall = cut.mm(blobs.height(b));
            double wide = cut.mm(blobs.width(b));
            if (tall >= LEAST_LETTER_MM && tall <= MOST_LETTER_MM && wide <= 6 * tall) {
                letters.add(new Box(cut.mm(blobs.left[b]), cut.mm(blobs.top[b]), wide, tall));
            }
        }
        return letters.stream()
                .anyMatch(a -> letters.stream().filter(b -> besides(a, b)).count() >= LETTERS_IN_A_ROW);
    }

    private static boolean besides(Box a, Box b) {
        double shared = Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
        return shared > 0.6 * Math.max(a.height(), b.height())
                && Math.max(a.height(), b.height()) < 1.7 * Math.min(a.height(), b.height())
                && Math.abs(a.centreX() - b.centreX()) < 12 * a.height();
    }
}
