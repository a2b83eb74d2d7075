package jalon.core.image;

import jalon.core.page.Box;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A page's picture in three layers, after the model of mixed raster content (ITU-T T.44): what is ink as black and white at the
 * picture's own resolution, its colours coarsely, and behind both the paper and pictures, coarsely too and without that ink.
 * Print stays as sharp as it was in a fraction of the room.
 *
 * @param paper what lies behind, evenly covering the page
 * @param colours of the ink, evenly covering the page
 * @param ink black where it is, as fine as the picture or twice as fine
 */
public record PageLayers(BufferedImage paper, BufferedImage colours, BufferedImage ink) {
    private static final double PAPER_DPI = 100;

    /** Where there are photographs. */
    private static final double PICTURES_DPI = 150;

    private static final double COLOURS_DPI = 50;

    /** Coarser pictures have no fine print to keep apart, and are small as they are. */
    private static final double LEAST_DPI = 140;

    /** The darkest ink within a place of this size and those around it tells what is ink there. */
    private static final double CELL_MM = 0.4;

    /** Ink is at least so much darker than the paper around it, of 255; fainter things stay with the paper. */
    private static final int DARKER = 40;

    /** Grey levels, of 255, that the points of a place may differ by (root of their mean square): else the picture stays whole. */
    private static final double MOST_OFF = 20;

    private static final double PLACE_MM = 3;

    /** Soft and hard rims of a stroke are the same at so many pixels; a photograph in black and white is not. */
    private static final int POINT = 3;

    /** In coarser pictures the soft rims of letters say where between the pixels they end. */
    private static final double FINE_DPI = 250;

    /** Plans are larger, and stay whole. */
    private static final long MOST_PIXELS = 80_000_000;

    /** A layer being made, in colours or in grey. */
    private static final class Plane {
        final int width;
        final int height;
        final int bands;
        final double[] sums;
        final double[] counts;

        Plane(int width, int height, int bands) {
            this.width = width;
            this.height = height;
            this.bands = bands;
            sums = new double[width * height * bands];
            counts = new double[width * height];
        }

        /** Which of its places has a pixel of the page. */
        int at(int x, int y, GrayPlane page) {
            return (int) ((long) y * height / page.height()) * width + (int) ((long) x * width / page.width());
        }

        /** Each place that has no value of its own gets that of those around it, the nearest first. */
        void fill() {
            int[] open = new int[width * height];
            int count = 0;
            for (int i = 0; i < counts.length; i++) {
                if (counts[i] > 0) {
                    for (int b = 0; b < bands; b++) {
                        sums[i * bands + b] /= counts[i];
                    }
                    counts[i] = 1;
                    open[count++] = i;
                }
            }
            for (int next = 0; next < count; next++) {
                int i = open[next];
                int x = i % width;
                int y = i / width;
                count = spread(i, x > 0, i - 1, open, count);
                count = spread(i, x < width - 1, i + 1, open, count);
                count = spread(i, y > 0, i - width, open, count);
                count = spread(i, y < height - 1, i + width, open, count);
            }
        }

        private int spread(int from, boolean there, int to, int[] open, int count) {
            if (!there || counts[to] > 0) {
                return count;
            }
            System.arraycopy(sums, from * bands, sums, to * bands, bands);
            counts[to] = 1;
            open[count] = to;
            return count + 1;
        }

        BufferedImage image() {
            var image = new BufferedImage(
                    width, height, bands == 1 ? BufferedImage.TYPE_BYTE_GRAY : BufferedImage.TYPE_3BYTE_BGR);
            var raster = image.getRaster();
            double[] pixel = new double[bands];
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    for (int b = 0; b < bands; b++) {
                        pixel[b] = Math.round(sums[(y * width + x) * bands + b]);
                    }
                    raster.setPixel(x, y, pixel);
                }
            }
            return image;
        }
    }

    /**
     * @param picture of a page, grey or in colours
     * @return empty for one that is no page of print: too coarse, black and white already, or with more in between than layers keep
     */
    public static Optional<PageLayers> of(BufferedImage picture, double dpi) {
        long pixels = (long) picture.getWidth() * picture.getHeight();
        if (dpi < LEAST_DPI || picture.getColorModel().getPixelSize() == 1 || pixels > MOST_PIXELS) {
            return Optional.empty();
        }
        GrayPlane received = GrayPlane.of(picture, dpi);
        GrayPlane small = received.small();
        List<Box> pictures = Halftones.in(received, small);
        GrayPlane grey = dpi < FINE_DPI && 4 * pixels <= MOST_PIXELS ? doubled(received) : received;
        boolean[] ink = ink(grey, new InkMap(small), pictures);
        int bands = picture.getColorModel().getNumColorComponents() == 1 ? 1 : 3;
        Plane paper = plane(grey, bands, pictures.isEmpty() ? PAPER_DPI : PICTURES_DPI);
        Plane colours = plane(grey, bands, COLOURS_DPI);
        separate(picture, grey, ink, paper, colours);
        paper.fill();
        colours.fill();
        if (!keeps(grey, grey.width() / received.width(), ink, paper, colours)) {
            return Optional.empty();
        }
        return Optional.of(new PageLayers(paper.image(), colours.image(), bitonal(ink, grey.width(), grey.height())));
    }

    /** Twice as many pixels each way, those between the others' middles in between. */
    private static GrayPlane doubled(GrayPlane plane) {
        int w = plane.width();
        int h = plane.height();
        byte[] out = new byte[4 * w * h];
        for (int y = 0; y < 2 * h; y++) {
            int near = y / 2;
            int far = Math.max(0, Math.min(h - 1, near + (y % 2 == 0 ? -1 : 1)));
            for (int x = 0; x < 2 * w; x++) {
                int beside = Math.max(0, Math.min(w - 1, x / 2 + (x % 2 == 0 ? -1 : 1)));
                int sum = 9 * plane.at(x / 2, near)
                        + 3 * plane.at(beside, near)
                        + 3 * plane.at(x / 2, far)
                        + plane.at(beside, far);
                out[y * 2 * w + x] = (byte) (sum + 8 >> 4);
            }
        }
        return new GrayPlane(2 * w, 2 * h, out, 2 * plane.dpi());
    }

    private static Plane plane(GrayPlane grey, int bands, double dpi) {
        double scale = Math.min(1, dpi / grey.dpi());
        return new Plane(
                (int) Math.max(1, Math.round(grey.width() * scale)),
                (int) Math.max(1, Math.round(grey.height() * scale)),
                bands);
    }

    /** What is darker than halfway between the paper around it and the darkest near it, where that is clearly darker. */
    private static boolean[] ink(GrayPlane grey, InkMap map, List<Box> pictures) {
        int w = grey.width();
        int h = grey.height();
        int cell = (int) Math.max(1, Math.round(grey.inPixels(CELL_MM)));
        int columns = (w + cell - 1) / cell;
        int rows = (h + cell - 1) / cell;
        int[] darkest = new int[columns * rows];
        Arrays.fill(darkest, 255);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int c = y / cell * columns + x / cell;
                darkest[c] = Math.min(darkest[c], grey.at(x, y));
            }
        }
        double toMap = map.pixelsPerMm / grey.inPixels(1);
        boolean[] ink = new boolean[w * h];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                double paper = map.smoothPaperAt((c + 0.5) * cell * toMap, (r + 0.5) * cell * toMap);
                int near = around(darkest, columns, rows, c, r);
                if (paper - near < DARKER) {
                    continue;
                }
                int below = (int) Math.round((paper + near) / 2);
                for (int y = r * cell; y < Math.min(h, (r + 1) * cell); y++) {
                    for (int x = c * cell; x < Math.min(w, (c + 1) * cell); x++) {
                        ink[y * w + x] = grey.at(x, y) < below;
                    }
                }
            }
        }
        for (Box picture : pictures) {
            for (int y = (int) grey.inPixels(picture.y()); y < Math.min(h, grey.inPixels(picture.bottom())); y++) {
                Arrays.fill(
                        ink,
                        y * w + (int) grey.inPixels(picture.x()),
                        y * w + (int) Math.min(w, grey.inPixels(picture.right())),
                        false);
            }
        }
        return ink;
    }

    private static int around(int[] cells, int columns, int rows, int column, int row) {
        int least = 255;
        for (int r = Math.max(0, row - 1); r <= Math.min(rows - 1, row + 1); r++) {
            for (int c = Math.max(0, column - 1); c <= Math.min(columns - 1, column + 1); c++) {
                least = Math.min(least, cells[r * columns + c]);
            }
        }
        return least;
    }

    /** Paper is what is no ink nor its soft rim; ink's colour is that of its middle rather than of its rim. */
    private static void separate(BufferedImage picture, GrayPlane grey, boolean[] ink, Plane paper, Plane colours) {
        int w = grey.width();
        int h = grey.height();
        int scale = w / picture.getWidth();
        int[] row = new int[picture.getWidth()];
        boolean single = paper.bands == 1;
        for (int y = 0; y < h; y++) {
            if (!single) {
                picture.getRGB(0, y / scale, row.length, 1, row, 0, row.length);
            }
            for (int x = 0; x < w; x++) {
                int i = y * w + x;
                boolean black = ink[i];
                boolean rim = black != (x >= scale && ink[i - scale])
                        || black != (x < w - scale && ink[i + scale])
                        || black != (y >= scale && ink[i - scale * w])
                        || black != (y < h - scale && ink[i + scale * w]);
                if (rim && !black) {
                    continue;
                }
                Plane to = black ? colours : paper;
                // A thin stroke is all rim; it counts little where there is more.
                double weight = rim ? 0.05 : 1;
                int at = to.at(x, y, grey);
                to.counts[at] += weight;
                if (single) {
                    to.sums[at] += weight * grey.at(x, y);
                } else {
                    int rgb = row[x / scale];
                    to.sums[at * 3] += weight * (rgb >> 16 & 0xFF);
                    to.sums[at * 3 + 1] += weight * (rgb >> 8 & 0xFF);
                    to.sums[at * 3 + 2] += weight * (rgb & 0xFF);
                }
            }
        }
    }

    /** Whether the layers one over the other look as the picture did, in every place as large as a letter. */
    private static boolean keeps(GrayPlane grey, int scale, boolean[] ink, Plane paper, Plane colours) {
        int w = grey.width();
        int h = grey.height();
        int point = POINT * scale;
        int columns = (w + point - 1) / point;
        int rows = (h + point - 1) / point;
        double[] off = new double[columns * rows];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                Plane from = ink[y * w + x] ? colours : paper;
                int at = from.at(x, y, grey);
                off[y / point * columns + x / point] += brightness(from, at) - grey.at(x, y);
            }
        }
        int place = (int) Math.round(grey.inPixels(PLACE_MM) / point);
        for (int r = 0; r + place <= rows; r += place) {
            for (int c = 0; c + place <= columns; c += place) {
                double squares = 0;
                for (int i = 0; i < place * place; i++) {
                    double mean = off[(r + i / place) * columns + c + i % place] / (point * point);
                    squares += mean * mean;
                }
                if (squares > MOST_OFF * MOST_OFF * place * place) {
                    return false;
                }
            }
        }
        return true;
    }

    private static double brightness(Plane plane, int at) {
        return plane.bands == 1
                ? plane.sums[at]
                : GrayPlane.brightness(
                        (int) plane.sums[at * 3], (int) plane.sums[at * 3 + 1], (int) plane.sums[at * 3 + 2]);
    }

    private static BufferedImage bitonal(boolean[] ink, int w, int h) {
        var image = new BufferedImage(w, h, BufferedImage.TYPE_BYTE_BINARY);
        byte[] row = new byte[w];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                row[x] = (byte) (ink[y * w + x] ? 0 : 1);
            }
            image.getRaster().setDataElements(0, y, w, 1, row);
        }
        return image;
    }
}
