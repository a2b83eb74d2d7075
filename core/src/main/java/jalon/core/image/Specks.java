package jalon.core.image;

/**
 * Specks: dark spots of up to 0.5 mm that stand alone, with no larger ink within 1.5 mm, so that full stops and the dots of
 * letters do not count. Counted at full resolution, since most are smaller than a pixel at 100 dpi.
 *
 * @param perCm2 on the part of the page that has no ink near
 */
record Specks(double perCm2) {
    private static final double LARGEST_MM = 0.5;
    private static final double ALONE_MM = 1.5;
    private static final double LARGER_INK_MM = 0.9;

    /** A speck is a good deal darker than noise. */
    private static final double DARKER = 0.3;

    static Specks of(InkMap map, GrayPlane full) {
        long[] specks = {0};
        long free = each(map, full, (x, y, w, h) -> specks[0]++);
        double cm2 = free * Math.pow(map.mm(1) / 10, 2);
        return new Specks(cm2 < 1 ? 0 : specks[0] / cm2);
    }

    /** One speck, in pixels of the full page. */
    @FunctionalInterface
    interface Speck {
        void at(int x, int y, int width, int height);
    }

    /** @return how many pixels of the map have no larger ink near */
    static long each(InkMap map, GrayPlane full, Speck speck) {
        boolean[] busy = busy(map);
        double scale = (double) full.width() / map.width;
        int largest = Math.max(1, (int) Math.round(full.inPixels(LARGEST_MM)));
        long free = 0;
        for (boolean b : busy) {
            free += b ? 0 : 1;
        }
        int[] begins = new int[map.width + 1];
        for (int mx = 0; mx <= map.width; mx++) {
            begins[mx] = (int) Math.ceil(mx * scale);
        }
        begins[0] = 1;
        begins[map.width] = full.width() - 1;
        for (int my = 0; my < map.height; my++) {
            int top = Math.max(1, (int) Math.ceil(my * scale));
            int bottom = my == map.height - 1 ? full.height() - 1 : (int) Math.ceil((my + 1) * scale);
            int mx = 0;
            while (mx < map.width) {
                if (busy[my * map.width + mx]) {
                    mx++;
                    continue;
                }
                // As far as nothing is near and the paper is the same.
                int cell = mx / InkMap.CELL;
                int from = mx;
                int cellEnd = Math.min(map.width, (cell + 1) * InkMap.CELL);
                while (mx < cellEnd && !busy[my * map.width + mx]) {
                    mx++;
                }
                int below = (int) (map.cells[my / InkMap.CELL * map.columns + cell] * (1 - DARKER));
                for (int y = top; y < Math.min(bottom, full.height() - 1); y++) {
                    row(full, y, begins[from], begins[mx], below, largest, speck);
                }
            }
        }
        return free;
    }

    /** Looks for first pixels of specks in reading order: nothing dark to the left or above. */
    private static void row(GrayPlane full, int y, int from, int end, int below, int largest, Speck speck) {
        byte[] px = full.pixels();
        int w = full.width();
        int last = y * w + end;
        for (int i = y * w + from; i < last; i++) {
            // Nearly all of it is paper.
            while (i < last && (px[i] & 0xFF) >= below) {
                i++;
            }
            if (i < last
                    && (px[i - 1] & 0xFF) >= below
                    && (px[i - w] & 0xFF) >= below
                    && (px[i - w - 1] & 0xFF) >= below
                    && (px[i - w + 1] & 0xFF) >= below) {
                tell(full, i - y * w, y, below, largest, speck);
            }
        }
    }

    /** Tells of what begins here if it ends within the largest size to both sides and below. */
    private static void tell(GrayPlane full, int x, int y, int below, int largest, Speck speck) {
        int left = x;
        int right = x;
        int bottom = y;
        boolean more = true;
        while (more && bottom - y <= largest && right - left <= largest) {
            int from = left;
            int to = right;
            while (from > 0 && right - from <= largest && full.at(from - 1, bottom) < below) {
                from--;
            }
            while (to < full.width() - 1 && to - left <= largest && full.at(to + 1, bottom) < below) {
                to++;
            }
            left = from;
            right = to;
            bottom++;
            more = false;
            for (int i = left; i <= right && bottom < full.height(); i++) {
                more |= full.at(i, bottom) < below;
            }
        }
        if (bottom - y <= largest && right - left < largest) {
            speck.at(left, y, right - left + 1, bottom - y);
        }
    }

    /** Where larger ink is near, on the map. */
    private static boolean[] busy(InkMap map) {
        Blobs blobs = map.blobs;
        int around = (int) Math.ceil(ALONE_MM * map.pixelsPerMm);
        boolean[] busy = new boolean[map.width * map.height];
        boolean[] large = new boolean[blobs.count];
        for (int b = 0; b < blobs.count; b++) {
            large[b] = map.mm(Math.max(blobs.width(b), blobs.height(b))) > LARGER_INK_MM;
        }
        // Grown along the rows run by run, then down and up by counting.
        blobs.eachRun(
                large,
                (blob, row, left, right) -> java.util.Arrays.fill(
                        busy,
                        row * map.width + Math.max(0, left - around),
                        row * map.width + Math.min(map.width, right + 1 + around),
                        true));
        spread(busy, map, around, 0, 1);
        spread(busy, map, around, map.height - 1, -1);
        return busy;
    }

    /** Row after row in memory's order, each column counting for itself how far its ink still reaches. */
    private static void spread(boolean[] busy, InkMap map, int around, int from, int step) {
        byte[] left = new byte[map.width];
        for (int y = from; y >= 0 && y < map.height; y += step) {
            int row = y * map.width;
            for (int x = 0; x < map.width; x++) {
                if (busy[row + x] && left[x] < around) {
                    left[x] = (byte) (around + 1);
                }
                if (left[x] > 0) {
                    busy[row + x] = true;
                    left[x]--;
                }
            }
        }
    }
}
