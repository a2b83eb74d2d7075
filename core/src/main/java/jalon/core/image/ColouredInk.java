package jalon.core.image;

import jalon.core.page.Box;
import jalon.core.page.Millimetres;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;

/**
 * Where a page has coloured ink, such as a stamp or a signature: cells of 4 mm in which several pixels are clearly
 * coloured, joined where they touch. What is printed there in black can be read better without it ({@link ColourDrop}).
 */
public final class ColouredInk {
    private static final double CELL_MM = 4;
    private static final int COLOURED = 45;
    private static final double LEAST_SHARE = 0.02;

    /** A page with this many places is printed in colour. */
    private static final int MOST = 40;

    private ColouredInk() {}

    private static int colourOf(int rgb, PaperColour paper) {
        return paper.colourOf((rgb >> 16) & 0xFF, (rgb >> 8) & 0xFF, rgb & 0xFF);
    }

    /** The same for three bytes that follow each other; the usual kind of picture, many times quicker to get at so. */
    private static int colourOf(byte[] bgr, int at, PaperColour paper) {
        return paper.colourOf(bgr[at + 2] & 0xFF, bgr[at + 1] & 0xFF, bgr[at] & 0xFF);
    }

    /** @return boxes on the image as it is, in mm; none for bitonal and grey images */
    public static List<Box> in(BufferedImage image, double dpi) {
        if (image.getColorModel().getNumColorComponents() < 3
                || image.getColorModel().getPixelSize() < 15) {
            return List.of();
        }
        double cell = Millimetres.pixels(CELL_MM, dpi);
        int columns = (int) Math.ceil(image.getWidth() / cell);
        int rows = (int) Math.ceil(image.getHeight() / cell);
        int[] inCell = new int[columns * rows];
        // About 100 dpi is enough: a stroke of 0.3 mm is a pixel wide.
        int every = Math.max(1, (int) (dpi / 100));
        byte[] bgr = image.getType() == BufferedImage.TYPE_3BYTE_BGR
                        && image.getRaster().getParent() == null
                ? ((DataBufferByte) image.getRaster().getDataBuffer()).getData()
                : null;
        PaperColour paper = PaperColour.of(image);
        int coloured = paper.least(COLOURED);
        for (int y = 0; y < image.getHeight(); y += every) {
            for (int x = 0; x < image.getWidth(); x += every) {
                int colour = bgr == null
                        ? colourOf(image.getRGB(x, y), paper)
                        : colourOf(bgr, 3 * (y * image.getWidth() + x), paper);
                if (colour > coloured) {
                    inCell[(int) (y / cell) * columns + (int) (x / cell)]++;
                }
            }
        }
        double least = LEAST_SHARE * cell * cell / (every * every);
        boolean[] mask = new boolean[inCell.length];
        for (int i = 0; i < mask.length; i++) {
            mask[i] = inCell[i] > least;
        }
        Blobs blobs = new Blobs(mask, columns, rows);
        List<Box> places = new ArrayList<>();
        for (int b = 0; b < Math.min(MOST, blobs.count); b++) {
            places.add(new Box(
                    blobs.left[b] * CELL_MM,
                    blobs.top[b] * CELL_MM,
                    blobs.width(b) * CELL_MM,
                    blobs.height(b) * CELL_MM));
        }
        return places;
    }
}
