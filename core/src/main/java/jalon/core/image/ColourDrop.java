package jalon.core.image;

import java.awt.image.BufferedImage;

/**
 * Takes a coloured ink off a page and leaves the black: how much light each channel loses is, on a logarithmic scale, the
 * sum of what each ink takes, so the amounts of two inks with known colours follow by least squares (A. Ruifrok, D.
 * Johnston, "Quantification of histochemical staining by color deconvolution", 2001). Black takes the same of all three;
 * the other ink's colour is the mean of the page's clearly coloured pixels. Where a stamp lies over print, the print
 * remains. It fails on inks with hardly any colour, and on bitonal and grey pages there is none to drop.
 */
public final class ColourDrop {
    /** Red, green and blue must differ by this much of 255 to be a colour: paper and grey print differ by less. */
    private static final int COLOURED = 40;

    /** Ink of less than this share of the picture is not looked for. */
    private static final double LEAST_SHARE = 0.002;

    private ColourDrop() {}

    /** What an ink takes of red, green and blue light, as optical densities with length 1. */
    public record Ink(double red, double green, double blue) {}

    /** The coloured ink there is most of, or null when there is hardly any. */
    public static Ink inkOf(BufferedImage image, Colour wanted) {
        if (image.getColorModel().getNumColorComponents() < 3) {
            return null;
        }
        double[] sum = new double[3];
        long n = 0;
        int[] row = new int[image.getWidth()];
        int every = Math.max(1, image.getHeight() / 600);
        long seen = 0;
        for (int y = 0; y < image.getHeight(); y += every) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            seen += row.length;
            for (int rgb : row) {
                int r = (rgb >> 16) & 0xFF;
                int g = (rgb >> 8) & 0xFF;
                int b = rgb & 0xFF;
                if (Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b)) >= COLOURED
                        && wanted.is(density(r), density(g), density(b))) {
                    sum[0] += density(r);
                    sum[1] += density(g);
                    sum[2] += density(b);
                    n++;
                }
            }
        }
        double length = Math.sqrt(sum[0] * sum[0] + sum[1] * sum[1] + sum[2] * sum[2]);
        return n < LEAST_SHARE * seen || length == 0
                ? null
                : new Ink(sum[0] / length, sum[1] / length, sum[2] / length);
    }

    /** The page with only what is not that ink, in grey. */
    public static BufferedImage without(BufferedImage image, Ink ink) {
        var out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        byte[] px = ((java.awt.image.DataBufferByte) out.getRaster().getDataBuffer()).getData();
        double third = 1 / Math.sqrt(3);
        double common = third * (ink.red() + ink.green() + ink.blue());
        double det = 1 - common * common;
        int[] row = new int[image.getWidth()];
        double[] densities = new double[256];
        for (int v = 0; v < 256; v++) {
            densities[v] = density(v);
        }
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                double r = densities[(row[x] >> 16) & 0xFF];
                double g = densities[(row[x] >> 8) & 0xFF];
                double b = densities[row[x] & 0xFF];
                double alongInk = r * ink.red() + g * ink.green() + b * ink.blue();
                double alongBlack = (r + g + b) * third;
                double colour = (alongInk - common * alongBlack) / det;
                // Less than none of an ink cannot be: what is left is then black alone.
                double black = colour < 0 ? alongBlack : (alongBlack - common * alongInk) / det;
                px[y * row.length + x] = (byte) Math.round(255 * Math.exp(-Math.max(0, black) * third));
            }
        }
        return out;
    }

    private static double density(int v) {
        return -Math.log(Math.max(1, v) / 255.0);
    }
}
