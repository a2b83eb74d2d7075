package jalon.core.image;

import java.util.function.IntUnaryOperator;

/** The mean of a picture in squares around its pixels, from sums over rectangles (F. Crow, 1984). */
final class BoxMeans {
    private final int width;
    private final int height;
    private final long[] sums;

    /** @param value of a pixel by its number, row by row */
    BoxMeans(IntUnaryOperator value, int width, int height) {
        this.width = width;
        this.height = height;
        sums = new long[(width + 1) * (height + 1)];
        for (int y = 0; y < height; y++) {
            long row = 0;
            for (int x = 0; x < width; x++) {
                row += value.applyAsInt(y * width + x);
                sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1] + row;
            }
        }
    }

    /** @param reach pixels on each side, as far as there are any */
    double around(int x, int y, int reach) {
        int left = Math.max(0, x - reach);
        int right = Math.min(width, x + reach + 1);
        int top = Math.max(0, y - reach) * (width + 1);
        int rows = Math.min(height, y + reach + 1) - Math.max(0, y - reach);
        int bottom = top + rows * (width + 1);
        return (double) (sums[bottom + right] - sums[top + right] - sums[bottom + left] + sums[top + left])
                / (rows * (right - left));
    }
}
