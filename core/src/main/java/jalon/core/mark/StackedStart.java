package jalon.core.mark;

import com.google.zxing.common.BitArray;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The bars that begin each row of PDF417. */
final class StackedStart {
    /** Bars and spaces in turn (ISO/IEC 15438), in cells. */
    private static final int[] CELLS = {8, 1, 1, 1, 1, 1, 1, 3};

    private StackedStart() {}

    /** Whether somewhere in a row a wide bar and seven narrow bars and spaces follow each other, from either end. */
    static boolean isIn(BitArray row) {
        List<Integer> runs = new ArrayList<>();
        int at = row.getNextSet(0);
        while (at < row.getSize()) {
            int end = row.get(at) ? row.getNextUnset(at) : row.getNextSet(at);
            runs.add(end - at);
            at = end;
        }
        // Runs at even places are bars.
        for (int i = 0; i + CELLS.length <= runs.size(); i++) {
            List<Integer> here = runs.subList(i, i + CELLS.length);
            if (i % 2 == 0 && like(here) || i % 2 == 1 && like(turned(here))) {
                return true;
            }
        }
        return false;
    }

    private static List<Integer> turned(List<Integer> runs) {
        List<Integer> turned = new ArrayList<>(runs);
        Collections.reverse(turned);
        return turned;
    }

    private static boolean like(List<Integer> runs) {
        int sum = 0;
        int cells = 0;
        for (int i = 0; i < CELLS.length; i++) {
            sum += runs.get(i);
            cells += CELLS[i];
        }
        double cell = (double) sum / cells;
        for (int i = 0; i < CELLS.length; i++) {
            if (Math.abs(runs.get(i) - CELLS[i] * cell) > 0.6 * cell * Math.max(1, CELLS[i] / 4.0)) {
                return false;
            }
        }
        return true;
    }
}
