package jalon.core.image;

import jalon.core.page.Box;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * The inside of a box to tick, in pixels of a cut.
 *
 * @param thickness of its printed line
 * @param ring whether the frame is round
 * @param found whether there is a printed frame; if not, this is where the inside of one should be
 */
record TickFrame(int left, int top, int width, int height, int thickness, boolean ring, boolean found) {
    /** The search goes by two pixels, since lines are seen a pixel off, and then by one about the best. */
    private static final int COARSE = 2;

    /** A frame lies at most this share of the paper around it off its place. */
    static final double SEARCHED = 0.75;

    /** Sizes are tried up to a sixth smaller and larger. */
    private static final double SIZES = 1 / 6.0;

    /** How much of a frame's sides must be there, and of the weakest side. */
    private static final double SIDES = 0.78;

    private static final double WEAKEST = 0.5;
    private static final double OF_A_RING = 0.82;
    private static final int POINTS = 32;
    private static final double[][] CIRCLE = IntStream.range(0, POINTS)
            .mapToObj(i -> new double[] {Math.cos(2 * Math.PI * i / POINTS), Math.sin(2 * Math.PI * i / POINTS)})
            .toArray(double[][]::new);

    /** A frame at the edge of the search is worth so much less. */
    private static final double FAR_OFF = 0.15;

    /** Where no frame is found its line is taken to be this share of its size. */
    private static final double LINE = 0.1;

    boolean holds(int x, int y) {
        if (!ring) {
            return true;
        }
        double dx = (x + 0.5 - left) / width * 2 - 1;
        double dy = (y + 0.5 - top) / height * 2 - 1;
        return dx * dx + dy * dy <= 1;
    }

    /** This without a share of its size on every side. */
    TickFrame within(double share) {
        int x = (int) Math.ceil(share * width);
        int y = (int) Math.ceil(share * height);
        return new TickFrame(left + x, top + y, width - 2 * x, height - 2 * y, thickness, ring, found);
    }

    int outerLeft() {
        return left - 2 * thickness;
    }

    int outerRight() {
        return left + width + 2 * thickness;
    }

    /**
     * @param ink of the cut
     * @param expected the frame's place, pixels
     * @param reach how far off it may be, pixels
     */
    static TickFrame near(boolean[] ink, int width, int height, Box expected, double reach) {
        var lines = new Lines(ink, width, height);
        int w0 = Math.max(3, (int) Math.round(expected.width()));
        int h0 = Math.max(3, (int) Math.round(expected.height()));
        int more = Math.max(1, (int) Math.round(SIZES * Math.max(w0, h0)));
        int far = (int) Math.ceil(reach);
        Search sides = (dx, dy, grow) -> {
            int w = w0 + grow;
            int h = h0 + Math.round((float) grow * h0 / w0);
            int left = (int) Math.round(expected.centreX() - w / 2.0) + dx;
            int top = (int) Math.round(expected.centreY() - h / 2.0) + dy;
            return lines.sides(left, top, Math.max(3, w), Math.max(3, h), farOff(dx, dy, reach));
        };
        Sought best = best(sides, far, more);
        if (best.found) {
            return lines.inside(best, false);
        }
        Search rings = (dx, dy, grow) -> lines.ring(
                expected.centreX() + dx,
                expected.centreY() + dy,
                Math.max(2, (expected.width() + grow) / 2),
                Math.max(2, (expected.height() + grow) / 2),
                farOff(dx, dy, reach));
        Sought round = best(rings, far, more);
        return round.found
                ? lines.inside(round, true)
                : new TickFrame(
                        (int) Math.round(expected.x() + LINE * w0),
                        (int) Math.round(expected.y() + LINE * h0),
                        Math.max(1, (int) Math.round(w0 * (1 - LINE * 2))),
                        Math.max(1, (int) Math.round(h0 * (1 - LINE * 2))),
                        0,
                        false,
                        false);
    }

    private static double farOff(int dx, int dy, double reach) {
        return FAR_OFF * (dx * dx + dy * dy) / (reach * reach + 1);
    }

    @FunctionalInterface
    private interface Search {
        Sought at(int dx, int dy, int grow);
    }

    private static Sought best(Search search, int far, int more) {
        int[] at = {0, 0, 0};
        Sought best = search.at(0, 0, 0);
        for (int grow = -more; grow <= more; grow += COARSE) {
            for (int dy = -far; dy <= far; dy += COARSE) {
                for (int dx = -far; dx <= far; dx += COARSE) {
                    Sought one = search.at(dx, dy, grow);
                    if (one.worth > best.worth) {
                        best = one;
                        at = new int[] {dx, dy, grow};
                    }
                }
            }
        }
        Sought finest = best;
        for (int i = 0; i < 27; i++) {
            Sought one = search.at(at[0] + i % 3 - 1, at[1] + i / 3 % 3 - 1, at[2] + i / 9 - 1);
            finest = one.worth > finest.worth ? one : finest;
        }
        return finest;
    }

    /** A frame by the middle of its lines. */
    private record Sought(int left, int top, int width, int height, double worth, boolean found) {}

    /** How much ink lies along straight lines, a pixel to either side counted as well. */
    private record Lines(boolean[] ink, int width, int height, int[] down, int[] across) {
        Lines(boolean[] ink, int width, int height) {
            this(ink, width, height, new int[(height + 1) * width], new int[height * (width + 1)]);
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    boolean beside = at(x - 1, y) || at(x, y) || at(x + 1, y);
                    boolean above = at(x, y - 1) || at(x, y) || at(x, y + 1);
                    down[(y + 1) * width + x] = down[y * width + x] + (beside ? 1 : 0);
                    across[y * (width + 1) + x + 1] = across[y * (width + 1) + x] + (above ? 1 : 0);
                }
            }
        }

        private boolean at(int x, int y) {
            return x >= 0 && y >= 0 && x < width && y < height && ink[y * width + x];
        }

        private double down(int x, int from, int to) {
            if (x < 0 || x >= width || from < 0 || to > height) {
                return 0;
            }
            return (down[to * width + x] - down[from * width + x]) / (double) (to - from);
        }

        private double across(int y, int from, int to) {
            if (y < 0 || y >= height || from < 0 || to > width) {
                return 0;
            }
            return (across[y * (width + 1) + to] - across[y * (width + 1) + from]) / (double) (to - from);
        }

        Sought sides(int left, int top, int w, int h, double less) {
            double a = down(left, top, top + h);
            double b = down(left + w, top, top + h);
            double c = across(top, left, left + w);
            double d = across(top + h, left, left + w);
            double weakest = Math.min(Math.min(a, b), Math.min(c, d));
            double all = (a + b + c + d + weakest) / 5;
            return new Sought(left, top, w, h, all - less, all >= SIDES && weakest >= WEAKEST);
        }

        Sought ring(double cx, double cy, double rx, double ry, double less) {
            int hit = 0;
            for (double[] point : CIRCLE) {
                boolean on = false;
                for (int off = -1; off <= 1 && !on; off++) {
                    on = at((int) Math.round(cx + (rx + off) * point[0]), (int) Math.round(cy + (ry + off) * point[1]));
                }
                hit += on ? 1 : 0;
            }
            double share = hit / (double) POINTS;
            return new Sought(
                    (int) Math.round(cx - rx),
                    (int) Math.round(cy - ry),
                    (int) Math.round(2 * rx),
                    (int) Math.round(2 * ry),
                    share - less,
                    share >= OF_A_RING);
        }

        /** Without its lines, each as thick as it is. */
        TickFrame inside(Sought f, boolean ring) {
            int mostX = Math.max(1, f.width / 5);
            int mostY = Math.max(1, f.height / 5);
            if (ring) {
                int line = thickness(mostX, in -> ringed(f, in));
                return new TickFrame(
                        f.left + line, f.top + line, f.width - 2 * line + 1, f.height - 2 * line + 1, line, true, true);
            }
            int west = thickness(mostX, in -> down(f.left + in, f.top, f.top + f.height));
            int east = thickness(mostX, in -> down(f.left + f.width - in, f.top, f.top + f.height));
            int north = thickness(mostY, in -> across(f.top + in, f.left, f.left + f.width));
            int south = thickness(mostY, in -> across(f.top + f.height - in, f.left, f.left + f.width));
            return new TickFrame(
                    f.left + west,
                    f.top + north,
                    Math.max(1, f.width - west - east + 1),
                    Math.max(1, f.height - north - south + 1),
                    Math.min(Math.min(west, east), Math.min(north, south)),
                    false,
                    true);
        }

        private double ringed(Sought f, int in) {
            double rx = f.width / 2.0;
            double ry = f.height / 2.0;
            return ring(f.left + rx, f.top + ry, rx - in, ry - in, 0).worth;
        }

        /** How far a side's ink goes on inwards. */
        private static int thickness(int most, IntToDoubleFunction share) {
            int in = 1;
            while (in < most && share.applyAsDouble(in) > WEAKEST) {
                in++;
            }
            return in;
        }
    }
}
