package jalon.core.image;

import jalon.core.page.Millimetres;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;

/** Repairs of brightness. Each gives a new picture: colour stays colour, all else becomes grey. */
final class Tones {
    private Tones() {}

    private static BufferedImage bytes(BufferedImage image) {
        boolean colour = image.getColorModel().getNumColorComponents() >= 3;
        var out = new BufferedImage(
                image.getWidth(),
                image.getHeight(),
                colour ? BufferedImage.TYPE_3BYTE_BGR : BufferedImage.TYPE_BYTE_GRAY);
        if (colour) {
            var g = out.createGraphics();
            g.drawImage(image, 0, 0, null);
            g.dispose();
        } else {
            byte[] grey = GrayPlane.brightness(image);
            System.arraycopy(grey, 0, data(out), 0, grey.length);
        }
        return out;
    }

    private static byte[] data(BufferedImage image) {
        return ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    }

    /**
     * Ink made darker or lighter against its paper, then all of it brighter or darker.
     *
     * @param paper its brightness, which contrast does not move
     */
    static BufferedImage levels(BufferedImage image, double brightness, double contrast, int paper) {
        BufferedImage out = bytes(image);
        byte[] px = data(out);
        // 0.5 doubles what the ink stands out by, 0.8 makes it five times as much; -0.5 halves it.
        double slope = contrast > 0 ? 1 / (1 - Math.min(0.95, contrast)) : 1 + Math.max(-1, contrast);
        byte[] to = new byte[256];
        for (int v = 0; v < 256; v++) {
            double wanted = paper - (paper - v) * slope + 255 * brightness;
            to[v] = (byte) Math.max(0, Math.min(255, Math.round(wanted)));
        }
        for (int i = 0; i < px.length; i++) {
            px[i] = to[px[i] & 0xFF];
        }
        return out;
    }

    /** An unsharp mask over half a millimetre: what a stroke differs from its surroundings is added once more. */
    static BufferedImage sharpened(BufferedImage image, double dpi) {
        BufferedImage out = bytes(image);
        byte[] px = data(out);
        byte[] from = px.clone();
        int channels = px.length / (image.getWidth() * image.getHeight());
        int reach = Math.max(1, (int) Math.round(Millimetres.pixels(0.25, dpi)));
        int w = image.getWidth();
        int h = image.getHeight();
        for (int c = 0; c < channels; c++) {
            int channel = c;
            var means = new BoxMeans(i -> from[i * channels + channel] & 0xFF, w, h);
            for (int y = 0; y < h; y++) {
                for (int x = 0; x < w; x++) {
                    int i = (y * w + x) * channels + c;
                    int v = from[i] & 0xFF;
                    double mean = means.around(x, y, reach);
                    px[i] = (byte) Math.max(0, Math.min(255, Math.round(v + 1.2 * (v - mean))));
                }
            }
        }
        return out;
    }

    /** Each pixel made brighter by as much as its paper is darker than the page's brightest. */
    static BufferedImage evened(BufferedImage image, InkMap map) {
        BufferedImage out = bytes(image);
        byte[] px = data(out);
        int w = image.getWidth();
        int channels = px.length / (w * image.getHeight());
        double scale = (double) w / map.width;
        double brightest = 0;
        for (int c : map.cells) {
            brightest = Math.max(brightest, c);
        }
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < w; x++) {
                double gain = brightest / Math.max(1, map.smoothPaperAt(x / scale, y / scale));
                for (int c = 0; c < channels; c++) {
                    int i = (y * w + x) * channels + c;
                    px[i] = (byte) Math.min(255, Math.round((px[i] & 0xFF) * gain));
                }
            }
        }
        return out;
    }
}
