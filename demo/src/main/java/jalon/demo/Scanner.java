package jalon.demo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Random;

/**
 * Makes a sheet look as if it had been through a scanner: skew, shift, a dark edge, punch holes, specks, uneven paper,
 * grain. The same seed gives the same scan.
 */
public final class Scanner {
    /** What the picture is made of. */
    public enum Mode {
        BITONAL,
        GREY,
        COLOUR
    }

    /** @param skew degrees clockwise */
    public record Setting(Mode mode, int dpi, double skew, double shiftX, double shiftY, boolean holes, boolean edge) {
        /** A feeder's ordinary unsteadiness. */
        public static Setting feeder(Mode mode, int dpi, Random r) {
            return new Setting(
                    mode,
                    dpi,
                    (r.nextDouble() - 0.5) * 3,
                    (r.nextDouble() - 0.5) * 4,
                    (r.nextDouble() - 0.5) * 4,
                    r.nextInt(3) == 0,
                    r.nextInt(3) == 0);
        }

        public static Setting flat(Mode mode, int dpi) {
            return new Setting(mode, dpi, 0, 0, 0, false, false);
        }
    }

    private static final double A4_WIDTH = 210;
    private static final double A4_HEIGHT = 297;

    private Scanner() {}

    public static BufferedImage scan(Sheet sheet, Setting s, Random r) {
        int w = (int) Math.round(A4_WIDTH * s.dpi() / 25.4);
        int h = (int) Math.round(A4_HEIGHT * s.dpi() / 25.4);
        int type = s.mode() == Mode.COLOUR ? BufferedImage.TYPE_3BYTE_BGR : BufferedImage.TYPE_BYTE_GRAY;
        BufferedImage image = new BufferedImage(w, h, type);
        Graphics2D g = image.createGraphics();
        int paper = 246 + r.nextInt(6);
        g.setColor(new Color(paper, paper, paper - (s.mode() == Mode.COLOUR ? 4 : 0)));
        g.fillRect(0, 0, w, h);
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        g.scale(s.dpi() / 25.4, s.dpi() / 25.4);
        var flat = g.getTransform();
        g.translate(s.shiftX(), s.shiftY());
        g.rotate(Math.toRadians(s.skew()), A4_WIDTH / 2, A4_HEIGHT / 2);
        g.setColor(Color.BLACK);
        sheet.print(new Pen(g));
        if (s.holes()) {
            g.setColor(new Color(40, 40, 40));
            g.fill(new java.awt.geom.Ellipse2D.Double(10, 105, 6, 6));
            g.fill(new java.awt.geom.Ellipse2D.Double(10, 185, 6, 6));
        }
        g.setTransform(flat);
        if (s.edge()) {
            g.setColor(new Color(30, 30, 30));
            g.fill(new java.awt.geom.Rectangle2D.Double(A4_WIDTH - 1.2 - r.nextDouble(), 0, 3, A4_HEIGHT));
        }
        g.dispose();
        grain(image, s, r);
        return s.mode() == Mode.BITONAL ? bitonal(image) : image;
    }

    /** Sensor noise and a few specks of dust. */
    private static void grain(BufferedImage image, Setting s, Random r) {
        byte[] px = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        long state = r.nextLong() | 1;
        int strength = s.mode() == Mode.BITONAL ? 26 : 7;
        for (int i = 0; i < px.length; i++) {
            // A xorshift step: noise for millions of pixels must not cost more than the page.
            state ^= state << 13;
            state ^= state >>> 7;
            state ^= state << 17;
            int noise = (int) (state & 0xFF) * strength / 256 - strength / 2;
            px[i] = (byte) Math.max(0, Math.min(255, (px[i] & 0xFF) + noise));
        }
        int channels = px.length / (image.getWidth() * image.getHeight());
        int specks = 15 + r.nextInt(25);
        for (int n = 0; n < specks; n++) {
            int x = r.nextInt(image.getWidth() - 2);
            int y = r.nextInt(image.getHeight() - 2);
            for (int c = 0; c < 2 * channels; c++) {
                px[(y * image.getWidth() + x) * channels + c] = 60;
            }
        }
    }

    /** Black and white as a scanner makes it, by one threshold. */
    public static BufferedImage bitonal(BufferedImage grey) {
        BufferedImage out = new BufferedImage(grey.getWidth(), grey.getHeight(), BufferedImage.TYPE_BYTE_BINARY);
        byte[] from = ((DataBufferByte) grey.getRaster().getDataBuffer()).getData();
        byte[] to = ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
        int stride = (grey.getWidth() + 7) / 8;
        for (int y = 0; y < grey.getHeight(); y++) {
            for (int x = 0; x < grey.getWidth(); x++) {
                if ((from[y * grey.getWidth() + x] & 0xFF) >= 150) {
                    to[y * stride + (x >> 3)] |= (byte) (0x80 >> (x & 7));
                }
            }
        }
        return out;
    }
}
