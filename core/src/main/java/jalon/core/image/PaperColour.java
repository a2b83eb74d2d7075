package jalon.core.image;

import java.awt.image.BufferedImage;

/**
 * The colour of a page's paper and how much darker its print is: what is coloured is so beside its paper, and on a faded page
 * all colours are pale.
 *
 * @param red, green and blue of most of the brighter half, 0..255
 * @param contrast between paper and the darkest hundredth, 0..255
 */
record PaperColour(int red, int green, int blue, int contrast) {
    /** Fresh black on white paper. */
    private static final double FRESH = 180;

    /** Noise of a sensor, and what JPEG does to colours. */
    private static final int NOISE = 18;

    private static final int LOOKED_AT = 40_000;
    private static final double DARKEST = 0.01;

    static PaperColour of(BufferedImage image) {
        int every = Math.max(1, (int) Math.sqrt((double) image.getWidth() * image.getHeight() / LOOKED_AT));
        int[][] counts = new int[4][256];
        int all = 0;
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y += every) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x += every, all++) {
                int r = (row[x] >> 16) & 0xFF;
                int g = (row[x] >> 8) & 0xFF;
                int b = row[x] & 0xFF;
                counts[0][r]++;
                counts[1][g]++;
                counts[2][b]++;
                counts[3][(r + 2 * g + b) / 4]++;
            }
        }
        int paper = at(counts[3], all / 2);
        return new PaperColour(
                at(counts[0], all / 2),
                at(counts[1], all / 2),
                at(counts[2], all / 2),
                paper - at(counts[3], (int) (DARKEST * all)));
    }

    private static int at(int[] counts, int rank) {
        int below = 0;
        int level = 0;
        while (level < 255 && below + counts[level] <= rank) {
            below += counts[level++];
        }
        return level;
    }

    /** By how much red, green and blue differ at most, the paper's own colour apart. */
    int colourOf(int r, int g, int b) {
        int dr = r - red;
        int dg = g - green;
        int db = b - blue;
        return Math.max(dr, Math.max(dg, db)) - Math.min(dr, Math.min(dg, db));
    }

    /** @param fresh by how much a colour differs at least on a fresh page */
    int least(int fresh) {
        return (int) Math.max(NOISE, fresh * Math.min(1, contrast / FRESH));
    }
}
