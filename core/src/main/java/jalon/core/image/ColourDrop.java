package jalon.core.image;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Arrays;

/**
 * Takes a coloured ink off a page and leaves the black, as a lamp of the ink's own colour does in a scanner: of red, green
 * and blue, the channel in which the ink is brightest, with the ink made as white as paper. Black is darker than the ink in
 * every channel, under the stamp too. It works for inks that lie over print like glass and for ones that cover it in part;
 * it fails on inks with hardly any colour, and grey print that is as bright as the ink goes with it. On bitonal and grey
 * pages there is none to drop.
 */
public final class ColourDrop {
    /** Red, green and blue must differ by this much of 255 to be a colour: paper and grey print differ by less. */
    private static final int COLOURED = 40;

    /** Ink of less than this share of the picture is not looked for. */
    private static final double LEAST_SHARE = 0.002;

    /** Most of the ink is brighter than this share of it, in the channel that is taken. */
    private static final double DARKEST_PART = 0.2;

    /** Of the ink's brightness: above the first share it is the ink alone, below the second there is print under it. */
    private static final double INK_ALONE = 0.94;

    private static final double PRINT_UNDER = 0.72;

    private ColourDrop() {}

    /**
     * A coloured ink.
     *
     * @param shift of its channel in a packed RGB pixel: 16 red, 8 green, 0 blue
     * @param level brightness in that channel that most of it has at least
     */
    public record Ink(int shift, int level) {}

    /** The coloured ink there is most of, or null when there is hardly any. */
    public static Ink inkOf(BufferedImage image, Colour wanted) {
        if (image.getColorModel().getNumColorComponents() < 3) {
            return null;
        }
        int[][] levels = new int[3][256];
        int[] counts = new int[3];
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
                if (ColouredInk.colourOf(rgb) >= COLOURED) {
                    int most = Math.max(r, Math.max(g, b));
                    int channel = most == r ? 0 : most == g ? 1 : 2;
                    levels[channel][most]++;
                    counts[channel]++;
                }
            }
        }
        int channel = wanted == Colour.ANY ? largest(counts) : wanted.ordinal();
        if (counts[channel] < LEAST_SHARE * seen) {
            return null;
        }
        int below = 0;
        int level = 0;
        while (below + levels[channel][level] < DARKEST_PART * counts[channel]) {
            below += levels[channel][level++];
        }
        return new Ink(16 - 8 * channel, Math.max(60, level));
    }

    private static int largest(int[] counts) {
        return Arrays.stream(counts).max().orElse(0) == counts[0] ? 0 : counts[1] >= counts[2] ? 1 : 2;
    }

    /** How an ink lies over print. */
    public enum Lies {
        /** It darkens what is under it: what is left is stretched evenly, which is kind to the stamp's own rims. */
        LIKE_GLASS,
        /** It covers what is under it in part: anything clearly darker than the ink is made black. */
        COVERING
    }

    /** The page with only what is not that ink, in grey. */
    public static BufferedImage without(BufferedImage image, Ink ink, Lies lies) {
        var out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        byte[] px = ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
        byte[] to = new byte[256];
        for (int v = 0; v < 256; v++) {
            double part = (double) v / ink.level();
            double share = lies == Lies.LIKE_GLASS ? part : (part - PRINT_UNDER) / (INK_ALONE - PRINT_UNDER);
            to[v] = (byte) Math.round(255 * Math.max(0, Math.min(1, share)));
        }
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                px[y * row.length + x] = to[(row[x] >> ink.shift()) & 0xFF];
            }
        }
        return out;
    }
}
