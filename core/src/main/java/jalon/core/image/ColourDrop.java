package jalon.core.image;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.List;
import java.util.stream.IntStream;

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

    /** What is so much darker than another ink of the page is print with a fringe of colour. */
    private static final double PALE = 0.6;

    private ColourDrop() {}

    /**
     * A coloured ink.
     *
     * @param shift of its channel in a packed RGB pixel: 16 red, 8 green, 0 blue
     * @param level brightness in that channel that most of it has at least
     */
    public record Ink(int shift, int level) {}

    /** The coloured inks of a picture, of each channel the one that most of it has; none where there is hardly any. */
    public static List<Ink> inksOf(BufferedImage image, Colour wanted) {
        if (image.getColorModel().getNumColorComponents() < 3) {
            return List.of();
        }
        int[][] levels = new int[3][256];
        long[] counts = new long[3];
        int[] row = new int[image.getWidth()];
        int every = Math.max(1, image.getHeight() / 600);
        long seen = 0;
        PaperColour paper = PaperColour.of(image);
        int coloured = paper.least(COLOURED);
        for (int y = 0; y < image.getHeight(); y += every) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            seen += row.length;
            for (int rgb : row) {
                int r = (rgb >> 16) & 0xFF;
                int g = (rgb >> 8) & 0xFF;
                int b = rgb & 0xFF;
                if (paper.colourOf(r, g, b) >= coloured) {
                    int most = Math.max(r, Math.max(g, b));
                    int channel = most == r ? 0 : most == g ? 1 : 2;
                    levels[channel][most]++;
                    counts[channel]++;
                }
            }
        }
        long least = (long) (LEAST_SHARE * seen);
        List<Ink> inks = IntStream.range(0, 3)
                .filter(channel -> wanted == Colour.ANY || wanted.ordinal() == channel)
                .filter(channel -> counts[channel] > 0 && counts[channel] >= least)
                .mapToObj(channel -> new Ink(16 - 8 * channel, Math.max(60, level(levels[channel], counts[channel]))))
                .toList();
        int brightest = inks.stream().mapToInt(Ink::level).max().orElse(0);
        return inks.stream().filter(ink -> ink.level() >= PALE * brightest).toList();
    }

    private static int level(int[] levels, long count) {
        long below = 0;
        int level = 0;
        while (below + levels[level] < DARKEST_PART * count) {
            below += levels[level++];
        }
        return level;
    }

    /** How an ink lies over print. */
    public enum Lies {
        /** It darkens what is under it: what is left is stretched evenly, which is kind to the stamp's own rims. */
        LIKE_GLASS,
        /** It covers what is under it in part: anything clearly darker than the ink is made black. */
        COVERING
    }

    /** The page with only what is not of these inks, in grey. Where one of them may be, it is taken off. */
    public static BufferedImage without(BufferedImage image, List<Ink> inks, Lies lies) {
        var out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        byte[] px = ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
        int[][] to = inks.stream().map(ink -> brightness(ink, lies)).toArray(int[][]::new);
        int[] shift = inks.stream().mapToInt(Ink::shift).toArray();
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                int brightest = 0;
                for (int i = 0; i < shift.length; i++) {
                    brightest = Math.max(brightest, to[i][(row[x] >> shift[i]) & 0xFF]);
                }
                px[y * row.length + x] = (byte) brightest;
            }
        }
        return out;
    }

    /** What each level of an ink's channel becomes. */
    private static int[] brightness(Ink ink, Lies lies) {
        return IntStream.range(0, 256)
                .map(v -> {
                    double part = (double) v / ink.level();
                    double share = lies == Lies.LIKE_GLASS ? part : (part - PRINT_UNDER) / (INK_ALONE - PRINT_UNDER);
                    return (int) Math.round(255 * Math.max(0, Math.min(1, share)));
                })
                .toArray();
    }
}
