package jalon.core.image;

import java.util.Arrays;

/**
 * Takes straight rules off a small cut of a page: the lines of a form's boxes, which an engine that expects one line of
 * print takes for a letter, or because of which it gives up. Print never fills most of a pixel row over more than the
 * width of a long word, nor a column over nearly all of a cut's height.
 */
public final class RuledLines {
    private static final double ROW_FILLED = 0.7;
    private static final double COLUMN_FILLED = 0.95;

    /** In a narrower cut the feet of bold letters may come near to that. */
    private static final double LEAST_WIDTH_MM = 25;

    /** Rules are thinner; what is thicker is a bar or a picture. */
    private static final double THICKEST_MM = 1;

    private RuledLines() {}

    /** @return the same plane where there are none */
    public static GrayPlane without(GrayPlane cut) {
        int threshold = Threshold.of(cut);
        boolean[] rows = new boolean[cut.height()];
        boolean[] columns = new boolean[cut.width()];
        if (cut.widthMm() >= LEAST_WIDTH_MM) {
            for (int y = 0; y < rows.length; y++) {
                rows[y] = darkInRow(cut, y, threshold) > ROW_FILLED * cut.width();
            }
        }
        for (int x = 0; x < columns.length; x++) {
            columns[x] = darkInColumn(cut, x, threshold) > COLUMN_FILLED * cut.height();
        }
        boolean any = thin(rows, cut) | thin(columns, cut);
        return any ? whitened(cut, rows, columns) : cut;
    }

    private static int darkInRow(GrayPlane cut, int y, int threshold) {
        int dark = 0;
        for (int x = 0; x < cut.width(); x++) {
            dark += cut.at(x, y) < threshold ? 1 : 0;
        }
        return dark;
    }

    private static int darkInColumn(GrayPlane cut, int x, int threshold) {
        int dark = 0;
        for (int y = 0; y < cut.height(); y++) {
            dark += cut.at(x, y) < threshold ? 1 : 0;
        }
        return dark;
    }

    /** Leaves only runs that are thin enough for a rule, a pixel wider on both sides for their soft edges. */
    private static boolean thin(boolean[] filled, GrayPlane cut) {
        int most = (int) Math.ceil(cut.inPixels(THICKEST_MM));
        boolean[] found = filled.clone();
        Arrays.fill(filled, false);
        boolean any = false;
        for (int i = 0; i < found.length; i++) {
            if (!found[i]) {
                continue;
            }
            int end = i;
            while (end < found.length && found[end]) {
                end++;
            }
            if (end - i <= most) {
                Arrays.fill(filled, Math.max(0, i - 1), Math.min(found.length, end + 1), true);
                any = true;
            }
            i = end;
        }
        return any;
    }

    private static GrayPlane whitened(GrayPlane cut, boolean[] rows, boolean[] columns) {
        byte[] out = cut.pixels().clone();
        byte paper = (byte) paper(cut);
        for (int y = 0; y < cut.height(); y++) {
            for (int x = 0; x < cut.width(); x++) {
                if (rows[y] || columns[x]) {
                    out[y * cut.width() + x] = paper;
                }
            }
        }
        return new GrayPlane(cut.width(), cut.height(), out, cut.dpi());
    }

    /** The brightness that most of the cut has at least. */
    private static int paper(GrayPlane cut) {
        int[] counts = cut.histogram();
        long half = cut.pixels().length / 2;
        long seen = 0;
        int level = 255;
        while (level > 0 && seen + counts[level] < half) {
            seen += counts[level--];
        }
        return level;
    }
}
