package jalon.core.mark;

import com.google.zxing.Result;
import com.google.zxing.common.BitArray;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether bars are as wide as those of a code. Decoders take each sign for the one that is least unlike, so that one in some
 * thousand rows of bars of chance passes for a goods number, check digit and all. But the edges of printed ones lie on a grid
 * of equal modules, or their bars are of two widths and none between; those of chance are anyhow.
 */
final class PrintedWidths {
    /** Of worn codes of 150 dpi and more none was below 0.45, of bars of chance none above 0.13. */
    private static final double LEAST_GATHERED = 0.3;

    /** Here the same pages gave 0.7 and 0.06. */
    private static final double LEAST_APART = 0.3;

    private PrintedWidths() {}

    /** @return true also for kinds of which nothing is known here */
    static boolean are(BitArray row, RowEnds ends, Result code) {
        return switch (code.getBarcodeFormat()) {
            case EAN_13, UPC_A -> onGrid(row, ends, 95);
            case EAN_8 -> onGrid(row, ends, 67);
            case UPC_E -> onGrid(row, ends, 51);
            case ITF -> ofTwoWidths(row, ends, code.getText().length());
            default -> true;
        };
    }

    private static boolean onGrid(BitArray row, RowEnds ends, int modules) {
        return Math.min(gathered(row, ends, modules, true), gathered(row, ends, modules, false)) >= LEAST_GATHERED;
    }

    /**
     * How near to one place in their module all edges of one kind lie: the length of the mean of their directions on a circle
     * that is a module around (K. V. Mardia, "Statistics of Directional Data", 1972). Ink that has spread moves them all alike.
     *
     * @param begin whether edges where a bar begins are meant, or those where it ends
     * @return 0 for anywhere to 1
     */
    private static double gathered(BitArray row, RowEnds ends, int modules, boolean begin) {
        double module = (ends.right() + 1.0 - ends.left()) / modules;
        double x = 0;
        double y = 0;
        int n = 0;
        for (int i = ends.left() + 1; i <= ends.right(); i++) {
            if (row.get(i) == begin && row.get(i - 1) != begin) {
                double angle = 2 * Math.PI * (i - ends.left()) / module;
                x += Math.cos(angle);
                y += Math.sin(angle);
                n++;
            }
        }
        return n == 0 ? 0 : Math.hypot(x, y) / n;
    }

    /** Two of five bars of each sign are wide, two of five spaces; of the stop one bar more. */
    private static boolean ofTwoWidths(BitArray row, RowEnds ends, int digits) {
        double bars = apart(widths(row, ends, true), digits + 1);
        double spaces = apart(widths(row, ends, false), digits);
        return Math.min(bars, spaces) >= LEAST_APART;
    }

    private static List<Integer> widths(BitArray row, RowEnds ends, boolean bars) {
        List<Integer> found = new ArrayList<>();
        int from = ends.left();
        for (int i = ends.left() + 1; i <= ends.right() + 1; i++) {
            if (i > ends.right() || row.get(i) != row.get(from)) {
                if (row.get(from) == bars) {
                    found.add(i - from);
                }
                from = i;
            }
        }
        return found;
    }

    /** The gap between the widest narrow and the narrowest wide one, as a share of the gap between their means. */
    private static double apart(List<Integer> widths, int wide) {
        int narrow = widths.size() - wide;
        if (narrow < 1 || wide < 1) {
            return 0;
        }
        List<Integer> sorted = widths.stream().sorted().toList();
        double means = mean(sorted.subList(narrow, sorted.size())) - mean(sorted.subList(0, narrow));
        return means <= 0 ? 0 : (sorted.get(narrow) - sorted.get(narrow - 1)) / means;
    }

    private static double mean(List<Integer> widths) {
        return widths.stream().mapToInt(Integer::intValue).average().orElse(0);
    }
}
