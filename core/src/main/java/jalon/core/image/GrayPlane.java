package jalon.core.image;

import jalon.core.page.Box;
import jalon.core.page.Millimetres;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.util.Arrays;
import java.util.List;

/**
 * A page's brightness: one byte a pixel, row after row, 0 black to 255 white. What everything that measures or reads
 * works on, made once a page.
 *
 * @param dpi pixels per inch
 */
public record GrayPlane(int width, int height, byte[] pixels, double dpi) {

    public GrayPlane {
        if (width < 1 || height < 1 || pixels.length != (long) width * height || !(dpi > 0)) {
            throw new IllegalArgumentException("a plane of " + width + " x " + height + " with " + pixels.length
                    + " bytes at " + dpi + " pixels per inch");
        }
    }

    private static final double SMALL_DPI = 100;

    public int at(int x, int y) {
        return pixels[y * width + x] & 0xFF;
    }

    /** The brightness of each pixel, for what needs no measures; as in {@link #of}. */
    static byte[] brightness(BufferedImage image) {
        // Its resolution does not matter to a pixel's brightness.
        return of(image, SMALL_DPI).pixels();
    }

    /** Brightness as in ITU-R BT.601 (0.299, 0.587, 0.114), in 1/256. */
    public static GrayPlane of(BufferedImage image, double dpi) {
        int w = image.getWidth();
        int h = image.getHeight();
        byte[] out = new byte[w * h];
        boolean wholeRaster = image.getRaster().getParent() == null;
        if (image.getType() == BufferedImage.TYPE_BYTE_GRAY) {
            // Through getRGB its brightness would be bent, since Java takes it for linear.
            image.getRaster().getDataElements(0, 0, w, h, out);
        } else if (wholeRaster && image.getType() == BufferedImage.TYPE_3BYTE_BGR) {
            byte[] bgr = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
            for (int i = 0, p = 0; i < out.length; i++, p += 3) {
                out[i] = (byte) brightness(bgr[p + 2] & 0xFF, bgr[p + 1] & 0xFF, bgr[p] & 0xFF);
            }
        } else if (wholeRaster
                && image.getType() == BufferedImage.TYPE_BYTE_BINARY
                && image.getColorModel() instanceof IndexColorModel colours
                && colours.getPixelSize() == 1) {
            bitonal(image, colours, out);
        } else {
            int[] row = new int[w];
            for (int y = 0; y < h; y++) {
                image.getRGB(0, y, w, 1, row, 0, w);
                for (int x = 0; x < w; x++) {
                    int rgb = row[x];
                    out[y * w + x] = (byte) brightness((rgb >> 16) & 0xFF, (rgb >> 8) & 0xFF, rgb & 0xFF);
                }
            }
        }
        return new GrayPlane(w, h, out, dpi);
    }

    /** So many pixels in millimetres. */
    public double mm(double count) {
        return Millimetres.of(count, dpi);
    }

    /** So many millimetres in pixels. */
    public double inPixels(double mm) {
        return Millimetres.pixels(mm, dpi);
    }

    public double widthMm() {
        return mm(width);
    }

    public double heightMm() {
        return mm(height);
    }

    private static void bitonal(BufferedImage image, IndexColorModel colours, byte[] out) {
        byte[] bits = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        int w = image.getWidth();
        int stride = (w + 7) / 8;
        byte zero = (byte) brightness(colours.getRed(0), colours.getGreen(0), colours.getBlue(0));
        byte one = (byte) brightness(colours.getRed(1), colours.getGreen(1), colours.getBlue(1));
        // Eight pixels at a time: each of the 256 bytes always gives the same eight.
        byte[][] eights = new byte[256][8];
        for (int b = 0; b < 256; b++) {
            for (int i = 0; i < 8; i++) {
                eights[b][i] = (b & (0x80 >> i)) != 0 ? one : zero;
            }
        }
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < w; x += 8) {
                byte[] eight = eights[bits[y * stride + (x >> 3)] & 0xFF];
                System.arraycopy(eight, 0, out, y * w + x, Math.min(8, w - x));
            }
        }
    }

    static int brightness(int r, int g, int b) {
        return (77 * r + 150 * g + 29 * b) >> 8;
    }

    /** The plane made smaller by a whole factor, each pixel the average of {@code factor} x {@code factor}. */
    public GrayPlane reduced(int factor) {
        if (factor <= 1) {
            return this;
        }
        int w = Math.max(1, width / factor);
        int h = Math.max(1, height / factor);
        int fx = Math.min(factor, width);
        int fy = Math.min(factor, height);
        byte[] out = new byte[w * h];
        int[] sums = new int[w];
        int area = fx * fy;
        for (int y = 0; y < h; y++) {
            java.util.Arrays.fill(sums, 0);
            for (int dy = 0; dy < fy; dy++) {
                int p = (y * factor + dy) * width;
                if (fx == 3) {
                    // 300 dpi made 100 and 200 made 100, the most frequent cases: half the time without the inner loop.
                    for (int x = 0; x < w; x++, p += 3) {
                        sums[x] += (pixels[p] & 0xFF) + (pixels[p + 1] & 0xFF) + (pixels[p + 2] & 0xFF);
                    }
                    continue;
                }
                if (fx == 2) {
                    for (int x = 0; x < w; x++, p += 2) {
                        sums[x] += (pixels[p] & 0xFF) + (pixels[p + 1] & 0xFF);
                    }
                    continue;
                }
                for (int x = 0; x < w; x++) {
                    int sum = 0;
                    for (int end = p + fx; p < end; p++) {
                        sum += pixels[p] & 0xFF;
                    }
                    sums[x] += sum;
                }
            }
            for (int x = 0; x < w; x++) {
                out[y * w + x] = (byte) (sums[x] / area);
            }
        }
        return new GrayPlane(w, h, out, dpi / factor);
    }

    /**
     * The plane at about 100 dpi, which measures of the whole page work on: made once, it serves all of them.
     */
    public GrayPlane small() {
        return reduced(Math.max(1, (int) Math.round(dpi / SMALL_DPI)));
    }

    /** A copy of the part that lies inside the plane; coordinates in pixels. */
    public GrayPlane cut(int x, int y, int w, int h) {
        int left = Math.max(0, Math.min(x, width - 1));
        int top = Math.max(0, Math.min(y, height - 1));
        int cw = Math.max(1, Math.min(x + w, width) - left);
        int ch = Math.max(1, Math.min(y + h, height) - top);
        byte[] out = new byte[cw * ch];
        for (int row = 0; row < ch; row++) {
            System.arraycopy(pixels, (top + row) * width + left, out, row * cw, cw);
        }
        return new GrayPlane(cw, ch, out, dpi);
    }

    /**
     * This plane with white paper in some places.
     *
     * @param places in mm on it
     */
    public GrayPlane whitened(List<Box> places) {
        if (places.isEmpty()) {
            return this;
        }
        byte[] white = pixels.clone();
        for (Box place : places) {
            int left = (int) Math.max(0, inPixels(place.x()));
            int right = (int) Math.min(width, Math.ceil(inPixels(place.right())));
            int bottom = (int) Math.min(height, Math.ceil(inPixels(place.bottom())));
            for (int y = (int) Math.max(0, inPixels(place.y())); y < bottom && left < right; y++) {
                Arrays.fill(white, y * width + left, y * width + right, (byte) 255);
            }
        }
        return new GrayPlane(width, height, white, dpi);
    }

    /** The plane turned clockwise by a multiple of 90 degrees. */
    public GrayPlane turned(int degrees) {
        int turn = Math.floorMod(degrees, 360);
        if (turn == 0) {
            return this;
        }
        byte[] out = new byte[pixels.length];
        int w = turn == 180 ? width : height;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int to = switch (turn) {
                    case 90 -> x * w + (height - 1 - y);
                    case 180 -> (height - 1 - y) * w + (width - 1 - x);
                    default -> (width - 1 - x) * w + y;
                };
                out[to] = pixels[y * width + x];
            }
        }
        return new GrayPlane(w, turn == 180 ? height : width, out, dpi);
    }

    /**
     * The plane turned by a small angle about its middle, same size, new corners white: how a skewed page is made
     * straight. Each pixel is taken between its four neighbours (bilinear).
     *
     * @param degrees clockwise
     */
    public GrayPlane rotated(double degrees) {
        return rotated(degrees, 0, 0, width, height);
    }

    /**
     * The whole plane turned as by {@link #rotated(double)} and made smaller or larger in the same pass.
     *
     * @param scale 0.5 or more; below a half the four neighbours would not see all of the plane
     */
    public GrayPlane rotated(double degrees, double scale) {
        int w = Math.max(1, (int) Math.round(width * scale));
        int h = Math.max(1, (int) Math.round(height * scale));
        return sampled(degrees, scale, (width * scale - 1) / 2, (height * scale - 1) / 2, w, h);
    }

    /** The part of {@link #rotated(double)} that begins at (left, top), without making the rest of it. */
    public GrayPlane rotated(double degrees, int left, int top, int w, int h) {
        return sampled(degrees, 1, (width - 1) / 2.0 - left, (height - 1) / 2.0 - top, w, h);
    }

    /** @param midX where the plane's middle lies in what is made */
    private GrayPlane sampled(double degrees, double scale, double midX, double midY, int w, int h) {
        double cos = Math.cos(Math.toRadians(degrees)) / scale;
        double sin = Math.sin(Math.toRadians(degrees)) / scale;
        double cx = (width - 1) / 2.0;
        double cy = (height - 1) / 2.0;
        byte[] out = new byte[w * h];
        final int one = 1 << 16;
        long stepX = Math.round(cos * one);
        long stepY = Math.round(-sin * one);
        for (int y = 0; y < h; y++) {
            // Fixed point with 16 fractional bits: the source of pixel (x, y), stepping by (cos, -sin) along the row.
            long sx = Math.round((cx - midX * cos + (y - midY) * sin) * one);
            long sy = Math.round((cy + midX * sin + (y - midY) * cos) * one);
            int to = y * w;
            // Where the row's sources lie inside the plane, found once, so that the loop need not ask each time.
            int from = Math.max(firstInside(sx, stepX, width - 1), firstInside(sy, stepY, height - 1));
            int end = Math.min(w, Math.min(lastInside(sx, stepX, width - 1), lastInside(sy, stepY, height - 1)) + 1);
            if (from >= end) {
                java.util.Arrays.fill(out, to, to + w, (byte) 255);
                continue;
            }
            java.util.Arrays.fill(out, to, to + from, (byte) 255);
            sx += from * stepX;
            sy += from * stepY;
            for (int x = from; x < end; x++, sx += stepX, sy += stepY) {
                int fx = (int) (sx & 0xFFFF) >> 8;
                int fy = (int) (sy & 0xFFFF) >> 8;
                int p = (int) (sy >> 16) * width + (int) (sx >> 16);
                int above = (pixels[p] & 0xFF) * (256 - fx) + (pixels[p + 1] & 0xFF) * fx;
                int below = (pixels[p + width] & 0xFF) * (256 - fx) + (pixels[p + width + 1] & 0xFF) * fx;
                out[to + x] = (byte) ((above * (256 - fy) + below * fy) >> 16);
            }
            java.util.Arrays.fill(out, to + end, to + w, (byte) 255);
        }
        return new GrayPlane(w, h, out, dpi * scale);
    }

    /** The first step from {@code start} that lies in 0..{@code size} (without its end), in 1/65536. */
    private static int firstInside(long start, long step, int size) {
        long end = (long) size << 16;
        if (start >= 0 && start < end) {
            return 0;
        }
        boolean comes = start < 0 ? step > 0 : step < 0;
        if (!comes) {
            return Integer.MAX_VALUE;
        }
        long steps = start < 0 ? Math.floorDiv(-start + step - 1, step) : (start - end) / -step + 1;
        return (int) Math.min(Integer.MAX_VALUE, steps);
    }

    private static int lastInside(long start, long step, int size) {
        long end = (long) size << 16;
        if (step == 0) {
            return start >= 0 && start < end ? Integer.MAX_VALUE - 1 : -1;
        }
        long steps = step > 0 ? Math.floorDiv(end - 1 - start, step) : Math.floorDiv(start, -step);
        return (int) Math.max(-1, Math.min(Integer.MAX_VALUE - 1, steps));
    }

    /**
     * The brightness that a share of the pixels of a part does not exceed; 255 for a part without pixels.
     *
     * @param right the first column outside, @param bottom the first row outside
     * @param every looks at one row of so many
     * @param share 0..1
     */
    public int percentile(int left, int top, int right, int bottom, int every, double share) {
        int[] counts = new int[256];
        int all = 0;
        for (int y = top; y < bottom; y += every) {
            for (int i = y * width + left, end = y * width + right; i < end; i++) {
                counts[pixels[i] & 0xFF]++;
                all++;
            }
        }
        int below = 0;
        for (int v = 0; v < 256; v++) {
            below += counts[v];
            if (below > share * all) {
                return v;
            }
        }
        return 255;
    }

    /** How many pixels have each brightness. */
    public int[] histogram() {
        int[] counts = new int[256];
        for (byte p : pixels) {
            counts[p & 0xFF]++;
        }
        return counts;
    }
}
