package jalon.core.mark;

import com.google.zxing.Result;
import com.google.zxing.ResultPoint;
import com.google.zxing.common.BitArray;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where a code of bars ends: half of one without a check digit looks like a whole one, so that white must follow.
 *
 * @param left where its first bar begins and @param right where its last one ends, in steps of the row
 */
record RowEnds(int left, int right) {
    /** White beyond the ends, in cells. */
    private static final double QUIET_CELLS = 4.5;

    /** From within a first or last sign to its outer end; the signs of Code 39 and 93 have ten bars and spaces. */
    private static final int MOST_CHANGES = 10;

    /**
     * Where the code's first bar begins and its last one ends, none where bars go on beyond. The decoder's points lie
     * somewhere in its first and last sign.
     */
    static Optional<RowEnds> of(BitArray row, Result r) {
        double first = Double.POSITIVE_INFINITY;
        double last = Double.NEGATIVE_INFINITY;
        for (ResultPoint p : r.getResultPoints()) {
            if (p != null) {
                first = Math.min(first, p.getX());
                last = Math.max(last, p.getX());
            }
        }
        if (last - first < BarBand.LEAST_EDGES) {
            return Optional.empty();
        }
        double quiet = QUIET_CELLS * cell(row, (int) first, (int) last);
        int left = end(row, (int) first, -1, quiet);
        int right = end(row, (int) last, 1, quiet);
        boolean whole = left >= 0 && right >= 0;
        return whole ? Optional.of(new RowEnds(left, right)) : Optional.empty();
    }

    /** The width of the narrow bars and spaces between two places. */
    private static double cell(BitArray row, int first, int last) {
        List<Integer> runs = new ArrayList<>();
        int length = 0;
        for (int i = Math.max(0, first); i < Math.min(row.getSize(), last); i++) {
            length++;
            if (i + 1 < row.getSize() && row.get(i + 1) != row.get(i)) {
                runs.add(length);
                length = 0;
            }
        }
        runs.sort(null);
        return runs.isEmpty() ? BarBand.FINER : runs.get(3 * runs.size() / 10);
    }

    /** From a point in the first or last sign outwards to where it is white for long; -1 where the sign goes on and on. */
    private static int end(BitArray row, int from, int step, double quiet) {
        int white = 0;
        int lastBlack = Math.max(0, Math.min(row.getSize() - 1, from));
        int changes = 0;
        boolean black = row.get(lastBlack);
        for (int i = lastBlack; i >= 0 && i < row.getSize(); i += step) {
            boolean now = row.get(i);
            changes += now == black ? 0 : 1;
            black = now;
            if (now) {
                white = 0;
                lastBlack = i;
            } else if (++white >= quiet) {
                return lastBlack;
            }
            if (changes > MOST_CHANGES) {
                return -1;
            }
        }
        return lastBlack;
    }
}
