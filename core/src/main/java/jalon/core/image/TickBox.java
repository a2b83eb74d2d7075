package jalon.core.image;

import jalon.core.page.Box;

/**
 * One box to tick on a straight cut of the page. Its printed frame is looked for about where it should be, a rectangle or a
 * ring; what counts is ink within it that is neither frame nor speck.
 *
 * <p>Lengths in pixels of the cut, which is made smaller than {@link #ENOUGH_DPI} if it can be.
 */
public final class TickBox {
    /** So much paper around a box is needed on the cut, mm, beside its own size on each side. */
    public static final double AROUND_MM = 3;

    private static final double ENOUGH_DPI = 150;

    /** Darker than this share between paper and black is ink of a frame, and of a pencil. */
    private static final double PRINT = 0.5;

    private static final double PENCIL = 0.2;

    /** Light does not fall off by this share of the contrast within a box and what lies about it; ink does. */
    private static final double SHADE = 0.25;

    /** Paler than a pencil: what may be the rest of one, or shine through. */
    private static final double HINT = 0.13;

    /** Strokes that are paler than this on the whole may be what shines through from the back. */
    private static final double PALE = 0.3;

    /** Less between paper and the darkest is no print at all. */
    private static final int LEAST_CONTRAST = 40;

    private static final double DARKEST = 0.005;

    private static final double SPECK_MM = 0.4;

    /** What lies along the frame within this share of its size may be the frame. */
    private static final double ALONG = 0.1;

    /** Ink within the frame, and its reach there, from which on as much speaks for a stroke as against one. */
    private static final double STROKE_INK = 0.028;

    private static final double STROKE_REACH = 0.3;

    private static final double FILLED = 0.6;

    /** A line that strikes something out leads so many sizes of the box out of it. */
    private static final double LEADS_OUT = 0.4;

    private static final double CLEAR = 0.998;
    private static final double WITHOUT_FRAME = 0.9;
    private static final double IF_PALE = 0.9;

    /** Paper is as bright as this share of a box and what lies about it does not exceed. */
    private static final double PAPER = 0.75;

    private final GrayPlane cut;
    private final TickFrame frame;
    private final int paper;
    private final int black;

    private TickBox(GrayPlane cut, Box expected) {
        this.cut = cut;
        this.black = cut.percentile(0, 0, cut.width(), cut.height(), 1, DARKEST);
        int whole = cut.percentile(0, 0, cut.width(), cut.height(), 1, PAPER);
        boolean[] print = new boolean[cut.width() * cut.height()];
        double limit = whole - PRINT * Math.max(LEAST_CONTRAST, whole - black);
        for (int i = 0; i < print.length; i++) {
            print[i] = (cut.pixels()[i] & 0xFF) < limit;
        }
        double perMm = cut.inPixels(1);
        this.frame = TickFrame.near(
                print, cut.width(), cut.height(), expected.scaled(perMm), perMm * AROUND_MM * TickFrame.SEARCHED);
        // Light falls unevenly, and the paper right here counts; where there is none to be seen it is what lies further
        // off.
        TickFrame near = frame.within(-0.5);
        int here = cut.percentile(
                Math.max(0, near.left()),
                Math.max(0, near.top()),
                Math.min(cut.width(), near.left() + near.width()),
                Math.min(cut.height(), near.top() + near.height()),
                1,
                PAPER);
        this.paper = here < whole - SHADE * (whole - black) ? whole : here;
    }

    /** 0 for paper to 1 for black. */
    private double darkness(int x, int y) {
        boolean inside = x >= 0 && y >= 0 && x < cut.width() && y < cut.height();
        return inside ? (paper - cut.at(x, y)) / (double) Math.max(LEAST_CONTRAST, paper - black) : 0;
    }

    /**
     * @param straight the box and {@link #AROUND_MM} around it at least, its sides along the print
     * @param expected where the box should be on it, mm
     * @param printed share of the inside that the blank form itself has in ink, 0..1
     * @return with its place on the cut, mm
     */
    public static Ticked on(GrayPlane straight, Box expected, double printed) {
        GrayPlane cut = straight.reduced(Math.max(1, (int) (straight.dpi() / ENOUGH_DPI)));
        return new TickBox(cut, expected).judged(printed);
    }

    private Ticked judged(double printed) {
        Strokes strokes = strokes(frame.within(ALONG), PENCIL);
        double weight = strokes.weight(printed);
        Ticked.State state;
        if (weight < 1) {
            state = Ticked.State.EMPTY;
        } else if (leadsOut()) {
            state = Ticked.State.STRUCK_OUT;
        } else {
            state = strokes.ink > FILLED ? Ticked.State.FILLED : Ticked.State.TICKED;
        }
        double clear = weight == 0 ? 1 : 1 - 0.5 * Math.exp(-4 * Math.abs(Math.log(weight)));
        boolean pale = weight >= 1
                ? strokes.darkness < PALE
                : strokes(frame.within(ALONG), HINT).weight(printed) >= 1;
        double certainty = CLEAR * clear * (frame.found() ? 1 : WITHOUT_FRAME) * (pale ? IF_PALE : 1);
        double mm = 1 / cut.inPixels(1);
        return new Ticked(
                state,
                certainty,
                strokes.ink,
                frame.found(),
                new Box(frame.left() * mm, frame.top() * mm, frame.width() * mm, frame.height() * mm));
    }

    /**
     * @param ink share of the inside
     * @param reach of the largest stroke, in sizes of the inside
     * @param darkness of the strokes on the whole
     */
    private record Strokes(double ink, double reach, double darkness) {
        /** From 1 on more speaks for a hand than against one; either alone may be little: a line has no area, a dot no reach. */
        double weight(double printed) {
            double more = Math.max(0, ink - printed);
            return Math.min(Math.sqrt(more / STROKE_INK), 3) * Math.min(reach / STROKE_REACH, 2);
        }
    }

    /** Only what reaches the core counts: along the frame lies what is left of a leaning or uneven line. */
    private Strokes strokes(TickFrame inner, double from) {
        int width = inner.width();
        int height = inner.height();
        if (width < 3 || height < 3) {
            return new Strokes(0, 0, 0);
        }
        boolean[] core = new boolean[width * height];
        int area = 0;
        int inked = 0;
        double dark = 0;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (inner.holds(inner.left() + x, inner.top() + y)) {
                    double darkness = darkness(inner.left() + x, inner.top() + y);
                    area++;
                    if (darkness > from) {
                        core[y * width + x] = true;
                        inked++;
                        dark += darkness;
                    }
                }
            }
        }
        var blobs = new Blobs(core, width, height);
        double speck = cut.inPixels(SPECK_MM);
        int ink = 0;
        double reach = 0;
        for (int b = 0; b < blobs.count; b++) {
            if (Math.max(blobs.width(b), blobs.height(b)) > speck) {
                ink += blobs.pixels[b];
                reach = Math.max(reach, Math.max(blobs.width(b) / (double) width, blobs.height(b) / (double) height));
            }
        }
        return new Strokes(ink / (double) Math.max(1, area), reach, dark / Math.max(1, inked));
    }

    /** Whether ink leads away from the frame on its left and on its right, at half height. */
    private boolean leadsOut() {
        int far = (int) Math.ceil(LEADS_OUT * frame.width());
        return leads(frame.outerLeft() - 2, -1, far) && leads(frame.outerRight() + 2, 1, far);
    }

    /** Follows ink from a column outwards, a step up or down at a time. */
    private boolean leads(int from, int step, int far) {
        int rows = frame.height();
        boolean[] reached = new boolean[rows];
        boolean any = false;
        for (int r = rows / 5; r < rows - rows / 5; r++) {
            reached[r] = inked(from, frame.top() + r);
        }
        for (int i = 1; i <= far; i++) {
            boolean[] next = new boolean[rows];
            any = false;
            for (int r = 0; r < rows; r++) {
                boolean beside = reached[r] || r > 0 && reached[r - 1] || r + 1 < rows && reached[r + 1];
                next[r] = beside && inked(from + i * step, frame.top() + r);
                any |= next[r];
            }
            reached = next;
        }
        return any;
    }

    private boolean inked(int x, int y) {
        return darkness(x, y) > PENCIL;
    }
}
