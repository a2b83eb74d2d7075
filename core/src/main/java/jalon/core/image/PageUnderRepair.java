package jalon.core.image;

import jalon.core.page.Millimetres;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;

/**
 * The picture of a page while a recipe is worked through. Where edges, holes and specks are and how bright the paper is
 * gets found once, and again only after a step that moved or recoloured the page.
 */
final class PageUnderRepair {
    private final double dpi;
    private final double skewDegrees;
    private BufferedImage image;
    private GrayPlane full;
    private InkMap map;

    /** @param received is not changed, @param skewDegrees measured skew of the print, clockwise */
    PageUnderRepair(BufferedImage received, double dpi, double skewDegrees) {
        this.image = received;
        this.dpi = dpi;
        this.skewDegrees = skewDegrees;
    }

    BufferedImage image() {
        return image;
    }

    double dpi() {
        return dpi;
    }

    double skewDegrees() {
        return skewDegrees;
    }

    /** Moved or recoloured: all is to be found anew. */
    void becomes(BufferedImage other) {
        painted(other);
        map = null;
    }

    /** The same page with some of it painted over. */
    void painted(BufferedImage other) {
        image = other;
        full = null;
    }

    GrayPlane full() {
        if (full == null) {
            full = GrayPlane.of(image, dpi);
        }
        return full;
    }

    InkMap map() {
        if (map == null) {
            map = new InkMap(full().small());
        }
        return map;
    }

    /** The picture in a kind whose pixels can be worked on one by one. */
    BufferedImage plain() {
        return isPlain(image) ? image : copy();
    }

    /** A picture of its own, to paint on. */
    BufferedImage copy() {
        BufferedImage out = blank(image);
        Graphics2D g = out.createGraphics();
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return out;
    }

    /** Millimetres, in the colour of the paper. */
    Graphics2D painting(BufferedImage out) {
        Graphics2D g = out.createGraphics();
        g.scale(Millimetres.pixels(1, dpi), Millimetres.pixels(1, dpi));
        g.setColor(paper());
        return g;
    }

    /** The mean colour of what is as bright as the paper. */
    Color paper() {
        int paper = map().paper;
        if (image.getColorModel().getPixelSize() == 1) {
            return Color.WHITE;
        }
        long[] sum = new long[3];
        long n = 0;
        for (int y = 3; y < image.getHeight(); y += Math.max(1, image.getHeight() / 60)) {
            for (int x = 3; x < image.getWidth(); x += Math.max(1, image.getWidth() / 60)) {
                Color c = new Color(image.getRGB(x, y));
                if ((77 * c.getRed() + 150 * c.getGreen() + 29 * c.getBlue()) >> 8 >= paper - 12) {
                    sum[0] += c.getRed();
                    sum[1] += c.getGreen();
                    sum[2] += c.getBlue();
                    n++;
                }
            }
        }
        return n == 0
                ? new Color(paper, paper, paper)
                : new Color((int) (sum[0] / n), (int) (sum[1] / n), (int) (sum[2] / n));
    }

    private static BufferedImage blank(BufferedImage image) {
        return switch (image.getType()) {
            case BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_3BYTE_BGR ->
                new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
            case BufferedImage.TYPE_BYTE_BINARY ->
                new BufferedImage(
                        image.getWidth(),
                        image.getHeight(),
                        image.getColorModel().getPixelSize() == 1
                                ? BufferedImage.TYPE_BYTE_BINARY
                                : BufferedImage.TYPE_BYTE_GRAY);
            default ->
                new BufferedImage(
                        image.getWidth(),
                        image.getHeight(),
                        image.getColorModel().getNumColorComponents() < 3
                                ? BufferedImage.TYPE_BYTE_GRAY
                                : BufferedImage.TYPE_3BYTE_BGR);
        };
    }

    /** Whether it is of a kind that {@link #blank} makes, with all of its pixels its own. */
    private static boolean isPlain(BufferedImage image) {
        return image.getRaster().getParent() == null
                && switch (image.getType()) {
                    case BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_3BYTE_BGR -> true;
                    case BufferedImage.TYPE_BYTE_BINARY -> image.getColorModel().getPixelSize() == 1;
                    default -> false;
                };
    }
}
