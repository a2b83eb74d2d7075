package jalon.core.image;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;

/**
 * Black and white by a threshold half-way between the paper and the darkest ink around (J. Bernsen, "Dynamic thresholding
 * of grey-level images", 1986), in cells of 5 mm and between them smoothly; where hardly anything stands out there is no
 * ink. Faint print next to nothing stays; faint print in the very cell of black print may go.
 */
final class Bitonals {
    private static final double LEAST_CONTRAST = 0.12;

    /** Nearer to the paper than to the ink, since strokes are blurred thinner than they are. */
    private static final double TOWARDS_PAPER = 0.55;

    private Bitonals() {}

    static BufferedImage of(GrayPlane full, InkMap map) {
        var out = new BufferedImage(full.width(), full.height(), BufferedImage.TYPE_BYTE_BINARY);
        byte[] bits = ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
        int stride = (full.width() + 7) / 8;
        double scale = (double) full.width() / map.width;
        int[] darkest = darkest(full, map, scale);
        for (int y = 0; y < full.height(); y++) {
            int row = Math.min(map.rows - 1, (int) (y / scale) / InkMap.CELL);
            for (int x = 0; x < full.width(); x++) {
                int cell = row * map.columns + Math.min(map.columns - 1, (int) (x / scale) / InkMap.CELL);
                double paper = Math.max(map.smoothPaperAt(x / scale, y / scale), 0.5 * map.paper);
                double step = Math.max(LEAST_CONTRAST * paper, (1 - TOWARDS_PAPER) * (paper - darkest[cell]));
                if (full.at(x, y) >= paper - step) {
                    bits[y * stride + (x >> 3)] |= (byte) (0x80 >> (x & 7));
                }
            }
        }
        return out;
    }

    /**
     * Brightness as black and white.
     *
     * @param grey a byte a pixel
     * @param out one bit a pixel, 1 for white
     */
    static void write(byte[] grey, BufferedImage out) {
        byte[] bits = ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
        int w = out.getWidth();
        int stride = (w + 7) / 8;
        for (int y = 0; y < out.getHeight(); y++) {
            for (int x = 0; x < w; x++) {
                if (grey[y * w + x] < 0) {
                    bits[y * stride + (x >> 3)] |= (byte) (0x80 >> (x & 7));
                }
            }
        }
    }

    private static int[] darkest(GrayPlane full, InkMap map, double scale) {
        int[] darkest = new int[map.columns * map.rows];
        java.util.Arrays.fill(darkest, 255);
        for (int y = 0; y < full.height(); y++) {
            int row = Math.min(map.rows - 1, (int) (y / scale) / InkMap.CELL) * map.columns;
            for (int x = 0; x < full.width(); x++) {
                int cell = row + Math.min(map.columns - 1, (int) (x / scale) / InkMap.CELL);
                darkest[cell] = Math.min(darkest[cell], full.at(x, y));
            }
        }
        return darkest;
    }
}
