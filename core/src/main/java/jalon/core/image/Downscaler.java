package jalon.core.image;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;

/**
 * Pictures made smaller: first by a whole factor, each pixel the mean of those it stands for, so that thin strokes do not
 * break up; then once smoothly to the size wanted.
 */
public final class Downscaler {
    /** Making a picture smaller does not ask how fine it is. */
    private static final double ANY_DPI = 100;

    private Downscaler() {}

    /** @param width and @param height in pixels, neither larger than the image's */
    public static BufferedImage of(BufferedImage image, int width, int height) {
        int factor = Math.max(1, Math.min(image.getWidth() / width, image.getHeight() / height));
        BufferedImage near = image.getColorModel().getNumColorComponents() < 3
                        || image.getColorModel().getPixelSize() == 1
                ? grey(image, factor)
                : colour(image, factor);
        if (near.getWidth() == width && near.getHeight() == height) {
            return near;
        }
        var out = new BufferedImage(width, height, near.getType());
        Graphics2D g = out.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(near, 0, 0, width, height, null);
        g.dispose();
        return out;
    }

    private static BufferedImage grey(BufferedImage image, int factor) {
        GrayPlane plane = GrayPlane.of(image, ANY_DPI).reduced(factor);
        var out = new BufferedImage(plane.width(), plane.height(), BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(plane.pixels(), 0, data(out), 0, plane.pixels().length);
        return out;
    }

    private static BufferedImage colour(BufferedImage image, int factor) {
        int w = image.getWidth() / factor;
        int h = image.getHeight() / factor;
        var out = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
        byte[] to = data(out);
        int[] row = new int[image.getWidth()];
        int area = factor * factor;
        for (int y = 0; y < h; y++) {
            int[] sums = new int[3 * w];
            for (int dy = 0; dy < factor; dy++) {
                image.getRGB(0, y * factor + dy, row.length, 1, row, 0, row.length);
                for (int x = 0; x < w * factor; x++) {
                    int i = x / factor * 3;
                    sums[i] += row[x] & 0xFF;
                    sums[i + 1] += (row[x] >> 8) & 0xFF;
                    sums[i + 2] += (row[x] >> 16) & 0xFF;
                }
            }
            for (int i = 0; i < sums.length; i++) {
                to[y * 3 * w + i] = (byte) (sums[i] / area);
            }
        }
        return out;
    }

    private static byte[] data(BufferedImage image) {
        return ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    }
}
