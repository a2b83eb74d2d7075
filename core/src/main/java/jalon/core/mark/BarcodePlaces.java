package jalon.core.mark;

import jalon.core.image.GrayPlane;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Where on a page barcodes may stand, seen in cells of about 1.5 mm: a bar code is full of brightness steps one way
 * and has hardly any the other way; a matrix code is about half ink over several millimetres, which print never is. Costs a fraction of searching the whole page with a decoder and finds codes anywhere on it.
 */
final class BarcodePlaces {
    private static final double CELL_MM = 1.5;
    /** Mean step from pixel to pixel that bars have, as a share of what lies between ink and paper; and beyond grain. */
    private static final double STEEP = 0.06;

    private static final int LEAST_STEEP = 5;

    /** Shares of the page's pixels below which ink and paper lie. */
    private static final double INK = 0.01;

    private static final double PAPER = 0.7;

    /** Looks at one row of so many. */
    private static final int SAMPLED = 5;

    private static final double ONE_WAY = 2.2;
    /** Ink over 4.5 mm, at the middle and (half of it) at the rim of a matrix code; print has about an eighth. */
    private static final double INKED = 0.24;

    private static final double SOLID = 0.82;
    private static final double SMALLEST_MM = 4.5;
    private static final double LOWEST_MATRIX_MM = 3;
    private static final double SHORTEST_ROW_MM = 9;
    private static final int MOST_PLACES = 24;

    private BarcodePlaces() {}

    /**
     * @param turn clockwise turn that lays the bars of the place side by side, from left to right
     * @param pad pixels of quiet zone that were taken along on every side across the bars
     */
    record Place(int x, int y, int width, int height, int turn, boolean matrix, int pad) {
        long area() {
            return (long) width * height;
        }
    }

    /** @param threshold brightness below which a pixel is ink */
    static List<Place> find(GrayPlane p, int threshold) {
        int cell = Math.max(4, (int) Math.round(p.inPixels(CELL_MM)));
        int cw = p.width() / cell;
        int ch = p.height() / cell;
        if (cw < 3 || ch < 3) {
            return List.of(new Place(0, 0, p.width(), p.height(), 0, true, 0));
        }
        byte[] kinds = kinds(p, cell, cw, ch, steep(p));
        List<Place> places = new ArrayList<>();
        for (byte kind = 1; kind <= 2; kind++) {
            // Quiet cells inside a code (a wide bar or space) are bridged along the code's own direction.
            boolean[] on = bridged(kinds, kind, cw, ch);
            places.addAll(connected(on, cw, ch, cell, kind, p));
        }
        places.addAll(connected(inked(p, cell, cw, ch, threshold), cw, ch, cell, (byte) 3, p));
        // Bar codes first: what was read as one is not looked at again as a matrix.
        places.sort(Comparator.comparing(Place::matrix)
                .thenComparing(Comparator.comparingLong(Place::area).reversed()));
        return places.size() > MOST_PLACES ? places.subList(0, MOST_PLACES) : places;
    }

    /** Some of the rows tell how light paper is and how dark ink. */
    private static double steep(GrayPlane p) {
        int paper = p.percentile(0, 0, p.width(), p.height(), SAMPLED, PAPER);
        int ink = p.percentile(0, 0, p.width(), p.height(), SAMPLED, INK);
        return Math.max(LEAST_STEEP, STEEP * (paper - ink));
    }

    /** 1: steps from left to right, 2: from top to bottom, 0: neither. */
    private static byte[] kinds(GrayPlane p, int cell, int cw, int ch, double steep) {
        byte[] kinds = new byte[cw * ch];
        byte[] px = p.pixels();
        int w = p.width();
        for (int cy = 0; cy < ch; cy++) {
            for (int cx = 0; cx < cw; cx++) {
                int gx = 0;
                int gy = 0;
                int lines = 0;
                // Every second line is enough: bars are longer than two pixels.
                for (int y = cy * cell; y < (cy + 1) * cell; y += 2) {
                    if (y + 1 >= p.height()) {
                        break;
                    }
                    int at = y * w + cx * cell;
                    int end = Math.min(at + cell, y * w + w - 1);
                    for (int i = at; i < end; i++) {
                        int v = px[i] & 0xFF;
                        gx += Math.abs(v - (px[i + 1] & 0xFF));
                        gy += Math.abs(v - (px[i + w] & 0xFF));
                    }
                    lines++;
                }
                int n = Math.max(1, lines * cell);
                int ax = gx / n;
                int ay = gy / n;
                byte kind = 0;
                if (ax >= steep && ax > ONE_WAY * ay) {
                    kind = 1;
                } else if (ay >= steep && ay > ONE_WAY * ax) {
                    kind = 2;
                }
                kinds[cy * cw + cx] = kind;
            }
        }
        return kinds;
    }

    /** Cells around which, over three by three cells, there is as much ink as in a matrix code. */
    private static boolean[] inked(GrayPlane p, int cell, int cw, int ch, int threshold) {
        double[] ink = new double[cw * ch];
        for (int cy = 0; cy < ch; cy++) {
            for (int cx = 0; cx < cw; cx++) {
                int dark = 0;
                int n = 0;
                for (int y = cy * cell; y < (cy + 1) * cell; y += 2) {
                    for (int x = cx * cell; x < (cx + 1) * cell; x += 2) {
                        dark += p.at(x, y) < threshold ? 1 : 0;
                        n++;
                    }
                }
                ink[cy * cw + cx] = (double) dark / n;
            }
        }
        boolean[] on = new boolean[cw * ch];
        for (int y = 1; y < ch - 1; y++) {
            for (int x = 1; x < cw - 1; x++) {
                double sum = 0;
                for (int i = -1; i <= 1; i++) {
                    for (int j = -1; j <= 1; j++) {
                        sum += ink[(y + i) * cw + x + j];
                    }
                }
                on[y * cw + x] = sum / 9 >= INKED && sum / 9 <= SOLID;
            }
        }
        return on;
    }

    private static boolean[] bridged(byte[] kinds, byte kind, int cw, int ch) {
        boolean[] on = new boolean[kinds.length];
        for (int y = 0; y < ch; y++) {
            for (int x = 0; x < cw; x++) {
                boolean here = kinds[y * cw + x] == kind;
                int at = y * cw + x;
                boolean between = kind == 1
                        ? near(kinds, kind, at, -1, x) && near(kinds, kind, at, 1, cw - 1 - x)
                        : near(kinds, kind, at, -cw, y) && near(kinds, kind, at, cw, ch - 1 - y);
                on[at] = here || between;
            }
        }
        return on;
    }

    /** @param step to the next cell that way, @param room cells there are that way */
    private static boolean near(byte[] kinds, byte kind, int at, int step, int room) {
        for (int i = 1; i <= Math.min(2, room); i++) {
            if (kinds[at + i * step] == kind) {
                return true;
            }
        }
        return false;
    }

    private static List<Place> connected(boolean[] on, int cw, int ch, int cell, byte kind, GrayPlane p) {
        List<Place> places = new ArrayList<>();
        boolean[] seen = new boolean[on.length];
        var queue = new ArrayDeque<Integer>();
        for (int start = 0; start < on.length; start++) {
            if (!on[start] || seen[start]) {
                continue;
            }
            int left = cw;
            int right = 0;
            int top = ch;
            int bottom = 0;
            int cells = 0;
            seen[start] = true;
            queue.add(start);
            while (!queue.isEmpty()) {
                int at = queue.remove();
                int x = at % cw;
                int y = at / cw;
                cells++;
                left = Math.min(left, x);
                right = Math.max(right, x);
                top = Math.min(top, y);
                bottom = Math.max(bottom, y);
                for (int ny = Math.max(0, y - 1); ny <= Math.min(ch - 1, y + 1); ny++) {
                    for (int nx = Math.max(0, x - 1); nx <= Math.min(cw - 1, x + 1); nx++) {
                        int next = ny * cw + nx;
                        if (on[next] && !seen[next]) {
                            seen[next] = true;
                            queue.add(next);
                        }
                    }
                }
            }
            double mm = p.mm(cell);
            double across = (right - left + 1) * mm;
            double down = (bottom - top + 1) * mm;
            double filled = (double) cells / ((right - left + 1) * (bottom - top + 1));
            boolean fits = switch (kind) {
                case 1 -> across >= SHORTEST_ROW_MM && down >= SMALLEST_MM && filled > 0.4;
                case 2 -> down >= SHORTEST_ROW_MM && across >= SMALLEST_MM && filled > 0.4;
                default ->
                    Math.max(across, down) >= SMALLEST_MM + 1
                            && Math.min(across, down) >= LOWEST_MATRIX_MM
                            && filled > 0.55
                            && Math.max(across, down) < 8 * Math.min(across, down);
            };
            if (fits) {
                // The outermost bars may share a cell with the quiet zone; ten narrow bars of quiet zone come along.
                int pad = (int) Math.round(p.inPixels(kind == 3 ? 3.0 : 4.5));
                int x0 = Math.max(0, left * cell - pad);
                int y0 = Math.max(0, top * cell - (kind == 1 ? cell : pad));
                int x1 = Math.min(p.width(), (right + 1) * cell + (kind == 2 ? cell : pad));
                int y1 = Math.min(p.height(), (bottom + 1) * cell + (kind == 1 ? cell : pad));
                places.add(new Place(x0, y0, x1 - x0, y1 - y0, kind == 2 ? 270 : 0, kind == 3, pad));
            }
        }
        return places;
    }
}
