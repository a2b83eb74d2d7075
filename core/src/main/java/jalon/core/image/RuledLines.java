package jalon.core.image;

import java.util.function.IntToDoubleFunction;

/**
 * Takes straight rules off a small cut of a page: the lines of a form's boxes, which an engine that expects one line of
 * print takes for a letter, or because of which it gives up. A rule is a run of ink much longer than any letter is wide, or
 * nearly as tall as the cut, and thin where it runs; where a letter crosses it, the letter stays.
 */
public final class RuledLines {
    /** No letter or dash of a line of print is as wide. */
    private static final double LONG_MM = 10;

    /** Rules are thinner; what is thicker is a bar or a picture. */
    private static final double THICKEST_MM = 1;

    private static final double ALL_OF_THE_HEIGHT = 0.95;

    /** At the ends of a cut, where the sides of a box stand, a thin upright line is none of a letter from here on. */
    private static final double MOST_OF_THE_HEIGHT = 0.6;

    private static final double TALL_MM = 5;
    private static final double SIDE_MM = 4;

    private final GrayPlane cut;
    private final boolean[] dark;
    private final boolean[] ruled;

    private RuledLines(GrayPlane cut) {
        this.cut = cut;
        dark = Threshold.ink(cut);
        ruled = new boolean[dark.length];
    }

    /** @return the same plane where there are none */
    public static GrayPlane without(GrayPlane cut) {
        var lines = new RuledLines(cut);
        double height = cut.height();
        double tall = Math.max(MOST_OF_THE_HEIGHT * height, cut.inPixels(TALL_MM));
        double side = cut.inPixels(SIDE_MM);
        boolean any = lines.mark(cut.width(), cut.height(), 1, cut.width(), y -> cut.inPixels(LONG_MM))
                | lines.mark(
                        cut.height(),
                        cut.width(),
                        cut.width(),
                        1,
                        x -> x < side || x >= cut.width() - side ? tall : ALL_OF_THE_HEIGHT * height);
        return any ? lines.whitened() : cut;
    }

    /**
     * Marks the runs of one direction that are rules.
     *
     * @param length of a line of pixels, of which there are {@code lines}; {@code on} and {@code aside} are the steps to the
     *     next pixel and to the next line
     * @param least pixels of a run, for each line
     */
    private boolean mark(int length, int lines, int on, int aside, IntToDoubleFunction least) {
        boolean any = false;
        for (int line = 0; line < lines; line++) {
            int first = line * aside;
            int from = 0;
            while (from < length) {
                int to = from;
                // A pixel of paper is a flaw of the rule.
                while (to < length && (dark[first + to * on] || to + 1 < length && dark[first + (to + 1) * on])) {
                    to++;
                }
                if (to - from >= least.applyAsDouble(line)) {
                    for (int i = from; i < to; i++) {
                        any |= marked(first + i * on, line, lines, aside);
                    }
                }
                from = to + 1;
            }
        }
        return any;
    }

    /** Marks a rule's pixel and what is dark or soft beside it, unless it is as thick there as a letter that crosses. */
    private boolean marked(int at, int line, int lines, int aside) {
        int most = (int) Math.ceil(cut.inPixels(THICKEST_MM));
        int before = 0;
        while (before <= most && line - before - 1 >= 0 && dark[at - (before + 1) * aside]) {
            before++;
        }
        int behind = 0;
        while (behind <= most && line + behind + 1 < lines && dark[at + (behind + 1) * aside]) {
            behind++;
        }
        if (before + behind + 1 > most) {
            return false;
        }
        int last = Math.min(lines - 1 - line, behind + 1);
        for (int i = -Math.min(line, before + 1); i <= last; i++) {
            ruled[at + i * aside] = true;
        }
        return true;
    }

    private GrayPlane whitened() {
        byte[] out = cut.pixels().clone();
        byte paper = (byte) cut.percentile(0, 0, cut.width(), cut.height(), 1, 0.5);
        for (int i = 0; i < out.length; i++) {
            if (ruled[i]) {
                out[i] = paper;
            }
        }
        return new GrayPlane(cut.width(), cut.height(), out, cut.dpi());
    }
}
