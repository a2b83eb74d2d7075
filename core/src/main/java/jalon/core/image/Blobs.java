package jalon.core.image;

import java.util.Arrays;

/**
 * What hangs together in a mask: runs of each row joined with those they touch in the row above, also by a corner
 * (one pass with union-find; A. Rosenfeld and J. Pfaltz, "Sequential operations in digital picture processing", 1966).
 */
final class Blobs {
    private final int[] runLeft;
    private final int[] runRight;
    private final int[] runRow;
    private final int[] parent;
    private int runs;

    /** Bounds of each blob, right and bottom the last pixels inside, and its pixels. */
    final int[] left;

    final int[] top;
    final int[] right;
    final int[] bottom;
    final int[] pixels;
    final int count;
    private final int[] blobOfRun;

    Blobs(boolean[] mask, int width, int height) {
        int most = 0;
        for (int i = 0; i < mask.length; i++) {
            if (mask[i] && (i % width == 0 || !mask[i - 1])) {
                most++;
            }
        }
        runLeft = new int[most];
        runRight = new int[most];
        runRow = new int[most];
        parent = new int[most];
        join(mask, width, height);
        int[] number = new int[runs];
        blobOfRun = new int[runs];
        int n = 0;
        for (int i = 0; i < runs; i++) {
            if (root(i) == i) {
                number[i] = n++;
            }
        }
        count = n;
        left = new int[n];
        top = new int[n];
        right = new int[n];
        bottom = new int[n];
        pixels = new int[n];
        Arrays.fill(left, Integer.MAX_VALUE);
        Arrays.fill(top, Integer.MAX_VALUE);
        for (int i = 0; i < runs; i++) {
            int b = number[root(i)];
            blobOfRun[i] = b;
            left[b] = Math.min(left[b], runLeft[i]);
            right[b] = Math.max(right[b], runRight[i]);
            top[b] = Math.min(top[b], runRow[i]);
            bottom[b] = Math.max(bottom[b], runRow[i]);
            pixels[b] += runRight[i] - runLeft[i] + 1;
        }
    }

    private void join(boolean[] mask, int width, int height) {
        int above = 0;
        int aboveEnd = 0;
        for (int y = 0; y < height; y++) {
            int first = runs;
            int row = y * width;
            for (int x = 0; x < width; x++) {
                if (!mask[row + x]) {
                    continue;
                }
                int from = x;
                while (x + 1 < width && mask[row + x + 1]) {
                    x++;
                }
                runLeft[runs] = from;
                runRight[runs] = x;
                runRow[runs] = y;
                parent[runs] = runs;
                while (above < aboveEnd && runRight[above] < from - 1) {
                    above++;
                }
                for (int a = above; a < aboveEnd && runLeft[a] <= x + 1; a++) {
                    parent[root(a)] = root(runs);
                }
                runs++;
            }
            above = first;
            aboveEnd = runs;
        }
    }

    private int root(int i) {
        int r = i;
        while (parent[r] != r) {
            parent[r] = parent[parent[r]];
            r = parent[r];
        }
        return r;
    }

    int width(int blob) {
        return right[blob] - left[blob] + 1;
    }

    int height(int blob) {
        return bottom[blob] - top[blob] + 1;
    }

    /** Works through the runs of the blobs that are wanted. */
    void eachRun(boolean[] wanted, Run run) {
        for (int i = 0; i < runs; i++) {
            if (wanted[blobOfRun[i]]) {
                run.at(blobOfRun[i], runRow[i], runLeft[i], runRight[i]);
            }
        }
    }

    /** Pixels {@code left} to {@code right} of a row, both inside the blob. */
    @FunctionalInterface
    interface Run {
        void at(int blob, int row, int left, int right);
    }
}
